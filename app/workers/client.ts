/** The workers that answer: one for the verdicts, one for the slow washes over plans, so that neither waits for the other. */
import { wrap, type Remote } from 'comlink';
import type { Questions } from './questions';

const started = new Map<'verdicts' | 'washes', Remote<Questions>>();

/** The worker for a kind of question, started when it is first asked for. */
export function answerService(kind: 'verdicts' | 'washes' = 'verdicts'): Remote<Questions> {
  let service = started.get(kind);
  if (!service) {
    service = wrap<Questions>(new Worker(new URL('./answers.worker.ts', import.meta.url)));
    started.set(kind, service);
  }
  return service;
}
