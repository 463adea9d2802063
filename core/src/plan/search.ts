/**
 * A plan bettered by annealing: plants shifted and exchanged over runs of seasons, groups moved from stand to stand,
 * settings turned; a change for the worse is taken at first readily, later hardly ever. It proves nothing; how good the
 * plan is, a bound says.
 */
import { Arrangement } from './arrangement';
import { possibleSpots, type Plan, type PlanProblem } from './problem';

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
const COLD = 0.0004;
/** Of a hundred tries so many turn a circuit, and so many move a group. */
const TURNS = 6;
const GROUPS = 4;
/** So many go to one of the favourites, and so many keep to a run of all seasons. */
const TO_FAVOURITES = 85;
const ALL_YEAR = 50;
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
    proposing();
    // A loss of so many times the warmth is taken with the probability of its exponential.
    arrangement.end(arrangement.brings(warmth * Math.log(random())) ? 'keep' : 'take-back');
    if (arrangement.objective <= best + 1e-9) continue;
    best = arrangement.objective;
    kept = arrangement.plan();
  }
  return kept;
}

/** Makes one change at random, without ending it. */
function proposer({ problem, favourites, random }: SearchGiven, arrangement: Arrangement): () => void {
  const { plants, seasons, circuits, spots, stands, wishes } = problem;
  const possible = possibleSpots(problem);
  const canStand = possible.map((list) => Uint8Array.from(spots, (_, spot) => Number(list.includes(spot))));
  const free = plants.flatMap((_, plant) => (possible[plant]!.length > 1 ? [plant] : []));
  const groups = wishes.flatMap((wish) => (wish.kind === 'group' ? [wish.plants] : []));
  const groupOf = new Map(groups.flatMap((group) => group.map((plant) => [plant, group] as const)));
  const below = (n: number) => Math.floor(random() * n);
  const oneOf = <T>(list: readonly T[]): T => list[below(list.length)]!;
  const chance = (ofHundred: number) => random() * 100 < ofHundred;
  const run = (): readonly [number, number] => {
    if (seasons.length === 1 || chance(ALL_YEAR)) return [0, seasons.length - 1];
    const [p, q] = [below(seasons.length), below(seasons.length)];
    return [Math.min(p, q), Math.max(p, q)];
  };
  /** Whoever is too much on a spot goes to another, if it can stand there. */
  const giveWay = (season: number, spot: number, staying: readonly number[], to: number) => {
    if (!arrangement.isOver(season, spot)) return;
    const goes = oneOf(arrangement.occupants(season, spot));
    if (canStand[goes]![to] && !staying.includes(goes)) arrangement.place(season, goes, to);
  };
  const shift = () => {
    const plant = oneOf(free);
    const [from, to] = run();
    const list = chance(TO_FAVOURITES) ? favourites[plant]! : possible[plant]!;
    const spot = list.length > 0 ? oneOf(list) : oneOf(possible[plant]!);
    const isGrouped = groupOf.has(plant);
    for (let season = from; season <= to; season++) {
      const before = arrangement.spotOf(season, plant);
      if (isGrouped && arrangement.stand(before) !== arrangement.stand(spot)) continue;
      arrangement.place(season, plant, spot);
      giveWay(season, spot, [plant], before);
    }
  };
  const moveGroup = () => {
    const group = oneOf(groups);
    const stand = below(stands.length);
    const [from, to] = run();
    const options = group.map((plant) => possible[plant]!.filter((spot) => spots[spot]!.stand === stand));
    if (options.some((list) => list.length === 0)) return;
    const wanted = options.map((list) => oneOf(list));
    for (let season = from; season <= to; season++) {
      const before = group.map((plant) => arrangement.spotOf(season, plant));
      group.forEach((plant, i) => arrangement.place(season, plant, wanted[i]!));
      for (let round = 0; round < 2; round++) group.forEach((_, i) => giveWay(season, wanted[i]!, group, before[i]!));
    }
  };
  const turn = () => {
    const circuit = below(circuits.length);
    const setting = below(circuits[circuit]!.costs.length);
    const [from, to] = run();
    for (let season = from; season <= to; season++) arrangement.setTo(season, circuit, setting);
  };
  return () => {
    if (circuits.length > 0 && chance(TURNS)) turn();
    else if (groups.length > 0 && chance(GROUPS)) moveGroup();
    else if (free.length > 0) shift();
  };
}
