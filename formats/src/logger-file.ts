/** A logger's file read in pieces: lines become samples by quantity, however long the file; memory stays flat. */
import Papa from 'papaparse';
import { oddityWatch, type LoggedOddities } from './logged-checks';
import { MEASURED, UnreadLine, lineReader, type Measured, type TableReading } from './logger-table';
import { Broken, quoted } from './parsed';

/** Samples of one quantity, times and values side by side. */
export interface LoggedBatch {
  readonly at: number[];
  readonly values: number[];
}

export interface LoggedSummary {
  readonly lines: number;
  /** Lines in which a value was missing. */
  readonly missing: number;
  readonly firstAt: number | null;
  readonly lastAt: number | null;
  readonly oddities: Readonly<Partial<Record<Measured, LoggedOddities>>>;
}

const LONGEST_LINE = 20_000;

/** Reads pieces of text one after the other. Throws `Broken` with the line that cannot be read. */
export class LoggerFile {
  private readonly read: ReturnType<typeof lineReader>;
  private readonly kinds: readonly Measured[];
  private readonly watches: Readonly<Partial<Record<Measured, ReturnType<typeof oddityWatch>>>>;
  private batches = new Map<Measured, LoggedBatch>();
  private rest = '';
  private line = 0;
  private lines = 0;
  private missing = 0;
  private firstAt: number | null = null;
  private lastAt: number | null = null;

  constructor(private readonly reading: TableReading) {
    this.read = lineReader(reading);
    this.kinds = MEASURED.filter((kind) => reading.columns.includes(kind));
    this.watches = Object.fromEntries(this.kinds.map((kind) => [kind, oddityWatch(kind)]));
  }

  /** @param place whether more follows */
  push(piece: string, place: 'middle' | 'end'): void {
    const text = this.line === 0 && this.rest === '' ? piece.replace(/^\uFEFF/, '') : this.rest + piece;
    const lines = text.split('\n');
    this.rest = place === 'end' ? '' : lines.pop()!;
    if (this.rest.length > LONGEST_LINE) throw new Broken(this.line + 1, 'The line is too long for a table.');
    for (const one of lines) this.take(one.endsWith('\r') ? one.slice(0, -1) : one);
  }

  private take(text: string): void {
    this.line++;
    if (this.line <= this.reading.headLines || text.trim() === '') return;
    const { delimiter, columns } = this.reading;
    const cells = text.includes('"')
      ? (Papa.parse<string[]>(text, { delimiter }).data[0] ?? [])
      : text.split(delimiter);
    if (cells.length < columns.length - 1)
      throw new Broken(this.line, `${cells.length} cells where ${columns.length} are due: ${quoted(text)}.`);
    try {
      const { at, values } = this.read(cells.map((cell) => cell.trim()));
      this.lines++;
      this.firstAt = Math.min(this.firstAt ?? at, at);
      this.lastAt = Math.max(this.lastAt ?? at, at);
      for (const kind of this.kinds) {
        const value = values[kind];
        if (value === undefined) this.missing++;
        else this.put(kind, at, value);
      }
    } catch (error) {
      if (error instanceof UnreadLine) throw new Broken(this.line, error.message);
      throw error;
    }
  }

  private put(kind: Measured, at: number, value: number): void {
    this.watches[kind]!.look(at, value);
    let batch = this.batches.get(kind);
    if (!batch) this.batches.set(kind, (batch = { at: [], values: [] }));
    batch.at.push(at);
    batch.values.push(value);
  }

  /** Samples since this was last asked, by quantity. */
  taken(): ReadonlyMap<Measured, LoggedBatch> {
    const { batches } = this;
    this.batches = new Map();
    return batches;
  }

  summary(): LoggedSummary {
    const oddities = Object.fromEntries(this.kinds.map((kind) => [kind, this.watches[kind]!.found()]));
    const { lines, missing, firstAt, lastAt } = this;
    return { lines, missing, firstAt, lastAt, oddities };
  }
}
