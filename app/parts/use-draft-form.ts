/**
 * A form that outlives its screen: react-hook-form over what is stored, every answer typed kept as a draft until it is
 * saved.
 */
import { zodResolver } from '@hookform/resolvers/zod';
import { useEffect, useMemo, useState } from 'react';
import { useForm, useWatch, type Control } from 'react-hook-form';
import type { ZodType } from 'zod';
import { useDrafts } from '../state/drafts';

/** What is typed, by field. */
export type FormValues = Readonly<Record<string, string>>;

interface Given<Entry> {
  /** Where the draft is kept. */
  readonly draftKey: string;
  /** What stands in the fields that are not typed into: it may change while the form is open. */
  readonly stored: FormValues;
  /** Reads what is typed; its messages are shown beside the fields they name. */
  readonly schema: ZodType<Entry, FormValues>;
}

interface Refused {
  readonly message: string;
}

export interface DraftForm<Entry> {
  readonly control: Control<FormValues, unknown, Entry>;
  readonly values: FormValues;
  /** The entry as typed; null while a field cannot be read. */
  readonly entry: Entry | null;
  /** A message by field. */
  readonly errors: Readonly<Record<string, string>>;
  readonly changed: boolean;
  /** Why what was handed over was not kept; null while nothing was, or something was typed since. */
  readonly refusal: string | null;
  /** Whether something is being saved. */
  readonly saving: boolean;
  /** Whether a save was asked for: all that is wrong is told then. */
  readonly submitted: boolean;
  isTouched(field: string): boolean;
  setValue(field: string, value: string): void;
  /** Fills a field in for the grower: it counts as typed, but not as touched. */
  suggest(field: string, value: string): void;
  /** Puts what is stored in place of what was typed. */
  takeStored(field: string): void;
  startOver(): void;
  /** Hands over the entry if all can be read. @param keep says why it refuses it @returns whether it is kept */
  submit(keep: (entry: Entry) => Promise<Refused | null>): Promise<boolean>;
}

/** Fields of a draft that begin so are not typed: what the form remembers beside them. */
const MARK = '@';

/** What is typed of a draft. */
export const typedIn = (draft: FormValues | undefined): FormValues =>
  Object.fromEntries(Object.entries(draft ?? {}).filter(([field]) => !field.startsWith(MARK)));

/** Of what is typed that which a form asks for: a draft may hold more than one form's. */
const onlyOf = (stored: FormValues, typed: FormValues): FormValues =>
  Object.fromEntries(Object.entries(typed).filter(([field]) => field in stored));

/** Takes one field out of a draft, and with its last one the draft. */
function forgetTyped(draftKey: string, field: string): void {
  const { drafts, put, drop } = useDrafts.getState();
  const { [field]: _typed, ...rest } = drafts[draftKey] ?? {};
  if (Object.keys(typedIn(rest)).length > 0) put(draftKey, rest);
  else drop(draftKey);
}

/** A reset of the grower's own: nothing typed is kept. */
const ALL = { keepDirtyValues: false };

export function useDraftForm<Entry>({ draftKey, stored, schema }: Given<Entry>): DraftForm<Entry> {
  const draft = useDrafts((state) => state.drafts[draftKey]);
  const [begun] = useState(() => ({ ...stored, ...onlyOf(stored, typedIn(draft)) }));
  const [refusal, setRefusal] = useState<string | null>(null);
  const form = useForm<FormValues, unknown, Entry>({
    defaultValues: stored,
    values: stored,
    resetOptions: { keepDirtyValues: true },
    resolver: zodResolver(schema),
  });
  const { control, formState } = form;
  const { touchedFields, dirtyFields, isSubmitted, isSubmitting } = formState;
  // What was typed before a reload goes back into its fields, once.
  useEffect(() => {
    const typed = Object.entries(begun).filter(([field, value]) => value !== stored[field]);
    for (const [field, value] of typed) form.setValue(field, value, { shouldDirty: true, shouldTouch: true });
    // eslint-disable-next-line react-hooks/exhaustive-deps -- only when the form opens
  }, []);
  const put = (field: string, value: string, by: 'touched' | 'untouched') => {
    setRefusal(null);
    form.setValue(field, value, { shouldDirty: true, shouldTouch: by === 'touched' });
    const kept = useDrafts.getState().drafts[draftKey];
    useDrafts.getState().put(draftKey, { ...kept, [field]: value });
  };
  // What is watched comes as a new record at each rendering; it is another only when something in it is.
  const typed = JSON.stringify({ ...begun, ...(useWatch({ control }) as FormValues) });
  const values = useMemo(() => JSON.parse(typed) as FormValues, [typed]);
  const parsed = useMemo(() => schema.safeParse(values), [schema, values]);
  return {
    control,
    values,
    entry: parsed.success ? parsed.data : null,
    errors: parsed.success ? {} : messagesOf(parsed.error.issues),
    changed: Object.keys(dirtyFields).length > 0 || Object.keys(typedIn(draft)).length > 0,
    refusal,
    saving: isSubmitting,
    submitted: isSubmitted,
    isTouched: (field) => Boolean((touchedFields as Record<string, unknown>)[field]),
    setValue: (field, value) => put(field, value, 'touched'),
    suggest: (field, value) => put(field, value, 'untouched'),
    takeStored(field) {
      form.setValue(field, stored[field] ?? '', { shouldDirty: true });
      forgetTyped(draftKey, field);
    },
    startOver() {
      setRefusal(null);
      useDrafts.getState().drop(draftKey);
      form.reset(stored, ALL);
    },
    async submit(keep) {
      let kept = false;
      await form.handleSubmit(async (entry) => {
        const refused = await keep(entry);
        setRefusal(refused?.message ?? null);
        kept = refused === null;
      })();
      if (!kept) return false;
      useDrafts.getState().drop(draftKey);
      form.reset(form.getValues(), ALL);
      return true;
    },
  };
}

/** The first message of each field. */
function messagesOf(issues: readonly { readonly path: readonly PropertyKey[]; readonly message: string }[]) {
  const errors: Record<string, string> = {};
  for (const { path, message } of issues) errors[String(path[0] ?? '')] ??= message;
  return errors;
}
