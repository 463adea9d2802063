/** Two loggers in one room that differ, and one that drifts, with the test that tells which is right. */
import { apartOverTime, monthsApart, type HomeFacts } from '@dulvan/core';
import { kelvins } from '../../parts/words';
import { useLastYear, type LastYear, type Logger } from '../../state/loggers';
import { useUnits } from '../../state/settings';
import { Body, Small } from '../../ui/type';
import { LOGGER_SCREEN as WORDS } from './loggers-words';

/** Two in one room that differ by more are told, K and points. */
const DIFFER = { celsius: 1, rh: 5 } as const;

/** A difference that grew by more tells of drift, points. */
const DRIFTED = 4;

interface Given {
  readonly facts: HomeFacts;
  readonly year: LastYear;
  readonly other: Logger;
}

export function Disagreement({ facts, year, other }: Given) {
  const units = useUnits();
  const asked = useLastYear(facts.home, other);
  const theirs = asked.state === 'ready' ? asked.value : null;
  const off = theirs && monthsApart(year.months, theirs.months);
  const over = theirs && apartOverTime(year.humidity, theirs.humidity);
  if (!off || (off.celsius < DIFFER.celsius && off.rh < DIFFER.rh)) return null;
  const grew = over && Math.abs(over.late) - Math.abs(over.early) >= DRIFTED;
  const points = (value: number) => `${Math.round(Math.abs(value))}`;
  return (
    <>
      <Body>{WORDS.twoDisagree(other.name, kelvins(off.celsius, units), points(off.rh))}</Body>
      {grew ? <Body>{WORDS.drifts(points(over.early), points(over.late))}</Body> : null}
      {off.rh >= DIFFER.rh ? <Small>{WORDS.saltTest}</Small> : null}
    </>
  );
}
