/** Where a spot lies on its stand: drawn along two lines with a finger, and its figures follow. */
import { patch, type HomeFacts, type Spot, type Stand } from '@dulvan/core';
import { View } from 'react-native';
import { useHome } from '../../state/home';
import { useUnits } from '../../state/settings';
import { SPACE } from '../../ui/theme';
import { StepSlider } from '../../ui/step-slider';
import { Heading, Small } from '../../ui/type';
import { length } from '../../parts/words';
import { SPOT_PLACE as WORDS } from './rooms-words';

const CM_PER_M = 100;

export function SpotPlace({
  facts,
  spot,
  stand,
}: {
  readonly facts: HomeFacts;
  readonly spot: Spot;
  readonly stand: Stand;
}) {
  const tryOut = useHome((state) => state.tryOut);
  const units = useUnits();
  const move = (given: Partial<Spot>) => {
    const after = { ...spot, ...given };
    tryOut(WORDS.placeSummary(spot.name, length(after.alongM, units), length(after.acrossM, units), stand.name), [
      patch('spots', spot.id, given),
    ]);
  };
  const room = facts.rooms.find((candidate) => candidate.id === stand.roomId);
  const ways = [
    { name: WORDS.alongWallD, field: 'alongM', at: spot.alongM, most: stand.widthM },
    { name: WORDS.acrossWallA, field: 'acrossM', at: spot.acrossM, most: stand.depthM },
  ] as const;
  return (
    <View style={{ gap: SPACE.xs }}>
      <Heading>{WORDS.itsPlaceOnStand}</Heading>
      <Small>{WORDS.dragIt(stand.name, room ? WORDS.inRoom(room.name.toLowerCase()) : '')}</Small>
      {ways.map(({ name, field, at, most }) => (
        <View key={field}>
          <Small>{WORDS.atOfMost(name, length(at, units), length(most, units))}</Small>
          <StepSlider
            label={name}
            value={Math.round(at * CM_PER_M)}
            most={Math.round(most * CM_PER_M)}
            words={length(at, units)}
            onValue={(cm) => move({ [field]: cm / CM_PER_M })}
          />
        </View>
      ))}
    </View>
  );
}
