/** Air of a room once nothing changes any more: what sources, airing and cold glass come to. */
import {
  dewPoint,
  enthalpy,
  humidityRatio,
  relativeHumidity,
  saturationPressure,
  saturationRatio,
  specificVolume,
} from './moist';

/** A well mixed room that air from outside flows through. */
export interface SteadyRoom {
  readonly volumeM3: number;
  /** Air that leaves the room in an hour, of its volume. */
  readonly airChangesH: number;
  readonly indoorC: number;
  readonly outdoorC: number;
  /** Per cent. */
  readonly outdoorRh: number;
  readonly pressurePa: number;
}

export interface SteadyMoisture {
  /** Per cent; 100 where more is given off than the air can carry away. */
  readonly rh: number;
  /** Dry air that flows through, kg/h. */
  readonly dryAirKgH: number;
  /** Water that settles because the air is full, g/h. */
  readonly settlesGH: number;
}

const outdoorRatio = ({ outdoorC, outdoorRh, pressurePa }: SteadyRoom) =>
  humidityRatio(outdoorC, outdoorRh, pressurePa);

/** Dry air that leaves a room in an hour, kg; the air that leaves has the room's own warmth and moisture. */
const dryAirFlow = ({ volumeM3, airChangesH, indoorC, pressurePa }: SteadyRoom, ratio: number) =>
  (volumeM3 * airChangesH) / specificVolume(indoorC, ratio, pressurePa);

/** The flow and the moisture hang on each other so weakly that a few rounds settle them. */
const ROUNDS = 12;

/** What the moisture of a room settles at with a source of water in it. @param sourceGH g/h, 0 and above */
export function steadyMoisture(room: SteadyRoom, sourceGH: number): SteadyMoisture {
  const { indoorC, pressurePa } = room;
  const outside = outdoorRatio(room);
  const most = saturationRatio(indoorC, pressurePa);
  let ratio = outside;
  for (let round = 0; round < ROUNDS; round++)
    ratio = outside + sourceGH / 1000 / dryAirFlow(room, Math.min(ratio, most));
  const dryAirKgH = dryAirFlow(room, Math.min(ratio, most));
  const isFull = ratio > most;
  return {
    rh: isFull ? 100 : relativeHumidity(indoorC, ratio, pressurePa),
    dryAirKgH,
    settlesGH: isFull ? 1000 * dryAirKgH * (ratio - most) : 0,
  };
}

/** Water that must be given off in a room to hold a humidity, g/h; below 0 where the air outside is moister already. */
export function waterForHumidity(room: SteadyRoom, targetRh: number): number {
  const wanted = humidityRatio(room.indoorC, targetRh, room.pressurePa);
  return 1000 * dryAirFlow(room, wanted) * (wanted - outdoorRatio(room));
}

/** Heat that a room loses, W. */
export interface SteadyHeat {
  readonly throughWallsW: number;
  /** With the air that is changed, its warmth alone. */
  readonly airingW: number;
  /** And with the water in it. */
  readonly airingWithWaterW: number;
}

/** Heat of dry air and of vapour, J kg-1 K-1. */
const AIR_HEAT = 1006;
const VAPOUR_HEAT = 1860;

/**
 * What keeps a room at its temperature. @param uaWK heat through walls and windows for each kelvin @param rh of the
 * room
 */
export function steadyHeat(room: SteadyRoom, uaWK: number, rh: number): SteadyHeat {
  const { indoorC, outdoorC, pressurePa } = room;
  const outside = outdoorRatio(room);
  const inside = humidityRatio(indoorC, rh, pressurePa);
  const flow = dryAirFlow(room, inside) / 3600;
  const warmer = indoorC - outdoorC;
  return {
    throughWallsW: uaWK * warmer,
    airingW: flow * (AIR_HEAT + VAPOUR_HEAT * outside) * warmer,
    airingWithWaterW: 1000 * flow * (enthalpy(indoorC, inside) - enthalpy(outdoorC, outside)),
  };
}

/** A pane's inner side. */
export interface PaneInside {
  readonly surfaceC: number;
  /** Per cent: from here on the pane runs with water. */
  readonly mostRh: number;
  /** How far the pane lies above the dew point of the room's air, K; below 0 it runs. */
  readonly marginK: number;
}

/**
 * The inner side of a pane. @param uValue W m-2 K-1 @param insideResistance of its inner film, m2 K W-1 (EN ISO 6946:
 * 0.13)
 */
export function paneInside(
  { indoorC, outdoorC }: Pick<SteadyRoom, 'indoorC' | 'outdoorC'>,
  rh: number,
  uValue: number,
  insideResistance = 0.13,
): PaneInside {
  const surfaceC = indoorC - uValue * insideResistance * (indoorC - outdoorC);
  return {
    surfaceC,
    mostRh: Math.min(100, (100 * saturationPressure(surfaceC)) / saturationPressure(indoorC)),
    marginK: surfaceC - dewPoint(indoorC, rh),
  };
}

/** What open water gives to still air, g/h: the formulas for pools disagree by two times, so it is told as a span. */
export interface TraySpan {
  readonly leastGH: number;
  readonly mostGH: number;
}

/** Heat that a kg of water takes to evaporate, kJ. */
const vaporisation = (waterC: number) => 2501 - 2.361 * waterC;

/**
 * Evaporation of open water with nobody stirring it. The most after Carrier, as in ASHRAE's handbook for pools at
 * rest; the least is the lower of half of that (its factor for a pool without bathers) and of Shah 2012. 0 where the
 * air would wet the water.
 */
export function trayEvaporation(
  areaM2: number,
  waterC: number,
  { airC, rh, pressurePa }: { readonly airC: number; readonly rh: number; readonly pressurePa: number },
): TraySpan {
  const drive = saturationPressure(waterC) - (saturationPressure(airC) * rh) / 100;
  const carrier = (3.6e6 * areaM2 * drive * 0.089) / vaporisation(waterC);
  const [least, most] = [Math.min(carrier / 2, shah(areaM2, waterC, airC, rh, pressurePa)), carrier];
  return { leastGH: Math.max(0, least), mostGH: Math.max(0, most) };
}

/** Shah 2012: the greater of what rises by its own lightness and of what rooms' air carries off, g/h. */
function shah(areaM2: number, waterC: number, airC: number, rh: number, pressurePa: number): number {
  const atWater = saturationRatio(waterC, pressurePa);
  const inRoom = humidityRatio(airC, rh, pressurePa);
  const [waterDensity, roomDensity] = [
    1 / specificVolume(waterC, atWater, pressurePa),
    1 / specificVolume(airC, inRoom, pressurePa),
  ];
  const lighter = roomDensity - waterDensity;
  const natural = lighter > 0 ? (lighter > 0.02 ? 35 : 40) * waterDensity * Math.cbrt(lighter) * (atWater - inRoom) : 0;
  const drivePa = 1000 * saturationPressure(waterC) - 10 * saturationPressure(airC) * rh;
  return 1000 * areaM2 * Math.max(natural, 5e-5 * drivePa);
}
