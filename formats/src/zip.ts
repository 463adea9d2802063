/** Zips written and read as streams: neither a whole zip nor a whole entry need be in memory. */
import { Unzip, UnzipInflate, UnzipPassThrough, Zip, ZipDeflate, ZipPassThrough, type UnzipFile } from 'fflate';

/** A file on its way into a zip. */
export interface ZipEntry {
  readonly path: string;
  /** What is packed already (a photograph) is stored as it is. */
  readonly packing: 'deflate' | 'store';
  readonly content: Iterable<Uint8Array> | AsyncIterable<Uint8Array>;
}

/** Fast rather than smallest: it is read back on the same machine most of the time. */
const DEFLATE_LEVEL = 5;

const NOTHING = new Uint8Array(0);

/** The bytes of a zip, made as they are asked for. */
export async function* zipped(entries: Iterable<ZipEntry> | AsyncIterable<ZipEntry>): AsyncGenerator<Uint8Array> {
  let ready: Uint8Array[] = [];
  const zip = new Zip((error, bytes) => {
    if (error) throw error;
    ready.push(bytes);
  });
  const taken = () => {
    const bytes = ready;
    ready = [];
    return bytes;
  };
  for await (const { path, packing, content } of entries) {
    const file = packing === 'store' ? new ZipPassThrough(path) : new ZipDeflate(path, { level: DEFLATE_LEVEL });
    zip.add(file);
    for await (const piece of content) {
      file.push(piece);
      yield* taken();
    }
    file.push(NOTHING, true);
    yield* taken();
  }
  zip.end();
  yield* taken();
}

/** A piece of a file that comes out of a zip. */
export interface ZipPiece {
  readonly path: string;
  readonly bytes: Uint8Array;
  readonly place: 'middle' | 'end';
}

/** Something about a zip that is not as it should be, in words. */
export class BrokenZip extends Error {}

/**
 * The files of a zip, piece by piece in the order in which they lie there.
 * @param wanted which files to unpack; the others are passed over
 */
export async function* unzipped(
  bytes: AsyncIterable<Uint8Array>,
  wanted: (path: string) => boolean,
): AsyncGenerator<ZipPiece> {
  let ready: ZipPiece[] = [];
  let begun = 0;
  let ended = 0;
  const unzip = new Unzip((file: UnzipFile) => {
    if (!wanted(file.name)) return;
    begun += 1;
    file.ondata = (error, piece, final) => {
      if (error) throw new BrokenZip(`${file.name} cannot be unpacked: ${error.message}.`);
      if (final) ended += 1;
      ready.push({ path: file.name, bytes: piece, place: final ? 'end' : 'middle' });
    };
    file.start();
  });
  unzip.register(UnzipInflate);
  unzip.register(UnzipPassThrough);
  let tail: Uint8Array = NOTHING;
  for await (const piece of bytes) {
    tail = lastOf(tail, piece);
    pushed(unzip, piece, false);
    yield* ready;
    ready = [];
  }
  pushed(unzip, NOTHING, true);
  yield* ready;
  if (ended < begun || !hasEnd(tail)) throw new BrokenZip('The zip ends before its last file does.');
}

/** A zip ends with a list of its files, and that with this mark and at most so many bytes. */
const END_MARK = [0x50, 0x4b, 0x05, 0x06];
const LONGEST_END = 22 + 65_535;

function lastOf(tail: Uint8Array, piece: Uint8Array): Uint8Array {
  if (piece.length >= LONGEST_END) return piece.slice(-LONGEST_END);
  const kept = tail.subarray(Math.max(0, tail.length + piece.length - LONGEST_END));
  const both = new Uint8Array(kept.length + piece.length);
  both.set(kept);
  both.set(piece, kept.length);
  return both;
}

/** Without it files may be missing, even where the last one that came is whole. */
const hasEnd = (tail: Uint8Array) =>
  tail.some((_byte, at) => at + 22 <= tail.length && END_MARK.every((mark, i) => tail[at + i] === mark));

function pushed(unzip: Unzip, piece: Uint8Array, final: boolean): void {
  try {
    unzip.push(piece, final);
  } catch (error) {
    if (error instanceof BrokenZip) throw error;
    throw new BrokenZip(`The zip is broken: ${error instanceof Error ? error.message : String(error)}.`);
  }
}
