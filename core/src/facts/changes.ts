/** Changes to a home: entries put in, fields of them patched, entries dropped; all together or not at all. */
import type { Home } from './home';
import type { FactList, FactOf, HomeFacts } from './home-facts';
import { FACT_LISTS, KINDS } from './kinds';

/** The lists of facts, and the home itself. */
export type ChangeList = FactList | 'home';
export type EntryOf<L extends ChangeList> = L extends FactList ? FactOf[L] : Home;

export interface Put<L extends ChangeList = ChangeList> {
  readonly op: 'put';
  readonly list: L;
  readonly entry: EntryOf<L>;
}

export interface Patch<L extends ChangeList = ChangeList> {
  readonly op: 'patch';
  readonly list: L;
  readonly id: string;
  /** The fields that change, alone. */
  readonly fields: Partial<EntryOf<L>>;
}

export interface Drop<L extends ChangeList = ChangeList> {
  readonly op: 'drop';
  readonly list: L;
  readonly id: string;
}

export type Change = { readonly [L in ChangeList]: Put<L> | Patch<L> | Drop<L> }[ChangeList];

/** A fact whatever its kind: a key and fields. */
export interface Entry {
  readonly id: string;
  readonly [field: string]: unknown;
}

/** An entry put in whole. */
export const put = <L extends ChangeList>(list: L, entry: EntryOf<L>): Change =>
  ({ op: 'put', list, entry }) as unknown as Change;

/** Some fields of an entry changed. */
export const patch = <L extends ChangeList>(list: L, id: string, fields: Partial<EntryOf<L>>): Change =>
  ({ op: 'patch', list, id, fields }) as unknown as Change;

/** An entry taken out. */
export const drop = <L extends ChangeList>(list: L, id: string): Change => ({ op: 'drop', list, id }) as Change;

/** The key of the entry that a change is about. */
export const idOf = (change: Change): string => (change.op === 'put' ? change.entry.id : change.id);

/** One entry of a home by list and key; null when it is not there. */
export function entryOf(facts: HomeFacts | null, list: ChangeList, id: string): Entry | null {
  if (!facts) return null;
  if (list === 'home') return facts.home.id === id ? (facts.home as unknown as Entry) : null;
  return (facts[list] as unknown as readonly Entry[]).find((entry) => entry.id === id) ?? null;
}

/** Whether two values of a field are the same. Fields hold plain data in a fixed order of keys. */
export const sameValue = (p: unknown, q: unknown): boolean =>
  p === q || (typeof p === 'object' && typeof q === 'object' && JSON.stringify(p) === JSON.stringify(q));

/** The fields of an entry that differ from another state of it, with their values here. */
export function fieldsBetween(before: Entry, after: Entry): Record<string, unknown> {
  return Object.fromEntries(Object.entries(after).filter(([field, value]) => !sameValue(before[field], value)));
}

/**
 * The facts of a home after changes, in their order. Lists that are not touched stay the very same, and so do entries.
 * A patch or a drop of what is not there changes nothing. Null when the home itself is taken out, or is not there.
 */
export function applied(facts: HomeFacts | null, changes: readonly Change[]): HomeFacts | null {
  let home: Home | null = facts?.home ?? null;
  // What is dropped keeps its place until the end: put in again, it stands where it stood.
  const touched = new Map<FactList, Map<string, Entry | null>>();
  const entriesOf = (list: FactList) => {
    let entries = touched.get(list);
    if (!entries) {
      const now = (facts?.[list] ?? []) as unknown as readonly Entry[];
      touched.set(list, (entries = new Map<string, Entry | null>(now.map((entry) => [entry.id, entry]))));
    }
    return entries;
  };
  for (const change of changes) {
    if (change.list === 'home') home = homeAfter(home, change as Put<'home'> | Patch<'home'> | Drop<'home'>);
    else if (change.op === 'put') entriesOf(change.list).set(change.entry.id, change.entry as unknown as Entry);
    else if (change.op === 'drop') {
      if (entriesOf(change.list).has(change.id)) entriesOf(change.list).set(change.id, null);
    } else {
      const entry = entriesOf(change.list).get(change.id);
      if (entry) entriesOf(change.list).set(change.id, { ...entry, ...change.fields });
    }
  }
  if (!home) return null;
  const lists = FACT_LISTS.map((list) => {
    const entries = touched.get(list);
    return [list, entries ? [...entries.values()].filter((entry) => entry !== null) : (facts?.[list] ?? [])];
  });
  return { home, ...Object.fromEntries(lists) } as HomeFacts;
}

function homeAfter(home: Home | null, change: Put<'home'> | Patch<'home'> | Drop<'home'>): Home | null {
  if (change.op === 'put') return change.entry;
  if (change.op === 'drop' || !home) return null;
  return { ...home, ...change.fields };
}

/** The changes that lead from one state of a home to another; either may be null for no home at all. */
export function changesBetween(before: HomeFacts | null, after: HomeFacts | null): Change[] {
  const changes: Change[] = [];
  if (after && !before) changes.push(put('home', after.home));
  if (after && before)
    changes.push(...patched('home', before.home as unknown as Entry, after.home as unknown as Entry));
  for (const list of FACT_LISTS) {
    if (before?.[list] === after?.[list]) continue;
    const old = new Map(((before?.[list] ?? []) as unknown as readonly Entry[]).map((entry) => [entry.id, entry]));
    for (const entry of (after?.[list] ?? []) as unknown as readonly Entry[]) {
      const was = old.get(entry.id);
      if (was) changes.push(...patched(list, was, entry));
      else changes.push({ op: 'put', list, entry } as unknown as Change);
      old.delete(entry.id);
    }
    for (const id of old.keys()) changes.push(drop(list, id));
  }
  if (before && !after) changes.push(drop('home', before.home.id));
  return changes;
}

function patched(list: ChangeList, before: Entry, after: Entry): Change[] {
  if (before === after) return [];
  const fields = fieldsBetween(before, after);
  return Object.keys(fields).length > 0 ? [patch(list, after.id, fields)] : [];
}

/** What a change did to one entry: its fields that differ, before and after; whole where it came or went. */
export interface EntryChange {
  readonly list: ChangeList;
  readonly id: string;
  readonly before: Readonly<Record<string, unknown>> | null;
  readonly after: Readonly<Record<string, unknown>> | null;
}

/** What changes did, entry by entry; entries that end as they began are left out, and so is what was not there. */
export function effectOf(before: HomeFacts | null, after: HomeFacts | null, changes: readonly Change[]): EntryChange[] {
  const seen = new Set<string>();
  return changes.flatMap((change): EntryChange[] => {
    const { list } = change;
    const id = idOf(change);
    if (seen.has(`${list}/${id}`)) return [];
    seen.add(`${list}/${id}`);
    const was = entryOf(before, list, id);
    const is = entryOf(after, list, id);
    if (was === is) return [];
    if (!was || !is) return [{ list, id, before: was, after: is }];
    const fields = fieldsBetween(was, is);
    if (Object.keys(fields).length === 0) return [];
    const old = Object.fromEntries(Object.keys(fields).map((field) => [field, was[field]]));
    return [{ list, id, before: old, after: fields }];
  });
}

/** Two lists of changes, one after the other, as one: the later word on each field counts. */
export function composed(first: readonly Change[], second: readonly Change[]): Change[] {
  const byEntry = new Map<string, Change>();
  for (const change of [...first, ...second]) {
    const key = `${change.list}/${idOf(change)}`;
    const before = byEntry.get(key);
    byEntry.delete(key);
    byEntry.set(key, before && change.op === 'patch' ? merged(before, change) : change);
  }
  return [...byEntry.values()];
}

function merged(before: Change, { list, id, fields }: Patch): Change {
  if (before.op === 'put') return { ...before, entry: { ...before.entry, ...fields } } as Change;
  if (before.op === 'patch') return patch(list, id, { ...before.fields, ...fields });
  return before;
}

/** What an entry is called when it is spoken of: its own name, or what it is. */
export function calledOf(list: ChangeList, entry: Readonly<Record<string, unknown>> | null): string {
  const name = entry && typeof entry.name === 'string' ? entry.name : '';
  return name || (list === 'home' ? 'The home' : `The ${KINDS[list].noun}`);
}
