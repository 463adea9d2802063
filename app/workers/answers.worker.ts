/** Computes off the page's thread. */
import type loadHighs from 'highs';
import type { Highs } from 'highs';
import { Answering } from './answering';
import type { ToWorker } from './protocol';

const channel = new MessageChannel();
channel.port1.start();

/** A turn of the worker's own event loop, without the delay that timers have. */
const breathe = () =>
  new Promise<void>((resolve) => {
    channel.port1.onmessage = () => resolve();
    channel.port2.postMessage(null);
  });

/** HiGHS as it is shipped beside the app; where it does not load, plans are found by search and prices alone. */
async function loadSolver(): Promise<Highs | null> {
  try {
    const scope = self as unknown as { importScripts(url: string): void; Module: typeof loadHighs };
    scope.importScripts('/solver/highs.js');
    return await scope.Module({ locateFile: (file) => `/solver/${file}` });
  } catch {
    return null;
  }
}

const answering = new Answering((message) => self.postMessage(message), breathe, undefined, loadSolver);
self.onmessage = ({ data }: MessageEvent<ToWorker>) => answering.hear(data);
