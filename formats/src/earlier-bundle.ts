/** Reads bundles as versions 1 to 3 wrote them, one JSON document each, in today's shape. */
import {
  BUNDLE_FORMAT,
  BUNDLE_VERSION,
  RECORD_BODIES,
  homeFactsSchema,
  upgradedEntry,
  type HomeRecord,
  type Manifest,
} from '@dulvan/contract';
import {
  FACT_LISTS,
  problemsOf,
  type EntryChange,
  type FactList,
  type HomeFacts,
  type WeatherHour,
} from '@dulvan/core';
import { parse as parseWithErrors, type ParseError } from 'jsonc-parser';
import { z } from 'zod';
import { readIntensities, readWeatherHours, writeIntensities, writeWeatherHours } from './attachments';
import { BundleRefused, versionMessage, type BundlePart, type BundledEntry } from './bundle';

/** Largest of those bundles that was ever written, characters. */
export const EARLIER_BUNDLE_LIMIT = 20_000_000;

const EARLIER_VERSIONS: readonly unknown[] = [1, 2, 3];

/** The key of a content: its SHA-256. Given from outside, since platforms differ. */
export type KeyOf = (content: Uint8Array) => string;

type Fields = Readonly<Record<string, unknown>>;
type FilePart = Extract<BundlePart, { what: 'file' }>;

const refused = (message: string) => new BundleRefused(message);

/** The parts of an earlier version's bundle. @throws BundleRefused with the place and the reason */
export function earlierBundleParts(text: string, keyOf: KeyOf): BundlePart[] {
  if (text.length > EARLIER_BUNDLE_LIMIT) {
    throw refused(`The file is larger than ${EARLIER_BUNDLE_LIMIT / 1e6} MB; no bundle of an earlier version is.`);
  }
  return earlierParts(rawBundle(text), keyOf, 'checked');
}

/** What an earlier version kept, as it lay in its bundle or its tables. */
export interface EarlierData {
  readonly homes: unknown;
  readonly journal: unknown;
  readonly exportedAt?: unknown;
}

/**
 * The parts of an earlier version's data in today's shape.
 * @param trust a bundle is checked; what stands in the grower's own database is taken as it stands
 */
export function earlierParts(raw: EarlierData, keyOf: KeyOf, trust: 'checked' | 'as-it-stands'): BundlePart[] {
  const homes = z.array(z.looseObject({ home: z.looseObject({ id: z.string() }) })).safeParse(raw.homes);
  if (!homes.success) throw refused(placed('homes', homes.error.issues[0]!));
  const parts: BundlePart[] = [{ what: 'manifest', manifest: manifestOf(raw, homes.data) }];
  const files: FilePart[] = [];
  const seen = new Set<string>();
  const upgraded = (given: Fields, attach: Attach, i: number) => {
    const facts = upgradedHome(given, attach);
    return trust === 'checked' ? checkedHome(facts, i) : (facts as unknown as HomeFacts);
  };
  for (const [i, given] of homes.data.entries()) {
    const { id } = given.home;
    if (seen.has(id)) throw refused(`At homes › ${i}: this home is there twice. Nothing was changed.`);
    seen.add(id);
    const attach = attacher(id, keyOf, files, `homes › ${i}`);
    parts.push({ what: 'facts', homeId: id, facts: upgraded(given, attach, i) });
  }
  const journal = z.array(earlierEntrySchema).safeParse(raw.journal ?? []);
  if (!journal.success) throw refused(placed('journal', journal.error.issues[0]!));
  const attachOf = (homeId: string) => attacher(homeId, keyOf, files, 'journal');
  return [...parts, ...journalParts(journal.data, attachOf), ...files];
}

function rawBundle(text: string): EarlierData {
  let raw: unknown;
  try {
    raw = JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch {
    throw refused(`The file is neither a zip nor whole JSON${placeOf(text)}. Nothing was changed.`);
  }
  const head = z.looseObject({ format: z.unknown(), version: z.unknown() }).safeParse(raw);
  if (!head.success || head.data.format !== BUNDLE_FORMAT) {
    throw refused(
      `This is not a Dulvan bundle: it should open with "format": "${BUNDLE_FORMAT}". Nothing was changed.`,
    );
  }
  if (!EARLIER_VERSIONS.includes(head.data.version)) throw refused(versionMessage(head.data.version));
  const { homes, journal, exportedAt } = head.data as Record<string, unknown>;
  return { homes, journal, exportedAt };
}

function manifestOf(raw: EarlierData, homes: readonly { home: Fields }[]): Manifest {
  const at = z.iso.datetime().safeParse(raw.exportedAt);
  return {
    format: BUNDLE_FORMAT,
    version: BUNDLE_VERSION,
    exportedAt: at.success ? at.data : new Date(0).toISOString(),
    homes: homes.map(({ home }) => ({ id: String(home.id), name: String(home.name) })),
  };
}

const placed = (where: string, issue: z.core.$ZodIssue) =>
  `At ${[where, ...issue.path].join(' › ')}: ${issue.message} Nothing was changed.`;

/** Brings an entry to today's shape; what it held inline becomes a file. */
type Attach = (list: FactList | 'home', entry: Fields, completeness?: 'whole' | 'partial') => Fields;

function attacher(homeId: string, keyOf: KeyOf, files: FilePart[], where: string): Attach {
  const kept = (kind: FilePart['kind'], text: string) => {
    const content = new TextEncoder().encode(text);
    const key = keyOf(content);
    if (!files.some((file) => file.key === key && file.homeId === homeId)) {
      files.push({ what: 'file', homeId, key, kind, content });
    }
    return key;
  };
  return (list, entry, completeness) => {
    const shaped = upgradedEntry(list, entry, completeness);
    if (list === 'weathers' && 'hours' in shaped) {
      const { hours, ...rest } = shaped;
      return { ...rest, fileKey: kept('weather-hours', weatherText(hours, where)) };
    }
    if (list === 'photometries' && 'candela' in shaped) {
      const { planes, angles, candela, ...rest } = shaped;
      return { ...rest, fileKey: kept('intensities', intensitiesText({ planes, angles, candela }, where)) };
    }
    return shaped;
  };
}

const HOUR_DIGITS = 12;

/** Hours as versions 2 and 3 stored them: twelve hexadecimal digits each. */
function weatherText(hours: unknown, where: string): string {
  const digits = z
    .string()
    .regex(/^([0-9a-f]{12})*$/)
    .safeParse(hours);
  if (!digits.success)
    throw refused(`At ${where} › weathers › hours: hexadecimal digits are due. Nothing was changed.`);
  const list: WeatherHour[] = [];
  for (let i = 0; i < digits.data.length; i += HOUR_DIGITS) {
    const at = (field: number) => parseInt(digits.data.slice(i + field * 4, i + field * 4 + 4), 16);
    list.push({ global: at(0), dni: at(1), dhi: at(2) });
  }
  const text = writeWeatherHours(list);
  const read = readWeatherHours(text);
  if (!read.ok) throw refused(`At ${where} › weathers › hours: ${read.message} Nothing was changed.`);
  return text;
}

function intensitiesText(given: Fields, where: string): string {
  const read = readIntensities(JSON.stringify(given));
  if (!read.ok) throw refused(`At ${where} › photometries: ${read.message} Nothing was changed.`);
  return writeIntensities(read.value);
}

/** Lists and fields that earlier versions did not know are put in as unsaid. */
function upgradedHome(given: Fields, attach: Attach): Fields {
  const whole: Record<string, unknown> = { ...given, home: attach('home', given.home as Fields) };
  for (const list of FACT_LISTS) {
    const entries = whole[list] ?? [];
    whole[list] = Array.isArray(entries)
      ? entries.map((entry: unknown) => (typeof entry === 'object' && entry ? attach(list, entry as Fields) : entry))
      : entries;
  }
  return whole;
}

function checkedHome(raw: Fields, i: number): HomeFacts {
  const read = homeFactsSchema.safeParse(raw);
  if (!read.success) throw refused(placed(`homes › ${i}`, read.error.issues[0]!));
  const facts = read.data;
  for (const list of FACT_LISTS) {
    const stray = facts[list].find((entry) => 'homeId' in entry && entry.homeId !== facts.home.id);
    if (stray) throw refused(`At homes › ${i} › ${list} › ${stray.id}: it names another home. Nothing was changed.`);
  }
  const [problem] = problemsOf(facts);
  if (problem) {
    const { list, id, field, message } = problem;
    throw refused(`At homes › ${i} › ${list} › ${id} › ${field}: ${message} Nothing was changed.`);
  }
  return facts;
}

const state = z.record(z.string(), z.unknown()).nullable();

/** A line of the journal until version 3: whole states in it, and notes among the changes. */
const earlierEntrySchema = z.strictObject({
  id: z.string(),
  homeId: z.string(),
  at: z.number().int().min(0).max(4_102_444_800_000),
  kind: z.enum(['change', 'undo', 'import', 'note']),
  summary: z.string(),
  plantId: z.string().nullable(),
  undoes: z.string().nullable(),
  changes: z.array(
    z.strictObject({ list: z.enum(['home', ...FACT_LISTS]), id: z.string(), before: state, after: state }),
  ),
});
type EarlierEntry = z.infer<typeof earlierEntrySchema>;

/** What a change did, field by field, from the whole states before and after it. */
function upgradedChange(change: EarlierEntry['changes'][number], attach: Attach): EntryChange {
  const { list, id } = change;
  const before = change.before && attach(list, change.before);
  const after = change.after && attach(list, change.after);
  if (!before || !after) return { list, id, before, after };
  const differs = Object.keys(after).filter((field) => JSON.stringify(before[field]) !== JSON.stringify(after[field]));
  const of = (entry: Fields) => Object.fromEntries(differs.map((field) => [field, entry[field]]));
  return { list, id, before: of(before), after: of(after) };
}

function journalParts(journal: readonly EarlierEntry[], attachOf: (homeId: string) => Attach): BundlePart[] {
  const revisions = new Map<string, number>();
  const parts: BundlePart[] = [];
  for (const { id, homeId, at, kind, summary, plantId, undoes, changes } of journal) {
    if (kind === 'note') {
      const record = noteOf({ id, at, summary, plantId });
      if (record) parts.push({ what: 'records', homeId, records: [record] });
      continue;
    }
    const revision = (revisions.get(homeId) ?? 0) + 1;
    revisions.set(homeId, revision);
    const attach = attachOf(homeId);
    const upgraded = changes.map((change) => upgradedChange(change, attach));
    const entry: BundledEntry = {
      id,
      homeId,
      revision,
      at,
      kind,
      summary,
      undoes,
      touched: changes.length,
      changes: upgraded,
    };
    parts.push({ what: 'journal', homeId, entries: [entry] });
  }
  return parts;
}

function noteOf({
  id,
  at,
  summary,
  plantId,
}: Pick<EarlierEntry, 'id' | 'at' | 'summary' | 'plantId'>): HomeRecord | null {
  const body = RECORD_BODIES.note.safeParse({ text: summary });
  if (!body.success || plantId === null) return null;
  return {
    id,
    at,
    kind: 'note',
    plantId,
    spotId: null,
    roomId: null,
    body: body.data,
    writtenAt: at,
    withdrawnAt: null,
  };
}

/** Where a text stops being JSON; the engine's own message does not always say. */
function placeOf(text: string): string {
  const errors: ParseError[] = [];
  parseWithErrors(text, errors, { disallowComments: true });
  const [first] = errors;
  if (!first) return '';
  const before = text.slice(0, first.offset);
  return ` (line ${before.split('\n').length}, character ${before.length - before.lastIndexOf('\n')})`;
}
