/** Timers and the lamps they switch together. */

/** A stretch of the day in which a timer is on. Minutes after local midnight; on before off, 1440 is the day's end. */
export interface TimerSpan {
  readonly onMinute: number;
  readonly offMinute: number;
}

/** What a timer does in some months. */
export interface TimerMonths {
  /** 1..12; each month stands in one of a timer's entries at most. */
  readonly months: readonly number[];
  /** In order and apart; none is off. */
  readonly spans: readonly TimerSpan[];
  /** Share of the power its lamps are set to, 0..1. */
  readonly level: number;
}

/** What a plan may change of a timer. */
export const TIMER_FREEDOMS = ['nothing', 'hours', 'hours-and-level', 'hours-level-and-height'] as const;
export type TimerFreedom = (typeof TIMER_FREEDOMS)[number];

/** Lamps on one timer. */
export interface Circuit extends TimerSpan {
  readonly id: string;
  readonly homeId: string;
  readonly name: string;
  /** Months (1..12) in which the timer runs. */
  readonly months: readonly number[];
  /** Month by month; with any entry, it rules instead of one time for all months. */
  readonly programme: readonly TimerMonths[];
  readonly freedom: TimerFreedom;
  /** Minutes in which its lamps come up to full, and in which they go down again before they go off; 0 switches. */
  readonly fadeMinutes: number;
  /** What the timer's label allows it to switch, W; null is not known. */
  readonly limitW: number | null;
  /** The electrical circuit it is plugged into; null is not known. */
  readonly supplyId: string | null;
}

/** A timer of which nothing but its times was said. */
export const PLAIN_TIMER = {
  programme: [],
  freedom: 'hours',
  fadeMinutes: 0,
  limitW: null,
  supplyId: null,
} as const satisfies Pick<Circuit, 'programme' | 'freedom' | 'fadeMinutes' | 'limitW' | 'supplyId'>;
