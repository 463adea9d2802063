/**
 * A spot is chosen that is not free: change places, stand together, or look for another. Nothing is doubled unasked.
 */
import { carried, type Change, type HomeFacts, type Plant } from '@dulvan/core';
import { View } from 'react-native';
import { plantName, spotPlace } from '../../parts/words';
import { Button } from '../../ui/button';
import { Sheet } from '../../ui/sheet';
import { SPACE } from '../../ui/theme';
import { Body, Small } from '../../ui/type';
import { SPOT_TAKEN as WORDS } from './plants-words';

interface Given {
  readonly facts: HomeFacts;
  /** Who is to stand there. */
  readonly plant: Plant;
  readonly name: string;
  readonly spotId: string;
  readonly date: string;
  /** Chosen: what happens to those who stand there; null for another spot. */
  readonly onAnswer: (others: readonly Change[] | null) => void;
}

/** Who stands on a spot, but for one plant. */
export const othersOn = (facts: HomeFacts, spotId: string, plantId: string): Plant[] =>
  facts.plants.filter((plant) => plant.spotId === spotId && plant.id !== plantId);

export function SpotTaken({ facts, plant, name, spotId, date, onAnswer }: Given) {
  const others = othersOn(facts, spotId, plant.id);
  const names = others.map((other) => plantName(facts, other)).join(WORDS.and);
  const isSwap = plant.spotId !== null && others.length === 1;
  const sent = others.map((other) => carried(other, isSwap ? plant.spotId : null, date));
  const instead = isSwap ? WORDS.changePlacesWith(names) : WORDS.putThere(name, names);
  return (
    <Sheet title={WORDS.isTaken(spotPlace(facts, spotId))} onClose={() => onAnswer(null)}>
      <Body>{others.length === 1 ? WORDS.oneStandsThere(names) : WORDS.severalStandThere(names)}</Body>
      <View style={{ gap: SPACE.s }}>
        <Button kind="main" onPress={() => onAnswer(sent)}>
          {instead}
        </Button>
        <Button onPress={() => onAnswer([])}>{WORDS.both}</Button>
        <Small>{WORDS.aboutBoth}</Small>
        <Button onPress={() => onAnswer(null)}>{WORDS.chooseAnotherSpot}</Button>
      </View>
    </Sheet>
  );
}
