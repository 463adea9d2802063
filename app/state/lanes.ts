/**
 * The page's workers: one for the verdicts, one for everything slower that a single screen asks, one for plans, so that
 * none waits for another.
 */
import { Lane } from '../workers/lane';
import { startWorker } from '../workers/start';
import { loadStoredFile } from './stored-files';

const options = { start: startWorker, load: loadStoredFile };

export const LANES = { verdicts: new Lane(options), details: new Lane(options), plans: new Lane(options) } as const;
export type LaneName = keyof typeof LANES;
