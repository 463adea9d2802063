/** Starts a worker of the browser. */
import type { FromWorker, ToWorker } from './protocol';

/** A worker as the scheduler sees it. */
export interface WorkerLike {
  post(message: ToWorker): void;
  stop(): void;
}

export interface WorkerEvents {
  onMessage(message: FromWorker): void;
  /** It stopped, or never came up. */
  onCrash(): void;
}

export function startWorker({ onMessage, onCrash }: WorkerEvents): WorkerLike {
  const worker = new Worker(new URL('./answers.worker.ts', import.meta.url));
  worker.onmessage = ({ data }: MessageEvent<FromWorker>) => onMessage(data);
  worker.onerror = onCrash;
  worker.onmessageerror = onCrash;
  return { post: (message) => worker.postMessage(message), stop: () => worker.terminate() };
}
