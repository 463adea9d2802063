/** Accepting what is chosen of a plan: it becomes steps, all of them or none. */
import { acceptChanges, type FoundPlan, type HomeFacts } from '@dulvan/core';
import { router } from 'expo-router';
import { View } from 'react-native';
import { newId } from '../../parts/new-id';
import { count } from '../../parts/words';
import { useHome, useTrial } from '../../state/home';
import { Button } from '../../ui/button';
import { SPACE } from '../../ui/theme';
import { Body, Small } from '../../ui/type';
import type { ChosenParts } from './chosen';
import { ACCEPT as WORDS } from './plan-words';

interface Given {
  readonly facts: HomeFacts;
  readonly plan: FoundPlan;
  readonly chosen: ChosenParts;
}

export function Accept({ facts, plan, chosen }: Given) {
  const change = useHome((state) => state.change);
  const isTrying = useTrial() !== null;
  const { work, on } = chosen;
  const steps = count(work.steps.length, 'step');
  const isAll =
    chosen.plantIds.size === plan.plants.length &&
    chosen.circuitIds.size === plan.timers.length &&
    chosen.otherIds.size === plan.others.length;
  const accept = async () => {
    const outcome = await change(WORDS.summary(steps), acceptChanges(facts, plan, { chosen, work, on, newId }));
    if (outcome === 'stored') router.push('/plan/walk');
  };
  return (
    <View style={{ gap: SPACE.xs }}>
      {work.steps.length === 0 ? <Small>{WORDS.nothing}</Small> : null}
      {isTrying ? <Body>{WORDS.firstKeep}</Body> : null}
      <Button kind="main" disabled={work.steps.length === 0 || isTrying} onPress={() => void accept()}>
        {isAll ? WORDS.acceptAll : WORDS.acceptSome(steps)}
      </Button>
      <Small>{WORDS.note}</Small>
    </View>
  );
}
