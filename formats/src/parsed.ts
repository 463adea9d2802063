/** What reading a file comes to: its content with remarks, or the line that is broken and why. */

/** Largest file that is read, in characters. */
export const FILE_LIMIT = 50_000_000;

export type ParsedFile<T> =
  | { readonly ok: true; readonly value: T; readonly remarks: readonly string[] }
  | { readonly ok: false; readonly line: number; readonly message: string };

/** A refusal on its way up to the reader's face. */
export class Broken extends Error {
  constructor(
    readonly line: number,
    message: string,
  ) {
    super(message);
  }
}

/** Runs a reader; what it refuses becomes a value, so that nothing is ever read in part. */
export function parseText<T>(text: string, read: (text: string, remarks: string[]) => T): ParsedFile<T> {
  if (text.length > FILE_LIMIT)
    return {
      ok: false,
      line: 1,
      message: `The file is larger than ${FILE_LIMIT / 1_000_000} MB; no such file is. Nothing was read.`,
    };
  const remarks: string[] = [];
  try {
    return { ok: true, value: read(text.replace(/^\uFEFF/, ''), remarks), remarks };
  } catch (error) {
    if (error instanceof Broken) return { ok: false, line: error.line, message: error.message };
    throw error;
  }
}

/** A piece of a file quoted in a message: short, and without what a terminal or a page would take amiss. */
export const quoted = (text: string) =>
  `“${text.slice(0, 30).replace(/[^\x20-\x7e\u00a0-\uffff]/g, '·')}${text.length > 30 ? '…' : ''}”`;
