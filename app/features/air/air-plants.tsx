/** The plants of a room whose warmth, moisture or air movement is wrong, worst first. */
import { casesOf, roomIdOfSpot, type Factor, type HomeFacts, type Room } from '@dulvan/core';
import { View } from 'react-native';
import { FactorSign } from '../../parts/factor-sign';
import { whenInWords } from '../../parts/verdict-words';
import { FACTOR_WORD, plantName } from '../../parts/words';
import { useVerdicts } from '../../state/verdicts';
import { RowLink } from '../../ui/button';
import { SPACE } from '../../ui/theme';
import { Heading, Small } from '../../ui/type';
import { AIR_PLANTS as WORDS } from './air-words';

const OF_AIR: readonly Factor[] = ['warmth', 'moisture', 'air'];

export function AirPlants({ facts, room }: { readonly facts: HomeFacts; readonly room: Room }) {
  const { answers } = useVerdicts();
  if (!answers) return null;
  const wrong = casesOf(facts, answers.plants).flatMap(({ plant, troubles }) => {
    const worst = troubles.find(({ factor }) => OF_AIR.includes(factor));
    const isHere = plant.spotId !== null && roomIdOfSpot(facts, plant.spotId) === room.id;
    return worst && isHere ? [{ plant, worst }] : [];
  });
  return (
    <View style={{ gap: SPACE.xs }}>
      <Heading>{WORDS.title}</Heading>
      {wrong.length === 0 ? <Small>{WORDS.none}</Small> : null}
      {wrong.map(({ plant, worst }) => (
        <RowLink
          key={plant.id}
          href={{ pathname: '/plants/[plantId]', params: { plantId: plant.id } }}
          mark={<FactorSign factor={worst.factor} />}
          title={plantName(facts, plant)}
          note={`${FACTOR_WORD[worst.factor]}, ${whenInWords(worst.months)}`}
        />
      ))}
    </View>
  );
}
