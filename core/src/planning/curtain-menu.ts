/** What the curtains of a window may be set to by a plan: as now, left open, or drawn about noon, month by month. */
import type { HomeFacts, HungCurtain, PlanSettings, Window } from '../facts';
import { seasonalMonth } from '../taxon';
import { ALL_MONTHS } from '../units';
import type { TimerYear } from './timer-menu';

export interface CurtainMenu {
  readonly kind: 'curtain';
  readonly window: Window;
  /** How what hangs is drawn all year; the first is as it is now, in the months in which it is. */
  readonly ways: readonly (readonly HungCurtain[])[];
  /** The first is as it is now. */
  readonly years: readonly TimerYear[];
}

const AS_NOW = 0;
const OPEN = 1;
const NOON = 2;
/** Hours about noon in which a drawn curtain keeps the most sun out, minutes. */
const ABOUT_NOON = { fromMinute: 11 * 60, toMinute: 16 * 60 } as const;
/** The bright half of the year, northern calendar, in which sun burns rather than lacks. */
const BRIGHT_MONTHS: ReadonlySet<number> = new Set([4, 5, 6, 7, 8, 9]);

/** What is drawn over midnight keeps warmth in and eyes out: it is left alone. */
const isForTheNight = ({ fromMinute, toMinute }: HungCurtain): boolean => fromMinute > toMinute;

export function curtainMenu(window: Window, latitude: number): CurtainMenu {
  const byHalf = (dark: number, bright: number): TimerYear =>
    ALL_MONTHS.map((month) => (BRIGHT_MONTHS.has(seasonalMonth(month, latitude)) ? bright : dark));
  const aboutNoon = window.curtains.map((hung) => ({ ...hung, months: ALL_MONTHS, ...ABOUT_NOON }));
  const years = [byHalf(AS_NOW, AS_NOW), byHalf(OPEN, OPEN), byHalf(OPEN, AS_NOW)];
  // Of two that hang, which one to draw about noon is not for a plan to say.
  const open = window.curtains.filter(isForTheNight);
  return window.curtains.length > 1
    ? { kind: 'curtain', window, ways: [window.curtains, open], years }
    : { kind: 'curtain', window, ways: [window.curtains, open, aboutNoon], years: [...years, byHalf(OPEN, NOON)] };
}

/** How the curtains of a menu hang by a year of it: what is drawn alike in several ways is told once. */
export function curtainsOf({ ways }: CurtainMenu, year: TimerYear): HungCurtain[] {
  const byHow = new Map<string, HungCurtain>();
  ways.forEach((own, way) => {
    for (const hung of own) {
      const key = `${hung.curtainId} ${hung.fromMinute} ${hung.toMinute}`;
      const months = hung.months.filter((month) => year[month - 1] === way);
      byHow.set(key, { ...hung, months: [...(byHow.get(key)?.months ?? []), ...months].sort((p, q) => p - q) });
    }
  });
  return [...byHow.values()].filter(({ months }) => months.length > 0);
}

/** Windows whose curtains are chosen together with plants and timers: the largest of each room, at most so many. */
const MOST_WINDOWS = 4;

/** The menus of windows that a plan may draw otherwise. */
export function curtainMenus({ home, rooms, windows }: HomeFacts, { curtains }: Pick<PlanSettings, 'curtains'>) {
  if (curtains === 'leave') return [];
  const size = ({ widthM, heightM }: Window) => widthM * heightM;
  return rooms
    .flatMap(({ id }) => {
      const hung = windows.filter((window) => window.roomId === id && !window.curtains.every(isForTheNight));
      return hung.length > 0 ? [hung.reduce((p, q) => (size(q) > size(p) ? q : p))] : [];
    })
    .sort((p, q) => size(q) - size(p))
    .slice(0, MOST_WINDOWS)
    .map((window) => curtainMenu(window, home.latitude));
}
