/** Turns an entry into what a form shows and back: text in the grower's units on one side, facts in SI on the other. */
import { homeSchema, factSchemas, applied, type Change } from '@dulvan/contract';
import { celsiusToFahrenheit, fahrenheitToCelsius, problemsOf, type FactList, type HomeFacts } from '@dulvan/core';
import type { Units } from '../../state/settings';
import { CM_PER_INCH } from '../../ui/words';
import type { FormList, Question } from './form-specs';

export type FormValues = Readonly<Record<string, string>>;
export type Entry = Readonly<Record<string, unknown>> & { readonly id: string };

const CM_PER_M = 100;

const tidy = (value: number, digits: number) => String(Number(value.toFixed(digits)));

/** The unit shown behind a field. */
export function unitOf({ kind, unit }: Question, units: Units): string {
  switch (kind) {
    case 'length':
    case 'pot':
      return units.length;
    case 'percent':
      return '%';
    case 'degrees':
      return '°';
    case 'temperature':
      return `°${units.temperature}`;
    default:
      return unit ?? '';
  }
}

/** What a field shows for a stored value. */
export function shown({ kind }: Question, value: unknown, units: Units): string {
  if (value === null || value === undefined) return '';
  if (kind === 'months') return (value as number[]).join(',');
  if (kind === 'time') {
    const minute = value as number;
    return `${Math.floor(minute / 60)}:${String(minute % 60).padStart(2, '0')}`;
  }
  if (typeof value !== 'number' || kind === 'choice') return String(value);
  const inches = units.length === 'in';
  if (kind === 'length') return inches ? tidy((value * CM_PER_M) / CM_PER_INCH, 2) : tidy(value * CM_PER_M, 1);
  if (kind === 'pot') return inches ? tidy(value / CM_PER_INCH, 1) : tidy(value, 1);
  if (kind === 'percent') return tidy(value * 100, 1);
  if (kind === 'temperature') return tidy(units.temperature === 'F' ? celsiusToFahrenheit(value) : value, 1);
  return tidy(value, 4);
}

/** A number as people type it: a comma or a point, blanks around; NaN when it is none. */
export function typedNumber(text: string): number {
  const plain = text.trim().replace(/\s/g, '').replace(',', '.').replace('−', '-');
  return /^[-+]?(\d+\.?\d*|\.\d+)$/.test(plain) ? Number(plain) : NaN;
}

function typedTime(text: string): number {
  const match = /^\s*(\d{1,2})(?:[:.](\d{2}))?\s*$/.exec(text);
  const minute = Number(match?.[2] ?? 0);
  return match && minute < 60 ? Number(match[1]) * 60 + minute : NaN;
}

/** The stored value that a field's text stands for; NaN or an odd text is left for the schema to refuse. */
export function stored({ kind, optional, field }: Question, text: string, units: Units): unknown {
  if (optional && text.trim() === '' && kind !== 'text' && kind !== 'long-text') return null;
  const inches = units.length === 'in';
  switch (kind) {
    case 'length':
      return inches ? (typedNumber(text) * CM_PER_INCH) / CM_PER_M : typedNumber(text) / CM_PER_M;
    case 'pot':
      return inches ? typedNumber(text) * CM_PER_INCH : typedNumber(text);
    case 'percent':
      return typedNumber(text) / 100;
    case 'temperature':
      return units.temperature === 'F' ? fahrenheitToCelsius(typedNumber(text)) : typedNumber(text);
    case 'number':
    case 'degrees':
      return typedNumber(text);
    case 'time':
      return typedTime(text);
    case 'months':
      return text === ''
        ? []
        : text
            .split(',')
            .map(Number)
            .sort((p, q) => p - q);
    case 'choice':
      return field === 'month' ? Number(text) : text;
    default:
      return text;
  }
}

export function valuesOf(questions: readonly Question[], entry: Entry, units: Units): FormValues {
  return Object.fromEntries(
    questions.map((question) => [question.field, shown(question, entry[question.field], units)]),
  );
}

export interface FormReading {
  /** The entry as typed; null while a field cannot be read. */
  readonly entry: Entry | null;
  /** A message by field; what concerns no field on the form is under an empty key. */
  readonly errors: Readonly<Record<string, string>>;
}

/** Reads a form: each field against its schema, then the entry against the rest of the home. */
export function readForm(
  list: FormList | 'home',
  questions: readonly Question[],
  values: FormValues,
  initial: Entry,
  facts: HomeFacts | null,
  units: Units,
): FormReading {
  const asked = questions.filter((question) => question.when?.(values) ?? true);
  const typed = Object.fromEntries(
    asked.map((question) => [question.field, stored(question, values[question.field] ?? '', units)]),
  );
  const errors: Record<string, string> = {};
  const schema = list === 'home' ? homeSchema : factSchemas[list];
  const parsed = schema.safeParse({ ...initial, ...typed });
  if (!parsed.success) {
    for (const issue of parsed.error.issues) {
      const field = String(issue.path[0] ?? '');
      const question = questions.find((candidate) => candidate.field === field);
      errors[question ? field : ''] ??= question ? inUnits(issue, question, units) : issue.message;
    }
    return { entry: null, errors };
  }
  const entry = parsed.data as Entry;
  if (facts && list !== 'home') {
    const next = applied(facts, [{ list, id: entry.id, after: entry } as unknown as Change]);
    const known = new Set(
      problemsOf(facts).map((problem) => JSON.stringify([problem.list, problem.id, problem.field])),
    );
    for (const problem of next ? problemsOf(next) : []) {
      const own = problem.list === list && problem.id === entry.id;
      if (!own && known.has(JSON.stringify([problem.list, problem.id, problem.field]))) continue;
      const here = own && questions.some((question) => question.field === problem.field);
      const owner = own || problem.list === 'home' ? '' : `${nameOf(next!, problem.list, problem.id)}: `;
      errors[here ? problem.field : ''] ??= `${owner}${problem.message}`;
    }
  }
  return { entry, errors };
}

function nameOf(facts: HomeFacts, list: FactList, id: string): string {
  const found = (facts[list] as readonly { id: string; name?: string }[]).find((entry) => entry.id === id);
  return found?.name ?? list;
}

interface Issue {
  readonly code?: string | undefined;
  readonly message: string;
  readonly minimum?: unknown;
  readonly maximum?: unknown;
}

const BOUNDS = /^(?:A number\. )?From (-?[\d.]+) to (-?[\d.]+)/;

/** A range message of the schema, which speaks SI, in the unit the form shows. */
function inUnits(issue: Issue, question: Question, units: Units): string {
  const bounds = BOUNDS.exec(issue.message);
  if (!bounds || !['length', 'pot', 'temperature'].includes(question.kind)) return issue.message;
  const [from, to] = [Number(bounds[1]), Number(bounds[2])].map((value) => shown(question, value, units));
  return `From ${from} to ${to} ${unitOf(question, units)}.`;
}
