import {
  copyFileSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readFileSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { once } from 'node:events';
import { connect, createServer } from 'node:net';
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
  engine: 'engine-of-the-test',
  reach: 'this-machine',
  pool: { ask: () => Promise.reject(new Error('Nothing is asked here.')), close: () => Promise.resolve() },
  ...given,
});

async function stop(): Promise<void> {
  await running?.close();
  running = null;
}

async function restart(given: Partial<ServeOptions> = {}): Promise<Running> {
  await stop();
  running = await startServer(options(given));
  return running;
}

const homes = async (at: Running) =>
  ((await (await fetch(`${at.url}/api/homes`)).json()) as { id: string }[]).map((home) => home.id);

beforeEach(() => {
  folder = mkdtempSync(path.join(tmpdir(), 'dulvan-serve-'));
});

afterEach(async () => {
  await stop();
  rmSync(folder, { recursive: true, force: true });
});

describe('one process that serves all', () => {
  it('makes the folder and the file, seeds the demo once, and keeps it over a restart', async () => {
    expect(await homes(await restart())).toEqual(['sail-loft', 'back-room']);
    await fetch(`${running!.url}/api/homes/back-room`, { method: 'DELETE' });
    expect(await homes(await restart())).toEqual(['sail-loft']);
  });

  it('starts empty when it is not the demo, and afresh when asked', async () => {
    expect(await homes(await restart({ seed: 'none' }))).toEqual([]);
    await restart();
    await fetch(`${running!.url}/api/homes/back-room`, { method: 'DELETE' });
    expect(await homes(await restart({ state: 'fresh' }))).toEqual(['sail-loft', 'back-room']);
  });

  it('says plainly when its port is taken', async () => {
    const other = createServer();
    await new Promise<void>((resolve) => other.listen(0, '127.0.0.1', resolve));
    const { port } = other.address() as { port: number };
    await expect(startServer(options({ port }))).rejects.toThrow(`Port ${port} on 127.0.0.1 is taken`);
    await new Promise((resolve) => other.close(resolve));
  });

  it('throws nothing away when it could not start afresh', async () => {
    await restart();
    await fetch(`${running!.url}/api/homes/back-room`, { method: 'DELETE' });
    const other = createServer();
    await new Promise<void>((resolve) => other.listen(0, '127.0.0.1', resolve));
    const { port } = other.address() as { port: number };
    await stop();
    await expect(startServer(options({ port, state: 'fresh' }))).rejects.toThrow('is taken');
    await new Promise((resolve) => other.close(resolve));
    expect(await homes(await restart({ seed: 'none' }))).toEqual(['sail-loft']);
  });

  it('refuses a file that another server has, also to start afresh, and takes it when that one is gone', async () => {
    const first = await startServer(options());
    await expect(startServer(options())).rejects.toThrow('Another Dulvan has home.sqlite open');
    await expect(startServer(options({ state: 'fresh' }))).rejects.toThrow('Another Dulvan has home.sqlite open');
    expect(await homes(first)).toEqual(['sail-loft', 'back-room']);
    await first.close();
    expect(await homes(await restart())).toEqual(['sail-loft', 'back-room']);
  });

  it('leaves one whole file behind that can be copied', async () => {
    await restart();
    await stop();
    const { file } = options();
    expect(existsSync(`${file}-wal`) ? statSync(`${file}-wal`).size : 0).toBe(0);
    expect(existsSync(`${file}.lock`)).toBe(false);
    const copy = path.join(folder, 'copy.sqlite');
    copyFileSync(file, copy);
    expect(await homes(await restart({ file: copy, seed: 'none' }))).toEqual(['sail-loft', 'back-room']);
  });

  it('lets go of a request that is never finished', async () => {
    const { url } = await restart();
    const { port } = new URL(url);
    const socket = connect(Number(port), '127.0.0.1');
    await once(socket, 'connect');
    socket.write('GET /api/health HTTP/1.1\r\nHost: 127.0.0.1\r\n');
    const answered: Buffer[] = [];
    socket.on('data', (bytes: Buffer) => answered.push(bytes));
    await once(socket, 'close');
    expect(Buffer.concat(answered).toString()).toContain('408 Request Timeout');
  });

  it('opens to the network only when that is asked for', async () => {
    await expect(startServer(options({ host: '0.0.0.0' }))).rejects.toThrow('DULVAN_OPEN=yes');
    expect(existsSync(options().file)).toBe(false);
  });

  it('refuses a file that is no database, and leaves it as it is', async () => {
    const file = path.join(folder, 'notes.sqlite');
    const notes = 'These are only notes, but long enough to be taken for something. '.repeat(40);
    writeFileSync(file, notes);
    await expect(startServer(options({ file }))).rejects.toThrow();
    expect(readFileSync(file, 'utf8')).toBe(notes);
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
