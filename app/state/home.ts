/** The home on screen: its stored facts, what is being tried out on top of them, and every way to change it. */
import { applied, type Change, type Refusal } from '@dulvan/contract';
import type { Home, HomeFacts } from '@dulvan/core';
import { useMemo } from 'react';
import { create } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';
import { ask } from './api';
import { useSettings } from './settings';

/** A change that is shown but not stored yet. */
export interface Trial {
  readonly homeId: string;
  readonly summary: string;
  readonly changes: readonly Change[];
}

/** What just happened, for the bar that offers to take it back. */
export interface Notice {
  readonly text: string;
  /** Keys of the journal entries that undo would take back, each with its home's, newest first. */
  readonly undo: readonly Taken[];
}

interface Taken {
  readonly homeId: string;
  readonly entryId: string;
}

interface HomeState {
  readonly status: 'loading' | 'ready' | 'none' | 'failed';
  readonly failure: string | null;
  readonly homes: readonly Home[];
  readonly facts: HomeFacts | null;
  readonly trial: Trial | null;
  readonly notice: Notice | null;
  /** What the last change could be taken back by, though its notice has gone. */
  readonly undoable: readonly Taken[];
  load(): Promise<void>;
  openHome(homeId: string): Promise<void>;
  /** Stores a change; null when it went through, else why not. */
  change(summary: string, changes: readonly Change[], homeId?: string): Promise<Refusal | null>;
  wipe(): Promise<Refusal | null>;
  undo(entries: readonly Taken[]): Promise<Refusal | null>;
  importText(text: string): Promise<Refusal | null>;
  tryOut(summary: string, changes: readonly Change[]): void;
  putBack(): void;
  keep(): Promise<Refusal | null>;
  tell(notice: Notice | null): void;
}

export const useHome = create<HomeState>()(
  persist(
    (set, get) => ({
      status: 'loading',
      failure: null,
      homes: [],
      facts: null,
      trial: null,
      notice: null,
      undoable: [],

      async load() {
        const homes = await ask('listHomes');
        if (!homes.ok) {
          set({ status: 'failed', failure: homes.refusal.message });
          return;
        }
        const wanted = useSettings.getState().homeId;
        const first =
          homes.value.find((home) => home.id === wanted) ??
          homes.value.find((home) => home.latitude > 0) ??
          homes.value[0];
        set({ homes: homes.value });
        if (!first) {
          set({ status: 'none', facts: null });
          return;
        }
        await get().openHome(first.id);
      },

      async openHome(homeId) {
        const facts = await ask('getHome', { params: { homeId } });
        if (!facts.ok) {
          set({ status: 'failed', failure: facts.refusal.message });
          return;
        }
        useSettings.getState().setHomeId(homeId);
        const { trial } = get();
        set({ status: 'ready', failure: null, facts: facts.value, trial: trial?.homeId === homeId ? trial : null });
      },

      async change(summary, changes, homeId) {
        const id = homeId ?? get().facts?.home.id;
        if (!id) return { message: 'There is no home to change yet.', problems: [] };
        const saved = await ask('change', { params: { homeId: id }, body: { summary, changes } });
        if (!saved.ok) return saved.refusal;
        const known = get().homes.filter((home) => home.id !== id);
        const { facts } = saved.value;
        useSettings.getState().setHomeId(id);
        set({
          status: 'ready',
          facts,
          homes: facts ? [...known, facts.home] : known,
          notice: { text: summary, undo: [{ homeId: id, entryId: saved.value.entry.id }] },
          undoable: [{ homeId: id, entryId: saved.value.entry.id }],
        });
        return null;
      },

      async wipe() {
        const { facts } = get();
        if (!facts) return null;
        const saved = await ask('wipe', { params: { homeId: facts.home.id } });
        if (!saved.ok) return saved.refusal;
        const { entry } = saved.value;
        const undo = [{ homeId: entry.homeId, entryId: entry.id }];
        set({ notice: { text: entry.summary, undo }, undoable: undo, trial: null });
        await get().load();
        return null;
      },

      async undo(entries) {
        for (const { homeId, entryId } of entries) {
          const saved = await ask('undo', { params: { homeId, entryId } });
          if (!saved.ok) {
            set({ notice: { text: saved.refusal.message, undo: [] } });
            return saved.refusal;
          }
          set({ notice: { text: saved.value.entry.summary, undo: [] }, undoable: [] });
          useSettings.getState().setHomeId(homeId);
        }
        await get().load();
        return null;
      },

      async importText(text) {
        const imported = await ask('importBundle', { body: text });
        if (!imported.ok) return imported.refusal;
        const { entries } = imported.value;
        const [entry] = entries;
        const undo = entries.map(({ homeId, id }) => ({ homeId, entryId: id }));
        set({
          trial: null,
          undoable: undo,
          notice: {
            text: entry
              ? `Imported ${entries.length === 1 ? 'one home' : `${entries.length} homes`}`
              : 'Nothing differed: all of it was here already',
            undo,
          },
        });
        await get().load();
        return null;
      },

      tryOut(summary, changes) {
        const homeId = get().facts?.home.id;
        if (homeId) set({ trial: { homeId, summary, changes } });
      },
      putBack: () => set({ trial: null }),
      async keep() {
        const { trial, change } = get();
        if (!trial) return null;
        // Its own home's key: a trial may be kept while the home is still being opened after a reload.
        const refusal = await change(trial.summary, trial.changes, trial.homeId);
        if (refusal) set({ notice: { text: refusal.message, undo: [] } });
        else set({ trial: null });
        return refusal;
      },
      tell: (notice) => set({ notice }),
    }),
    {
      name: 'dulvan-trial',
      version: 1,
      storage: createJSONStorage(() => localStorage),
      // What is being tried out survives a reload; stored facts come from the server.
      partialize: ({ trial }) => ({ trial }),
    },
  ),
);

/** The facts as shown: stored ones with what is being tried out. */
export function useFacts(): HomeFacts | null {
  const facts = useHome((state) => state.facts);
  const trial = useHome((state) => state.trial);
  return useMemo(() => (facts && trial ? applied(facts, trial.changes) : facts), [facts, trial]);
}
