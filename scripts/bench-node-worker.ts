/** The bench of the engine in a worker of Node.js, which can tell its memory. */
import { parentPort } from 'node:worker_threads';
import { benchEngine } from './bench-engine';

benchEngine((figure) => parentPort!.postMessage(figure));
const { heapUsed, arrayBuffers } = process.memoryUsage();
parentPort!.postMessage({ megabytes: (heapUsed + arrayBuffers) / 1e6 });
