/** A timer's hours at hand: on and off by half hours, each step tried out at once. */
import { clockOf, circuitHours, patch, type Circuit } from '@dulvan/core';
import { View } from 'react-native';
import { useHome } from '../state/home';
import { Button } from '../ui/button';
import { Row } from '../ui/page';
import { SPACE } from '../ui/theme';
import { Small, Strong } from '../ui/type';
import { timerWords } from './timer-words';
import { monthName } from '../ui/months';
import { LAMP_HOURS as WORDS } from './part-words';

const STEP_MINUTES = 30;

interface Given {
  readonly circuit: Circuit;
  readonly month: number;
}

export function LampHours(given: Given) {
  return given.circuit.programme.length > 0 ? <Programmed {...given} /> : <OneTime {...given} />;
}

/** A timer that follows a programme: what it does this month and in the year, and the way back to one time. */
function Programmed({ circuit, month }: Given) {
  const tryOut = useHome((state) => state.tryOut);
  const forget = () => tryOut(WORDS.oneTimeFor(circuit.name), [patch('circuits', circuit.id, { programme: [] })]);
  return (
    <View style={{ gap: SPACE.xs }} role="group" aria-label={circuit.name}>
      <Strong>{WORDS.hoursADay(circuit.name, circuitHours(circuit, month).toFixed(1))}</Strong>
      <Small>{`${WORDS.followsPlan} ${timerWords(circuit)}`}</Small>
      <Button style={{ alignSelf: 'flex-start' }} label={WORDS.oneTimeFor(circuit.name)} onPress={forget}>
        {WORDS.oneTime}
      </Button>
    </View>
  );
}

function OneTime({ circuit, month }: Given) {
  const tryOut = useHome((state) => state.tryOut);
  const set = (onMinute: number, offMinute: number) => {
    if (onMinute < 0 || offMinute > 1440 || offMinute <= onMinute) return;
    tryOut(WORDS.summary(circuit.name, clockOf(onMinute), clockOf(offMinute)), [
      patch('circuits', circuit.id, { onMinute, offMinute }),
    ]);
  };
  const runs = circuit.months.includes(month);
  return (
    <View style={{ gap: SPACE.xs }} role="group" aria-label={circuit.name}>
      <Strong>{WORDS.hoursADay(circuit.name, ((circuit.offMinute - circuit.onMinute) / 60).toFixed(1))}</Strong>
      {runs ? null : <Small>{WORDS.itDoesNotRun(monthName(month))}</Small>}
      <Row>
        <Small style={{ width: 64 }}>{WORDS.onAt(clockOf(circuit.onMinute))}</Small>
        <Button
          label={WORDS.onEarlier(circuit.name)}
          onPress={() => set(circuit.onMinute - STEP_MINUTES, circuit.offMinute)}
        >
          {WORDS.earlier}
        </Button>
        <Button
          label={WORDS.onLater(circuit.name)}
          onPress={() => set(circuit.onMinute + STEP_MINUTES, circuit.offMinute)}
        >
          {WORDS.later}
        </Button>
      </Row>
      <Row>
        <Small style={{ width: 64 }}>{WORDS.offAt(clockOf(circuit.offMinute))}</Small>
        <Button
          label={WORDS.offEarlier(circuit.name)}
          onPress={() => set(circuit.onMinute, circuit.offMinute - STEP_MINUTES)}
        >
          {WORDS.earlier}
        </Button>
        <Button
          label={WORDS.offLater(circuit.name)}
          onPress={() => set(circuit.onMinute, circuit.offMinute + STEP_MINUTES)}
        >
          {WORDS.later}
        </Button>
      </Row>
    </View>
  );
}
