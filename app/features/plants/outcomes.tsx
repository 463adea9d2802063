/** What came of the plant where it stands, in one tap: it overrules what is computed, visibly, and can be withdrawn. */
import {
  drop,
  fallenWith,
  meanC,
  put,
  type HomeFacts,
  type Outcome,
  type OutcomeKind,
  type Plant,
  type SpotAnswer,
} from '@dulvan/core';
import { format, parseISO, subMonths } from 'date-fns';
import { router } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { newId } from '../../parts/new-id';
import { plantName } from '../../parts/words';
import { useHome } from '../../state/home';
import { useNow } from '../../state/use-now';
import { dateAt } from '../../state/year';
import { Button } from '../../ui/button';
import { Row } from '../../ui/page';
import { SPACE } from '../../ui/theme';
import { Body, Small } from '../../ui/type';
import { OUTCOMES as WORDS } from './plants-words';

interface Given {
  readonly facts: HomeFacts;
  readonly plant: Plant;
  readonly here: SpotAnswer;
}

/** How long it has stood there, in months, offered at a tap. */
const SPANS = [
  { months: 3, word: '3 months' },
  { months: 12, word: 'A year' },
  { months: 36, word: '3 years' },
] as const;

/** Puts down what came of a plant, with what it got where it stands. */
function useRecording({ facts, plant, here }: Given) {
  const change = useHome((state) => state.change);
  const now = useNow();
  const today = dateAt(facts, now);
  const name = plantName(facts, plant);
  const record = (kind: OutcomeKind, since: string) => {
    const outcome: Outcome = {
      id: newId(),
      homeId: facts.home.id,
      plantId: plant.id,
      spotId: here.spotId,
      taxonId: plant.taxonId,
      kind,
      since,
      on: today,
      dli: here.conditions.map(({ dli }) => dli),
      peakPpfd: here.conditions.map(({ peakPpfd }) => peakPpfd),
      meanC: here.conditions.map(meanC),
    };
    if (kind === 'well') return void change(WORDS.isWell(name), [put('outcomes', outcome)]);
    // What died stands nowhere any more; what it taught stays.
    const { gone } = fallenWith(facts, [{ list: 'plants', id: plant.id }]);
    const drops = gone.map(({ list, id }) => drop(list, id));
    return void change(WORDS.diedThere(name), [put('outcomes', outcome), ...drops]).then(
      (stored) => stored === 'stored' && router.replace('/plants'),
    );
  };
  const withdraw = (id: string) => void change(WORDS.withdrewOutcome(name), [drop('outcomes', id)]);
  return { record, withdraw, today };
}

export function Outcomes(given: Given) {
  const { facts, plant } = given;
  const { record, withdraw, today } = useRecording(given);
  const [asking, setAsking] = useState<OutcomeKind | null>(null);
  const ask = (kind: OutcomeKind) => setAsking(asking === kind ? null : kind);
  const answer = (since: string) => {
    if (asking) record(asking, since);
    setAsking(null);
  };
  return (
    <View role="group" aria-label={WORDS.whatCame} style={{ gap: SPACE.xs }}>
      <Small>{WORDS.intro}</Small>
      {facts.outcomes
        .filter(({ plantId }) => plantId === plant.id)
        .map((outcome) => (
          <Seen key={outcome.id} outcome={outcome} onWithdraw={() => withdraw(outcome.id)} />
        ))}
      <Row>
        <Button onPress={() => ask('well')}>{WORDS.standsHereAndIsWell}</Button>
        <Button onPress={() => ask('died')}>{WORDS.diedHere}</Button>
      </Row>
      {asking ? (
        <HowLong kind={asking} known={plant.movedOn ?? plant.arrivedOn} today={today} onAnswer={answer} />
      ) : null}
    </View>
  );
}

function Seen({ outcome, onWithdraw }: { readonly outcome: Outcome; readonly onWithdraw: () => void }) {
  const { kind, since, on } = outcome;
  const word = kind === 'well' ? WORDS.wasWell : WORDS.died;
  return (
    <View style={{ flexDirection: 'row', alignItems: 'center', gap: SPACE.s }}>
      <Body style={{ flex: 1 }}>{WORDS.outcomeSince(word, on, since)}</Body>
      <Button label={WORDS.withdrawOutcome(word.toLowerCase(), on)} onPress={onWithdraw}>
        {WORDS.withdraw}
      </Button>
    </View>
  );
}

interface HowLongGiven {
  readonly kind: OutcomeKind;
  /** Since when it stands there, where that is known. */
  readonly known: string | null;
  readonly today: string;
  readonly onAnswer: (since: string) => void;
}

function HowLong({ kind, known, today, onAnswer }: HowLongGiven) {
  return (
    <>
      <Small>{kind === 'well' ? WORDS.howLongHasItStood : WORDS.howLongHadItStood}</Small>
      <Row>
        {known ? <Button onPress={() => onAnswer(known)}>{WORDS.since(known)}</Button> : null}
        {SPANS.map(({ months, word }) => (
          <Button key={word} onPress={() => onAnswer(monthsBefore(today, months))}>
            {word}
          </Button>
        ))}
      </Row>
    </>
  );
}

/** The date so many months before another, the last of its month where it has no such day. */
const monthsBefore = (date: string, months: number): string => format(subMonths(parseISO(date), months), 'yyyy-MM-dd');
