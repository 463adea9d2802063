/** Plants in trouble in a month, worst first. */
import type { Trouble } from '../fit';
import type { HomeFacts, Plant } from '../facts';
import type { PlantAnswer } from './home-answers';

export interface TroubleCase {
  readonly plant: Plant;
  readonly answer: PlantAnswer;
  /** Troubles of the month, worst first. */
  readonly now: readonly Trouble[];
}

/** Plants that lack something or have too much in a month (1..12), the unhappiest first. */
export function casesIn(facts: HomeFacts, answers: readonly PlantAnswer[], month: number): TroubleCase[] {
  const byId = new Map(facts.plants.map((plant) => [plant.id, plant]));
  const wholeOf = ({ answer }: TroubleCase) => answer.fit!.months[month - 1]!.whole;
  return answers
    .flatMap((answer): TroubleCase[] => {
      const plant = byId.get(answer.plantId);
      const now = answer.fit?.troubles.filter((trouble) => trouble.months.includes(month)) ?? [];
      return plant && now.length > 0 ? [{ plant, answer, now }] : [];
    })
    .sort((p, q) => wholeOf(p) - wholeOf(q));
}
