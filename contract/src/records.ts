/** Records: what happened, when, and to which plant, spot or room. Appended and withdrawn, never changed or deleted. */
import { z } from 'zod';
import { requestKey } from './changes';
import { id, instant, note, within } from './fields';

/** What is told by each kind of record. A new kind is one more schema here, and a screen. */
export const RECORD_BODIES = {
  note: z.strictObject({ text: note.trim().min(1, 'Write something first.') }),
  watering: z.strictObject({
    way: z.enum(['top', 'tray', 'soak']),
    litres: within(0.005, 100, 'l').nullable(),
  }),
} as const;

export type RecordKind = keyof typeof RECORD_BODIES;
export const RECORD_KINDS = Object.keys(RECORD_BODIES) as RecordKind[];

const about = {
  at: instant,
  plantId: id.nullable(),
  spotId: id.nullable(),
  roomId: id.nullable(),
};

/** A record on its way in. */
export const newRecordSchema = z
  .discriminatedUnion('kind', [
    z.strictObject({ ...about, kind: z.literal('note'), body: RECORD_BODIES.note }),
    z.strictObject({ ...about, kind: z.literal('watering'), body: RECORD_BODIES.watering }),
  ])
  .refine(({ plantId, spotId, roomId }) => plantId !== null || spotId !== null || roomId !== null, {
    path: ['plantId'],
    message: 'Say what it is about: a plant, a spot or a room.',
  });
export type NewRecord = z.infer<typeof newRecordSchema>;

const kept = { id, writtenAt: instant, withdrawnAt: instant.nullable() };

export const recordSchema = z.discriminatedUnion('kind', [
  z.strictObject({ ...kept, ...about, kind: z.literal('note'), body: RECORD_BODIES.note }),
  z.strictObject({ ...kept, ...about, kind: z.literal('watering'), body: RECORD_BODIES.watering }),
]);
export type HomeRecord = z.infer<typeof recordSchema>;

export const appendRecordsSchema = z.strictObject({
  key: requestKey,
  records: z.array(newRecordSchema).min(1).max(500, 'At most 500 records at once.'),
});

const timeText = z.string().regex(/^\d{1,13}$/, 'A time in milliseconds.');

export const PAGE_LIMIT = 200;

export const recordQuerySchema = z.object({
  plantId: id.optional(),
  spotId: id.optional(),
  roomId: id.optional(),
  kind: z.enum(RECORD_KINDS as [RecordKind, ...RecordKind[]]).optional(),
  from: timeText.optional(),
  to: timeText.optional(),
  /** Withdrawn ones stay in the record; they are left out where this says so. */
  withdrawn: z.enum(['with', 'without']).optional(),
  /** Where the last page ended. */
  after: z
    .string()
    .regex(/^\d{1,13}\.\d{1,12}$/, 'Not the end of a page.')
    .optional(),
  limit: z
    .string()
    .regex(/^([1-9]\d?|1\d\d|200)$/, `From 1 to ${PAGE_LIMIT}.`)
    .optional(),
});
export type RecordQuery = z.infer<typeof recordQuerySchema>;

/** Newest first; `after` asks for the next page, null when this is the last. */
export const recordPageSchema = z.strictObject({ records: z.array(recordSchema), after: z.string().nullable() });
