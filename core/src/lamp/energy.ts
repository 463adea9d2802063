/** What lamps draw, what that costs, and what their timers and wiring may carry. */
import type { HomeFacts, TariffBand, TimerSpan } from '../facts';
import { burningAtFull, hoursOf, type Burning, type TimerTimes } from './burning';

/** Power of the lamps on each timer as they are dimmed, W, by timer. */
export function wattsByCircuit({ lamps }: Pick<HomeFacts, 'lamps'>): ReadonlyMap<string, number> {
  const watts = new Map<string, number>();
  for (const { circuitId, powerW, dimming } of lamps)
    watts.set(circuitId, (watts.get(circuitId) ?? 0) + powerW * dimming);
  return watts;
}

/** What timers and the drivers of lamps draw all day though nothing burns, W a lamp: judgement, 0.2 to 1 is usual. */
const STANDING_W = 0.5;

const DAYS_A_WEEK = 7;
const DAY_MINUTES = 1440;

/** Price of a kWh drawn evenly over some stretches of the day, the mean of the weekdays; null without a tariff. */
export function priceOver(tariff: readonly TariffBand[], spans: readonly TimerSpan[]): number | null {
  if (tariff.length === 0) return null;
  let [price, minutes] = [0, 0];
  for (const { onMinute, offMinute } of spans)
    for (const { weekdays, fromMinute, toMinute, pricePerKwh } of tariff) {
      const within = Math.max(0, Math.min(offMinute, toMinute) - Math.max(onMinute, fromMinute));
      price += within * weekdays.length * pricePerKwh;
      minutes += within * weekdays.length;
    }
  return minutes > 0 ? price / minutes : 0;
}

const ALL_DAY: readonly TimerSpan[] = [{ onMinute: 0, offMinute: DAY_MINUTES }];

export interface MonthEnergy {
  readonly kWh: number;
  /** In the home's currency; null where no price was said. */
  readonly cost: number | null;
}

/** Days of each month, of a year without a leap day. */
export const DAYS_OF_MONTHS = [31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31] as const;

/**
 * Electricity of one timer's lamps in a month (1..12), with what their drivers draw while they are off.
 * @param watts of its lamps as they are dimmed; @param lamps how many hang on it
 */
export const timerEnergy = (timer: TimerTimes, load: TimerLoad): MonthEnergy =>
  energyOfWay(burningAtFull(timer, load.month), load);

/** As `timerEnergy`, of one way to burn, its fades counted half. */
export function energyOfWay({ spans, level }: Burning, { watts, lamps, month, tariff }: TimerLoad): MonthEnergy {
  const days = DAYS_OF_MONTHS[month - 1]!;
  const hours = hoursOf(spans);
  const burnt = (watts * level * hours * days) / 1000;
  const standing = (lamps * STANDING_W * (24 - hours) * days) / 1000;
  const burntPrice = priceOver(tariff, spans);
  const standingPrice = priceOver(tariff, ALL_DAY);
  return {
    kWh: burnt + standing,
    cost: burntPrice === null || standingPrice === null ? null : burnt * burntPrice + standing * standingPrice,
  };
}

export interface TimerLoad {
  readonly watts: number;
  readonly lamps: number;
  /** 1..12. */
  readonly month: number;
  readonly tariff: readonly TariffBand[];
}

/** Electricity of all lamps of a home, January first. */
export function homeEnergy(facts: Pick<HomeFacts, 'circuits' | 'lamps' | 'tariffs'>): MonthEnergy[] {
  const watts = wattsByCircuit(facts);
  const count = (id: string) => facts.lamps.filter(({ circuitId }) => circuitId === id).length;
  return DAYS_OF_MONTHS.map((_, month0) => {
    const each = facts.circuits.map((circuit) =>
      timerEnergy(circuit, {
        watts: watts.get(circuit.id) ?? 0,
        lamps: count(circuit.id),
        month: month0 + 1,
        tariff: facts.tariffs,
      }),
    );
    const cost = facts.tariffs.length === 0 ? null : each.reduce((sum, one) => sum + (one.cost ?? 0), 0);
    return { kWh: each.reduce((sum, one) => sum + one.kWh, 0), cost };
  });
}

/** A year of months together. */
export function yearEnergy(months: readonly MonthEnergy[]): MonthEnergy {
  const kWh = months.reduce((sum, one) => sum + one.kWh, 0);
  const isPriced = months.every(({ cost }) => cost !== null);
  return { kWh, cost: isPriced ? months.reduce((sum, one) => sum + one.cost!, 0) : null };
}

/** A load that is worth a word. */
export interface LoadWarning {
  readonly what: 'timer' | 'supply';
  readonly id: string;
  readonly name: string;
  readonly loadW: number;
  readonly limitW: number;
  readonly state: 'over' | 'near';
}

/**
 * Of what a label or a breaker allows, this much is used for hours on end without a word. Lamps draw ten times their
 * power and more for an instant when they come on: several at once can weld a timer's contact or trip a breaker that
 * their steady load does not trouble. Usual practice for loads that last.
 */
const STEADY_SHARE = 0.8;

/** Timers and electrical circuits whose load is over what they may carry, or near it. */
export function loadWarnings({ circuits, lamps, supplies }: Pick<HomeFacts, 'circuits' | 'lamps' | 'supplies'>) {
  const full = new Map<string, number>();
  for (const { circuitId, powerW } of lamps) full.set(circuitId, (full.get(circuitId) ?? 0) + powerW);
  const told = (what: LoadWarning['what'], id: string, name: string, loadW: number, limitW: number): LoadWarning[] =>
    loadW > STEADY_SHARE * limitW ? [{ what, id, name, loadW, limitW, state: loadW > limitW ? 'over' : 'near' }] : [];
  const ofTimers = circuits.flatMap(({ id, name, limitW }) =>
    limitW === null ? [] : told('timer', id, name, full.get(id) ?? 0, limitW),
  );
  const ofSupplies = supplies.flatMap(({ id, name, limitW, alsoW }) => {
    const own = circuits.filter(({ supplyId }) => supplyId === id);
    const loadW = own.reduce((sum, circuit) => sum + (full.get(circuit.id) ?? 0), alsoW);
    return told('supply', id, name, loadW, limitW);
  });
  return [...ofTimers, ...ofSupplies];
}

export interface TariffFlaw {
  readonly kind: 'gap' | 'overlap';
  /** 1..7, Monday first. */
  readonly weekday: number;
  readonly fromMinute: number;
  readonly toMinute: number;
}

/** Where a tariff says nothing, or two things; none for no tariff at all. */
export function tariffFlaws(tariff: readonly TariffBand[]): TariffFlaw[] {
  if (tariff.length === 0) return [];
  return Array.from({ length: DAYS_A_WEEK }, (_, i) => i + 1).flatMap((weekday): TariffFlaw[] => {
    const bands = tariff
      .filter(({ weekdays }) => weekdays.includes(weekday))
      .sort((p, q) => p.fromMinute - q.fromMinute || p.toMinute - q.toMinute);
    const flaws: TariffFlaw[] = [];
    let covered = 0;
    for (const { fromMinute, toMinute } of bands) {
      if (fromMinute > covered) flaws.push({ kind: 'gap', weekday, fromMinute: covered, toMinute: fromMinute });
      if (fromMinute < covered)
        flaws.push({ kind: 'overlap', weekday, fromMinute, toMinute: Math.min(covered, toMinute) });
      covered = Math.max(covered, toMinute);
    }
    if (covered < DAY_MINUTES) flaws.push({ kind: 'gap', weekday, fromMinute: covered, toMinute: DAY_MINUTES });
    return flaws;
  });
}
