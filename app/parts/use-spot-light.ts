/** What each spot's own leaves get in a month, mol a day, as drawings show it. */
import { useMemo } from 'react';
import { useVerdicts } from '../state/verdicts';

export function useSpotLight(month: number): ReadonlyMap<string, number> {
  const { answers } = useVerdicts();
  return useMemo(
    () =>
      new Map(
        answers?.spots.flatMap(({ spotId, conditions }) => {
          const condition = conditions[month - 1];
          return condition ? [[spotId, condition.dli] as const] : [];
        }),
      ),
    [answers, month],
  );
}
