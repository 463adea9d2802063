/** Files of a home: kept once by their content, whose kind is told by the content itself. */
import { FILE_KINDS, LARGEST_FILE, MOST_FILES, type FileKind, type StoredFile } from '@dulvan/contract';
import { readIntensities, readWeatherHours } from '@dulvan/formats';
import { and, asc, count, eq } from 'drizzle-orm';
import { createHash } from 'node:crypto';
import type { Reader, Writer } from './database';
import { refuse } from './refused';
import { files } from './schema';

/** The key of a content: its SHA-256. */
export const contentKey = (content: Uint8Array): string => createHash('sha256').update(content).digest('hex');

/** First bytes of the pictures that are kept. */
const SIGNATURES: Readonly<Partial<Record<FileKind, (content: Uint8Array) => boolean>>> = {
  png: (content) => startsWith(content, [0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]),
  jpeg: (content) => startsWith(content, [0xff, 0xd8, 0xff]),
  webp: (content) =>
    startsWith(content, [0x52, 0x49, 0x46, 0x46]) && startsWith(content.subarray(8), [0x57, 0x45, 0x42, 0x50]),
};

const startsWith = (content: Uint8Array, bytes: readonly number[]) => bytes.every((byte, i) => content[i] === byte);

/** Why a content is not of a kind; null when it is. */
function flawOf(kind: FileKind, content: Uint8Array): string | null {
  const signature = SIGNATURES[kind];
  if (signature) return signature(content) ? null : `This is no ${kind.toUpperCase()} picture.`;
  let text: string;
  try {
    text = new TextDecoder('utf-8', { fatal: true }).decode(content);
  } catch {
    return 'The file is not text in UTF-8.';
  }
  const read = kind === 'weather-hours' ? readWeatherHours(text) : readIntensities(text);
  return read.ok ? null : `Line ${read.line}: ${read.message}`;
}

/** Keeps a file; one that is there already is not kept twice. */
export function addFile(writer: Writer, homeId: string, kind: FileKind, content: Uint8Array, at: number): StoredFile {
  if (content.length === 0) throw refuse(422, 'The file is empty.');
  if (content.length > LARGEST_FILE) throw refuse(413, `At most ${LARGEST_FILE / 1e6} MB a file.`);
  const flaw = flawOf(kind, content);
  if (flaw) throw refuse(415, flaw);
  const key = contentKey(content);
  const known = fileMeta(writer, homeId, key);
  if (known) return known;
  const [held] = writer.select({ files: count() }).from(files).where(eq(files.homeId, homeId)).all();
  if (held!.files >= MOST_FILES) throw refuse(413, `A home keeps at most ${MOST_FILES} files.`);
  const stored = { key, kind, bytes: content.length, addedAt: at };
  writer
    .insert(files)
    .values({ ...stored, homeId, content: Buffer.from(content) })
    .run();
  return stored;
}

const META = { key: files.key, kind: files.kind, bytes: files.bytes, addedAt: files.addedAt };
const ofHome = (homeId: string, key: string) => and(eq(files.homeId, homeId), eq(files.key, key));

function fileMeta(reader: Reader, homeId: string, key: string): StoredFile | null {
  return reader.select(META).from(files).where(ofHome(homeId, key)).get() ?? null;
}

/** Which of several keys a home does not keep a file of that kind under. */
export function missingFile(reader: Reader, homeId: string, wanted: { key: string; kind: FileKind }): boolean {
  return fileMeta(reader, homeId, wanted.key)?.kind !== wanted.kind;
}

/** A file with its content. */
export function fileContent(reader: Reader, homeId: string, key: string): { mediaType: string; content: Buffer } {
  const row = reader.select({ kind: files.kind, content: files.content }).from(files).where(ofHome(homeId, key)).get();
  if (!row) throw refuse(404, 'This file is not kept here.');
  return { mediaType: FILE_KINDS[row.kind].mediaType, content: Buffer.from(row.content) };
}

/** The files of a home, without their contents. */
export function fileList(reader: Reader, homeId: string): StoredFile[] {
  return reader
    .select(META)
    .from(files)
    .where(eq(files.homeId, homeId))
    .orderBy(asc(files.addedAt), asc(files.key))
    .all();
}
