/** Every endpoint of the API, once: the server answers from this table and the app asks from it. */
import { z } from 'zod';
import { bundleSchema } from './bundle';
import { changeSetSchema, journalEntrySchema, noteSchema } from './changes';
import { homeFactsSchema, homeSchema } from './facts';
import { id } from './fields';

export const problemSchema = z.object({
  list: z.string(),
  id: z.string(),
  field: z.string(),
  message: z.string(),
});

/** What the API answers when it refuses: a message for the grower and, where there is one, the field it stands beside. */
export const refusalSchema = z.object({
  message: z.string(),
  problems: z.array(problemSchema),
  /** Set when something failed that should not have; the log holds more under this key. */
  errorId: z.string().optional(),
});
export type Refusal = z.infer<typeof refusalSchema>;

const homeParams = z.object({ homeId: id });
const saved = z.object({ entry: journalEntrySchema, facts: homeFactsSchema.nullable() });

export const endpoints = {
  health: {
    method: 'get',
    path: '/api/health',
    summary: 'Whether the server is up',
    response: z.object({ ok: z.literal(true), version: z.string() }),
  },
  listHomes: { method: 'get', path: '/api/homes', summary: 'The homes kept here', response: z.array(homeSchema) },
  getHome: {
    method: 'get',
    path: '/api/homes/{homeId}',
    summary: 'All facts of a home',
    params: homeParams,
    response: homeFactsSchema,
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
    summary: 'What changed and when, newest first',
    params: homeParams,
    query: z.object({
      plantId: id.optional(),
      limit: z
        .string()
        .regex(/^[1-9]\d{0,2}$/, 'From 1 to 999.')
        .optional(),
    }),
    response: z.array(journalEntrySchema),
  },
  undo: {
    method: 'post',
    path: '/api/homes/{homeId}/journal/{entryId}/undo',
    summary: 'Take a change back',
    params: z.object({ homeId: id, entryId: id }),
    response: saved,
  },
  addNote: {
    method: 'post',
    path: '/api/homes/{homeId}/notes',
    summary: 'Write in a plant’s journal',
    params: homeParams,
    body: noteSchema,
    response: journalEntrySchema,
  },
  exportBundle: {
    method: 'get',
    path: '/api/bundle',
    summary: 'Everything as one JSON bundle',
    response: bundleSchema,
  },
  importBundle: {
    method: 'post',
    path: '/api/bundle',
    summary: 'Put the homes of a bundle in place of those with the same key',
    body: bundleSchema,
    response: z.object({ homes: z.array(homeSchema), entries: z.array(journalEntrySchema) }),
  },
} as const satisfies Record<string, Endpoint>;

interface Endpoint {
  readonly method: 'get' | 'post' | 'delete';
  /** With parameters in braces. */
  readonly path: string;
  readonly summary: string;
  readonly params?: z.ZodObject;
  readonly query?: z.ZodObject;
  readonly body?: z.ZodType;
  readonly response: z.ZodType;
}

export type EndpointName = keyof typeof endpoints;
export type ResponseOf<N extends EndpointName> = z.infer<(typeof endpoints)[N]['response']>;
