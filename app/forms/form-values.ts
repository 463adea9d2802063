/** Turns an entry into what a form shows and back: text in the grower's units on one side, facts in SI on the other. */
import { entrySchema } from '@dulvan/contract';
import {
  applied,
  celsiusToFahrenheit,
  clockOf,
  fahrenheitToCelsius,
  problemsOf,
  put,
  type FactList,
  type HomeFacts,
  type Problem,
} from '@dulvan/core';
import type { ZodType } from 'zod';
import { minuteOfClock } from '../parts/clock';
import { typedNumber } from '../parts/typed-number';
import { CM_PER_INCH } from '../parts/words';
import type { Units } from '../state/settings';
import type { FormItem } from './form-item';
import { WHOLE_FORM, typedSchema } from '../parts/typed-schema';
import type { FormValues } from '../parts/use-draft-form';
import type { FormList } from './form-specs';
import * as timerTimes from './timer-times';
import * as windowCurtains from './window-curtains';
import { FORM_VALUES as WORDS } from './form-words';

export type Entry = Readonly<Record<string, unknown>> & { readonly id: string };

const CM_PER_M = 100;

const tidy = (value: number, digits: number) => String(Number(value.toFixed(digits)));

/** Entries that a form asks for in another shape than they are kept in. */
const SHAPES: Partial<Record<FormList | 'home', Pick<typeof windowCurtains, 'asked' | 'kept'>>> = {
  windows: { asked: windowCurtains.asked, kept: windowCurtains.kept },
  circuits: { asked: timerTimes.asked, kept: timerTimes.kept },
};

/** An entry as its form asks for it. */
const asForm = (list: FormList | 'home', entry: Entry): Entry => {
  const shape = SHAPES[list];
  return shape ? (shape.asked(entry) as Entry) : entry;
};

/** An entry as it is kept, from what its form asked for. */
const asKept = (list: FormList | 'home', form: Readonly<Record<string, unknown>>) => SHAPES[list]?.kept(form) ?? form;

/** The unit shown behind a field. */
export function unitOf({ kind, unit }: FormItem, units: Units): string {
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
function shown({ kind }: FormItem, value: unknown, units: Units): string {
  if (value === null || value === undefined) return '';
  if (kind === 'months') return (value as number[]).join(',');
  if (kind === 'time' || kind === 'time-until') {
    return clockOf(value as number);
  }
  if (typeof value !== 'number' || kind === 'choice') return String(value);
  const inches = units.length === 'in';
  if (kind === 'length') return inches ? tidy((value * CM_PER_M) / CM_PER_INCH, 2) : tidy(value * CM_PER_M, 1);
  if (kind === 'pot') return inches ? tidy(value / CM_PER_INCH, 1) : tidy(value, 1);
  if (kind === 'percent') return tidy(value * 100, 1);
  if (kind === 'temperature') return tidy(units.temperature === 'F' ? celsiusToFahrenheit(value) : value, 1);
  return tidy(value, 4);
}

/** The stored value that a field's text stands for; NaN or an odd text is left for the schema to refuse. */
function stored({ kind, optional, field }: FormItem, text: string, units: Units): unknown {
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
    case 'time-until':
      return minuteOfClock(text);
    case 'months':
      return typedMonths(text);
    case 'choice':
      return field === 'month' ? Number(text) : text;
    default:
      return text;
  }
}

const typedMonths = (text: string) =>
  text === ''
    ? []
    : text
        .split(',')
        .map(Number)
        .sort((p, q) => p - q);

/** What a form shows for an entry. */
export function valuesOf(list: FormList | 'home', items: readonly FormItem[], entry: Entry, units: Units): FormValues {
  const form = asForm(list, entry);
  return Object.fromEntries(items.map((item) => [item.field, shown(item, form[item.field], units)]));
}

/** What a form is read with. */
export interface FormContext {
  readonly list: FormList | 'home';
  readonly items: readonly FormItem[];
  /** The entry as it is stored, or as a new one begins. */
  readonly initial: Entry;
  readonly facts: HomeFacts | null;
  readonly units: Units;
}

/** Reads a form: each field against the contract's schema, then the entry against the rest of the home. */
export function formSchema(context: FormContext): ZodType<Entry, FormValues> {
  const { list, items, units } = context;
  return typedSchema((values, addIssue) => {
    const tell = (field: string, message: string) =>
      addIssue(items.some((item) => item.field === field) ? field : WHOLE_FORM, message);
    const form = typedForm(context, values);
    const parsed = entrySchema(list).safeParse(asKept(list, form));
    if (parsed.success) {
      const entry = parsed.data as unknown as Entry;
      for (const [field, message] of contradictions(context, form, entry)) tell(field, message);
      return entry;
    }
    for (const issue of parsed.error.issues) {
      const first = String(issue.path[0] ?? '');
      const field = first === 'curtains' ? windowCurtains.fieldOf(form, issue.path, issue.message) : first;
      const item = items.find((candidate) => candidate.field === field);
      tell(field, item ? inUnits(issue, item, units) : issue.message);
    }
    return null;
  });
}

/** The entry in its form's shape, with what is typed in place of what it began with. */
function typedForm({ list, items, initial, units }: FormContext, values: FormValues): Entry {
  const asked = items.filter((item) => item.when?.(values) ?? true);
  const typed = asked.map((item) => [item.field, stored(item, values[item.field] ?? '', units)]);
  return { ...asForm(list, initial), ...Object.fromEntries(typed) } as Entry;
}

/** What would contradict the rest of the home, with its field; what contradicted it before is left alone. */
function contradictions({ list, facts }: FormContext, form: Entry, entry: Entry): (readonly [string, string])[] {
  if (!facts || list === 'home') return [];
  const next = applied(facts, [put(list, entry as never)]) ?? facts;
  const changed = [{ list, id: entry.id }];
  const known = new Set(problemsOf(facts, changed).map(keyOf));
  return problemsOf(next, changed).flatMap((problem) => {
    const own = problem.list === list && problem.id === entry.id;
    if (!own && known.has(keyOf(problem))) return [];
    const field =
      problem.field === 'curtains' ? windowCurtains.fieldOf(form, ['curtains'], problem.message) : problem.field;
    const owner = own || problem.list === 'home' ? '' : `${nameOf(next, problem.list, problem.id)}: `;
    return [[own ? field : WHOLE_FORM, `${owner}${problem.message}`] as const];
  });
}

const keyOf = ({ list, id, field }: Problem) => `${list}/${id}/${field}`;

function nameOf(facts: HomeFacts, list: FactList, id: string): string {
  const found = (facts[list] as readonly { id: string; name?: string }[]).find((entry) => entry.id === id);
  return found?.name ?? list;
}

interface Issue {
  readonly message: string;
}

const BOUNDS = /^(?:A number\. )?From (-?[\d.]+) to (-?[\d.]+)/;

/** A range message of the schema, which speaks SI, in the unit the form shows. */
function inUnits(issue: Issue, item: FormItem, units: Units): string {
  const bounds = BOUNDS.exec(issue.message);
  if (!bounds || !['length', 'pot', 'temperature'].includes(item.kind)) return issue.message;
  const [from, to] = [Number(bounds[1]), Number(bounds[2])].map((value) => shown(item, value, units));
  return WORDS.range(from, to, unitOf(item, units));
}
