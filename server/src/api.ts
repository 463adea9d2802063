/** The API: checks what comes in against the contract, asks the store, answers in the contract's shapes. */
import {
  BUNDLE_FORMAT,
  BUNDLE_VERSION,
  endpoints,
  refusalSchema,
  type EndpointName,
  type Refusal,
} from '@dulvan/contract';
import { BUNDLE_LIMIT, readBundle, writeBundle } from '@dulvan/formats';
import { OpenAPIHono, createRoute } from '@hono/zod-openapi';
import type { Context, ErrorHandler } from 'hono';
import { bodyLimit } from 'hono/body-limit';
import { HTTPException } from 'hono/http-exception';
import { secureHeaders } from 'hono/secure-headers';
import { randomUUID } from 'node:crypto';
import { Refused, type Store } from './store/store';
import { VERSION } from './version';

/** Entries of the journal that are answered when no number is asked for. */
const JOURNAL_LIMIT = 100;

function refusalOf(message: string, problems: Refusal['problems'] = []): Refusal {
  return { message, problems };
}

/** The route of an endpoint as OpenAPI tells it. */
function routeOf(name: EndpointName) {
  const endpoint = endpoints[name];
  const json = <S>(schema: S) => ({ 'application/json': { schema } });
  return createRoute({
    operationId: name,
    method: endpoint.method,
    path: endpoint.path,
    summary: endpoint.summary,
    request: {
      ...('params' in endpoint ? { params: endpoint.params } : {}),
      ...('query' in endpoint ? { query: endpoint.query } : {}),
      ...('body' in endpoint ? { body: { required: true, content: json(endpoint.body) } } : {}),
    },
    responses: {
      200: { description: endpoint.summary, content: json(endpoint.response) },
      default: { description: 'Refused, with the reason', content: json(refusalSchema) },
    },
  });
}

/** Answers an unexpected error without its insides, under a key that the log holds too. */
const onError: ErrorHandler = (error, c) => {
  if (error instanceof Refused) return c.json(error.refusal, error.status);
  if (error instanceof HTTPException) return c.json(refusalOf(`${error.message}.`), error.status);
  const errorId = randomUUID().slice(0, 8);
  console.error(`[${errorId}] ${c.req.method} ${c.req.path}`, error);
  return c.json(
    { ...refusalOf(`Something failed here, and nothing was stored. The log calls it ${errorId}.`), errorId },
    500,
  );
};

/** Builds the API on a store. */
export function apiOn(store: Store): OpenAPIHono {
  const api = new OpenAPIHono({
    defaultHook: (result, c) => {
      if (result.success) return undefined;
      const problems = result.error.issues.map((issue) => ({
        list: String(issue.path[0] ?? ''),
        id: '',
        field: String(issue.path[issue.path.length - 1] ?? ''),
        message: issue.message,
      }));
      return c.json(refusalOf(problems[0]?.message ?? 'Not what was expected.', problems), 422);
    },
  });
  api.onError(onError);
  api.use(secureHeaders());
  api.use(refuseForeignSites);
  api.use(bodyLimit({ maxSize: BUNDLE_LIMIT, onError: (c) => c.json(refusalOf('Too large.'), 413) }));

  const on = (name: EndpointName, answer: (c: RequestContext) => Promise<Response>) =>
    api.openapi(routeOf(name), ((c: unknown) => answer(c as RequestContext)) as never);

  on('health', async (c) => c.json({ ok: true, version: VERSION }));
  on('listHomes', async (c) => c.json(await store.homes()));
  on('getHome', async (c) => c.json(await store.facts(c.req.param('homeId')!)));
  on('change', async (c) => c.json(await store.change(c.req.param('homeId')!, c.req.valid('json') as never)));
  on('wipe', async (c) => c.json(await store.wipe(c.req.param('homeId')!)));
  on('journal', async (c) => {
    const { plantId, limit } = c.req.valid('query') as { plantId?: string; limit?: string };
    return c.json(
      await store.journal(c.req.param('homeId')!, {
        ...(plantId ? { plantId } : {}),
        limit: Number(limit ?? JOURNAL_LIMIT),
      }),
    );
  });
  on('undo', async (c) => c.json(await store.undo(c.req.param('homeId')!, c.req.param('entryId')!)));
  on('addNote', async (c) => {
    const { plantId, text } = c.req.valid('json') as { plantId: string; text: string };
    return c.json(await store.addNote(c.req.param('homeId')!, plantId, text));
  });
  on('exportBundle', async (c) => {
    const bundle = {
      format: BUNDLE_FORMAT,
      version: BUNDLE_VERSION,
      exportedAt: new Date().toISOString(),
      ...(await store.exportAll()),
    } as const;
    c.header('Content-Disposition', `attachment; filename="dulvan-${bundle.exportedAt.slice(0, 10)}.json"`);
    return c.body(writeBundle(bundle), 200, { 'Content-Type': 'application/json' });
  });
  // A bundle is read by its own reader, which tells the place of what is broken: Zod's hook would only name the field.
  api.post(endpoints.importBundle.path, async (c) => {
    const reading = readBundle(await c.req.text());
    if (!reading.ok) return c.json(refusalOf(reading.message), 422);
    const entries = await store.importAll(reading.bundle);
    return c.json({ homes: await store.homes(), entries });
  });
  api.openAPIRegistry.registerPath(routeOf('importBundle'));
  api.doc('/api/openapi.json', { openapi: '3.1.0', info: { title: 'Dulvan', version: VERSION } });
  api.all('/api/*', (c) => c.json(refusalOf('There is no such address.'), 404));
  return api;
}

interface RequestContext extends Context {
  req: Context['req'] & { valid(target: 'json' | 'query'): unknown };
}

/** A page of another site may not write here through the grower's browser. */
async function refuseForeignSites(c: Context, next: () => Promise<void>): Promise<Response | undefined> {
  const origin = c.req.header('origin');
  const host = c.req.header('host');
  if (c.req.method !== 'GET' && origin && host && origin !== 'null' && new URL(origin).host !== host) {
    return c.json(refusalOf('This came from another site and was refused.'), 403);
  }
  await next();
  return undefined;
}
