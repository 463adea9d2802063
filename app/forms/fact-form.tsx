/** The form for any one fact: shows its effect while it is filled in, says beside the field what cannot be, keeps what is typed. */
import { doubtsOf, type Change } from '@dulvan/core';
import { useEffect } from 'react';
import { View } from 'react-native';
import { useHome } from '../state/home';
import { useUnits } from '../state/settings';
import { Button } from '../ui/button';
import { Choices, MonthBoxes } from '../ui/choices';
import { Field } from '../ui/field';
import { Row } from '../ui/page';
import { SPACE } from '../ui/theme';
import { Body, Small, Strong } from '../ui/type';
import { useInk } from '../ui/use-ink';
import type { FormItem } from './form-item';
import { FORM_SPECS, type FormList } from './form-specs';
import { unitOf, type Entry } from './form-values';
import { changeOf, useFactForm, type FactFormState } from './use-fact-form';

interface Given {
  readonly list: FormList | 'home';
  readonly initial: object & { readonly id: string };
  readonly isNew?: boolean;
  readonly onSaved?: (id: string) => void;
  /** The entry as far as it can be read, whenever it changes: for a drawing beside the form. Must keep its identity. */
  readonly onPreview?: (change: Change | null) => void;
}

export function FactForm({ list, initial, isNew = false, onSaved, onPreview }: Given) {
  const { items, noun, caution } = FORM_SPECS[list];
  const facts = useHome((state) => state.facts);
  const form = useFactForm({ list, initial, isNew });
  const { parsed, changed, values } = form;
  useEffect(() => {
    const fits = parsed.entry && Object.keys(parsed.errors).length === 0;
    onPreview?.(changed && fits ? changeOf(list, initial as Entry, parsed.entry, isNew) : null);
  }, [parsed, changed, list, initial, isNew, onPreview]);
  const save = async () => {
    if (await form.save()) onSaved?.(initial.id);
  };
  const doubts = facts && parsed.entry && changed ? doubtsOf(facts, list, parsed.entry as never) : [];
  const asked = items.filter((item) => item.when?.(values) ?? true);
  return (
    <View style={{ gap: SPACE.m }}>
      {caution ? <Small>{caution}</Small> : null}
      {asked.map((item) => (
        <View key={item.field} style={{ gap: SPACE.xs }}>
          <ItemInput
            item={item}
            value={values[item.field] ?? ''}
            choices={item.choices?.(facts, { ...initial, ...values }) ?? []}
            error={form.isTouched(item.field) || !isNew ? parsed.errors[item.field] : undefined}
            onValue={(value) => form.setValue(item.field, value)}
          />
          <Elsewhere item={item} form={form} facts={facts} initial={initial} />
          {doubts
            .filter((doubt) => doubt.field === item.field)
            .map(({ message }) => (
              <View key={message} role="status">
                <Small>{`? ${message} It can be kept as it is.`}</Small>
              </View>
            ))}
        </View>
      ))}
      <Refused form={form} />
      <Row>
        <Button kind="main" onPress={() => void save()} disabled={form.saving || (!changed && !isNew)}>
          {isNew ? `Add this ${noun}` : 'Save'}
        </Button>
        {changed ? <Button onPress={form.startOver}>Start over</Button> : null}
      </Row>
    </View>
  );
}

function Refused({ form: { parsed, refusal } }: { readonly form: FactFormState }) {
  const { danger } = useInk();
  const ownError = parsed.errors[''];
  return (
    <>
      {ownError ? <Body style={{ color: danger }}>✕ {ownError}</Body> : null}
      {refusal ? (
        <View role="alert">
          <Body style={{ color: danger }}>✕ {refusal}</Body>
        </View>
      ) : null}
    </>
  );
}

interface ElsewhereGiven {
  readonly item: FormItem;
  readonly form: FactFormState;
  readonly facts: Parameters<NonNullable<FormItem['choices']>>[0];
  readonly initial: object;
}

/** Said beside a field that was changed in another tab or on another device while it was being typed here. */
function Elsewhere({ item, form, facts, initial }: ElsewhereGiven) {
  const { danger } = useInk();
  const units = useUnits();
  const theirs = form.elsewhere[item.field];
  if (theirs === undefined) return null;
  const word = item.choices?.(facts, { ...initial }).find((choice) => choice.value === theirs)?.word;
  const unit = unitOf(item, units);
  const typed = item.kind === 'text' ? `“${theirs}”` : theirs;
  const now = `${word ?? (theirs ? typed : 'nothing')}${word === undefined && theirs && unit ? ` ${unit}` : ''}`;
  return (
    <View role="status" style={{ gap: SPACE.xs }}>
      <Small style={{ color: danger }}>{`! Changed elsewhere meanwhile: it is ${now} now. Yours is kept here.`}</Small>
      <Button
        style={{ alignSelf: 'flex-start' }}
        label={`Take ${now} for ${item.label}`}
        onPress={() => form.takeTheirs(item.field)}
      >
        {`Take ${now}`}
      </Button>
    </View>
  );
}

interface ItemGiven {
  readonly item: FormItem;
  readonly value: string;
  readonly choices: readonly { readonly value: string; readonly word: string }[];
  readonly error: string | undefined;
  readonly onValue: (value: string) => void;
}

function ItemInput({ item, value, choices, error, onValue }: ItemGiven) {
  const { danger } = useInk();
  const units = useUnits();
  const { kind, label, help } = item;
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
  const unit = unitOf(item, units);
  return <Field label={label} value={value} onValue={onValue} unit={unit} help={help} error={error} kind={fieldKind} />;
}
