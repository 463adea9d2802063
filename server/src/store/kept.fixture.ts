/** A store in a folder of its own, with the demo in it. */
import { knowledge } from '@dulvan/catalogue';
import type { Saved } from '@dulvan/contract';
import type { Change } from '@dulvan/core';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { demoParts } from '../demo/bundle';
import { openStore } from './open';
import { Refused } from './refused';
import { Store } from './store';

export const HOME = 'sail-loft';
export const NOW = 1_800_000_000_000;

export interface Kept {
  readonly folder: string;
  readonly file: string;
  readonly store: Store;
  /** Opens the file anew, as a server does that starts again. */
  restarted(): Promise<Store>;
  /** Changes a home on the revision it has. */
  save(changes: readonly Change[], summary?: string, homeId?: string): Promise<Saved>;
  remove(): void;
}

let keys = 0;
export const newKey = () => `request-${(keys += 1)}`;

export async function keptStore(parts = demoParts()): Promise<Kept> {
  const folder = mkdtempSync(path.join(tmpdir(), 'dulvan-store-'));
  const file = path.join(folder, 'home.sqlite');
  const options = { knowledge, now: () => NOW };
  let open = await openStore(file);
  let store = new Store(open, options);
  await store.import(parts);
  return {
    folder,
    file,
    get store() {
      return store;
    },
    async restarted() {
      open.close();
      open = await openStore(file);
      store = new Store(open, options);
      return store;
    },
    save: (changes, summary = 'Changed', homeId = HOME) => {
      const base = store.homes().some(({ id }) => id === homeId) ? store.home(homeId).revision : 0;
      return store.change(homeId, { base, key: newKey(), summary, changes: [...changes] });
    },
    remove: () => {
      open.close();
      rmSync(folder, { recursive: true, force: true });
    },
  };
}

/** What a piece of work was refused with. */
export async function refusal(work: () => unknown): Promise<Refused> {
  try {
    await work();
  } catch (error) {
    if (error instanceof Refused) return error;
    throw error;
  }
  throw new Error('It was not refused.');
}
