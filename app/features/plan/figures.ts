/** Figures of plans in words. */
import { DYING_CLASSES, GROWING_CLASSES, lifeClass, type HomeFacts } from '@dulvan/core';

/** A share of a hundred with one digit after the point where it is small. */
export const percent = (share: number): string => `${(100 * share).toFixed(share < 0.1 ? 1 : 0)} %`;

export const kWhWords = (kWh: number): string => `${Math.round(kWh)} kWh`;

export const money = (amount: number, currency: string): string =>
  `${amount < 100 ? amount.toFixed(2) : Math.round(amount)}${currency ? ` ${currency}` : ''}`;

/** How many plants decline, live on, and grow. */
export function standingOf(scores: readonly (number | null)[]) {
  const classes = scores.flatMap((score) => (score === null ? [] : [lifeClass(score)]));
  const dying = classes.filter((life) => DYING_CLASSES.has(life)).length;
  const growing = classes.filter((life) => GROWING_CLASSES.has(life)).length;
  return { dying, growing, livesOn: classes.length - dying - growing };
}

export const circuitName = (facts: HomeFacts, circuitId: string | null): string =>
  facts.circuits.find(({ id }) => id === circuitId)?.name ?? '';
