/** A timer's hours at hand: on and off by half hours, each step tried out at once. */
import { patch, type Circuit } from '@dulvan/core';
import { View } from 'react-native';
import { useHome } from '../state/home';
import { Button } from '../ui/button';
import { Row } from '../ui/page';
import { SPACE } from '../ui/theme';
import { Small, Strong } from '../ui/type';
import { clock } from './words';
import { monthName } from '../ui/months';

const STEP_MINUTES = 30;

export function LampHours({ circuit, month }: { readonly circuit: Circuit; readonly month: number }) {
  const tryOut = useHome((state) => state.tryOut);
  const set = (onMinute: number, offMinute: number) => {
    if (onMinute < 0 || offMinute > 1440 || offMinute <= onMinute) return;
    tryOut(`${circuit.name}: ${clock(onMinute)} to ${clock(offMinute)}`, [
      patch('circuits', circuit.id, { onMinute, offMinute }),
    ]);
  };
  const runs = circuit.months.includes(month);
  return (
    <View style={{ gap: SPACE.xs }} role="group" aria-label={circuit.name}>
      <Strong>
        {circuit.name}: {((circuit.offMinute - circuit.onMinute) / 60).toFixed(1)} h a day
      </Strong>
      {runs ? null : <Small>It does not run in {monthName(month)}.</Small>}
      <Row>
        <Small style={{ width: 64 }}>On {clock(circuit.onMinute)}</Small>
        <Button
          label={`${circuit.name} on earlier`}
          onPress={() => set(circuit.onMinute - STEP_MINUTES, circuit.offMinute)}
        >
          Earlier
        </Button>
        <Button
          label={`${circuit.name} on later`}
          onPress={() => set(circuit.onMinute + STEP_MINUTES, circuit.offMinute)}
        >
          Later
        </Button>
      </Row>
      <Row>
        <Small style={{ width: 64 }}>Off {clock(circuit.offMinute)}</Small>
        <Button
          label={`${circuit.name} off earlier`}
          onPress={() => set(circuit.onMinute, circuit.offMinute - STEP_MINUTES)}
        >
          Earlier
        </Button>
        <Button
          label={`${circuit.name} off later`}
          onPress={() => set(circuit.onMinute, circuit.offMinute + STEP_MINUTES)}
        >
          Later
        </Button>
      </Row>
    </View>
  );
}
