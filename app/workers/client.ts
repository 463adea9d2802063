/** The one worker that answers, started when it is first asked. */
import { wrap, type Remote } from 'comlink';
import type { AnswerService } from './answers.worker';

let service: Remote<AnswerService> | null = null;

export function answerService(): Remote<AnswerService> {
  service ??= wrap<AnswerService>(new Worker(new URL('./answers.worker.ts', import.meta.url)));
  return service;
}
