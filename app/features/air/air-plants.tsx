/**
 * The plants of a room whose warmth, moisture or air movement is wrong, worst first, each with what would best help.
 */
import { casesOf, roomIdOfSpot, type Factor, type HomeFacts, type Room } from '@dulvan/core';
import { View } from 'react-native';
import { FactorSign } from '../../parts/factor-sign';
import { remedyWords } from '../../parts/mends';
import { whenInWords } from '../../parts/verdict-words';
import { FACTOR_WORD, plantName } from '../../parts/words';
import { useMends } from '../../state/questions';
import { useUnits } from '../../state/settings';
import { useVerdicts } from '../../state/verdicts';
import { RowLink } from '../../ui/button';
import { SPACE } from '../../ui/theme';
import { Heading, Small } from '../../ui/type';
import { AIR_PLANTS as WORDS } from './air-words';

const OF_AIR: readonly Factor[] = ['warmth', 'moisture', 'air'];

export function AirPlants({ facts, room }: { readonly facts: HomeFacts; readonly room: Room }) {
  const { answers } = useVerdicts();
  const units = useUnits();
  const mends = useMends(facts);
  if (!answers) return null;
  // What was found for other facts may speak of what is gone.
  const found = mends.state === 'ready' ? mends.value : [];
  const helps = (plantId: string) => {
    const first = found.find((one) => one.plantId === plantId)?.mends[0];
    return first ? WORDS.helps(remedyWords(facts, plantId, first.remedy, units)) : '';
  };
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
          note={`${FACTOR_WORD[worst.factor]}, ${whenInWords(worst.months)}${helps(plant.id)}`}
        />
      ))}
    </View>
  );
}
