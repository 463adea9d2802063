/**
 * What a fact's form knows: what is typed over what is stored, what has changed elsewhere meanwhile, and how it is
 * saved.
 */
import { suggestedClimate } from '@dulvan/catalogue';
import { fieldsBetween, patch, put, type Change, type ChangeList, type EntryOf, type HomeFacts } from '@dulvan/core';
import { useMemo } from 'react';
import { typedNumber } from '../parts/typed-number';
import { useDrafts } from '../state/drafts';
import { useHome } from '../state/home';
import { useUnits } from '../state/settings';
import { dateAt } from '../state/year';
import { FORM_SPECS, type FormList } from './form-specs';
import { formSchema, valuesOf, type Entry } from './form-values';
import { typedIn, useDraftForm, type DraftForm, type FormValues } from '../parts/use-draft-form';

export interface FactFormGiven {
  readonly list: FormList | 'home';
  readonly initial: object & { readonly id: string };
  readonly isNew: boolean;
}

/**
 * What a draft remembers beside what is typed: the revision it began on, and what each field showed when it was first
 * touched.
 */
const BASE = '@revision';
const seenKey = (field: string) => `@seen ${field}`;

export interface FactForm extends Omit<DraftForm<Entry>, 'submit' | 'takeStored'> {
  /** Fields that were typed here and have become another elsewhere, with what stands there now. */
  readonly elsewhere: Readonly<Record<string, string>>;
  /** Takes what stands there now in place of what was typed. */
  takeTheirs(field: string): void;
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

/** What was seen of a plant, with the field that says when. */
const SEEN_ON: Readonly<Record<string, string>> = { stage: 'stageSeenOn', growthState: 'stateSeenOn' };

interface Suggesting {
  readonly list: ChangeList;
  readonly facts: HomeFacts | null;
  readonly isTouched: DraftForm<Entry>['isTouched'];
}

/**
 * A new place suggests its weather until the grower has chosen one; what is said to be seen of a plant was seen today.
 */
function suggestedBy({ list, facts, isTouched }: Suggesting, field: string, value: string) {
  const seenOn = list === 'plants' ? SEEN_ON[field] : undefined;
  if (seenOn && facts) return isTouched(seenOn) ? null : { field: seenOn, value: dateAt(facts, Date.now()) };
  if (list !== 'home' || field !== 'latitude' || isTouched('climateId')) return null;
  const latitude = typedNumber(value);
  return Math.abs(latitude) <= 90 ? { field: 'climateId', value: suggestedClimate(latitude) } : null;
}

/** What was shown of changes elsewhere counts as seen: who saves again means it. */
function seeTheirs(draftKey: string, stored: FormValues): void {
  const { drafts, put: keepDraft } = useDrafts.getState();
  const seen = Object.keys(typedIn(drafts[draftKey])).map((field) => [seenKey(field), stored[field] ?? '']);
  const base = String(useHome.getState().revision);
  keepDraft(draftKey, { ...drafts[draftKey], ...Object.fromEntries(seen), [BASE]: base });
}

export function useFactForm(given: FactFormGiven): FactForm {
  const { list, initial, isNew } = given;
  const { items, noun } = FORM_SPECS[list];
  const entry = initial as Entry;
  const units = useUnits();
  const facts = useHome((state) => state.facts);
  const revision = useHome((state) => state.revision);
  const attempt = useHome((state) => state.attempt);
  const draftKey = isNew ? `${list}/new` : `${list}/${initial.id}`;
  const draft = useDrafts((state) => state.drafts[draftKey]);
  const keepDraft = useDrafts((state) => state.put);
  const stored = useMemo(() => valuesOf(list, items, entry, units), [list, items, entry, units]);
  const schema = useMemo(
    () => formSchema({ list, items, initial: entry, facts, units }),
    [list, items, entry, facts, units],
  );
  const { submit, takeStored, ...form } = useDraftForm({ draftKey, stored, schema });

  const keep = async (filled: Entry) => {
    const change = changeOf(list, entry, filled, isNew);
    if (!change) return null;
    const summary = `${isNew ? 'Added' : 'Changed'} the ${noun}${wordOf(filled)}`;
    // A draft that was begun on an earlier revision is held against all that has changed since.
    const base = Number(draft?.[BASE] ?? revision);
    const options = { ...(isNew ? {} : { base }), ...(list === 'home' ? { homeId: filled.id } : {}) };
    const refused = await attempt(summary, [change], options);
    if (!refused?.conflicts) return refused;
    seeTheirs(draftKey, stored);
    return { message: `${refused.message} See the fields marked above; save again to put yours in their place.` };
  };

  return {
    ...form,
    elsewhere: changedElsewhere(stored, draft ?? {}),
    setValue(field, value) {
      const begun = { [BASE]: String(revision), [seenKey(field)]: stored[field] ?? '' };
      keepDraft(draftKey, { ...begun, ...useDrafts.getState().drafts[draftKey] });
      form.setValue(field, value);
      const suggested = suggestedBy({ list, facts, isTouched: form.isTouched }, field, value);
      if (suggested) form.suggest(suggested.field, suggested.value);
    },
    takeTheirs(field) {
      takeStored(field);
      const { [seenKey(field)]: _seen, ...rest } = useDrafts.getState().drafts[draftKey] ?? {};
      if (Object.keys(rest).length > 0) keepDraft(draftKey, rest);
    },
    save: () => submit(keep),
  };
}

/** Fields that show another value now than when they were first touched, and another one than was typed. */
function changedElsewhere(storedValues: FormValues, draft: FormValues): Record<string, string> {
  return Object.fromEntries(
    Object.entries(typedIn(draft))
      .filter(([field, typed]) => {
        const seen = draft[seenKey(field)];
        const now = storedValues[field] ?? '';
        return seen !== undefined && seen !== now && typed !== now;
      })
      .map(([field]) => [field, storedValues[field] ?? '']),
  );
}
