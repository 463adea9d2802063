/** How fast the air of zones warms and moistens at an instant, and what flows where meanwhile. */
import { relativeHumidity, saturationRatio } from './moist';
import { hourlyAt, scheduledAt, type AirDays, type AirZone, type Venting } from './zones';

/** What is followed of each zone: its state first, then what is summed up, in this order. */
export const FOLLOWED = [
  'celsius',
  'ratio',
  'heatingJ',
  'humidifierG',
  'dehumidifierG',
  'condensationG',
  'evaporationG',
  'sourcesG',
  'airingG',
  'linksG',
  'celsiusS',
  'rhS',
] as const;
export type Followed = (typeof FOLLOWED)[number];
const ROWS = FOLLOWED.length;
/** Temperature and humidity ratio: all else follows from them. */
export const STATES = 2;

/** Where a zone's value stands: states of all zones come first, then the sums. */
export const placeOf = (zones: number, zone: number, row: number): number =>
  row < STATES ? zone * STATES + row : zones * STATES + zone * (ROWS - STATES) + (row - STATES);
export const lengthFor = (zones: number): number => zones * ROWS;
export const statesFor = (zones: number): number => zones * STATES;

const SECONDS_AN_HOUR = 3600;

/** What stays as it is within a step: schedules, and switches that were thrown. */
export interface ZoneNow {
  readonly airKgS: number;
  /** Through its windows, were they wide open. */
  readonly ventKgS: number;
  readonly internalW: number;
  readonly sourcesGH: number;
  /** Of it what takes its heat from the room. */
  readonly coolingGH: number;
  readonly setC: number;
  readonly humidifier: 'off' | 'on' | 'by-need';
}

export function zoneNow(zone: AirZone, hourOfDay: number, humidifier: ZoneNow['humidifier']): ZoneNow {
  const gH = (heat?: 'from-the-room') =>
    zone.sources
      .filter((source) => !heat || source.heat === heat)
      .reduce((sum, source) => sum + scheduledAt(source.gH, hourOfDay), 0);
  return {
    airKgS: (scheduledAt(zone.airChangesH, hourOfDay) * zone.dryAirKg) / SECONDS_AN_HOUR,
    ventKgS: zone.venting ? (scheduledAt(zone.venting.changesH, hourOfDay) * zone.dryAirKg) / SECONDS_AN_HOUR : 0,
    internalW: zone.internalW.reduce((sum, schedule) => sum + scheduledAt(schedule, hourOfDay), 0),
    sourcesGH: gH(),
    coolingGH: gH('from-the-room'),
    setC: zone.heating ? scheduledAt(zone.heating.setC, hourOfDay) : 0,
    humidifier,
  };
}

const AIR_HEAT = 1006;
const VAPOUR_HEAT = 1860;
const VAPORISATION_J_G = 2450;
/** Film of a pane's inner side and the part of it that air carries, W m-2 K-1: water settles with that part (Lewis). */
export const INNER_FILM = 8;
const CONVECTIVE_FILM = 3;

/** Outdoors counts as cooler from so much on, K. */
const COOLER_K = 1;

/** How far a zone's windows stand open for its warmth, 0..1. */
export const openShare = ({ fromC, bandK }: Venting, celsius: number, outsideC: number): number =>
  clip((celsius - fromC) / bandK) * clip((celsius - outsideC) / COOLER_K);

const clip = (share: number) => (share <= 0 ? 0 : share >= 1 ? 1 : share);

/** Water that goes into a zone and out of it, g/h. */
function waterFlows(
  zone: AirZone,
  now: ZoneNow,
  pressurePa: number,
  at: { celsius: number; ratio: number; rh: number },
) {
  const { humidifier, dehumidifier, wet } = zone;
  const wanted = () =>
    humidifier?.control === 'proportional' ? clip((humidifier.setRh - at.rh) / humidifier.bandRh) : 0;
  const share = now.humidifier === 'on' ? 1 : now.humidifier === 'off' ? 0 : wanted();
  const duty = dehumidifier ? clip((at.rh - dehumidifier.setRh) / dehumidifier.bandRh) : 0;
  const evaporation = wet
    ? SECONDS_AN_HOUR * 1000 * wet.areaM2 * wet.coefficient * (saturationRatio(at.celsius, pressurePa) - at.ratio)
    : 0;
  return {
    humidifier: (humidifier?.maxGH ?? 0) * share,
    dehumidifier: (dehumidifier?.maxGH ?? 0) * duty,
    dehumidifierW: (dehumidifier?.powerW ?? 0) * duty,
    evaporation,
  };
}

/** What settles on a zone's panes, g/h. @param behind temperature behind each pane */
function condensation(
  zone: AirZone,
  pressurePa: number,
  celsius: number,
  ratio: number,
  behind: (i: number) => number,
) {
  return zone.panes.reduce((sum, { areaM2, uValue }, i) => {
    const surfaceC = celsius - (uValue / INNER_FILM) * (celsius - behind(i));
    const over = ratio - saturationRatio(surfaceC, pressurePa);
    return over <= 0 ? sum : sum + SECONDS_AN_HOUR * 1000 * areaM2 * (CONVECTIVE_FILM / AIR_HEAT) * over;
  }, 0);
}

/** An instant of zones: what the values and the hour say. */
export interface Instant {
  readonly days: AirDays;
  readonly now: readonly ZoneNow[];
  /** Counted from the first midnight. */
  readonly hour: number;
  readonly outsideC: number;
  readonly outsideRatio: number;
  /** Of all zones, as `placeOf` lays them out; sums in it are not looked at. */
  values: Float64Array;
}

const NO_VALUES = new Float64Array(0);

/** An instant whose values are still to be put in. */
export const instantAt = (days: AirDays, now: readonly ZoneNow[], hour: number): Instant => ({
  days,
  now,
  hour,
  outsideC: hourlyAt(days.outdoors.celsius, hour),
  outsideRatio: hourlyAt(days.outdoors.ratio, hour),
  values: NO_VALUES,
});

const celsiusIn = ({ values }: Instant, zone: number) => values[zone * STATES]!;
const ratioIn = ({ values }: Instant, zone: number) => values[zone * STATES + 1]!;

/** What comes into a zone from those it opens to: heat, W, and water, kg/s. */
function throughLinks(instant: Instant, z: number) {
  let heatW = 0;
  let waterKgS = 0;
  for (const { a, b, uaWK, flowKgS } of instant.days.links) {
    if (a !== z && b !== z) continue;
    const other = a === z ? b : a;
    heatW += (uaWK + AIR_HEAT * flowKgS) * (celsiusIn(instant, other) - celsiusIn(instant, z));
    waterKgS += flowKgS * (ratioIn(instant, other) - ratioIn(instant, z));
  }
  return { heatW, waterKgS };
}

/** Writes the rates of one zone to their places. */
function writeZone(instant: Instant, z: number, rates: Float64Array): void {
  const { days, hour, outsideC, outsideRatio } = instant;
  const zone = days.zones[z]!;
  const now = instant.now[z]!;
  const [celsius, ratio] = [celsiusIn(instant, z), ratioIn(instant, z)];
  const onlyStates = rates.length === statesFor(days.zones.length);
  const looksAtRh = zone.humidifier || zone.dehumidifier || !onlyStates;
  const rh = looksAtRh ? relativeHumidity(celsius, ratio, days.pressurePa) : 0;
  const water = waterFlows(zone, now, days.pressurePa, { celsius, ratio, rh });
  const settling = condensation(zone, days.pressurePa, celsius, ratio, (i) => {
    const { behind } = zone.panes[i]!;
    return behind === 'outdoors' ? outsideC : celsiusIn(instant, behind);
  });
  const links = throughLinks(instant, z);
  const { heating } = zone;
  const heatingW = heating ? heating.maxW * clip(0.5 + (now.setC - celsius) / heating.bandK) : 0;
  const mist = zone.humidifier?.heat === 'from-the-room' ? water.humidifier : 0;
  const coolingW =
    (VAPORISATION_J_G * (now.coolingGH + water.evaporation + mist - water.dehumidifier)) / SECONDS_AN_HOUR;
  const open = now.ventKgS > 0 ? openShare(zone.venting!, celsius, outsideC) : 0;
  const airKgS = now.airKgS + open * now.ventKgS;
  const airingW = airKgS * (AIR_HEAT + VAPOUR_HEAT * outsideRatio) * (outsideC - celsius);
  const solarW = zone.solarW ? hourlyAt(zone.solarW, hour) : 0;
  const gainsW = heatingW + now.internalW + water.dehumidifierW + solarW - coolingW;
  const airingG = 1000 * airKgS * (outsideRatio - ratio);
  const linksG = 1000 * links.waterKgS;
  const givenG =
    (now.sourcesGH + water.humidifier + water.evaporation - water.dehumidifier - settling) / SECONDS_AN_HOUR;
  const states = z * STATES;
  rates[states] = (gainsW + airingW + links.heatW + zone.uaWK * (outsideC - celsius)) / zone.capacityJK;
  rates[states + 1] = (airingG + linksG + givenG) / (1000 * zone.dryAirKg);
  // The sums, in the order of `FOLLOWED`; none where only the states are followed.
  if (onlyStates) return;
  let place = days.zones.length * STATES + z * (ROWS - STATES);
  rates[place++] = heatingW;
  rates[place++] = water.humidifier / SECONDS_AN_HOUR;
  rates[place++] = water.dehumidifier / SECONDS_AN_HOUR;
  rates[place++] = settling / SECONDS_AN_HOUR;
  rates[place++] = water.evaporation / SECONDS_AN_HOUR;
  rates[place++] = now.sourcesGH / SECONDS_AN_HOUR;
  rates[place++] = airingG;
  rates[place++] = linksG;
  rates[place++] = celsius;
  rates[place] = rh;
}

/**
 * Writes the rates of everything that is followed, a second: kelvin, kg/kg, and the sums.
 */
export function writeRates(instant: Instant, rates: Float64Array): void {
  for (let z = 0; z < instant.days.zones.length; z++) writeZone(instant, z, rates);
}
