/**
 * A plant's season: which months it grows, tapers, rests and wakes, and what it wants of light, warmth, water and feed
 * in each.
 */
import type { GrowthState, Plant, Stage } from '../facts';
import { FEEDS, WATERS, seasonalMonth, type Feed, type RestNeed, type School, type Taxon, type Water } from '../taxon';

export type SeasonPhase = 'growing' | 'tapering' | 'resting' | 'waking';

export interface SeasonMonth {
  readonly month: number;
  readonly phase: SeasonPhase;
  /** How far it has gone from growth (0) to full rest (1): light, warmth, water and feed follow it. */
  readonly depth: number;
  readonly lightShare: number;
  readonly water: Water;
  readonly feed: Feed;
  /** Longest day wanted, hours, where long days would keep it awake; null when they do not matter. */
  readonly longestDayH: number | null;
  /** The rule that set this month, in words. */
  readonly rule: string;
}

/** How growers take plants through rest, each with its reason. */
export const SCHOOL_WORDS: Readonly<
  Record<School, { readonly word: string; readonly does: string; readonly reason: string }>
> = {
  hard: {
    word: 'A hard rest',
    does: 'Full rest in all its months: water and feed as low as it tolerates, cool where it can be.',
    reason: 'It copies the dry or cold season at home, ripens growth and sets the most flowers.',
  },
  taper: {
    word: 'A gentle taper',
    does: 'Water and feed fall and rise again over a month on either side, and never stop wholly.',
    reason: 'Roots in a small indoor pot die when they are bone dry for months; a taper forgives a misread season.',
  },
  'grow-on': {
    word: 'No rest',
    does: 'Kept growing, with the day lengthened by lamps and warmth held.',
    reason: 'Under lamps there is no winter: an indoor plant gains a season of growth, at the cost of some flowers.',
  },
};

/** Stages in which a plant is not asked to rest; one that has just arrived or recovers keeps its season. */
const NEVER_RESTS: ReadonlySet<Stage> = new Set(['seed', 'cutting', 'rooted-cutting', 'seedling']);
const BLOOMING: ReadonlySet<Stage> = new Set(['in-bud', 'in-bloom']);

/** How deep the months before and after a rest go, where the rest itself is 1. */
const EDGE_DEPTH = 0.4;
/** How deep a gentle taper takes a rest that most take hard. */
const SOFTENED_DEPTH = 0.7;

/**
 * The school a plant is rested by: one that dies without its rest is not kept growing, whatever its home's ways.
 */
export function schoolFor({ rest }: Pick<Taxon, 'rest'>, asked: School | null): School {
  const school = asked ?? rest.school;
  if (school !== 'grow-on' || !rest.isObligate) return school;
  return rest.school === 'grow-on' ? 'taper' : rest.school;
}

/** Nearer to the equator than this, degrees, no half of the year is winter: the calendar is not turned round there. */
const TROPIC_DEG = 10;

/** The month on a plant's own, northern calendar. */
export const monthOfSeason = (month: number, latitude: number): number =>
  Math.abs(latitude) < TROPIC_DEG ? month : seasonalMonth(month, latitude);

/** What was seen rules for its month and the two after it; then the calendar is asked again. */
export const SEEN_RULES_MONTHS = 3;
/** Day length above which a plant that rests in short days is kept awake, hours. */
const RESTING_DAY_H = 11;

type Grower = Pick<Plant, 'stage' | 'growthState'> & Partial<Pick<Plant, 'stateSeenOn'>>;

const after = (month: number, by: number) => ((month - 1 + by + 120) % 12) + 1;

/**
 * Twelve months of a plant's season, January first.
 * @param latitude of the home: south of the equator the taxon's months are taken half a year away
 * @param asked how it is to be rested, where it bears that
 */
export function seasonOf(plant: Grower, taxon: Taxon, latitude: number, asked: School): SeasonMonth[] {
  const { rest } = taxon;
  const school = schoolFor(taxon, asked);
  const calendar = new Map<number, { phase: SeasonPhase; rule: string }>();
  if (NEVER_RESTS.has(plant.stage)) {
    for (let month = 1; month <= 12; month++)
      calendar.set(month, { phase: 'growing', rule: 'At this stage it is not asked to rest' });
  } else {
    for (let month = 1; month <= 12; month++) calendar.set(month, byCalendar(rest, month, latitude, school));
    if (school !== asked) {
      for (const [month, { phase, rule }] of calendar)
        if (phase === 'resting') calendar.set(month, { phase, rule: `${rule}; ${NEEDS_REST}` });
    }
    if (BLOOMING.has(plant.stage)) {
      for (const [month, { phase }] of calendar) {
        if (phase !== 'growing')
          calendar.set(month, { phase: 'growing', rule: 'In bud or bloom: its rest waits until the flowers are over' });
      }
    }
    applySeen(calendar, plant, taxon);
  }
  return Array.from(calendar, ([month, { phase, rule }]) => seasonMonth(month, phase, rule, rest, school)).sort(
    (p, q) => p.month - q.month,
  );
}

function byCalendar(
  rest: RestNeed,
  month: number,
  latitude: number,
  school: School,
): { phase: SeasonPhase; rule: string } {
  if (rest.trigger === 'none') return { phase: 'growing', rule: 'It does not rest' };
  const resting = (when: number) => rest.months.includes(monthOfSeason(when, latitude));
  if (school === 'grow-on') {
    return {
      phase: 'growing',
      rule: resting(month) ? 'It would rest now; this school keeps it growing' : 'Its season of growth',
    };
  }
  if (resting(month)) return { phase: 'resting', rule: `Its season of rest (${TRIGGER_WORDS[rest.trigger]})` };
  if (resting(after(month, 1))) return { phase: 'tapering', rule: 'Rest is a month away: it is led into it' };
  if (resting(after(month, -1))) return { phase: 'waking', rule: 'Rest is over: it is led out of it' };
  return { phase: 'growing', rule: 'Its season of growth' };
}

const NEEDS_REST = 'it would die without, so it is not kept growing';

const TRIGGER_WORDS: Readonly<Record<RestNeed['trigger'], string>> = {
  none: 'none',
  'short-days': 'short days',
  cool: 'cool nights',
  dry: 'the dry season',
  'after-bloom': 'after bloom',
};

const SEEN_WORDS: Readonly<Record<Exclude<GrowthState, 'by-season'>, string>> = {
  'new-leaf': 'You saw a new leaf',
  'root-tips': 'You saw growing root tips',
  growing: 'You saw it still growing',
  finished: 'You saw its growth finished',
  resting: 'You saw it at rest',
};

/** Living stones and their kin grow each new pair of leaves out of the old one, dry, in the middle of their rest. */
const leavesWhileResting = ({ rest, care }: Taxon) => care.habit === 'stone' && rest.trigger === 'dry';

/** What the grower saw rules over the calendar. */
function applySeen(calendar: Map<number, { phase: SeasonPhase; rule: string }>, plant: Grower, taxon: Taxon): void {
  const { rest } = taxon;
  const { growthState, stateSeenOn } = plant;
  if (growthState === 'by-season') return;
  if (growthState === 'new-leaf' && leavesWhileResting(taxon)) {
    for (const [month, { phase, rule }] of calendar)
      if (phase === 'resting')
        calendar.set(month, { phase, rule: `${rule}; its new leaves come out of the old ones, without water` });
    return;
  }
  const words = SEEN_WORDS[growthState];
  const seenIn = stateSeenOn ? Number(stateSeenOn.slice(5, 7)) : null;
  const ruled =
    seenIn === null
      ? Array.from({ length: 12 }, (_, i) => i + 1)
      : Array.from({ length: SEEN_RULES_MONTHS }, (_, i) => after(seenIn, i));
  const put = (month: number, phase: SeasonPhase, rule: string) => calendar.set(month, { phase, rule });
  if (growthState === 'growing' || growthState === 'new-leaf' || growthState === 'root-tips') {
    for (const month of ruled) put(month, 'growing', `${words}: it is kept growing`);
    // A plant that has woken does not fall back into the rest it came from.
    if (growthState !== 'growing' && seenIn !== null) {
      for (
        let month = after(seenIn, SEEN_RULES_MONTHS), i = 0;
        i < 9 && calendar.get(month)!.phase === 'resting';
        month = after(month, 1), i++
      ) {
        put(month, 'growing', `${words}: its rest is over`);
      }
    }
    return;
  }
  if (growthState === 'resting') {
    for (const month of ruled) put(month, 'resting', words);
    return;
  }
  const start = seenIn ?? 1;
  put(start, 'tapering', `${words}: it winds down toward rest`);
  const length = Math.max(rest.months.length, 2);
  for (let i = 1; i <= length; i++) put(after(start, i), 'resting', `${words}: it rests from then`);
  put(after(start, length + 1), 'waking', 'Rest is over: it is led out of it');
  // The rest that was taken early is not taken twice, nor is it led in or out of again.
  for (let month = 1; month <= 12; month++) {
    const since = (month - start + 12) % 12;
    if (since > length + 1 && since < 12 - 3 && calendar.get(month)!.phase !== 'growing')
      put(month, 'growing', 'Its rest came early this year');
  }
}

function seasonMonth(month: number, phase: SeasonPhase, rule: string, rest: RestNeed, school: School): SeasonMonth {
  // What is stated of a rest is how its own school takes it; a gentler one takes a hard rest less deep.
  const softened = school === 'taper' && rest.school === 'hard' && !rest.isObligate;
  const deepest = softened ? SOFTENED_DEPTH : 1;
  const depth = phase === 'growing' ? 0 : phase === 'resting' ? deepest : deepest * EDGE_DEPTH;
  // A plant seen at rest that does not rest drinks less all the same.
  const driest = WATERS.indexOf(rest.trigger === 'none' ? 'less' : rest.water);
  const steps = phase === 'resting' ? driest - (softened && driest > 1 ? 1 : 0) : Math.round(EDGE_DEPTH * driest);
  return {
    month,
    phase,
    depth,
    lightShare: 1 - depth * (1 - rest.lightShare),
    water: WATERS[phase === 'growing' ? 0 : steps]!,
    // Salts gather round roots that do not drink: nothing is fed at rest, whatever the school.
    feed: phase === 'resting' ? 'none' : FEEDS[Math.ceil(depth)]!,
    longestDayH: phase === 'resting' && rest.trigger === 'short-days' ? RESTING_DAY_H : null,
    rule,
  };
}
