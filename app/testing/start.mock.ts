/** Workers do not run in component tests: the worker's own side stands in, its messages coming a turn later. */
import loadHighs from 'highs';
import { Answering } from '../workers/answering';
import type { FromWorker, ToWorker } from '../workers/protocol';
import type { WorkerEvents, WorkerLike } from '../workers/start';

export function startWorker({ onMessage }: WorkerEvents): WorkerLike {
  let stopped = false;
  const tell = (message: FromWorker) =>
    void Promise.resolve().then(() => {
      if (!stopped) onMessage(message);
    });
  const answering = new Answering(
    tell,
    () => Promise.resolve(),
    undefined,
    () => loadHighs(),
  );
  return {
    post: (message: ToWorker) => void Promise.resolve().then(() => answering.hear(message)),
    stop: () => {
      stopped = true;
    },
  };
}
