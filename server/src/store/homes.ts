/**
 * Homes: their facts whole in memory, changed by patches on a revision, every change in the journal and taken back by
 * field.
 */
import {
  entrySchema,
  type ChangeSet,
  type JournalEntry,
  type KeptHome,
  type Refusal,
  type Saved,
  type TakenOut,
} from '@dulvan/contract';
import {
  FACT_LISTS,
  KINDS,
  applied,
  changesBetween,
  conflictsOf,
  effectOf,
  entryOf,
  fallenWith,
  idOf,
  problemsOf,
  reversalOf,
  unknownIn,
  type Change,
  type Conflict,
  type EntryChange,
  type FactKey,
  type Home,
  type HomeFacts,
  type Knowledge,
} from '@dulvan/core';
import { and, desc, eq, exists, lt, sql } from 'drizzle-orm';
import { randomUUID } from 'node:crypto';
import type { Reader, Writer } from './database';
import { missingFile } from './files';
import { effectsSince, entryOfRow, entryRow, isTakenBack, statesOf, toldChanges } from './journal';
import { readFacts, revisionOf, writeEffect, writeEntry } from './parts';
import { noSuchHome, refuse } from './refused';
import { remember, requestMade } from './requests';
import { facts as factRows, journal, journalChanges } from './schema';

/** A home as it is held: null facts for one that is not there, or not any more. */
interface Held {
  readonly revision: number;
  readonly facts: HomeFacts | null;
}

interface Draft {
  readonly kind: JournalEntry['kind'];
  readonly summary: string;
  readonly undoes?: string;
}

/** What a write leaves, told once its transaction is through. */
export interface Written<T> {
  readonly result: T;
  readonly homeId: string;
  readonly held: Held;
}

/** A plant cannot have arrived, nor a reading been taken, later than this from now. */
const CLOCK_SLACK_MS = 36 * 3_600_000;

/** Refuses to take back what later entries hang on, and says which they are. */
function refuseHanging(facts: HomeFacts | null, changes: readonly Change[]): void {
  const dropped = changes.flatMap((change) =>
    change.op === 'drop' && change.list !== 'home' ? [{ list: change.list, id: change.id }] : [],
  );
  if (!facts || dropped.length === 0) return;
  const going = new Set(dropped.map(({ list, id }) => `${list}/${id}`));
  const hanging = fallenWith(facts, dropped).gone.filter(({ list, id }) => !going.has(`${list}/${id}`));
  if (hanging.length === 0) return;
  const names = hanging.map(({ list, id }) => String(entryOf(facts, list, id)?.name ?? 'something without a name'));
  const more = names.length > 3 ? ` and ${names.length - 3} more` : '';
  throw refuse(409, `Added later, and it hangs on this: ${names.slice(0, 3).join(', ')}${more}. Take that out first.`);
}

export class Homes {
  private readonly held = new Map<string, Held>();

  constructor(
    private readonly reader: Reader,
    private readonly knowledge: Knowledge,
    private readonly now: () => number,
  ) {}

  list(): Home[] {
    const rows = this.reader
      .select({ body: factRows.body })
      .from(factRows)
      .where(eq(factRows.list, 'home'))
      .orderBy(factRows.sequence)
      .all();
    return rows.map(({ body }) => body as unknown as Home);
  }

  /** The homes that are not here any more, the last to go first. */
  takenOut(): TakenOut[] {
    const here = new Set(this.list().map(({ id }) => id));
    const last = this.reader
      .select({ homeId: journal.homeId, revision: sql<number>`max(${journal.revision})`.as('last_revision') })
      .from(journal)
      .groupBy(journal.homeId)
      .as('last');
    return this.reader
      .select({ entry: journal })
      .from(journal)
      .innerJoin(last, and(eq(last.homeId, journal.homeId), eq(last.revision, journal.revision)))
      .orderBy(desc(journal.at))
      .all()
      .filter(({ entry }) => !here.has(entry.homeId))
      .map(({ entry }) => {
        const home = statesOf(this.reader, entry.sequence).find(({ list }) => list === 'home');
        return { name: String(home?.before?.name ?? ''), entry: entryOfRow(entry) };
      });
  }

  /** A home with its revision. */
  get(homeId: string): KeptHome {
    const { facts, revision } = this.hold(this.reader, homeId);
    if (!facts) throw noSuchHome();
    return { revision, facts };
  }

  /** What was changed since a revision; null where the whole home tells it better. */
  changesSince(homeId: string, since: number): { revision: number; changes: Change[] | null } {
    const { facts, revision } = this.hold(this.reader, homeId);
    if (!facts) throw noSuchHome();
    return { revision, changes: toldChanges(this.reader, homeId, facts, { since, revision }) };
  }

  journal(homeId: string, asked: { plantId?: string; limit: number; before?: number }): JournalEntry[] {
    const touches = this.reader
      .select({ one: sql`1` })
      .from(journalChanges)
      .where(
        and(
          eq(journalChanges.list, 'plants'),
          eq(journalChanges.id, asked.plantId ?? ''),
          eq(journalChanges.sequence, journal.sequence),
        ),
      );
    return this.reader
      .select()
      .from(journal)
      .where(
        and(
          eq(journal.homeId, homeId),
          asked.before === undefined ? undefined : lt(journal.revision, asked.before),
          asked.plantId === undefined ? undefined : exists(touches as never),
        ),
      )
      .orderBy(desc(journal.revision))
      .limit(asked.limit)
      .all()
      .map(entryOfRow);
  }

  /** What one entry of the journal did. */
  states(homeId: string, entryId: string): EntryChange[] {
    return statesOf(this.reader, entryRow(this.reader, homeId, entryId).sequence);
  }

  /** Applies a change set; a set that puts in the home itself founds it. */
  change(writer: Writer, homeId: string, { base, key, summary, changes }: ChangeSet): Written<Saved> {
    const held = this.hold(writer, homeId);
    const done = this.doneBefore(writer, homeId, key);
    if (done) return this.answered(writer, homeId, held, base, done);
    if (!held.facts && !changes.some((change) => change.list === 'home' && change.op === 'put')) throw noSuchHome();
    const conflicts = conflictsSince(writer, homeId, held, base, changes);
    if (conflicts.length > 0) throw conflicted(conflicts);
    const next = this.commit(writer, homeId, held, changes, { kind: 'change', summary });
    remember(writer, homeId, key, this.now(), next.entry ? [next.entry.id] : []);
    return this.answered(writer, homeId, next.held, base, next.entry);
  }

  wipe(writer: Writer, homeId: string): Written<Saved> {
    const held = this.hold(writer, homeId);
    if (!held.facts) throw noSuchHome();
    const draft = { kind: 'change', summary: `Took out the home ${held.facts.home.name}` } as const;
    const next = this.commit(writer, homeId, held, changesBetween(held.facts, null), draft);
    return this.answered(writer, homeId, next.held, held.revision, next.entry);
  }

  /** Takes entries back in the order given, field by field; all of them or none. */
  undo(writer: Writer, homeId: string, entries: readonly string[], key: string): Written<Saved> {
    const begun = this.hold(writer, homeId);
    const done = this.doneBefore(writer, homeId, key);
    if (done) return this.answered(writer, homeId, begun, begun.revision, done);
    let held = begun;
    const made: JournalEntry[] = [];
    for (const entryId of entries) {
      const row = entryRow(writer, homeId, entryId);
      if (isTakenBack(writer, entryId)) throw refuse(409, 'This change was taken back already.');
      const { changes, conflicts } = reversalOf(held.facts, statesOf(writer, row.sequence));
      if (conflicts.length > 0) throw conflicted(conflicts);
      refuseHanging(held.facts, changes);
      const draft = { kind: 'undo', summary: `Undid: ${row.summary}`, undoes: entryId } as const;
      const next = this.commit(writer, homeId, held, changes, draft);
      held = next.held;
      if (next.entry) made.push(next.entry);
    }
    remember(
      writer,
      homeId,
      key,
      this.now(),
      made.map(({ id }) => id),
    );
    return this.answered(writer, homeId, held, begun.revision, made[made.length - 1] ?? null);
  }

  /** Puts facts in place of a home's, as an import does. */
  replace(writer: Writer, homeId: string, facts: HomeFacts): { held: Held; entry: JournalEntry | null } {
    const held = { revision: revisionOf(writer, homeId), facts: readFacts(writer, homeId) };
    const draft = { kind: 'import', summary: `Imported the home ${facts.home.name}` } as const;
    return this.commit(writer, homeId, held, changesBetween(held.facts, facts), draft);
  }

  /** Takes over what a transaction left, once it is through. */
  settle({ homeId, held }: Pick<Written<unknown>, 'homeId' | 'held'>): void {
    this.held.set(homeId, held);
  }

  /** Reads a home anew at the next question. */
  forget(homeId: string): void {
    this.held.delete(homeId);
  }

  private hold(reader: Reader, homeId: string): Held {
    let held = this.held.get(homeId);
    if (!held) {
      held = { revision: revisionOf(reader, homeId), facts: readFacts(reader, homeId) };
      this.held.set(homeId, held);
    }
    return held;
  }

  private doneBefore(reader: Reader, homeId: string, key: string): JournalEntry | null | undefined {
    const known = requestMade(reader, homeId, key);
    const [entryId] = known ?? [];
    if (!known) return undefined;
    return entryId === undefined ? null : entryOfRow(entryRow(reader, homeId, entryId));
  }

  private answered(
    reader: Reader,
    homeId: string,
    held: Held,
    base: number,
    entry: JournalEntry | null,
  ): Written<Saved> {
    const { revision, facts } = held;
    const changes = facts ? toldChanges(reader, homeId, facts, { since: base, revision }) : null;
    return { homeId, held, result: { revision, entry, changes } };
  }

  /** Checks a change against the home, writes it and journals it; what changes nothing leaves no trace. */
  private commit(
    writer: Writer,
    homeId: string,
    held: Held,
    changes: readonly Change[],
    { kind, summary, undoes }: Draft,
  ): { held: Held; entry: JournalEntry | null } {
    refuseStrays(homeId, changes);
    const facts = applied(held.facts, changes);
    const effect = effectOf(held.facts, facts, changes);
    if (!facts) refuseRemains(held.facts, effect);
    if (effect.length === 0) return { held, entry: null };
    if (facts) this.check(writer, homeId, facts, effect, kind);
    const revision = held.revision + 1;
    const entry: JournalEntry = {
      id: randomUUID(),
      homeId,
      revision,
      at: this.now(),
      kind,
      summary,
      undoes: undoes ?? null,
      touched: effect.length,
    };
    writeEffect(writer, homeId, effect, (list, id) => entryOf(facts, list, id));
    writeEntry(writer, { ...entry, changes: effect });
    return { held: { revision, facts }, entry };
  }

  private check(
    reader: Reader,
    homeId: string,
    facts: HomeFacts,
    effect: readonly EntryChange[],
    kind: Draft['kind'],
  ): void {
    for (const list of new Set(effect.map((change) => change.list))) {
      if (list === 'home' || facts[list].length <= KINDS[list].limit) continue;
      throw refuse(413, `A home holds at most ${KINDS[list].limit} ${list}.`);
    }
    const problems = [...shapeProblems(facts, effect), ...knownProblems(facts, effect, this.knowledge, kind)];
    const changed = effect.flatMap(({ list, id }): FactKey[] => (list === 'home' ? [] : [{ list, id }]));
    const all = problems.length > 0 ? problems : [...problemsOf(facts, changed), ...this.timeProblems(effect)];
    if (all.length > 0) throw refuse(422, all[0]!.message, { problems: all });
    for (const { list, id, after } of effect) {
      if (after === null || !('fileKey' in after) || (list !== 'weathers' && list !== 'photometries')) continue;
      const fileKind = list === 'weathers' ? 'weather-hours' : 'intensities';
      if (missingFile(reader, homeId, { key: String(after.fileKey), kind: fileKind })) {
        const message = 'Its file is not kept here. Send the file first.';
        throw refuse(422, message, { problems: [{ list, id, field: 'fileKey', message }] });
      }
    }
  }

  /** Dates that lie ahead of the clock. */
  private timeProblems(effect: readonly EntryChange[]): Refusal['problems'] {
    const latest = this.now() + CLOCK_SLACK_MS;
    return effect.flatMap(({ list, id, after }) => {
      const late =
        (list === 'readings' && Number(after?.atMs ?? 0) > latest && 'atMs') ||
        (list === 'plants' && Date.parse(String(after?.arrivedOn ?? '')) > latest && 'arrivedOn') ||
        (list === 'plants' && Date.parse(String(after?.stateSeenOn ?? '')) > latest && 'stateSeenOn');
      return late ? [{ list, id, field: late, message: 'This lies in the future. At the latest, it is today.' }] : [];
    });
  }
}

/** An undo may bring back what an earlier version wrote: it is held to today's schema like everything else. */
function shapeProblems(facts: HomeFacts, effect: readonly EntryChange[]): Refusal['problems'] {
  return effect.flatMap(({ list, id, after }) => {
    if (after === null) return [];
    const read = entrySchema(list).safeParse(entryOf(facts, list, id));
    if (read.success) return [];
    return read.error.issues.map((issue) => ({ list, id, field: String(issue.path[0] ?? ''), message: issue.message }));
  });
}

/** Keys of the catalogue that it does not hold. What was said earlier may be brought back all the same. */
function knownProblems(
  facts: HomeFacts,
  effect: readonly EntryChange[],
  knowledge: Knowledge,
  kind: Draft['kind'],
): Refusal['problems'] {
  return kind === 'undo' ? [] : unknownIn(facts, effect, knowledge);
}

function refuseStrays(homeId: string, changes: readonly Change[]): void {
  for (const change of changes) {
    if (change.list === 'home' && idOf(change) !== homeId) throw refuse(422, 'A change must stay within its home.');
    if (change.op === 'put' && 'homeId' in change.entry && change.entry.homeId !== homeId) {
      throw refuse(422, 'A change must stay within its home.');
    }
  }
}

/** A home goes with all that is in it, or not at all. */
function refuseRemains(before: HomeFacts | null, effect: readonly EntryChange[]): void {
  if (!before) return;
  const dropped = new Set(effect.filter((change) => change.after === null).map(({ list, id }) => `${list}/${id}`));
  const remains = FACT_LISTS.some((list) => before[list].some(({ id }) => !dropped.has(`${list}/${id}`)));
  if (remains) throw refuse(422, 'A home that is taken out cannot hold anything.');
}

const conflicted = (conflicts: readonly Conflict[]) =>
  refuse(409, conflicts[0]!.message, { conflicts: [...conflicts], problems: conflicts.map(problemOf) });

const problemOf = ({ list, id, field, message }: Conflict) => ({ list, id, field, message });

function conflictsSince(
  reader: Reader,
  homeId: string,
  { facts, revision }: Held,
  base: number,
  changes: readonly Change[],
): Conflict[] {
  if (base > revision) throw refuse(409, 'This home is older than what you saw of it. Reload the page.');
  if (base === revision) return conflictsOf(facts, changes, []);
  return conflictsOf(facts, changes, effectsSince(reader, homeId, base));
}
