/** A grower's own knowledge (own taxa, corrections) to and from CSV and JSON: each line is read for itself, and refused with its reason when it is broken. */
import { correctionSchema, ownTaxonSchema } from '@dulvan/contract';
import type { Correction, OwnTaxon } from '@dulvan/core';
import Papa from 'papaparse';
import { z } from 'zod';

export interface OwnKnowledge {
  readonly ownTaxa: readonly OwnTaxon[];
  readonly corrections: readonly Correction[];
}

export interface LineRefusal {
  /** Line of the file for CSV, place in its list for JSON; 1 is the first. */
  readonly line: number;
  readonly reason: string;
}

export interface ParsedKnowledge extends OwnKnowledge {
  readonly refusals: readonly LineRefusal[];
}

export const KNOWLEDGE_FORMAT = 'dulvan-own-knowledge';
/** Longest file that is read, in characters, and most entries. */
export const KNOWLEDGE_LIMIT = 5_000_000;
const MOST_ENTRIES = 20_000;

const COLUMNS = [
  'kind',
  'id',
  'taxon',
  'plant',
  'name',
  'common',
  'synonyms',
  'based_on',
  'key',
  'figure',
  'value',
  'reason',
  'on',
] as const;
type Row = Partial<Record<(typeof COLUMNS)[number], string>>;

const refused = (line: number, reason: string): ParsedKnowledge => ({
  ownTaxa: [],
  corrections: [],
  refusals: [{ line, reason }],
});

/** A cell that a table program would run as a formula is written as text. */
const guarded = (text: string) => (/^[=+\-@\t\r]/.test(text) ? `'${text}` : text);
const unguarded = (text: string) => (/^'[=+\-@\t\r]/.test(text) ? text.slice(1) : text);

/** Writes own knowledge as CSV: one line an entry, its kind first. */
export function writeKnowledgeCsv({ ownTaxa, corrections }: OwnKnowledge): string {
  const rows: Row[] = [
    ...ownTaxa.map(({ id, name, common, synonyms, basedOn, key }): Row => ({
      kind: 'own-taxon',
      id,
      name,
      common: common.join('; '),
      synonyms: synonyms.join('; '),
      based_on: basedOn,
      key,
    })),
    ...corrections.map(({ id, taxonId, plantId, figure, value, reason, on }): Row => ({
      kind: 'correction',
      id,
      taxon: taxonId ?? '',
      plant: plantId ?? '',
      figure,
      value: String(value),
      reason,
      on,
    })),
  ];
  const cells = rows.map((row) =>
    COLUMNS.map((column) => (column === 'value' ? (row[column] ?? '') : guarded(row[column] ?? ''))),
  );
  return `${Papa.unparse({ fields: [...COLUMNS], data: cells }, { newline: '\n' })}\n`;
}

/** Writes own knowledge as JSON. */
export function writeKnowledgeJson({ ownTaxa, corrections }: OwnKnowledge): string {
  return `${JSON.stringify({ format: KNOWLEDGE_FORMAT, version: 1, ownTaxa, corrections }, null, 1)}\n`;
}

/** Reads own knowledge for a home from CSV or JSON, told by the text itself. */
export function readKnowledge(text: string, homeId: string): ParsedKnowledge {
  if (text.length > KNOWLEDGE_LIMIT) return refused(1, `The file is larger than ${KNOWLEDGE_LIMIT / 1_000_000} MB.`);
  const plain = text.replace(/^\uFEFF/, '');
  return plain.trimStart().startsWith('{') ? readJson(plain, homeId) : readCsv(plain, homeId);
}

/** Checks entries one by one. */
class KnowledgeLines {
  readonly ownTaxa: OwnTaxon[] = [];
  readonly corrections: Correction[] = [];
  readonly refusals: LineRefusal[] = [];
  private readonly seen = new Set<string>();

  take(line: number, kind: 'own-taxon' | 'correction', entry: unknown): void {
    const parsed = (kind === 'own-taxon' ? ownTaxonSchema : correctionSchema).safeParse(entry);
    if (!parsed.success) {
      const [issue] = parsed.error.issues;
      this.refuse(line, `${issue!.path.join(' › ') || 'entry'}: ${issue!.message}`);
    } else if (this.seen.has(parsed.data.id)) {
      this.refuse(line, `The key ${parsed.data.id} stands in the file twice.`);
    } else {
      this.seen.add(parsed.data.id);
      if (kind === 'own-taxon') this.ownTaxa.push(parsed.data as OwnTaxon);
      else this.corrections.push(parsed.data as Correction);
    }
  }

  refuse(line: number, reason: string): void {
    this.refusals.push({ line, reason });
  }
}

function readJson(text: string, homeId: string): ParsedKnowledge {
  let raw: unknown;
  try {
    raw = JSON.parse(text);
  } catch {
    return refused(1, 'The file is not whole JSON.');
  }
  const list = z.array(z.unknown()).max(MOST_ENTRIES);
  const file = z
    .object({ format: z.literal(KNOWLEDGE_FORMAT), version: z.literal(1), ownTaxa: list, corrections: list })
    .safeParse(raw);
  if (!file.success)
    return refused(
      1,
      `Not a file of own knowledge: it should open with "format": "${KNOWLEDGE_FORMAT}", "version": 1 and hold the lists ownTaxa and corrections.`,
    );
  const sorted = new KnowledgeLines();
  const atHome = (entry: unknown) => (typeof entry === 'object' && entry !== null ? { ...entry, homeId } : entry);
  file.data.ownTaxa.forEach((entry, i) => sorted.take(i + 1, 'own-taxon', atHome(entry)));
  file.data.corrections.forEach((entry, i) =>
    sorted.take(file.data.ownTaxa.length + i + 1, 'correction', atHome(entry)),
  );
  return sorted;
}

const names = (text: string | undefined) =>
  (text ?? '')
    .split(';')
    .map((name) => name.trim())
    .filter(Boolean);

function readCsv(text: string, homeId: string): ParsedKnowledge {
  const parsed = Papa.parse<string[]>(text, { skipEmptyLines: false });
  const [head = [], ...lines] = parsed.data;
  const columns = head.map((name) => name.trim().toLowerCase());
  const lacking = ['kind', 'id'].filter((column) => !columns.includes(column));
  if (lacking.length > 0)
    return refused(
      1,
      `The first line must name the columns; ${lacking.join(' and ')} ${lacking.length > 1 ? 'are' : 'is'} missing. All of them: ${COLUMNS.join(', ')}.`,
    );
  const stray = columns.find((column) => !(COLUMNS as readonly string[]).includes(column));
  if (stray !== undefined)
    return refused(1, `The column “${stray.slice(0, 40)}” is not known. All that are: ${COLUMNS.join(', ')}.`);
  if (lines.length > MOST_ENTRIES) return refused(MOST_ENTRIES + 1, `More than ${MOST_ENTRIES} lines.`);
  const broken = new Map(
    parsed.errors.filter((error) => error.type === 'Quotes').map((error) => [error.row ?? 0, error.message]),
  );
  const sorted = new KnowledgeLines();
  lines.forEach((cells, i) => {
    const line = i + 2;
    const quote = broken.get(i + 1);
    if (quote) return sorted.refuse(line, `${quote}.`);
    if (cells.every((cell) => cell.trim() === '')) return undefined;
    if (cells.length > columns.length)
      return sorted.refuse(line, `${cells.length} cells where ${columns.length} columns are named.`);
    const row: Row = Object.fromEntries(columns.map((column, at) => [column, unguarded((cells[at] ?? '').trim())]));
    return takeRow(sorted, line, row, homeId);
  });
  return sorted;
}

function takeRow(sorted: KnowledgeLines, line: number, row: Row, homeId: string): void {
  if (row.kind === 'own-taxon') {
    sorted.take(line, 'own-taxon', {
      id: row.id,
      homeId,
      name: row.name ?? '',
      common: names(row.common),
      synonyms: names(row.synonyms),
      basedOn: row.based_on ?? '',
      key: row.key ?? '',
    });
  } else if (row.kind === 'correction') {
    const value = /^-?\d+([.,]\d+)?$/.test(row.value ?? '') ? Number(row.value!.replace(',', '.')) : NaN;
    sorted.take(line, 'correction', {
      id: row.id,
      homeId,
      taxonId: row.taxon || null,
      plantId: row.plant || null,
      figure: row.figure,
      value,
      reason: row.reason ?? '',
      on: row.on ?? '',
    });
  } else {
    sorted.refuse(line, `kind: “${(row.kind ?? '').slice(0, 40)}” is neither own-taxon nor correction.`);
  }
}
