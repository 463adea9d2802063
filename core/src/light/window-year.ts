/** What one window gives a spot through the year with its curtain open: the spot's coefficients times the outdoor year. */
import { OVERCAST_SKY } from '../sky/radiance';
import { HOUR_BINS, type SkyYear } from '../sky/year';
import type { Occluder } from '../room/occluder';
import type { Vec } from '../room/vector';
import { binned, type BinnedCoefficients } from './binned';
import type { DirectLight } from './coefficients';
import type { PaneYear } from './pane-year';
import type { SpotWindow } from './room';
import { sunOnLeaf } from './sun-on-leaf';
import type { SunTally } from './sun-tally';

/** What curtains and panes that shine evenly give, beside the rest. */
export type BinnedVeils = BinnedCoefficients & Pick<DirectLight, 'optics' | 'veil'>;

/** A spot and one window under one outdoor year; curtains not yet applied, so that moving one costs almost nothing. */
export interface WindowYear {
  readonly windowId: string;
  /** Months (1..12) in which this view holds; outside them it gives nothing. */
  readonly months: readonly number[];
  /** Reflectance of the ground outside by month, January first. */
  readonly groundByMonth: readonly number[];
  /** Whether the leaf stands in this window's reveal: nothing that hangs in the room dims it. */
  readonly place: SpotWindow['place'];
  readonly direct: BinnedVeils;
  readonly reflected: BinnedVeils;
  /** On a curtain in the room, and on the pane; and what of an even light of the pane falls on the curtain. */
  readonly flux: BinnedCoefficients;
  readonly veilFlux: BinnedCoefficients;
  readonly transfer: number;
  /** The sun's beam straight on the leaf, by bin. */
  readonly sun: SunTally;
  /** The sun's beam, W h m-2 a day by bin and day type: reflected, and on each square metre of curtain. */
  readonly sunReflected: Float32Array;
  readonly sunFlux: Float64Array;
  readonly veilSunFlux: Float64Array;
}

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
  const withVeil = (light: DirectLight) => ({
    ...binned(light, sky, even, spot.pane.months),
    optics: light.optics,
    veil: light.veil,
  });
  return {
    windowId: spot.pane.windowId,
    months: spot.pane.months,
    groundByMonth: spot.pane.groundByMonth,
    place: spot.place,
    direct: withVeil(spot.direct),
    reflected: withVeil(spot.reflected),
    flux: outside.flux,
    veilFlux: outside.veilFlux,
    transfer: spot.transfer,
    sun: sunOnLeaf(spot.pane, leaf, occluders, sky, outside),
    sunReflected: sunThrownBack(spot, sky.dayTypes, outside),
    sunFlux: outside.sunFlux,
    veilSunFlux: outside.veilSunFlux,
  };
}

function sunThrownBack(
  { sunFromNode }: SpotWindow,
  dayTypes: number,
  { beamBins, beamNodes, beamShares, beamEnergy }: PaneYear,
): Float32Array {
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
