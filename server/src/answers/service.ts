/**
 * Answers questions about stored homes: worked out in threads, kept by revision and engine, so that a phone need not.
 */
import { packed, type HomeFacts, type QuestionName } from '@dulvan/core';
import { z } from 'zod';
import { refuse } from '../store/refused';
import type { Store } from '../store/store';
import type { Asking, AttachmentContent } from './asking';

/** What is asked of a home. */
export interface AskedQuestion {
  readonly question: QuestionName;
  readonly params: Readonly<Record<string, unknown>>;
}

export interface AnswerService {
  /** Names the engine: the same name gives the same figures. */
  readonly engine: string;
  /** An answer for the home as it is stored, as JSON: revision, engine, and the answer packed. */
  answer(homeId: string, asked: AskedQuestion): Promise<string>;
  close(): Promise<void>;
}

/** Threads that work questions out. */
export interface AnswerPool {
  ask(asking: Asking): Promise<unknown>;
  close(): Promise<void>;
}

/** Which questions are kept, and what they take: only what follows from the home and the month alone. */
const KEPT: ReadonlySet<QuestionName> = new Set(['home', 'mends', 'sunlightMap']);

const year = z.number().int().min(1950).max(2100);
const month = z.number().int().min(1).max(12);
const spotId = z.string().max(40);
const count = z.number().int().min(1).max(100);
const PARAMS: Readonly<Partial<Record<QuestionName, z.ZodType>>> = {
  home: z.strictObject({ year, month }),
  mends: z.strictObject({ year, month }),
  sunlightMap: z.strictObject({ year, roomId: z.string().max(40) }),
  rank: z.strictObject({ year, month, plant: z.looseObject({ id: z.string(), taxonId: z.string() }) }),
  plantsForSpot: z.strictObject({ year, month, spotId, count }),
  bestTaxa: z.strictObject({
    year,
    month,
    spotId,
    taxonIds: z.array(z.string().max(60)).max(5000),
    count,
  }),
};

/** The same question asked twice at once is worked out once. */
export function answerService(store: Store, pool: AnswerPool, engine: string): AnswerService {
  const running = new Map<string, Promise<string>>();
  const workedOut = async (homeId: string, asked: AskedQuestion, revision: number, facts: HomeFacts) => {
    const key = { homeId, revision, engine, question: JSON.stringify(asked) };
    const kept = KEPT.has(asked.question) ? store.keptAnswer(key) : null;
    if (kept !== null) return kept;
    const answer = await pool.ask({ homeId, revision, facts, attachments: attachmentsOf(store, facts), ...asked });
    const json = JSON.stringify({ revision, engine, answer: packed(answer) });
    if (KEPT.has(asked.question)) await store.keepAnswer(key, json);
    return json;
  };
  return {
    engine,
    close: () => pool.close(),
    async answer(homeId, asked) {
      const params = PARAMS[asked.question]?.safeParse(asked.params);
      if (!params?.success) throw refuse(422, 'This question cannot be answered as it is asked.');
      const { revision, facts } = store.home(homeId);
      const key = JSON.stringify([homeId, revision, asked]);
      let answer = running.get(key);
      if (!answer) {
        answer = workedOut(homeId, asked, revision, facts).finally(() => running.delete(key));
        running.set(key, answer);
      }
      return answer;
    },
  };
}

/** The stored files that a home's facts name, as text. */
function attachmentsOf(store: Store, facts: HomeFacts): AttachmentContent[] {
  const text = (fileKey: string) => store.file(facts.home.id, fileKey).content.toString('utf8');
  return [
    ...facts.weathers.map(({ fileKey }) => ({ kind: 'weather-hours' as const, fileKey, text: text(fileKey) })),
    ...facts.photometries.map(({ fileKey }) => ({ kind: 'intensities' as const, fileKey, text: text(fileKey) })),
  ];
}
