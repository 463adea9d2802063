/** The air of zones hour by hour through one or more days. */
import { dewPoint, relativeHumidity } from './moist';
import { SHORTEST_S, stepFor } from './rosenbrock';
import {
  FOLLOWED,
  STATES,
  instantAt,
  lengthFor,
  placeOf,
  statesFor,
  writeRates,
  zoneNow,
  type Followed,
  type ZoneNow,
} from './zone-rates';
import type { AirDays, AirZone, ZoneState } from './zones';

/** A zone's air by the hour: at the full hour, and over the hour that begins with it. */
export interface ZoneHours {
  readonly celsius: readonly number[];
  /** kg of water to a kg of dry air. */
  readonly ratio: readonly number[];
  readonly rh: readonly number[];
  readonly dewPointC: readonly number[];
  readonly meanC: readonly number[];
  readonly meanRh: readonly number[];
  readonly heatingW: readonly number[];
  /** Water over the hour, g; what goes out of the zone by air below 0. */
  readonly humidifierG: readonly number[];
  readonly dehumidifierG: readonly number[];
  readonly condensationG: readonly number[];
  readonly evaporationG: readonly number[];
  readonly sourcesG: readonly number[];
  readonly airingG: readonly number[];
  readonly linksG: readonly number[];
  /** After the last hour. */
  readonly end: ZoneState;
}

/** Steps in an hour in which schedules are looked at: the fewest at whose ends all of their hours lie. */
const STEPS = [6, 12, 20, 60] as const;
/** A humidifier that switches is looked at every half minute. */
const STEPS_WITH_SWITCHES = 120;
const SECONDS_AN_HOUR = 3600;

const ENDS_APART_H = 1e-6;

function stepsFor(zones: readonly AirZone[]): number {
  if (hasSwitches(zones)) return STEPS_WITH_SWITCHES;
  const schedules = zones.flatMap(({ airChangesH, venting, internalW, sources, heating }) => [
    airChangesH,
    ...(venting ? [venting.changesH] : []),
    ...internalW,
    ...sources.map(({ gH }) => gH),
    ...(heating ? [heating.setC] : []),
  ]);
  const ends = schedules.flatMap(({ parts }) => parts.flatMap(({ fromH, toH }) => [fromH, toH]));
  const fits = (steps: number) => ends.every((end) => Math.abs(end * steps - Math.round(end * steps)) < ENDS_APART_H);
  return STEPS.find(fits) ?? STEPS[STEPS.length - 1]!;
}

/** What switches itself, by zone. */
type Switches = readonly ('off' | 'on' | 'by-need')[];

const switchesAtStart = (zones: readonly AirZone[]): Switches =>
  zones.map(({ humidifier }) => (humidifier?.control === 'on-off' ? 'off' : 'by-need'));

function thrown(days: AirDays, values: Float64Array, before: Switches): Switches {
  if (!before.some((position) => position !== 'by-need')) return before;
  return before.map((position, z) => {
    const { humidifier } = days.zones[z]!;
    if (humidifier?.control !== 'on-off') return position;
    const rh = relativeHumidity(values[z * STATES]!, values[z * STATES + 1]!, days.pressurePa);
    if (rh <= humidifier.setRh - humidifier.halfBandRh) return 'on';
    return rh >= humidifier.setRh + humidifier.halfBandRh ? 'off' : position;
  });
}

const hasSwitches = (zones: readonly AirZone[]) => zones.some(({ humidifier }) => humidifier?.control === 'on-off');

/** Schedules as they stand in each step, looked up once however many days are run. */
function schedulesOf({ zones }: AirDays, steps: number): (step: number, switches: Switches) => readonly ZoneNow[] {
  const known: (readonly ZoneNow[])[] = [];
  const canKeep = !hasSwitches(zones);
  return (step, switches) => {
    const ofDay = step % (24 * steps);
    const held = known[ofDay];
    if (held) return held;
    const now = zones.map((zone, z) => zoneNow(zone, ((step + 0.5) / steps) % 24, switches[z]!));
    if (canKeep) known[ofDay] = now;
    return now;
  };
}

/** A step that was borne may be followed by one so much longer; one that was not, by one at least so much shorter. */
const LONGER_AT_MOST = 3;
const SHORTER_AT_LEAST = 0.5;
/** Aimed at, in parts of what is borne. */
const AIMED_AT = 0.6;

/** Runs days from a start. @param follow everything that is followed, or the states alone, which is faster */
function runner(days: AirDays, steps: number, follow: 'all' | 'states') {
  const { zones } = days;
  const length = follow === 'all' ? lengthFor(zones.length) : statesFor(zones.length);
  const step = stepFor(statesFor(zones.length), length);
  const scheduled = schedulesOf(days, steps);
  const span = SECONDS_AN_HOUR / steps;
  /** Over one step of the schedules, in as many steps as it takes. @param tried seconds; answers what to try next */
  const carry = (values: Float64Array, now: readonly ZoneNow[], fromH: number, tried: number): number => {
    let done = 0;
    let next = tried;
    while (done < span - 1e-6) {
      const seconds = Math.min(next, span - done);
      const from = instantAt(days, now, fromH + done / SECONDS_AN_HOUR);
      const to = instantAt(days, now, fromH + (done + seconds) / SECONDS_AN_HOUR);
      const off = step(values, seconds, (moved, part, rates) => {
        const instant = part === 'from' ? from : to;
        instant.values = moved;
        writeRates(instant, rates);
      });
      const wanted = seconds * Math.sqrt(AIMED_AT / Math.max(off, 1e-6));
      if (off <= 1) done += seconds;
      const most = off <= 1 ? LONGER_AT_MOST * Math.max(seconds, next) : SHORTER_AT_LEAST * seconds;
      next = Math.max(SHORTEST_S, Math.min(span, most, Number.isNaN(wanted) ? 0 : wanted));
    }
    return next;
  };
  /** Every full hour's values, the end included; sums run on from the start. */
  return (start: readonly ZoneState[]): Float64Array[] => {
    const values = new Float64Array(length);
    start.forEach(({ celsius, ratio }, z) => values.set([celsius, ratio], z * STATES));
    let switches = switchesAtStart(zones);
    let tried = span;
    const hours = [Float64Array.from(values)];
    for (let i = 0; i < days.days * 24 * steps; i++) {
      switches = thrown(days, values, switches);
      tried = carry(values, scheduled(i, switches), i / steps, tried);
      if ((i + 1) % steps === 0) hours.push(Float64Array.from(values));
    }
    return hours;
  };
}

const stateOf = (values: Float64Array, zone: number): ZoneState => ({
  celsius: values[zone * STATES]!,
  ratio: values[zone * STATES + 1]!,
});

/** Close enough to what a day leads back to: a five-hundredth of a kelvin, five parts in a million of water. */
const SETTLED = [2e-3, 5e-6] as const;
const MOST_DAYS = 60;

/** The state that a day leads back to: run, and every third day drawn out to where the changes run (Aitken). */
function settledStart(days: AirDays, steps: number, near: readonly ZoneState[] | null): readonly ZoneState[] {
  const { zones, outdoors } = days;
  const run = runner({ ...days, days: 1 }, steps, 'states');
  const after = (from: readonly ZoneState[]) => {
    const hours = run(from);
    return zones.map((_, z) => stateOf(hours[hours.length - 1]!, z));
  };
  let start: readonly ZoneState[] =
    near ??
    zones.map(({ heating }) => ({
      celsius: heating ? heating.setC.base : outdoors.celsius[0]!,
      ratio: outdoors.ratio[0]!,
    }));
  for (let run = 0; run < MOST_DAYS; run += 2) {
    const once = after(start);
    const twice = after(once);
    const isSettled = twice.every(
      ({ celsius, ratio }, z) =>
        Math.abs(celsius - once[z]!.celsius) < SETTLED[0] && Math.abs(ratio - once[z]!.ratio) < SETTLED[1],
    );
    if (isSettled) return twice;
    start = twice.map((state, z) => ({
      celsius: drawnOut(start[z]!.celsius, once[z]!.celsius, state.celsius),
      ratio: drawnOut(start[z]!.ratio, once[z]!.ratio, state.ratio),
    }));
  }
  return start;
}

/** Where three values in a row run to, if each change is the same part of the one before; the last, if they do not. */
function drawnOut(first: number, second: number, third: number): number {
  const share = (third - second) / (second - first);
  return share > -0.9 && share < 0.97 ? third + ((third - second) * share) / (1 - share) : third;
}

/**
 * The air of zones by the hour.
 * @example airByHour({ ...days, start: 'periodic' })[0].meanRh[13] // per cent from 13:00 to 14:00
 */
export function airByHour(days: AirDays, steps = stepsFor(days.zones)): ZoneHours[] {
  const start = startOf(days, steps);
  const hours = runner(days, steps, 'all')(start);
  return days.zones.map((_, z) => hoursOf(days, hours, z));
}

/** The states of zones at each full hour, the end included, by zone: faster than all that `airByHour` follows. */
export function statesByHour(days: AirDays): ZoneState[][] {
  const steps = stepsFor(days.zones);
  const hours = runner(days, steps, 'states')(startOf(days, steps));
  return days.zones.map((_, z) => hours.map((values) => stateOf(values, z)));
}

function startOf(days: AirDays, steps: number): readonly ZoneState[] {
  const { start } = days;
  if (start === 'periodic') return settledStart(days, steps, null);
  return 'near' in start ? settledStart(days, steps, start.near) : start;
}

function hoursOf({ zones, pressurePa }: AirDays, hours: readonly Float64Array[], z: number): ZoneHours {
  const place = (name: Followed) => placeOf(zones.length, z, FOLLOWED.indexOf(name));
  const at = (name: Followed) => hours.slice(0, -1).map((values) => values[place(name)]!);
  const over = (name: Followed) => hours.slice(1).map((values, i) => values[place(name)]! - hours[i]![place(name)]!);
  const mean = (name: Followed) => over(name).map((sum) => sum / SECONDS_AN_HOUR);
  const celsius = at('celsius');
  const ratio = at('ratio');
  const rh = celsius.map((one, i) => relativeHumidity(one, ratio[i]!, pressurePa));
  return {
    celsius,
    ratio,
    rh,
    dewPointC: celsius.map((one, i) => dewPoint(one, rh[i]!)),
    meanC: mean('celsiusS'),
    meanRh: mean('rhS'),
    heatingW: mean('heatingJ'),
    humidifierG: over('humidifierG'),
    dehumidifierG: over('dehumidifierG'),
    condensationG: over('condensationG'),
    evaporationG: over('evaporationG'),
    sourcesG: over('sourcesG'),
    airingG: over('airingG'),
    linksG: over('linksG'),
    end: stateOf(hours[hours.length - 1]!, z),
  };
}
