/** What is said to a plug over HTTP, and what it answers: checked as anything else that comes from outside. */
import { PLUG_TIMER_PATH, plugRefusalSchema, plugToldSchema, type PlugOrder } from '@dulvan/contract';
import type { PlugTold } from '@dulvan/core';

export type PlugAnswer =
  | { readonly is: 'told'; readonly told: PlugTold }
  | { readonly is: 'silent' }
  | { readonly is: 'nonsense' }
  | { readonly is: 'refuses'; readonly reason: string | null };

/** A plug answers at once or is away. */
const PATIENCE_MS = 4000;
/** No timer needs more; what sends on and on is cut off. */
const LARGEST_ANSWER = 20_000;

/** The text of an answer; null for one that is too large. */
async function textOf(reply: Response): Promise<string | null> {
  const reader = reply.body?.getReader();
  const decoder = new TextDecoder();
  let [size, text] = [0, ''];
  for (let piece = await reader?.read(); piece && !piece.done; piece = await reader?.read()) {
    size += piece.value.length;
    if (size > LARGEST_ANSWER) {
      await reader?.cancel();
      return null;
    }
    text += decoder.decode(piece.value, { stream: true });
  }
  return text;
}

function jsonIn(text: string | null): unknown {
  try {
    return text === null ? undefined : JSON.parse(text);
  } catch {
    return undefined;
  }
}

/** Where a plug is, and what ends the talk early. */
export interface Line {
  readonly address: string;
  readonly ends: AbortSignal;
}

async function said({ address, ends }: Line, request: RequestInit): Promise<PlugAnswer> {
  const signal = AbortSignal.any([ends, AbortSignal.timeout(PATIENCE_MS)]);
  let reply: Response;
  let text: string | null;
  try {
    // It is asked at the address the grower gave, and nowhere it points to.
    reply = await fetch(`${address}${PLUG_TIMER_PATH}`, { ...request, redirect: 'manual', signal });
    text = await textOf(reply);
  } catch {
    return { is: 'silent' };
  }
  const json = jsonIn(text);
  if (reply.status === 403 || reply.status === 409) {
    const refusal = plugRefusalSchema.safeParse(json);
    return { is: 'refuses', reason: refusal.success ? refusal.data.reason : null };
  }
  const told = reply.ok ? plugToldSchema.safeParse(json) : null;
  return told?.success ? { is: 'told', told: told.data } : { is: 'nonsense' };
}

/** Asks a plug what it does. */
export const askPlug = (line: Line): Promise<PlugAnswer> => said(line, { method: 'GET' });

/** Sets a plug's clock and programme. */
export const setPlug = (line: Line, order: PlugOrder): Promise<PlugAnswer> =>
  said(line, {
    method: 'PUT',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify(order),
  });
