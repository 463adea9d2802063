/** What a timer would do for one plant, in words. */
import type { HereAtBest, HomeFacts, IfFreer } from '@dulvan/core';
import { fitShare, hours, length } from '../../parts/words';
import type { Units } from '../../state/settings';
import { circuitName } from './figures';
import { REASONS as WORDS } from './plan-words';

/** "12 h a day, dimmed to 50 %, with its lamps 10 cm lower". */
export function hereWords({ hours: ofDay, level, raiseM }: HereAtBest, units: Units): string {
  const hung = raiseM < 0 ? WORDS.lower : WORDS.higher;
  return [
    WORDS.hoursADay(hours(ofDay)),
    ...(level < 1 ? [WORDS.dimmed(fitShare(level))] : []),
    ...(raiseM === 0 ? [] : [hung(length(Math.abs(raiseM), units))]),
  ].join(', ');
}

/** "If Bench timer might change its dimming too: 8 h a day, dimmed to 50 % would bring it to 62 %, …". */
export const freerWords = (facts: HomeFacts, freer: IfFreer, units: Units): string =>
  WORDS.freer(
    circuitName(facts, freer.circuitId),
    WORDS.freedoms[freer.freedom],
    hereWords(freer, units),
    fitShare(freer.score),
  );
