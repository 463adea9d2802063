/** Instants as one says them, by the clock of the home they are of. */
import { TZDate } from '@date-fns/tz';
import type { Home } from '@dulvan/core';
import { format } from 'date-fns';

type Clock = Pick<Home, 'timeZone'>;

/** "14 Mar 2026, 7:05". */
export const momentWords = (atMs: number, { timeZone }: Clock): string =>
  format(new TZDate(atMs, timeZone), 'd MMM yyyy, H:mm');

/** "14 Mar 2026". */
export const dayWords = (atMs: number, { timeZone }: Clock): string => format(new TZDate(atMs, timeZone), 'd MMM yyyy');
