/** Plants that need something, by how soon. */
import type { Trouble } from '../fit';
import type { HomeFacts, Plant } from '../facts';
import { troublesFor, urgencyOf, URGENCIES, type Urgency } from '../match';
import type { PlantAnswer } from './home-answers';

export interface PlantCase {
  readonly plant: Plant;
  readonly answer: PlantAnswer;
  readonly urgency: Exclude<Urgency, 'none'>;
  /** What is trouble for this plant by its goal, soonest damage first. */
  readonly troubles: readonly Trouble[];
}

/** Plants that need something: soonest damage first, then those that do worst. */
export function casesOf(facts: HomeFacts, answers: readonly PlantAnswer[]): PlantCase[] {
  const byId = new Map(facts.plants.map((plant) => [plant.id, plant]));
  const soonest = ({ troubles }: PlantCase) => Math.min(...troubles.map(({ weeks }) => weeks ?? Infinity));
  const score = ({ answer }: PlantCase) => answer.fit!.verdict.score;
  return answers
    .flatMap((answer): PlantCase[] => {
      const plant = byId.get(answer.plantId);
      if (!plant || !answer.fit) return [];
      const urgency = urgencyOf(plant.goal, answer.fit);
      return urgency === 'none' ? [] : [{ plant, answer, urgency, troubles: troublesFor(plant.goal, answer.fit) }];
    })
    .sort(
      (p, q) =>
        URGENCIES.indexOf(p.urgency) - URGENCIES.indexOf(q.urgency) ||
        compared(soonest(p), soonest(q)) ||
        score(p) - score(q),
    );
}

const compared = (p: number, q: number): number => (p === q ? 0 : p < q ? -1 : 1);
