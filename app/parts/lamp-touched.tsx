/** Plants that stand into a lamp, each with what mends it. */
import { lampsTouched, type HomeFacts } from '@dulvan/core';
import { View } from 'react-native';
import { SPACE } from '../ui/theme';
import { TextLink } from '../ui/button';
import { Body, Small } from '../ui/type';
import { plantName } from './words';
import { LAMP_TOUCHED as WORDS } from './part-words';

interface Given {
  readonly facts: HomeFacts;
  /** Only on these tiers, where that is given. */
  readonly tierIds?: ReadonlySet<string>;
}

export function LampsTouched({ facts, tierIds }: Given) {
  const touched = lampsTouched(facts).filter(({ lamp }) => tierIds?.has(lamp.tierId) ?? true);
  if (touched.length === 0) return null;
  return (
    <View role="group" aria-label={WORDS.plantsThatStandInto} style={{ gap: SPACE.xs }}>
      {touched.map(({ plant, lamp }) => (
        <View key={`${plant.id}-${lamp.id}`}>
          <TextLink href={{ pathname: '/plants/[plantId]', params: { plantId: plant.id } }}>
            {plantName(facts, plant)}
          </TextLink>
          <Body>{WORDS.standsIntoLamp(plant.heightCm, lamp.name)}</Body>
        </View>
      ))}
      <Small>{WORDS.caution}</Small>
    </View>
  );
}
