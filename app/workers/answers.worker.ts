/** Computes off the page's thread. */
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

const answering = new Answering((message) => self.postMessage(message), breathe);
self.onmessage = ({ data }: MessageEvent<ToWorker>) => answering.hear(data);
