/** The heat that daylight brings into a room by a window, hour by hour of each month. */
import { HOUR_BINS, type SkyYear } from '../sky/year';
import type { TransmittanceYear } from './curtains';
import type { Pane } from './pane';
import type { PaneYear } from './pane-year';

/**
 * Heat beside light: a pane that lets a share of the light through lets less of the infrared through, and gives part of
 * what it takes up to the room. Judgement between plain (0.95) and coated panes (0.8), EN 410.
 */
const HEAT_FOR_LIGHT = 0.85;
/** What a curtain in the room stops stays in the room by half; the rest goes out again. Judgement. */
const KEPT_BY_CURTAIN = 0.5;

/**
 * Heat through one opening, W on a mean day, by hour bin (`month0 * 24 + hour`).
 * @param transmittance of its curtains
 */
export function windowHeat(
  { opening: { sizeU, sizeV }, months, groundByMonth }: Pick<Pane, 'opening' | 'months' | 'groundByMonth'>,
  { veilFlux, veilSunFlux }: Pick<PaneYear, 'veilFlux' | 'veilSunFlux'>,
  sky: SkyYear,
  { straight, spread, veiled, twice }: TransmittanceYear,
): Float64Array {
  const watts = new Float64Array(HOUR_BINS);
  const { dayTypes } = sky;
  for (const month of months) {
    const ground = groundByMonth[month - 1]!;
    for (let bin = (month - 1) * 24; bin < month * 24; bin++) {
      let sum = 0;
      for (let at = bin * dayTypes; at < (bin + 1) * dayTypes; at++) {
        sum +=
          sky.clearDiffuse[at]! * veilFlux.clear[bin]! +
          sky.overcastDiffuse[at]! * veilFlux.overcast +
          sky.global[at]! * (veilFlux.ground * ground + veilFlux.obstruction) +
          veilSunFlux[at]!;
      }
      const passes = straight[bin]! + spread[bin]! + veiled[bin]! + twice[bin]!;
      const kept = passes + KEPT_BY_CURTAIN * (1 - passes);
      watts[bin] = (HEAT_FOR_LIGHT * kept * sizeU * sizeV * sum) / dayTypes;
    }
  }
  return watts;
}
