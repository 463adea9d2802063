import { endpoints } from '@dulvan/contract';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { apiOn } from './api';
import { demoBundle } from './demo/bundle';
import { openStore, type OpenStore } from './store/open';
import { Store } from './store/store';

let folder: string;
let open: OpenStore;
let api: ReturnType<typeof apiOn>;

beforeAll(async () => {
  folder = mkdtempSync(path.join(tmpdir(), 'dulvan-api-'));
  open = await openStore(path.join(folder, 'home.sqlite'));
  const store = new Store(open.database);
  await store.importAll(demoBundle());
  api = apiOn(store);
});

afterAll(() => {
  open.close();
  rmSync(folder, { recursive: true, force: true });
});

const post = (address: string, body: unknown, headers: Record<string, string> = {}) =>
  api.request(address, {
    method: 'POST',
    body: typeof body === 'string' ? body : JSON.stringify(body),
    headers: { 'Content-Type': 'application/json', ...headers },
  });

interface Refusal {
  message: string;
  problems: { field: string; message: string }[];
}

describe('the API', () => {
  it('describes every endpoint of the contract in OpenAPI', async () => {
    const document = (await (await api.request('/api/openapi.json')).json()) as {
      paths: Record<string, Record<string, unknown>>;
    };
    for (const { method, path: address } of Object.values(endpoints))
      expect(document.paths[address]?.[method]).toBeDefined();
  });

  it('answers in the contract’s shapes', async () => {
    expect(endpoints.listHomes.response.safeParse(await (await api.request('/api/homes')).json()).success).toBe(true);
    expect(endpoints.getHome.response.safeParse(await (await api.request('/api/homes/sail-loft')).json()).success).toBe(
      true,
    );
    expect(
      endpoints.journal.response.safeParse(await (await api.request('/api/homes/sail-loft/journal?limit=5')).json())
        .success,
    ).toBe(true);
    expect(endpoints.exportBundle.response.safeParse(await (await api.request('/api/bundle')).json()).success).toBe(
      true,
    );
  });

  it('says 404 for homes and addresses that are not there', async () => {
    expect((await api.request('/api/homes/nowhere')).status).toBe(404);
    expect((await api.request('/api/nothing')).status).toBe(404);
    expect((await api.request('/api/homes/sail-loft/journal/none/undo', { method: 'POST' })).status).toBe(404);
  });

  it('refuses what is out of range with the field and the range', async () => {
    const home = ((await (await api.request('/api/homes/sail-loft')).json()) as { home: object }).home;
    const reply = await post('/api/homes/sail-loft/changes', {
      summary: 'x',
      changes: [{ list: 'home', id: 'sail-loft', after: { ...home, latitude: 95 } }],
    });
    expect(reply.status).toBe(422);
    const { problems } = (await reply.json()) as Refusal;
    expect(problems[0]).toMatchObject({
      field: 'latitude',
      message: expect.stringContaining('From -90 to 90') as string,
    });
  });

  it.each([
    '',
    '{',
    '[]',
    '{"summary":"x"}',
    '{"summary":"x","changes":[]}',
    '{"summary":"x","changes":[{"list":"nothing","id":"a","after":null}]}',
  ])('refuses a body of %j', async (body) => {
    expect((await post('/api/homes/sail-loft/changes', body)).status).toBeGreaterThanOrEqual(400);
    expect((await post('/api/homes/sail-loft/changes', body)).status).toBeLessThan(500);
  });

  it('refuses notes that are empty or endless', async () => {
    expect((await post('/api/homes/sail-loft/notes', { plantId: 'p-moth', text: '   ' })).status).toBe(422);
    expect((await post('/api/homes/sail-loft/notes', { plantId: 'p-moth', text: 'x'.repeat(10_000) })).status).toBe(
      422,
    );
    expect((await post('/api/homes/sail-loft/notes', { plantId: 'p-moth', text: 'A spike' })).status).toBe(200);
  });

  it('refuses writes from pages of other sites', async () => {
    const reply = await post(
      '/api/homes/sail-loft/notes',
      { plantId: 'p-moth', text: 'x' },
      { Origin: 'http://elsewhere.example', Host: '127.0.0.1:4780' },
    );
    expect(reply.status).toBe(403);
  });
});
