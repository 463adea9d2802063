/** A plan in the making: how far it is, the best so far, and what is proven of it; with a way to stop. */
import type { FoundPlan, HomeFacts } from '@dulvan/core';
import { View } from 'react-native';
import { makePlan, stopPlan, usePlan } from '../../state/plan';
import { Button } from '../../ui/button';
import { Row } from '../../ui/page';
import { Progress } from '../../ui/progress';
import { SPACE } from '../../ui/theme';
import { Body, Small } from '../../ui/type';
import { useInk } from '../../ui/use-ink';
import { percent, standingOf } from './figures';
import { MAKING as WORDS } from './plan-words';

export function Making({ facts }: { readonly facts: HomeFacts }) {
  const { state, plan, share, failure } = usePlan();
  const { danger } = useInk();
  if (state === 'failed')
    return (
      <View role="alert" style={{ gap: SPACE.s }}>
        <Body style={{ color: danger }}>{WORDS.failed(failure ?? '')}</Body>
        <Button style={{ alignSelf: 'flex-start' }} onPress={() => void makePlan(facts)}>
          {WORDS.tryAgain}
        </Button>
      </View>
    );
  if (state !== 'working' && state !== 'finishing') return null;
  const found = plan?.state === 'found' ? plan : null;
  return (
    <View style={{ gap: SPACE.s }} aria-live="polite">
      <Progress label={WORDS.working} share={share} />
      <Body>{state === 'finishing' ? WORDS.finishing : found ? WORDS.lookingFor : WORDS.working}</Body>
      {found ? <SoFar plan={found} /> : null}
      {state === 'working' ? (
        <Row>
          <Button onPress={() => void stopPlan()}>{found ? WORDS.stop : WORDS.stopNow}</Button>
        </Row>
      ) : null}
    </View>
  );
}

function SoFar({ plan }: { readonly plan: FoundPlan }) {
  const { dying } = standingOf(plan.plants.map(({ after }) => after));
  const { gap } = plan.proof;
  return (
    <>
      <Body>{WORDS.soFar(plan.plants.length - dying, plan.plants.length)}</Body>
      <Small>{Number.isFinite(gap) ? WORDS.proven(percent(gap)) : WORDS.notProvenYet}</Small>
    </>
  );
}
