/** How bright surfaces are taken to be until the grower says so: the share of light that they throw back. */

/** Painted plaster round a window, or a white board. */
export const PALE_REVEAL = 0.7;

/** Bare or varnished wood of shelves, tables and cupboards: 0.2 (dark) to 0.55 (birch). */
export const PLAIN_WOOD = 0.4;
