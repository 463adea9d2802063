/** Steps of an accepted plan as one would say them, and their days. */
import type { HomeFacts, PlanStep, TimerMonths } from '@dulvan/core';
import { format, parseISO } from 'date-fns';
import { PLAN_STEPS as WORDS } from './part-words';
import { clock, monthsInWords, plantName, spotPlace } from './words';

/** "Monday, 30 November". */
export const dayWords = (day: string): string => format(parseISO(day), 'EEEE, d MMMM');

const nameOf = (facts: HomeFacts, plantId: string | null): string => {
  const plant = facts.plants.find(({ id }) => id === plantId);
  return plant ? plantName(facts, plant) : WORDS.aPlant;
};

const spansWords = ({ spans, level }: Pick<TimerMonths, 'spans' | 'level'>): string =>
  spans.length === 0
    ? WORDS.off
    : `${spans.map(({ onMinute, offMinute }) => `${clock(onMinute)}–${clock(offMinute)}`).join(', ')}${
        level < 1 ? WORDS.dimmed(Math.round(100 * level)) : ''
      }`;

/** A year of a timer, months of the same times together. */
export const programmeWords = (programme: readonly TimerMonths[]): string =>
  programme
    .filter(({ months }) => months.length > 0)
    .map((entry) =>
      entry.months.length === 12 ? spansWords(entry) : `${spansWords(entry)} ${monthsInWords(entry.months)}`,
    )
    .join('; ');

export function stepWords(facts: HomeFacts, step: PlanStep): string {
  const name = nameOf(facts, step.plantId);
  switch (step.kind) {
    case 'carry': {
      const isPlaced = facts.plants.some(({ id, spotId }) => id === step.plantId && spotId === null);
      const from =
        step.fromSpotId === null ? (isPlaced ? '' : WORDS.fromTable) : WORDS.from(spotPlace(facts, step.fromSpotId));
      const to = step.spotId === null ? WORDS.toTable : WORDS.to(spotPlace(facts, step.spotId));
      return [WORDS.carry(name), from, to].filter(Boolean).join(' ');
    }
    case 'timer': {
      const timer = facts.circuits.find(({ id }) => id === step.circuitId)?.name ?? WORDS.aTimer;
      return WORDS.timer(timer, programmeWords(step.programme));
    }
    case 'shade':
      return WORDS.shade(name);
    case 'unshade':
      return WORDS.unshade(name);
  }
}
