/** The bundle: everything a grower has, as one JSON document. */
import { z } from 'zod';
import { journalEntrySchema } from './changes';
import { homeFactsSchema } from './facts';

export const BUNDLE_FORMAT = 'dulvan-bundle';
export const BUNDLE_VERSION = 3;

export const bundleSchema = z.strictObject({
  format: z.literal(BUNDLE_FORMAT),
  version: z.literal(BUNDLE_VERSION),
  /** ISO 8601, UTC. */
  exportedAt: z.iso.datetime(),
  homes: z.array(homeFactsSchema).max(20),
  journal: z.array(journalEntrySchema).max(200_000),
});
export type Bundle = z.infer<typeof bundleSchema>;
