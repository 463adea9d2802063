/** The reference's joint plans as problems: their own worth, light and energy, as they are defined there. */
import { lightStates, settingsOfState, worthAt, type PlanProblem, type PlanWish } from './problem';

type Band = readonly [number, number, number, number];

export interface PlanCase {
  readonly id: string;
  readonly name: string;
  readonly seasons: readonly number[];
  readonly plants: readonly {
    readonly width: number;
    readonly height: number;
    readonly load: number;
    readonly care: number;
    readonly move: number;
    readonly light: Band;
    readonly warmth: Band;
    readonly moisture: Band;
    readonly air: Band;
    readonly now: number | null;
  }[];
  readonly spots: readonly {
    readonly stand: number;
    readonly width: number;
    readonly height: number;
    readonly load: number;
    readonly daylight: readonly number[];
    readonly warmth: readonly number[];
    readonly moisture: readonly number[];
    readonly air: number;
    readonly lamps: readonly { readonly circuit: number; readonly ppfd: number }[];
  }[];
  readonly stands: readonly { readonly load: number }[];
  readonly circuits: readonly {
    readonly settings: readonly { readonly hours: number; readonly dim: number; readonly cost: number }[];
  }[];
  readonly wishes: readonly PlanWish[];
  readonly best: { readonly objective: number; readonly worth: number; readonly energy: number } | null;
  readonly smallest_clash_size?: number;
  readonly smallest_clashes?: readonly (readonly string[])[];
}

const trap = (v: number, [b0, b1, b2, b3]: Band) =>
  Math.max(0, Math.min(1, (v - b0) / (b1 - b0), (b3 - v) / (b3 - b2)));

export function problemOf(given: PlanCase): PlanProblem {
  const circuits = given.circuits.map(({ settings }) => ({ costs: settings.map(({ cost }) => cost) }));
  const spots = given.spots.map(({ stand, width, height, load, lamps }) => ({
    stand,
    widthCm: width,
    heightCm: height,
    loadG: load,
    circuits: lamps.map(({ circuit }) => circuit),
  }));
  const plants = given.plants.map(({ width, height, load, move, now }) => ({
    widthCm: width,
    heightCm: height,
    loadG: load,
    moveCost: move,
    now,
  }));
  const states = lightStates({ spots, circuits });
  const worth = new Float64Array(given.seasons.length * plants.length * states.all);
  given.seasons.forEach((weight, season) =>
    given.plants.forEach((needs, plant) =>
      given.spots.forEach((spot, s) => {
        const at = worthAt({ plants }, states, { season, plant, spot: s });
        for (let state = 0; state < states.count[s]!; state++) {
          const set = settingsOfState(circuits, spots[s]!.circuits, state);
          const light = spot.lamps.reduce((sum, { circuit, ppfd }, i) => {
            const { hours, dim } = given.circuits[circuit]!.settings[set[i]!]!;
            return sum + (ppfd * hours * dim * 3600) / 1e6;
          }, spot.daylight[season]!);
          const scores = [
            trap(light, needs.light),
            trap(spot.warmth[season]!, needs.warmth),
            trap(spot.moisture[season]!, needs.moisture),
            trap(spot.air, needs.air),
          ];
          const mean = scores.reduce((sum, score) => sum + score, 0) / scores.length;
          worth[at + state] = weight * needs.care * (0.8 * Math.min(...scores) + 0.2 * mean);
        }
      }),
    ),
  );
  const stands = given.stands.map(({ load }) => ({ loadG: load }));
  return { seasons: given.seasons, plants, spots, stands, circuits, wishes: given.wishes, worth };
}
