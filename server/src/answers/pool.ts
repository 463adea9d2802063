/** The pool of threads that work questions out, so that the server answers everything else meanwhile. */
import { availableParallelism } from 'node:os';
import path from 'node:path';
import { Piscina } from 'piscina';
import type { AnswerPool } from './service';

/** More threads than this help nobody: each holds an engine with its memory. */
const MOST_THREADS = 4;

/** One core is left to the server itself. */
export function answerThreads(): AnswerPool {
  const threads = Math.max(1, Math.min(MOST_THREADS, availableParallelism() - 1));
  const pool = new Piscina({
    filename: path.join(__dirname, 'thread.cjs'),
    minThreads: 1,
    maxThreads: threads,
    idleTimeout: Infinity,
  });
  return { ask: (asking) => pool.run(asking) as Promise<unknown>, close: () => pool.destroy() };
}
