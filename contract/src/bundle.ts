/** The bundle: everything a grower has, as one zip of open formats. docs/bundle.md tells what lies where. */
import { z } from 'zod';
import { NAME_LIMIT, id, line } from './fields';

export const BUNDLE_FORMAT = 'dulvan-bundle';
export const BUNDLE_VERSION = 10;

/** Versions that were zips laid out as today's: their entries lack fields that came later. */
export const ZIP_VERSIONS: readonly number[] = [4, 5, 6, 7, 8, 9, BUNDLE_VERSION];

/** Most homes that one bundle, and one server, may hold. */
export const MOST_HOMES = 20;

export const manifestSchema = z.strictObject({
  format: z.literal(BUNDLE_FORMAT),
  version: z.literal(BUNDLE_VERSION),
  /** ISO 8601, UTC. */
  exportedAt: z.iso.datetime(),
  homes: z
    .array(z.strictObject({ id, name: line(NAME_LIMIT) }))
    .max(MOST_HOMES, `At most ${MOST_HOMES} homes.`)
    .refine((homes) => new Set(homes.map((home) => home.id)).size === homes.length, 'Each home once.'),
});
export type Manifest = z.infer<typeof manifestSchema>;

/** Where each part of a home lies in the zip. */
export const bundlePaths = {
  manifest: 'manifest.json',
  facts: (homeId: string) => `homes/${homeId}/facts.json`,
  journal: (homeId: string) => `homes/${homeId}/journal.ndjson`,
  records: (homeId: string) => `homes/${homeId}/records.ndjson`,
  series: (homeId: string) => `homes/${homeId}/series.ndjson`,
  samples: (homeId: string, seriesId: string) => `homes/${homeId}/series/${seriesId}.csv`,
  file: (homeId: string, key: string, ending: string) => `homes/${homeId}/files/${key}.${ending}`,
};
