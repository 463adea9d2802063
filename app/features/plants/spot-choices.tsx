/** Spots ranked for a plant, each with its reason and a way to choose it. */
import type { HomeFacts, RankedSpot } from '@dulvan/core';
import { useState } from 'react';
import { View } from 'react-native';
import { Button } from '../../ui/button';
import { FitMark } from '../../parts/fit-mark';
import { verdictSentence } from '../../parts/verdict-words';
import { SPACE } from '../../ui/theme';
import { Body, Small } from '../../ui/type';
import { fitShare, plantName, spotPlace } from '../../parts/words';

interface Given {
  readonly facts: HomeFacts;
  readonly ranked: readonly RankedSpot[];
  readonly month: number;
  readonly here: string | null;
  /** Word of the button that chooses a spot. */
  readonly verb: string;
  readonly onChoose: (spotId: string) => void;
}

const SHOWN_AT_FIRST = 5;
const REFUSAL_WORD = {
  'too-tall': 'The plant is taller than the free height here.',
  'too-wide': 'The pot is wider than the room here.',
} as const;

export function SpotChoices({ facts, ranked, month, here, verb, onChoose }: Given) {
  const [all, setAll] = useState<'some' | 'all'>('some');
  const shown = all === 'all' ? ranked : ranked.slice(0, SHOWN_AT_FIRST);
  return (
    <View style={{ gap: SPACE.s }}>
      {shown.map((choice) => {
        const place = spotPlace(facts, choice.spotId);
        const occupants = facts.plants
          .filter((plant) => choice.occupants.includes(plant.id))
          .map((plant) => plantName(facts, plant));
        return (
          <View
            key={choice.spotId}
            role="group"
            aria-label={place}
            style={{ flexDirection: 'row', gap: SPACE.s, alignItems: 'center', minHeight: 52 }}
          >
            <FitMark fit={choice.fit.months[month - 1] ?? null} />
            <View style={{ flex: 1 }}>
              <Body>{place}</Body>
              <Small>
                {choice.refusal
                  ? REFUSAL_WORD[choice.refusal]
                  : `${verdictSentence(choice.fit.verdict)} · ${fitShare(choice.score)}`}
              </Small>
              {occupants.length > 0 ? <Small>{`Taken by ${occupants.join(', ')}`}</Small> : null}
            </View>
            {choice.spotId === here ? (
              <Small>Here now</Small>
            ) : choice.refusal ? null : (
              <Button onPress={() => onChoose(choice.spotId)} label={`${verb}: ${place}`}>
                {verb}
              </Button>
            )}
          </View>
        );
      })}
      {ranked.length > SHOWN_AT_FIRST && all === 'some' ? (
        <Button onPress={() => setAll('all')}>{`All ${ranked.length} spots`}</Button>
      ) : null}
      {ranked.length === 0 ? <Body>There is no spot in this home yet.</Body> : null}
    </View>
  );
}
