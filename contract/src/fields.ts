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

/** What no grower types: control characters but the line break and the tab, and halves of a character. */
const UNPRINTABLE = /[\u0000-\u0008\u000b-\u001f\u007f-\u009f]|\p{Cs}/u;

/** Marks that show nothing, and those that turn the direction of what follows: a name with them looks like another one. */
const INVISIBLE = /[\u00ad\u200b-\u200f\u202a-\u202e\u2060-\u2069\ufeff]/g;

/** Text as it is stored: what is sent is what comes back. */
const printable = () =>
  z
    .string('Some text.')
    .refine((given) => !UNPRINTABLE.test(given), 'There is a character in it that cannot be shown.');

/** A line of text that may be empty; marks that show nothing are left out. */
export const line = (limit: number) =>
  printable()
    .overwrite((given) => given.replace(INVISIBLE, '').replace(/\s+/g, ' ').trim())
    .max(limit, `At most ${limit} characters.`);

export const name = line(NAME_LIMIT).min(1, 'Give it a name.');

/** Text of several lines that may be empty. */
export const text = (limit: number) =>
  printable()
    .overwrite((given) => given.replace(INVISIBLE, ''))
    .max(limit, `At most ${limit} characters.`);

export const note = text(NOTE_LIMIT);

/** SHA-256 of a stored file's content, in hexadecimal digits. */
export const fileKey = z.string().regex(/^[0-9a-f]{64}$/, 'Not the key of a stored file.');

/** An instant, UTC epoch milliseconds, from 1970 to 2100. */
export const instant = z
  .number('A time.')
  .int('A time.')
  .min(0, 'A time from 1970.')
  .max(4_102_444_800_000, 'A time before 2100.');

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
