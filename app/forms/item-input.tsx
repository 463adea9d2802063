/** What one question of a form is answered with: typed, chosen, or picked from a calendar or a clock. */
import type { HomeFacts } from '@dulvan/core';
import type { Ref } from 'react';
import { capital, monthsWords } from '../parts/season-words';
import { useUnits, type Units } from '../state/settings';
import { Choices, PickMonths } from '../ui/choices';
import { Field } from '../ui/field';
import { Labelled } from '../ui/labelled';
import { PickDate, dateWords } from '../ui/pick-date';
import { PickTime } from '../ui/pick-time';
import type { Choice, FormItem } from './form-item';
import { unitOf } from './form-values';
import type { FormValues } from '../parts/use-draft-form';
import { ITEM_INPUT as WORDS } from './form-words';

interface Given {
  readonly item: FormItem;
  readonly value: string;
  readonly choices: readonly Choice[];
  readonly error: string | undefined;
  readonly inputRef?: Ref<{ focus(): void }>;
  readonly onValue: (value: string) => void;
}

const monthsOf = (value: string) => (value === '' ? [] : value.split(',').map(Number));

export function ItemInput({ item, value, choices, error, onValue, inputRef }: Given) {
  const units = useUnits();
  const { kind, label, help } = item;
  const given = { label, value, onValue };
  switch (kind) {
    case 'choice':
      return (
        <Labelled label={label} help={help} error={error}>
          <Choices {...given} choices={choices} />
        </Labelled>
      );
    case 'months':
      return (
        <Labelled label={label} help={help} error={error}>
          <PickMonths
            label={label}
            words={capital(monthsWords(monthsOf(value)))}
            months={monthsOf(value)}
            onMonths={(months) => onValue(months.join(','))}
          />
        </Labelled>
      );
    case 'date':
      return (
        <Labelled label={label} help={help} error={error}>
          <PickDate {...given} />
        </Labelled>
      );
    case 'time':
    case 'time-until':
      return (
        <Labelled label={label} help={help} error={error}>
          <PickTime {...given} midnight={kind === 'time-until' ? '24:00' : '0:00'} />
        </Labelled>
      );
    default:
      return (
        <Field
          {...given}
          unit={unitOf(item, units)}
          help={help}
          error={error}
          kind={kind === 'long-text' ? 'long' : kind === 'text' ? 'text' : 'number'}
          {...(inputRef ? { inputRef } : {})}
        />
      );
  }
}

interface AnswerContext {
  readonly values: FormValues;
  readonly facts: HomeFacts | null;
  readonly initial: object;
  readonly units: Units;
}

/** An answer in a few words, as in "Frame 20 %". */
export function answerWords(item: FormItem, { values, facts, initial, units }: AnswerContext): string {
  const value = values[item.field] ?? '';
  if (item.kind === 'months') return monthsWords(monthsOf(value));
  if (value === '' && !item.choices) return WORDS.notGiven;
  if (item.kind === 'date') return dateWords(value);
  const word = item.choices?.(facts, { ...initial, ...values }).find((choice) => choice.value === value)?.word;
  if (word !== undefined) return word.charAt(0).toLowerCase() + word.slice(1);
  return [value, unitOf(item, units)].filter(Boolean).join(' ');
}
