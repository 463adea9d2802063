/**
 * What would help the plants of a home: each change worked out for every plant it touches, none that harms another,
 * none that claim one thing twice.
 */
import type { HomeFacts, Plant } from '../facts';
import { DYING_CLASSES, LIFE_CLASSES, lifeClass, type Condition, type YearFit } from '../fit';
import type { HomeEngine, Steps } from '../home';
import {
  claimsOf,
  effortOf,
  remediesFor,
  stepsInto,
  type Effect,
  type Mend,
  type PlantMends,
  type RefusedMend,
  type Urgency,
} from '../match';
import { planSettingsOf } from '../planning';
import { seasonalMonth } from '../taxon';
import { casesOf, type PlantCase } from './cases';
import { conditionsOf, homeAnswers, rememberedFit, type When } from './home-answers';
import { carriedOut, carries, isUnderLamps } from './mend-carries';
import {
  MOST_LOST,
  SHADES_FROM_CM,
  SHADES_NEXT_FROM_CM,
  WORTH_IT,
  deskOf,
  scoreNow,
  type Desk,
  type Prospect,
} from './mend-desk';
import { settingOf } from './mend-settings';

/** A fall of a class is refused from this loss on. */
const LEAST_FALL = 0.01;
/** Effects smaller than a point are not told. */
const WORTH_TELLING = 0.01;
/** What others gain counts for half of what the plant gains that the change is for. */
const OTHERS_SHARE = 0.5;
/** Buds are worth this much to one who wants flowers. */
const FLOWERS_WORTH = 0.15;
/** So many mends are told of a plant. */
const MENDS_TOLD = 3;

/** What was told of a home last, by the engine that told it: several screens ask the same. */
const answered = new WeakMap<HomeEngine, WeakMap<HomeFacts, { readonly key: string; readonly told: PlantMends[] }>>();

/** Trying settings takes this share of an answer, working carries out the rest. */
const ASKING_SHARE = 0.7;

/** A plant that needs something, and all that could be done for it. */
interface Asking {
  readonly plant: Plant;
  readonly urgency: Urgency;
  readonly isDying: boolean;
  readonly fair: readonly Rated[];
  readonly refused: Rated | null;
}

/**
 * For each plant that needs something, what would help, best for its effort first. Plants without need are left out.
 */
export function* mends(engine: HomeEngine, facts: HomeFacts, when: When): Steps<PlantMends[]> {
  const key = `${when.year}-${when.month}`;
  let ofEngine = answered.get(engine);
  if (!ofEngine) answered.set(engine, (ofEngine = new WeakMap()));
  const known = ofEngine.get(facts);
  if (known?.key === key) return known.told;
  const answers = yield* homeAnswers(engine, facts, when);
  const desk = deskOf(engine, facts, when, conditionsOf(answers));
  const cases = casesOf(facts, answers.plants).filter(({ urgency }) => urgency !== 'mild');
  const asking: Asking[] = [];
  for (const [i, item] of cases.entries()) {
    const steps = askingFor(desk, item);
    let step = steps.next();
    for (; !step.done; step = steps.next()) yield (ASKING_SHARE * i) / cases.length;
    asking.push(step.value);
  }
  for (const plant of facts.plants) if (plant.spotId === null) asking.push(seekingPlace(desk, plant));
  const told = yield* shared(desk, asking);
  ofEngine.set(facts, { key, told });
  return told;
}

/**
 * What is urgent comes before what is not, and what will die before what merely does not grow, where both would claim
 * one thing: judgement.
 */
const URGENT: Readonly<Record<Urgency, number>> = { week: 2, season: 1.3, later: 1, mild: 1, none: 1 };
const DYING = 1.5;

/** Gives each plant its first mend, where it does most for its effort in the whole home, and then others beside it. */
function* shared(desk: Desk, asking: readonly Asking[]): Steps<PlantMends[]> {
  const claimedBy = new Map<string, string>();
  const isOpen = ({ remedy }: Prospect, plantId: string) =>
    claimsOf(remedy).every((claim) => (claimedBy.get(claim) ?? plantId) === plantId);
  const firsts = new Map<string, Mend>();
  const all = asking.flatMap(({ plant, urgency, isDying, fair }) =>
    fair.map((rated) => ({ plant, rated, value: rated.value * URGENT[urgency] * (isDying ? DYING : 1) })),
  );
  for (const { plant, rated } of all.sort((p, q) => q.value - p.value)) {
    if (firsts.has(plant.id) || !isOpen(rated.outcome, plant.id)) continue;
    yield ASKING_SHARE;
    const mend = mendOf(desk, plant, rated.outcome);
    if (!mend) continue;
    firsts.set(plant.id, mend);
    // Who is helped by a setting stays where it is: nobody is told to change places with it.
    for (const claim of [...claimsOf(mend.remedy), `plant ${plant.id}`]) claimedBy.set(claim, plant.id);
  }
  const told: PlantMends[] = [];
  for (const { plant, fair, refused } of asking) {
    const first = firsts.get(plant.id) ?? seenByOther(plant.id, firsts.values());
    const mends = first ? [first] : [];
    for (const { outcome } of fair) {
      if (mends.length >= MENDS_TOLD) break;
      // The best of each kind: a list of five spots is no choice of ways.
      if (mends.some(({ remedy }) => remedy.kind === outcome.remedy.kind) || !isOpen(outcome, plant.id)) continue;
      yield ASKING_SHARE + ((1 - ASKING_SHARE) * told.length) / asking.length;
      const mend = mendOf(desk, plant, outcome);
      if (mend) mends.push(mend);
    }
    told.push({ plantId: plant.id, mends, refused: refusedOf(plant, refused, mends) });
  }
  return told;
}

/**
 * The first mend of another plant as this one sees it, which changes places in it and gains by it; undefined where
 * there is none.
 */
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

/** Whom a change harms more than may be; null when nobody. */
function harmedBy({ effects }: Prospect, plantId: string): Effect | null {
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

function* askingFor(desk: Desk, { plant, answer, troubles, urgency }: PlantCase): Steps<Asking> {
  const { facts, conditions } = desk;
  const spot = facts.spots.find(({ id }) => id === plant.spotId)!;
  const year = conditions.get(spot.id)!;
  const { targets } = desk.standing.get(plant.id)!;
  const settings: Prospect[] = [];
  for (const remedy of remediesFor({ facts, plant, spot, targets, year, fit: answer.fit!, troubles })) {
    yield 0;
    const prospect = settingOf(desk, remedy, plant);
    if (prospect) settings.push(prospect);
  }
  return rated(desk, plant, urgency, [...carries(desk, plant), ...settings], worthOf(desk, plant, year));
}

/** Where a plant that stands nowhere could stand. */
function seekingPlace(desk: Desk, plant: Plant): Asking {
  const outcomes = desk.standing.get(plant.id)!.targets.length === 0 ? [] : carries(desk, plant);
  return rated(desk, plant, 'later', outcomes, 0);
}

/** A change with what it is worth for its effort, and whom it harms more than may be. */
interface Rated {
  readonly outcome: Prospect;
  readonly value: number;
  readonly harmed: Effect | null;
}

function rated(desk: Desk, plant: Plant, urgency: Urgency, outcomes: readonly Prospect[], worthNow: number): Asking {
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
  const isDying = plant.spotId !== null && DYING_CLASSES.has(lifeClass(scoreNow(desk, plant)));
  return { plant, urgency, isDying, fair: fair.sort(byValue), refused: unfair.sort(byValue)[0] ?? null };
}

const effectOn = ({ effects }: Prospect, plantId: string): Effect =>
  effects.find((effect) => effect.plantId === plantId)!;

const gainOfOthers = ({ effects }: Prospect, plantId: string): number =>
  effects
    .filter((effect) => effect.plantId !== plantId)
    .reduce((sum, { before, after }) => sum + (after - before) * (after < before ? 1 : OTHERS_SHARE), 0);

/**
 * A change as it is told; for a plant that shades others or stands under lamps first worked out where it would stand.
 */
function mendOf(desk: Desk, plant: Plant, outcome: Prospect): Mend | null {
  const effect = effectOn(outcome, plant.id);
  const { remedy } = outcome;
  const carried = 'otherPlantId' in remedy ? [plant.id, remedy.otherPlantId] : [plant.id];
  const heights = desk.facts.plants.filter(({ id }) => carried.includes(id)).map(({ heightCm }) => heightCm ?? 0);
  const tallest = Math.max(0, ...heights);
  const how = tallest >= SHADES_FROM_CM ? 'with-board' : tallest >= SHADES_NEXT_FROM_CM ? 'with-next' : 'alone';
  const isCarried = remedy.kind === 'move' || remedy.kind === 'swap' || remedy.kind === 'chain';
  if (isCarried && (how !== 'alone' || isUnderLamps(desk, remedy.spotId))) {
    const there = carriedOut(desk, remedy, how);
    if (!there) return toldOf(desk, plant, outcome, effect);
    const own = there.effects.find(({ plantId }) => plantId === plant.id);
    if (!own || own.after < own.before + WORTH_IT || harmedBy(there, plant.id)) return null;
    return toldOf(desk, plant, there, own);
  }
  return toldOf(desk, plant, outcome, effect);
}

function toldOf(desk: Desk, plant: Plant, { remedy, effects, after }: Prospect, effect: Effect): Mend {
  const { facts, conditions, standing, when } = desk;
  const now = plant.spotId === null ? null : conditions.get(plant.spotId)![when.month - 1]!;
  return {
    remedy,
    effect,
    lifeAfter: lifeClass(effect.after),
    others: effects.filter(
      ({ plantId, before, after: later }) => plantId !== plant.id && Math.abs(later - before) >= WORTH_TELLING,
    ),
    steps:
      now &&
      stepsInto(now, after[when.month - 1]!, {
        survivesMol: standing.get(plant.id)!.targets[when.month - 1]!.light.survives,
        pace: planSettingsOf(facts).hardening,
        seasonMonth: seasonalMonth(when.month, facts.home.latitude),
      }),
  };
}
