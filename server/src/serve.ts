/** Starts one process that serves the app and the API. */
import { serve, type ServerType } from '@hono/node-server';
import { existsSync } from 'node:fs';
import { rm } from 'node:fs/promises';
import path from 'node:path';
import { apiOn } from './api';
import { demoBundle } from './demo/bundle';
import { serveApp } from './static';
import { openStore } from './store/open';
import { Store } from './store/store';

export interface ServeOptions {
  readonly host: string;
  readonly port: number;
  /** The SQLite file. */
  readonly file: string;
  /** Whether the demo home is put in when there is no home yet. */
  readonly seed: 'demo' | 'none';
  /** `fresh` throws away what the file holds first. */
  readonly state: 'keep' | 'fresh';
  /** Folder of the built app; null serves the API alone. */
  readonly app: string | null;
}

export interface Running {
  readonly url: string;
  close(): Promise<void>;
}

/** Opens the store, seeds it when asked, and listens. Rejects with a plain message when the port is taken. */
export async function startServer({ host, port, file, seed, state, app }: ServeOptions): Promise<Running> {
  if (state === 'fresh') for (const ending of ['', '-wal', '-shm']) await rm(file + ending, { force: true });
  const { database, backup, close } = await openStore(file);
  if (backup) console.log(`The database was brought up to date; its state before is kept in ${path.basename(backup)}.`);
  const store = new Store(database);
  if (seed === 'demo' && (await store.homes()).length === 0) await store.importAll(demoBundle());
  const api = apiOn(store);
  if (app && existsSync(path.join(app, 'index.html'))) serveApp(api, app);
  const server = await listen(api.fetch, host, port).catch((error: NodeJS.ErrnoException) => {
    close();
    throw error.code === 'EADDRINUSE'
      ? new Error(
          `Port ${port} on ${host} is taken: something else is listening there. Stop it, or choose another port: PORT=${port + 1} npm run demo`,
        )
      : error;
  });
  const address = server.address();
  const actual = address && typeof address === 'object' ? address.port : port;
  return {
    url: `http://${host}:${actual}`,
    close: () =>
      new Promise((resolve) => {
        server.close(() => {
          close();
          resolve();
        });
        if ('closeAllConnections' in server) server.closeAllConnections();
      }),
  };
}

function listen(fetch: Parameters<typeof serve>[0]['fetch'], hostname: string, port: number): Promise<ServerType> {
  return new Promise((resolve, reject) => {
    const server = serve({ fetch, hostname, port }, () => resolve(server));
    server.once('error', reject);
  });
}
