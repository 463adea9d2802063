/** What a fact's form knows: what is typed over what is stored, what has changed elsewhere meanwhile, and how it is saved. */
import { suggestedClimate } from '@dulvan/catalogue';
import { fieldsBetween, patch, put, type Change, type EntryOf, type ChangeList } from '@dulvan/core';
import { useMemo, useState } from 'react';
import { typedNumber } from '../parts/typed-number';
import { useDrafts } from '../state/drafts';
import { useHome } from '../state/home';
import { useUnits } from '../state/settings';
import { FORM_SPECS, type FormList } from './form-specs';
import { readForm, valuesOf, type Entry, type FormValues, type ParsedForm } from './form-values';

export interface FactFormGiven {
  readonly list: FormList | 'home';
  readonly initial: object & { readonly id: string };
  readonly isNew: boolean;
}

/** Fields of a draft that are not typed: the revision it began on, and what each field showed when it was first touched. */
const BASE = '@revision';
const seenKey = (field: string) => `@seen ${field}`;
const isTyped = ([key]: [string, string]) => !key.startsWith('@');

export interface FactFormState {
  readonly values: FormValues;
  readonly parsed: ParsedForm;
  readonly changed: boolean;
  /** Fields that were typed here and have become another elsewhere, with what stands there now. */
  readonly elsewhere: Readonly<Record<string, string>>;
  readonly refusal: string | null;
  readonly saving: boolean;
  isTouched(field: string): boolean;
  setValue(field: string, value: string): void;
  /** Takes what stands there now in place of what was typed. */
  takeTheirs(field: string): void;
  startOver(): void;
  /** Saves what differs. @returns whether it is stored */
  save(): Promise<boolean>;
}

const wordOf = (entry: Entry) => ('name' in entry && entry.name ? ` ${String(entry.name)}` : '');

/** The change that a form makes: a new entry whole, of a stored one the fields that differ. */
export function changeOf(list: ChangeList, initial: Entry, entry: Entry, isNew: boolean): Change | null {
  if (isNew) return put(list, entry as unknown as EntryOf<ChangeList>);
  const fields = fieldsBetween(initial, entry);
  return Object.keys(fields).length > 0 ? patch(list, entry.id, fields) : null;
}

/** What is typed over what is stored: kept as a draft, read, and held against what has changed elsewhere. */
function useTyped({ list, initial, isNew }: FactFormGiven) {
  const { items } = FORM_SPECS[list];
  const units = useUnits();
  const facts = useHome((state) => state.facts);
  const revision = useHome((state) => state.revision);
  const draftKey = isNew ? `${list}/new` : `${list}/${initial.id}`;
  const draft = useDrafts((state) => state.drafts[draftKey]);
  const { put: keepDraft, drop: dropDraft } = useDrafts.getState();
  const [touched, setTouched] = useState<ReadonlySet<string>>(new Set());
  const entry = initial as Entry;
  const stored = useMemo(() => valuesOf(list, items, entry, units), [list, items, entry, units]);
  const typed = useMemo(() => Object.fromEntries(Object.entries(draft ?? {}).filter(isTyped)), [draft]);
  const values: FormValues = useMemo(() => ({ ...stored, ...typed }), [stored, typed]);
  const parsed = useMemo(
    () => readForm({ list, items, initial: entry, facts, units }, values),
    [list, items, values, entry, facts, units],
  );
  const elsewhere = useMemo(() => changedElsewhere(stored, draft ?? {}), [stored, draft]);
  return {
    values,
    parsed,
    elsewhere,
    changed: draft !== undefined,
    /** A draft that was begun on an earlier revision is held against all that has changed since. */
    base: Number(draft?.[BASE] ?? revision),
    isTouched: (field: string) => touched.has(field),
    touchAll: () => setTouched(new Set(items.map((item) => item.field))),
    drop: () => dropDraft(draftKey),
    setValue(field: string, value: string) {
      setTouched((before) => new Set(before).add(field));
      const begun = { [BASE]: String(revision), [seenKey(field)]: stored[field] ?? '' };
      const next = { ...begun, ...draft, [field]: value };
      keepDraft(draftKey, { ...next, ...suggestedBy(list, field, value, touched) });
    },
    takeTheirs(field: string) {
      const { [field]: _mine, [seenKey(field)]: _seen, ...rest } = draft ?? {};
      if (Object.entries(rest).some(isTyped)) keepDraft(draftKey, rest);
      else dropDraft(draftKey);
    },
    /** What was shown of changes elsewhere counts as seen: who saves again means it. */
    seeTheirs() {
      const seen = Object.fromEntries(Object.keys(typed).map((field) => [seenKey(field), stored[field] ?? '']));
      keepDraft(draftKey, { ...draft, ...seen, [BASE]: String(useHome.getState().revision) });
    },
  };
}

const today = () => new Date().toISOString().slice(0, 10);

/** A new place suggests its weather until the grower has chosen one, and a stage that is chosen was seen today. */
function suggestedBy(list: ChangeList, field: string, value: string, touched: ReadonlySet<string>): FormValues {
  if (list === 'plants' && field === 'stage' && !touched.has('stageSeenOn')) return { stageSeenOn: today() };
  if (list !== 'home' || field !== 'latitude' || touched.has('climateId')) return {};
  const latitude = typedNumber(value);
  return Math.abs(latitude) <= 90 ? { climateId: suggestedClimate(latitude) } : {};
}

export function useFactForm(given: FactFormGiven): FactFormState {
  const { list, initial, isNew } = given;
  const attempt = useHome((state) => state.attempt);
  const [refusal, setRefusal] = useState<string | null>(null);
  const [saving, setSaving] = useState(false);
  const { base, touchAll, drop, seeTheirs, setValue, ...typed } = useTyped(given);

  const save = async () => {
    touchAll();
    const { entry, errors } = typed.parsed;
    if (!entry || Object.keys(errors).length > 0) {
      setRefusal('Some answers cannot be kept yet: they are marked above.');
      return false;
    }
    const change = changeOf(list, initial as Entry, entry, isNew);
    if (change) {
      setSaving(true);
      const summary = `${isNew ? 'Added' : 'Changed'} the ${FORM_SPECS[list].noun}${wordOf(entry)}`;
      const options = { ...(isNew ? {} : { base }), ...(list === 'home' ? { homeId: entry.id } : {}) };
      const refused = await attempt(summary, [change], options);
      setSaving(false);
      if (refused) {
        const again = ' See the fields marked above; save again to put yours in their place.';
        setRefusal(`${refused.message}${refused.conflicts ? again : ''}`);
        if (refused.conflicts) seeTheirs();
        return false;
      }
    }
    drop();
    return true;
  };

  return {
    ...typed,
    refusal,
    saving,
    setValue(field, value) {
      setRefusal(null);
      setValue(field, value);
    },
    startOver() {
      drop();
      setRefusal(null);
    },
    save,
  };
}

/** Fields that show another value now than when they were first touched, and another one than was typed. */
function changedElsewhere(storedValues: FormValues, draft: FormValues): Record<string, string> {
  return Object.fromEntries(
    Object.entries(draft)
      .filter(isTyped)
      .filter(([field, typed]) => {
        const seen = draft[seenKey(field)];
        const now = storedValues[field] ?? '';
        return seen !== undefined && seen !== now && typed !== now;
      })
      .map(([field]) => [field, storedValues[field] ?? '']),
  );
}
