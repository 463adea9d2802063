/** Files: kept by the hash of their content, their kind told by the content itself. */
import { z } from 'zod';
import { fileKey, instant } from './fields';

/** What a stored file can be, with the media type and the ending it goes by. */
export const FILE_KINDS = {
  'weather-hours': { mediaType: 'text/csv', ending: 'csv' },
  intensities: { mediaType: 'application/json', ending: 'json' },
  png: { mediaType: 'image/png', ending: 'png' },
  jpeg: { mediaType: 'image/jpeg', ending: 'jpg' },
  webp: { mediaType: 'image/webp', ending: 'webp' },
} as const;
export type FileKind = keyof typeof FILE_KINDS;
export const FILE_KIND_NAMES = Object.keys(FILE_KINDS) as [FileKind, ...FileKind[]];

/** Largest file that is kept, bytes, and how many one home may have. */
export const LARGEST_FILE = 20_000_000;
export const MOST_FILES = 10_000;

export const storedFileSchema = z.strictObject({
  key: fileKey,
  kind: z.enum(FILE_KIND_NAMES),
  bytes: z.number().int().min(0),
  addedAt: instant,
});
export type StoredFile = z.infer<typeof storedFileSchema>;
