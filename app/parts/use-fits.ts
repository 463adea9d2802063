/** The fit in a month of whoever stands at each spot, as drawings show it. */
import type { HomeFacts, MonthFit } from '@dulvan/core';
import { useMemo } from 'react';
import { useVerdicts } from '../state/verdicts';

export function useFits(facts: HomeFacts, month: number): Map<string, MonthFit | null> {
  const { answers } = useVerdicts();
  return useMemo(() => {
    const byPlant = new Map(answers?.plants.map((answer) => [answer.plantId, answer.fit?.months[month - 1] ?? null]));
    return new Map(
      facts.plants.flatMap((plant) =>
        plant.spotId === null ? [] : [[plant.spotId, byPlant.get(plant.id) ?? null] as const],
      ),
    );
  }, [facts, answers, month]);
}
