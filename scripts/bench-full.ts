/** A home at its limits: its answers from nothing, again unchanged, and after small changes; and what memory they hold. */
import { knowledge } from '@dulvan/catalogue';
import { HomeEngine, ask, type HomeFacts } from '@dulvan/core';
import { curtained, fullHome } from './bench-home';
import { median, timed } from './timing';

const YEAR = 2026;

export function benchFullHome(tell: (what: string, ms: number, base?: number) => void): void {
  const home = fullHome();
  const { rooms, windows, spots, plants } = home;
  console.log(
    `\nA home at its limits: ${rooms.length} rooms, ${windows.length} windows, ${spots.length} spots, ${plants.length} plants`,
  );
  const engine = new HomeEngine(knowledge);
  const answer = (facts: HomeFacts) => timed(() => ask(engine, facts, 'home', { year: YEAR, month: 11 }));
  const first = answer(home);
  tell('its first answer', first);
  tell('again, unchanged (median of 5)', median(Array.from({ length: 5 }, () => answer(home))), first);
  const moved = (i: number): HomeFacts => ({
    ...home,
    plants: plants.map((plant, j) => (j === i ? { ...plant, spotId: null } : plant)),
  });
  tell('a plant taken from its spot (median of 5)', median([0, 1, 2, 3, 4].map((i) => answer(moved(i)))), first);
  const shaded = (id: string): HomeFacts => ({
    ...home,
    windows: windows.map((window, i) => (i === 0 ? curtained(window, id) : window)),
  });
  tell('a curtain changed (median of 3)', median(['sheer', 'blind', 'heavy'].map((id) => answer(shaded(id)))), first);
  const { heapUsed, arrayBuffers } = process.memoryUsage();
  console.log(`memory held: ${((heapUsed + arrayBuffers) / 1e6).toFixed(0)} MB`);
}
