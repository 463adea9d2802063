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
  const change = useHome((state) => state.change);
  const tryOut = useHome((state) => state.tryOut);
  const condition = here?.conditions[trouble.worstMonth - 1];
  if (!condition) return null;
  const mend = mendOf({ facts, plant, trouble, condition, whole: answer.fit?.whole ?? 0, bestFree: answer.bestFree });
  const name = plantName(facts, plant);
  switch (mend.kind) {
    case 'move': {
      const place = spotPlace(facts, mend.spotId);
      return (
        <Row>
          <Button
            kind="main"
            label={`Move ${name} to ${place}`}
            onPress={() =>
              void change(`Moved ${name} to ${place}`, [patch('plants', plant.id, { spotId: mend.spotId })])
            }
          >
            {`Move to ${place}`}
          </Button>
          <Small>{`Fit over the year ${fitShare(mend.wholeBefore)} now, ${fitShare(mend.wholeAfter)} there`}</Small>
        </Row>
      );
    }
    case 'lamp-hours': {
      const circuit = facts.circuits.find((candidate) => candidate.id === mend.circuitId)!;
      const hours = `${clock(mend.onMinute)} to ${clock(mend.offMinute)}`;
      return (
        <Row>
          <Button
            kind="main"
            label={`Try ${circuit.name} ${hours} for ${name}`}
            onPress={() =>
              tryOut(`${circuit.name}: ${hours}`, [
                patch('circuits', circuit.id, { onMinute: mend.onMinute, offMinute: mend.offMinute }),
              ])
            }
          >
            {`Try ${circuit.name.toLowerCase()} ${hours}`}
          </Button>
          <Small>{`Now ${clock(circuit.onMinute)} to ${clock(circuit.offMinute)}; all plants on it get the same`}</Small>
        </Row>
      );
    }
    case 'curtain': {
      const window = facts.windows.find((candidate) => candidate.id === mend.windowId)!;
      const curtain = curtains.find((candidate) => candidate.id === mend.curtainId)!;
      return (
        <Button
          kind="main"
          label={`Try a curtain at the ${window.name} for ${name}`}
          onPress={() =>
            tryOut(`${window.name}: ${curtain.name.toLowerCase()}`, [
              patch('windows', window.id, { curtains: [{ curtainId: curtain.id, months: mend.months, ...MIDDAY }] }),
            ])
          }
        >
          {`Try a ${curtain.name.toLowerCase()} at the ${window.name.toLowerCase()}`}
        </Button>
      );
    }
    case 'air':
      return <Small>{AIR_WORDS[mend.what]}</Small>;
    case 'place':
      return (
        <View>
          <Small>
            {mend.why === 'stands-nowhere'
              ? 'It stands nowhere, and no free spot can take it.'
              : 'No free spot here does better, and no timer helps: it needs a lamp of its own, or another home.'}
          </Small>
          <TextLink
            href={{ pathname: '/plants/[plantId]', params: { plantId: plant.id } }}
            label={`All spots for ${name}`}
          >
            See all spots for it
          </TextLink>
        </View>
      );
  }
}
