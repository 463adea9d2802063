/** Reads and writes the home bundle: refuses what is broken, foreign or of another version, with the place and the reason. */
import { BUNDLE_FORMAT, BUNDLE_VERSION, FACT_LISTS, UNSAID, bundleSchema, type Bundle } from '@dulvan/contract';
import { problemsOf } from '@dulvan/core';
import { parse as parseWithErrors, type ParseError } from 'jsonc-parser';
import { z } from 'zod';

/** Largest bundle that is read, in characters. */
export const BUNDLE_LIMIT = 20_000_000;

export type BundleReading =
  { readonly ok: true; readonly bundle: Bundle } | { readonly ok: false; readonly message: string };

const refused = (message: string): BundleReading => ({ ok: false, message });

/** Reads a bundle from text. */
export function readBundle(text: string): BundleReading {
  if (text.length > BUNDLE_LIMIT)
    return refused(`The file is larger than ${BUNDLE_LIMIT / 1_000_000} MB, more than any home needs.`);
  let raw: unknown;
  try {
    raw = JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch {
    return refused(`The file is not whole JSON${placeOf(text)}. Nothing was changed.`);
  }
  const head = z.object({ format: z.unknown(), version: z.unknown() }).safeParse(raw);
  if (!head.success || head.data.format !== BUNDLE_FORMAT) {
    return refused(
      `This is not a Dulvan bundle: it should open with "format": "${BUNDLE_FORMAT}". Nothing was changed.`,
    );
  }
  const { version } = head.data;
  if (version !== BUNDLE_VERSION && version !== 1 && version !== 2) {
    const newer = typeof version === 'number' && version > BUNDLE_VERSION;
    return refused(
      newer
        ? `This bundle is of version ${version}, written by a newer Dulvan; this one reads versions 1 to ${BUNDLE_VERSION}. Update, then import again.`
        : `This bundle is of version ${String(version)}; only versions 1 to ${BUNDLE_VERSION} are known here, and there was none before them.`,
    );
  }
  const parsed = bundleSchema.safeParse(version === BUNDLE_VERSION ? raw : fromEarlier(raw));
  if (!parsed.success) {
    const [issue] = parsed.error.issues;
    return refused(`At ${issue!.path.join(' › ') || 'the top'}: ${issue!.message}. Nothing was changed.`);
  }
  for (const [i, facts] of parsed.data.homes.entries()) {
    const stray = strayHome(facts);
    if (stray) return refused(`At homes › ${i} › ${stray}: it names another home. Nothing was changed.`);
    const [problem] = problemsOf(facts);
    if (problem) {
      return refused(
        `At homes › ${i} › ${problem.list} › ${problem.id} › ${problem.field}: ${problem.message} Nothing was changed.`,
      );
    }
  }
  return { ok: true, bundle: parsed.data };
}

const looseHome = z.looseObject({ home: z.looseObject({}) });

/**
 * Earlier versions knew fewer fields and lists (the first no traits, parents, schools or own knowledge; the second no
 * trees, weather files, readings or photometric files): they are put in as unsaid. What is broken is left for the schema to name.
 */
function fromEarlier(raw: unknown): unknown {
  const bundle = raw as { homes?: unknown };
  if (!Array.isArray(bundle.homes)) return { ...bundle, version: BUNDLE_VERSION };
  return { ...bundle, version: BUNDLE_VERSION, homes: bundle.homes.map(completed) };
}

function completed(facts: unknown): unknown {
  const read = looseHome.safeParse(facts);
  if (!read.success) return facts;
  const whole: Record<string, unknown> = { ...read.data, home: { ...UNSAID.home, ...read.data.home } };
  for (const list of FACT_LISTS) {
    const entries = whole[list] ?? [];
    whole[list] = Array.isArray(entries)
      ? entries.map((entry: unknown) =>
          typeof entry === 'object' && entry !== null ? { ...UNSAID[list], ...entry } : entry,
        )
      : entries;
  }
  return whole;
}

/** Writes a bundle, indented for reading. */
export function writeBundle(bundle: Bundle): string {
  return `${JSON.stringify(bundle, null, 1)}\n`;
}

function strayHome(facts: Bundle['homes'][number]): string | null {
  for (const list of [
    'rooms',
    'circuits',
    'plants',
    'ownTaxa',
    'corrections',
    'photometries',
    'weathers',
    'readings',
  ] as const) {
    const stray = facts[list].find((entry) => entry.homeId !== facts.home.id);
    if (stray) return `${list} › ${stray.id}`;
  }
  return null;
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
