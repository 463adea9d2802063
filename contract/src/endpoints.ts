/** Every endpoint of the API, once: the server answers from this table and the app asks from it. */
import type { QuestionName } from '@dulvan/core';
import { z } from 'zod';
import {
  changeSchema,
  changeSetSchema,
  conflictSchema,
  entryChangeSchema,
  journalEntrySchema,
  takenOutSchema,
  undoSchema,
} from './changes';
import { deviceSchema, madeDeviceSchema, newDeviceSchema, postedSamplesSchema } from './devices';
import { homeFactsSchema } from './facts';
import { fileKey, id } from './fields';
import { FILE_KIND_NAMES, storedFileSchema } from './files';
import { homeSchema } from './place-schemas';
import { armingSchema, newPlugSchema, plugSchema } from './plugs';
import { appendRecordsSchema, recordPageSchema, recordQuerySchema, recordSchema } from './records';
import { newSeriesSchema, samplesSchema, seriesQuerySchema, seriesSchema } from './series';

export const problemSchema = z.object({
  list: z.string(),
  id: z.string(),
  field: z.string(),
  message: z.string(),
});

/**
 * What the API answers when it refuses: a message for the grower and, where there is one, the field it stands beside.
 */
export const refusalSchema = z.object({
  message: z.string(),
  problems: z.array(problemSchema),
  /** Where somebody else has changed the same meanwhile. */
  conflicts: z.array(conflictSchema).optional(),
  /** Set when something failed that should not have; the log holds more under this key. */
  errorId: z.string().optional(),
});
export type Refusal = z.infer<typeof refusalSchema>;

const revision = z.number().int().min(0);
const homeParams = z.object({ homeId: id });
const plugParams = z.object({ homeId: id, plugId: id });

/** A home at a revision. */
const keptHome = z.strictObject({ revision, facts: homeFactsSchema });
export type KeptHome = z.infer<typeof keptHome>;

/** What was done to a home since a revision; null where only the whole home can tell. */
const changesSince = z.strictObject({ revision, changes: z.array(changeSchema).nullable() });

/**
 * What came of a change: the new revision, its line in the journal (null when nothing differed), and what others did.
 */
const saved = z.strictObject({
  revision,
  entry: journalEntrySchema.nullable(),
  /** All changes since the base that was named, those just made among them; null for a home that is gone. */
  changes: z.array(changeSchema).nullable(),
});
export type Saved = z.infer<typeof saved>;

const QUESTIONS_ANSWERED = [
  'home',
  'mends',
  'rank',
  'bestTaxa',
  'plantsForSpot',
  'sunlightMap',
  'plan',
] as const satisfies readonly QuestionName[];

type Answered = (typeof QUESTIONS_ANSWERED)[number];

/** Whether the server answers a question. */
export const isAnswered = (question: QuestionName): question is Answered =>
  (QUESTIONS_ANSWERED as readonly QuestionName[]).includes(question);

export const endpoints = {
  health: {
    method: 'get',
    path: '/api/health',
    summary: 'Whether the server is up',
    response: z.object({ ok: z.literal(true), version: z.string(), engine: z.string() }),
  },
  listHomes: {
    method: 'get',
    path: '/api/homes',
    summary: 'The homes kept here',
    response: z.array(homeSchema),
  },
  takenOut: {
    method: 'get',
    path: '/api/taken-out',
    summary: 'The homes that are not here any more, the last to go first',
    response: z.array(takenOutSchema),
  },
  getHome: {
    method: 'get',
    path: '/api/homes/{homeId}',
    summary: 'All facts of a home, and its revision',
    params: homeParams,
    response: keptHome,
    checked: 'when-stored',
  },
  changesSince: {
    method: 'get',
    path: '/api/homes/{homeId}/changes',
    summary: 'What was changed since a revision',
    params: homeParams,
    query: z.object({ since: z.string().regex(/^\d{1,12}$/, 'A revision.') }),
    response: changesSince,
    checked: 'when-stored',
  },
  change: {
    method: 'post',
    path: '/api/homes/{homeId}/changes',
    summary: 'Change a home, all or nothing',
    params: homeParams,
    body: changeSetSchema,
    response: saved,
  },
  wipe: {
    method: 'delete',
    path: '/api/homes/{homeId}',
    summary: 'Take a home out; can be undone from the journal',
    params: homeParams,
    response: saved,
  },
  journal: {
    method: 'get',
    path: '/api/homes/{homeId}/journal',
    summary: 'What was changed and when, newest first',
    params: homeParams,
    query: z.object({
      plantId: id.optional(),
      limit: z
        .string()
        .regex(/^([1-9]\d?|1\d\d|200)$/, 'From 1 to 200.')
        .optional(),
      /** Only entries that led to a revision before this one. */
      before: z
        .string()
        .regex(/^\d{1,12}$/, 'A revision.')
        .optional(),
    }),
    response: z.array(journalEntrySchema),
  },
  journalStates: {
    method: 'get',
    path: '/api/homes/{homeId}/journal/{entryId}',
    summary: 'What one entry of the journal did, state by state',
    params: z.object({ homeId: id, entryId: id }),
    response: z.array(entryChangeSchema),
  },
  undo: {
    method: 'post',
    path: '/api/homes/{homeId}/undo',
    summary: 'Take changes back, all of those named or none',
    params: homeParams,
    body: undoSchema,
    response: saved,
  },
  records: {
    method: 'get',
    path: '/api/homes/{homeId}/records',
    summary: 'What happened, newest first, page by page',
    params: homeParams,
    query: recordQuerySchema,
    response: recordPageSchema,
  },
  appendRecords: {
    method: 'post',
    path: '/api/homes/{homeId}/records',
    summary: 'Write down what happened',
    params: homeParams,
    body: appendRecordsSchema,
    response: z.array(recordSchema),
  },
  withdrawRecord: {
    method: 'delete',
    path: '/api/homes/{homeId}/records/{recordId}',
    summary: 'Withdraw a record; it stays in the record, marked',
    params: z.object({ homeId: id, recordId: id }),
    response: recordSchema,
  },
  listSeries: {
    method: 'get',
    path: '/api/homes/{homeId}/series',
    summary: 'The series of a home',
    params: homeParams,
    response: z.array(seriesSchema),
  },
  addSeries: {
    method: 'post',
    path: '/api/homes/{homeId}/series',
    summary: 'Begin a series',
    params: homeParams,
    body: newSeriesSchema,
    response: seriesSchema,
  },
  appendSamples: {
    method: 'post',
    path: '/api/homes/{homeId}/series/{seriesId}/samples',
    summary: 'Append samples to a series',
    params: z.object({ homeId: id, seriesId: id }),
    body: samplesSchema,
    response: seriesSchema,
  },
  samples: {
    method: 'get',
    path: '/api/homes/{homeId}/series/{seriesId}/samples',
    summary: 'Samples of a range one by one, or summed by hour or day: rows of little-endian numbers of eight bytes',
    params: z.object({ homeId: id, seriesId: id }),
    query: seriesQuerySchema,
    response: z.instanceof(ArrayBuffer),
    carries: 'bytes',
  },
  devices: {
    method: 'get',
    path: '/api/homes/{homeId}/devices',
    summary: 'Loggers that send by themselves, with when they were last seen',
    params: homeParams,
    response: z.array(deviceSchema),
  },
  addDevice: {
    method: 'post',
    path: '/api/homes/{homeId}/devices',
    summary: 'Let a logger in: its token is told this once',
    params: homeParams,
    body: newDeviceSchema,
    response: madeDeviceSchema,
  },
  removeDevice: {
    method: 'delete',
    path: '/api/homes/{homeId}/devices/{deviceId}',
    summary: 'Shut a logger out; what it sent stays',
    params: z.object({ homeId: id, deviceId: id }),
    response: deviceSchema,
  },
  postSamples: {
    method: 'post',
    path: '/api/devices/samples',
    summary: 'What a logger sends, with its token: Authorization: Bearer …',
    body: postedSamplesSchema,
    response: z.strictObject({ kept: z.number().int().min(0) }),
  },
  plugs: {
    method: 'get',
    path: '/api/homes/{homeId}/plugs',
    summary: 'Timer plugs, each with what it told when it was last asked',
    params: homeParams,
    response: z.array(plugSchema),
  },
  addPlug: {
    method: 'post',
    path: '/api/homes/{homeId}/plugs',
    summary: 'Say where a timer plug is reached; it is asked at once, and set only once it is armed',
    params: homeParams,
    body: newPlugSchema,
    response: plugSchema,
  },
  armPlug: {
    method: 'post',
    path: '/api/homes/{homeId}/plugs/{plugId}/arming',
    summary: 'Let Dulvan set a plug, or no longer',
    params: plugParams,
    body: armingSchema,
    response: plugSchema,
  },
  checkPlug: {
    method: 'post',
    path: '/api/homes/{homeId}/plugs/{plugId}/check',
    summary: 'Ask a plug now; an armed one that differs is set',
    params: plugParams,
    body: z.strictObject({}),
    response: plugSchema,
  },
  removePlug: {
    method: 'delete',
    path: '/api/homes/{homeId}/plugs/{plugId}',
    summary: 'Forget a plug; it goes on as it was last set',
    params: plugParams,
    response: plugSchema,
  },
  addFile: {
    method: 'post',
    path: '/api/homes/{homeId}/files',
    summary: 'Keep a file; its content must be of the kind that is named',
    params: homeParams,
    query: z.object({ kind: z.enum(FILE_KIND_NAMES) }),
    response: storedFileSchema,
    takes: 'bytes',
  },
  file: {
    method: 'get',
    path: '/api/homes/{homeId}/files/{fileKey}',
    summary: 'The content of a file',
    params: z.object({ homeId: id, fileKey }),
    response: z.instanceof(ArrayBuffer),
    carries: 'bytes',
  },
  answer: {
    method: 'post',
    path: '/api/homes/{homeId}/answers',
    summary: 'Answer a question about the home as it is stored',
    params: homeParams,
    body: z.strictObject({ question: z.enum(QUESTIONS_ANSWERED), params: z.record(z.string(), z.unknown()) }),
    /** The answer as packed text: numbers in a row are written in base 64 (core’s `unpacked` reads it). */
    response: z.strictObject({ revision, engine: z.string(), answer: z.unknown() }),
    checked: 'when-stored',
  },
  importBundle: {
    method: 'post',
    path: '/api/bundle',
    summary: 'Put the homes of a bundle in place of those with the same key',
    response: z.object({ homes: z.array(homeSchema), entries: z.array(journalEntrySchema) }),
    takes: 'bytes',
  },
} as const satisfies Record<string, Endpoint>;

/** Two more addresses answer in streams of their own: everything as one zip, and what is changed as it happens. */
export const EXPORT_PATH = '/api/bundle';
export const EVENTS_PATH = '/api/events';

/** What is told of a change as it happens, and whether the home is still kept after it. */
export const homeEventSchema = z.strictObject({ homeId: id, revision, isKept: z.boolean() });
export type HomeEvent = z.infer<typeof homeEventSchema>;

interface Endpoint {
  readonly method: 'get' | 'post' | 'delete';
  /** With parameters in braces. */
  readonly path: string;
  readonly summary: string;
  readonly params?: z.ZodObject;
  readonly query?: z.ZodObject;
  readonly body?: z.ZodType;
  readonly response: z.ZodType;
  /** What its request or its answer is where that is no JSON. */
  readonly takes?: 'bytes';
  readonly carries?: 'bytes';
  /** Answers that were checked when they were stored, and that are large: the page takes them as they are. */
  readonly checked?: 'when-stored';
}

export type EndpointName = keyof typeof endpoints;
export type ResponseOf<N extends EndpointName> = z.infer<(typeof endpoints)[N]['response']>;

/** Told with every answer: page and server must speak of the same shapes. */
export const CONTRACT_VERSION = '8';
export const CONTRACT_HEADER = 'X-Dulvan-Contract';
