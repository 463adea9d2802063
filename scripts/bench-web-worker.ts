/** The bench of the engine in a browser's worker, as the app runs it. */
import { benchEngine } from './bench-engine';

const figures: unknown[] = [];
benchEngine((figure) => figures.push(figure));
postMessage(figures);
