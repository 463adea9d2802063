/** What a bundle is made of, for those who write it and those who read it. */
import type { FileKind, HomeRecord, JournalEntry, Manifest, NewSeries } from '@dulvan/contract';
import type { EntryChange, HomeFacts } from '@dulvan/core';

/** A journal entry with the states it changed. */
export type BundledEntry = JournalEntry & { readonly changes: readonly EntryChange[] };

/** Samples of a series, times and values side by side. */
export interface BundledSamples {
  readonly at: readonly number[];
  readonly values: readonly number[];
}

/** A part of a bundle as it is read: one home's facts, or a batch of something else. */
export type BundlePart =
  | { readonly what: 'manifest'; readonly manifest: Manifest }
  | { readonly what: 'facts'; readonly homeId: string; readonly facts: HomeFacts }
  | { readonly what: 'series'; readonly homeId: string; readonly series: readonly NewSeries[] }
  | { readonly what: 'journal'; readonly homeId: string; readonly entries: readonly BundledEntry[] }
  | { readonly what: 'records'; readonly homeId: string; readonly records: readonly HomeRecord[] }
  | { readonly what: 'samples'; readonly homeId: string; readonly seriesId: string; readonly samples: BundledSamples }
  | {
      readonly what: 'file';
      readonly homeId: string;
      readonly key: string;
      readonly kind: FileKind;
      readonly content: Uint8Array;
    };

/** A bundle that is refused, with the place and the reason. */
export class BundleRefused extends Error {}

/** First line of a file of samples. */
export const SAMPLES_HEAD = 'time,value';
