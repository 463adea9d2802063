/** The figures of a taxon that a grower can correct: where each stands, what it is called and what is possible for it. */
import type { Taxon } from './taxon';

export interface FigureKind {
  readonly label: string;
  readonly unit:
    'mol a day' | 'µmol/m²s' | 'h a day' | 'h' | '°C' | 'K' | '%' | 'kPa' | 'share' | 'ppm' | 'cm' | 'weeks';
  readonly from: number;
  readonly to: number;
}

const figure = (label: string, unit: FigureKind['unit'], from: number, to: number): FigureKind => ({
  label,
  unit,
  from,
  to,
});

/** By the figure's place in the taxon. */
export const FIGURES = {
  'light.survives': figure('Light: survives from', 'mol a day', 0.1, 30),
  'light.keepsForm': figure('Light: keeps its form from', 'mol a day', 0.1, 40),
  'light.thrivesFrom': figure('Light: thrives from', 'mol a day', 0.2, 40),
  'light.thrivesTo': figure('Light: thrives to', 'mol a day', 0.5, 60),
  'light.scorches': figure('Light: scorches above', 'mol a day', 1, 80),
  'light.peakPpfd': figure('Brightest hour it tolerates', 'µmol/m²s', 50, 2200),
  'light.sunHoursFresh': figure('Direct sun tolerated fresh from shade', 'h a day', 0, 16),
  'light.sunHoursUsed': figure('Direct sun tolerated when used to it', 'h a day', 0, 16),
  'light.reserveWeeks': figure('Lives on its reserve in the dark', 'weeks', 1, 200),
  'day.minH': figure('Shortest useful day', 'h', 0, 16),
  'day.maxH': figure('Longest useful day', 'h', 8, 24),
  'warmth.lowest': figure('Warmth: lowest it survives', '°C', -20, 25),
  'warmth.nightFrom': figure('Warmth: nights from', '°C', -5, 30),
  'warmth.nightTo': figure('Warmth: nights to', '°C', 0, 35),
  'warmth.dayFrom': figure('Warmth: days from', '°C', 0, 35),
  'warmth.dayTo': figure('Warmth: days to', '°C', 5, 45),
  'warmth.highest': figure('Warmth: highest it tolerates', '°C', 15, 55),
  'warmth.nightDrop': figure('Wanted fall at night', 'K', 0, 15),
  'moisture.survives': figure('Moisture: survives from', '%', 0, 90),
  'moisture.thrivesFrom': figure('Moisture: thrives from', '%', 0, 95),
  'moisture.thrivesTo': figure('Moisture: thrives to', '%', 10, 100),
  'moisture.tooMoistStill': figure('Too moist for still air above', '%', 20, 100),
  'moisture.vpdFrom': figure('VPD from', 'kPa', 0, 2),
  'moisture.vpdTo': figure('VPD to', 'kPa', 0.2, 5),
  'rest.lightShare': figure('Light at rest, share of usual', 'share', 0, 1),
  'care.waterAtShare': figure('Water left in the pot when it is watered again', 'share', 0, 1),
  'care.feedPpmN': figure('Nitrogen at each feed', 'ppm', 0, 300),
  'water.mostDissolvedPpm': figure('Most dissolved solids in its water', 'ppm', 1, 2000),
  'care.matureHeightCm': figure('Height full grown', 'cm', 1, 600),
  'care.matureWidthCm': figure('Width full grown', 'cm', 1, 400),
} as const satisfies Record<string, FigureKind>;

export type Figure = keyof typeof FIGURES;
export const FIGURE_KEYS = Object.keys(FIGURES) as Figure[];

type Block = 'light' | 'day' | 'warmth' | 'moisture' | 'rest' | 'care' | 'water';

function placeOf(key: Figure): [Block, string] {
  const [block, field] = key.split('.') as [Block, string];
  return [block, field];
}

/** The value of one figure. */
export function figureOf(taxon: Taxon, key: Figure): number {
  const [block, field] = placeOf(key);
  return (taxon[block] as unknown as Record<string, number>)[field]!;
}

/** The taxon with one figure changed. */
export function withFigure(taxon: Taxon, key: Figure, value: number): Taxon {
  const [block, field] = placeOf(key);
  return { ...taxon, [block]: { ...taxon[block], [field]: value } };
}

/** Figures that may not fall in a taxon, in rising order. */
export const RISING: readonly (readonly Figure[])[] = [
  ['light.survives', 'light.thrivesFrom', 'light.thrivesTo', 'light.scorches'],
  ['light.survives', 'light.keepsForm', 'light.thrivesTo'],
  ['light.sunHoursFresh', 'light.sunHoursUsed'],
  ['day.minH', 'day.maxH'],
  ['warmth.lowest', 'warmth.nightFrom', 'warmth.nightTo', 'warmth.highest'],
  ['warmth.lowest', 'warmth.dayFrom', 'warmth.dayTo', 'warmth.highest'],
  ['moisture.survives', 'moisture.thrivesFrom', 'moisture.thrivesTo', 'moisture.tooMoistStill'],
  ['moisture.vpdFrom', 'moisture.vpdTo'],
];

/** The first pair of figures that stands in the wrong order; null when all do right. */
export function wrongOrder(taxon: Taxon): { readonly lower: Figure; readonly upper: Figure } | null {
  for (const chain of RISING) {
    for (let i = 1; i < chain.length; i++) {
      if (figureOf(taxon, chain[i - 1]!) > figureOf(taxon, chain[i]!))
        return { lower: chain[i - 1]!, upper: chain[i]! };
    }
  }
  return null;
}
