/** Starts one process that serves the app and the API. */
import { knowledge } from '@dulvan/catalogue';
import { serve, type ServerType } from '@hono/node-server';
import { existsSync } from 'node:fs';
import { rm } from 'node:fs/promises';
import { isIP } from 'node:net';
import path from 'node:path';
import { answerThreads } from './answers/pool';
import { answerService, type AnswerPool } from './answers/service';
import { demoParts } from './demo/bundle';
import { codeOf } from './error-code';
import { apiOn } from './http/api';
import { serveApp } from './http/static';
import { tendPlugs } from './plugs/tend';
import { lockFile, openStore, type OpenStore } from './store/open';
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
  /** Names the engine that answers; the same name, the same figures. */
  readonly engine: string;
  /** Whether machines besides this one may reach it; whoever can reads and changes everything. */
  readonly reach: 'this-machine' | 'the-network';
  /** Names by which it may be asked for, besides addresses in numbers. */
  readonly hostNames?: readonly string[];
  readonly devOrigin?: string | null;
  /** The threads that answer questions; their own pool where none is given. */
  readonly pool?: AnswerPool;
}

export interface Running {
  readonly url: string;
  close(): Promise<void>;
}

/** A plug that lost its clock or programme waits no longer for them. */
const PLUGS_ASKED_MS = 60_000;

type Fetch = (request: Request) => Response | Promise<Response>;

const starting: Fetch = () => new Response('Starting …', { status: 503, headers: { 'Retry-After': '1' } });

/**
 * Takes the file for itself, listens, opens the store and seeds it when asked; nothing is thrown away before all that could
 * refuse has agreed.
 * @throws in plain words when the port is taken, another server has the file, or it would be open to the network unasked
 */
export async function startServer(options: ServeOptions): Promise<Running> {
  const { host, port, file } = options;
  if (options.reach === 'this-machine' && !isLoopback(host)) {
    throw new Error(
      `HOST=${host} would open Dulvan to every machine that can reach this one, and anyone there could read and change everything. If that is what you want, set DULVAN_OPEN=yes.`,
    );
  }
  const lock = await lockFile(file);
  let answer: Fetch = starting;
  let server: ServerType | null = null;
  let opened: OpenStore | null = null;
  try {
    server = await listen((request) => answer(request), host, port);
    if (options.state === 'fresh') for (const ending of ['', '-wal', '-shm']) await rm(file + ending, { force: true });
    opened = await openStore(file);
    if (opened.backup) {
      console.log(`The database was brought up to date; its state before is kept in ${path.basename(opened.backup)}.`);
    }
    const store = new Store(opened, { knowledge });
    if (options.seed === 'demo' && store.homes().length === 0) await store.import(demoParts());
    const answers = answerService(store, options.pool ?? answerThreads(), options.engine);
    const plugs = tendPlugs({ store, everyMs: PLUGS_ASKED_MS });
    const api = apiOn({
      store,
      answers,
      plugs,
      hostNames: options.hostNames ?? [],
      devOrigin: options.devOrigin ?? null,
    });
    if (options.app && existsSync(path.join(options.app, 'index.html'))) serveApp(api, options.app);
    answer = (request) => api.fetch(request);
    const { store: held, listening } = { store: opened, listening: server };
    return {
      url: `http://${isIP(host) === 6 ? `[${host}]` : host}:${portOf(server, port)}`,
      close: async () => {
        await plugs.close();
        await stopped(listening);
        await answers.close();
        held.close();
        lock.release();
      },
    };
  } catch (error) {
    if (server) await stopped(server);
    opened?.close();
    lock.release();
    throw codeOf(error) === 'EADDRINUSE'
      ? new Error(
          `Port ${port} on ${host} is taken: something else is listening there. Stop it, or choose another port: PORT=${port + 1} npm run demo`,
        )
      : error;
  }
}

const isLoopback = (host: string) => host === 'localhost' || host === '::1' || /^127\.\d+\.\d+\.\d+$/.test(host);

function portOf(server: ServerType, asked: number): number {
  const address = server.address();
  return address && typeof address === 'object' ? address.port : asked;
}

/** A request's head must come within this, and all of it within that; idle connections are let go. */
const HEAD_TIMEOUT_MS = 10_000;
const REQUEST_TIMEOUT_MS = 300_000;
const IDLE_TIMEOUT_MS = 15_000;
/** How often it is looked whether one has run out. */
const CHECKING_MS = 2_000;

function listen(fetch: Fetch, hostname: string, port: number): Promise<ServerType> {
  return new Promise((resolve, reject) => {
    const serverOptions = {
      headersTimeout: HEAD_TIMEOUT_MS,
      requestTimeout: REQUEST_TIMEOUT_MS,
      keepAliveTimeout: IDLE_TIMEOUT_MS,
      connectionsCheckingInterval: CHECKING_MS,
    };
    const server = serve({ fetch, hostname, port, serverOptions }, () => resolve(server));
    server.once('error', reject);
  });
}

function stopped(server: ServerType): Promise<void> {
  return new Promise((resolve) => {
    server.close(() => resolve());
    if ('closeAllConnections' in server) server.closeAllConnections();
  });
}
