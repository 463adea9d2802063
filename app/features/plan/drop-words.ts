/** What dropping a plant on a spot would do, as one would say it. */
import type { HomeFacts, SpotRefusal } from '@dulvan/core';
import { fitShare, plantName, spotPlace } from '../../parts/words';
import type { DropEffect } from './board';
import { BOARD as WORDS } from './plan-words';

export const refusalWords = (refusal: SpotRefusal): string => WORDS.refusals[refusal];

const share = (verdict: number | null): string => (verdict === null ? '–' : fitShare(verdict));

const nameOf = (facts: HomeFacts, id: string): string => {
  const plant = facts.plants.find((one) => one.id === id);
  return plant ? plantName(facts, plant) : '';
};

export function dropWords(facts: HomeFacts, { plantId, spotId, refusal, before, after, other }: DropEffect): string {
  const name = nameOf(facts, plantId);
  const place = spotPlace(facts, spotId);
  if (refusal) return WORDS.cannot(name, place, refusalWords(refusal));
  const own = WORDS.would(name, place, share(after), share(before));
  if (!other) return own;
  const second = nameOf(facts, other.plantId);
  if (other.refusal) return WORDS.otherCannot(own, second, refusalWords(other.refusal));
  return WORDS.otherWould(own, second, share(other.after), share(other.before));
}
