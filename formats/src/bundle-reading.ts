/** Reads a bundle piece by piece as it comes, each held to its schema; never wholly in memory. */
import {
  BUNDLE_FORMAT,
  BUNDLE_VERSION,
  FILE_KINDS,
  FILE_KIND_NAMES,
  LARGEST_FILE,
  ZIP_VERSIONS,
  bundlePaths,
  entryChangeSchema,
  homeFactsSchema,
  journalEntrySchema,
  manifestSchema,
  newSeriesSchema,
  recordSchema,
  upgradedChange,
  upgradedFacts,
  type Manifest,
} from '@dulvan/contract';
import { problemsOf, type HomeFacts } from '@dulvan/core';
import { z } from 'zod';
import { BundleRefused, SAMPLES_HEAD, type BundlePart } from './bundle-parts';
import { LineCutter } from './lines';
import { Broken } from './parsed';
import { BrokenZip, unzipped, type ZipPiece, type ZipSource } from './zip';

/** Largest facts that are read, bytes: a home at every limit is about a tenth of that. */
const LARGEST_FACTS = 100_000_000;
const LARGEST_MANIFEST = 100_000;
const SAMPLES_A_BATCH = 20_000;

/** Where a file of a bundle belongs. */
interface Place {
  readonly homeId: string;
  readonly folder: string | null;
  readonly name: string;
  readonly ending: string;
}

function placeOf(path: string): Place | null {
  const found = /^homes\/([A-Za-z0-9_-]{1,40})\/(?:(series|files)\/)?([A-Za-z0-9_-]{1,64})\.(\w+)$/.exec(path);
  return found ? { homeId: found[1]!, folder: found[2] ?? null, name: found[3]!, ending: found[4]! } : null;
}

/** Gathers the pieces of one file that is read whole. */
class Whole {
  private readonly pieces: Uint8Array[] = [];
  private size = 0;

  constructor(
    private readonly path: string,
    private readonly limit: number,
  ) {}

  push(piece: Uint8Array): void {
    this.size += piece.length;
    if (this.size > this.limit) {
      throw new BundleRefused(`${this.path} is larger than ${Math.round(this.limit / 1e6)} MB. Nothing was changed.`);
    }
    this.pieces.push(piece);
  }

  bytes(): Uint8Array {
    const all = new Uint8Array(this.size);
    let at = 0;
    for (const piece of this.pieces) {
      all.set(piece, at);
      at += piece.length;
    }
    return all;
  }
}

/** Reads one file of a bundle as its pieces come in. */
interface FileReader {
  push(piece: ZipPiece): BundlePart[];
}

function wholeReader(path: string, limit: number, read: (bytes: Uint8Array) => BundlePart): FileReader {
  const whole = new Whole(path, limit);
  return {
    push({ bytes, place }) {
      whole.push(bytes);
      return place === 'end' ? [read(whole.bytes())] : [];
    },
  };
}

function linesReader(path: string, part: (lines: { text: string; line: number }[]) => BundlePart[]): FileReader {
  const cutter = new LineCutter();
  return {
    push({ bytes, place }) {
      try {
        return part(cutter.push(bytes, place));
      } catch (error) {
        if (error instanceof Broken) throw refusedAt(path, error.line, error.message);
        throw error;
      }
    },
  };
}

const refusedAt = (path: string, line: number, message: string) =>
  new BundleRefused(`${path}, line ${line}: ${message} Nothing was changed.`);

function parsedLine<T>(schema: z.ZodType<T>, { text, line }: { text: string; line: number }): T {
  let raw: unknown;
  try {
    raw = JSON.parse(text);
  } catch {
    throw new Broken(line, 'Not whole JSON.');
  }
  const read = schema.safeParse(raw);
  if (read.success) return read.data;
  const [issue] = read.error.issues;
  throw new Broken(line, `${issue!.path.join(' › ') || 'the entry'}: ${issue!.message}`);
}

function wholeJson<T>(path: string, schema: z.ZodType<T>, bytes: Uint8Array): T {
  try {
    return parsedLine(schema, { text: new TextDecoder('utf-8', { fatal: true }).decode(bytes), line: 1 });
  } catch (error) {
    if (error instanceof Broken) throw new BundleRefused(`${path}: ${error.message} Nothing was changed.`);
    throw new BundleRefused(`${path} is not text in UTF-8. Nothing was changed.`);
  }
}

const bundledEntrySchema = journalEntrySchema.extend({ changes: z.array(entryChangeSchema) });

/** What a bundle says of itself before the rest of it is read. */
interface Reading {
  /** Set by the manifest, which comes first. */
  version: number;
}

/** How facts and journal of a version are read: those of today as they stand, earlier ones with what they could not say. */
const schemasOf = ({ version }: Reading) =>
  version === BUNDLE_VERSION
    ? { facts: homeFactsSchema, entry: bundledEntrySchema }
    : {
        facts: z.unknown().transform(upgradedFacts).pipe(homeFactsSchema),
        entry: bundledEntrySchema.transform((entry) => ({ ...entry, changes: entry.changes.map(upgradedChange) })),
      };

/** The facts of a home, held to their schema and to each other. */
function checkedFacts(path: string, homeId: string, bytes: Uint8Array, reading: Reading): HomeFacts {
  const facts = wholeJson(path, schemasOf(reading).facts, bytes);
  if (facts.home.id !== homeId) throw new BundleRefused(`${path} is of another home. Nothing was changed.`);
  const [problem] = problemsOf(facts);
  if (problem) {
    const { list, id, field, message } = problem;
    throw new BundleRefused(`${path} › ${list} › ${id} › ${field}: ${message} Nothing was changed.`);
  }
  return facts;
}

function samplesReader(path: string, homeId: string, seriesId: string): FileReader {
  let at: number[] = [];
  let values: number[] = [];
  const batch = (): BundlePart => {
    const samples = { at, values };
    at = [];
    values = [];
    return { what: 'samples', homeId, seriesId, samples };
  };
  const take = ({ text, line }: { text: string; line: number }) => {
    if (line === 1) {
      if (text !== SAMPLES_HEAD) throw new Broken(1, `The first line must be ${SAMPLES_HEAD}.`);
      return;
    }
    const comma = text.indexOf(',');
    const time = Date.parse(text.slice(0, comma));
    const value = Number(text.slice(comma + 1));
    if (comma < 1 || !Number.isFinite(time) || text.length === comma + 1 || !Number.isFinite(value)) {
      throw new Broken(line, 'A time in ISO 8601 and a number are due.');
    }
    at.push(time);
    values.push(value);
  };
  const lines = linesReader(path, (cut) => {
    const parts: BundlePart[] = [];
    for (const each of cut) {
      take(each);
      if (at.length >= SAMPLES_A_BATCH) parts.push(batch());
    }
    return parts;
  });
  return {
    push: (piece) => [...lines.push(piece), ...(piece.place === 'end' && at.length > 0 ? [batch()] : [])],
  };
}

function fileReader(path: string, { homeId, name: key, ending }: Place): FileReader {
  const kind = FILE_KIND_NAMES.find((each) => FILE_KINDS[each].ending === ending);
  if (!kind) throw new BundleRefused(`${path} is of a kind that is not known here. Nothing was changed.`);
  return wholeReader(path, LARGEST_FILE, (content) => ({ what: 'file', homeId, key, kind, content }));
}

/** The reader for a file of the bundle; null for one that is not known, which is passed over. */
function readerFor(path: string, reading: Reading): FileReader | null {
  if (path === bundlePaths.manifest) {
    return wholeReader(path, LARGEST_MANIFEST, (bytes) => ({
      what: 'manifest',
      manifest: manifestIn(bytes, reading),
    }));
  }
  const place = placeOf(path);
  if (!place) return null;
  const { homeId, folder, name } = place;
  const file = folder === null ? name : folder;
  const lines = <T>(schema: z.ZodType<T>, part: (list: T[]) => BundlePart) =>
    linesReader(path, (cut) => (cut.length > 0 ? [part(cut.map((each) => parsedLine(schema, each)))] : []));
  switch (file) {
    case 'facts':
      return wholeReader(path, LARGEST_FACTS, (bytes) => ({
        what: 'facts',
        homeId,
        facts: checkedFacts(path, homeId, bytes, reading),
      }));
    case 'series':
      return folder === null
        ? lines(newSeriesSchema, (series) => ({ what: 'series', homeId, series }))
        : samplesReader(path, homeId, name);
    case 'journal':
      return lines(schemasOf(reading).entry, (entries) => ({ what: 'journal', homeId, entries }));
    case 'records':
      return lines(recordSchema, (records) => ({ what: 'records', homeId, records }));
    case 'files':
      return fileReader(path, place);
    default:
      return null;
  }
}

/** A manifest of any version that is laid out as today's. */
const currentManifest = z
  .looseObject({})
  .transform((given) => ({ ...given, version: BUNDLE_VERSION }))
  .pipe(manifestSchema);

const head = z.looseObject({ format: z.unknown(), version: z.unknown() });

function manifestIn(bytes: Uint8Array, reading: Reading): Manifest {
  const { format, version } = wholeJson(bundlePaths.manifest, head, bytes);
  if (format !== BUNDLE_FORMAT) throw new BundleRefused('This is not a Dulvan bundle. Nothing was changed.');
  const known = ZIP_VERSIONS.find((one) => one === version);
  if (known === undefined) throw new BundleRefused(versionMessage(version));
  reading.version = known;
  return wholeJson(bundlePaths.manifest, currentManifest, bytes);
}

/** Why a bundle of a version is not read. */
export function versionMessage(version: unknown): string {
  return typeof version === 'number' && version > BUNDLE_VERSION
    ? `This bundle is of version ${version}, written by a newer Dulvan; this one reads versions 1 to ${BUNDLE_VERSION}. Update, then import again.`
    : `This bundle is of version ${String(version)}; only versions 1 to ${BUNDLE_VERSION} are known here, and there was none before them.`;
}

/** Facts and series come right after the manifest, so that all else finds what it belongs to, wherever it lies in the zip. */
const isFirst = (path: string) => /\/(facts\.json|series\.ndjson)$/.test(path);
const isManifest = (path: string) => path === bundlePaths.manifest;

/**
 * The parts of a bundle, what comes first in front.
 * @throws BundleRefused with the file, the line and the reason
 */
export async function* readBundle(source: ZipSource): AsyncGenerator<BundlePart> {
  const reading: Reading = { version: BUNDLE_VERSION };
  let manifest: Manifest | null = null;
  for await (const part of partsOf(source, isManifest, reading)) {
    if (part.what === 'manifest') manifest = part.manifest;
    yield part;
  }
  if (!manifest) {
    throw new BundleRefused(
      `This is not a Dulvan bundle: a file ${bundlePaths.manifest} is missing. Nothing was changed.`,
    );
  }
  const found = new Set<string>();
  for await (const part of partsOf(source, isFirst, reading)) {
    if (part.what === 'facts') found.add(part.homeId);
    yield part;
  }
  const missing = manifest.homes.find(({ id }) => !found.has(id));
  if (missing) throw new BundleRefused(`A file ${bundlePaths.facts(missing.id)} is missing. Nothing was changed.`);
  yield* partsOf(source, (path) => !isManifest(path) && !isFirst(path), reading);
}

async function* partsOf(
  source: ZipSource,
  wanted: (path: string) => boolean,
  reading: Reading,
): AsyncGenerator<BundlePart> {
  const readers = new Map<string, FileReader>();
  const seen = new Set<string>();
  try {
    for await (const piece of unzipped(source, (path) => wanted(path) && readerFor(path, reading) !== null)) {
      let reader = readers.get(piece.path);
      if (!reader) {
        if (seen.has(piece.path)) throw new BundleRefused(`${piece.path} is there twice. Nothing was changed.`);
        seen.add(piece.path);
        readers.set(piece.path, (reader = readerFor(piece.path, reading)!));
      }
      yield* reader.push(piece);
      if (piece.place === 'end') readers.delete(piece.path);
    }
  } catch (error) {
    if (error instanceof BrokenZip) throw new BundleRefused(`${error.message} Nothing was changed.`);
    throw error;
  }
}
