/** Beside the board: the room that the spot held over lies in, and the plant's months where it stands. */
import { roomIdOfSpot, type HomeFacts } from '@dulvan/core';
import { View } from 'react-native';
import { FitMark } from '../../parts/fit-mark';
import { RoomPlan } from '../../parts/room-plan';
import { useMonth } from '../../parts/use-month';
import { plantName } from '../../parts/words';
import { usePlantAnswer } from '../../state/verdicts';
import { MONTH_NAMES } from '../../ui/months';
import { SPACE } from '../../ui/theme';
import { Small, Strong } from '../../ui/type';
import type { DropEffect } from './board';
import { BOARD as WORDS } from './plan-words';

const WIDTH = 300;

export function BoardSide({ facts, effect }: { readonly facts: HomeFacts; readonly effect: DropEffect | null }) {
  const [month] = useMonth();
  if (!effect) return null;
  const roomId = roomIdOfSpot(facts, effect.spotId);
  const room = facts.rooms.find(({ id }) => id === roomId);
  const plant = facts.plants.find(({ id }) => id === effect.plantId)!;
  return (
    <View style={{ width: WIDTH, gap: SPACE.s }}>
      {room ? (
        <>
          <Strong>{room.name}</Strong>
          <RoomPlan facts={facts} room={room} month={month} wash={null} width={WIDTH} chosenSpotId={effect.spotId} />
        </>
      ) : null}
      <Strong>{WORDS.months(plantName(facts, plant))}</Strong>
      <Months plantId={plant.id} />
    </View>
  );
}

function Months({ plantId }: { readonly plantId: string }) {
  const fit = usePlantAnswer(plantId)?.fit;
  if (!fit) return <Small>{WORDS.noMonths}</Small>;
  return (
    <View style={{ flexDirection: 'row', justifyContent: 'space-between' }}>
      {fit.months.map((month, month0) => (
        <View key={MONTH_NAMES[month0]} style={{ alignItems: 'center' }}>
          <FitMark fit={month} size={24} />
          <Small>{MONTH_NAMES[month0]!.slice(0, 1)}</Small>
        </View>
      ))}
    </View>
  );
}
