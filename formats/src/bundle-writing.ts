/** Writes a bundle: a zip of open formats, made as it is asked for and never wholly in memory. */
import {
  BUNDLE_FORMAT,
  BUNDLE_VERSION,
  FILE_KINDS,
  bundlePaths,
  type FileKind,
  type HomeRecord,
  type Manifest,
  type NewSeries,
} from '@dulvan/contract';
import type { HomeFacts } from '@dulvan/core';
import { SAMPLES_HEAD, type BundledEntry, type BundledSamples } from './bundle-parts';
import { zipped, type ZipEntry } from './zip';

/** One home on its way into a bundle; what may be long comes in batches. */
export interface BundledHome {
  readonly facts: HomeFacts;
  readonly journal: Iterable<readonly BundledEntry[]>;
  readonly records: Iterable<readonly HomeRecord[]>;
  readonly series: readonly (NewSeries & { readonly samples: Iterable<BundledSamples> })[];
  readonly files: Iterable<{ readonly key: string; readonly kind: FileKind; readonly content: () => Uint8Array }>;
}

const encoder = new TextEncoder();

function* jsonLines(batches: Iterable<readonly unknown[]>): Generator<Uint8Array> {
  for (const batch of batches) yield encoder.encode(batch.map((each) => `${JSON.stringify(each)}\n`).join(''));
}

/** A number kept in four bytes, with as few digits as give it back. */
function shortest(value: number): string {
  for (let digits = 6; digits < 9; digits++) {
    const text = String(Number(value.toPrecision(digits)));
    if (Math.fround(Number(text)) === Math.fround(value)) return text;
  }
  return String(value);
}

function* csvLines(batches: Iterable<BundledSamples>): Generator<Uint8Array> {
  yield encoder.encode(`${SAMPLES_HEAD}\n`);
  for (const { at, values } of batches) {
    yield encoder.encode(at.map((time, i) => `${new Date(time).toISOString()},${shortest(values[i]!)}\n`).join(''));
  }
}

function* lazily(content: () => Uint8Array): Generator<Uint8Array> {
  yield content();
}

function* entriesOf(exportedAt: string, homes: readonly BundledHome[]): Generator<ZipEntry> {
  const manifest: Manifest = {
    format: BUNDLE_FORMAT,
    version: BUNDLE_VERSION,
    exportedAt,
    homes: homes.map(({ facts: { home } }) => ({ id: home.id, name: home.name })),
  };
  const text = (path: string, content: ZipEntry['content']): ZipEntry => ({ path, packing: 'deflate', content });
  const json = (value: unknown) => [encoder.encode(`${JSON.stringify(value, null, 1)}\n`)];
  yield text(bundlePaths.manifest, json(manifest));
  for (const { facts, journal, records, series, files } of homes) {
    const { id } = facts.home;
    yield text(bundlePaths.facts(id), json(facts));
    yield text(bundlePaths.series(id), jsonLines([series.map(({ samples: _samples, ...meta }) => meta)]));
    yield text(bundlePaths.journal(id), jsonLines(journal));
    yield text(bundlePaths.records(id), jsonLines(records));
    for (const each of series) yield text(bundlePaths.samples(id, each.id), csvLines(each.samples));
    for (const { key, kind, content } of files) {
      const { ending, mediaType } = FILE_KINDS[kind];
      const packing = mediaType.startsWith('image/') ? 'store' : 'deflate';
      yield { path: bundlePaths.file(id, key, ending), packing, content: lazily(content) };
    }
  }
}

/** The bytes of a bundle, made as they are asked for. @param exportedAt ISO 8601, UTC */
export function writeBundle(exportedAt: string, homes: readonly BundledHome[]): AsyncGenerator<Uint8Array> {
  return zipped(entriesOf(exportedAt, homes));
}
