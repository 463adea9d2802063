/** What a logger measured month by month beside what is computed, and the way to let it correct its room. */
import {
  apartOverTime,
  monthsApart,
  standFor,
  statementsFrom,
  takenToRoom,
  type HomeFacts,
  type MeasuredMonth,
} from '@dulvan/core';
import { View } from 'react-native';
import { newId } from '../../parts/new-id';
import { Failed } from '../../parts/pending';
import { degrees } from '../../parts/words';
import { useHome } from '../../state/home';
import { roomOfLogger, useLastYear, type LastYear, type Logger } from '../../state/loggers';
import { shownValue, useRoomAir } from '../../state/questions';
import { useUnits, type Units } from '../../state/settings';
import { useSpotAnswer } from '../../state/verdicts';
import { Button } from '../../ui/button';
import { monthName } from '../../ui/months';
import { Table } from '../../ui/table';
import { SPACE } from '../../ui/theme';
import { Body, Heading, Small } from '../../ui/type';
import { LOGGER_SCREEN as WORDS } from './loggers-words';

interface Given {
  readonly facts: HomeFacts;
  readonly logger: Logger;
  readonly loggers: readonly Logger[];
}

export function MeasuredMonths({ facts, logger, loggers }: Given) {
  const roomId = roomOfLogger(facts, logger);
  const asked = useLastYear(facts.home, logger);
  if (asked.state === 'failed') return <Failed message={asked.message} onRetry={asked.retry} />;
  if (roomId === null || asked.state === 'working') return null;
  const { months } = asked.value;
  return (
    <View style={{ gap: SPACE.s }}>
      <Heading>{WORDS.measuredMonths}</Heading>
      {months.length === 0 ? <Small>{WORDS.fewDays}</Small> : <Compared {...{ facts, logger, months, roomId }} />}
      {loggers
        .filter((other) => other.id !== logger.id && roomOfLogger(facts, other) === roomId)
        .map((other) => (
          <Disagreement key={other.id} {...{ facts, other }} year={asked.value} />
        ))}
    </View>
  );
}

interface ComparedGiven {
  readonly facts: HomeFacts;
  readonly logger: Logger;
  readonly months: readonly MeasuredMonth[];
  readonly roomId: string;
}

/** A room's air from that at a spot in it. */
function useInRoom(logger: Logger, months: readonly MeasuredMonth[]): readonly MeasuredMonth[] {
  const conditions = useSpotAnswer(logger.spotId ?? '')?.conditions;
  if (logger.spotId === null || !conditions) return months;
  return takenToRoom(
    months,
    conditions.map(({ air }) => air.steps),
  );
}

const kelvins = (value: number, { temperature }: Units) =>
  temperature === 'F' ? `${(value * 1.8).toFixed(1)} °F` : `${value.toFixed(1)} °C`;
const tenth = (value: number) => Math.round(value * 10) / 10;

/** "20.1 / 16.6 °C". */
const dayAndNight = (day: number, night: number, units: Units) =>
  `${degrees(tenth(day), units).split(' ')[0]} / ${degrees(tenth(night), units)}`.replaceAll(' ', '\u00a0');

function Compared({ facts, logger, months, roomId }: ComparedGiven) {
  const units = useUnits();
  const change = useHome((state) => state.change);
  const air = shownValue(useRoomAir(facts, roomId));
  const inRoom = useInRoom(logger, months);
  const room = facts.rooms.find(({ id }) => id === roomId)!.name;
  const off = air && monthsApart(inRoom, air);
  const use = () => void change(WORDS.used(room), statementsFrom(facts, roomId, inRoom, newId));
  return (
    <>
      <Table
        name={WORDS.measuredMonths}
        lines="between"
        columns={[
          { name: WORDS.month, share: 3 },
          { name: WORDS.measured, share: 4, align: 'right' },
          { name: WORDS.computed, share: 4, align: 'right' },
          { name: WORDS.humidity, share: 4, align: 'right' },
        ]}
        rows={inRoom.map(({ month, dayC, nightC, dayRh, nightRh }) => {
          const beside = air?.[month - 1];
          return {
            key: String(month),
            cells: [
              monthName(month),
              dayAndNight(dayC, nightC, units),
              beside ? dayAndNight(beside.dayC, beside.nightC, units) : '…',
              `${Math.round(dayRh)} / ${Math.round(nightRh)} %`,
            ],
          };
        })}
      />
      {off ? <Body>{WORDS.agree(kelvins(off.celsius, units), `${Math.round(off.rh)}`)}</Body> : null}
      {standFor(facts, roomId, inRoom) ? (
        <Body>{WORDS.inUse(room)}</Body>
      ) : (
        <>
          <Button kind="main" style={{ alignSelf: 'flex-start' }} onPress={use}>
            {WORDS.letItCorrect(room)}
          </Button>
          <Small>{WORDS.aboutUse}</Small>
        </>
      )}
    </>
  );
}

/** Two in one room that differ by more are told, K and points. */
const DIFFER = { celsius: 1, rh: 5 } as const;

/** A difference that grew by more tells of drift, points. */
const DRIFTED = 4;

interface DisagreementGiven {
  readonly facts: HomeFacts;
  readonly year: LastYear;
  readonly other: Logger;
}

function Disagreement({ facts, year, other }: DisagreementGiven) {
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
