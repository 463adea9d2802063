/** What a logger measured month by month, beside what was guessed of its room and what it taught. */
import {
  forgottenAtSpot,
  lessonOf,
  monthsApart,
  spotStatementsFrom,
  standAtSpot,
  takenToRoom,
  withoutMonths,
  type HomeFacts,
  type MeasuredMonth,
} from '@dulvan/core';
import { useMemo } from 'react';
import { View } from 'react-native';
import { newId } from '../../parts/new-id';
import { Failed } from '../../parts/pending';
import { kelvins, spotPlace } from '../../parts/words';
import { useHome } from '../../state/home';
import { roomOfLogger, useLastYear, type Logger } from '../../state/loggers';
import { shownValue, useRoomAir } from '../../state/questions';
import { useUnits } from '../../state/settings';
import { useSpotAnswer } from '../../state/verdicts';
import { Button } from '../../ui/button';
import { monthName } from '../../ui/months';
import { Table } from '../../ui/table';
import { SPACE } from '../../ui/theme';
import { Body, Heading, Small } from '../../ui/type';
import { Disagreement } from './disagreement';
import { byDayAndNight, dayAndNight } from './figures';
import { LOGGER_SCREEN as WORDS } from './loggers-words';
import { RoomLesson } from './room-lesson';

interface Given {
  readonly facts: HomeFacts;
  readonly logger: Logger;
  readonly loggers: readonly Logger[];
}

export function MeasuredMonths({ facts, logger, loggers }: Given) {
  const roomId = roomOfLogger(facts, logger);
  const asked = useLastYear(facts.home, logger);
  if (asked.state === 'failed') return <Failed message={asked.message} onRetry={asked.retry} />;
  const measuresAir = logger.series.temperature ?? logger.series.humidity;
  if (!measuresAir || roomId === null || asked.state === 'working') return null;
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

/** A room's air from that at a spot in it, without what the spot's own record corrects there. */
function useInRoom(logger: Logger, months: readonly MeasuredMonth[]): readonly MeasuredMonth[] {
  const conditions = useSpotAnswer(logger.spotId ?? '')?.conditions;
  return useMemo(() => {
    if (logger.spotId === null || !conditions) return months;
    return takenToRoom(
      months,
      conditions.map(({ air }) => air.steps.filter(({ from }) => from !== 'record')),
    );
  }, [logger.spotId, months, conditions]);
}

function Compared({ facts, logger, months, roomId }: ComparedGiven) {
  const units = useUnits();
  const inRoom = useInRoom(logger, months);
  const [guessedFacts, taughtFacts] = useMemo(
    () => [withoutMonths(facts, roomId, 'guessed'), withoutMonths(facts, roomId, 'with-lesson')] as const,
    [facts, roomId],
  );
  const room = facts.rooms.find(({ id }) => id === roomId);
  // One that was learnt under another heating or airing holds no longer.
  const isTaught = room !== undefined && lessonOf(facts, room) !== null;
  const guessed = shownValue(useRoomAir(guessedFacts, roomId));
  const taught = shownValue(useRoomAir(isTaught ? taughtFacts : null, roomId));
  const off = guessed && monthsApart(inRoom, guessed);
  const stillOff = taught && monthsApart(inRoom, taught);
  const figures = (air: typeof guessed, month: number) => {
    const beside = air?.[month - 1];
    return beside
      ? `${dayAndNight(beside.dayC, beside.nightC, units)}\n${byDayAndNight(beside.dayRh, beside.nightRh)}`
      : '…';
  };
  return (
    <>
      <Table
        name={WORDS.measuredMonths}
        lines="between"
        columns={[
          { name: WORDS.month, share: 3 },
          { name: WORDS.measured, share: 4, align: 'right' },
          { name: WORDS.guessed, share: 4, align: 'right' },
          ...(isTaught ? [{ name: WORDS.learnt, share: 4, align: 'right' } as const] : []),
        ]}
        rows={inRoom.map(({ month, dayC, nightC, dayRh, nightRh }) => ({
          key: String(month),
          cells: [
            monthName(month),
            `${dayAndNight(dayC, nightC, units)}\n${byDayAndNight(dayRh, nightRh)}`,
            figures(guessed, month),
            ...(isTaught ? [figures(taught, month)] : []),
          ],
        }))}
      />
      {off ? <Body>{WORDS.agree(kelvins(off.celsius, units), `${Math.round(off.rh)}`)}</Body> : null}
      {stillOff ? <Body>{WORDS.agreeNow(kelvins(stillOff.celsius, units), `${Math.round(stillOff.rh)}`)}</Body> : null}
      {logger.spotId === null ? null : <OwnSpot {...{ facts, months }} spotId={logger.spotId} />}
      <RoomLesson facts={facts} roomId={roomId} months={inRoom} />
    </>
  );
}

interface OwnSpotGiven {
  readonly facts: HomeFacts;
  readonly spotId: string;
  readonly months: readonly MeasuredMonth[];
}

/** A logger at a spot corrects that spot, whatever its room is taken for. */
function OwnSpot({ facts, spotId, months }: OwnSpotGiven) {
  const change = useHome((state) => state.change);
  const place = spotPlace(facts, spotId);
  if (standAtSpot(facts, spotId, months))
    return (
      <>
        <Body>{WORDS.spotInUse(place)}</Body>
        <Button
          style={{ alignSelf: 'flex-start' }}
          onPress={() => void change(WORDS.spotForgotten(place), forgottenAtSpot(facts, spotId))}
        >
          {WORDS.spotForget}
        </Button>
      </>
    );
  return (
    <Button
      kind="main"
      style={{ alignSelf: 'flex-start' }}
      onPress={() => void change(WORDS.spotUsed(place), spotStatementsFrom(facts, spotId, months, newId))}
    >
      {WORDS.letItCorrectSpot}
    </Button>
  );
}
