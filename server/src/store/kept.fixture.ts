/** A store in a folder of its own. */
import { knowledge } from '@dulvan/catalogue';
import type { Saved } from '@dulvan/contract';
import type { Change } from '@dulvan/core';
import { copyFileSync, mkdtempSync, rmSync } from 'node:fs';
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

const OPTIONS = { knowledge, now: () => NOW };
const newFolder = () => mkdtempSync(path.join(tmpdir(), 'dulvan-store-'));

let template: string | null = null;
afterAll(() => {
  if (template) rmSync(template, { recursive: true, force: true });
});

/** A file with the demo in it, made once for all tests of a module; each starts from a copy. */
async function demoFile(): Promise<string> {
  if (!template) {
    const folder = newFolder();
    const open = await openStore(path.join(folder, 'home.sqlite'));
    await new Store(open, OPTIONS).import(demoParts());
    open.close();
    template = folder;
  }
  return path.join(template, 'home.sqlite');
}

/** A store with the demo in it, or with nothing. */
export async function keptStore(startWith: 'demo' | 'nothing' = 'demo'): Promise<Kept> {
  const folder = newFolder();
  const file = path.join(folder, 'home.sqlite');
  if (startWith === 'demo') copyFileSync(await demoFile(), file);
  let open = await openStore(file);
  let store = new Store(open, OPTIONS);
  return {
    folder,
    file,
    get store() {
      return store;
    },
    async restarted() {
      open.close();
      open = await openStore(file);
      store = new Store(open, OPTIONS);
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
