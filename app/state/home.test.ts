/** The home on screen against a server that answers as told. */
import { CONTRACT_VERSION } from '@dulvan/contract';
import { patch, put, type HomeFacts } from '@dulvan/core';
import { smallHome } from '../../core/src/home/small-home.fixture';
import { useHome } from './home';
import { useSettings } from './settings';

interface Reply {
  readonly status?: number;
  readonly body: unknown;
  readonly contract?: string;
}

const asked: { method: string; path: string; body: unknown }[] = [];
let replies: Record<string, Reply | (() => Reply)>;

function serve(given: Record<string, Reply | (() => Reply)>): void {
  replies = given;
}

const entry = (id: string, revision = 2) => ({
  id,
  homeId: 'h',
  revision,
  at: 1,
  kind: 'change',
  summary: 'Changed',
  undoes: null,
  touched: 1,
});
const named = (name: string): HomeFacts => ({ ...smallHome, home: { ...smallHome.home, name } });
const rename = (name = 'Renamed') => [patch('home', 'h', { name })];
const kept = (revision: number, facts = smallHome) => ({ body: { revision, facts } });
const saved = (revision: number, changes: unknown, id = 'e1') => ({
  body: { revision, entry: entry(id, revision), changes },
});

beforeEach(() => {
  asked.length = 0;
  globalThis.fetch = jest.fn((address: string, init: RequestInit = {}) => {
    const method = init.method ?? 'GET';
    asked.push({ method, path: address, body: init.body ?? null });
    const found = replies[`${method} ${address}`];
    if (!found) return Promise.reject(new TypeError('Network request failed'));
    const { status = 200, body, contract = CONTRACT_VERSION } = typeof found === 'function' ? found() : found;
    const headers = new Map([['X-Dulvan-Contract', contract]]);
    const reply = { ok: status < 400, status, headers, json: () => Promise.resolve(body) };
    return Promise.resolve(reply as unknown as Response);
  }) as unknown as typeof fetch;
  useHome.setState({
    status: 'loading',
    failure: null,
    homes: [],
    facts: null,
    revision: 0,
    trial: null,
    notice: null,
  });
  useSettings.setState({ homeId: null });
});

const home = () => useHome.getState();
const sent = (at: number) => JSON.parse(asked[at]!.body as string) as Record<string, unknown>;

describe('opening', () => {
  it('shows the first home when none was looked at', async () => {
    const south = { ...smallHome.home, id: 's', latitude: -30 };
    serve({ 'GET /api/homes': { body: [smallHome.home, south] }, 'GET /api/homes/h': kept(3) });
    await home().load();
    expect(home()).toMatchObject({ status: 'ready', revision: 3, facts: { home: { id: 'h' } } });
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

  it.each<[string, Reply]>([
    ['an answer of another shape', { body: [{ id: 'h', shape: 'round' }] }],
    ['an answer of another version', { body: [], contract: '3' }],
  ])('says so at %s', async (_what, reply) => {
    serve({ 'GET /api/homes': reply });
    await home().load();
    expect(home().failure).toContain('different versions');
  });
});

it('shows the home that was opened last, whichever comes first', async () => {
  const other = { ...smallHome, home: { ...smallHome.home, id: 'other' } };
  let arrive: () => void = () => undefined;
  const late = new Promise<void>((resolve) => (arrive = resolve));
  serve({ 'GET /api/homes/h': kept(1), 'GET /api/homes/other': kept(1, other) });
  const quick = globalThis.fetch;
  globalThis.fetch = (async (address: string) => {
    if (address.endsWith('/h')) await late;
    return quick(address);
  }) as typeof fetch;
  const first = home().openHome('h');
  await home().openHome('other');
  arrive();
  await first;
  expect(home().facts?.home.id).toBe('other');
});

describe('changing', () => {
  beforeEach(() => useHome.setState({ status: 'ready', facts: smallHome, revision: 1, homes: [smallHome.home] }));

  it('sends the revision it shows and a key, shows what was stored, and offers to take it back', async () => {
    serve({ 'POST /api/homes/h/changes': saved(2, rename()) });
    expect(await home().change('Renamed it', rename())).toBe('stored');
    expect(home()).toMatchObject({ revision: 2, facts: { home: { name: 'Renamed' } } });
    expect(home().notice).toEqual({ text: 'Renamed it', undo: [{ homeId: 'h', entryId: 'e1' }] });
    expect(sent(0)).toEqual({ base: 1, key: expect.any(String) as string, summary: 'Renamed it', changes: rename() });
    // What was not touched stays the very same, so that nothing of it is worked out again.
    expect(home().facts!.plants).toBe(smallHome.plants);
  });

  it('sends the same key again when the answer was lost', async () => {
    let times = 0;
    serve({
      'POST /api/homes/h/changes': () => {
        if ((times += 1) === 1) throw new TypeError('Network request failed');
        return saved(2, rename());
      },
    });
    expect(await home().change('Renamed it', rename())).toBe('stored');
    expect(sent(1)).toEqual(sent(0));
  });

  it('takes over what was changed elsewhere meanwhile with its own', async () => {
    const both = [patch('home', 'h', { name: 'Renamed', elevationM: 77 })];
    serve({ 'POST /api/homes/h/changes': saved(5, both) });
    await home().change('Renamed it', rename());
    expect(home()).toMatchObject({ revision: 5, facts: { home: { name: 'Renamed', elevationM: 77 } } });
  });

  it('fetches the whole home where the server cannot tell the difference', async () => {
    serve({ 'POST /api/homes/h/changes': saved(9, null), 'GET /api/homes/h': kept(9, named('Whole')) });
    await home().change('Renamed it', rename());
    expect(home()).toMatchObject({ revision: 9, facts: { home: { name: 'Whole' } } });
  });

  it('keeps the facts as they were when the server refuses', async () => {
    serve({ 'POST /api/homes/h/changes': { status: 422, body: { message: 'Wider than its wall.', problems: [] } } });
    expect(await home().attempt('Widened', rename())).toEqual({ message: 'Wider than its wall.', problems: [] });
    expect(home().facts).toBe(smallHome);
  });

  it('follows a change of another tab, once, and none that is older than what is shown', async () => {
    serve({ 'GET /api/homes/h/changes?since=1': { body: { revision: 2, changes: rename('Elsewhere') } } });
    await home().follow('h', 2);
    expect(home()).toMatchObject({ revision: 2, facts: { home: { name: 'Elsewhere' } } });
    await home().follow('h', 2);
    await home().follow('other', 9);
    expect(asked).toHaveLength(1);
  });

  it('looks what homes there are when this one was taken out elsewhere, and for no other refusal', async () => {
    const body = { message: 'In whatever words.', problems: [] };
    const follow = async (status: number) => {
      asked.length = 0;
      serve({ 'GET /api/homes/h/changes?since=1': { status, body }, 'GET /api/homes': { body: [] } });
      await home().follow('h', 2);
      return asked.map(({ path }) => path).includes('/api/homes');
    };
    expect(await follow(500)).toBe(false);
    expect(await follow(404)).toBe(true);
  });

  it('takes back several changes together, or none of them', async () => {
    serve({ 'POST /api/homes/h/undo': { status: 409, body: { message: 'It has changed since.', problems: [] } } });
    const taken = ['e2', 'e1'].map((entryId) => ({ homeId: 'h', entryId }));
    expect((await home().undo(taken))?.message).toBe('It has changed since.');
    expect(home().facts).toBe(smallHome);
    serve({ 'POST /api/homes/h/undo': saved(4, rename('As before')) });
    expect(await home().undo(taken)).toBeNull();
    expect(sent(1)).toMatchObject({ entries: ['e2', 'e1'] });
    expect(home()).toMatchObject({ revision: 4, facts: { home: { name: 'As before' } } });
  });
});

describe('trying out', () => {
  beforeEach(() => useHome.setState({ status: 'ready', facts: smallHome, revision: 1, homes: [smallHome.home] }));

  it('composes one trial upon the other, and keeps both in one change', async () => {
    home().tryOut('Name: a', rename('A'));
    home().tryOut('Name: b', rename('B'));
    home().tryOut('Higher up', [patch('home', 'h', { elevationM: 90 })]);
    expect(home().trial).toMatchObject({ base: 1, summaries: ['Name: b', 'Higher up'] });
    serve({ 'POST /api/homes/h/changes': saved(2, [patch('home', 'h', { name: 'B', elevationM: 90 })]) });
    expect(await home().keep()).toBeNull();
    expect(sent(0)).toMatchObject({
      base: 1,
      summary: 'Name: b; Higher up',
      changes: [patch('home', 'h', { name: 'B', elevationM: 90 })],
    });
    expect(home().trial).toBeNull();
  });

  it('outlives a refusal and a change of another tab', async () => {
    home().tryOut('Trying a name', rename());
    serve({ 'POST /api/homes/h/changes': { status: 500, body: { message: 'Nothing was stored.', problems: [] } } });
    expect(await home().keep()).not.toBeNull();
    expect(home().notice?.text).toBe('Nothing was stored.');
    serve({ 'GET /api/homes/h/changes?since=1': { body: { revision: 2, changes: rename('Elsewhere') } } });
    await home().follow('h', 2);
    expect(home().trial).toMatchObject({ base: 1, summaries: ['Trying a name'] });
  });

  it('shows what stands against it, and takes its place when it is kept again', async () => {
    home().tryOut('Trying a name', rename());
    const conflict = { list: 'home', id: 'h', field: 'name', theirs: 'Theirs', mine: 'Renamed', message: 'Changed.' };
    const refusal = { message: 'Changed elsewhere.', problems: [], conflicts: [conflict] };
    serve({
      'POST /api/homes/h/changes': { status: 409, body: refusal },
      'GET /api/homes/h/changes?since=1': { body: { revision: 2, changes: rename('Theirs') } },
    });
    expect(await home().keep()).toMatchObject({ conflicts: [conflict] });
    expect(home()).toMatchObject({ revision: 2, trial: { base: 2, changes: rename() } });
    expect(home().notice?.text).toContain('keep it again to put yours in its place');
    serve({ 'POST /api/homes/h/changes': saved(3, rename()) });
    expect(await home().keep()).toBeNull();
    expect(sent(asked.length - 1)).toMatchObject({ base: 2 });
  });

  it('is put back without asking anyone, and forgotten when another home is opened', async () => {
    home().tryOut('Trying a name', rename());
    home().putBack();
    expect(home().trial).toBeNull();
    expect(asked).toEqual([]);
    home().tryOut('Trying a name', rename());
    const other = { ...smallHome, home: { ...smallHome.home, id: 'other' } };
    serve({ 'GET /api/homes/other': kept(1, other) });
    await home().openHome('other');
    expect(home()).toMatchObject({ trial: null, facts: { home: { id: 'other' } } });
  });
});

describe('bringing a bundle in', () => {
  it('sends the file as it stands and tells what came of it', async () => {
    serve({
      'POST /api/bundle': { body: { homes: [smallHome.home], entries: [entry('i1')] } },
      'GET /api/homes': { body: [smallHome.home] },
      'GET /api/homes/h': kept(2),
    });
    const file = new Blob(['PK']);
    expect(await home().importFile(file)).toBeNull();
    expect(asked[0]!.body).toBe(file);
    expect(home().notice).toEqual({ text: 'Imported one home', undo: [{ homeId: 'h', entryId: 'i1' }] });
  });

  it('hands on the reason of a refusal', async () => {
    const message = 'homes/h/journal.ndjson, line 2: Not whole JSON.';
    serve({ 'POST /api/bundle': { status: 422, body: { message, problems: [] } } });
    expect((await home().importFile(new Blob(['{'])))?.message).toContain('line 2');
  });
});

it('founds a home on no revision', async () => {
  useHome.setState({ status: 'none' });
  serve({ 'POST /api/homes/h/changes': saved(1, null), 'GET /api/homes/h': kept(1) });
  await home().attempt('Added the home', [put('home', smallHome.home)], { homeId: 'h' });
  expect(sent(0)).toMatchObject({ base: 0 });
  expect(home()).toMatchObject({ status: 'ready', revision: 1 });
});
