/** The API: checks what comes in against the contract, asks the store, answers in the contract's shapes. */
import {
  BUNDLE_VERSION,
  CONTRACT_HEADER,
  CONTRACT_VERSION,
  EVENTS_PATH,
  EXPORT_PATH,
  LARGEST_FILE,
  endpoints,
  refusalSchema,
  type EndpointName,
  type Refusal,
  type ResponseOf,
} from '@dulvan/contract';
import type { QuestionName } from '@dulvan/core';
import { OpenAPIHono, createRoute } from '@hono/zod-openapi';
import type { Context, ErrorHandler } from 'hono';
import { bodyLimit } from 'hono/body-limit';
import { compress } from 'hono/compress';
import { HTTPException } from 'hono/http-exception';
import { streamSSE } from 'hono/streaming';
import { randomUUID } from 'node:crypto';
import { z } from 'zod';
import type { AnswerService } from '../answers/service';
import { codeOf } from '../error-code';
import type { PlugCare } from '../plugs/tend';
import { Refused, refuse } from '../store/refused';
import type { Store } from '../store/store';
import { VERSION } from '../version';
import { guard, type GuardOptions } from './guard';
import { readUpload } from './upload';

/** Largest JSON that is taken: twenty thousand entries at once. */
const LARGEST_JSON = 25_000_000;
/** Largest bundle; it goes to disk while it comes in. */
const LARGEST_BUNDLE = 4_000_000_000;

const JOURNAL_LIMIT = 50;
/** Something is sent now and then, so that a connection that is gone is noticed. */
const BREATH_MS = 20_000;

export interface ApiOptions extends GuardOptions {
  readonly store: Store;
  readonly answers: AnswerService;
  readonly plugs: PlugCare;
}

type Given<N extends EndpointName, Part extends string> =
  (typeof endpoints)[N] extends Readonly<Record<Part, z.ZodType<infer T>>> ? T : undefined;

/** What an endpoint is asked, checked. */
interface Asked<N extends EndpointName> {
  readonly params: Given<N, 'params'>;
  readonly query: Given<N, 'query'>;
  readonly body: Given<N, 'body'>;
  readonly c: Context;
}

/** Every endpoint that answers JSON or bytes, each with its own types. */
type Handlers = {
  readonly [N in EndpointName]: (asked: Asked<N>) => ResponseOf<N> | Response | Promise<ResponseOf<N> | Response>;
};

const numberIn = (text: string | undefined) => (text === undefined ? undefined : Number(text));

const bytes = (content: Uint8Array, headers: Record<string, string>) =>
  new Response(new Uint8Array(content), { headers: { 'Content-Length': String(content.length), ...headers } });

type MeasuredName =
  'listSeries' | 'addSeries' | 'appendSamples' | 'samples' | 'devices' | 'addDevice' | 'removeDevice' | 'postSamples';

/** What instruments measured, and those that send by themselves. */
function measuredHandlers(store: Store): Pick<Handlers, MeasuredName> {
  return {
    listSeries: ({ params }) => store.series(params.homeId),
    addSeries: ({ params, body }) => store.addSeries(params.homeId, body),
    appendSamples: ({ params, body }) => store.appendSamples(params.homeId, params.seriesId, body),
    samples: ({ params, query }) => {
      const range = { from: Number(query.from), to: Number(query.to), step: query.step };
      const type = { 'Content-Type': 'application/octet-stream' };
      return bytes(store.samples(params.homeId, params.seriesId, range), type);
    },
    devices: ({ params }) => store.devices(params.homeId),
    addDevice: ({ params, body }) => store.addDevice(params.homeId, body),
    removeDevice: ({ params }) => store.removeDevice(params.homeId, params.deviceId),
    postSamples: async ({ body, c }) => ({ kept: await store.takePosted(tokenOf(c), body) }),
  };
}

/** Timer plugs: where they are, and what they are told. */
function plugHandlers({
  store,
  plugs,
}: Pick<ApiOptions, 'store' | 'plugs'>): Pick<Handlers, 'plugs' | 'addPlug' | 'armPlug' | 'checkPlug' | 'removePlug'> {
  return {
    plugs: ({ params }) => store.plugs(params.homeId),
    addPlug: async ({ params, body }) => {
      const { id } = await store.addPlug(params.homeId, body);
      return plugs.check(params.homeId, id);
    },
    armPlug: ({ params, body }) => plugs.arm(params.homeId, params.plugId, body.armed),
    checkPlug: ({ params }) => plugs.check(params.homeId, params.plugId),
    removePlug: ({ params }) => store.removePlug(params.homeId, params.plugId),
  };
}

function handlersOf({ store, answers, plugs }: ApiOptions): Handlers {
  return {
    health: () => ({ ok: true, version: VERSION, engine: answers.engine }),
    listHomes: () => store.homes(),
    takenOut: () => store.takenOut(),
    getHome: ({ params }) => store.home(params.homeId),
    changesSince: ({ params, query }) => store.changesSince(params.homeId, Number(query.since)),
    change: ({ params, body }) => store.change(params.homeId, body),
    wipe: ({ params }) => store.wipe(params.homeId),
    journal: ({ params, query }) => {
      const { plantId, limit, before } = query;
      return store.journal(params.homeId, {
        ...(plantId === undefined ? {} : { plantId }),
        ...(before === undefined ? {} : { before: Number(before) }),
        limit: numberIn(limit) ?? JOURNAL_LIMIT,
      });
    },
    journalStates: ({ params }) => store.states(params.homeId, params.entryId),
    undo: ({ params, body }) => store.undo(params.homeId, body.entries, body.key),
    records: ({ params, query }) => store.records(params.homeId, query),
    appendRecords: ({ params, body }) => store.appendRecords(params.homeId, body.records, body.key),
    withdrawRecord: ({ params }) => store.withdrawRecord(params.homeId, params.recordId),
    ...measuredHandlers(store),
    ...plugHandlers({ store, plugs }),
    addFile: async ({ params, query, c }) =>
      store.addFile(params.homeId, query.kind, new Uint8Array(await c.req.arrayBuffer())),
    file: ({ params }) => {
      const { mediaType, content } = store.file(params.homeId, params.fileKey);
      return bytes(content, {
        'Content-Type': mediaType,
        'Content-Security-Policy': "default-src 'none'; sandbox",
        // What its key names never changes.
        'Cache-Control': 'private, max-age=31536000, immutable',
      });
    },
    answer: async ({ params, body, c }) => {
      const asked = { question: body.question as QuestionName, params: body.params };
      const json = await answers.answer(params.homeId, asked);
      return c.body(json, 200, { 'Content-Type': 'application/json' });
    },
    importBundle: async ({ c }) => {
      const upload = await readUpload(c.req.raw.body, LARGEST_BUNDLE);
      try {
        return await store.import(upload.parts());
      } finally {
        await upload.remove();
      }
    },
  };
}

/** The token a device shows. */
function tokenOf(c: Context): string {
  const shown = /^Bearer (\S{10,100})$/.exec(c.req.header('authorization') ?? '');
  if (!shown) throw refuse(401, 'Show the logger’s token: Authorization: Bearer …');
  return shown[1]!;
}

const refusalOf = (message: string): Refusal => ({ message, problems: [] });

/** Answers an unexpected error without its insides, under a key that the log holds too. */
const onError: ErrorHandler = (error, c) => {
  if (error instanceof Refused) return c.json(error.refusal, error.status);
  if (error instanceof HTTPException) return c.json(refusalOf(`${error.message}.`), error.status);
  const room = storageRefusal(error);
  const errorId = randomUUID().slice(0, 8);
  console.error(`[${errorId}] ${c.req.method} ${c.req.path}`, error);
  if (room) return c.json({ ...refusalOf(room), errorId }, 507);
  const message = `Something failed here, and nothing was stored. The log calls it ${errorId}.`;
  return c.json({ ...refusalOf(message), errorId }, 500);
};

/** What a grower can do about a disk that takes nothing. */
function storageRefusal(error: unknown): string | null {
  const code = codeOf(error);
  if (/SQLITE_FULL|ENOSPC/.test(code)) return 'The disk is full. Nothing was stored: make room, then try again.';
  if (/SQLITE_READONLY|SQLITE_CANTOPEN|SQLITE_PERM|EACCES|EROFS/.test(code)) {
    return 'Nothing can be written to the folder of the data. Nothing was stored: allow it, then try again.';
  }
  return null;
}

/** The first thing that is wrong with what was sent, and all of it by field. */
function unfit(error: z.ZodError): Refused {
  const problems = error.issues.map((issue) => {
    const path = issue.path.map(String);
    return { list: path[0] ?? '', id: '', field: path[path.length - 1] ?? '', message: issue.message };
  });
  return refuse(422, problems[0]?.message ?? 'Not what was expected.', { problems });
}

function checked<T>(schema: z.ZodType<T>, given: unknown): T {
  const read = schema.safeParse(given);
  if (!read.success) throw unfit(read.error);
  return read.data;
}

async function jsonOf(c: Context): Promise<unknown> {
  if (!/^application\/json\b/.test(c.req.header('content-type') ?? '')) {
    throw refuse(415, 'Send JSON, and say so: Content-Type: application/json.');
  }
  try {
    return await c.req.json();
  } catch {
    throw refuse(400, 'This is not whole JSON.');
  }
}

/** Content types that a form of any page can send are no bytes of ours. */
function mustBeBytes(c: Context): void {
  const type = c.req.header('content-type') ?? '';
  if (/^(application\/(octet-stream|zip|json)|text\/csv|image\/)/.test(type)) return;
  throw refuse(415, 'Send the bytes with their own Content-Type.');
}

/** What an endpoint is asked with. */
interface Parts {
  readonly params?: z.ZodType | undefined;
  readonly query?: z.ZodType | undefined;
  readonly body?: z.ZodType | undefined;
  readonly takes?: 'bytes' | undefined;
}

/** Answers one endpoint: checks what it is asked, then its answer goes out as JSON or as it is. */
function answering<N extends EndpointName>(name: N, handlers: Handlers) {
  const endpoint = endpoints[name] as Parts;
  return async (c: Context): Promise<Response> => {
    if (endpoint.takes) mustBeBytes(c);
    const asked = {
      params: endpoint.params && checked(endpoint.params, c.req.param()),
      query: endpoint.query && checked(endpoint.query, c.req.query()),
      body: endpoint.body && checked(endpoint.body, await jsonOf(c)),
      c,
    } as Asked<N>;
    const answer = await handlers[name](asked);
    return answer instanceof Response ? answer : c.json(answer as object);
  };
}

/** The route of an endpoint as OpenAPI tells it. */
function described(name: EndpointName) {
  const endpoint = endpoints[name];
  const json = <S>(schema: S) => ({ 'application/json': { schema } });
  const bytes = { 'application/octet-stream': { schema: z.string() } };
  return createRoute({
    operationId: name,
    method: endpoint.method,
    path: endpoint.path,
    summary: endpoint.summary,
    request: {
      ...('params' in endpoint ? { params: endpoint.params } : {}),
      ...('query' in endpoint ? { query: endpoint.query } : {}),
      ...('body' in endpoint ? { body: { required: true, content: json(endpoint.body) } } : {}),
      ...('takes' in endpoint ? { body: { required: true, content: bytes } } : {}),
    },
    responses: {
      200: { description: endpoint.summary, content: 'carries' in endpoint ? bytes : json(endpoint.response) },
      default: { description: 'Refused, with the reason', content: json(refusalSchema) },
    },
  });
}

const LIMITS: Readonly<Partial<Record<EndpointName, number>>> = { addFile: LARGEST_FILE, importBundle: LARGEST_BUNDLE };

/** Builds the API. */
export function apiOn(options: ApiOptions): OpenAPIHono {
  const api = new OpenAPIHono();
  api.onError(onError);
  api.use(guard(options));
  api.use('/api/*', async (c, next) => {
    await next();
    c.header(CONTRACT_HEADER, CONTRACT_VERSION);
    if (!c.res.headers.has('Cache-Control')) c.header('Cache-Control', 'no-store');
  });
  api.use('/api/homes/*', compress());
  const handlers = handlersOf(options);
  const tooLarge = (c: Context) => c.json(refusalOf('Too large.'), 413);
  for (const name of Object.keys(endpoints) as EndpointName[]) {
    const { method, path } = endpoints[name];
    const limit = bodyLimit({ maxSize: LIMITS[name] ?? LARGEST_JSON, onError: tooLarge });
    api.on(method.toUpperCase(), path.replace(/\{(\w+)\}/g, ':$1'), limit, answering(name, handlers));
    api.openAPIRegistry.registerPath(described(name));
  }
  streams(api, options.store);
  api.doc('/api/openapi.json', { openapi: '3.1.0', info: { title: 'Dulvan', version: VERSION } });
  api.all('/api/*', (c) => c.json(refusalOf('There is no such address.'), 404));
  return api;
}

/** What is answered piece by piece: everything as one bundle, and changes as they happen. */
function streams(api: OpenAPIHono, store: Store): void {
  api.get(EXPORT_PATH, (c) => {
    const name = `dulvan-${new Date().toISOString().slice(0, 10)}-v${BUNDLE_VERSION}.zip`;
    c.header('Content-Type', 'application/zip');
    c.header('Content-Disposition', `attachment; filename="${name}"`);
    return c.body(streamOf(store.export()));
  });
  api.get(EVENTS_PATH, (c) =>
    streamSSE(c, async (stream) => {
      const stop = store.onChange((event) => void stream.writeSSE({ event: 'change', data: JSON.stringify(event) }));
      stream.onAbort(stop);
      await stream.writeSSE({ event: 'ready', data: '{}' });
      while (!stream.aborted) {
        await stream.sleep(BREATH_MS);
        await stream.write(': breath\n\n');
      }
      stop();
    }),
  );
}

/** Bytes made as they are taken. */
function streamOf(bytes: AsyncGenerator<Uint8Array>): ReadableStream<Uint8Array> {
  return new ReadableStream({
    async pull(controller) {
      const { value, done } = await bytes.next();
      if (done) controller.close();
      else controller.enqueue(value);
    },
    async cancel() {
      await bytes.return(undefined);
    },
  });
}
