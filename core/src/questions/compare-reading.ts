/** A reading held against the model while it is being taken. */
import type { HomeFacts, Reading } from '../facts';
import { comparedReadings, sceneOf, type ComparedReading, type HomeEngine } from '../home';

export interface CompareReadingParams {
  readonly reading: Reading;
  readonly year: number;
}

/** What the model says for a reading that is being taken, and how the two compare. */
export function compareReading(
  engine: HomeEngine,
  facts: HomeFacts,
  { reading, year }: CompareReadingParams,
): ComparedReading | null {
  const { lit, sources } = engine;
  const scene = sceneOf({ ...facts, readings: [reading] }, sources);
  const sky = lit.sky(facts, year);
  const [compared] = comparedReadings({ lit, knowledge: sources, scene, sky });
  return compared ?? null;
}
