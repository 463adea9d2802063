/** Reads a lamp's photometric file of either format. */
import { readEulumdat } from './eulumdat';
import { readLm63 } from './lm63';
import type { ParsedFile } from './parsed';
import type { ParsedPhotometry } from './photometry-file';

/** The head of a file in which its format shows, characters. */
const HEAD = 100_000;

/** The format is told by the text itself: LM-63 has a TILT line in its head. */
export function readLamp(text: string): ParsedFile<ParsedPhotometry> {
  return /^\s*TILT\s*=/im.test(text.slice(0, HEAD)) ? readLm63(text) : readEulumdat(text);
}
