/** Ways the home could be, in figures, set beside one another: as it is, by a plan, with something tried. */
import type { FoundPlan, HomeFacts } from '@dulvan/core';
import { create } from 'zustand';
import { plantName, spotPlace } from '../../parts/words';
import { standingOf } from './figures';

export interface VariantPlant {
  readonly id: string;
  readonly name: string;
  /** Where it stands now; null is nowhere. */
  readonly place: string | null;
  /** Its verdict, 0..1. */
  readonly score: number | null;
}

export interface Variant {
  readonly homeId: string;
  readonly name: string;
  readonly plants: readonly VariantPlant[];
  readonly kWh: number;
  readonly cost: number | null;
  readonly carries: number;
}

/** As many are set beside one another at most; the oldest goes. */
export const MOST_VARIANTS = 6;

export const useVariants = create<{ readonly variants: readonly Variant[] }>(() => ({ variants: [] }));

/** Takes variants up; one of the same home and name is replaced. */
export function remember(fresh: readonly Variant[]): void {
  const isSame = (p: Variant) => (q: Variant) => p.homeId === q.homeId && p.name === q.name;
  const { variants } = useVariants.getState();
  const others = variants.filter((variant) => !fresh.some(isSame(variant)));
  useVariants.setState({ variants: [...others, ...fresh].slice(-MOST_VARIANTS) });
}

export const forget = (gone: Variant): void =>
  useVariants.setState({ variants: useVariants.getState().variants.filter((variant) => variant !== gone) });

/** How many carries a plan asks for. */
export const carriesOf = ({ plants }: FoundPlan): number =>
  plants.filter(({ fromSpotId, spotIds }) => new Set([fromSpotId, ...spotIds]).size > 1).length;

/** The home as it is, and as a plan would have it. */
export function variantsOf(
  facts: HomeFacts,
  plan: FoundPlan,
  names: { readonly now: string; readonly planned: string },
): [Variant, Variant] {
  const plantOf = (plantId: string, spotId: string | null, score: number | null): VariantPlant => ({
    id: plantId,
    name: plantName(
      facts,
      facts.plants.find(({ id }) => id === plantId)!,
    ),
    place: spotId === null ? null : spotPlace(facts, spotId),
    score,
  });
  const homeId = facts.home.id;
  return [
    {
      ...{ homeId, name: names.now, carries: 0, ...plan.energyBefore.year },
      plants: plan.plants.map(({ plantId, fromSpotId, before }) => plantOf(plantId, fromSpotId, before)),
    },
    {
      ...{ homeId, name: names.planned, carries: carriesOf(plan), ...plan.energyAfter.year },
      plants: plan.plants.map(({ plantId, spotIds, after }) => plantOf(plantId, spotIds[0]!, after)),
    },
  ];
}

export const standingIn = ({ plants }: Variant) => standingOf(plants.map(({ score }) => score));

export interface VariantRow {
  readonly id: string;
  readonly name: string;
  /** By variant; null where the plant is not part of it. */
  readonly of: readonly (VariantPlant | null)[];
}

/** Below this two verdicts are told with the same figure. */
const A_POINT = 0.01;

/** The plants that fare differently, or are not in all, those first that differ most. */
export function differingPlants(variants: readonly Variant[]): VariantRow[] {
  const names = new Map(variants.flatMap(({ plants }) => plants.map(({ id, name }) => [id, name] as const)));
  const spread = (of: VariantRow['of']) => {
    const scores = of.map((plant) => plant?.score ?? 0);
    return of.includes(null) ? 1 : Math.max(...scores) - Math.min(...scores);
  };
  return [...names]
    .map(([id, name]) => ({ id, name, of: variants.map(({ plants }) => plants.find((one) => one.id === id) ?? null) }))
    .filter(({ of }) => spread(of) >= A_POINT)
    .sort((p, q) => spread(q.of) - spread(p.of));
}
