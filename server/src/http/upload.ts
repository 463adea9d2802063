/** A bundle on its way in: kept on disk while it comes, so that it need not fit in memory. */
import { BundleRefused, readBundle, type BundlePart } from '@dulvan/formats/bundle';
import { EARLIER_BUNDLE_LIMIT, earlierBundleParts } from '@dulvan/formats/earlier-bundle';
import { mkdtemp, open, readFile, rm, stat } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { Readable } from 'node:stream';
import { contentKey } from '../store/files';
import { refuse } from '../store/refused';

export interface Upload {
  /** The parts of the bundle, of whatever version. */
  parts(): AsyncIterable<BundlePart> | Iterable<BundlePart>;
  remove(): Promise<void>;
}

const ZIP = [0x50, 0x4b];

/** Takes a request's body to disk. */
export async function readUpload(body: ReadableStream<Uint8Array> | null, limit: number): Promise<Upload> {
  const folder = await mkdtemp(path.join(tmpdir(), 'dulvan-import-'));
  const file = path.join(folder, 'bundle');
  const remove = () => rm(folder, { recursive: true, force: true });
  try {
    const start = await spool(body, file, limit);
    const isZip = ZIP.every((byte, i) => start[i] === byte);
    return {
      parts: () => (isZip ? readBundle(file) : earlier(file)),
      remove,
    };
  } catch (error) {
    await remove();
    throw error;
  }
}

/** Writes a body to a file and answers its first bytes. */
async function spool(body: ReadableStream<Uint8Array> | null, file: string, limit: number): Promise<Uint8Array> {
  const handle = await open(file, 'w');
  let size = 0;
  let start = new Uint8Array(0);
  try {
    for await (const piece of body ? Readable.fromWeb(body as never) : []) {
      if (start.length < ZIP.length) start = new Uint8Array([...start, ...piece.subarray(0, ZIP.length)]);
      size += piece.length;
      if (size > limit) throw refuse(413, 'The bundle is too large.');
      await handle.write(piece);
    }
  } finally {
    await handle.close();
  }
  return start;
}

async function* earlier(file: string): AsyncGenerator<BundlePart> {
  const { size } = await stat(file);
  if (size > EARLIER_BUNDLE_LIMIT * 4) {
    throw new BundleRefused('The file is neither a zip nor a bundle of an earlier version. Nothing was changed.');
  }
  yield* earlierBundleParts(await readFile(file, 'utf8'), contentKey);
}
