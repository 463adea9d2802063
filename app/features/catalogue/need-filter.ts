/** Taxa chosen by what they need: "thrives at 3 to 6 mol, above 60 % humidity, harmless to cats". */
import { EATERS, type Eater, type Taxon } from '@dulvan/core';
import { z } from 'zod';

/** What a spot or a grower can offer; null leaves a need out of account. */
export interface NeedFilter {
  /** DLI on offer, mol a day. */
  readonly light: readonly [from: number, to: number] | null;
  /** Relative humidity on offer, per cent. */
  readonly humidity: readonly [from: number, to: number] | null;
  /** Coldest night, degrees C. */
  readonly coldest: number | null;
  readonly harmless: readonly Eater[];
  readonly tallestCm: number | null;
  readonly group: string | null;
}

/** Whether a taxon thrives in all of what is on offer. Harm that is not known is taken for harm. */
export function suits(taxon: Taxon, { light, humidity, coldest, harmless, tallestCm, group }: NeedFilter): boolean {
  if (light && !(taxon.light.thrivesFrom <= light[1] && taxon.light.thrivesTo >= light[0])) return false;
  if (humidity && !(taxon.moisture.thrivesFrom <= humidity[1] && taxon.moisture.tooMoistStill >= humidity[0]))
    return false;
  if (coldest !== null && taxon.warmth.lowest > coldest) return false;
  if (harmless.some((eater) => taxon.hazard[eater] !== 'none-known')) return false;
  if (tallestCm !== null && taxon.care.matureHeightCm > tallestCm) return false;
  return group === null || taxon.group === group;
}

export const LIGHT_OFFERS: readonly {
  readonly value: string;
  readonly word: string;
  readonly range: NeedFilter['light'];
}[] = [
  { value: 'any', word: 'Any light', range: null },
  { value: '0-1.5', word: 'Up to 1.5 mol', range: [0, 1.5] },
  { value: '1.5-3', word: '1.5 to 3', range: [1.5, 3] },
  { value: '3-6', word: '3 to 6', range: [3, 6] },
  { value: '6-12', word: '6 to 12', range: [6, 12] },
  { value: '12-60', word: '12 and more', range: [12, 60] },
];

export const HUMIDITY_OFFERS: readonly {
  readonly value: string;
  readonly word: string;
  readonly range: NeedFilter['humidity'];
}[] = [
  { value: 'any', word: 'Any air', range: null },
  { value: '20-40', word: '20 to 40 %', range: [20, 40] },
  { value: '40-60', word: '40 to 60 %', range: [40, 60] },
  { value: '60-80', word: '60 to 80 %', range: [60, 80] },
  { value: '80-100', word: 'Above 80 %', range: [80, 100] },
];

export const NIGHT_OFFERS = [
  { value: 'any', word: 'Any nights', coldest: null },
  { value: '15', word: 'Down to 15 °C', coldest: 15 },
  { value: '10', word: 'Down to 10 °C', coldest: 10 },
  { value: '5', word: 'Down to 5 °C', coldest: 5 },
  { value: '0', word: 'Frost', coldest: 0 },
] as const;

export const HEIGHT_OFFERS = [
  { value: 'any', word: 'Any height', tallestCm: null },
  { value: '20', word: 'Up to 20 cm', tallestCm: 20 },
  { value: '50', word: 'Up to 50 cm', tallestCm: 50 },
  { value: '120', word: 'Up to 120 cm', tallestCm: 120 },
] as const;

const draftSchema = z
  .object({
    light: z.string(),
    humidity: z.string(),
    night: z.string(),
    height: z.string(),
    harmless: z.string(),
    group: z.string(),
  })
  .partial();

/** The filter as it was left in a draft: words of the choices by name. */
export function filterOf(draft: Readonly<Record<string, string>>): NeedFilter {
  const chosen = draftSchema.parse(draft);
  const harmless = (chosen.harmless ?? '').split(',');
  return {
    light: LIGHT_OFFERS.find((offer) => offer.value === chosen.light)?.range ?? null,
    humidity: HUMIDITY_OFFERS.find((offer) => offer.value === chosen.humidity)?.range ?? null,
    coldest: NIGHT_OFFERS.find((offer) => offer.value === chosen.night)?.coldest ?? null,
    tallestCm: HEIGHT_OFFERS.find((offer) => offer.value === chosen.height)?.tallestCm ?? null,
    harmless: EATERS.filter((eater) => harmless.includes(eater)),
    group: chosen.group && chosen.group !== 'any' ? chosen.group : null,
  };
}
