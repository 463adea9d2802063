/**
 * The joint plan as a mixed-integer programme in a tight form. A plant is priced directly on the light state of a spot,
 * z[plant, spot, state, season], so that nothing need link a placement to a setting pair by pair: per plant, circuit,
 * setting and season one row says that what it has under that setting is no more than the setting is chosen. Its linear
 * relaxation is nearly whole for small homes; the plain form, with placements apart from settings, is not
 * (docs/methods.md, "The plan").
 */
import type { IsOpen } from './open-choices';
import {
  lightStates,
  possibleSpots,
  settingsOfState,
  widthOn,
  worthAt,
  type LightStates,
  type Plan,
  type PlanProblem,
} from './problem';
import { ProgrammeBuilder, type Programme, type Term } from './rows';

/** A plant on a spot in one of its light states, in a season. */
interface Placed {
  readonly season: number;
  readonly plant: number;
  readonly spot: number;
  readonly state: number;
  readonly column: number;
}

export interface PlanProgramme {
  readonly programme: Programme;
  /** The plan that whole-numbered columns stand for. @param columns values near 0 or 1 */
  planOf(columns: ArrayLike<number>): Plan;
  /** The columns that stand for a plan. */
  columnsOf(plan: Plan): Float64Array;
}

const NONE = -Infinity;

/** Most plants that a spot can take at once, by width and by load. */
export function mostPlants(problem: PlanProblem, spot: number, possible: readonly number[][]): number {
  const here = problem.plants.filter((_, p) => possible[p]!.includes(spot));
  const most = (room: number, sizes: number[]) => {
    let [left, count] = [room, 0];
    for (const size of sizes.sort((p, q) => p - q)) {
      if (size > left) break;
      left -= size;
      count += 1;
    }
    return count;
  };
  const { widthCm, loadG } = problem.spots[spot]!;
  return Math.min(
    most(
      widthCm,
      here.map((plant) => widthOn(plant, { widthCm })),
    ),
    most(
      loadG,
      here.map((plant) => plant.loadG),
    ),
  );
}

/** What the passes of the programme share. */
interface Making {
  readonly problem: PlanProblem;
  readonly states: LightStates;
  readonly possible: readonly number[][];
  readonly builder: ProgrammeBuilder;
  readonly placed: readonly Placed[];
  /** Of a season: by plant, by spot. */
  of(season: number, plant: number): readonly Placed[];
  at(season: number, spot: number): readonly Placed[];
  /** Columns of settings, by season, circuit and setting. */
  readonly set: readonly (readonly (readonly number[])[])[];
}

/** @param isOpen leaves out what no better plan has; everything is open where it is not given */
export function planProgramme(problem: PlanProblem, isOpen: IsOpen = () => true): PlanProgramme {
  const making = columnsFor(problem, isOpen);
  for (let season = 0; season < problem.seasons.length; season++) {
    everyPlantOnce(making, season);
    settingsBind(making, season);
    spotsHold(making, season);
    standsBear(making, season);
    wishesBind(making, season);
    if (season > 0) stayingSaves(making, season);
  }
  const { builder, placed, set } = making;
  return { programme: builder.done(), ...reading(problem, placed, set) };
}

function columnsFor(problem: PlanProblem, isOpen: IsOpen): Making {
  const { seasons, plants, spots, circuits, worth } = problem;
  const states = lightStates(problem);
  const possible = possibleSpots(problem);
  const builder = new ProgrammeBuilder();
  const placed: Placed[] = [];
  const byPlant = new Map<number, Placed[]>();
  const bySpot = new Map<number, Placed[]>();
  const into = (map: Map<number, Placed[]>, key: number, one: Placed) => {
    const list = map.get(key);
    if (list) list.push(one);
    else map.set(key, [one]);
  };
  const set = seasons.map((weight) =>
    circuits.map(({ costs }) => costs.map((cost) => builder.column(-weight * cost, 'whole'))),
  );
  seasons.forEach((_, season) =>
    plants.forEach(({ moveCost, now }, plant) => {
      const first = season === 0 && now !== null;
      if (first) builder.constant(-moveCost);
      for (const spot of possible[plant]!) {
        const at = worthAt(problem, states, { season, plant, spot });
        const stays = first && now === spot ? moveCost : 0;
        for (let state = 0; state < states.count[spot]!; state++) {
          if (!isOpen(season, plant, spot, state)) continue;
          const column = builder.column(worth[at + state]! + stays, 'whole');
          const one = { season, plant, spot, state, column };
          placed.push(one);
          into(byPlant, season * plants.length + plant, one);
          into(bySpot, season * spots.length + spot, one);
        }
      }
    }),
  );
  return {
    ...{ problem, states, possible, builder, placed, set },
    of: (season, plant) => byPlant.get(season * plants.length + plant) ?? [],
    at: (season, spot) => bySpot.get(season * spots.length + spot) ?? [],
  };
}

const once = ({ column }: Placed): Term => [column, 1];

function everyPlantOnce({ problem, builder, of }: Making, season: number): void {
  problem.plants.forEach((_, plant) => builder.row(1, of(season, plant).map(once), 1));
}

/** One setting a circuit; a plant has under a setting no more than the setting is chosen. */
function settingsBind({ problem: { plants, spots, circuits }, builder, of, set }: Making, season: number): void {
  circuits.forEach((_, c) => {
    const settings = set[season]![c]!;
    builder.row(
      1,
      settings.map((column): Term => [column, 1]),
      1,
    );
    plants.forEach((_plant, plant) => {
      const under = settings.map((): Term[] => []);
      for (const one of of(season, plant)) {
        const lit = spots[one.spot]!.circuits;
        if (lit.includes(c)) under[settingsOfState(circuits, lit, one.state)[lit.indexOf(c)]!]!.push(once(one));
      }
      under.forEach((terms, k) => {
        if (terms.length > 0) builder.row(NONE, [...terms, [settings[k]!, -1]], 0);
      });
    });
  });
}

/** Count, width and load of spots; the count under each setting as well, which the relaxation needs to be tight. */
function spotsHold(making: Making, season: number): void {
  const { problem, possible, builder, at, set } = making;
  const { plants, spots, circuits } = problem;
  spots.forEach(({ widthCm, loadG, circuits: lit }, spot) => {
    const here = at(season, spot);
    if (here.length === 0) return;
    const most = mostPlants(problem, spot, possible);
    if (lit.length === 0) builder.row(NONE, here.map(once), most);
    lit.forEach((c, i) =>
      set[season]![c]!.forEach((column, k) => {
        const under = here.filter(({ state }) => settingsOfState(circuits, lit, state)[i] === k);
        builder.row(NONE, [...under.map(once), [column, -most]], 0);
      }),
    );
    if (most <= 1) return;
    builder.row(
      NONE,
      here.map(({ column, plant }): Term => [column, widthOn(plants[plant]!, { widthCm })]),
      widthCm,
    );
    builder.row(
      NONE,
      here.map(({ column, plant }): Term => [column, plants[plant]!.loadG]),
      loadG,
    );
  });
}

function standsBear({ problem: { plants, spots, stands }, builder, at }: Making, season: number): void {
  stands.forEach(({ loadG }, stand) => {
    const terms = spots.flatMap((spot, s): Term[] =>
      spot.stand === stand ? at(season, s).map(({ column, plant }): Term => [column, plants[plant]!.loadG]) : [],
    );
    if (terms.length > 0) builder.row(NONE, terms, loadG);
  });
}

function wishesBind({ problem: { plants, spots, stands, wishes }, builder, of }: Making, season: number): void {
  const on = (plant: number, stand: number) => of(season, plant).filter(({ spot }) => spots[spot]!.stand === stand);
  for (const wish of wishes) {
    stands.forEach((_, stand) => {
      if (wish.kind === 'group') {
        wish.plants.slice(1).forEach((plant, i) => {
          const [one, other] = [on(wish.plants[i]!, stand), on(plant, stand)];
          if (one.length + other.length > 0)
            builder.row(0, [...one.map(once), ...other.map(({ column }): Term => [column, -1])], 0);
        });
      } else if (wish.kind === 'quarantine') {
        const apart = on(wish.plant, stand).map(once);
        plants.forEach((_plant, plant) => {
          if (plant === wish.plant || apart.length === 0) return;
          builder.row(NONE, [...apart, ...on(plant, stand).map(once)], 1);
        });
      }
    });
  }
}

/** A move is counted where a plant does not stay; it stays on a spot that it has in both seasons. */
function stayingSaves({ problem: { plants }, possible, builder, of }: Making, season: number): void {
  plants.forEach(({ moveCost }, plant) => {
    if (moveCost === 0) return;
    builder.constant(-moveCost);
    for (const spot of possible[plant]!) {
      const stay = builder.column(moveCost, 'any');
      for (const when of [season - 1, season]) {
        const there = of(when, plant).filter((one) => one.spot === spot);
        builder.row(NONE, [[stay, 1], ...there.map(({ column }): Term => [column, -1])], 0);
      }
    }
  });
}

function reading(
  { seasons, plants, spots, circuits }: PlanProblem,
  placed: readonly Placed[],
  set: Making['set'],
): Pick<PlanProgramme, 'planOf' | 'columnsOf'> {
  const columnsWithout = () => Math.max(...placed.map(({ column }) => column), ...set.flat(2)) + 1;
  return {
    planOf(columns) {
      const at = seasons.map(() => plants.map(() => -1));
      for (const { season, plant, spot, column } of placed) if (columns[column]! > 0.5) at[season]![plant] = spot;
      const settings = set.map((bySeason) =>
        bySeason.map((byCircuit) => byCircuit.findIndex((column) => columns[column]! > 0.5)),
      );
      return { spots: at, settings };
    },
    columnsOf({ spots: at, settings }) {
      const values = new Float64Array(columnsWithout());
      settings.forEach((bySeason, season) =>
        bySeason.forEach((setting, c) => {
          values[set[season]![c]![setting]!] = 1;
        }),
      );
      for (const { season, plant, spot, state, column } of placed) {
        const lit = spots[spot]!.circuits;
        const isSo =
          at[season]![plant] === spot &&
          settingsOfState(circuits, lit, state).every((setting, i) => setting === settings[season]![lit[i]!]);
        if (isSo) values[column] = 1;
      }
      return values;
    },
  };
}
