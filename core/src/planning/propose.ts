/** A plan as it is told: where each plant goes and why, how timers run, what it costs, and what is proven of it. */
import type { HomeFacts, Plant } from '../facts';
import { fitYear, type Condition } from '../fit';
import { homeEnergy, yearEnergy } from '../lamp';
import { lampNeeded, ledFor, stepsInto, troublesFor } from '../match';
import type { Plan, PlanProblem } from '../plan';
import { lightStates, stateUnder, worthAt } from '../plan';
import { seasonalMonth } from '../taxon';
import { lightOf, tableScore, type Desk } from './desk';
import { hereAtBest } from './here-at-best';
import { wayIn } from './light-under';
import { ifFreer } from './if-freer';
import { hungAt } from './hanging';
import { homeInSeason, raisesBySeason, scoreThrough, timerYears } from './planned-home';
import { isTimer } from './menu';
import { nightBreakers } from './night-breakers';
import type { Energy, FitTable, FoundPlan, HungLamp, PlantProposal, ThereFit } from './proposal';
import { REFUSALS } from './refusals';
import { programmeOf, type TimerMenu } from './timer-menu';
import { verdictOfWorth } from './worth';

/** Spots that are told of besides a plant's own. */
const ELSEWHERE_TOLD = 5;

/** What a plan was found to come to. */
export interface Told {
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
  readonly others: FoundPlan['others'];
}

/** The best so far, by the table it is planned by. */
export function proposalSoFar(desk: Desk, problem: PlanProblem, plan: Plan, found: Told['found']): FoundPlan {
  const { layout, wanting, asked } = desk;
  const years = timerYears(layout, plan);
  return proposal(desk, problem, plan, {
    certainty: 'so-far',
    years,
    scores: wanting.map((_, p) => tableScore(desk, plan, p)),
    through: null,
    home: homeInSeason(layout, { at: plan.spots[0]!, season: 0 }, years, asked.on),
    found,
    rounds: 0,
    stillOff: 1,
    others: [],
  });
}

const energyOf = (facts: HomeFacts): Energy => {
  const months = homeEnergy(facts);
  return { months, year: yearEnergy(months) };
};

export function proposal(desk: Desk, problem: PlanProblem, plan: Plan, told: Told): FoundPlan {
  const { layout } = desk;
  const { facts, menus, plants, seasons, refusals } = layout;
  const { objective, bound } = told.found;
  const table = fitTable(desk, problem, plan);
  const raises = raisesBySeason(layout, told.years);
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
    // Timers stand before curtains among the menus, so that their indices are the same.
    timers: menus.filter(isTimer).map((menu, c) => ({
      circuitId: menu.circuit.id,
      programme: programmeOf(menu, told.years[c]!),
      isChanged: `${menu.years[0]!}` !== `${told.years[c]!}`,
      hung: hungBySeason(facts, menu, raises[c]!),
      kWhBefore: kWhOf(facts, menu.circuit.id),
      kWhAfter: kWhOf(told.home, menu.circuit.id),
    })),
    others: told.others,
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

/** Lamps of a timer that hang otherwise than in the season before, the first beside now. */
function hungBySeason({ lamps }: HomeFacts, { circuit }: TimerMenu, raises: readonly number[]): HungLamp[][] {
  const own = lamps.filter(({ circuitId }) => circuitId === circuit.id);
  return raises.map((raiseM, season) =>
    raiseM === (raises[season - 1] ?? 0)
      ? []
      : own.map((lamp) => ({ lampId: lamp.id, aboveM: raiseM === 0 ? lamp.aboveM : hungAt(lamp, raiseM) })),
  );
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
    const year = Array.from(
      { length: 12 },
      (_, month0) => light.years[wayIn(light, layout.menus, years, month0)]![month0]!,
    );
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
    there: told.through ? thereOf(desk, { through: told.through[p]!, home: told.home, spot: own[0]! }, p) : null,
    settling: settlingOf(desk, p, told.through?.[p] ?? null),
    here: hereAtBest(desk, p),
  };
}

/** A plant where the plan has it in the season that is on. */
interface There {
  readonly through: readonly Condition[];
  readonly home: HomeFacts;
  readonly spot: number;
}

function thereOf(desk: Desk, { through, home, spot }: There, p: number): ThereFit {
  const { engine, wanting, asked, layout } = desk;
  const { targets, reserveLeft, goal } = wanting[p]!;
  const fit = fitYear(targets, through, asked.month, reserveLeft);
  const [worst = null] = troublesFor(goal, fit);
  const lamp = lampNeeded(targets, through, fit);
  const lacks = lamp && { ...lamp, ...ledFor(lamp, layout.facts.tariffs) };
  const nightBrokenBy = nightBreakers(wanting[p]!, through, {
    ...{ engine, home, year: asked.year, month: asked.month },
    spotId: layout.spots[spot]!.spot.id,
    circuitIds: lightOf(desk)(p, spot)
      .timers.map((menu) => layout.menus[menu]!)
      .filter(isTimer)
      .map(({ circuit }) => circuit.id),
  });
  return {
    verdict: fit.verdict,
    worst,
    month: fit.months[asked.month - 1]!,
    lacks,
    nightBrokenBy,
    ifFreer: ifFreer(desk, p, { home, spot, score: fit.verdict.score }),
  };
}

/** Stages in which a plant gets used to light more slowly, and how much more slowly: judgement. */
const SLOW_STAGES: ReadonlySet<Plant['stage']> = new Set(['just-arrived', 'recovering', 'cutting', 'rooted-cutting']);
const SLOWER = 2;

/** How a plant gets used to its new light, from what it has now; slower where it is new or weak. */
function settlingOf({ asked, ground, layout, wanting }: Desk, p: number, through: readonly Condition[] | null) {
  const { plants, facts, settings } = layout;
  const { spotId, stage } = plants[p]!;
  const now = ground.conditions.get(spotId ?? '')?.[asked.month - 1];
  if (!now || !through) return null;
  const steps = stepsInto(now, through[asked.month - 1]!, {
    survivesMol: wanting[p]!.targets[asked.month - 1]!.light.survives,
    pace: settings.hardening,
    seasonMonth: seasonalMonth(asked.month, facts.home.latitude),
  });
  return steps && { ...steps, weeks: steps.weeks * (SLOW_STAGES.has(stage) ? SLOWER : 1) };
}
