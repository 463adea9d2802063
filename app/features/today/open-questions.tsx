/** Facts that are missing of the collection, as a short list of questions, each with the way to its answer. */
import { knowledge } from '@dulvan/catalogue';
import { missingFacts, type HomeFacts, type Missing } from '@dulvan/core';
import { useState } from 'react';
import { View } from 'react-native';
import { Button, TextLink } from '../../ui/button';
import { SPACE } from '../../ui/theme';
import { Heading, Small } from '../../ui/type';
import { useNow } from '../../state/use-now';
import type { PlantPart } from '../../parts/plant-part';
import { plantName } from '../../parts/words';
import { OPEN_QUESTIONS as WORDS } from './today-words';

const QUESTION: Record<Missing, (name: string) => string> = {
  'known-taxon': (name) => WORDS.whatIsIt(name),
  name: (name) => WORDS.whatIsItCalled(name),
  spot: (name) => WORDS.whereDoesItStand(name),
  settled: (name) => WORDS.hasItSettled(name),
  stage: (name) => WORDS.atWhatStage(name),
  state: (name) => WORDS.stillAsSeen(name),
  hazard: (name) => WORDS.isItHarmful(name),
  pot: (name) => WORDS.howWideIsItsPot(name),
  height: (name) => WORDS.howTallIsIt(name),
};

/** The part of a plant's sheet where each is answered. */
const ANSWERED_AT: Record<Missing, PlantPart> = {
  'known-taxon': 'what',
  name: 'what',
  spot: 'spots',
  settled: 'edit',
  stage: 'edit',
  state: 'edit',
  hazard: 'what',
  pot: 'edit',
  height: 'edit',
};

const SHOWN_AT_FIRST = 3;

export function OpenQuestions({ facts }: { readonly facts: HomeFacts }) {
  const now = useNow();
  const [all, setAll] = useState<'some' | 'all'>('some');
  const questions = missingFacts(facts, knowledge, now);
  if (questions.length === 0) return null;
  const shown = all === 'all' ? questions : questions.slice(0, SHOWN_AT_FIRST);
  return (
    <View style={{ gap: SPACE.xs }}>
      <Heading>{WORDS.questionsForYou}</Heading>
      {shown.map(({ plantId, missing }) => {
        const plant = facts.plants.find((candidate) => candidate.id === plantId)!;
        return (
          <TextLink
            key={`${plantId}${missing}`}
            href={{ pathname: '/plants/[plantId]', params: { plantId, open: ANSWERED_AT[missing] } }}
          >
            {QUESTION[missing](plantName(facts, plant))}
          </TextLink>
        );
      })}
      <Small>{WORDS.whyWeAsk}</Small>
      {questions.length > SHOWN_AT_FIRST && all === 'some' ? (
        <Button onPress={() => setAll('all')} style={{ alignSelf: 'flex-start' }}>
          {WORDS.theOthers(questions.length - SHOWN_AT_FIRST)}
        </Button>
      ) : null}
    </View>
  );
}
