/**
 * Curtains and humidifiers by the plan: each set otherwise where its plants together gain by it. They are looked at one
 * after another once plants and timers are settled, every way worked out by the engines in the planned home.
 */
import {
  patch,
  type AirThing,
  type Change,
  type HomeFacts,
  type HungCurtain,
  type PlanSettings,
  type Window,
} from '../facts';
import { seasonalMonth } from '../taxon';
import { ALL_MONTHS } from '../units';

/** A curtain drawn, or a humidifier set, otherwise. */
export type OtherSetting =
  | { readonly kind: 'curtain'; readonly windowId: string; readonly curtains: readonly HungCurtain[] }
  | { readonly kind: 'humidifier'; readonly airThingId: string; readonly setRh: number };

/** What it takes hold of. */
export const settingId = (setting: OtherSetting): string =>
  setting.kind === 'curtain' ? setting.windowId : setting.airThingId;

export const settingChange = (setting: OtherSetting): Change =>
  setting.kind === 'curtain'
    ? patch('windows', setting.windowId, { curtains: setting.curtains })
    : patch('airThings', setting.airThingId, { setRh: setting.setRh });

/** The bright half of the year, northern calendar, in which sun burns rather than lacks. */
const BRIGHT_MONTHS: ReadonlySet<number> = new Set([4, 5, 6, 7, 8, 9]);
/** Hours about noon in which a drawn curtain keeps the most sun out, minutes. */
const ABOUT_NOON = { fromMinute: 11 * 60, toMinute: 16 * 60 } as const;
/** Humidities tried, per cent: moister rooms grow mould on their cold walls; in a cabinet that is wiped off. */
const ROOM_RH = [40, 50, 60] as const;
const CABINET_RH = [50, 60, 70, 80] as const;
/** The largest windows are looked at, at most so many. */
const MOST_WINDOWS = 8;

/** Ways to draw what hangs at a window: not at all, in the bright half of the year alone, and then about noon alone. */
function curtainWays({ id, curtains }: Window, latitude: number): OtherSetting[] {
  const bright = (months: readonly number[]) =>
    months.filter((month) => BRIGHT_MONTHS.has(seasonalMonth(month, latitude)));
  const drawn = (how: (hung: HungCurtain) => HungCurtain): OtherSetting => ({
    kind: 'curtain',
    windowId: id,
    curtains: curtains.map(how).filter(({ months }) => months.length > 0),
  });
  const all = bright(ALL_MONTHS);
  return [
    drawn((hung) => ({ ...hung, months: [] })),
    drawn((hung) => ({ ...hung, months: bright(hung.months) })),
    drawn((hung) => ({ ...hung, months: all, ...ABOUT_NOON })),
  ];
}

function humidifierWays({ id, setRh }: AirThing, isCabinet: boolean): OtherSetting[] {
  return (isCabinet ? CABINET_RH : ROOM_RH)
    .filter((rh) => rh !== setRh)
    .map((rh) => ({ kind: 'humidifier', airThingId: id, setRh: rh }));
}

/** For each curtain and humidifier that may be set otherwise: the ways to try, other than as it is. */
export function otherSettings(
  { home, rooms, windows, airThings }: HomeFacts,
  { curtains, humidifiers }: Pick<PlanSettings, 'curtains' | 'humidifiers'>,
): OtherSetting[][] {
  const isOther = (setting: OtherSetting, { curtains: now }: Window) =>
    setting.kind === 'curtain' && JSON.stringify(setting.curtains) !== JSON.stringify(now);
  const hung = windows
    .filter((window) => window.curtains.length > 0)
    .sort((p, q) => q.widthM * q.heightM - p.widthM * p.heightM)
    .slice(0, MOST_WINDOWS);
  const set = airThings.filter(({ kind, setRh }) => kind === 'humidifier' && setRh !== null);
  const isCabinet = (roomId: string) => rooms.find(({ id }) => id === roomId)?.insideRoomId != null;
  return [
    ...(curtains === 'leave'
      ? []
      : hung.map((window) => curtainWays(window, home.latitude).filter((way) => isOther(way, window)))),
    ...(humidifiers === 'leave' ? [] : set.map((thing) => humidifierWays(thing, isCabinet(thing.roomId)))),
  ];
}

/** Someone must draw it, or fill it: what setting it otherwise must bring at least, in verdicts. Judgement. */
const LEAST_GAIN = 0.02;
/** Ten points more humidity are so much more water to carry and power to pay, in verdicts. Judgement. */
const WORTH_OF_TEN_RH = 0.02;

/** What a setting costs beside how it is now. */
function costOf(setting: OtherSetting, { airThings }: HomeFacts): number {
  if (setting.kind === 'curtain') return LEAST_GAIN;
  const now = airThings.find(({ id }) => id === setting.airThingId)?.setRh ?? setting.setRh;
  return LEAST_GAIN + (WORTH_OF_TEN_RH * (setting.setRh - now)) / 10;
}

/**
 * The settings that pay, found one after another.
 * @param worthWith what all plants are worth with some of them, their costs aside
 */
export function* settingsThatPay(
  facts: HomeFacts,
  ways: readonly (readonly OtherSetting[])[],
  worthWith: (settings: readonly OtherSetting[]) => number,
): Generator<number, OtherSetting[], void> {
  let kept: OtherSetting[] = [];
  let worth = ways.length > 0 ? worthWith(kept) : 0;
  for (const [i, own] of ways.entries()) {
    const before = kept;
    for (const setting of own) {
      yield i / ways.length;
      const tried = [...before, setting];
      const found = worthWith(tried) - tried.reduce((sum, one) => sum + costOf(one, facts), 0);
      if (found > worth) [kept, worth] = [tried, found];
    }
  }
  return kept;
}
