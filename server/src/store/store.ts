/** The store: every write is one transaction that changes all it is meant to, or nothing; writes take turns. */
import type {
  ChangeSet,
  Device,
  FileKind,
  HomeEvent,
  HomeRecord,
  JournalEntry,
  KeptHome,
  NewDevice,
  NewPlug,
  NewRecord,
  NewSeries,
  Plug,
  PostedSamples,
  RecordQuery,
  Samples,
  Saved,
  Series,
  StoredFile,
  TakenOut,
} from '@dulvan/contract';
import { MOST_HOMES } from '@dulvan/contract';
import type { Change, EntryChange, Home, Knowledge } from '@dulvan/core';
import { BundleRefused, writeBundle, type BundlePart, type BundledEntry } from '@dulvan/formats/bundle';
import { and, asc, eq, gt, lt } from 'drizzle-orm';
import { EventEmitter } from 'node:events';
import { keepAnswer, keptAnswer, type AnswerKey } from './answers';
import { connect, inTransaction, type Connection, type Reader, type Writer } from './database';
import { addFile, fileContent, fileList } from './files';
import { Homes, type Written } from './homes';
import { isItself, revisionOf, writePart } from './parts';
import { allRecords, appendRecords, recordPage, recordsById, withdrawRecord } from './records';
import { refuse } from './refused';
import { remember, requestMade } from './requests';
import { journal, journalChanges, requests } from './schema';
import { addDevice, listDevices, removeDevice, takePosted } from './devices';
import { addPlug, listPlugs, plugById, removePlug, updatePlug, type PlugNews } from './plugs';
import { addSeries, allSamples, appendSamples, listSeries, samplesBetween, type Range } from './series';

/** Keys of requests are remembered this long: a sender tries again within minutes. */
const REQUESTS_KEPT_MS = 30 * 86_400_000;

export interface StoreOptions {
  readonly knowledge: Knowledge;
  readonly now?: () => number;
}

/** What an import led to. */
export interface Imported {
  readonly homes: Home[];
  readonly entries: JournalEntry[];
}

export class Store {
  private readonly homesKept: Homes;
  private readonly events = new EventEmitter().setMaxListeners(0);
  private readonly now: () => number;
  /** Writes wait for each other here: an import takes its time on a connection of its own. */
  private turn: Promise<unknown> = Promise.resolve();

  constructor(
    private readonly connection: Connection & { readonly file: string },
    private readonly options: StoreOptions,
  ) {
    this.now = options.now ?? Date.now;
    this.homesKept = new Homes(this.reader, options.knowledge, this.now);
    connection.database
      .delete(requests)
      .where(lt(requests.at, this.now() - REQUESTS_KEPT_MS))
      .run();
  }

  private get reader(): Reader {
    return this.connection.database;
  }

  /** Hears of every change once it is stored. @returns what stops it */
  onChange(hear: (event: HomeEvent) => void): () => void {
    this.events.on('change', hear);
    return () => void this.events.off('change', hear);
  }

  homes(): Home[] {
    return this.homesKept.list();
  }

  home(homeId: string): KeptHome {
    return this.homesKept.get(homeId);
  }

  changesSince(homeId: string, since: number): { revision: number; changes: Change[] | null } {
    return this.homesKept.changesSince(homeId, since);
  }

  journal(homeId: string, asked: { plantId?: string; limit: number; before?: number }): JournalEntry[] {
    return this.homesKept.journal(homeId, asked);
  }

  states(homeId: string, entryId: string): EntryChange[] {
    return this.homesKept.states(homeId, entryId);
  }

  change(homeId: string, set: ChangeSet): Promise<Saved> {
    return this.changeHome((writer) => {
      const founds = set.changes.some((change) => change.list === 'home' && change.op === 'put');
      if (founds && this.homes().length >= MOST_HOMES && !this.homes().some((home) => home.id === homeId)) {
        throw refuse(413, `At most ${MOST_HOMES} homes are kept here.`);
      }
      return this.homesKept.change(writer, homeId, set);
    });
  }

  takenOut(): TakenOut[] {
    return this.homesKept.takenOut();
  }

  wipe(homeId: string): Promise<Saved> {
    return this.changeHome((writer) => this.homesKept.wipe(writer, homeId));
  }

  undo(homeId: string, entries: readonly string[], key: string): Promise<Saved> {
    return this.changeHome((writer) => this.homesKept.undo(writer, homeId, entries, key));
  }

  records(homeId: string, query: RecordQuery): { records: HomeRecord[]; after: string | null } {
    this.mustKeep(homeId);
    return recordPage(this.reader, homeId, query);
  }

  appendRecords(homeId: string, given: readonly NewRecord[], key: string): Promise<HomeRecord[]> {
    this.mustKeep(homeId);
    this.mustStandIn(homeId, given);
    return this.write((writer) => {
      const known = requestMade(writer, homeId, key);
      if (known) return recordsById(writer, homeId, known);
      const made = appendRecords(writer, homeId, given, this.now());
      remember(
        writer,
        homeId,
        key,
        this.now(),
        made.map(({ id }) => id),
      );
      return made;
    });
  }

  withdrawRecord(homeId: string, recordId: string): Promise<HomeRecord> {
    return this.write((writer) => withdrawRecord(writer, homeId, recordId, this.now()));
  }

  series(homeId: string): Series[] {
    this.mustKeep(homeId);
    return listSeries(this.reader, homeId);
  }

  addSeries(homeId: string, given: NewSeries): Promise<Series> {
    this.mustKeep(homeId);
    return this.write((writer) => addSeries(writer, homeId, given));
  }

  appendSamples(homeId: string, seriesId: string, samples: Samples): Promise<Series> {
    return this.write((writer) => appendSamples(writer, homeId, seriesId, samples));
  }

  samples(homeId: string, seriesId: string, range: Range): Buffer {
    const { timeZone } = this.home(homeId).facts.home;
    return samplesBetween(this.reader, homeId, seriesId, range, timeZone);
  }

  devices(homeId: string): Device[] {
    this.mustKeep(homeId);
    return listDevices(this.reader, homeId);
  }

  /** @returns the device, and its token, which is told this once */
  addDevice(homeId: string, given: NewDevice): Promise<{ device: Device; token: string }> {
    const { facts } = this.home(homeId);
    const { roomId, spotId } = given;
    const isThere =
      roomId === null ? facts.spots.some(({ id }) => id === spotId) : facts.rooms.some(({ id }) => id === roomId);
    if (!isThere) throw refuse(422, 'There is no such place.');
    return this.write((writer) => addDevice(writer, homeId, given, this.now()));
  }

  removeDevice(homeId: string, id: string): Promise<Device> {
    return this.write((writer) => removeDevice(writer, homeId, id));
  }

  takePosted(token: string, posted: PostedSamples): Promise<number> {
    return this.write((writer) => takePosted(writer, token, posted, this.now()));
  }

  plugs(homeId: string): Plug[] {
    this.mustKeep(homeId);
    return listPlugs(this.reader, homeId);
  }

  plug(homeId: string, id: string): Plug {
    this.mustKeep(homeId);
    return plugById(this.reader, homeId, id);
  }

  addPlug(homeId: string, given: NewPlug): Promise<Plug> {
    const { facts } = this.home(homeId);
    if (!facts.circuits.some(({ id }) => id === given.circuitId)) throw refuse(422, 'There is no such timer.');
    return this.write((writer) => addPlug(writer, homeId, given, this.now()));
  }

  updatePlug(homeId: string, id: string, news: PlugNews): Promise<Plug> {
    return this.write((writer) => updatePlug(writer, homeId, id, news));
  }

  removePlug(homeId: string, id: string): Promise<Plug> {
    return this.write((writer) => removePlug(writer, homeId, id));
  }

  addFile(homeId: string, kind: FileKind, content: Uint8Array): Promise<StoredFile> {
    this.mustKeep(homeId);
    return this.write((writer) => addFile(writer, homeId, kind, content, this.now()));
  }

  file(homeId: string, key: string): { mediaType: string; content: Buffer } {
    return fileContent(this.reader, homeId, key);
  }

  keptAnswer(key: AnswerKey): string | null {
    return keptAnswer(this.reader, key);
  }

  keepAnswer(key: AnswerKey, json: string): Promise<void> {
    return this.write((writer) => keepAnswer(writer, key, json, this.now()));
  }

  /** Everything as the bytes of one bundle, read from one state of the file while others write on. */
  async *export(): AsyncGenerator<Uint8Array> {
    const connection = connect(this.connection.file);
    try {
      connection.client.exec('BEGIN');
      const reader: Reader = connection.database;
      const kept = new Homes(reader, this.options.knowledge, this.now);
      const homes = kept.list().map(({ id }) => ({
        facts: kept.get(id).facts,
        journal: allEntries(reader, id),
        records: allRecords(reader, id),
        series: listSeries(reader, id).map(({ samples: _samples, firstAt: _first, lastAt: _last, ...meta }) => ({
          ...meta,
          samples: allSamples(reader, id, meta.id),
        })),
        files: fileList(reader, id).map(({ key, kind }) => ({
          key,
          kind,
          content: () => fileContent(reader, id, key).content,
        })),
      }));
      yield* writeBundle(new Date(this.now()).toISOString(), homes);
      connection.client.exec('COMMIT');
    } finally {
      connection.close();
    }
  }

  /**
   * Puts a bundle's homes in place of those with the same key, and adds what else it holds that is not here yet: all
   * of it, or nothing.
   */
  import(parts: AsyncIterable<BundlePart> | Iterable<BundlePart>): Promise<Imported> {
    return this.taking(async () => {
      const connection = connect(this.connection.file);
      const entries: JournalEntry[] = [];
      const touched = new Set<string>();
      try {
        connection.client.exec('BEGIN IMMEDIATE');
        await this.importInto(connection.database, parts, { entries, touched });
        connection.client.exec('COMMIT');
      } catch (error) {
        if (connection.client.inTransaction) connection.client.exec('ROLLBACK');
        if (error instanceof BundleRefused) throw refuse(422, error.message);
        throw error;
      } finally {
        connection.close();
      }
      for (const homeId of touched) {
        this.homesKept.forget(homeId);
        this.tell(homeId, revisionOf(this.reader, homeId));
      }
      return { homes: this.homes(), entries };
    });
  }

  private async importInto(
    writer: Writer,
    parts: AsyncIterable<BundlePart> | Iterable<BundlePart>,
    { entries, touched }: { readonly entries: JournalEntry[]; readonly touched: Set<string> },
  ): Promise<void> {
    const homes = new Homes(writer, this.options.knowledge, this.now);
    const facts = new Map<string, Extract<BundlePart, { what: 'facts' }>['facts']>();
    for await (const part of parts) {
      if (part.what === 'manifest') continue;
      touched.add(part.homeId);
      if (part.what === 'facts') facts.set(part.homeId, part.facts);
      else if (part.what !== 'file' || isItself(part)) writePart(writer, part);
      else throw new BundleRefused(`The file ${part.key} is not what its name says. Nothing was changed.`);
    }
    // Facts come last: the files they name are here by then, and their entry is the last of the journal.
    for (const [homeId, state] of facts) {
      const { entry } = homes.replace(writer, homeId, state);
      if (entry) entries.push(entry);
    }
    const stray = [...touched].find((homeId) => !facts.has(homeId) && !this.homes().some((home) => home.id === homeId));
    if (stray !== undefined && facts.size === 0)
      throw new BundleRefused(`There is no home ${stray}. Nothing was changed.`);
    if (homes.list().length > MOST_HOMES) throw new BundleRefused(`At most ${MOST_HOMES} homes are kept here.`);
  }

  private mustKeep(homeId: string): void {
    this.home(homeId);
  }

  /** What a record is about must be there when it is written, though the record outlives it. */
  private mustStandIn(homeId: string, given: readonly NewRecord[]): void {
    const { facts } = this.home(homeId);
    const there = { plants: keysOf(facts.plants), spots: keysOf(facts.spots), rooms: keysOf(facts.rooms) };
    for (const { plantId, spotId, roomId } of given) {
      if (plantId !== null && !there.plants.has(plantId)) throw refuse(404, 'This plant is not kept here.');
      if (spotId !== null && !there.spots.has(spotId)) throw refuse(404, 'This spot is not kept here.');
      if (roomId !== null && !there.rooms.has(roomId)) throw refuse(404, 'This room is not kept here.');
    }
  }

  private tell(homeId: string, revision: number): void {
    const isKept = this.homes().some((home) => home.id === homeId);
    this.events.emit('change', { homeId, revision, isKept } satisfies HomeEvent);
  }

  private changeHome(work: (writer: Writer) => Written<Saved>): Promise<Saved> {
    return this.taking(() => {
      const written = inTransaction(this.connection, work);
      this.homesKept.settle(written);
      if (written.result.entry) this.tell(written.homeId, written.held.revision);
      return written.result;
    });
  }

  private write<T>(work: (writer: Writer) => T): Promise<T> {
    return this.taking(() => inTransaction(this.connection, work));
  }

  private taking<T>(work: () => T | Promise<T>): Promise<T> {
    const turn = this.turn.then(work);
    this.turn = turn.catch(() => undefined);
    return turn;
  }
}

const keysOf = (list: readonly { readonly id: string }[]) => new Set(list.map(({ id }) => id));

/** Entries of a journal that are read at a time for an export. */
const ENTRIES_A_BATCH = 200;

function* allEntries(reader: Reader, homeId: string): Generator<BundledEntry[]> {
  for (let last = 0; ;) {
    const rows = reader
      .select()
      .from(journal)
      .where(and(eq(journal.homeId, homeId), gt(journal.sequence, last)))
      .orderBy(asc(journal.sequence))
      .limit(ENTRIES_A_BATCH)
      .all();
    if (rows.length === 0) return;
    yield rows.map(({ sequence, ...entry }) => ({ ...entry, changes: entryChanges(reader, sequence) }));
    last = rows[rows.length - 1]!.sequence;
  }
}

function entryChanges(reader: Reader, sequence: number): EntryChange[] {
  return reader
    .select()
    .from(journalChanges)
    .where(eq(journalChanges.sequence, sequence))
    .orderBy(asc(journalChanges.place))
    .all()
    .map(({ sequence: _sequence, place: _place, ...change }) => change);
}
