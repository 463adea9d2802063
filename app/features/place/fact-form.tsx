/** The form for any one fact: shows its effect while it is filled in, says beside the field what cannot be, keeps what is typed. */
import type { Change } from '@dulvan/contract';
import { suggestedClimate } from '@dulvan/catalogue';
import { useEffect, useMemo, useState } from 'react';
import { View } from 'react-native';
import { useDrafts } from '../../state/drafts';
import { useHome } from '../../state/home';
import { useUnits } from '../../state/settings';
import { Button } from '../../ui/button';
import { Choices, MonthBoxes } from '../../ui/choices';
import { Field } from '../../ui/field';
import { SPACE } from '../../ui/theme';
import { Body, Small, Strong } from '../../ui/type';
import { useInk } from '../../ui/use-ink';
import { FORM_SPECS, type FormList, type Question } from './form-specs';
import { readForm, typedNumber, unitOf, valuesOf, type Entry, type FormValues } from './form-values';

interface Given {
  readonly list: FormList | 'home';
  readonly initial: object & { readonly id: string };
  readonly isNew?: boolean;
  readonly onSaved?: (id: string) => void;
  /** The entry as far as it can be read, whenever it changes: for a drawing beside the form. Must keep its identity. */
  readonly onPreview?: (change: Change | null) => void;
}

export function FactForm({ list, initial, isNew = false, onSaved, onPreview }: Given) {
  const { danger } = useInk();
  const { questions, noun, caution } = FORM_SPECS[list];
  const units = useUnits();
  const facts = useHome((state) => state.facts);
  const change = useHome((state) => state.change);
  const draftKey = isNew ? `${list}/new` : `${list}/${initial.id}`;
  const draft = useDrafts((state) => state.drafts[draftKey]);
  const { put, drop } = useDrafts.getState();
  const [refusal, setRefusal] = useState<string | null>(null);
  const [saving, setSaving] = useState<'no' | 'yes'>('no');
  const [touched, setTouched] = useState<ReadonlySet<string>>(new Set());
  const entry0 = initial as Entry;
  const values: FormValues = useMemo(
    () => ({ ...valuesOf(questions, entry0, units), ...draft }),
    [questions, entry0, units, draft],
  );
  const reading = useMemo(
    () => readForm(list, questions, values, entry0, facts, units),
    [list, questions, values, entry0, facts, units],
  );
  const changed = draft !== undefined;
  useEffect(() => {
    const fits = reading.entry && Object.keys(reading.errors).length === 0;
    onPreview?.(changed && fits ? ({ list, id: entry0.id, after: reading.entry } as unknown as Change) : null);
  }, [reading, changed, list, entry0.id, onPreview]);

  const setValue = (field: string, value: string) => {
    setRefusal(null);
    setTouched((before) => new Set(before).add(field));
    const next: Record<string, string> = { ...values, [field]: value };
    // A new place suggests its weather until the grower has chosen one.
    if (list === 'home' && field === 'latitude' && !touched.has('climateId')) {
      const latitude = typedNumber(value);
      if (Math.abs(latitude) <= 90) next.climateId = suggestedClimate(latitude);
    }
    put(draftKey, next);
  };

  const save = async () => {
    setTouched(new Set(questions.map((question) => question.field)));
    if (!reading.entry || Object.keys(reading.errors).length > 0) {
      setRefusal('Some answers cannot be kept yet: they are marked above.');
      return;
    }
    setSaving('yes');
    const name = 'name' in reading.entry && reading.entry.name ? ` ${String(reading.entry.name)}` : '';
    const refused = await change(
      `${isNew ? 'Added' : 'Changed'} the ${noun}${name}`,
      [{ list, id: entry0.id, after: reading.entry } as unknown as Change],
      list === 'home' ? entry0.id : undefined,
    );
    setSaving('no');
    if (refused) {
      setRefusal(refused.message);
      return;
    }
    drop(draftKey);
    onSaved?.(entry0.id);
  };

  const asked = questions.filter((question) => question.when?.(values) ?? true);
  const ownError = reading.errors[''];
  return (
    <View style={{ gap: SPACE.m }}>
      {caution ? <Small>{caution}</Small> : null}
      {asked.map((question) => (
        <QuestionField
          key={question.field}
          question={question}
          value={values[question.field] ?? ''}
          choices={question.choices?.(facts, { ...entry0, ...values }) ?? []}
          unit={unitOf(question, units)}
          error={touched.has(question.field) || !isNew ? reading.errors[question.field] : undefined}
          onValue={(value) => setValue(question.field, value)}
        />
      ))}
      {ownError ? <Body style={{ color: danger }}>✕ {ownError}</Body> : null}
      {refusal ? (
        <View role="alert">
          <Body style={{ color: danger }}>✕ {refusal}</Body>
        </View>
      ) : null}
      <View style={{ flexDirection: 'row', gap: SPACE.s, flexWrap: 'wrap' }}>
        <Button kind="main" onPress={() => void save()} disabled={saving === 'yes' || (!changed && !isNew)}>
          {isNew ? `Add this ${noun}` : 'Save'}
        </Button>
        {changed ? (
          <Button
            onPress={() => {
              drop(draftKey);
              setRefusal(null);
            }}
          >
            Start over
          </Button>
        ) : null}
      </View>
    </View>
  );
}

interface QuestionGiven {
  readonly question: Question;
  readonly value: string;
  readonly choices: readonly { readonly value: string; readonly word: string }[];
  readonly unit: string;
  readonly error: string | undefined;
  readonly onValue: (value: string) => void;
}

function QuestionField({ question, value, choices, unit, error, onValue }: QuestionGiven) {
  const { danger } = useInk();
  const { kind, label, help } = question;
  if (kind === 'choice' || kind === 'months') {
    return (
      <View style={{ gap: SPACE.xs }}>
        <Strong>{label}</Strong>
        {kind === 'choice' ? (
          <Choices label={label} choices={choices} value={value} onValue={onValue} />
        ) : (
          <MonthBoxes
            label={label}
            months={value === '' ? [] : value.split(',').map(Number)}
            onMonths={(months) => onValue(months.join(','))}
          />
        )}
        {error ? <Small style={{ color: danger }}>✕ {error}</Small> : help ? <Small>{help}</Small> : null}
      </View>
    );
  }
  const fieldKind =
    kind === 'long-text' ? 'long' : kind === 'text' || kind === 'date' || kind === 'time' ? 'text' : 'number';
  return <Field label={label} value={value} onValue={onValue} unit={unit} help={help} error={error} kind={fieldKind} />;
}
