/** A plant's season: which months it grows, tapers, rests and wakes, and what it wants of light, warmth, water and feed in each. */
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

/** Stages in which a plant is not asked to rest. */
const NEVER_RESTS: ReadonlySet<Stage> = new Set([
  'seed',
  'cutting',
  'rooted-cutting',
  'seedling',
  'just-arrived',
  'recovering',
]);
const BLOOMING: ReadonlySet<Stage> = new Set(['in-bud', 'in-bloom']);

/** How deep a month goes: in the rest itself, and in the months before and after it. */
const DEPTHS: Readonly<Record<Exclude<School, 'grow-on'>, { readonly rest: number; readonly edge: number }>> = {
  hard: { rest: 1, edge: 0.4 },
  taper: { rest: 0.7, edge: 0.35 },
};

/** What was seen rules for its month and the two after it; then the calendar is asked again. */
export const SEEN_RULES_MONTHS = 3;
/** Day length above which a plant that rests in short days is kept awake, hours. */
const RESTING_DAY_H = 11;

type Grower = Pick<Plant, 'stage' | 'growthState'> & Partial<Pick<Plant, 'stateSeenOn'>>;

const after = (month: number, by: number) => ((month - 1 + by + 120) % 12) + 1;

/**
 * Twelve months of a plant's season, January first.
 * @param latitude of the home: south of the equator the taxon's months are taken half a year away
 * @param school how it is rested
 */
export function seasonOf(plant: Grower, taxon: Taxon, latitude: number, school: School): SeasonMonth[] {
  const { rest } = taxon;
  const calendar = new Map<number, { phase: SeasonPhase; rule: string }>();
  if (NEVER_RESTS.has(plant.stage)) {
    for (let month = 1; month <= 12; month++)
      calendar.set(month, { phase: 'growing', rule: 'At this stage it is not asked to rest' });
  } else {
    for (let month = 1; month <= 12; month++) calendar.set(month, byCalendar(rest, month, latitude, school));
    if (BLOOMING.has(plant.stage)) {
      for (const [month, { phase }] of calendar) {
        if (phase !== 'growing')
          calendar.set(month, { phase: 'growing', rule: 'In bud or bloom: its rest waits until the flowers are over' });
      }
    }
    applySeen(calendar, plant, rest, latitude);
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
  if (rest.trigger === 'none') return { phase: 'growing', rule: 'It knows no rest' };
  const resting = (when: number) => rest.months.includes(seasonalMonth(when, latitude));
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

/** What the grower saw rules over the calendar. */
function applySeen(
  calendar: Map<number, { phase: SeasonPhase; rule: string }>,
  plant: Grower,
  rest: RestNeed,
  latitude: number,
): void {
  const { growthState, stateSeenOn } = plant;
  if (growthState === 'by-season') return;
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
  put(start, 'tapering', `${words}: it is led into rest`);
  const length = Math.max(rest.months.length, 2);
  for (let i = 1; i <= length; i++) put(after(start, i), 'resting', `${words}: it rests from then`);
  // The rest that was taken early is not taken twice.
  for (let month = 1; month <= 12; month++) {
    const since = (month - start + 12) % 12;
    if (since > length && since < 12 - 3 && rest.months.includes(seasonalMonth(month, latitude)))
      put(month, 'growing', 'Its rest came early this year');
  }
}

function seasonMonth(month: number, phase: SeasonPhase, rule: string, rest: RestNeed, school: School): SeasonMonth {
  // A plant seen at rest rests though its home's school is not to.
  const { rest: deep, edge } = DEPTHS[school === 'grow-on' ? 'taper' : school];
  const depth = phase === 'growing' ? 0 : phase === 'resting' ? deep : edge;
  const driest = WATERS.indexOf(rest.trigger === 'none' ? 'less' : rest.water);
  const allowed = school === 'hard' ? driest : Math.min(driest, WATERS.indexOf('little'));
  return {
    month,
    phase,
    depth,
    lightShare: 1 - depth * (1 - rest.lightShare),
    water: WATERS[Math.round(depth * allowed)]!,
    // Salts gather round roots that do not drink: nothing is fed at rest, whatever the school.
    feed: phase === 'resting' ? 'none' : FEEDS[Math.ceil(depth)]!,
    longestDayH: phase === 'resting' && rest.trigger === 'short-days' ? RESTING_DAY_H : null,
    rule,
  };
}
