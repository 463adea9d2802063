/** Moist air: what temperature and relative humidity say together. */

/** Pressure of the standard atmosphere at a height above the sea, Pa. ICAO standard atmosphere; -400..5000 m. */
export function pressureAt(elevationM: number): number {
  return 101325 * (1 - 2.25577e-5 * elevationM) ** 5.25588;
}

/**
 * Saturation pressure of water vapour, kPa; over ice below 0.01 C, over water above. -60..80 C.
 * Source: Hyland and Wexler 1983, as in the ASHRAE Handbook of Fundamentals, ch. 1.
 */
export function saturationPressure(celsius: number): number {
  const t = celsius + 273.15;
  const log =
    celsius < 0.01
      ? -5.6745359e3 / t +
        6.3925247 +
        t * (-9.677843e-3 + t * (6.2215701e-7 + t * (2.0747825e-9 - t * 9.484024e-13))) +
        4.1635019 * Math.log(t)
      : -5.8002206e3 / t +
        1.3914993 +
        t * (-4.8640239e-2 + t * (4.1764768e-5 - t * 1.4452093e-8)) +
        6.5459673 * Math.log(t);
  return Math.exp(log) / 1000;
}

/**
 * Vapour pressure deficit of a leaf, kPa: how strongly the air draws water from it. Negative: dew forms on it.
 * @param airC of the air; @param rh per cent; @param leafOffsetK leaf minus air
 */
export function vapourPressureDeficit(airC: number, rh: number, leafOffsetK = 0): number {
  return saturationPressure(airC + leafOffsetK) - (saturationPressure(airC) * rh) / 100;
}

/**
 * Temperature at which the air's water starts to settle, C (frost point below 0), by bisection of the saturation
 * curve; `rh` above 0.
 */
export function dewPoint(airC: number, rh: number): number {
  const wanted = (saturationPressure(airC) * rh) / 100;
  let low = -80;
  let high = airC;
  while (high - low > 1e-4) {
    const middle = (low + high) / 2;
    if (saturationPressure(middle) < wanted) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** Mass of water vapour to mass of dry air at the same pressure and temperature, kg/kmol over kg/kmol. ASHRAE 2017. */
const WATER_TO_AIR = 0.621945;
/** Gas constant of dry air, J kg-1 K-1. */
const DRY_AIR_GAS = 287.042;
/** Gas constant of water vapour, J kg-1 K-1. */
const VAPOUR_GAS = 461.52;
const KELVIN = 273.15;

/** Humidity ratio of saturated air, kg of water to a kg of dry air. @param pressurePa of the air */
export function saturationRatio(celsius: number, pressurePa: number): number {
  const vapour = saturationPressure(celsius) * 1000;
  return (WATER_TO_AIR * vapour) / (pressurePa - vapour);
}

/** Humidity ratio, kg of water to a kg of dry air. @param rh per cent @param pressurePa of the air */
export function humidityRatio(celsius: number, rh: number, pressurePa: number): number {
  const vapour = saturationPressure(celsius) * 10 * rh;
  return (WATER_TO_AIR * vapour) / (pressurePa - vapour);
}

/** Relative humidity of air with a humidity ratio, per cent; above 100 where it holds more than it can. */
export function relativeHumidity(celsius: number, ratio: number, pressurePa: number): number {
  return (pressurePa * ratio) / (WATER_TO_AIR + ratio) / (saturationPressure(celsius) * 10);
}

/** Volume of moist air that holds a kg of dry air, m3. */
export function specificVolume(celsius: number, ratio: number, pressurePa: number): number {
  return (DRY_AIR_GAS * (celsius + KELVIN) * (1 + 1.607858 * ratio)) / pressurePa;
}

/** Water in a cubic metre of air, g. @param rh per cent */
export function absoluteHumidity(celsius: number, rh: number): number {
  return (saturationPressure(celsius) * 1e4 * rh) / (VAPOUR_GAS * (celsius + KELVIN));
}

/** Heat in air by a kg of dry air, kJ; of dry air and liquid water at 0 C none. */
export function enthalpy(celsius: number, ratio: number): number {
  return 1.006 * celsius + ratio * (2501 + 1.86 * celsius);
}

/**
 * Temperature that air takes which wets itself until it is saturated (thermodynamic wet bulb), C, by bisection; over
 * ice below 0. What water in a shallow tray tends to. Source: ASHRAE Handbook of Fundamentals 2017, ch. 1, eq. 33 and
 * 35.
 * @param rh per cent, above 0
 */
export function wetBulb(celsius: number, rh: number, pressurePa: number): number {
  const ratio = humidityRatio(celsius, rh, pressurePa);
  let low = dewPoint(celsius, rh);
  let high = celsius;
  while (high - low > 1e-4) {
    const middle = (low + high) / 2;
    if (ratioAtWetBulb(celsius, middle, pressurePa) < ratio) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

function ratioAtWetBulb(celsius: number, wetC: number, pressurePa: number): number {
  const saturated = saturationRatio(wetC, pressurePa);
  return wetC >= 0
    ? ((2501 - 2.326 * wetC) * saturated - 1.006 * (celsius - wetC)) / (2501 + 1.86 * celsius - 4.186 * wetC)
    : ((2830 - 0.24 * wetC) * saturated - 1.006 * (celsius - wetC)) / (2830 + 1.86 * celsius - 2.1 * wetC);
}

/** A relative humidity moved by a correction, held to what air can have, per cent. */
export const possibleRh = (rh: number): number => Math.max(1, Math.min(100, rh));
