/** Plants that need something, by how soon; those without a place; and what could be a little better, folded away. */
import { openSteps, type HomeFacts, type PlantAnswer, type PlantCase, type PlantMends } from '@dulvan/core';
import { useState } from 'react';
import { View } from 'react-native';
import { FactorSign } from '../../parts/factor-sign';
import { FitMark } from '../../parts/fit-mark';
import { MendList } from '../../parts/mends';
import { stepWords } from '../../parts/plan-steps';
import { verdictSentence } from '../../parts/verdict-words';
import { count, fitShare, latinName, plantName, spotPlace, troubleSentence } from '../../parts/words';
import { usePlan } from '../../state/plan';
import { useMends, type Asked } from '../../state/questions';
import { useUnits } from '../../state/settings';
import { useWhen } from '../../state/year';
import { Button, TextLink } from '../../ui/button';
import { Rule } from '../../ui/page';
import { SPACE } from '../../ui/theme';
import { Body, Heading, Small, Strong } from '../../ui/type';
import { TODAY_CASES as WORDS } from './today-words';

interface Given {
  readonly facts: HomeFacts;
}

interface CasesGiven extends Given {
  readonly cases: readonly PlantCase[];
}

const GROUPS = [
  { urgency: 'week', heading: 'This week' },
  { urgency: 'season', heading: 'This season' },
  { urgency: 'later', heading: 'When it suits you' },
] as const;
/** Of each group so many are shown; the rest at a tap. */
const SHOWN_AT_FIRST = 4;

export function Cases({ facts, cases, answers }: CasesGiven & { readonly answers: readonly PlantAnswer[] }) {
  const needy = cases.some(({ urgency }) => urgency !== 'mild') || facts.plants.some(({ spotId }) => spotId === null);
  // Where a plan speaks, nothing else does: two voices would give one spot to two plants.
  const isPlanned = useIsPlanned(facts);
  const asked = useMends(needy && !isPlanned ? facts : null);
  return (
    <>
      {GROUPS.map(({ urgency, heading }) => (
        <CaseGroup
          key={urgency}
          facts={facts}
          heading={heading}
          asked={asked}
          cases={cases.filter((item) => item.urgency === urgency)}
        />
      ))}
      <Nowhere facts={facts} answers={answers} asked={asked} />
      <Mild facts={facts} cases={cases.filter(({ urgency }) => urgency === 'mild')} />
    </>
  );
}

interface GroupGiven extends CasesGiven {
  readonly heading: string;
  readonly asked: Asked<PlantMends[]>;
}

function CaseGroup({ facts, heading, cases, asked }: GroupGiven) {
  const [shown, setShown] = useState<'some' | 'all'>('some');
  if (cases.length === 0) return null;
  const more = cases.length - SHOWN_AT_FIRST;
  return (
    <View style={{ gap: SPACE.xs }}>
      <Heading>{heading}</Heading>
      {cases.slice(0, shown === 'all' ? undefined : SHOWN_AT_FIRST).map((item) => (
        <NeedyPlant key={item.plant.id} facts={facts} item={item} asked={asked} />
      ))}
      {more > 0 && shown === 'some' ? (
        <Button onPress={() => setShown('all')} label={WORDS.showOthersOf(heading, more)}>
          {WORDS.showOthers(more)}
        </Button>
      ) : null}
    </View>
  );
}

/** Plants that do as their grower wants and could do a little better: folded away. */
function Mild({ facts, cases }: CasesGiven) {
  const [shown, setShown] = useState<'no' | 'yes'>('no');
  const units = useUnits();
  if (cases.length === 0) return null;
  return (
    <View style={{ gap: SPACE.xs }}>
      <Button onPress={() => setShown(shown === 'yes' ? 'no' : 'yes')} style={{ alignSelf: 'flex-start' }}>
        {shown === 'yes' ? WORDS.hideMild : WORDS.mild(count(cases.length, 'plant'))}
      </Button>
      {shown === 'yes'
        ? cases.map(({ plant, troubles }) => (
            <View key={plant.id}>
              <TextLink href={{ pathname: '/plants/[plantId]', params: { plantId: plant.id } }}>
                {plantName(facts, plant)}
              </TextLink>
              <Small>{troubleSentence(troubles[0]!, units)}</Small>
            </View>
          ))
        : null}
    </View>
  );
}

/** Plants without a place, each with the spot that would do it most good. */
function Nowhere({ facts, answers, asked }: NowhereGiven) {
  const nowhere = facts.plants.filter((plant) => plant.spotId === null);
  if (nowhere.length === 0) return null;
  return (
    <View style={{ gap: SPACE.xs }}>
      <Heading>{WORDS.withoutPlaceYet}</Heading>
      {nowhere.slice(0, SHOWN_AT_FIRST).map((plant) => {
        const answer = answers.find(({ plantId }) => plantId === plant.id);
        return (
          <View key={plant.id} role="group" aria-label={plantName(facts, plant)}>
            <TextLink href={{ pathname: '/plants/[plantId]', params: { plantId: plant.id } }}>
              {WORDS.findSpotFor(plantName(facts, plant))}
            </TextLink>
            {answer && answer.targets.length > 0 ? (
              <MendList facts={facts} plant={plant} answer={answer} asked={asked} how="in-short" />
            ) : null}
          </View>
        );
      })}
    </View>
  );
}

interface NowhereGiven extends Given {
  readonly answers: readonly PlantAnswer[];
  readonly asked: Asked<PlantMends[]>;
}

interface NeedyGiven extends Given {
  readonly item: PlantCase;
  readonly asked: Asked<PlantMends[]>;
}

function NeedyPlant({ facts, item, asked }: NeedyGiven) {
  const { plant, answer, troubles } = item;
  const units = useUnits();
  const { month } = useWhen(facts);
  const { verdict, months } = answer.fit!;
  const name = plantName(facts, plant);
  const [worst] = troubles;
  return (
    <View role="group" aria-label={name} style={{ gap: SPACE.xs, paddingBottom: SPACE.s }}>
      <View style={{ flexDirection: 'row', alignItems: 'center', gap: SPACE.s }}>
        <FitMark fit={months[month - 1] ?? null} size={32} />
        <View style={{ flex: 1 }}>
          <TextLink href={{ pathname: '/plants/[plantId]', params: { plantId: plant.id } }}>{name}</TextLink>
          <Small>{`${latinName(facts, plant)} · ${spotPlace(facts, plant.spotId)}`}</Small>
        </View>
        <Small>{fitShare(verdict.score)}</Small>
      </View>
      <Strong>{`${verdictSentence(verdict)}.`}</Strong>
      {worst ? (
        <View style={{ flexDirection: 'row', gap: SPACE.s, alignItems: 'flex-start' }}>
          <View style={{ paddingTop: 2 }}>
            <FactorSign factor={worst.factor} />
          </View>
          <Body style={{ flex: 1 }}>{troubleSentence(worst, units)}</Body>
        </View>
      ) : null}
      <WhatHelps facts={facts} item={item} asked={asked} />
      <Rule />
    </View>
  );
}

/** Whether a plan speaks for the home: one that was accepted and is not done, or one just made of these very facts. */
function useIsPlanned(facts: HomeFacts): boolean {
  const { plan, state, isOfNow } = usePlan();
  return openSteps(facts).length > 0 || (plan?.state === 'found' && state === 'ready' && isOfNow);
}

/** What the plan does for a plant; without a plan, what would help it. */
function WhatHelps({ facts, item, asked }: NeedyGiven) {
  const { plant, answer } = item;
  const { plan } = usePlan();
  const units = useUnits();
  if (!useIsPlanned(facts))
    return <MendList facts={facts} plant={plant} answer={answer} asked={asked} how="in-short" />;
  const steps = openSteps(facts);
  const own = steps.filter(({ plantId, kind }) => plantId === plant.id && kind === 'carry');
  if (own.length > 0)
    return <Body>{WORDS.byYourPlan(own.map((step) => stepWords(facts, step, units)).join('; '))}</Body>;
  if (steps.length > 0) return <Small>{WORDS.planLeavesIt}</Small>;
  const proposal = plan?.state === 'found' ? plan.plants.find(({ plantId }) => plantId === plant.id) : undefined;
  const spotId = proposal?.spotIds[0];
  if (!proposal || !spotId || spotId === plant.spotId) return <Small>{WORDS.planLeavesIt}</Small>;
  return <Body>{WORDS.byThePlan(spotPlace(facts, spotId), fitShare(proposal.after))}</Body>;
}
