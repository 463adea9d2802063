/** How much light a window pane lets through at each angle. */

const REFRACTIVE_INDEX = 1.526;

export interface Glass {
  /** Clear panes one behind the other, 1 to 3; 0 for an opening without glass. */
  readonly panes: 0 | 1 | 2 | 3;
  /** Light let through at right angles, 0..0.92; 1 without glass. */
  readonly normalTransmittance: number;
  /** Share of what passes that is spread evenly, as by frosted glass; 0 when left out. */
  readonly scatter?: number | undefined;
}

interface Layer {
  readonly transmitted: number;
  readonly reflected: number;
}

/** One absorbing pane for one polarisation. Siegel and Howell, ch. 17; Duffie and Beckman, ch. 5. */
function pane(surfaceReflectance: number, inside: number): Layer {
  const r = surfaceReflectance;
  const through = ((1 - r) ** 2 * inside) / (1 - (r * inside) ** 2);
  return { transmitted: through, reflected: r * (1 + inside * through) };
}

function stack(layers: number, one: Layer): Layer {
  let whole = one;
  for (let i = 1; i < layers; i++) {
    const between = 1 - whole.reflected * one.reflected;
    whole = {
      transmitted: (whole.transmitted * one.transmitted) / between,
      reflected: whole.reflected + (whole.transmitted ** 2 * one.reflected) / between,
    };
  }
  return whole;
}

function transmittance(panes: number, cosIncidence: number, absorption: number): number {
  if (cosIncidence <= 0) return 0;
  const sinRefracted = Math.sqrt(1 - cosIncidence ** 2) / REFRACTIVE_INDEX;
  const cosRefracted = Math.sqrt(1 - sinRefracted ** 2);
  const inside = Math.exp(-absorption / cosRefracted);
  const perpendicular =
    (cosIncidence - REFRACTIVE_INDEX * cosRefracted) / (cosIncidence + REFRACTIVE_INDEX * cosRefracted);
  const parallel = (REFRACTIVE_INDEX * cosIncidence - cosRefracted) / (REFRACTIVE_INDEX * cosIncidence + cosRefracted);
  const s = stack(panes, pane(perpendicular ** 2, inside));
  const p = stack(panes, pane(parallel ** 2, inside));
  return (s.transmitted + p.transmitted) / 2;
}

const TABLE_SIZE = 512;

/** Transmittance by cosine of incidence, ready to be read quickly. */
export type GlassCurve = (cosIncidence: number) => number;

/**
 * The angle curve of a glazing after Fresnel: panes of index 1.526 whose absorption is fitted so that light at
 * right angles passes as stated. A stated value above what clear glass can pass is held at clear glass.
 * @returns transmittance for a cosine of 0..1; monotone, 0 at grazing
 */
export function glassCurve({ panes, normalTransmittance }: Glass): GlassCurve {
  if (panes === 0) return (cosIncidence) => (cosIncidence > 0 ? normalTransmittance : 0);
  let low = 0;
  let high = 5;
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2;
    if (transmittance(panes, 1, middle) > normalTransmittance) low = middle;
    else high = middle;
  }
  const table = Float64Array.from({ length: TABLE_SIZE + 2 }, (_, i) =>
    transmittance(panes, Math.min(1, i / TABLE_SIZE), low),
  );
  return (cosIncidence) => {
    if (cosIncidence <= 0) return 0;
    const at = Math.min(cosIncidence, 1) * TABLE_SIZE;
    const below = Math.floor(at);
    return table[below]! + (table[below + 1]! - table[below]!) * (at - below);
  };
}
