/** A plan for the whole home: what may change, what matters, the plan itself; one question at a time on a phone. */
import { planSettingsOf, type FoundPlan, type HomeFacts } from '@dulvan/core';
import { router } from 'expo-router';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { useFacts, useTrial } from '../../state/home';
import { makePlan, usePlan } from '../../state/plan';
import { Button } from '../../ui/button';
import { Page, Row, TwoPanes } from '../../ui/page';
import { SPACE } from '../../ui/theme';
import { Body, Heading, Small, Title } from '../../ui/type';
import { useIsWide } from '../../ui/use-ink';
import { Accept } from './accept';
import { useChosen } from './chosen';
import { Impossible } from './impossible';
import { Making } from './making';
import { Matters } from './matters';
import { MayChange } from './may-change';
import { Moves } from './moves';
import { MAY_CHANGE as MAY_CHANGE_WORDS, PLAN_SCREEN as WORDS } from './plan-words';
import { COMPARE } from './what-if-words';
import { StillWrong } from './still-wrong';
import { Summary } from './summary';
import { Others } from './others';
import { Timers } from './timers';
import { remember, variantsOf } from './variants';

interface Given {
  readonly facts: HomeFacts;
}

export function PlanScreen() {
  const facts = useFacts();
  const wide = useIsWide();
  if (!facts) return null;
  return wide ? <WidePlan facts={facts} /> : <PhonePlan facts={facts} />;
}

function Head({ facts }: Given) {
  return (
    <View style={{ gap: SPACE.xs }}>
      <Small>{facts.home.name}</Small>
      <Title>{WORDS.title}</Title>
    </View>
  );
}

function WidePlan({ facts }: Given) {
  return (
    <TwoPanes
      first={
        <>
          <Head facts={facts} />
          <Body>{WORDS.intro}</Body>
          <Heading>{WORDS.steps[0]!}</Heading>
          <MayChange facts={facts} />
          <Heading>{WORDS.steps[1]!}</Heading>
          <Matters facts={facts} />
        </>
      }
      second={
        <>
          <MakeButton facts={facts} />
          <Making facts={facts} />
          <Made facts={facts} />
        </>
      }
    />
  );
}

const MAY_CHANGE = 0;
const MATTERS = 1;
const THE_PLAN = 2;

/** One question at a time; with a plan at hand it opens on that. */
function PhonePlan({ facts }: Given) {
  const { state } = usePlan();
  const [step, setStep] = useState(state === 'none' ? MAY_CHANGE : THE_PLAN);
  const make = () => {
    setStep(THE_PLAN);
    if (state !== 'working' && state !== 'finishing') void makePlan(facts);
  };
  return (
    <Page>
      <Head facts={facts} />
      {step === MAY_CHANGE ? <Body>{WORDS.intro}</Body> : null}
      <Heading>{`${step + 1} · ${WORDS.steps[step]!}`}</Heading>
      {step === MAY_CHANGE ? <MayChange facts={facts} /> : null}
      {step === MATTERS ? <Matters facts={facts} /> : null}
      {step === THE_PLAN ? (
        <>
          <MakeButton facts={facts} />
          <Making facts={facts} />
          <Made facts={facts} />
        </>
      ) : null}
      <Row>
        {step > MAY_CHANGE ? <Button onPress={() => setStep(step - 1)}>{WORDS.back}</Button> : null}
        {step === MAY_CHANGE ? (
          <Button kind="main" onPress={() => setStep(MATTERS)}>
            {WORDS.next}
          </Button>
        ) : null}
        {step === MATTERS ? (
          <Button kind="main" onPress={make}>
            {WORDS.make}
          </Button>
        ) : null}
      </Row>
    </Page>
  );
}

/** Makes a plan; where one is at hand and still of these facts, quietly. */
function MakeButton({ facts }: Given) {
  const { state, plan, isOfNow } = usePlan();
  if (state === 'working' || state === 'finishing') return null;
  const isFresh = plan !== null && isOfNow;
  return (
    <View style={{ gap: SPACE.xs }}>
      {plan !== null && !isOfNow ? <Body>{WORDS.changedSince}</Body> : null}
      <Row>
        <Button kind={isFresh ? 'plain' : 'main'} onPress={() => void makePlan(facts)}>
          {plan === null ? WORDS.make : WORDS.makeAnew}
        </Button>
        {facts.planSteps.some(({ doneOn }) => doneOn === null) ? (
          <Button onPress={() => router.push('/plan/walk')}>{WORDS.walkIt}</Button>
        ) : null}
        {plan?.state === 'found' ? <Button onPress={() => router.push('/plan/board')}>{WORDS.board}</Button> : null}
        {plan?.state === 'found' ? <Button onPress={() => router.push('/plan/compare')}>{WORDS.compare}</Button> : null}
        <Button onPress={() => router.push('/plan/what-if')}>{WORDS.whatIf}</Button>
      </Row>
    </View>
  );
}

/** Holds what a plan found, so that others can be set beside it. */
function useRemembered(facts: HomeFacts, plan: FoundPlan | null): void {
  const tried = useTrial()?.summaries.join('; ') ?? null;
  useEffect(() => {
    if (!plan) return;
    const now = tried === null ? COMPARE.asItIs : COMPARE.asTried(tried);
    const arrangement = MAY_CHANGE_WORDS.arrangements[`${planSettingsOf(facts).arrangements}`];
    const planned = tried === null ? COMPARE.planned(arrangement) : COMPARE.plannedWith(tried);
    remember(variantsOf(facts, plan, { now, planned }));
  }, [facts, plan, tried]);
}

/** The plan that was made, if it is of these facts. */
function Made({ facts }: Given) {
  const { plan, state, isOfNow, seconds } = usePlan();
  const found = plan?.state === 'found' && isOfNow ? plan : null;
  const chosen = useChosen(facts, found);
  useRemembered(facts, state === 'ready' ? found : null);
  if (!plan || !isOfNow || state !== 'ready') return null;
  if (plan.state === 'nothing') return <Body>{WORDS.nothingToPlan}</Body>;
  if (!found || !chosen) return <Impossible facts={facts} plan={plan} />;
  return (
    <>
      <Summary facts={facts} plan={found} seconds={seconds} />
      <Accept facts={facts} plan={found} chosen={chosen} />
      <Moves facts={facts} plan={found} chosen={chosen} />
      <Timers facts={facts} plan={found} chosen={chosen} />
      <Others facts={facts} plan={found} chosen={chosen} />
      <StillWrong facts={facts} plan={found} />
    </>
  );
}
