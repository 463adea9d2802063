/** Answers worked out already, by the revision and the engine they came from. */
import { and, eq, lt, ne, or } from 'drizzle-orm';
import { gunzipSync, gzipSync } from 'node:zlib';
import type { Reader, Writer } from './database';
import { answers } from './schema';

export interface AnswerKey {
  readonly homeId: string;
  readonly revision: number;
  readonly engine: string;
  readonly question: string;
}

const keyed = ({ homeId, revision, engine, question }: AnswerKey) =>
  and(
    eq(answers.homeId, homeId),
    eq(answers.revision, revision),
    eq(answers.engine, engine),
    eq(answers.question, question),
  );

/** An answer as JSON; null when it has not been worked out. */
export function keptAnswer(reader: Reader, key: AnswerKey): string | null {
  const row = reader.select({ body: answers.body }).from(answers).where(keyed(key)).get();
  return row ? gunzipSync(row.body).toString('utf8') : null;
}

/** Keeps an answer, and lets go of those of earlier revisions and other engines. */
export function keepAnswer(writer: Writer, key: AnswerKey, json: string, now: number): void {
  const stale = or(lt(answers.revision, key.revision), ne(answers.engine, key.engine));
  writer
    .delete(answers)
    .where(and(eq(answers.homeId, key.homeId), stale))
    .run();
  const row = { ...key, body: gzipSync(json, { level: 1 }), usedAt: now };
  writer.insert(answers).values(row).onConflictDoNothing().run();
}
