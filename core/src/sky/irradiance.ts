/** How strong beam and diffuse daylight are outdoors on level ground, for a height of the sun and a clearness. */

/** What reaches open level ground at an instant, W m-2. */
export interface OutdoorLight {
  /** Direct normal irradiance. */
  readonly dni: number;
  /** Diffuse horizontal irradiance. */
  readonly dhi: number;
}

/**
 * Diffuse share of global irradiance from the clearness index.
 * @param clearness global over extraterrestrial, on level ground, 0..1
 * Source: Erbs, Klein and Duffie 1982.
 */
export function erbsDiffuseShare(clearness: number): number {
  const k = clearness;
  if (k <= 0.22) return 1 - 0.09 * k;
  if (k > 0.8) return 0.165;
  return 0.9511 + k * (-0.1604 + k * (4.388 + k * (-16.638 + k * 12.336)));
}

/** Clear-sky global irradiance after Haurwitz 1945, W m-2; `sinElevation` above 0. */
export function haurwitzGlobal(sinElevation: number): number {
  return 1098 * sinElevation * Math.exp(-0.057 / sinElevation);
}

/** Splits global irradiance into beam and diffuse. `extraterrestrial` faces the sun. All W m-2; `sinElevation` above 0. */
export function splitGlobal(global: number, extraterrestrial: number, sinElevation: number): OutdoorLight {
  const dhi = erbsDiffuseShare(global / (extraterrestrial * sinElevation)) * global;
  return { dni: (global - dhi) / sinElevation, dhi };
}

/**
 * Relative optical air mass at sea level. `elevationDeg` 0..90.
 * Source: Kasten and Young 1989.
 */
export function airMass(elevationDeg: number): number {
  return 1 / (Math.sin((elevationDeg * Math.PI) / 180) + 0.50572 * (elevationDeg + 6.07995) ** -1.6364);
}

/**
 * The brightest clear day: beam and diffuse after Ineichen and Perez 2002.
 * @param elevationDeg the sun's elevation, above 0
 * @param altitudeM of the place above the sea, 0..5000
 * @param linkeTurbidity at air mass 2, about 2 (mountains) to 6 (hazy towns)
 */
export function clearSkyIrradiance(
  elevationDeg: number,
  altitudeM: number,
  linkeTurbidity: number,
  extraterrestrial: number,
): OutdoorLight {
  const sin = Math.sin((elevationDeg * Math.PI) / 180);
  const mass = airMass(elevationDeg) * Math.exp(-altitudeM / 8434.5);
  const fh1 = Math.exp(-altitudeM / 8000);
  const fh2 = Math.exp(-altitudeM / 1250);
  const cg1 = 5.09e-5 * altitudeM + 0.868;
  const cg2 = 3.92e-5 * altitudeM + 0.0387;
  const fitted = cg1 * Math.exp(-cg2 * mass * (fh1 + fh2 * (linkeTurbidity - 1)) + 0.01 * mass ** 1.8);
  // The last term runs away in the last degrees above the horizon, where the fit was not made: held at its value at air mass 20.
  const lowest = cg1 * Math.exp(-cg2 * 20 * (fh1 + fh2 * (linkeTurbidity - 1)) + 0.01 * 20 ** 1.8);
  const global = extraterrestrial * sin * (mass > 20 ? Math.min(fitted, lowest) : fitted);
  const b = 0.664 + 0.163 / fh1;
  const beam = b * extraterrestrial * Math.exp(-0.09 * mass * (linkeTurbidity - 1));
  const beamCeiling = (global / sin) * (1 - (0.1 - 0.2 * Math.exp(-linkeTurbidity)) / (0.1 + 0.88 / fh1));
  const dni = Math.max(0, Math.min(beam, beamCeiling));
  return { dni, dhi: Math.max(0, global - dni * sin) };
}
