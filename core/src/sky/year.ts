/** The outdoor light of a whole year at one place: every quarter hour of sun, and the mean sky of each month's hours. */
import { DAY_MS, MINUTE_MS, RADIANS, daysInMonth, utcOffsetMinutes } from '../units';
import { dayOfYear, sunEquatorial, sunSeenFrom, type Place, type SunPosition } from '../sun';
import { COARSE_NET, SKY_NODES, coarsenInto } from './nodes';
import { clearSky } from './radiance';
import { sunsetAngle, type Weather, type WeatherStep } from './weather';

/** Months times hours: the bins in which a year's sky is summed, index `month0 * 24 + localHour`. */
export const HOUR_BINS = 12 * 24;
export const STEP_MINUTES = 15;

/** The year outdoors. `dayTypes` fields hold one value a day type, the day type running fastest. */
export interface SkyYear {
  readonly year: number;
  readonly dayTypes: number;
  readonly daysInMonth: readonly number[];
  /** Steps with the sun up. */
  readonly steps: number;
  /** Bin (`month0 * 24 + hour`) of each step. */
  readonly bin: Uint16Array;
  /** The steps in order of their bins, those of one bin in order of time. */
  readonly byBin: Uint32Array;
  /** Length of a step, minutes, and which step of its hour each is, from 0. */
  readonly stepMinutes: number;
  readonly slot: Uint8Array;
  readonly azimuthDeg: Float32Array;
  readonly elevationDeg: Float32Array;
  /** Unit vector toward the sun: east, north, up in turn. */
  readonly toSun: Float64Array;
  /** Direct normal irradiance, W m-2, `step * dayTypes + type`. */
  readonly dni: Float32Array;
  /** The strongest of each step's day types. */
  readonly dniMost: Float32Array;
  /** Energies a day by bin and type, W h m-2 (mean over the month's days): clear-sky, overcast diffuse, global. */
  readonly clearDiffuse: Float64Array;
  readonly overcastDiffuse: Float64Array;
  readonly global: Float64Array;
  /** Mean shape of the clear sky in each bin, per unit of diffuse irradiance, `node * HOUR_BINS + bin`. */
  readonly clearShape: Float32Array;
  /** The same on the coarse net. */
  readonly coarseClearShape: Float32Array;
  /** Whether the sun is up in each bin at all. */
  readonly lit: Uint8Array;
}

/** Lengths a step may have: whole parts of a quarter hour, so that the beam can be summed by quarters. */
export type StepMinutes = 15 | 7.5 | 5 | 3.75;

export interface SkyYearRequest {
  readonly place: Place;
  /** IANA name; a fixed offset is written as Etc/GMT-2 (two hours east). */
  readonly timeZone: string;
  readonly year: number;
  readonly weather: Weather;
  /** Defaults to 15 (docs/convergence.md). */
  readonly stepMinutes?: StepMinutes;
}

/** Days of each month on which the clear sky's shape is taken: it changes slowly, unlike the sun's patch on a leaf. */
const SHAPE_DAYS = [5, 15, 25];

/**
 * Each day the sun is taken at another place within its steps, spread evenly over the days of a month: a patch of sun that
 * comes and goes within a step is then counted for its share, at no cost. Weyl's sequence of the golden ratio.
 */
const GOLDEN_RATIO = (Math.sqrt(5) - 1) / 2;

/** The steps of a year as they are found, in arrays longer than it takes. */
interface Steps {
  count: number;
  readonly bin: Uint16Array;
  readonly slot: Uint8Array;
  readonly azimuthDeg: Float32Array;
  readonly elevationDeg: Float32Array;
  readonly toSun: Float64Array;
  readonly dni: Float32Array;
  readonly dniMost: Float32Array;
}

/** What is summed by bin. */
interface Sums {
  readonly clearDiffuse: Float64Array;
  readonly overcastDiffuse: Float64Array;
  readonly global: Float64Array;
  readonly clearShape: Float32Array;
  readonly shapeWeight: Float64Array;
}

const emptySteps = (most: number, types: number): Steps => ({
  count: 0,
  bin: new Uint16Array(most),
  slot: new Uint8Array(most),
  azimuthDeg: new Float32Array(most),
  elevationDeg: new Float32Array(most),
  toSun: new Float64Array(3 * most),
  dni: new Float32Array(types * most),
  dniMost: new Float32Array(most),
});

const emptySums = (types: number): Sums => ({
  clearDiffuse: new Float64Array(HOUR_BINS * types),
  overcastDiffuse: new Float64Array(HOUR_BINS * types),
  global: new Float64Array(HOUR_BINS * types),
  clearShape: new Float32Array(HOUR_BINS * SKY_NODES),
  shapeWeight: new Float64Array(HOUR_BINS),
});

const emptyWeatherStep = (types: number): WeatherStep => ({
  dni: new Float64Array(types),
  dhi: new Float64Array(types),
  clearShare: new Float64Array(types),
});

/** A year that is being computed. */
interface YearWork {
  readonly place: Place;
  readonly weather: Weather;
  readonly stepMinutes: number;
  readonly steps: Steps;
  readonly sums: Sums;
  /** One step's weather, used again for each. */
  readonly step: WeatherStep;
}

/** A day of it: beginning by the offset in force at noon, and hours that one of its steps stands for in a mean day of its month. */
interface YearDay {
  readonly month0: number;
  readonly day: number;
  readonly ordinal: number;
  readonly startMs: number;
  readonly hoursAStep: number;
}

/** Computes the outdoor year step by step. */
export function skyYear({ place, timeZone, year, weather, stepMinutes = STEP_MINUTES }: SkyYearRequest): SkyYear {
  const types = weather.dayTypes;
  const steps = emptySteps((366 * 1440) / stepMinutes, types);
  const sums = emptySums(types);
  const work: YearWork = { place, weather, stepMinutes, steps, sums, step: emptyWeatherStep(types) };
  const monthDays = Array.from({ length: 12 }, (_, month0) => daysInMonth(year, month0 + 1));
  for (let month0 = 0; month0 < 12; month0++) {
    const days = monthDays[month0]!;
    const offsetOf = noonOffsets(year, month0, days, timeZone);
    for (let day = 1; day <= days; day++) {
      addDay(work, {
        month0,
        day,
        ordinal: dayOfYear({ year, month: month0 + 1, day }),
        startMs: Date.UTC(year, month0, day) - offsetOf(day) * MINUTE_MS,
        hoursAStep: stepMinutes / 60 / days,
      });
    }
  }
  finishShapes(sums.clearShape, sums.shapeWeight);
  return finishedYear(work, year, monthDays);
}

/** Adds the steps of a day on which the sun is up. */
function addDay(work: YearWork, { month0, day, ordinal, startMs, hoursAStep }: YearDay): void {
  const { place, weather, stepMinutes, step } = work;
  const { latitude } = place;
  const sinLatitude = Math.sin(latitude * RADIANS);
  const cosLatitude = Math.cos(latitude * RADIANS);
  // Within a day declination and hour angle run so evenly that two ends serve all steps (0.001 degrees).
  const first = sunEquatorial(startMs);
  const last = sunEquatorial(startMs + DAY_MS);
  const turned = 360 + ((last.greenwichHourAngleDeg - first.greenwichHourAngleDeg + 540) % 360) - 180;
  const declinationDeg = (first.declinationDeg + last.declinationDeg) / 2;
  const sunsetHourAngle = sunsetAngle(latitude, declinationDeg);
  const takesShape = SHAPE_DAYS.includes(day);
  const within = (ordinal * GOLDEN_RATIO) % 1;
  for (let minute = 0; minute < 1440; minute += stepMinutes) {
    // Hours of the bins follow the offset in force at noon, so that a clock change does not split a day.
    const share = (minute + stepMinutes * within) / 1440;
    const hourAngleDeg = first.greenwichHourAngleDeg + turned * share;
    const declination = first.declinationDeg + (last.declinationDeg - first.declinationDeg) * share;
    const cosHourAngle = Math.cos((hourAngleDeg + place.longitude) * RADIANS);
    const level = cosLatitude * Math.cos(declination * RADIANS) * cosHourAngle;
    // Night is told before the sun's place is worked out: half of all steps.
    if (sinLatitude * Math.sin(declination * RADIANS) + level <= 0) continue;
    const sun = sunSeenFrom(place, declination, hourAngleDeg);
    if (sun.elevationDeg <= 0) continue;
    const sinElevation = Math.sin(sun.elevationDeg * RADIANS);
    weather.write(step, {
      instantMs: startMs + (minute + stepMinutes * within) * MINUTE_MS,
      month0,
      dayOfYear: ordinal,
      sinElevation,
      elevationDeg: sun.elevationDeg,
      cosHourAngle,
      sunsetHourAngle,
      latitude,
      declinationDeg,
    });
    const bin = month0 * 24 + Math.floor(minute / 60);
    const clearEnergy = addStep(work, bin, (minute % 60) / stepMinutes, sun, sinElevation, hoursAStep);
    if (takesShape && minute % 60 === 30) addShape(work.sums, bin, sun, clearEnergy + 1e-6);
  }
}

/** Adds one step with its weather. @returns the diffuse light of it that comes as from a clear sky, all day types together */
function addStep(
  { weather: { dayTypes: types }, steps, sums, step }: YearWork,
  bin: number,
  slot: number,
  { azimuthDeg, elevationDeg }: SunPosition,
  sinElevation: number,
  hours: number,
): number {
  const { count } = steps;
  const level = Math.cos(elevationDeg * RADIANS);
  steps.bin[count] = bin;
  steps.slot[count] = slot;
  steps.azimuthDeg[count] = azimuthDeg;
  steps.elevationDeg[count] = elevationDeg;
  steps.toSun[3 * count] = Math.sin(azimuthDeg * RADIANS) * level;
  steps.toSun[3 * count + 1] = Math.cos(azimuthDeg * RADIANS) * level;
  steps.toSun[3 * count + 2] = sinElevation;
  let clearEnergy = 0;
  let strongest = 0;
  for (let type = 0; type < types; type++) {
    const beam = step.dni[type]!;
    const diffuse = step.dhi[type]!;
    const clear = step.clearShare[type]! * diffuse;
    steps.dni[count * types + type] = beam;
    if (beam > strongest) strongest = beam;
    clearEnergy += clear;
    sums.clearDiffuse[bin * types + type]! += clear * hours;
    sums.overcastDiffuse[bin * types + type]! += (diffuse - clear) * hours;
    sums.global[bin * types + type]! += (diffuse + beam * sinElevation) * hours;
  }
  steps.dniMost[count] = strongest;
  steps.count++;
  return clearEnergy;
}

/** A year's arrays at their true lengths. */
function finishedYear({ weather, stepMinutes, steps, sums }: YearWork, year: number, daysInMonths: number[]): SkyYear {
  const types = weather.dayTypes;
  const { count } = steps;
  const { clearDiffuse, overcastDiffuse, global, clearShape } = sums;
  const lit = Uint8Array.from({ length: HOUR_BINS }, (_, at) => (global[at * types]! > 0 ? 1 : 0));
  return {
    year,
    dayTypes: types,
    daysInMonth: daysInMonths,
    steps: count,
    bin: steps.bin.slice(0, count),
    byBin: inOrder(steps.bin, count),
    stepMinutes,
    slot: steps.slot.slice(0, count),
    azimuthDeg: steps.azimuthDeg.slice(0, count),
    elevationDeg: steps.elevationDeg.slice(0, count),
    toSun: steps.toSun.slice(0, 3 * count),
    dni: steps.dni.slice(0, types * count),
    dniMost: steps.dniMost.slice(0, count),
    clearDiffuse,
    overcastDiffuse,
    global,
    clearShape: byNode(clearShape, SKY_NODES),
    coarseClearShape: coarseShapes(clearShape, lit),
    lit,
  };
}

/** Counting sort: keeps the order of time within a bin. */
function inOrder(bin: Uint16Array, steps: number): Uint32Array {
  const next = new Uint32Array(HOUR_BINS + 1);
  for (let step = 0; step < steps; step++) next[bin[step]! + 1]!++;
  for (let at = 1; at <= HOUR_BINS; at++) next[at]! += next[at - 1]!;
  const order = new Uint32Array(steps);
  for (let step = 0; step < steps; step++) order[next[bin[step]!]!++] = step;
  return order;
}

/** From bin by bin to node by node: a spot reads all bins of each node it sees. */
function byNode(shapes: Float32Array, nodes: number): Float32Array {
  const turned = new Float32Array(shapes.length);
  for (let at = 0; at < HOUR_BINS; at++) {
    for (let node = 0; node < nodes; node++) turned[node * HOUR_BINS + at] = shapes[at * nodes + node]!;
  }
  return turned;
}

function coarseShapes(shapes: Float32Array, lit: Uint8Array): Float32Array {
  const coarse = new Float32Array(HOUR_BINS * COARSE_NET.count);
  const one = new Float64Array(COARSE_NET.count);
  for (let at = 0; at < HOUR_BINS; at++) {
    if (lit[at] === 0) continue;
    coarsenInto(one, shapes, at * SKY_NODES);
    coarse.set(one, at * COARSE_NET.count);
  }
  return byNode(coarse, COARSE_NET.count);
}

/** Minutes local time is ahead of UTC at noon on each day of a month; zones are slow to ask, and few months change their offset. */
function noonOffsets(year: number, month0: number, days: number, timeZone: string): (day: number) => number {
  const ask = (day: number) => utcOffsetMinutes(Date.UTC(year, month0, day, 12), timeZone);
  const first = ask(1);
  return first === ask(days) ? () => first : ask;
}

function addShape({ clearShape, shapeWeight }: Sums, bin: number, sun: SunPosition, weight: number): void {
  const shape = clearSky(sun.azimuthDeg, sun.elevationDeg);
  const base = bin * shape.length;
  for (let node = 0; node < shape.length; node++) clearShape[base + node]! += shape[node]! * weight;
  shapeWeight[bin]! += weight;
}

/** Bins in which no shape was taken (the edge hours of a month) borrow the nearest hour's. */
function finishShapes(shapes: Float32Array, weights: Float64Array): void {
  const nodes = SKY_NODES;
  for (let at = 0; at < HOUR_BINS; at++) {
    if (weights[at]! === 0) continue;
    const weight = weights[at]!;
    const end = (at + 1) * nodes;
    for (let i = at * nodes; i < end; i++) shapes[i]! /= weight;
  }
  for (let month0 = 0; month0 < 12; month0++) {
    for (let hour = 0; hour < 24; hour++) {
      const at = month0 * 24 + hour;
      if (weights[at]! > 0) continue;
      const donor = nearestFilled(weights, month0, hour);
      if (donor >= 0) shapes.copyWithin(at * SKY_NODES, donor * SKY_NODES, (donor + 1) * SKY_NODES);
    }
  }
}

function nearestFilled(weights: Float64Array, month0: number, hour: number): number {
  for (let away = 1; away < 24; away++) {
    for (const other of [hour - away, hour + away]) {
      if (other >= 0 && other < 24 && weights[month0 * 24 + other]! > 0) return month0 * 24 + other;
    }
  }
  return -1;
}
