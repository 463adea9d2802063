/** The year and the month that it is at a home, by the home's own clock. */
import { civilDateOf, type HomeFacts } from '@dulvan/core';
import { useNow } from './use-now';

export const yearAt = (facts: HomeFacts, nowMs: number): number => civilDateOf(nowMs, facts.home.timeZone).year;
export const monthAt = (facts: HomeFacts, nowMs: number): number => civilDateOf(nowMs, facts.home.timeZone).month;

/** The year that is shown. */
export function useYear(facts: HomeFacts | null): number {
  const now = useNow();
  return facts ? yearAt(facts, now) : new Date(now).getUTCFullYear();
}
