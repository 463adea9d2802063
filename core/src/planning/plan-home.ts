/**
 * The plan of a whole home. What each plant is worth on each spot under each setting of its timers is worked out by the
 * light and air engines; a joint plan is solved; then the light is worked out anew with the plants where the plan has
 * them, since they shade one another and stand in their lamps at their own heights. Where that differs from what was
 * planned by, it takes its place, and the home is planned again, until it no longer differs or a few rounds have gone.
 */
import type { HomeFacts, Plant } from '../facts';
import { fitYear, verdictScore, type Condition } from '../fit';
import type { HomeEngine } from '../home';
import { homeEnergy, yearEnergy } from '../lamp';
import { stepsInto, troublesFor } from '../match';
import {
  lightStates,
  planRounds,
  solvePlan,
  stateUnder,
  worthAt,
  type Plan,
  type PlanOutcome,
  type PlanProblem,
} from '../plan';
import { placedSpots } from '../room';
import { seasonalMonth } from '../taxon';
import { setMonthByMonth } from './by-month';
import { atCheapHours } from './cheap-hours';
import { energyWorth, layoutOf, problemOfHome, wantingOf, WorthTable, type Layout } from './home-problem';
import { lightUnder, timersOfSpots, type SpotLight } from './light-under';
import { heightClass, lightAtHeights } from './heights';
import { homeInSeason, plannedHome, scoreThrough, timerYears, type PlannedHome } from './planned-home';
import { REFUSALS } from './refusals';
import { planSettingsOf } from './settings';
import { programmeOf, timerMenu } from './timer-menu';
import type { Energy, FitTable, FoundPlan, PlanWork, PlantProposal, ThereFit } from './proposal';
import { verdictOfWorth, worthOfVerdict, type Wanting } from './worth';

export interface PlanAsked {
  readonly year: number;
  /** 1..12, the month that is on. */
  readonly month: number;
  /** The day it is made, YYYY-MM-DD. */
  readonly on: string;
}

/** What each plant wants where it stands, and what it has there: worked out before the plan is asked for. */
export interface PlanGround {
  readonly standing: ReadonlyMap<string, Pick<Wanting, 'targets' | 'reserveLeft'>>;
  /** Verdicts as it is, by plant; null where it stands nowhere. */
  readonly scores: ReadonlyMap<string, number | null>;
  /** Twelve months of every spot as it is. */
  readonly conditions: ReadonlyMap<string, readonly Condition[]>;
}

/** So often is a home planned anew as the light tells of the plants where they would stand. */
const MOST_ROUNDS = 4;
/** The light that is found agrees with what was planned by when verdicts differ by no more. */
const SAME_VERDICT = 0.01;
/** For each round: gap at which a plan is good enough, rounds of search and prices, seconds for the solver. */
const WANTED = { gap: 0.01, rounds: 3, seconds: 2 } as const;
/** The plan that is kept is proven for longer. */
const PROVEN = { ...WANTED, seconds: 8 } as const;
const SHARES = { now: 0.1, light: 0.4, rounds: 0.9 } as const;
const ELSEWHERE_TOLD = 5;

export function* planHome(engine: HomeEngine, facts: HomeFacts, asked: PlanAsked, ground: PlanGround): PlanWork {
  const settings = planSettingsOf(facts);
  const isKnown = (id: string) => (ground.standing.get(id)?.targets.length ?? 0) > 0;
  const plants = facts.plants.filter(({ id }) => isKnown(id));
  const spots = placedSpots(facts);
  if (plants.length === 0 || spots.length === 0) return { state: 'nothing' };
  const menus = facts.circuits.map((circuit) => timerMenu(circuit, facts.home.latitude));
  const layout = layoutOf(engine, facts, { settings, plants, spots, menus, month: asked.month });
  const wanting = wantingOf(layout, ground.standing);
  const timers = timersOfSpots(engine, facts, { year: asked.year, spots, menus });
  const lighting = lightUnder(engine, facts, {
    year: asked.year,
    menus,
    spotIds: spots.map(({ spot }) => spot.id),
    timers,
    airOf: facts,
  });
  let step = lighting.next();
  for (; !step.done; step = lighting.next()) yield SHARES.now * step.value;
  const lights = step.value;
  const atHeights = lightAtHeights(engine, layout, { year: asked.year, timers, lights });
  let next = atHeights.next();
  for (; !next.done; next = atHeights.next()) yield SHARES.now + (SHARES.light - SHARES.now) * next.value;
  const desk: Desk = { engine, layout, wanting, lights, byHeight: next.value, own: new Map(), asked, ground };
  return yield* planned(desk);
}

/** All that a home is planned by. */
interface Desk {
  readonly engine: HomeEngine;
  readonly layout: Layout;
  readonly wanting: readonly Wanting[];
  /** By spot, as who stands there now has it. */
  readonly lights: readonly SpotLight[];
  /** By height of a plant and spot: as a plant of about that height would have it. */
  readonly byHeight: readonly (readonly SpotLight[])[];
  /** By plant and spot, where it has been worked out for the plant itself. */
  readonly own: Map<number, SpotLight>;
  readonly asked: PlanAsked;
  readonly ground: PlanGround;
}

/** A round's plan with what it comes to. */
interface Tried {
  readonly plan: Plan;
  readonly problem: PlanProblem;
  readonly found: Extract<PlanOutcome, { state: 'found' }>;
  readonly home: PlannedHome;
  readonly scores: readonly number[];
  readonly total: number;
  /** How far the verdicts were from what was planned by, at most. */
  readonly off: number;
}

/** Of a plant where it stands, its spot's own; elsewhere that of a plant as tall, until it has been worked out. */
const lightOf = ({ lights, own, layout, byHeight }: Desk) => {
  const heights = layout.plants.map(heightClass);
  return (plant: number, spot: number): SpotLight => {
    const found = own.get(plant * layout.spots.length + spot);
    if (found) return found;
    const stands = layout.plants[plant]!.spotId === layout.spots[spot]!.spot.id;
    return stands ? lights[spot]! : byHeight[heights[plant]!]![spot]!;
  };
};

function* planned(desk: Desk): PlanWork {
  const { engine, layout, wanting, lights, asked } = desk;
  const table = new WorthTable({
    menus: layout.menus,
    years: layout.settings.years,
    fromMonth: asked.month,
    seasons: layout.seasons,
  });
  let best: Tried | null = null;
  let rounds = 0;
  for (; rounds < MOST_ROUNDS; rounds++) {
    const share = SHARES.light + ((SHARES.rounds - SHARES.light) * rounds) / MOST_ROUNDS;
    yield share;
    const problem = problemOfHome(layout, wanting, lights, lightOf(desk), table);
    const solving = planRounds(engine.solver, problem, WANTED);
    let step = solving.next();
    for (; !step.done; step = solving.next()) {
      const { plan, found, bound } = step.value;
      const proof = { objective: found!, bound: bound ?? Infinity };
      yield { share, interim: tableProposal(desk, problem, plan, proof, rounds) };
    }
    const found = step.value;
    if (found.state === 'impossible') return { state: 'impossible', clash: found.clash.map(({ id }) => id) };
    if (found.state === 'undecided') return { state: 'undecided' };
    const tried = tryPlan(desk, problem, found);
    if (!best || tried.total > best.total) best = tried;
    if (tried.off <= SAME_VERDICT || rounds === MOST_ROUNDS - 1) break;
    yield* ownLights(desk, tried, share);
  }
  yield SHARES.rounds;
  return workedOut(desk, proven(engine, best!), rounds + 1);
}

/** The same plan with a bound that was looked for longer, where it is not near enough yet. */
function proven(engine: HomeEngine, tried: Tried): Tried {
  const { objective, bound } = tried.found;
  if (bound - objective <= WANTED.gap * Math.abs(objective)) return tried;
  const again = solvePlan(engine.solver, tried.problem, PROVEN);
  return again.state === 'found' ? { ...tried, found: { ...tried.found, bound: Math.min(bound, again.bound) } } : tried;
}

/** Worth of verdicts of all plants. */
const together = (wanting: readonly Wanting[], scores: readonly number[]): number =>
  wanting.reduce((sum, { weight }, p) => sum + weight * worthOfVerdict(scores[p]!), 0);

/** Works out what a plan comes to in the changed home. */
function tryPlan(desk: Desk, problem: PlanProblem, found: Tried['found']): Tried {
  const { engine, layout, wanting, asked } = desk;
  const { plan } = found;
  const home = plannedHome(engine, layout, plan, { timers: timerYears(layout, plan), year: asked.year, on: asked.on });
  const scores = wanting.map((one, p) => scoreThrough(layout, one, home.years[p]!, asked.month));
  const expected = wanting.map((_, p) => tableScore(desk, problem, plan, p));
  const off = Math.max(...scores.map((score, p) => Math.abs(score - expected[p]!)));
  const worthOf = (of: readonly number[]) => together(wanting, of);
  return { plan, problem, found, home, scores, total: found.objective - worthOf(expected) + worthOf(scores), off };
}

/** A plant's verdict through the year by the table: months of each season on the season's spot. */
function tableScore(desk: Desk, _problem: PlanProblem, plan: Plan, plant: number): number {
  const { layout, wanting, asked } = desk;
  const years = timerYears(layout, plan);
  const months = layout.seasons.flatMap((own, season) => {
    const light = lightOf(desk)(plant, plan.spots[season]![plant]!);
    return own.map((month) => ({ month, condition: light.years[wayOf(layout, light, years, month - 1)]![month - 1]! }));
  });
  const year = months.sort((p, q) => p.month - q.month).map(({ condition }) => condition);
  return scoreThrough(layout, wanting[plant]!, year, asked.month);
}

const wayOf = ({ menus }: Layout, { timers }: SpotLight, years: readonly (readonly number[])[], month0: number) =>
  timers.reduce((way, menu) => way * menus[menu]!.ways.length + years[menu]![month0]!, 0);

/** Takes the light of plants where the plan has them into account from now on, where it is not what was planned by. */
function* ownLights(desk: Desk, { plan, problem, home, scores }: Tried, share: number): Generator<number, void, void> {
  const { engine, layout, lights, asked } = desk;
  for (const [season, at] of plan.spots.entries()) {
    const differing = at.flatMap((spot, plant) =>
      Math.abs(scores[plant]! - tableScore(desk, problem, plan, plant)) > SAME_VERDICT / 2 ? [{ spot, plant }] : [],
    );
    const spotIds = [...new Set(differing.map(({ spot }) => spot))];
    const working = lightUnder(engine, home.homes[season]!, {
      year: asked.year,
      menus: layout.menus,
      spotIds: spotIds.map((spot) => layout.spots[spot]!.spot.id),
      timers: spotIds.map((spot) => lights[spot]!.timers),
      airOf: layout.facts,
    });
    let step = working.next();
    for (; !step.done; step = working.next()) yield share;
    const found = step.value;
    for (const { spot, plant } of differing)
      desk.own.set(plant * layout.spots.length + spot, found[spotIds.indexOf(spot)]!);
  }
}

/** The best plan with its timers set month by month, and every figure as the engines find it in the changed home. */
function workedOut(desk: Desk, tried: Tried, rounds: number): FoundPlan {
  const { engine, layout, wanting, asked } = desk;
  const { plan } = tried;
  const start = timerYears(layout, plan);
  const standing = wanting.map((one, p) => ({
    wanting: one,
    lightOf: (month0: number) => {
      const season = layout.seasons.findIndex((months) => months.includes(month0 + 1));
      return lightOf(desk)(p, plan.spots[season]![p]!);
    },
  }));
  const tuned = setMonthByMonth(layout, standing, start, asked.month);
  const cheap = atCheapHours(layout.menus, layout.facts.tariffs);
  // What the table promised of a setting may not come true with all plants in their places: each is worked out.
  const settings: Setting[] = [
    { layout, years: start },
    { layout, years: tuned },
    ...(cheap ? [{ layout: { ...layout, menus: cheap }, years: tuned }] : []),
  ];
  const worked = settings.map((setting) => {
    const planned = plannedHome(engine, setting.layout, plan, {
      timers: setting.years,
      year: asked.year,
      on: asked.on,
    });
    const scores = wanting.map((one, p) => scoreThrough(layout, one, planned.years[p]!, asked.month));
    return { ...setting, planned, worth: together(wanting, scores) - energyWorth(planned.homes[0]!) };
  });
  const chosen = worked.reduce((p, q) => (q.worth > p.worth ? q : p));
  return proposal({ ...desk, layout: chosen.layout }, tried.problem, plan, {
    certainty: 'worked-out',
    years: chosen.years,
    scores: wanting.map(({ targets, reserveLeft }, p) =>
      verdictScore(targets, chosen.planned.years[p]!, asked.month, reserveLeft),
    ),
    through: chosen.planned.years,
    home: chosen.planned.homes[0]!,
    found: tried.found,
    rounds,
    stillOff: tried.off,
  });
}

/** Years of the timers, by the menus of a layout. */
interface Setting {
  readonly layout: Layout;
  readonly years: readonly (readonly number[])[];
}

interface Told {
  readonly certainty: FoundPlan['certainty'];
  /** By menu. */
  readonly years: readonly (readonly number[])[];
  /** By plant. */
  readonly scores: readonly number[];
  /** Twelve months of each plant by the plan; null where it was not worked out. */
  readonly through: readonly (readonly Condition[])[] | null;
  /** The home in the season that is on. */
  readonly home: HomeFacts;
  readonly found: { readonly objective: number; readonly bound: number };
  readonly rounds: number;
  readonly stillOff: number;
}

function tableProposal(desk: Desk, problem: PlanProblem, plan: Plan, found: Told['found'], rounds: number): FoundPlan {
  const { layout, wanting, asked } = desk;
  const years = timerYears(layout, plan);
  return proposal(desk, problem, plan, {
    certainty: 'so-far',
    years,
    scores: wanting.map((_, p) => tableScore(desk, problem, plan, p)),
    through: null,
    home: homeInSeason(layout, plan.spots[0]!, years, asked.on),
    found,
    rounds,
    stillOff: 1,
  });
}

const energyOf = (facts: HomeFacts): Energy => {
  const months = homeEnergy(facts);
  return { months, year: yearEnergy(months) };
};

function proposal(desk: Desk, problem: PlanProblem, plan: Plan, told: Told): FoundPlan {
  const { layout } = desk;
  const { facts, menus, plants, seasons, refusals } = layout;
  const { objective, bound } = told.found;
  const table = fitTable(desk, problem, plan);
  const kWhOf = (home: HomeFacts, circuitId: string) =>
    yearEnergy(
      homeEnergy({
        ...home,
        circuits: home.circuits.filter(({ id }) => id === circuitId),
        lamps: home.lamps.filter((lamp) => lamp.circuitId === circuitId),
      }),
    ).kWh;
  return {
    state: 'found',
    certainty: told.certainty,
    seasons,
    plants: plants.map((_, p) => plantProposal(desk, plan, table, told, p)),
    timers: menus.map((menu, c) => ({
      circuitId: menu.circuit.id,
      programme: programmeOf(menu, told.years[c]!),
      isChanged: `${menu.years[0]!}` !== `${told.years[c]!}`,
      kWhBefore: kWhOf(facts, menu.circuit.id),
      kWhAfter: kWhOf(told.home, menu.circuit.id),
    })),
    energyBefore: energyOf(facts),
    energyAfter: energyOf(told.home),
    proof: { objective, bound, gap: Math.max(0, bound - objective) / Math.max(Math.abs(objective), 1e-9) },
    table,
    rounds: told.rounds,
    stillOff: told.stillOff,
    alwaysInReach: refusals.alwaysInReach,
    unknown: facts.plants.filter(({ id }) => !plants.some((plant) => plant.id === id)).map(({ id }) => id),
    assumed: plants.filter(({ potCm, heightCm }) => potCm === null || heightCm === null).map(({ id }) => id),
  };
}

/** Verdicts of each plant on each spot as timers are now, and as the plan has them in the season that is on. */
function fitTable(desk: Desk, problem: PlanProblem, plan: Plan): FitTable {
  const { layout, wanting } = desk;
  const { plants, spots, refusals } = layout;
  const size = plants.length * spots.length;
  const [now, planned] = [new Float32Array(size).fill(-1), new Float32Array(size).fill(-1)];
  const states = lightStates(problem);
  const set = plan.settings[0]!;
  const unchanged = set.map(() => 0);
  const verdictUnder = (plant: number, spot: number, settings: readonly number[]) => {
    const light = lightOf(desk)(plant, spot);
    const years = layout.menus.map(({ years: own }, c) => own[settings[c]!]!);
    const year = Array.from({ length: 12 }, (_, month0) => light.years[wayOf(layout, light, years, month0)]![month0]!);
    return scoreThrough(layout, wanting[plant]!, year, desk.asked.month);
  };
  plants.forEach((_, plant) =>
    spots.forEach((_spot, spot) => {
      const i = plant * spots.length + spot;
      if (refusals.why[i]! >= 0) return;
      const at = worthAt(problem, states, { season: 0, plant, spot });
      const scale = wanting[plant]!.weight * problem.seasons[0]!;
      const under = (settings: readonly number[]) =>
        problem.worth[at + stateUnder(problem.circuits, problem.spots[spot]!.circuits, settings)]! / scale;
      // Of one that is grown for flowers the worth tells of more than its verdict.
      const isForFlowers = wanting[plant]!.goal === 'flower';
      now[i] = isForFlowers ? verdictUnder(plant, spot, unchanged) : verdictOfWorth(under(unchanged));
      planned[i] = isForFlowers ? verdictUnder(plant, spot, set) : verdictOfWorth(under(set));
    }),
  );
  return {
    plantIds: plants.map(({ id }) => id),
    spotIds: spots.map(({ spot }) => spot.id),
    now,
    planned,
    refusals: Array.from(refusals.why, (why) => (why < 0 ? null : REFUSALS[why]!)),
  };
}

function plantProposal(desk: Desk, plan: Plan, table: FitTable, told: Told, p: number): PlantProposal {
  const { layout, ground } = desk;
  const { plants, spots } = layout;
  const plant = plants[p]!;
  const own = plan.spots.map((at) => at[p]!);
  const elsewhere = spots
    .map(({ spot }, s) => ({ spotId: spot.id, s, score: table.planned[p * spots.length + s]! }))
    .filter(({ s, score }) => score >= 0 && !own.includes(s))
    .sort((x, y) => y.score - x.score)
    .slice(0, ELSEWHERE_TOLD)
    .map(({ spotId, score }) => ({ spotId, score }));
  return {
    plantId: plant.id,
    fromSpotId: plant.spotId,
    spotIds: own.map((spot) => spots[spot]!.spot.id),
    before: ground.scores.get(plant.id) ?? null,
    after: told.scores[p]!,
    elsewhere,
    there: told.through ? thereOf(desk, told.through[p]!, p) : null,
    settling: settlingOf(desk, plant, told.through?.[p] ?? null),
    here: hereAtBest(desk, p),
  };
}

function thereOf({ wanting, asked }: Desk, through: readonly Condition[], p: number): ThereFit {
  const { targets, reserveLeft, goal } = wanting[p]!;
  const fit = fitYear(targets, through, asked.month, reserveLeft);
  const [worst = null] = troublesFor(goal, fit);
  return { verdict: fit.verdict, worst, month: fit.months[asked.month - 1]! };
}

/** Stages in which a plant gets used to light more slowly, and how much more slowly: judgement. */
const SLOW_STAGES: ReadonlySet<Plant['stage']> = new Set(['just-arrived', 'recovering', 'cutting', 'rooted-cutting']);
const SLOWER = 2;

/** How a plant gets used to its new light, from what it has now; slower where it is new or weak. */
function settlingOf({ asked, ground, layout }: Desk, plant: Plant, through: readonly Condition[] | null) {
  const now = ground.conditions.get(plant.spotId ?? '')?.[asked.month - 1];
  if (!now || !through) return null;
  const steps = stepsInto(now, through[asked.month - 1]!, seasonalMonth(asked.month, layout.facts.home.latitude));
  return steps && { ...steps, weeks: steps.weeks * (SLOW_STAGES.has(plant.stage) ? SLOWER : 1) };
}

/** What its present spot could be by its timers alone. */
function hereAtBest(desk: Desk, p: number): PlantProposal['here'] {
  const { layout, wanting, asked } = desk;
  const spot = layout.spots.findIndex(({ spot: one }) => one.id === layout.plants[p]!.spotId);
  if (spot < 0) return null;
  const light = lightOf(desk)(p, spot);
  const [first] = light.timers;
  if (first === undefined) return null;
  const menu = layout.menus[first]!;
  const others = light.timers.slice(1).map((other) => layout.menus[other]!.ways.length);
  const stride = others.reduce((product, count) => product * count, 1);
  const scores = menu.ways.map((_, way) => scoreThrough(layout, wanting[p]!, light.years[way * stride]!, asked.month));
  const best = scores.indexOf(Math.max(...scores));
  const hours = menu.ways[best]!.spans.reduce((sum, { onMinute, offMinute }) => sum + (offMinute - onMinute) / 60, 0);
  return { circuitId: menu.circuit.id, hours, score: scores[best]! };
}
