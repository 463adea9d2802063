/** Where two who change one home meet: fields that both have changed, and entries that one has taken out. */
import {
  calledOf,
  drop,
  entryOf,
  idOf,
  patch,
  put,
  sameValue,
  type Change,
  type ChangeList,
  type Entry,
  type EntryChange,
  type EntryOf,
} from './changes';
import type { HomeFacts } from './home-facts';

/** A field, or a whole entry, that has become another since. */
export interface Conflict {
  readonly list: ChangeList;
  readonly id: string;
  /** The field; empty when the whole entry came or went. */
  readonly field: string;
  /** What stands there now, and what was wanted; null for an entry that is or should be gone. */
  readonly theirs: unknown;
  readonly mine: unknown;
  readonly message: string;
}

const everyField = (change: EntryChange) => Object.keys(change.after ?? change.before ?? {});

/** What was changed since, entry by entry: the fields, or that it came or went. */
function touchedSince(since: readonly EntryChange[]): Map<string, { fields: Set<string>; whole: boolean }> {
  const touched = new Map<string, { fields: Set<string>; whole: boolean }>();
  for (const change of since) {
    const key = `${change.list}/${change.id}`;
    const known = touched.get(key) ?? { fields: new Set<string>(), whole: false };
    if (!change.before || !change.after) known.whole = true;
    for (const field of everyField(change)) known.fields.add(field);
    touched.set(key, known);
  }
  return touched;
}

/**
 * Conflicts between changes and what was changed since the state they were made on. The same value wanted by both is none.
 * @param facts as they are now; @param since what was done after that state, oldest first
 */
export function conflictsOf(
  facts: HomeFacts | null,
  changes: readonly Change[],
  since: readonly EntryChange[],
): Conflict[] {
  const touched = touchedSince(since);
  const put = new Set<string>();
  return changes.flatMap((change): Conflict[] => {
    const { list } = change;
    const id = idOf(change);
    const key = `${list}/${id}`;
    if (change.op === 'put') put.add(key);
    const theirs = touched.get(key);
    const now = entryOf(facts, list, id);
    if (!now && change.op === 'patch' && !put.has(key)) return [gone(change, since)];
    if (!theirs) return [];
    if (!now) return change.op === 'drop' ? [] : [gone(change, since)];
    if (change.op === 'drop') return [stillWanted(list, now)];
    const wanted = (change.op === 'put' ? change.entry : change.fields) as Readonly<Record<string, unknown>>;
    return Object.entries(wanted)
      .filter(([field, value]) => theirs.fields.has(field) && !sameValue(now[field], value))
      .map(([field, value]) => fieldConflict(list, now, field, value));
  });
}

function fieldConflict(list: ChangeList, now: Entry, field: string, mine: unknown): Conflict {
  const message = `${calledOf(list, now)} was changed elsewhere meanwhile: this is no longer what you saw.`;
  return { list, id: now.id, field, theirs: now[field], mine, message };
}

function gone(change: Change, since: readonly EntryChange[]): Conflict {
  const id = idOf(change);
  const last = since.findLast((other) => other.list === change.list && other.id === id);
  const message = `${calledOf(change.list, last?.before ?? null)} was taken out elsewhere meanwhile.`;
  const mine = change.op === 'put' ? change.entry : change.op === 'patch' ? change.fields : null;
  return { list: change.list, id, field: '', theirs: null, mine, message };
}

function stillWanted(list: ChangeList, now: Entry): Conflict {
  const message = `${calledOf(list, now)} was changed elsewhere meanwhile. Look at it before you take it out.`;
  return { list, id: now.id, field: '', theirs: now, mine: null, message };
}

/** What takes a change back, and what stands in the way. */
export interface Reversal {
  readonly changes: readonly Change[];
  readonly conflicts: readonly Conflict[];
}

/** Takes back what was done, field by field: only what still stands as it was left. */
export function reversalOf(facts: HomeFacts | null, done: readonly EntryChange[]): Reversal {
  const changes: Change[] = [];
  const conflicts: Conflict[] = [];
  for (const change of done) {
    const now = entryOf(facts, change.list, change.id);
    if (change.before === null) takeOut(change, now, changes, conflicts);
    else if (change.after === null) putBack(change, now, changes, conflicts);
    else restore(change, now, changes, conflicts);
  }
  return { changes, conflicts };
}

const because = (change: EntryChange, entry: Readonly<Record<string, unknown>> | null, message: string) =>
  `${calledOf(change.list, entry ?? change.after ?? change.before)} ${message}`;

function takeOut(change: EntryChange, now: Entry | null, changes: Change[], conflicts: Conflict[]): void {
  if (!now) return;
  const later = Object.entries(change.after!).find(([field, value]) => !sameValue(now[field], value));
  if (!later) changes.push(drop(change.list, change.id));
  else {
    const message = because(change, now, 'has been changed since it was added. Take that back first.');
    conflicts.push({ list: change.list, id: change.id, field: later[0], theirs: now[later[0]], mine: null, message });
  }
}

function putBack(change: EntryChange, now: Entry | null, changes: Change[], conflicts: Conflict[]): void {
  if (!now) changes.push(put(change.list, change.before as unknown as EntryOf<ChangeList>));
  else {
    const message = because(change, now, 'is there again already.');
    conflicts.push({ list: change.list, id: change.id, field: '', theirs: now, mine: change.before, message });
  }
}

function restore(change: EntryChange, now: Entry | null, changes: Change[], conflicts: Conflict[]): void {
  const { list, id, before, after } = change;
  if (!now) {
    const message = because(change, null, 'has been taken out since.');
    conflicts.push({ list, id, field: '', theirs: null, mine: before, message });
    return;
  }
  const fields: Record<string, unknown> = {};
  for (const [field, left] of Object.entries(after!)) {
    if (sameValue(left, before![field])) continue;
    if (sameValue(now[field], left)) fields[field] = before![field];
    else {
      const message = because(change, now, 'has been changed since. Take the later change back first.');
      conflicts.push({ list, id, field, theirs: now[field], mine: before![field], message });
    }
  }
  if (Object.keys(fields).length > 0) changes.push(patch(list, id, fields));
}
