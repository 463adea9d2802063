/** The daylight of a spot through the year: its windows added up under their curtains. */
import { HOUR_BINS, type SkyYear } from '../sky/year';
import type { Veil } from './instant';
import type { WindowYear } from './window-year';

/** A curtain and when it is shut, in local minutes. */
export interface CurtainProgramme {
  readonly veil: Veil;
  readonly months: readonly number[];
  readonly fromMinute: number;
  readonly toMinute: number;
}

export const DAYLIGHT_SOURCES = ['sun', 'sky', 'ground', 'obstruction', 'reflected'] as const;
export type DaylightSource = (typeof DAYLIGHT_SOURCES)[number];

/** Daylight at a spot through the year, W h m-2 of broadband irradiance a day unless said otherwise. */
export interface DaylightYear {
  /** Mean over day types, by bin, for each source. */
  readonly byHour: Readonly<Record<DaylightSource, Float64Array>>;
  /** Total of a day by `month0 * dayTypes + type`. */
  readonly byDayType: Float64Array;
  readonly dayTypes: number;
  /** Brightest hour by month, W m-2: the sun of a bright day on top of that hour's diffuse light. */
  readonly peak: Float64Array;
  /** Hours a day of direct sun by month: possible under an open sky, and likely. A shut curtain that scatters takes them. */
  readonly sunHoursPossible: Float64Array;
  readonly sunHoursLikely: Float64Array;
  /** Daylight factor: share of the light of open ground under an overcast sky, with curtains open. */
  readonly daylightFactor: number;
}

/** Share of an hour (0..23) of a month (1..12) in which a curtain is shut. */
export function shutShare(curtain: CurtainProgramme, month: number, hour: number): number {
  if (!curtain.months.includes(month)) return 0;
  const from = Math.max(curtain.fromMinute, hour * 60);
  const to = Math.min(curtain.toMinute, hour * 60 + 60);
  return Math.max(0, to - from) / 60;
}

/**
 * Adds up a spot's windows under their curtains.
 * @param curtains by window id; a window without one stands open
 */
export function daylightYear(
  windows: readonly WindowYear[],
  sky: SkyYear,
  curtains: ReadonlyMap<string, CurtainProgramme>,
): DaylightYear {
  const types = sky.dayTypes;
  const byHour = {
    sun: new Float64Array(HOUR_BINS),
    sky: new Float64Array(HOUR_BINS),
    ground: new Float64Array(HOUR_BINS),
    obstruction: new Float64Array(HOUR_BINS),
    reflected: new Float64Array(HOUR_BINS),
  };
  const byDayType = new Float64Array(12 * types);
  const peak = new Float64Array(12);
  const sunHoursPossible = new Float64Array(12);
  const sunHoursLikely = new Float64Array(12);
  let daylightFactor = 0;
  for (const w of windows) {
    daylightFactor +=
      w.direct.overcast + w.reflected.overcast +
      w.groundReflectance * (w.direct.ground + w.reflected.ground) +
      w.obstructionReflectance * (w.direct.obstruction + w.reflected.obstruction);
  }
  for (let bin = 0; bin < HOUR_BINS; bin++) {
    const month0 = Math.floor(bin / 24);
    let hourPeak = 0;
    for (const w of windows) {
      const curtain = curtains.get(w.windowId);
      const shut = curtain ? shutShare(curtain, month0 + 1, bin % 24) : 0;
      const veil = curtain?.veil ?? { transmittance: 1, scatter: 0 };
      const straight = 1 - shut + shut * veil.transmittance * (1 - veil.scatter);
      const spread = shut * veil.transmittance * veil.scatter;
      const { ground, obstruction, sky: skyLight, reflected, brightest } = binLight(w, sky, bin, straight, spread, byDayType, byHour.sun);
      byHour.sky[bin]! += skyLight;
      byHour.ground[bin]! += ground;
      byHour.obstruction[bin]! += obstruction;
      byHour.reflected[bin]! += reflected;
      hourPeak += brightest + w.sunPeak[bin]! * (shut < 1 ? 1 : veil.transmittance * (1 - veil.scatter));
      const sunShare = 1 - shut + (veil.scatter < 0.5 ? shut : 0);
      sunHoursPossible[month0]! += w.sunHoursPossible[bin]! * sunShare;
      sunHoursLikely[month0]! += w.sunHoursLikely[bin]! * sunShare;
    }
    peak[month0] = Math.max(peak[month0]!, hourPeak);
  }
  return { byHour, byDayType, dayTypes: types, peak, sunHoursPossible, sunHoursLikely, daylightFactor };
}

/** One window in one hour bin: mean parts over the day types; day-type totals and the sun's part are added in place. */
function binLight(
  w: WindowYear,
  sky: SkyYear,
  bin: number,
  straight: number,
  spread: number,
  byDayType: Float64Array,
  sunByHour: Float64Array,
) {
  const types = sky.dayTypes;
  const month0 = Math.floor(bin / 24);
  const part = (light: WindowYear['direct']) => ({
    clear: straight * light.clear[bin]! + spread * light.veil * w.flux.clear[bin]!,
    overcast: straight * light.overcast + spread * light.veil * w.flux.overcast,
    ground: (straight * light.ground + spread * light.veil * w.flux.ground) * w.groundReflectance,
    obstruction: (straight * light.obstruction + spread * light.veil * w.flux.obstruction) * w.obstructionReflectance,
  });
  const direct = part(w.direct);
  const back = part(w.reflected);
  let skySum = 0;
  let groundSum = 0;
  let obstructionSum = 0;
  let reflectedSum = 0;
  let brightest = 0;
  for (let type = 0; type < types; type++) {
    const at = bin * types + type;
    const clear = sky.clearDiffuse[at]!;
    const overcast = sky.overcastDiffuse[at]!;
    const global = sky.global[at]!;
    const sun = straight * w.sunDirect[at]! + spread * w.direct.veil * w.sunFlux[at]!;
    const skyLight = clear * direct.clear + overcast * direct.overcast;
    const ground = global * direct.ground;
    const obstruction = global * direct.obstruction;
    const reflected =
      straight * w.sunReflected[at]! + spread * w.reflected.veil * w.sunFlux[at]! +
      clear * back.clear + overcast * back.overcast + global * (back.ground + back.obstruction);
    sunByHour[bin]! += sun / types;
    skySum += skyLight;
    groundSum += ground;
    obstructionSum += obstruction;
    reflectedSum += reflected;
    const diffuse = skyLight + ground + obstruction + reflected;
    byDayType[month0 * types + type]! += sun + diffuse;
    brightest = Math.max(brightest, diffuse + spread * w.direct.veil * w.sunFlux[at]!);
  }
  return {
    sky: skySum / types,
    ground: groundSum / types,
    obstruction: obstructionSum / types,
    reflected: reflectedSum / types,
    brightest,
  };
}
