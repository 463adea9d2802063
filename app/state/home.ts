/**
 * The home on screen: its stored facts at a revision, what is being tried out on top of them, and every way to change
 * it.
 */
import type { KeptHome, Refusal, Saved } from '@dulvan/contract';
import { applied, composed, type Change, type Home, type HomeFacts } from '@dulvan/core';
import { create } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';
import { ask, requestKey, type Answer } from './api';
import { tellOthers } from './live';
import { useSettings } from './settings';
import { HOME as WORDS } from './state-words';

/** Changes that are shown but not stored yet, one upon the other. */
export interface Trial {
  readonly homeId: string;
  /** The revision that was seen when it began, or when its conflicts were shown. */
  readonly base: number;
  /** What is tried, the newest last. */
  readonly summaries: readonly string[];
  readonly changes: readonly Change[];
}

/** What just happened, for the bar that offers to take it back. */
export interface Notice {
  readonly text: string;
  /** Keys of the journal entries that undo would take back, each with its home's, newest first. */
  readonly undo: readonly Taken[];
}

export interface Taken {
  readonly homeId: string;
  readonly entryId: string;
}

/** Where a change belongs that is not of the home on screen, or not on the revision it shows. */
interface ChangeOptions {
  readonly homeId?: string;
  readonly base?: number;
}

interface HomeState {
  readonly status: 'loading' | 'ready' | 'none' | 'failed';
  readonly failure: string | null;
  readonly homes: readonly Home[];
  readonly facts: HomeFacts | null;
  readonly revision: number;
  readonly trial: Trial | null;
  readonly notice: Notice | null;
  /** What the last change could be taken back by, though its notice has gone. */
  readonly undoable: readonly Taken[];
  load(): Promise<void>;
  openHome(homeId: string): Promise<void>;
  /** Stores a change and tells what came of it, a refusal too. */
  change(summary: string, changes: readonly Change[]): Promise<'stored' | 'refused'>;
  /** Stores a change for who shows the refusal beside its own field; null when it went through. */
  attempt(summary: string, changes: readonly Change[], options?: ChangeOptions): Promise<Refusal | null>;
  wipe(): Promise<Refusal | null>;
  undo(entries: readonly Taken[]): Promise<Refusal | null>;
  importFile(file: Blob): Promise<Refusal | null>;
  tryOut(summary: string, changes: readonly Change[]): void;
  putBack(): void;
  keep(): Promise<Refusal | null>;
  tell(notice: Notice | null): void;
  /** Takes over what was changed elsewhere. */
  follow(homeId: string, revision: number): Promise<void>;
}

type Set = (state: Partial<HomeState>) => void;
type Get = () => HomeState;

/**
 * Facts after what the server says was changed since the revision on screen; null when only the whole home can tell.
 */
function caughtUp({ facts, revision }: HomeState, base: number, changes: Saved['changes']): HomeFacts | null {
  return facts && changes && base === revision ? applied(facts, changes) : null;
}

/** The whole home anew. */
async function fetchHome(homeId: string): Promise<Answer<KeptHome>> {
  return ask('getHome', { params: { homeId } });
}

/** Brings what is on screen to a revision that the server has told. */
async function settle(set: Set, get: Get, homeId: string, base: number, saved: Saved): Promise<void> {
  const state = get();
  const isShown = state.facts?.home.id === homeId;
  // What is newer on screen already has come by another way.
  if (isShown && state.revision >= saved.revision) return;
  const facts = isShown ? caughtUp(state, base, saved.changes) : null;
  if (facts) {
    set({ facts, revision: saved.revision, homes: withHome(state.homes, facts.home) });
    return;
  }
  const home = await fetchHome(homeId);
  if (home.ok) {
    const { facts: whole, revision } = home.value;
    set({ status: 'ready', facts: whole, revision, homes: withHome(get().homes, whole.home) });
  }
}

function withHome(homes: readonly Home[], home: Home): readonly Home[] {
  const known = homes.findIndex(({ id }) => id === home.id);
  return known < 0 ? [...homes, home] : homes.map((other, i) => (i === known ? home : other));
}

async function attemptChange(
  set: Set,
  get: Get,
  summary: string,
  changes: readonly Change[],
  options: ChangeOptions,
): Promise<Refusal | null> {
  const homeId = options.homeId ?? get().facts?.home.id;
  if (!homeId) return { message: WORDS.noHome, problems: [] };
  const isShown = get().facts?.home.id === homeId;
  const shown = isShown ? get().revision : 0;
  const base = options.base ?? shown;
  const saved = await ask('change', { params: { homeId }, body: { base, key: requestKey(), summary, changes } });
  if (!saved.ok) {
    if (saved.refusal.conflicts) await get().follow(homeId, Infinity);
    return saved.refusal;
  }
  useSettings.getState().setHomeId(homeId);
  const { entry, revision } = saved.value;
  await settle(set, get, homeId, base, saved.value);
  if (entry) {
    const undo = [{ homeId, entryId: entry.id }];
    set({ status: 'ready', notice: { text: summary, undo }, undoable: undo });
    tellOthers({ homeId, revision, isKept: true });
  } else set({ notice: { text: WORDS.nothingDiffered, undo: [] } });
  return null;
}

async function undoEntries(set: Set, get: Get, entries: readonly Taken[]): Promise<Refusal | null> {
  const homeIds = [...new Set(entries.map(({ homeId }) => homeId))];
  for (const homeId of homeIds) {
    const ofHome = entries.filter((taken) => taken.homeId === homeId).map(({ entryId }) => entryId);
    const { revision, facts } = get();
    const base = facts?.home.id === homeId ? revision : 0;
    const saved = await ask('undo', { params: { homeId }, body: { key: requestKey(), entries: ofHome } });
    if (!saved.ok) {
      set({ notice: { text: saved.refusal.message, undo: [] } });
      return saved.refusal;
    }
    useSettings.getState().setHomeId(homeId);
    set({ notice: { text: saved.value.entry?.summary ?? WORDS.nothingLeft, undo: [] }, undoable: [] });
    tellOthers({ homeId, revision: saved.value.revision, isKept: saved.value.changes !== null });
    if (facts?.home.id === homeId && saved.value.changes) await settle(set, get, homeId, base, saved.value);
    else await get().load();
  }
  return null;
}

async function keepTrial(set: Set, get: Get): Promise<Refusal | null> {
  const { trial } = get();
  if (!trial) return null;
  const { homeId, base, summaries, changes } = trial;
  const refusal = await get().attempt(summaries.join('; ').slice(0, 240), changes, { homeId, base });
  if (!refusal) {
    if (get().trial === trial) set({ trial: null });
    return null;
  }
  if (refusal.conflicts) {
    // They have been shown now: who keeps it again means it.
    set({ trial: { ...trial, base: get().revision } });
    const text = WORDS.shownWithYours(refusal.message);
    set({ notice: { text, undo: [] } });
  } else set({ notice: { text: refusal.message, undo: [] } });
  return refusal;
}

async function loadHomes(set: Set, get: Get): Promise<void> {
  const homes = await ask('listHomes');
  if (!homes.ok) {
    set({ status: 'failed', failure: homes.refusal.message });
    return;
  }
  const wanted = useSettings.getState().homeId;
  const first = homes.value.find((home) => home.id === wanted) ?? homes.value[0];
  set({ homes: homes.value });
  if (first) await get().openHome(first.id);
  else set({ status: 'none', facts: null, revision: 0 });
}

async function openHome(set: Set, get: Get, homeId: string): Promise<void> {
  useSettings.getState().setHomeId(homeId);
  const home = await fetchHome(homeId);
  // Another one was opened meanwhile: that one is shown.
  if (useSettings.getState().homeId !== homeId) return;
  if (!home.ok) {
    set({ status: 'failed', failure: home.refusal.message });
    return;
  }
  const { trial } = get();
  const { facts, revision } = home.value;
  set({ status: 'ready', failure: null, facts, revision, trial: trial?.homeId === homeId ? trial : null });
}

async function wipeHome(set: Set, get: Get): Promise<Refusal | null> {
  const { facts } = get();
  if (!facts) return null;
  const homeId = facts.home.id;
  const saved = await ask('wipe', { params: { homeId } });
  if (!saved.ok) return saved.refusal;
  const { entry, revision } = saved.value;
  const undo = entry ? [{ homeId, entryId: entry.id }] : [];
  set({ notice: { text: entry?.summary ?? '', undo }, undoable: undo, trial: null });
  tellOthers({ homeId, revision, isKept: false });
  await get().load();
  return null;
}

async function importHomes(set: Set, get: Get, file: Blob): Promise<Refusal | null> {
  const type = file.type === 'application/json' ? file.type : 'application/zip';
  const imported = await ask('importBundle', { bytes: { content: file, type } });
  if (!imported.ok) return imported.refusal;
  const { entries } = imported.value;
  const undo = entries.map(({ homeId, id }) => ({ homeId, entryId: id }));
  const homes = entries.length === 1 ? WORDS.oneHome : `${entries.length} homes`;
  const text = entries.length > 0 ? WORDS.imported(homes) : WORDS.allHereAlready;
  set({ trial: null, undoable: undo, notice: { text, undo } });
  await get().load();
  return null;
}

/** The server's status for a home that it does not keep. */
const GONE = 404;

/** Takes up what was changed elsewhere up to a revision; a home that was taken out elsewhere is loaded away. */
async function followHome(set: Set, get: Get, homeId: string, revision: number): Promise<void> {
  const { facts, revision: since } = get();
  if (facts?.home.id !== homeId || since >= revision) return;
  const told = await ask('changesSince', { params: { homeId }, query: { since: String(since) } });
  if (told.ok) await settle(set, get, homeId, since, { ...told.value, entry: null });
  else if (told.status === GONE) await get().load();
}

export const useHome = create<HomeState>()(
  persist(
    (set, get) => ({
      status: 'loading',
      failure: null,
      homes: [],
      facts: null,
      revision: 0,
      trial: null,
      notice: null,
      undoable: [],

      load: () => loadHomes(set, get),

      openHome: (homeId) => openHome(set, get, homeId),

      async change(summary, changes) {
        const refusal = await attemptChange(set, get, summary, changes, {});
        if (refusal) set({ notice: { text: refusal.message, undo: [] } });
        return refusal ? 'refused' : 'stored';
      },
      attempt: (summary, changes, options = {}) => attemptChange(set, get, summary, changes, options),

      wipe: () => wipeHome(set, get),
      undo: (entries) => undoEntries(set, get, entries),

      importFile: (file) => importHomes(set, get, file),

      tryOut(summary, changes) {
        const { facts, revision, trial } = get();
        if (!facts) return;
        const homeId = facts.home.id;
        const before = trial?.homeId === homeId ? trial : { base: revision, summaries: [], changes: [] };
        set({
          trial: {
            homeId,
            base: before.base,
            summaries: joined(before.summaries, summary),
            changes: composed(before.changes, changes),
          },
        });
      },
      putBack: () => set({ trial: null }),
      keep: () => keepTrial(set, get),
      tell: (notice) => set({ notice }),

      follow: (homeId, revision) => followHome(set, get, homeId, revision),
    }),
    {
      name: 'dulvan-trial',
      version: 2,
      storage: createJSONStorage(() => localStorage),
      // What is being tried out survives a reload; stored facts come from the server.
      partialize: ({ trial }) => ({ trial }),
      // A trial of an earlier version cannot be told apart from what has changed since: it is let go.
      migrate: () => ({ trial: null }),
    },
  ),
);

/** What is tried, in words: a control turned on says its last word alone. */
function joined(summaries: readonly string[], summary: string): readonly string[] {
  const subject = (text: string) => text.split(':')[0];
  return [...summaries.filter((other) => !summary.includes(':') || subject(other) !== subject(summary)), summary];
}

/** The last facts with a trial: whoever asks for them gets the same ones, so that an answer is known to be of them. */
let shown: { readonly facts: HomeFacts; readonly trial: Trial; readonly both: HomeFacts | null } | null = null;

function withTrial({ facts, trial }: Pick<HomeState, 'facts' | 'trial'>): HomeFacts | null {
  if (!facts || trial?.homeId !== facts.home.id) return facts;
  if (shown?.facts !== facts || shown.trial !== trial) shown = { facts, trial, both: applied(facts, trial.changes) };
  return shown.both;
}

/** The facts as shown: stored ones with what is being tried out. */
export const useFacts = (): HomeFacts | null => useHome(withTrial);

/** What is tried of the home on screen. */
export const useTrial = (): Trial | null =>
  useHome(({ facts, trial }) => (trial?.homeId === facts?.home.id ? trial : null));

/** The same facts, asked once: for what begins with a touch. */
export const shownFacts = (): HomeFacts | null => withTrial(useHome.getState());
