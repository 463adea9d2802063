/** The year and the month that it is at a home, by the home's own clock. */
import { civilDateOf, type HomeFacts, type When } from '@dulvan/core';
import { useMemo } from 'react';
import { useNow } from './use-now';

export const yearAt = (facts: HomeFacts, nowMs: number): number => civilDateOf(nowMs, facts.home.timeZone).year;
export const monthAt = (facts: HomeFacts, nowMs: number): number => civilDateOf(nowMs, facts.home.timeZone).month;

export const whenAt = (facts: HomeFacts, nowMs: number): When => ({
  year: yearAt(facts, nowMs),
  month: monthAt(facts, nowMs),
});

/** The year that is meant, and the month that is on at a home. */
export function useWhen(facts: HomeFacts | null): When {
  const now = useNow();
  const year = facts ? yearAt(facts, now) : new Date(now).getUTCFullYear();
  const month = facts ? monthAt(facts, now) : new Date(now).getUTCMonth() + 1;
  return useMemo(() => ({ year, month }), [year, month]);
}

/** The date at a home, YYYY-MM-DD. */
export function dateAt(facts: HomeFacts, nowMs: number): string {
  const { year, month, day } = civilDateOf(nowMs, facts.home.timeZone);
  const two = (number: number) => String(number).padStart(2, '0');
  return `${year}-${two(month)}-${two(day)}`;
}

/** The year that is shown. */
export function useYear(facts: HomeFacts | null): number {
  const now = useNow();
  return facts ? yearAt(facts, now) : new Date(now).getUTCFullYear();
}
