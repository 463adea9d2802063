/** Builds and serves the bare shell that the bench of the phone compares with. */
import { build } from 'esbuild';
import { createServer } from 'node:http';
import { once } from 'node:events';
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { type AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { brotliCompressSync } from 'node:zlib';

const PAGE = '<!doctype html><title>Bare</title><div id="root"></div><script src="/page.js"></script>';
const TYPES: Readonly<Record<string, string>> = { '.js': 'text/javascript', '.ttf': 'font/ttf' };

/** Built once; packed as the server packs the app, and kept by the browser as long. */
export async function serveBareShell(): Promise<{ readonly url: string; stop(): Promise<void> }> {
  const folder = mkdtempSync(path.join(tmpdir(), 'dulvan-bare-'));
  await build({
    entryPoints: { page: path.join(__dirname, '../app/testing/bare-shell.tsx') },
    outdir: folder,
    bundle: true,
    minify: true,
    platform: 'browser',
    jsx: 'automatic',
    define: { 'process.env.NODE_ENV': '"production"', __DEV__: 'false', global: 'globalThis' },
    alias: { 'react-native': 'react-native-web' },
    resolveExtensions: ['.web.tsx', '.web.ts', '.web.js', '.tsx', '.ts', '.js', '.json'],
    // Paper does without its icons where they are not there, as in the app, which ships the few it needs.
    external: ['@expo/vector-icons/*'],
    loader: { '.js': 'jsx', '.ttf': 'file', '.png': 'dataurl' },
    publicPath: '/',
    logLevel: 'error',
  });
  const server = createServer((request, response) => {
    const name = path.basename(request.url ?? '');
    if (name === '') return void response.setHeader('Content-Type', 'text/html').end(PAGE);
    const file = path.join(folder, name);
    if (!existsSync(file)) return void response.writeHead(404).end();
    const body = brotliCompressSync(readFileSync(file));
    const headers = { 'Content-Encoding': 'br', 'Cache-Control': 'max-age=31536000, immutable' };
    response.writeHead(200, { ...headers, 'Content-Type': TYPES[path.extname(name)] ?? 'application/octet-stream' });
    response.end(body);
  });
  await once(server.listen(0, '127.0.0.1'), 'listening');
  return {
    url: `http://127.0.0.1:${(server.address() as AddressInfo).port}/`,
    async stop() {
      server.closeAllConnections();
      server.close();
      await once(server, 'close');
      rmSync(folder, { recursive: true, force: true });
    },
  };
}
