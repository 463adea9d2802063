/** Facts that are missing of the collection, as a short list of questions, each with the way to its answer. */
import { knowledge } from '@dulvan/catalogue';
import { missingFacts, type HomeFacts, type Missing } from '@dulvan/core';
import { useState } from 'react';
import { View } from 'react-native';
import { Button, TextLink } from '../../ui/button';
import { SPACE } from '../../ui/theme';
import { Heading, Small } from '../../ui/type';
import { useNow } from '../../state/use-now';
import { plantName } from '../../parts/words';

const QUESTION: Record<Missing, (name: string) => string> = {
  'known-taxon': (name) => `What is ${name}? Its name is not in the catalogue, so it has no target.`,
  name: (name) => `What is ${name} called? It is planned from its group until you know.`,
  spot: (name) => `Where does ${name} stand?`,
  settled: (name) => `Has ${name} settled? It is still treated as just arrived.`,
  stage: (name) => `At what stage is ${name} now? What you saw has passed, or has no date.`,
  state: (name) => `Does ${name} still grow or rest as you saw it? That was three months ago or more.`,
  hazard: (name) => `Is ${name} harmful? Nobody has said, so it is treated as harmful.`,
  pot: (name) => `How wide is the pot of ${name}?`,
  height: (name) => `How tall is ${name}?`,
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
      <Heading>Asked of you</Heading>
      {shown.map(({ plantId, missing }) => {
        const plant = facts.plants.find((candidate) => candidate.id === plantId)!;
        return (
          <TextLink key={`${plantId}${missing}`} href={{ pathname: '/plants/[plantId]', params: { plantId } }}>
            {QUESTION[missing](plantName(facts, plant))}
          </TextLink>
        );
      })}
      <Small>Answers make the verdicts surer.</Small>
      {questions.length > SHOWN_AT_FIRST && all === 'some' ? (
        <Button
          onPress={() => setAll('all')}
          style={{ alignSelf: 'flex-start' }}
        >{`The other ${questions.length - SHOWN_AT_FIRST}`}</Button>
      ) : null}
    </View>
  );
}
