/** Asks the server, by the contract's table of endpoints; a refusal comes back as a value. */
import { endpoints, refusalSchema, type EndpointName, type Refusal, type ResponseOf } from '@dulvan/contract';
import { z } from 'zod';

export type Answer<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly refusal: Refusal };

interface Asked {
  readonly params?: Record<string, string>;
  readonly query?: Record<string, string>;
  /** An object is sent as JSON; text is sent as it stands. */
  readonly body?: object | string;
}

/** The API's own address while developing; the page's otherwise. */
const BASE = process.env.EXPO_PUBLIC_API ?? '';

const unreachable = (message: string): Answer<never> => ({ ok: false, refusal: { message, problems: [] } });

/** Asks one endpoint. Never throws: a server that cannot be reached is a refusal too. */
export async function ask<N extends EndpointName>(name: N, asked: Asked = {}): Promise<Answer<ResponseOf<N>>> {
  const { method, path, response } = endpoints[name];
  const filled = path.replace(/\{(\w+)\}/g, (_, key: string) => encodeURIComponent(asked.params?.[key] ?? ''));
  const query = asked.query ? `?${new URLSearchParams(asked.query).toString()}` : '';
  try {
    const reply = await fetch(`${BASE}${filled}${query}`, {
      method: method.toUpperCase(),
      ...(asked.body === undefined
        ? {}
        : {
            headers: { 'Content-Type': 'application/json' },
            body: typeof asked.body === 'string' ? asked.body : JSON.stringify(asked.body),
          }),
    });
    const json: unknown = await reply.json();
    if (!reply.ok) {
      const refusal = refusalSchema.safeParse(json);
      return refusal.success
        ? { ok: false, refusal: refusal.data }
        : unreachable('The server answered in a way this app does not know.');
    }
    const parsed = (response as unknown as z.ZodType<ResponseOf<N>>).safeParse(json);
    return parsed.success
      ? { ok: true, value: parsed.data }
      : unreachable('The server and this app are of different versions. Reload the page.');
  } catch {
    return unreachable('The server cannot be reached. Nothing was stored; what you typed is still here.');
  }
}
