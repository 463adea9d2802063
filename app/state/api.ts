/** Asks the server, by the contract's table of endpoints; a refusal comes back as a value. */
import {
  CONTRACT_HEADER,
  CONTRACT_VERSION,
  endpoints,
  refusalSchema,
  type EndpointName,
  type Refusal,
  type ResponseOf,
} from '@dulvan/contract';
import { nanoid } from 'nanoid';
import type { z } from 'zod';
import { API as WORDS } from './state-words';

interface Refused {
  readonly ok: false;
  readonly refusal: Refusal;
  /** Of the server's refusal, by which rules may go; null where it did not answer as it should. */
  readonly status: number | null;
}

export type Answer<T> = { readonly ok: true; readonly value: T } | Refused;

interface Asked {
  readonly params?: Record<string, string>;
  readonly query?: Record<string, string>;
  /** Sent as JSON. */
  readonly body?: object;
  /** Sent as they are. */
  readonly bytes?: { readonly content: BodyInit; readonly type: string };
}

/** The API's own address while developing; the page's otherwise. */
export const BASE = process.env.EXPO_PUBLIC_API ?? '';

const refused = (message: string): Answer<never> => ({
  ok: false,
  refusal: { message, problems: [] },
  status: null,
});

/** A key by which the server knows a request again: sent twice, it counts once. */
export const requestKey = () => nanoid(16);

/** An endpoint's address with its parameters in place. */
function addressOf(name: EndpointName, { params, query }: Asked): string {
  const filled = endpoints[name].path.replace(/\{(\w+)\}/g, (_, key: string) =>
    encodeURIComponent(params?.[key] ?? ''),
  );
  return `${BASE}${filled}${query ? `?${new URLSearchParams(query).toString()}` : ''}`;
}

function requestOf(name: EndpointName, { body, bytes }: Asked): RequestInit {
  const method = endpoints[name].method.toUpperCase();
  if (bytes) return { method, headers: { 'Content-Type': bytes.type }, body: bytes.content };
  if (body === undefined) return { method };
  return { method, headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(body) };
}

/** A request that carries a key may be sent again when its answer was lost. */
const isRepeatable = ({ body }: Asked) => body !== undefined && 'key' in body;
const AGAIN_AFTER_MS = 400;

async function reach(address: string, request: RequestInit, isSafe: boolean): Promise<Response> {
  try {
    return await fetch(address, request);
  } catch (error) {
    if (!isSafe) throw error;
    await new Promise((resolve) => setTimeout(resolve, AGAIN_AFTER_MS));
    return fetch(address, request);
  }
}

/** Asks one endpoint. Never throws: a server that cannot be reached is a refusal too. */
export async function ask<N extends EndpointName>(name: N, asked: Asked = {}): Promise<Answer<ResponseOf<N>>> {
  const endpoint: { readonly response: z.ZodType; readonly carries?: 'bytes'; readonly checked?: 'when-stored' } =
    endpoints[name];
  try {
    const reply = await reach(addressOf(name, asked), requestOf(name, asked), isRepeatable(asked));
    const version = reply.headers.get(CONTRACT_HEADER);
    if (version !== null && version !== CONTRACT_VERSION) {
      return refused(WORDS.otherVersion);
    }
    if (reply.ok && endpoint.carries) return { ok: true, value: (await reply.arrayBuffer()) as ResponseOf<N> };
    const json: unknown = await reply.json();
    if (!reply.ok) {
      const refusal = refusalSchema.safeParse(json);
      if (refusal.success) return { ok: false, refusal: refusal.data, status: reply.status };
      return refused(WORDS.unknownAnswer);
    }
    // What is large was checked when it was stored: looking through it again would keep a phone busy.
    if (endpoint.checked) return { ok: true, value: json as ResponseOf<N> };
    const parsed = endpoint.response.safeParse(json);
    if (parsed.success) return { ok: true, value: parsed.data as ResponseOf<N> };
    return refused(WORDS.otherVersion);
  } catch {
    return refused(WORDS.notReached);
  }
}
