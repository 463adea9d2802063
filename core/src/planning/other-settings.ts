/**
 * Curtains and humidifiers by the plan. Curtains on a menu are chosen with plants and timers; humidifiers are looked at
 * one after another once those are settled, every humidity worked out by the engines in the planned home.
 */
import { patch, type AirThing, type Change, type HomeFacts, type HungCurtain, type PlanSettings } from '../facts';

/** A curtain drawn, or a humidifier set, otherwise. */
export type OtherSetting =
  { readonly kind: 'curtain'; readonly windowId: string; readonly curtains: readonly HungCurtain[] } | Humidity;

/** A humidifier set otherwise. */
export interface Humidity {
  readonly kind: 'humidifier';
  readonly airThingId: string;
  readonly setRh: number;
}

/** What it takes hold of. */
export const settingId = (setting: OtherSetting): string =>
  setting.kind === 'curtain' ? setting.windowId : setting.airThingId;

export const humidityChange = ({ airThingId, setRh }: Humidity): Change => patch('airThings', airThingId, { setRh });

/** Humidities tried, per cent: moister rooms grow mould on their cold walls; in a cabinet that is wiped off. */
const ROOM_RH = [40, 50, 60] as const;
const CABINET_RH = [50, 60, 70, 80] as const;

/** For each humidifier that may be set otherwise: the humidities to try, other than as it is. */
export function humidities(
  { rooms, airThings }: HomeFacts,
  { humidifiers }: Pick<PlanSettings, 'humidifiers'>,
): Humidity[][] {
  if (humidifiers === 'leave') return [];
  const isCabinet = (roomId: string) => rooms.find(({ id }) => id === roomId)?.insideRoomId != null;
  return airThings
    .filter(({ kind, setRh }) => kind === 'humidifier' && setRh !== null)
    .map(({ id, roomId, setRh }: AirThing) =>
      (isCabinet(roomId) ? CABINET_RH : ROOM_RH)
        .filter((rh) => rh !== setRh)
        .map((rh) => ({ kind: 'humidifier', airThingId: id, setRh: rh })),
    );
}

/** Someone must set it and fill it: what that must bring at least, in verdicts. Judgement. */
const LEAST_GAIN = 0.02;
/** Ten points more humidity are so much more water to carry and power to pay, in verdicts. Judgement. */
const WORTH_OF_TEN_RH = 0.02;

/** What a humidity costs beside how it is now. */
function costOf({ airThingId, setRh }: Humidity, { airThings }: HomeFacts): number {
  const now = airThings.find(({ id }) => id === airThingId)?.setRh ?? setRh;
  return LEAST_GAIN + (WORTH_OF_TEN_RH * (setRh - now)) / 10;
}

/**
 * The humidities that pay, found one after another.
 * @param worthWith what all plants are worth with some of them, their costs aside
 */
export function* humiditiesThatPay(
  facts: HomeFacts,
  ways: readonly (readonly Humidity[])[],
  worthWith: (settings: readonly Humidity[]) => number,
): Generator<number, Humidity[], void> {
  let kept: Humidity[] = [];
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
