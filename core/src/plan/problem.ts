/**
 * The joint plan as arithmetic: every plant on one spot in every season, one setting for every circuit in every season,
 * so that worth less energy less moves is greatest. Nothing here knows of light or leaves: what a plant is worth on a
 * spot under each setting is given. Indices count from 0.
 */

export interface PlanPlant {
  /** Of the pot and its leaves, cm, whole numbers as those of the spots are. */
  readonly widthCm: number;
  readonly heightCm: number;
  /** Of the pot when watered, g. */
  readonly loadG: number;
  /** What a move of it costs, in the unit of worth. */
  readonly moveCost: number;
  /** The spot it stands on now; null where it has none yet, so that its first place is no move. */
  readonly now: number | null;
  /** Of its leaves, cm, where they are wider than the pot: they fill a spot that is narrower. */
  readonly spreadCm?: number;
  /** Spots on which it cannot stand whatever is wished. */
  readonly cannot?: readonly number[];
}

export interface PlanSpot {
  readonly stand: number;
  readonly widthCm: number;
  readonly heightCm: number;
  readonly loadG: number;
  /** Circuits that light it: none, one or two. */
  readonly circuits: readonly number[];
}

export interface PlanCircuit {
  /** What each setting costs in a season of weight 1, in the unit of worth. */
  readonly costs: readonly number[];
}

/** What a grower binds the plan to. */
export type PlanWish =
  /** The plant stands on that spot in every season. */
  | { readonly id: string; readonly kind: 'fix'; readonly plant: number; readonly spot: number }
  /** The plant stands on none of those spots in any season. */
  | { readonly id: string; readonly kind: 'forbid'; readonly plant: number; readonly spots: readonly number[] }
  /** The plants stand on spots of one same stand in each season; the stand may change with the season. */
  | { readonly id: string; readonly kind: 'group'; readonly plants: readonly number[] }
  /** No other plant stands on the stand of this plant, in any season. */
  | { readonly id: string; readonly kind: 'quarantine'; readonly plant: number };

export interface PlanProblem {
  /** Weight of each season, as a share of the year. */
  readonly seasons: readonly number[];
  readonly plants: readonly PlanPlant[];
  readonly spots: readonly PlanSpot[];
  /** What each stand bears, g. */
  readonly stands: readonly { readonly loadG: number }[];
  readonly circuits: readonly PlanCircuit[];
  readonly wishes: readonly PlanWish[];
  /**
   * By season, plant and light state of a spot, at `worthAt`; weighted by the season and by how much the plant matters.
   */
  readonly worth: Float64Array;
}

export interface Plan {
  /** By season and plant: its spot. */
  readonly spots: readonly (readonly number[])[];
  /** By season and circuit: its setting. */
  readonly settings: readonly (readonly number[])[];
}

/** The light states of spots: each combination of the settings of the circuits that light it, the first slowest. */
export interface LightStates {
  /** By spot: where its states begin among all, and how many it has. */
  readonly first: readonly number[];
  readonly count: readonly number[];
  readonly all: number;
}

/** The light states of a problem's spots. */
export function lightStates({ spots, circuits }: Pick<PlanProblem, 'spots' | 'circuits'>): LightStates {
  const count = spots.map(({ circuits: lit }) => lit.reduce((n, c) => n * circuits[c]!.costs.length, 1));
  const first: number[] = [];
  let all = 0;
  for (const states of count) {
    first.push(all);
    all += states;
  }
  return { first, count, all };
}

/** The setting each circuit of a spot has in one of its states. @param lit circuits of the spot, in its order */
export function settingsOfState(circuits: readonly PlanCircuit[], lit: readonly number[], state: number): number[] {
  const settings: number[] = [];
  let left = state;
  for (let i = lit.length - 1; i >= 0; i--) {
    const settingsThere = circuits[lit[i]!]!.costs.length;
    settings[i] = left % settingsThere;
    left = Math.floor(left / settingsThere);
  }
  return settings;
}

/** The state a spot is in when circuits are set so. @param settings by circuit */
export const stateUnder = (
  circuits: readonly PlanCircuit[],
  lit: readonly number[],
  settings: ArrayLike<number>,
): number => lit.reduce((state, c) => state * circuits[c]!.costs.length + settings[c]!, 0);

/** Where a plant's worth stands: the first state of a spot in a season. */
export const worthAt = (
  { plants }: Pick<PlanProblem, 'plants'>,
  { all, first }: LightStates,
  { season, plant, spot }: { readonly season: number; readonly plant: number; readonly spot: number },
): number => (season * plants.length + plant) * all + first[spot]!;

/** Plants that are kept together. */
export const groupsOf = ({ wishes }: Pick<PlanProblem, 'wishes'>): (readonly number[])[] =>
  wishes.flatMap((wish) => (wish.kind === 'group' ? [wish.plants] : []));

/**
 * One arrangement for all seasons, lamps left aside: whether the rules can be kept does not depend on either.
 * @param worth by plant and spot
 */
export const unlit = (problem: PlanProblem, worth: Float64Array): PlanProblem => ({
  ...problem,
  seasons: [1],
  spots: problem.spots.map((spot) => ({ ...spot, circuits: [] })),
  circuits: [],
  worth,
});

/** Room that a plant takes up on a spot, cm. */
export const widthOn = (
  { widthCm, spreadCm = 0 }: Pick<PlanPlant, 'widthCm' | 'spreadCm'>,
  spot: Pick<PlanSpot, 'widthCm'>,
): number => Math.max(widthCm, Math.min(spreadCm, spot.widthCm));

/** By plant: the spots that are wide, high and strong enough for it alone, and not ruled out by a wish about it. */
export function possibleSpots({ plants, spots, stands, wishes }: PlanProblem): number[][] {
  return plants.map(({ widthCm, heightCm, loadG, cannot = [] }, p) => {
    const ruledOut = new Set(cannot);
    const about = wishes.filter((wish) => wish.kind !== 'group' && wish.plant === p);
    return spots.flatMap((spot, s) => {
      const fits =
        widthCm <= spot.widthCm &&
        heightCm <= spot.heightCm &&
        loadG <= spot.loadG &&
        loadG <= stands[spot.stand]!.loadG;
      const isWanted = about.every(
        (wish) => !(wish.kind === 'fix' && wish.spot !== s) && !(wish.kind === 'forbid' && wish.spots.includes(s)),
      );
      return fits && isWanted && !ruledOut.has(s) ? [s] : [];
    });
  });
}
