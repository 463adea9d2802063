/** Runs in a worker of its own for `npm run bench`: answers from nothing, after small changes, and how time grows. */
import { knowledge } from '@dulvan/catalogue';
import { ASSUMED_CLIMATE, HomeEngine, ask, type HomeFacts } from '@dulvan/core';
import { benchHome, crowdedHome, curtained } from './bench-home';
import { median, timed } from './timing';

/** One figure of the bench, ms; with what it is compared to. */
export interface Figure {
  readonly what: string;
  readonly ms: number;
  readonly baseMs?: number;
}

const YEAR = 2026;
const DRAG_STEPS = 8;

/** Every figure of the large home, in the order in which it is told; the first is of code that never ran before. */
export function benchEngine(tell: (figure: Figure) => void): void {
  const home = benchHome();
  tell({
    what: 'from nothing, code cold: a worker’s first answer',
    ms: timed(() => ask(new HomeEngine(knowledge), home, 'home', { year: YEAR, month: 11 })),
  });
  const fromNothing = (facts: HomeFacts) =>
    median([0, 1, 2].map(() => timed(() => ask(new HomeEngine(knowledge), facts, 'home', { year: YEAR, month: 11 }))));
  const baseMs = fromNothing(home);
  tell({ what: 'from nothing, code warm (median of 3)', ms: baseMs });
  const grown = (what: string, facts: HomeFacts) => tell({ what, ms: fromNothing(facts), baseMs });
  grown('  half the spots', { ...home, spots: home.spots.filter((_, i) => i % 2 === 0) });
  grown('  twice the spots', {
    ...home,
    spots: [...home.spots, ...home.spots.map((spot) => ({ ...spot, id: `${spot.id}x`, alongM: spot.alongM * 0.93 }))],
  });
  grown('  half the windows', { ...home, windows: home.windows.filter((_, i) => i % 2 === 0) });
  grown('  no lamps', { ...home, lamps: [] });

  const engine = new HomeEngine(knowledge);
  ask(engine, home, 'home', { year: YEAR, month: 11 });
  const changed = (what: string, homes: readonly HomeFacts[]) =>
    tell({
      what,
      ms: median(homes.map((facts) => timed(() => ask(engine, facts, 'home', { year: YEAR, month: 11 })))),
      baseMs,
    });
  const [first, ...others] = home.windows;
  changed(
    'one curtain changed (median of 4)',
    ['sheer', 'blind', 'heavy', 'none'].map((curtainId) => ({
      ...home,
      windows: [curtained(first!, curtainId), ...others],
    })),
  );
  changed(
    'every curtain changed (median of 4)',
    ['sheer', 'blind', 'heavy', 'blackout'].map((curtainId) => ({
      ...home,
      windows: home.windows.map((window) => curtained(window, curtainId)),
    })),
  );
  const dragged = (step: number): HomeFacts => ({
    ...home,
    spots: home.spots.map((spot, i) => (i === 7 ? { ...spot, alongM: spot.alongM + 0.013 * step } : spot)),
  });
  changed(
    `a spot dragged, each of ${DRAG_STEPS} steps (median)`,
    Array.from({ length: DRAG_STEPS }, (_, i) => dragged(i + 1)),
  );
  const heated = (step: number): HomeFacts => ({
    ...home,
    climates: home.rooms.map(({ id }) => ({ ...ASSUMED_CLIMATE, id, roomId: id, dayC: 20 + 0.1 * step })),
  });
  tell({
    what: 'the year’s air of its rooms, other heating (median of 5)',
    ms: median([1, 2, 3, 4, 5].map((step) => timed(() => engine.roomAirOf(heated(step), YEAR)))),
    baseMs,
  });
  const [room] = home.rooms;
  const remedy = (gramsH: number) => ({
    ...{ roomId: room!.id, year: YEAR, month: 1, targetRh: 50 },
    remedy: { kind: 'humidifier', gramsH } as const,
  });
  tell({
    what: 'a remedy tried, each step of a slider (median of 8)',
    ms: median(Array.from({ length: 8 }, (_, i) => timed(() => ask(engine, home, 'airRemedy', remedy(50 + 25 * i))))),
    baseMs,
  });
  const crowd = crowdedHome();
  ask(engine, crowd, 'home', { year: YEAR, month: 11 });
  tell({
    what: 'mends for 300 plants, once their verdicts are there',
    ms: timed(() => ask(engine, crowd, 'mends', { year: YEAR, month: 11 })),
    baseMs,
  });
}
