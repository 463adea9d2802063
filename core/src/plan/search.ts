/**
 * A plan bettered by annealing: plants shifted and exchanged over runs of seasons, groups moved from stand to stand,
 * settings turned; a change for the worse is taken at first readily, later hardly ever. It proves nothing; how good the
 * plan is, a bound says.
 */
import { Arrangement } from './arrangement';
import { groupsOf, possibleSpots, type Plan, type PlanProblem } from './problem';

export interface SearchGiven {
  readonly problem: PlanProblem;
  /** Within the rules. */
  readonly start: Plan;
  /** By plant: spots that are tried most, the likeliest first. */
  readonly favourites: readonly (readonly number[])[];
  /** Numbers from 0 to 1; the same give the same plan. */
  readonly random: () => number;
  readonly tries: number;
  /** Asked now and then, with the share that is done: whether to stop. */
  readonly onProgress?: (share: number) => 'go-on' | 'stop';
}

/** What a change for the worse may cost at first and at last, of the worth of a plant of weight 1 in a year. */
const WARM = 0.03;
const COLD = 0.002;
/** Of a hundred tries so many turn a circuit, and so many move a group. */
const TURNS = 12;
const GROUPS = 4;
/** So many go to one of the favourites, and so many keep to a run of all seasons. */
const TO_FAVOURITES = 85;
const ALL_YEAR = 50;
const NOBODY = -1;
const ASKED_EVERY = 20_000;

/** The best plan met. */
export function bettered(given: SearchGiven): Plan {
  const { problem, random, tries, onProgress } = given;
  const arrangement = new Arrangement(problem, given.start);
  const proposing = proposer(given, arrangement);
  let best = arrangement.objective;
  let kept = arrangement.plan();
  for (let i = 0; i < tries; i++) {
    if (onProgress && i % ASKED_EVERY === 0 && onProgress(i / tries) === 'stop') break;
    const warmth = WARM * (COLD / WARM) ** (i / tries);
    // A loss of so many times the warmth is taken with the probability of its exponential.
    const least = warmth * Math.log(random());
    proposing(least);
    arrangement.end(arrangement.brings(least) ? 'keep' : 'take-back');
    if (arrangement.objective <= best + 1e-9) continue;
    best = arrangement.objective;
    kept = arrangement.plan();
  }
  return kept;
}

/** Draws that the moves share. */
function drawing({ problem: { seasons }, random }: SearchGiven) {
  const below = (n: number) => Math.floor(random() * n);
  const chance = (ofHundred: number) => random() * 100 < ofHundred;
  return {
    below,
    chance,
    oneOf: <T>(list: readonly T[]): T => list[below(list.length)]!,
    /** From one season to another. */
    run(): readonly [number, number] {
      if (seasons.length === 1 || chance(ALL_YEAR)) return [0, seasons.length - 1];
      const [p, q] = [below(seasons.length), below(seasons.length)];
      return [Math.min(p, q), Math.max(p, q)];
    },
  };
}

/** What the moves need to know of a problem. */
function grounds({ problem, favourites }: SearchGiven) {
  const { plants, spots } = problem;
  const possible = possibleSpots(problem);
  const groups = groupsOf(problem);
  return {
    possible,
    favourites: favourites.map((list, plant) => (list.length > 0 ? list : possible[plant]!)),
    canStand: possible.map((list) => Uint8Array.from(spots, (_, spot) => Number(list.includes(spot)))),
    free: plants.flatMap((_, plant) => (possible[plant]!.length > 1 ? [plant] : [])),
    groups,
    isGrouped: new Set(groups.flat()),
  };
}

/** Makes one change at random, without ending it; none that is seen beforehand to bring less than wanted. */
function proposer(given: SearchGiven, arrangement: Arrangement): (least: number) => void {
  const { circuits } = given.problem;
  const draw = drawing(given);
  const ground = grounds(given);
  const shift = shifting(given, arrangement, draw, ground);
  const moveGroup = groupMoving(given, arrangement, draw, ground);
  const turn = (least: number) => {
    const circuit = draw.below(circuits.length);
    const setting = draw.below(circuits[circuit]!.costs.length);
    const [from, to] = draw.run();
    let gain = 0;
    for (let season = from; season <= to; season++) gain += arrangement.gainOfSetting(season, circuit, setting);
    if (gain < least) return;
    for (let season = from; season <= to; season++) arrangement.setTo(season, circuit, setting);
  };
  return (least) => {
    if (circuits.length > 0 && draw.chance(TURNS)) turn(least);
    else if (ground.groups.length > 0 && draw.chance(GROUPS)) moveGroup();
    else if (ground.free.length > 0) shift(least);
  };
}

type Draw = ReturnType<typeof drawing>;
type Ground = ReturnType<typeof grounds>;

/** Whoever is too much on a spot goes to another, if it can stand there. */
function giveWay(
  arrangement: Arrangement,
  { oneOf }: Draw,
  { canStand }: Ground,
  {
    season,
    spot,
    to,
    staying,
  }: {
    readonly season: number;
    readonly spot: number;
    readonly to: number;
    readonly staying: readonly number[];
  },
): void {
  if (!arrangement.isOver(season, spot)) return;
  const goes = oneOf(arrangement.occupants(season, spot));
  if (canStand[goes]![to] && !staying.includes(goes)) arrangement.place(season, goes, to);
}

/** A plant goes to a spot for a run of seasons; who is in its way takes the place it had. */
function shifting({ problem: { plants, seasons } }: SearchGiven, arrangement: Arrangement, draw: Draw, ground: Ground) {
  const { oneOf, chance, run } = draw;
  const { possible, favourites, canStand, free, isGrouped } = ground;
  /** By season: who gives way to a plant that comes. */
  const giving = new Int32Array(seasons.length);
  /** The most that a shift can bring; who must give way is chosen with it. Nothing is changed yet. */
  const hopeOf = (plant: number, spot: number, from: number, to: number): number => {
    let hope = arrangement.movesSaved(plant, spot, from, to);
    for (let season = from; season <= to; season++) {
      const before = arrangement.spotOf(season, plant);
      giving[season] = NOBODY;
      if (before === spot) continue;
      hope += arrangement.worth(season, plant, spot) - arrangement.worthNow(season, plant);
      if (!arrangement.isTooNarrow(season, spot, plant)) continue;
      const goes = oneOf(arrangement.occupants(season, spot));
      if (!canStand[goes]![before]) return -Infinity;
      giving[season] = goes;
      hope += arrangement.worth(season, goes, before) - arrangement.worthNow(season, goes);
      hope += 2 * plants[goes]!.moveCost;
    }
    return hope;
  };
  return (least: number): void => {
    const plant = oneOf(free);
    const [from, to] = run();
    const spot = oneOf(chance(TO_FAVOURITES) ? favourites[plant]! : possible[plant]!);
    if (isGrouped.has(plant))
      for (let season = from; season <= to; season++)
        if (arrangement.stand(arrangement.spotOf(season, plant)) !== arrangement.stand(spot)) return;
    if (hopeOf(plant, spot, from, to) < least) return;
    for (let season = from; season <= to; season++) {
      const before = arrangement.spotOf(season, plant);
      arrangement.place(season, plant, spot);
      if (giving[season] !== NOBODY) arrangement.place(season, giving[season]!, before);
      giveWay(arrangement, draw, ground, { season, spot, to: before, staying: [plant] });
    }
  };
}

/** A group goes to a stand for a run of seasons; who is in its way takes the places it had. */
function groupMoving(
  { problem: { spots, stands } }: SearchGiven,
  arrangement: Arrangement,
  draw: Draw,
  ground: Ground,
) {
  const { oneOf, below, run } = draw;
  const { possible, groups } = ground;
  return (): void => {
    const group = oneOf(groups);
    const stand = below(stands.length);
    const [from, to] = run();
    const options = group.map((plant) => possible[plant]!.filter((spot) => spots[spot]!.stand === stand));
    if (options.some((list) => list.length === 0)) return;
    const wanted = options.map((list) => oneOf(list));
    for (let season = from; season <= to; season++) {
      const before = group.map((plant) => arrangement.spotOf(season, plant));
      group.forEach((plant, i) => arrangement.place(season, plant, wanted[i]!));
      for (let round = 0; round < 2; round++)
        group.forEach((_, i) =>
          giveWay(arrangement, draw, ground, { season, spot: wanted[i]!, to: before[i]!, staying: group }),
        );
    }
  };
}
