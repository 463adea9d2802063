/** How much room and bearing a pot needs, as far as it was said. */
import type { Plant, Spot } from '../facts';

/** What is taken where the grower has not said, cm: a middling pot, and leaf over it. */
export const ASSUMED_POT_CM = 12;
const ASSUMED_HEIGHT_CM = 20;

/** A watered pot weighs about so much: two thirds of a cube of its width, 1.2 g a cm3. Judgement. */
const FILLED_SHARE = 0.66;
const WET_G_CM3 = 1.2;
/** Leaf and stem, g a cm of height and of pot width. Judgement: a monstera of 1 m in a 24 cm pot has some 1.7 kg. */
const LEAF_G_CM2 = 0.7;

export const potWidthCm = ({ potCm }: Pick<Plant, 'potCm'>): number => Math.ceil(potCm ?? ASSUMED_POT_CM);

/** Width of its leaves, cm: as wide as it is tall, as crowns are taken to be in the light of neighbours. */
export const spreadCm = (plant: Pick<Plant, 'potCm' | 'heightCm'>): number =>
  Math.max(potWidthCm(plant), Math.ceil(plant.heightCm ?? 0));

/** Weight of a watered pot with its plant, g. */
export function potWeightG({ potCm, heightCm }: Pick<Plant, 'potCm' | 'heightCm'>): number {
  const width = potCm ?? ASSUMED_POT_CM;
  const pot = FILLED_SHARE * WET_G_CM3 * width ** 3;
  return Math.round(pot + LEAF_G_CM2 * width * (heightCm ?? ASSUMED_HEIGHT_CM));
}

/** Width of a spot, cm: at least that of what stands on it now. */
export function spotWidthCm({ sizeM }: Pick<Spot, 'sizeM'>, here: readonly Plant[]): number {
  const sizeCm = Math.max(Math.floor(sizeM * 100), ...here.map(potWidthCm));
  if (here.length <= 1) return sizeCm;
  return Math.max(
    sizeCm,
    here.reduce((sum, plant) => sum + Math.min(sizeCm, spreadCm(plant)), 0),
  );
}
