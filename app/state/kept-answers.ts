/** The last answers of each home, kept in the browser: a reload shows them at once when they belong to the facts. */
import { packed, unpacked, type HomeAnswers, type When } from '@dulvan/core';
import { createStore, get, set, type UseStore } from 'idb-keyval';

/** What answers belong to. */
export interface AnswersOf {
  readonly homeId: string;
  readonly revision: number;
  readonly engine: string;
  readonly when: When;
}

const sameWhen = (p: When, q: When) => p.year === q.year && p.month === q.month;

interface Kept extends AnswersOf {
  readonly answers: unknown;
}

let store: UseStore | null = null;

/** Null where the browser keeps nothing (a private window may not). */
function opened(): UseStore | null {
  if (typeof indexedDB === 'undefined') return null;
  store ??= createStore('dulvan', 'answers');
  return store;
}

/** The answers kept for a home; null when they are of other facts, another engine or another month. */
export async function keptAnswers(of: AnswersOf): Promise<HomeAnswers | null> {
  const db = opened();
  if (!db) return null;
  try {
    const kept = await get<Kept>(of.homeId, db);
    const belongs = kept?.revision === of.revision && kept.engine === of.engine && sameWhen(kept.when, of.when);
    return belongs ? (unpacked(kept.answers) as HomeAnswers) : null;
  } catch {
    return null;
  }
}

/** Keeps answers; a browser that refuses to is none the worse. */
export async function keepAnswers(of: AnswersOf, answers: HomeAnswers): Promise<void> {
  const db = opened();
  if (!db) return;
  try {
    await set(of.homeId, { ...of, answers: packed(answers) } satisfies Kept, db);
  } catch {
    // Nothing depends on it.
  }
}
