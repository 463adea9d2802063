/** Measured air that is out of what plants tolerate for longer than they can wait: what a grower is to be called for. */
import type { HourMean } from '../air';
import type { Target } from '../plant';
import { HOUR_MS } from '../units';

export const ALARM_KINDS = ['cold', 'heat', 'dry', 'damp'] as const;
export type AlarmKind = (typeof ALARM_KINDS)[number];

export interface AirAlarm {
  readonly kind: AlarmKind;
  /** Plants that can wait no longer, the one that tolerates least first. */
  readonly plantIds: readonly string[];
  /** Of the plant that tolerates least: C, or per cent. */
  readonly limit: number;
  /** Farthest beyond it since then. */
  readonly worst: number;
  /** UTC epoch milliseconds since which it has been so without a break. */
  readonly since: number;
  readonly hours: number;
}

export interface WatchedPlant {
  readonly plantId: string;
  readonly target: Target;
}

/** What was measured where plants stand, by the hour, oldest first. */
export interface MeasuredAir {
  readonly celsius: readonly HourMean[];
  readonly rh: readonly HourMean[];
}

/** A gap of more hours breaks a stretch, and a last sample older than this says nothing of now. */
const GAP_H = 3;
/** So far beyond what it survives, a plant cannot wait, K. */
const FAR_K = 2;
/** Hours that plants wait. Judgement: frost marks in a night, dry air in days. */
const PATIENCE_H = { coldFar: 1, cold: 3, heat: 2, dryTender: 12, dry: 48, damp: 24, dampStoring: 12 } as const;
/** Plants that live in moister air than this are harmed by a dry day. */
const TENDER_FROM_RH = 50;

interface Watch {
  readonly limit: number;
  /** How far a value is beyond what is tolerated; 0 and less where it is not. */
  readonly beyond: (value: number) => number;
  readonly patienceH: (worstBeyond: number) => number;
}

/** What one plant is watched for; null where it minds none of it. */
function watchOf(kind: AlarmKind, { warmth, moisture, nature, isDormant }: Target): Watch | null {
  switch (kind) {
    case 'cold':
      return {
        limit: warmth.lowest,
        beyond: (celsius) => warmth.lowest - celsius,
        patienceH: (worst) => (worst > FAR_K ? PATIENCE_H.coldFar : PATIENCE_H.cold),
      };
    case 'heat':
      if (isDormant) return null;
      return {
        limit: warmth.highest,
        beyond: (celsius) => celsius - warmth.highest,
        patienceH: () => PATIENCE_H.heat,
      };
    case 'dry':
      if (isDormant || nature.storesWater) return null;
      return {
        limit: moisture.survives,
        beyond: (rh) => moisture.survives - rh,
        patienceH: () => (moisture.survives >= TENDER_FROM_RH ? PATIENCE_H.dryTender : PATIENCE_H.dry),
      };
    case 'damp': {
      const limit = Math.max(moisture.thrivesTo, moisture.tooMoistStill);
      return {
        limit,
        beyond: (rh) => rh - limit,
        patienceH: () => (nature.storesWater ? PATIENCE_H.dampStoring : PATIENCE_H.damp),
      };
    }
  }
}

/** The stretch of hours up to now in which all values are beyond; null where the last is not, or is old. */
function stretchUpTo(now: number, hours: readonly HourMean[], beyond: Watch['beyond']) {
  let worst: HourMean | null = null;
  let since = now;
  for (let i = hours.length - 1; i >= 0; i--) {
    const hour = hours[i]!;
    if (since - hour.at > (GAP_H + 1) * HOUR_MS || beyond(hour.mean) <= 0) break;
    since = hour.at;
    if (!worst || beyond(hour.mean) > beyond(worst.mean)) worst = hour;
  }
  return worst && { since, worst: worst.mean, worstBeyond: beyond(worst.mean) };
}

/**
 * What plants must be helped with now, by what was measured where they stand; the soonest begun first.
 * @param now UTC epoch milliseconds
 */
export function airAlarms(plants: readonly WatchedPlant[], { celsius, rh }: MeasuredAir, now: number): AirAlarm[] {
  const alarms: AirAlarm[] = [];
  for (const kind of ALARM_KINDS) {
    const hours = kind === 'cold' || kind === 'heat' ? celsius : rh;
    const waited = plants.flatMap(({ plantId, target }) => {
      const watch = watchOf(kind, target);
      const stretch = watch && stretchUpTo(now, hours, watch.beyond);
      if (!stretch || (now - stretch.since) / HOUR_MS < watch.patienceH(stretch.worstBeyond)) return [];
      return [{ plantId, limit: watch.limit, ...stretch }];
    });
    waited.sort((p, q) => q.worstBeyond - p.worstBeyond);
    const [first] = waited;
    if (!first) continue;
    alarms.push({
      kind,
      plantIds: waited.map(({ plantId }) => plantId),
      limit: first.limit,
      worst: first.worst,
      since: first.since,
      hours: (now - first.since) / HOUR_MS,
    });
  }
  return alarms.sort((p, q) => p.since - q.since);
}
