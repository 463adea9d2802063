/** Keeps other sites out: a page elsewhere may neither write here through the grower's browser nor read under a borrowed name. */
import type { Context, MiddlewareHandler } from 'hono';
import { secureHeaders } from 'hono/secure-headers';
import { isIP } from 'node:net';

export interface GuardOptions {
  /** Names by which this server may be asked for, besides addresses in numbers and `localhost`. */
  readonly hostNames: readonly string[];
  /** Where Expo's own server shows the app while developing; null otherwise. */
  readonly devOrigin: string | null;
}

const secured = secureHeaders({
  contentSecurityPolicy: {
    defaultSrc: ["'self'"],
    scriptSrc: ["'self'", "'wasm-unsafe-eval'"],
    // Styles are set by script, element by element.
    styleSrc: ["'self'", "'unsafe-inline'"],
    imgSrc: ["'self'", 'data:', 'blob:'],
    fontSrc: ["'self'", 'data:'],
    connectSrc: ["'self'"],
    workerSrc: ["'self'", 'blob:'],
    objectSrc: ["'none'"],
    baseUri: ["'none'"],
    formAction: ["'none'"],
    frameAncestors: ["'none'"],
  },
  xFrameOptions: 'DENY',
});

/** The name in a Host header, without its port; null for none that can be read. */
function hostName(host: string): string | null {
  const bracketed = /^\[([0-9a-f:.]+)\](?::\d+)?$/i.exec(host);
  if (bracketed) return bracketed[1]!;
  const plain = /^([A-Za-z0-9.-]+)(?::\d+)?$/.exec(host);
  return plain ? plain[1]!.toLowerCase() : null;
}

/** A name that somebody else's name server gives out may lead here too: only names that are ours are answered to. */
function isOurs(host: string | undefined, names: readonly string[]): boolean {
  const name = host === undefined ? null : hostName(host);
  return name !== null && (name === 'localhost' || isIP(name) !== 0 || names.includes(name));
}

const SAFE_METHODS = new Set(['GET', 'HEAD', 'OPTIONS']);

/** Whether a request that may change something comes from a page of this server, or from no page at all. */
function isFromHere(c: Context, devOrigin: string | null): boolean {
  const origin = c.req.header('origin');
  const site = c.req.header('sec-fetch-site');
  if (origin !== undefined) return origin === devOrigin || hostOf(origin) === c.req.header('host');
  return site === undefined || site === 'same-origin' || site === 'none';
}

/** The host of an origin; null for `null` and what is no origin. */
function hostOf(origin: string): string | null {
  try {
    const { protocol, host } = new URL(origin);
    return protocol === 'http:' || protocol === 'https:' ? host : null;
  } catch {
    return null;
  }
}

const refused = (c: Context, message: string) => c.json({ message, problems: [] }, 403);

/** Stands before everything the server answers. */
export function guard({ hostNames, devOrigin }: GuardOptions): MiddlewareHandler {
  return async (c, next) => {
    if (!isOurs(c.req.header('host'), hostNames)) return refused(c, 'This server does not answer to that name.');
    if (!SAFE_METHODS.has(c.req.method) && !isFromHere(c, devOrigin)) {
      return refused(c, 'This came from another site and was refused.');
    }
    if (devOrigin !== null && c.req.header('origin') === devOrigin) {
      c.header('Access-Control-Allow-Origin', devOrigin);
      c.header('Access-Control-Allow-Headers', 'Content-Type');
      c.header('Access-Control-Allow-Methods', 'GET, POST, DELETE');
      if (c.req.method === 'OPTIONS') return c.body(null, 204);
    }
    return secured(c, next);
  };
}
