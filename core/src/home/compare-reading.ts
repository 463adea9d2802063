/** A reading held against the model while it is being taken. */
import { leafPlaceOf, type Answerer } from './answers';
import type { HomeFacts } from './facts';
import type { Reading } from './light-facts';
import { comparedReadings, type ComparedReading } from './readings';
import { sceneOf } from './scene';

/** What the model says for a reading that is being taken, and how the two compare. */
export function compareReading(
  answerer: Answerer,
  facts: HomeFacts,
  reading: Reading,
  year: number,
): ComparedReading | null {
  const scene = sceneOf({ ...facts, readings: [reading] }, answerer.knowledge);
  const [compared] = comparedReadings({
    lit: answerer.lit,
    knowledge: answerer.knowledge,
    scene,
    sky: answerer.lit.sky(facts, year),
    placeOf: (spot) => leafPlaceOf(scene, spot),
  });
  return compared ?? null;
}
