/** Runs in a worker of its own for `npm run bench`: answers from nothing, after small changes, and how time grows. */
import { knowledge } from '@dulvan/catalogue';
import { Answerer, type HomeFacts } from '@dulvan/core';
import { parentPort } from 'node:worker_threads';
import { benchHome } from './bench-home';
import { median, timed } from './timing';

const YEAR = 2026;
const DRAG_STEPS = 8;

const tell = (what: string, value: number, unit: 'ms' | 'MB', base?: number) => parentPort!.postMessage({ what, value, unit, ...(base === undefined ? {} : { ratio: value / base }) });

const home = benchHome();
tell('from nothing, code cold: the worker’s first answer', timed(() => new Answerer(knowledge).answer(home, YEAR)), 'ms');
const fromNothing = (facts: HomeFacts) => median([0, 1, 2].map(() => timed(() => new Answerer(knowledge).answer(facts, YEAR))));
const warm = fromNothing(home);
tell('from nothing, code warm (median of 3)', warm, 'ms');
tell('  half the spots', fromNothing({ ...home, spots: home.spots.filter((_, i) => i % 2 === 0) }), 'ms', warm);
tell('  twice the spots', fromNothing({ ...home, spots: [...home.spots, ...home.spots.map((spot) => ({ ...spot, id: `${spot.id}x`, alongM: spot.alongM * 0.93 }))] }), 'ms', warm);
tell('  half the windows', fromNothing({ ...home, windows: home.windows.filter((_, i) => i % 2 === 0) }), 'ms', warm);
tell('  no lamps', fromNothing({ ...home, lamps: [] }), 'ms', warm);

const answerer = new Answerer(knowledge);
answerer.answer(home, YEAR);
const [first, ...others] = home.windows;
tell('one curtain changed (median of 4)', median(['sheer', 'blind', 'heavy', 'none'].map((curtainId) => timed(() => answerer.answer({ ...home, windows: [{ ...first!, curtainId }, ...others] }, YEAR)))), 'ms', warm);
tell('every curtain changed (median of 4)', median(['sheer', 'blind', 'heavy', 'blackout'].map((curtainId) => timed(() => answerer.answer({ ...home, windows: home.windows.map((window) => ({ ...window, curtainId })) }, YEAR)))), 'ms', warm);
const dragged = (step: number): HomeFacts => ({ ...home, spots: home.spots.map((spot, i) => (i === 7 ? { ...spot, alongM: spot.alongM + 0.013 * step } : spot)) });
tell(`a spot dragged, each of ${DRAG_STEPS} steps (median)`, median(Array.from({ length: DRAG_STEPS }, (_, i) => timed(() => answerer.answer(dragged(i + 1), YEAR)))), 'ms', warm);
const { heapUsed, arrayBuffers } = process.memoryUsage();
tell('memory of the worker’s process after all this, not yet tidied', (heapUsed + arrayBuffers) / 1e6, 'MB');
