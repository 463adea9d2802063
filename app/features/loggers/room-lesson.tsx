/** What a logger's record taught of its room, the way to let it, and the way back. */
import {
  forgottenChanges,
  lessonChanges,
  lessonOf,
  standFor,
  statementsFrom,
  type HomeFacts,
  type LearntAir,
  type MeasuredMonth,
} from '@dulvan/core';
import { useEffect, useState } from 'react';
import { newId } from '../../parts/new-id';
import { Failed } from '../../parts/pending';
import { kelvins } from '../../parts/words';
import { useHome } from '../../state/home';
import { useRoomLesson } from '../../state/questions';
import { useUnits, type Units } from '../../state/settings';
import { Button } from '../../ui/button';
import { Progress } from '../../ui/progress';
import { Table } from '../../ui/table';
import { Body, Small } from '../../ui/type';
import { ROOM_LESSON as WORDS } from './loggers-words';

interface Given {
  readonly facts: HomeFacts;
  readonly roomId: string;
  /** As they would have been measured in the room. */
  readonly months: readonly MeasuredMonth[];
}

export function RoomLesson({ facts, roomId, months }: Given) {
  const change = useHome((state) => state.change);
  const [learning, setLearning] = useState<'no' | 'yes'>('no');
  const lesson = useRoomLesson(learning === 'yes' ? facts : null, roomId, months);
  const room = facts.rooms.find(({ id }) => id === roomId)!;
  const learnt = lessonOf(facts, room);
  const taught = lesson.state === 'ready' ? lesson : null;
  useEffect(() => {
    if (!taught) return;
    // Where nothing tells the outdoors there is nothing to learn: the months stand by themselves.
    const taughtChanges = taught.value ? lessonChanges(facts, roomId, taught.value, newId) : [];
    const changes = [...taughtChanges, ...statementsFrom(facts, roomId, months, newId)];
    void change(WORDS.used(room.name), changes).then(() => setLearning('no'));
  }, [taught, change, facts, roomId, months, room.name]);
  if (lesson.state === 'failed') return <Failed message={lesson.message} onRetry={lesson.retry} />;
  if (learning === 'yes')
    return <Progress label={WORDS.learning} share={lesson.state === 'working' ? lesson.share : null} />;
  const isInUse = standFor(facts, roomId, months);
  return (
    <>
      {learnt ? <Taught learnt={learnt} /> : null}
      {isInUse ? (
        <>
          <Body>{WORDS.inUse(room.name)}</Body>
          <Button
            style={{ alignSelf: 'flex-start' }}
            onPress={() => void change(WORDS.forgotten(room.name), forgottenChanges(facts, roomId, months))}
          >
            {WORDS.forget}
          </Button>
        </>
      ) : (
        <>
          <Button kind="main" style={{ alignSelf: 'flex-start' }} onPress={() => setLearning('yes')}>
            {WORDS.letItCorrect(room.name)}
          </Button>
          <Small>{WORDS.aboutUse}</Small>
        </>
      )}
    </>
  );
}

/** About four times in five a value lies within so many spreads of it. */
const FOUR_IN_FIVE = 1.28;

const FACTORS = ['airing', 'water', 'walls', 'sun', 'holds'] as const;

function Taught({ learnt }: { readonly learnt: LearntAir }) {
  const units = useUnits();
  const times = (value: number) => value.toFixed(value < 10 ? 1 : 0);
  const factor = (name: (typeof FACTORS)[number]) => {
    const reach = Math.exp(FOUR_IN_FIVE * learnt[`${name}Spread`]);
    return WORDS.times(times(learnt[name]), times(learnt[name] / reach), times(learnt[name] * reach));
  };
  const warmer = (name: 'dayK' | 'nightK') =>
    WORDS.warmer(signed(learnt[name], units), kelvins(FOUR_IN_FIVE * learnt[`${name}Spread`], units));
  return (
    <>
      <Body>{WORDS.taught(`${learnt.days}`)}</Body>
      <Table
        name={WORDS.taughtTable}
        columns={[{ share: 2 }, { share: 3, align: 'right' }]}
        rows={[
          ...FACTORS.map((name) => ({ key: name, cells: [WORDS.lesson[name], factor(name)] })),
          { key: 'dayK', cells: [WORDS.lesson.dayK, warmer('dayK')] },
          { key: 'nightK', cells: [WORDS.lesson.nightK, warmer('nightK')] },
        ]}
      />
    </>
  );
}

const signed = (value: number, units: Units) => `${value < 0 ? '−' : '+'}${kelvins(Math.abs(value), units)}`;
