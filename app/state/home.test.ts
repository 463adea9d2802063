/** The home on screen against a server that answers as told. */
import type { HomeFacts } from '@dulvan/core';
import { smallHome } from '../../core/src/home/small-home.fixture';
import { useHome } from './home';
import { useSettings } from './settings';

interface Reply {
  readonly status?: number;
  readonly body: unknown;
}

const asked: { method: string; path: string; body: unknown }[] = [];
let replies: Record<string, Reply | (() => Reply)>;

function serve(given: Record<string, Reply | (() => Reply)>): void {
  replies = given;
}

const entry = (id: string) => ({
  id,
  homeId: 'h',
  at: 1,
  kind: 'change',
  summary: 'Changed',
  plantId: null,
  undoes: null,
  changes: [],
});
const renamed: HomeFacts = { ...smallHome, home: { ...smallHome.home, name: 'Renamed' } };
const rename = [{ list: 'home' as const, id: 'h', after: renamed.home }];

beforeEach(() => {
  asked.length = 0;
  globalThis.fetch = jest.fn((address: string, init: RequestInit = {}) => {
    const method = init.method ?? 'GET';
    asked.push({ method, path: address, body: init.body ?? null });
    const found = replies[`${method} ${address}`];
    if (!found) return Promise.reject(new TypeError('Network request failed'));
    const { status = 200, body } = typeof found === 'function' ? found() : found;
    return Promise.resolve({ ok: status < 400, status, json: () => Promise.resolve(body) } as Response);
  }) as unknown as typeof fetch;
  useHome.setState({ status: 'loading', failure: null, homes: [], facts: null, trial: null, notice: null });
  useSettings.setState({ homeId: null });
});

const home = () => useHome.getState();

describe('opening', () => {
  it('shows the first home north of the equator when none was looked at', async () => {
    const south = { ...smallHome.home, id: 's', latitude: -30 };
    serve({ 'GET /api/homes': { body: [south, smallHome.home] }, 'GET /api/homes/h': { body: smallHome } });
    await home().load();
    expect(home().status).toBe('ready');
    expect(home().facts?.home.id).toBe('h');
    expect(useSettings.getState().homeId).toBe('h');
  });

  it('asks for a home when there is none, and says when the server is away', async () => {
    serve({ 'GET /api/homes': { body: [] } });
    await home().load();
    expect(home().status).toBe('none');
    serve({});
    await home().load();
    expect(home()).toMatchObject({ status: 'failed', failure: expect.stringContaining('cannot be reached') as string });
  });

  it('says when server and app no longer speak alike', async () => {
    serve({ 'GET /api/homes': { body: [{ id: 'h', shape: 'round' }] } });
    await home().load();
    expect(home().failure).toContain('different versions');
  });
});

describe('changing', () => {
  beforeEach(() => useHome.setState({ status: 'ready', facts: smallHome, homes: [smallHome.home] }));

  it('shows what the server stored and offers to take it back', async () => {
    serve({ 'POST /api/homes/h/changes': { body: { entry: entry('e1'), facts: renamed } } });
    expect(await home().change('Renamed it', rename)).toBeNull();
    expect(home().facts?.home.name).toBe('Renamed');
    expect(home().notice).toEqual({ text: 'Renamed it', undo: [{ homeId: 'h', entryId: 'e1' }] });
    expect(JSON.parse(asked[0]!.body as string)).toEqual({ summary: 'Renamed it', changes: rename });
  });

  it('keeps the facts as they were when the server refuses', async () => {
    serve({ 'POST /api/homes/h/changes': { status: 422, body: { message: 'Wider than its wall.', problems: [] } } });
    expect(await home().change('Widened', rename)).toEqual({ message: 'Wider than its wall.', problems: [] });
    expect(home().facts).toBe(smallHome);
  });

  it('keeps what is tried out until it is kept, and over a refusal', async () => {
    home().tryOut('Trying a name', rename);
    serve({ 'POST /api/homes/h/changes': { status: 500, body: { message: 'Nothing was stored.', problems: [] } } });
    expect(await home().keep()).not.toBeNull();
    expect(home().trial?.summary).toBe('Trying a name');
    expect(home().notice?.text).toBe('Nothing was stored.');
    serve({ 'POST /api/homes/h/changes': { body: { entry: entry('e2'), facts: renamed } } });
    expect(await home().keep()).toBeNull();
    expect(home().trial).toBeNull();
  });

  it('puts a trial back without asking anyone', () => {
    home().tryOut('Trying a name', rename);
    home().putBack();
    expect(home().trial).toBeNull();
    expect(asked).toEqual([]);
  });

  it('takes back several changes in turn, and stops at the first that is refused', async () => {
    serve({
      'POST /api/homes/h/journal/e1/undo': {
        body: { entry: { ...entry('u1'), summary: 'Took back one' }, facts: smallHome },
      },
      'POST /api/homes/h/journal/e2/undo': { status: 409, body: { message: 'It has changed since.', problems: [] } },
      'GET /api/homes': { body: [smallHome.home] },
      'GET /api/homes/h': { body: smallHome },
    });
    const refusal = await home().undo([
      { homeId: 'h', entryId: 'e1' },
      { homeId: 'h', entryId: 'e2' },
      { homeId: 'h', entryId: 'e3' },
    ]);
    expect(refusal?.message).toBe('It has changed since.');
    expect(asked.map(({ path }) => path)).toEqual(['/api/homes/h/journal/e1/undo', '/api/homes/h/journal/e2/undo']);
  });

  it('forgets a trial of another home when one is opened', async () => {
    home().tryOut('Trying a name', rename);
    const other = {
      ...smallHome,
      home: { ...smallHome.home, id: 'other' },
      rooms: [],
      windows: [],
      stands: [],
      tiers: [],
      spots: [],
      circuits: [],
      lamps: [],
      plants: [],
      air: [],
    };
    serve({ 'GET /api/homes/other': { body: other } });
    await home().openHome('other');
    expect(home().trial).toBeNull();
  });
});

describe('bringing a bundle in', () => {
  it('sends the file as it stands and tells what came of it', async () => {
    serve({
      'POST /api/bundle': { body: { homes: [smallHome.home], entries: [entry('i1')] } },
      'GET /api/homes': { body: [smallHome.home] },
      'GET /api/homes/h': { body: smallHome },
    });
    expect(await home().importText('{"format":"dulvan-bundle"}')).toBeNull();
    expect(asked[0]!.body).toBe('{"format":"dulvan-bundle"}');
    expect(home().notice?.text).toBe('Imported one home');
    expect(home().notice?.undo).toEqual([{ homeId: 'h', entryId: 'i1' }]);
  });

  it('hands on the reason of a refusal', async () => {
    serve({
      'POST /api/bundle': {
        status: 422,
        body: { message: 'The file is not whole JSON (line 2, character 3).', problems: [] },
      },
    });
    expect((await home().importText('{'))?.message).toContain('line 2');
  });
});
