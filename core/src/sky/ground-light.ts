/** How bright open ground is for a height of the sun, from the depth of twilight up. */

/** Clear-sky illuminance of level ground by elevation of the sun's centre: degrees, lux. After Kimball 1916 and Rozenberg 1966, rounded. */
const GROUND_LUX: readonly (readonly [number, number])[] = [
  [-18, 0.0006],
  [-12, 0.008],
  [-10, 0.06],
  [-8, 0.5],
  [-6, 3.4],
  [-5, 11],
  [-4, 30],
  [-3, 75],
  [-2, 170],
  [-1, 330],
  [0, 600],
  [2, 1700],
  [5, 4600],
  [10, 10000],
  [20, 26000],
  [40, 60000],
  [60, 90000],
];

/**
 * Illuminance of open level ground, lux, for a sun between 18 degrees below and 60 above the horizon;
 * held at the ends outside that range. Within a factor of two: clouds may halve it.
 */
export function groundLux(sunElevationDeg: number): number {
  const table = GROUND_LUX;
  if (sunElevationDeg <= table[0]![0]) return table[0]![1];
  for (let i = 1; i < table.length; i++) {
    const [high, highLux] = table[i]!;
    if (sunElevationDeg > high) continue;
    const [low, lowLux] = table[i - 1]!;
    const share = (sunElevationDeg - low) / (high - low);
    return Math.exp(Math.log(lowLux) * (1 - share) + Math.log(highLux) * share);
  }
  return table[table.length - 1]![1];
}

/** The elevation at which open ground reaches an illuminance (lux); the inverse of `groundLux`, held at its ends. */
export function elevationAtLux(lux: number): number {
  const table = GROUND_LUX;
  if (lux <= table[0]![1]) return table[0]![0];
  for (let i = 1; i < table.length; i++) {
    const [high, highLux] = table[i]!;
    if (lux > highLux) continue;
    const [low, lowLux] = table[i - 1]!;
    return low + ((high - low) * Math.log(lux / lowLux)) / Math.log(highLux / lowLux);
  }
  return table[table.length - 1]![0];
}
