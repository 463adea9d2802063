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
        6.3925247 -
        9.677843e-3 * t +
        6.2215701e-7 * t ** 2 +
        2.0747825e-9 * t ** 3 -
        9.484024e-13 * t ** 4 +
        4.1635019 * Math.log(t)
      : -5.8002206e3 / t +
        1.3914993 -
        4.8640239e-2 * t +
        4.1764768e-5 * t ** 2 -
        1.4452093e-8 * t ** 3 +
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

/** Temperature at which the air's water starts to settle, C (frost point below 0), by bisection of the saturation curve; `rh` above 0. */
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
