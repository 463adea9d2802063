/** The change that would mend a trouble, ready to be made, or the reason why none does. */
import { curtains } from '@dulvan/catalogue';
import {
  mendOf,
  patch,
  type HomeFacts,
  type Mend,
  type Plant,
  type PlantAnswer,
  type SpotAnswer,
  type Trouble,
} from '@dulvan/core';
import { View } from 'react-native';
import { MIDDAY } from './curtains';
import { useHome } from '../state/home';
import { Button, TextLink } from '../ui/button';
import { Row } from '../ui/page';
import { Small } from '../ui/type';
import { clock, fitShare, plantName, spotPlace } from './words';

interface Given {
  readonly facts: HomeFacts;
  readonly plant: Plant;
  readonly answer: PlantAnswer;
  readonly here: SpotAnswer | null;
  readonly trouble: Trouble;
}

const AIR_WORDS: Record<Extract<Mend, { kind: 'air' }>['what'], string> = {
  warmer: 'No free spot is warmer: the room itself would have to be, or a heat mat under the pot.',
  cooler: 'No free spot is cooler: air the room, or turn its heating down.',
  moister: 'No free spot is moister: a humidifier, a closed cabinet or plants in a group would raise it.',
  drier: 'No free spot is drier: air the room, or let its air move.',
  moving: 'No free spot has more moving air: a slow fan would do.',
  calmer: 'No free spot is calmer: shield it from the draught.',
};

export function MendAction({ facts, plant, answer, here, trouble }: Given) {
  const condition = here?.conditions[trouble.worstMonth - 1];
  if (!condition) return null;
  const mend = mendOf({ facts, plant, trouble, condition, whole: answer.fit?.whole ?? 0, bestFree: answer.bestFree });
  switch (mend.kind) {
    case 'move':
      return <Move facts={facts} plant={plant} mend={mend} />;
    case 'lamp-hours':
      return <TryHours facts={facts} plant={plant} mend={mend} />;
    case 'curtain':
      return <TryCurtain facts={facts} plant={plant} mend={mend} />;
    case 'air':
      return <Small>{AIR_WORDS[mend.what]}</Small>;
    case 'place':
      return <NoPlace facts={facts} plant={plant} mend={mend} />;
  }
}

interface MendGiven<K extends Mend['kind']> {
  readonly facts: HomeFacts;
  readonly plant: Plant;
  readonly mend: Extract<Mend, { kind: K }>;
}

function Move({ facts, plant, mend: { spotId, wholeBefore, wholeAfter } }: MendGiven<'move'>) {
  const change = useHome((state) => state.change);
  const name = plantName(facts, plant);
  const place = spotPlace(facts, spotId);
  const move = () => void change(`Moved ${name} to ${place}`, [patch('plants', plant.id, { spotId })]);
  return (
    <Row>
      <Button kind="main" label={`Move ${name} to ${place}`} onPress={move}>
        {`Move to ${place}`}
      </Button>
      <Small>{`Fit over the year ${fitShare(wholeBefore)} now, ${fitShare(wholeAfter)} there`}</Small>
    </Row>
  );
}

function TryHours({ facts, plant, mend: { circuitId, onMinute, offMinute } }: MendGiven<'lamp-hours'>) {
  const tryOut = useHome((state) => state.tryOut);
  const circuit = facts.circuits.find((candidate) => candidate.id === circuitId)!;
  const hours = `${clock(onMinute)} to ${clock(offMinute)}`;
  return (
    <Row>
      <Button
        kind="main"
        label={`Try ${circuit.name} ${hours} for ${plantName(facts, plant)}`}
        onPress={() => tryOut(`${circuit.name}: ${hours}`, [patch('circuits', circuitId, { onMinute, offMinute })])}
      >
        {`Try ${circuit.name.toLowerCase()} ${hours}`}
      </Button>
      <Small>{`Now ${clock(circuit.onMinute)} to ${clock(circuit.offMinute)}; all plants on it get the same`}</Small>
    </Row>
  );
}

function TryCurtain({ facts, plant, mend: { windowId, curtainId, months } }: MendGiven<'curtain'>) {
  const tryOut = useHome((state) => state.tryOut);
  const window = facts.windows.find((candidate) => candidate.id === windowId)!;
  const curtain = curtains.find((candidate) => candidate.id === curtainId)!.name.toLowerCase();
  const hung = patch('windows', windowId, { curtains: [{ curtainId, months, ...MIDDAY }] });
  return (
    <Button
      kind="main"
      label={`Try a curtain at the ${window.name} for ${plantName(facts, plant)}`}
      onPress={() => tryOut(`${window.name}: ${curtain}`, [hung])}
    >
      {`Try a ${curtain} at the ${window.name.toLowerCase()}`}
    </Button>
  );
}

function NoPlace({ facts, plant, mend: { why } }: MendGiven<'place'>) {
  return (
    <View>
      <Small>
        {why === 'stands-nowhere'
          ? 'It stands nowhere, and no free spot can take it.'
          : 'No free spot here does better, and no timer helps: it needs a lamp of its own, or another home.'}
      </Small>
      <TextLink
        href={{ pathname: '/plants/[plantId]', params: { plantId: plant.id } }}
        label={`All spots for ${plantName(facts, plant)}`}
      >
        See all spots for it
      </TextLink>
    </View>
  );
}
