/** What a form asks for, item by item. */
import type { HomeFacts } from '@dulvan/core';
import { MONTH_NAMES } from '../ui/months';

export interface Choice {
  readonly value: string;
  readonly word: string;
}

/** How a value is asked for: what is typed is in the grower's unit, what is kept in SI. */
export type ItemKind =
  | 'text'
  | 'long-text'
  | 'length'
  | 'pot'
  | 'number'
  | 'percent'
  | 'degrees'
  | 'temperature'
  | 'time'
  /** A time at which something ends: midnight is 24:00. */
  | 'time-until'
  | 'months'
  | 'choice'
  | 'date';

export interface FormItem {
  readonly field: string;
  readonly label: string;
  readonly kind: ItemKind;
  readonly unit?: string;
  readonly help?: string;
  readonly optional?: 'optional';
  readonly choices?: (facts: HomeFacts | null, entry: Readonly<Record<string, unknown>>) => readonly Choice[];
  /** Asked under "More exactly": its short name there, in the line that tells what is assumed. */
  readonly more?: string;
  /** Asked only when this holds of what is filled in so far. */
  readonly when?: (values: Readonly<Record<string, string>>) => boolean;
}

export interface FormSpec {
  readonly noun: string;
  readonly items: readonly FormItem[];
  readonly caution?: string;
}

/** Choices from a list of the catalogue. */
export const named = (list: readonly { readonly id: string; readonly name: string }[]): Choice[] =>
  list.map(({ id, name }) => ({ value: id, word: name }));

/** Choices from words by value. */
export const words = (pairs: Readonly<Record<string, string>>): Choice[] =>
  Object.entries(pairs).map(([value, word]) => ({ value, word }));

export const monthChoices: readonly Choice[] = MONTH_NAMES.map((word, i) => ({ value: String(i + 1), word }));
