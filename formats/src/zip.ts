/** Zips written and read piece by piece, on Node.js: neither a whole zip nor a whole entry need be in memory. */
import { Readable } from 'node:stream';
import { crc32 } from 'node:zlib';
import { fromBufferPromise, openPromise, type Entry, type ZipFile as OpenZip } from 'yauzl';
import { ZipFile } from 'yazl';

/** A file on its way into a zip. */
export interface ZipEntry {
  readonly path: string;
  /** What is packed already (a photograph) is stored as it is. */
  readonly packing: 'deflate' | 'store';
  readonly content: Iterable<Uint8Array> | AsyncIterable<Uint8Array>;
}

/** Fast rather than smallest: it is read back on the same machine most of the time. */
const DEFLATE_LEVEL = 5;

/** The bytes of a zip, made as they are asked for; the content of an entry is not touched before its turn. */
export async function* zipped(entries: Iterable<ZipEntry>): AsyncGenerator<Uint8Array> {
  const zip = new ZipFile();
  const bytes = zip.outputStream as Readable;
  let open: Readable | null = null;
  const given = (content: ZipEntry['content']) =>
    (open = Readable.from(content).once('error', (error) => bytes.destroy(error)));
  for (const { path, packing, content } of entries) {
    const compressionLevel = packing === 'store' ? 0 : DEFLATE_LEVEL;
    zip.addReadStreamLazy(path, { compressionLevel }, (use) => use(null, given(content)));
  }
  zip.end();
  try {
    yield* bytes as AsyncIterable<Uint8Array>;
  } finally {
    (open as Readable | null)?.destroy();
  }
}

/** A zip that lies on disk under a path, or its bytes. */
export type ZipSource = string | Uint8Array;

/** A piece of a file that comes out of a zip. */
export interface ZipPiece {
  readonly path: string;
  readonly bytes: Uint8Array;
  readonly place: 'middle' | 'end';
}

/** Something about a zip that is not as it should be, in words. */
export class BrokenZip extends Error {}

const NOTHING = new Uint8Array(0);

/**
 * The files of a zip, piece by piece in the order of its table of contents; each is held to its length and its checksum.
 * @param wanted which files to unpack; the others are passed over
 * @throws BrokenZip with the reason
 */
export async function* unzipped(source: ZipSource, wanted: (path: string) => boolean): AsyncGenerator<ZipPiece> {
  const zip = await opened(source);
  try {
    for await (const entry of orBroken(zip.eachEntry(), 'The zip is broken')) {
      await mustBeNamedTwice(zip, entry);
      if (wanted(entry.fileName)) yield* piecesOf(zip, entry);
    }
  } finally {
    zip.close();
  }
}

function opened(source: ZipSource): Promise<OpenZip> {
  const options = { lazyEntries: true, autoClose: false, strictFileNames: true } as const;
  const open = () =>
    typeof source === 'string'
      ? openPromise(source, options)
      : fromBufferPromise(Buffer.from(source.buffer, source.byteOffset, source.length), options);
  return orBrokenBy(open, 'The zip is broken or not whole');
}

/** The name of a file stands in front of it and in the table of contents. Where they differ, it would be taken for another. */
async function mustBeNamedTwice(zip: OpenZip, entry: Entry): Promise<void> {
  const header = await orBrokenBy(() => zip.readLocalFileHeaderPromise(entry), 'The zip is broken');
  if (!header.fileName.equals(entry.fileNameRaw)) {
    throw new BrokenZip(`The zip is broken: ${entry.fileName} has another name in its table of contents.`);
  }
}

async function* piecesOf(zip: OpenZip, entry: Entry): AsyncGenerator<ZipPiece> {
  const path = entry.fileName;
  const failing = `${path} cannot be unpacked`;
  let sum = 0;
  const stream = await orBrokenBy(() => zip.openReadStreamPromise(entry), failing);
  for await (const bytes of orBroken(stream as AsyncIterable<Uint8Array>, failing)) {
    sum = crc32(bytes, sum);
    yield { path, bytes, place: 'middle' };
  }
  if (sum !== entry.crc32) throw new BrokenZip(`${failing}: its checksum is another.`);
  yield { path, bytes: NOTHING, place: 'end' };
}

async function orBrokenBy<T>(work: () => Promise<T>, failing: string): Promise<T> {
  try {
    return await work();
  } catch (error) {
    throw brokenBy(error, failing);
  }
}

/** What a source gives; where it fails, in words. What the taker throws is not the source's. */
async function* orBroken<T>(source: AsyncIterable<T>, failing: string): AsyncGenerator<T> {
  const iterator = source[Symbol.asyncIterator]();
  const next = () => orBrokenBy(() => iterator.next(), failing);
  try {
    for (let step = await next(); !step.done; step = await next()) yield step.value;
  } finally {
    await iterator.return?.();
  }
}

const brokenBy = (error: unknown, failing: string) =>
  new BrokenZip(`${failing}: ${error instanceof Error ? error.message : String(error)}.`);
