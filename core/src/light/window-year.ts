/** What one window gives a spot through the year with its curtain open: the spot's coefficients times the outdoor year. */
import { OVERCAST_SKY } from '../sky/radiance';
import { HOUR_BINS, type SkyYear } from '../sky/year';
import { clearWay, type Occluder } from '../room/occluder';
import type { Vec } from '../room/vector';
import { binned, type BinnedCoefficients } from './binned';
import type { DirectLight } from './coefficients';
import { RUN, type PaneYear } from './pane-year';
import type { SpotWindow } from './room';

/** Beam irradiance from which the sun is said to shine, W m-2. World Meteorological Organization. */
const SUNSHINE_THRESHOLD = 120;

/** Where trees and crowns leave less of the beam than this, the leaf is said to be in shade. */
const DISC_SEEN = 0.5;

/** A spot and one window under one outdoor year; curtains not yet applied, so that moving one costs almost nothing. */
export interface WindowYear {
  readonly windowId: string;
  /** Months (1..12) in which this view holds; outside them it gives nothing. */
  readonly months: readonly number[];
  /** Reflectance of the ground outside by month, January first. */
  readonly groundByMonth: readonly number[];
  readonly direct: BinnedCoefficients & { readonly veil: number };
  readonly reflected: BinnedCoefficients & { readonly veil: number };
  readonly flux: BinnedCoefficients;
  /** The sun's beam, W h m-2 a day by bin and day type: on the leaf, reflected, and on each square metre of curtain. */
  readonly sunDirect: Float32Array;
  readonly sunReflected: Float32Array;
  readonly sunFlux: Float64Array;
  /** Strongest beam on the leaf over a whole hour in each bin, W m-2, on the brightest day type: a fleck that passes burns nothing. */
  readonly sunPeak: Float32Array;
  /** Hours a day that the sun's disc can be seen from the spot, and those in which it is likely to shine. */
  readonly sunHoursPossible: Float32Array;
  readonly sunHoursLikely: Float32Array;
}

/** What the sun's beam gives straight to a leaf. */
type SunOnLeaf = Pick<WindowYear, 'sunDirect' | 'sunPeak' | 'sunHoursPossible' | 'sunHoursLikely'>;

/**
 * A level leaf behind one window through a year.
 * @param even shape of the part of the sky that is not clear
 */
export function windowYear(
  spot: SpotWindow,
  leaf: Vec,
  occluders: readonly Occluder[],
  sky: SkyYear,
  outside: PaneYear,
  even: Float64Array = OVERCAST_SKY,
): WindowYear {
  const withVeil = (light: DirectLight) => ({ ...binned(light, sky, even, spot.pane.months), veil: light.veil });
  return {
    windowId: spot.pane.windowId,
    months: spot.pane.months,
    groundByMonth: spot.pane.groundByMonth,
    direct: withVeil(spot.direct),
    reflected: withVeil(spot.reflected),
    flux: outside.flux,
    ...sunOnLeaf(spot, leaf, occluders, sky, outside),
    sunReflected: sunThrownBack(spot, sky.dayTypes, outside),
    sunFlux: outside.sunFlux,
  };
}

function sunThrownBack({ sunFromNode }: SpotWindow, dayTypes: number, { beamBins, beamNodes, beamShares, beamEnergy }: PaneYear): Float32Array {
  const thrownBack = new Float32Array(HOUR_BINS * dayTypes);
  for (let entry = 0; entry < beamBins.length; entry++) {
    let back = 0;
    for (let i = 4 * entry; i < 4 * entry + 4; i++) back += beamShares[i]! * sunFromNode(beamNodes[i]!);
    if (back === 0) continue;
    const into = beamBins[entry]! * dayTypes;
    const from = entry * dayTypes;
    for (let type = 0; type < dayTypes; type++) thrownBack[into + type]! += back * beamEnergy[from + type]!;
  }
  return thrownBack;
}

/** Follows the sun step by step; runs of steps whose beams all miss the leaf are passed over at once. */
function sunOnLeaf({ pane }: SpotWindow, leaf: Vec, occluders: readonly Occluder[], sky: SkyYear, outside: PaneYear): SunOnLeaf {
  const { dayTypes } = sky;
  const sunDirect = new Float32Array(HOUR_BINS * dayTypes);
  const sunPeak = new Float32Array(HOUR_BINS);
  const sunHoursPossible = new Float32Array(HOUR_BINS);
  const sunHoursLikely = new Float32Array(HOUR_BINS);
  const { corner, edgeU, edgeV, normal, sizeU, sizeV } = pane.opening;
  const ox = leaf.x - corner.x;
  const oy = leaf.y - corner.y;
  const oz = leaf.z - corner.z;
  const leafU = ox * edgeU.x + oy * edgeU.y + oz * edgeU.z;
  const leafV = ox * edgeV.x + oy * edgeV.y + oz * edgeV.z;
  const away = -(ox * normal.x + oy * normal.y + oz * normal.z);
  const { alongU, alongV, parts, runs } = outside;
  const count = away > 0 ? outside.steps.length : 0;
  let hourOf = -1;
  let lastStep = -1;
  let lastSlot = 60;
  let hourSum = 0;
  // The sun comes from above: what ends below the leaf hides nothing of it.
  const above = occluders.filter((occluder) => occluder.z1 > leaf.z);
  for (let run = 0; run * RUN < count; run++) {
    if (leafU + runs[4 * run]! * away > sizeU || leafU + runs[4 * run + 1]! * away < 0) continue;
    if (leafV + runs[4 * run + 2]! * away > sizeV || leafV + runs[4 * run + 3]! * away < 0) continue;
    const end = Math.min(count, (run + 1) * RUN);
    for (let i = run * RUN; i < end; i++) {
      const u = leafU + alongU[i]! * away;
      if (u < parts[4 * i]! || u > parts[4 * i + 1]!) continue;
      const v = leafV + alongV[i]! * away;
      if (v < parts[4 * i + 2]! || v > parts[4 * i + 3]!) continue;
      let passed = outside.passed[i]!;
      let shine = outside.treeShare[i]!;
      if (above.length > 0) {
        // Under a tree or a crown the sun shines in flecks: what is left of it counts.
        const way = clearWay(
          above, leaf.x, leaf.y, leaf.z,
          corner.x + edgeU.x * u + edgeV.x * v, corner.y + edgeU.y * u + edgeV.y * v, corner.z + edgeU.z * u + edgeV.z * v,
        );
        if (way === 0) continue;
        passed *= way;
        shine *= way;
      }
      const step = outside.steps[i]!;
      const bin = sky.bin[step]!;
      const hours = sky.stepMinutes / 60 / sky.daysInMonth[Math.floor(bin / 24)]!;
      const onLeaf = passed * outside.height[i]!;
      const energy = onLeaf * hours;
      const threshold = SUNSHINE_THRESHOLD / shine;
      let sunny = 0;
      for (let type = 0; type < dayTypes; type++) {
        const dni = sky.dni[step * dayTypes + type]!;
        sunDirect[bin * dayTypes + type]! += dni * energy;
        if (dni > threshold) sunny++;
      }
      // One hour of one day: steps of a day are numbered in a row, as their slots are.
      const slot = sky.slot[step]!;
      if (bin !== hourOf || slot - lastSlot !== step - lastStep) hourSum = 0;
      hourOf = bin;
      lastStep = step;
      lastSlot = slot;
      hourSum += (sky.dniMost[step]! * onLeaf * sky.stepMinutes) / 60;
      if (hourSum > sunPeak[bin]!) sunPeak[bin] = hourSum;
      if (shine < DISC_SEEN) continue;
      sunHoursPossible[bin]! += hours;
      sunHoursLikely[bin]! += (hours * sunny) / dayTypes;
    }
  }
  return { sunDirect, sunPeak, sunHoursPossible, sunHoursLikely };
}
