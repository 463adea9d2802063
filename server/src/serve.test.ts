import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { startServer, type Running, type ServeOptions } from './serve';

let folder: string;
let running: Running | null = null;

const options = (given: Partial<ServeOptions> = {}): ServeOptions => ({
  host: '127.0.0.1',
  port: 0,
  file: path.join(folder, 'data/home.sqlite'),
  seed: 'demo',
  state: 'keep',
  app: null,
  ...given,
});

async function restart(given: Partial<ServeOptions> = {}): Promise<Running> {
  await running?.close();
  running = await startServer(options(given));
  return running;
}

const homes = async (at: Running) =>
  ((await (await fetch(`${at.url}/api/homes`)).json()) as { id: string }[]).map((home) => home.id);

beforeEach(() => {
  folder = mkdtempSync(path.join(tmpdir(), 'dulvan-serve-'));
});

afterEach(async () => {
  await running?.close();
  running = null;
  rmSync(folder, { recursive: true, force: true });
});

describe('one process that serves all', () => {
  it('makes the folder and the file, seeds the demo once, and keeps it over a restart', async () => {
    expect(await homes(await restart())).toEqual(['back-room', 'sail-loft']);
    await fetch(`${running!.url}/api/homes/back-room`, { method: 'DELETE' });
    expect(await homes(await restart())).toEqual(['sail-loft']);
  });

  it('starts empty when it is not the demo, and afresh when asked', async () => {
    expect(await homes(await restart({ seed: 'none' }))).toEqual([]);
    await restart();
    await fetch(`${running!.url}/api/homes/back-room`, { method: 'DELETE' });
    expect(await homes(await restart({ state: 'fresh' }))).toEqual(['back-room', 'sail-loft']);
  });

  it('says plainly when its port is taken', async () => {
    const other = createServer();
    await new Promise<void>((resolve) => other.listen(0, '127.0.0.1', resolve));
    const { port } = other.address() as { port: number };
    await expect(startServer(options({ port }))).rejects.toThrow(`Port ${port} on 127.0.0.1 is taken`);
    await new Promise((resolve) => other.close(resolve));
  });

  it('refuses a file that is no database, and leaves it as it is', async () => {
    const file = path.join(folder, 'notes.sqlite');
    writeFileSync(file, 'These are only notes, but long enough to be taken for something. '.repeat(40));
    await expect(startServer(options({ file }))).rejects.toThrow();
  });
});

describe('the built app', () => {
  it('is the page for its own routes, and 404 for files and API addresses that are not there', async () => {
    const app = path.join(folder, 'dist');
    mkdirSync(path.join(app, '_expo'), { recursive: true });
    writeFileSync(path.join(app, 'index.html'), '<!doctype html><title>Dulvan</title>');
    writeFileSync(path.join(app, '_expo/entry-0123456789abcdef0123.js'), 'void 0;');
    const { url } = await restart({ app });
    const get = (address: string) => fetch(url + address);
    for (const address of ['/', '/plants/p-moth', '/place/rooms/new']) {
      const page = await get(address);
      expect(page.status).toBe(200);
      expect(await page.text()).toContain('<title>Dulvan</title>');
      expect(page.headers.get('cache-control')).toBe('no-cache');
    }
    expect((await get('/_expo/entry-0123456789abcdef0123.js')).headers.get('cache-control')).toContain('immutable');
    expect((await get('/_expo/missing.js')).status).toBe(404);
    expect((await get('/api/missing')).status).toBe(404);
    expect((await get('/')).headers.get('x-content-type-options')).toBe('nosniff');
  });

  it('never serves what lies outside its folder', async () => {
    const app = path.join(folder, 'dist');
    mkdirSync(app, { recursive: true });
    writeFileSync(path.join(app, 'index.html'), '<!doctype html><title>Dulvan</title>');
    writeFileSync(path.join(folder, 'secret.txt'), 'secret');
    const { url } = await restart({ app });
    for (const address of ['/../secret.txt', '/%2e%2e/secret.txt', '/..%2fsecret.txt'])
      expect(await (await fetch(url + address)).text()).not.toContain('secret');
  });
});
