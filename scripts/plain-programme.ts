/**
 * The joint plan in its plain form, for the bench alone: placements x[plant, spot, season], settings
 * y[circuit, setting, season], and z[plant, spot, state, season] that links the two pair by pair. Quarantine and what a
 * spot or stand bears are rows as in the tight form (`core/src/plan/programme.ts`).
 */
import {
  groupsOf,
  lightStates,
  possibleSpots,
  settingsOfState,
  widthOn,
  worthAt,
  type PlanProblem,
} from '../core/src/plan/problem';
import { ProgrammeBuilder, type Programme, type Term } from '../core/src/plan/rows';

const AT_MOST = 1;

export function plainProgramme(problem: PlanProblem): Programme {
  const { seasons, plants, spots, stands, circuits, worth } = problem;
  const states = lightStates(problem);
  const possible = possibleSpots(problem);
  const rows = new ProgrammeBuilder();
  /** By season: the column of each plant on each of its spots. */
  const placed = seasons.map(() => plants.map(() => new Map<number, number>()));
  seasons.forEach((weight, season) => {
    const settings = circuits.map(({ costs }) => costs.map((cost) => rows.column(-weight * cost, 'whole')));
    for (const own of settings) rows.row(1, one(own), 1);
    plants.forEach((_, plant) => {
      const here = placed[season]![plant]!;
      for (const spot of possible[plant]!) {
        const x = rows.column(0, 'whole');
        here.set(spot, x);
        const at = worthAt(problem, states, { season, plant, spot });
        const lit = spots[spot]!.circuits;
        const linked = Array.from({ length: states.count[spot]! }, (_state, state) => {
          const z = rows.column(worth[at + state]!, 'any');
          settingsOfState(circuits, lit, state).forEach((setting, i) =>
            rows.row(
              -Infinity,
              [
                [z, 1],
                [settings[lit[i]!]![setting]!, -1],
              ],
              0,
            ),
          );
          return z;
        });
        rows.row(0, [[x, -1], ...one(linked)], 0);
      }
      rows.row(1, one([...here.values()]), 1);
    });
    const sizes = (of: (plant: number, spot: number) => number, within: (spot: number) => boolean): Term[] =>
      placed[season]!.flatMap((here, plant) =>
        [...here].flatMap(([spot, x]): Term[] => (within(spot) ? [[x, of(plant, spot)]] : [])),
      );
    const load = (plant: number) => plants[plant]!.loadG;
    spots.forEach(({ widthCm, loadG }, spot) => {
      const isHere = (other: number) => other === spot;
      rows.row(
        -Infinity,
        sizes((plant) => widthOn(plants[plant]!, spots[spot]!), isHere),
        widthCm,
      );
      rows.row(-Infinity, sizes(load, isHere), loadG);
    });
    stands.forEach(({ loadG }, stand) =>
      rows.row(
        -Infinity,
        sizes(load, (spot) => spots[spot]!.stand === stand),
        loadG,
      ),
    );
    keepTogether(rows, problem, placed[season]!);
  });
  payMoves(rows, problem, placed);
  return rows.done();
}

const one = (columns: readonly number[]): Term[] => columns.map((column) => [column, 1]);

const columnsOn = ({ spots }: PlanProblem, here: ReadonlyMap<number, number>, stand: number): number[] =>
  [...here].flatMap(([spot, x]) => (spots[spot]!.stand === stand ? [x] : []));

/** Groups on one stand; who is kept apart alone on its stand. */
function keepTogether(rows: ProgrammeBuilder, problem: PlanProblem, placed: readonly ReadonlyMap<number, number>[]) {
  const { stands, plants, wishes } = problem;
  for (const [first, ...others] of groupsOf(problem))
    for (const other of others)
      stands.forEach((_, stand) => {
        const [own, theirs] = [first!, other].map((plant) => columnsOn(problem, placed[plant]!, stand));
        rows.row(0, [...one(own!), ...theirs!.map((x): Term => [x, -1])], 0);
      });
  for (const wish of wishes) {
    if (wish.kind !== 'quarantine') continue;
    stands.forEach((_, stand) => {
      const own = columnsOn(problem, placed[wish.plant]!, stand);
      for (const x of own)
        plants.forEach((_plant, other) => {
          if (other === wish.plant) return;
          for (const theirs of columnsOn(problem, placed[other]!, stand))
            rows.row(
              -Infinity,
              [
                [x, 1],
                [theirs, 1],
              ],
              AT_MOST,
            );
        });
    });
  }
}

/** A plant pays for a spot on which it did not stand before. */
function payMoves(
  rows: ProgrammeBuilder,
  { plants }: PlanProblem,
  placed: readonly (readonly ReadonlyMap<number, number>[])[],
) {
  placed.forEach((bySeason, season) =>
    bySeason.forEach((here, plant) => {
      const { moveCost, now } = plants[plant]!;
      for (const [spot, x] of here) {
        if (season === 0) {
          if (now !== null && now !== spot) rows.gainMore(x, -moveCost);
          continue;
        }
        const came = rows.column(-moveCost, 'any');
        const before = placed[season - 1]![plant]!.get(spot);
        rows.row(-Infinity, [[x, 1], [came, -1], ...(before === undefined ? [] : ([[before, -1]] as Term[]))], 0);
      }
    }),
  );
}
