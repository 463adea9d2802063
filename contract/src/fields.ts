/** The fields a grower fills in: each with its range and a plain message when it is not met. */
import { isTimeZone } from '@dulvan/core';
import { z } from 'zod';

const plain = (value: number) => String(value);

/** A number within a range; the message names the range and the unit. */
export function within(from: number, to: number, unit: string) {
  const message = `From ${plain(from)} to ${plain(to)}${unit ? ` ${unit}` : ''}.`;
  return z.number(`A number. ${message}`).min(from, message).max(to, message);
}

export function wholeWithin(from: number, to: number, unit: string) {
  return within(from, to, unit).int('A whole number.');
}

export const id = z.string().regex(/^[A-Za-z0-9_-]{1,40}$/, 'Not a valid key.');

export const NAME_LIMIT = 80;
export const NOTE_LIMIT = 4000;

export const name = z
  .string('A name.')
  .trim()
  .min(1, 'Give it a name.')
  .max(NAME_LIMIT, `At most ${NAME_LIMIT} characters.`);

export const note = z.string().max(NOTE_LIMIT, `At most ${NOTE_LIMIT} characters.`);

export const metres = (from: number, to: number) => within(from, to, 'm');
export const share = (from: number, to: number) => {
  const message = `From ${plain(from * 100)} to ${plain(to * 100)} %.`;
  return z.number(`A number. ${message}`).min(from, message).max(to, message);
};

export const minuteOfDay = z
  .number('A time of day.')
  .int('A time of day, to the minute.')
  .min(0, 'A time from 0:00 to 24:00.')
  .max(1440, 'A time from 0:00 to 24:00.');

export const months = z
  .array(wholeWithin(1, 12, ''))
  .max(12)
  .refine((list) => new Set(list).size === list.length, 'Each month once.')
  .readonly();

export const timeZone = z.string().refine(isTimeZone, 'A time zone such as Europe/London.');

export const isoDate = z
  .string()
  .regex(/^\d{4}-\d{2}-\d{2}$/, 'A date as YYYY-MM-DD.')
  .refine((text) => {
    const date = new Date(`${text}T00:00:00Z`);
    return !Number.isNaN(date.getTime()) && date.toISOString().startsWith(text);
  }, 'No such day.');
