/** How finely light is computed in a room; the defaults are chosen by a study of convergence (docs/convergence.md). */
import type { Fineness } from './coefficients';

export interface Resolution {
  /** Patches along each edge of a face in the exchange between walls; first light is kept on quarters of them. */
  readonly patchesAlong: number;
  /** About how long the patches of reveals, boards and solid things are, m. */
  readonly thingPatchM: number;
  /** Cells of a window as seen from a spot. */
  readonly spot: Fineness;
  /** The same as seen from the room's surfaces, which only pass light on and so bear a coarser look. */
  readonly surface: Fineness;
  /** Cells along each edge of a window when the sun's beam is carried to the surfaces. */
  readonly sunCells: number;
}

export const DEFAULT_RESOLUTION: Resolution = {
  patchesAlong: 6,
  thingPatchM: 0.5,
  spot: { cellPerDistance: 0.22, least: 6, most: 36, finerAtEdges: 2 },
  surface: { cellPerDistance: 0.5, least: 3, most: 14 },
  sunCells: 10,
};
