/** What would help the plants of a home: each change worked out for every plant it touches, none that harms another, none that claim one thing twice. */
import { vapourPressureDeficit } from '../air';
import { applied, roomIdOfSpot, type HomeFacts, type Plant, type Spot } from '../facts';
import { lifeClass, LIFE_CLASSES, type Condition, type LifeClass, type YearFit } from '../fit';
import type { HomeEngine, Steps } from '../home';
import {
  changesOf,
  claimsOf,
  effortOf,
  heightFree,
  refusalOf,
  remediesFor,
  scoreAt,
  stepsInto,
  type AirRemedy,
  type Effect,
  type Mend,
  type PlantMends,
  type RefusedMend,
  type Remedy,
  type Urgency,
} from '../match';
import { seasonalMonth } from '../taxon';
import { casesOf, type PlantCase } from './cases';
import {
  conditionsOf,
  homeAnswers,
  rememberedFit,
  standingOf,
  type Conditions,
  type Standing,
  type When,
} from './home-answers';

/** No plant loses more than this by what helps another; a fall of a class is refused from the other on. */
const MOST_LOST = 0.03;
const LEAST_FALL = 0.01;
/** A change is worth a word when the plant gains this much. */
const WORTH_IT = 0.05;
/** Effects smaller than a point are not told. */
const WORTH_TELLING = 0.01;
/** What others gain counts for half of what the plant gains that the change is for. */
const OTHERS_SHARE = 0.5;
/** Buds are worth this much to one who wants flowers. */
const FLOWERS_WORTH = 0.15;
/** So many mends are told of a plant. */
const MENDS_TOLD = 3;
/** Best spots of a plant that are looked at, free ones and taken ones. */
const SPOTS_TRIED = 4;
const TAKEN_TRIED = 8;
/** Spots worked out anew in one answer, the most urgent plants' first: under other settings, and from another place or height, which takes ten times as long. */
const SPOTS_UNDER_SETTINGS = 400;
const SPOTS_ELSEWHERE = 12;
/** A plant of this height changes the light of others, cm. */
const SHADES_FROM_CM = 30;

/** A home with all that mends are judged by. */
interface Desk {
  readonly engine: HomeEngine;
  readonly facts: HomeFacts;
  readonly when: When;
  readonly conditions: Conditions;
  readonly standing: ReadonlyMap<string, Standing>;
  readonly occupants: ReadonlyMap<string, readonly Plant[]>;
  readonly free: readonly Spot[];
  /** What settings come to, by remedy: asked by several plants, worked out once. */
  readonly settings: Map<string, Conditions | null>;
  left: { settings: number; elsewhere: number };
}

/** What a change leads to. */
interface Outcome {
  readonly remedy: Remedy;
  readonly effects: readonly Effect[];
  /** The plant's own year after it. */
  readonly after: readonly Condition[];
}

const answered = new WeakMap<HomeFacts, { readonly key: string; readonly mends: PlantMends[] }>();

/** A plant that needs something, and all that could be done for it. */
interface Asking {
  readonly plant: Plant;
  readonly urgency: Urgency;
  readonly isDying: boolean;
  readonly fair: readonly Rated[];
  readonly refused: Rated | null;
}

/** For each plant that needs something, what would help, best for its effort first. Plants without need are left out. */
export function* mends(engine: HomeEngine, facts: HomeFacts, when: When): Steps<PlantMends[]> {
  const key = `${when.year}-${when.month}`;
  const known = answered.get(facts);
  if (known?.key === key) return known.mends;
  const answers = yield* homeAnswers(engine, facts, when);
  const desk = deskOf(engine, facts, when, conditionsOf(answers));
  const cases = casesOf(facts, answers.plants).filter(({ urgency }) => urgency !== 'mild');
  const asking: Asking[] = [];
  for (const [i, item] of cases.entries()) {
    yield i / (cases.length + 1);
    asking.push(askingFor(desk, item));
  }
  for (const plant of facts.plants) if (plant.spotId === null) asking.push(seekingPlace(desk, plant));
  const told = shared(desk, asking);
  answered.set(facts, { key, mends: told });
  return told;
}

/** What is urgent comes before what is not, and what will die before what merely does not grow, where both would claim one thing: judgement. */
const URGENT: Readonly<Record<Urgency, number>> = { week: 2, season: 1.3, later: 1, mild: 1, none: 1 };
const DYING = 1.5;
const DYING_CLASSES: readonly LifeClass[] = ['weeks', 'months'];

/** Gives each plant its first mend, where it does most for its effort in the whole home, and then others beside it. */
function shared(desk: Desk, asking: readonly Asking[]): PlantMends[] {
  const claimedBy = new Map<string, string>();
  const isOpen = ({ remedy }: Outcome, plantId: string) =>
    claimsOf(remedy).every((claim) => (claimedBy.get(claim) ?? plantId) === plantId);
  const firsts = new Map<string, Mend>();
  const all = asking.flatMap(({ plant, urgency, isDying, fair }) =>
    fair.map((rated) => ({ plant, rated, value: rated.value * URGENT[urgency] * (isDying ? DYING : 1) })),
  );
  for (const { plant, rated } of all.sort((p, q) => q.value - p.value)) {
    if (firsts.has(plant.id) || !isOpen(rated.outcome, plant.id)) continue;
    const mend = mendOf(desk, plant, rated.outcome);
    if (!mend) continue;
    firsts.set(plant.id, mend);
    // Who is helped by a setting stays where it is: nobody is told to change places with it.
    for (const claim of [...claimsOf(mend.remedy), `plant ${plant.id}`]) claimedBy.set(claim, plant.id);
  }
  return asking.map(({ plant, fair, refused }) => {
    const first = firsts.get(plant.id) ?? seenByOther(plant.id, firsts.values());
    const mends = first ? [first] : [];
    for (const { outcome } of fair) {
      if (mends.length >= MENDS_TOLD) break;
      // The best of each kind: a list of five spots is no choice of ways.
      if (mends.some(({ remedy }) => remedy.kind === outcome.remedy.kind) || !isOpen(outcome, plant.id)) continue;
      const mend = mendOf(desk, plant, outcome);
      if (mend) mends.push(mend);
    }
    return { plantId: plant.id, mends, refused: refusedOf(plant, refused, mends) };
  });
}

/** The first mend of another plant as this one sees it, which changes places in it and gains by it; undefined where there is none. */
function seenByOther(plantId: string, firsts: Iterable<Mend>): Mend | undefined {
  for (const mend of firsts) {
    const { remedy, effect, others } = mend;
    const own = others.find((other) => other.plantId === plantId);
    const isCarried = 'otherPlantId' in remedy && remedy.otherPlantId === plantId;
    if (!isCarried || !own || own.after < own.before + WORTH_IT) continue;
    const rest = others.filter((other) => other !== own);
    return { ...mend, effect: own, lifeAfter: lifeClass(own.after), others: [effect, ...rest], steps: null };
  }
  return undefined;
}

/** What was refused is worth a word where it would have done more than what is proposed. */
function refusedOf(plant: Plant, refused: Rated | null, mends: readonly Mend[]): RefusedMend | null {
  if (!refused?.harmed) return null;
  const effect = effectOn(refused.outcome, plant.id);
  const best = Math.max(0, ...mends.map((mend) => mend.effect.after));
  return effect.after > best ? { remedy: refused.outcome.remedy, effect, harmed: refused.harmed } : null;
}

function deskOf(engine: HomeEngine, facts: HomeFacts, when: When, conditions: Conditions): Desk {
  const occupants = new Map<string, Plant[]>();
  for (const plant of facts.plants) {
    if (plant.spotId === null) continue;
    const here = occupants.get(plant.spotId);
    if (here) here.push(plant);
    else occupants.set(plant.spotId, [plant]);
  }
  const standing = new Map(facts.plants.map((plant) => [plant.id, standingOf(engine, facts, plant, when, conditions)]));
  const free = facts.spots.filter(({ id }) => !occupants.has(id) && conditions.has(id));
  const left = { settings: SPOTS_UNDER_SETTINGS, elsewhere: SPOTS_ELSEWHERE };
  return { engine, facts, when, conditions, standing, occupants, free, settings: new Map(), left };
}

/** A plant's score under some twelve months, with the reserve it has; null where nothing is known of it. */
function scoreUnder({ standing, when }: Desk, plant: Pick<Plant, 'id'>, year: readonly Condition[]): number | null {
  const { targets, reserveLeft } = standing.get(plant.id)!;
  return targets.length === 0 ? null : scoreAt(targets, year, when.month, reserveLeft);
}

const scoreNow = (desk: Desk, { id, spotId }: Plant): number =>
  (spotId !== null && scoreUnder(desk, { id }, desk.conditions.get(spotId) ?? [])) || 0;

/** Whether a plant can stand on a spot at all. */
const takes = ({ facts }: Desk, spot: Spot, plant: Plant): boolean =>
  refusalOf(plant, spot, heightFree(facts, spot)) === null;

interface RatedSpot {
  readonly spot: Spot;
  readonly score: number;
}

/** Spots that take a plant and do it good, best first. */
function ratedSpots(desk: Desk, plant: Plant, spots: readonly Spot[], above: number, count: number): RatedSpot[] {
  return spots
    .flatMap((spot): RatedSpot[] => {
      const score = takes(desk, spot, plant) ? scoreUnder(desk, plant, desk.conditions.get(spot.id)!) : null;
      return score !== null && score > above + WORTH_IT ? [{ spot, score }] : [];
    })
    .sort((p, q) => q.score - p.score || (p.spot.id < q.spot.id ? -1 : 1))
    .slice(0, count);
}

function carries(desk: Desk, plant: Plant): Outcome[] {
  const before = scoreNow(desk, plant);
  const effect = { plantId: plant.id, before };
  const free = ratedSpots(desk, plant, desk.free, before, SPOTS_TRIED);
  const moves = free.map(({ spot, score }): Outcome => {
    const remedy: Remedy = { kind: 'move', plantId: plant.id, spotId: spot.id };
    return { remedy, effects: [{ ...effect, after: score }], after: desk.conditions.get(spot.id)! };
  });
  const own = desk.facts.spots.find(({ id }) => id === plant.spotId);
  if (!own) return moves;
  const taken = desk.facts.spots.filter(({ id }) => id !== own.id && desk.occupants.get(id)?.length === 1);
  const exchanges = ratedSpots(desk, plant, taken, before, TAKEN_TRIED).flatMap(({ spot, score }): Outcome[] => {
    const [other] = desk.occupants.get(spot.id)!;
    const otherBefore = scoreNow(desk, other!);
    const carry = { plantId: plant.id, spotId: spot.id, otherPlantId: other!.id };
    const after = desk.conditions.get(spot.id)!;
    const both = (otherAfter: number) => [
      { ...effect, after: score },
      { plantId: other!.id, before: otherBefore, after: otherAfter },
    ];
    const here = takes(desk, own, other!) ? scoreUnder(desk, other!, desk.conditions.get(own.id)!) : null;
    const [elsewhere] = ratedSpots(desk, other!, desk.free, otherBefore - MOST_LOST - WORTH_IT, 1);
    return [
      ...(here === null ? [] : [{ remedy: { kind: 'swap' as const, ...carry }, effects: both(here), after }]),
      ...(elsewhere
        ? [
            {
              remedy: { kind: 'chain' as const, ...carry, otherSpotId: elsewhere.spot.id },
              effects: both(elsewhere.score),
              after,
            },
          ]
        : []),
    ];
  });
  return [...moves, ...exchanges];
}

/** What a setting does to every plant it touches; null where that is not worked out in this answer any more. */
function settingOf(desk: Desk, remedy: Remedy, plant: Plant): Outcome | null {
  const key = JSON.stringify(remedy);
  let changed = desk.settings.get(key);
  if (changed === undefined) {
    changed = remedy.kind === 'air' ? airChanged(desk, remedy) : workedOut(desk, remedy);
    desk.settings.set(key, changed);
  }
  const after = changed?.get(plant.spotId!);
  if (!changed || !after) return null;
  const effects: Effect[] = [];
  for (const [spotId, year] of changed) {
    for (const each of desk.occupants.get(spotId) ?? []) {
      const score = scoreUnder(desk, each, year);
      if (score !== null) effects.push({ plantId: each.id, before: scoreNow(desk, each), after: score });
    }
  }
  return { remedy, effects, after };
}

function workedOut(desk: Desk, remedy: Remedy): Conditions | null {
  const { engine, facts, when, left } = desk;
  const touched = touchedBy(desk, remedy);
  const budget = remedy.kind === 'shift' ? 'elsewhere' : 'settings';
  if (touched.length > left[budget]) return null;
  left[budget] -= touched.length;
  const changed = applied(facts, changesOf(remedy, facts, ''));
  return changed ? engine.conditionsAt(changed, touched, when.year) : null;
}

/** A lamp that gives a spot less than this share of its light in every month does not touch it: no verdict moves by a point for it. */
const TOUCHES_FROM_SHARE = 0.03;

/** Occupied spots whose light a setting changes. */
function touchedBy({ facts, conditions, occupants }: Desk, remedy: Remedy): string[] {
  const taken = [...occupants.keys()].filter((id) => conditions.has(id));
  switch (remedy.kind) {
    case 'lamp-hours':
    case 'dim':
    case 'hang': {
      const lamps = facts.lamps.filter(({ id, circuitId }) =>
        remedy.kind === 'lamp-hours' ? circuitId === remedy.circuitId : id === remedy.lampId,
      );
      return taken.filter((spotId) =>
        conditions
          .get(spotId)!
          .some(({ shares, dli }) => lamps.some(({ id }) => (shares.lamps[id] ?? 0) > TOUCHES_FROM_SHARE * dli)),
      );
    }
    case 'curtain':
    case 'open': {
      const roomId = facts.windows.find(({ id }) => id === remedy.windowId)!.roomId;
      const rooms = new Set(
        facts.rooms.filter(({ id, insideRoomId }) => id === roomId || insideRoomId === roomId).map(({ id }) => id),
      );
      return taken.filter((spotId) => rooms.has(roomIdOfSpot(facts, spotId) ?? ''));
    }
    case 'shift': {
      const shades = (occupants.get(remedy.spotId) ?? []).some(({ heightCm }) => (heightCm ?? 0) >= SHADES_FROM_CM);
      return shades ? besideOn(facts, remedy.spotId, taken) : [remedy.spotId];
    }
    default:
      return [];
  }
}

/** A spot and the taken ones on its board. */
function besideOn({ spots }: HomeFacts, spotId: string, taken: readonly string[]): string[] {
  const tierOf = new Map(spots.map(({ id, tierId }) => [id, tierId]));
  return [...new Set([spotId, ...taken.filter((id) => tierOf.get(id) === tierOf.get(spotId))])];
}

/** What is changed of a room's air when it is told to be otherwise: about what a heater's knob, a tray or a fan can do. */
const AIR_STEP_K = 3;
const AIR_STEP_RH = 15;

function airChanged({ facts, conditions, occupants }: Desk, remedy: Extract<Remedy, { kind: 'air' }>): Conditions {
  const here = [...occupants.keys()].filter((id) => conditions.has(id) && roomIdOfSpot(facts, id) === remedy.roomId);
  return new Map(
    here.map((spotId) => [
      spotId,
      conditions
        .get(spotId)!
        .map((condition) => (remedy.months.includes(condition.month) ? withAir(condition, remedy.what) : condition)),
    ]),
  );
}

function withAir(condition: Condition, what: AirRemedy): Condition {
  const { air, coldNightC, hotDayC, airMovement } = condition;
  const kelvin = what === 'warmer' ? AIR_STEP_K : what === 'cooler' ? -AIR_STEP_K : 0;
  const points = what === 'moister' ? AIR_STEP_RH : what === 'drier' ? -AIR_STEP_RH : 0;
  const rh = (given: number) => Math.max(5, Math.min(100, given + points));
  const changed = {
    ...air,
    dayC: air.dayC + kelvin,
    nightC: air.nightC + kelvin,
    dayRh: rh(air.dayRh),
    nightRh: rh(air.nightRh),
  };
  return {
    ...condition,
    air: changed,
    coldNightC: coldNightC + kelvin,
    hotDayC: hotDayC + kelvin,
    airMovement: what === 'moving' && airMovement === 'still' ? 'gentle' : what === 'moving' ? 'brisk' : airMovement,
    vpdDay: vapourPressureDeficit(changed.dayC, changed.dayRh),
  };
}

/** Whom a change harms more than may be; null when nobody. */
function harmedBy({ effects }: Outcome, plantId: string): Effect | null {
  const lost = ({ before, after }: Effect) => before - after;
  const falls = ({ before, after }: Effect) =>
    LIFE_CLASSES.indexOf(lifeClass(after)) < LIFE_CLASSES.indexOf(lifeClass(before)) && before - after > LEAST_FALL;
  const harmed = effects.filter((effect) => effect.plantId !== plantId && (lost(effect) > MOST_LOST || falls(effect)));
  return harmed.length === 0 ? null : harmed.reduce((p, q) => (lost(q) > lost(p) ? q : p));
}

/** What a year is worth to a plant's grower. */
function worthOf(desk: Desk, { id, goal }: Plant, year: readonly Condition[]): number {
  const { targets, reserveLeft } = desk.standing.get(id)!;
  const { verdict, flowers }: YearFit = rememberedFit(targets, year, desk.when.month, reserveLeft);
  return verdict.score + (goal === 'flower' && flowers?.likely === 'yes' ? FLOWERS_WORTH : 0);
}

function askingFor(desk: Desk, { plant, answer, troubles, urgency }: PlantCase): Asking {
  const { facts, conditions } = desk;
  const spot = facts.spots.find(({ id }) => id === plant.spotId)!;
  const year = conditions.get(spot.id)!;
  const { targets } = desk.standing.get(plant.id)!;
  const settings = remediesFor({ facts, plant, spot, targets, year, fit: answer.fit!, troubles }).flatMap(
    (remedy) => settingOf(desk, remedy, plant) ?? [],
  );
  return rated(desk, plant, urgency, [...carries(desk, plant), ...settings], worthOf(desk, plant, year));
}

/** Where a plant that stands nowhere could stand. */
function seekingPlace(desk: Desk, plant: Plant): Asking {
  const outcomes = desk.standing.get(plant.id)!.targets.length === 0 ? [] : carries(desk, plant);
  return rated(desk, plant, 'later', outcomes, 0);
}

/** A change with what it is worth for its effort, and whom it harms more than may be. */
interface Rated {
  readonly outcome: Outcome;
  readonly value: number;
  readonly harmed: Effect | null;
}

function rated(desk: Desk, plant: Plant, urgency: Urgency, outcomes: readonly Outcome[], worthNow: number): Asking {
  const fair: Rated[] = [];
  const unfair: Rated[] = [];
  for (const outcome of outcomes) {
    const own = worthOf(desk, plant, outcome.after) - worthNow;
    const gain = own + gainOfOthers(outcome, plant.id);
    const effort = effortOf(outcome.remedy, plant);
    const harmed = harmedBy(outcome, plant.id);
    if (harmed && own >= WORTH_IT) unfair.push({ outcome, value: own / effort, harmed });
    else if (!harmed && own >= WORTH_IT && gain >= WORTH_IT) fair.push({ outcome, value: gain / effort, harmed });
  }
  const byValue = (p: Rated, q: Rated) => q.value - p.value;
  const isDying = plant.spotId !== null && DYING_CLASSES.includes(lifeClass(scoreNow(desk, plant)));
  return { plant, urgency, isDying, fair: fair.sort(byValue), refused: unfair.sort(byValue)[0] ?? null };
}

const effectOn = ({ effects }: Outcome, plantId: string): Effect =>
  effects.find((effect) => effect.plantId === plantId)!;

const gainOfOthers = ({ effects }: Outcome, plantId: string): number =>
  effects
    .filter((effect) => effect.plantId !== plantId)
    .reduce((sum, { before, after }) => sum + (after - before) * (after < before ? 1 : OTHERS_SHARE), 0);

/** A change as it is told; for a plant that shades others or stands under lamps first worked out where it would stand. */
function mendOf(desk: Desk, plant: Plant, outcome: Outcome): Mend | null {
  const effect = effectOn(outcome, plant.id);
  const { remedy } = outcome;
  const shades = (plant.heightCm ?? 0) >= SHADES_FROM_CM;
  const isCarried = remedy.kind === 'move' || remedy.kind === 'swap' || remedy.kind === 'chain';
  if (isCarried && (shades || isUnderLamps(desk, remedy.spotId))) {
    const there = carriedOut(desk, remedy, shades ? 'with-neighbours' : 'alone');
    if (!there) return toldOf(desk, plant, outcome, effect);
    const own = there.effects.find(({ plantId }) => plantId === plant.id);
    if (!own || own.after < own.before + WORTH_IT || harmedBy(there, plant.id)) return null;
    return toldOf(desk, plant, there, own);
  }
  return toldOf(desk, plant, outcome, effect);
}

const isUnderLamps = ({ facts }: Desk, spotId: string): boolean => {
  const tierId = facts.spots.find(({ id }) => id === spotId)?.tierId;
  return facts.lamps.some((lamp) => lamp.tierId === tierId);
};

/**
 * A carry worked out with the plant where it would stand, and for who stands on the same board in its shade; null where
 * that is not worked out in this answer any more.
 */
function carriedOut(
  desk: Desk,
  remedy: Extract<Remedy, { kind: 'move' | 'swap' | 'chain' }>,
  how: 'alone' | 'with-neighbours',
): Outcome | null {
  const { engine, facts, conditions, when, left } = desk;
  const taken = [...desk.occupants.keys()];
  const asked = how === 'alone' ? [remedy.spotId] : besideOn(facts, remedy.spotId, taken);
  if (asked.length > left.elsewhere) return null;
  left.elsewhere -= asked.length;
  const changed = applied(facts, changesOf(remedy, facts, `${when.year}-01-01`))!;
  const anew = engine.conditionsAt(changed, asked, when.year);
  const effects = changed.plants.flatMap((plant): Effect[] => {
    const was = facts.plants.find(({ id }) => id === plant.id)!;
    if (plant.spotId === null || (plant.spotId === was.spotId && !anew.has(plant.spotId))) return [];
    const year = anew.get(plant.spotId) ?? conditions.get(plant.spotId);
    const after = year ? scoreUnder(desk, plant, year) : null;
    return after === null ? [] : [{ plantId: plant.id, before: scoreNow(desk, was), after }];
  });
  return { remedy, effects, after: anew.get(remedy.spotId) ?? conditions.get(remedy.spotId)! };
}

function toldOf(desk: Desk, plant: Plant, { remedy, effects, after }: Outcome, effect: Effect): Mend {
  const { facts, conditions, when } = desk;
  const now = plant.spotId === null ? null : conditions.get(plant.spotId)![when.month - 1]!;
  return {
    remedy,
    effect,
    lifeAfter: lifeClass(effect.after),
    others: effects.filter(
      ({ plantId, before, after: later }) => plantId !== plant.id && Math.abs(later - before) >= WORTH_TELLING,
    ),
    steps: now && stepsInto(now, after[when.month - 1]!, seasonalMonth(when.month, facts.home.latitude)),
  };
}
