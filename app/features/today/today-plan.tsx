/** The plan on the first screen: what of it is due, or that one can be made. */
import { openSteps, type HomeFacts } from '@dulvan/core';
import { router } from 'expo-router';
import { View } from 'react-native';
import { dayWords } from '../../parts/plan-steps';
import { count } from '../../parts/words';
import { usePlan } from '../../state/plan';
import { useNow } from '../../state/use-now';
import { dateAt } from '../../state/year';
import { Button } from '../../ui/button';
import { SPACE } from '../../ui/theme';
import { Body, Heading, Small } from '../../ui/type';
import { TODAY_PLAN as WORDS } from './today-words';

interface Given {
  readonly facts: HomeFacts;
  /** How many plants need something. */
  readonly needy: number;
}

/** One plant alone needs no plan. */
const WORTH_A_PLAN = 2;

export function TodayPlan({ facts, needy }: Given) {
  const today = dateAt(facts, useNow());
  const { plan, isOfNow } = usePlan();
  const steps = openSteps(facts);
  if (steps.length === 0 && needy < WORTH_A_PLAN) return null;
  const due = steps.filter(({ on }) => on <= today);
  const isMade = plan?.state === 'found' && isOfNow;
  return (
    <View style={{ gap: SPACE.xs }}>
      <Heading>{WORDS.heading}</Heading>
      {steps.length === 0 ? (
        <>
          <Button kind="main" onPress={() => router.push('/plan')}>
            {isMade ? WORDS.look : WORDS.make}
          </Button>
          <Small>{WORDS.why}</Small>
        </>
      ) : (
        <>
          <Body>{due.length > 0 ? WORDS.due(count(due.length, 'step')) : WORDS.none(dayWords(steps[0]!.on))}</Body>
          <Button kind="main" onPress={() => router.push('/plan/walk')}>
            {WORDS.walk}
          </Button>
        </>
      )}
    </View>
  );
}
