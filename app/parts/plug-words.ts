/** What is wrong with a timer plug, as one would say it. */
import type { Plug } from '@dulvan/contract';
import type { PlugFinding } from '@dulvan/core';
import { PLUG_WORDS as WORDS } from './part-words';
import { whenInWords } from './verdict-words';

const findingWords = (finding: PlugFinding): string => {
  switch (finding.what) {
    case 'clock':
      return finding.minutesAhead === 0
        ? WORDS.otherMonth
        : WORDS.clock(Math.abs(finding.minutesAhead), finding.minutesAhead > 0 ? 'ahead' : 'behind');
    case 'programme':
      return finding.months.length === 12 ? WORDS.otherProgramme : WORDS.otherMonths(whenInWords(finding.months));
    case 'switched':
      return WORDS.switched(finding.is);
    case 'load':
      return WORDS.load(Math.round(finding.watts), Math.round(finding.expectedW));
  }
};

/** All that is wrong with a plug, what keeps it from being asked first. */
export function plugTroubles({ trouble, reason }: Plug, findings: readonly PlugFinding[]): string[] {
  const told = trouble === null ? [] : [trouble === 'refuses' ? WORDS.refuses(reason) : WORDS[trouble]];
  return [...told, ...findings.map(findingWords)];
}
