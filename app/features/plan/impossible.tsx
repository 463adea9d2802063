/** Wishes that cannot all be kept: the smallest such set, each with the way to take it out. */
import type { HomeFacts, HomePlan } from '@dulvan/core';
import { View } from 'react-native';
import { SPACE } from '../../ui/theme';
import { Body, Heading } from '../../ui/type';
import { IMPOSSIBLE as WORDS } from './plan-words';
import { WishRow } from './wishes';

interface Given {
  readonly facts: HomeFacts;
  readonly plan: HomePlan;
}

export function Impossible({ facts, plan }: Given) {
  if (plan.state === 'undecided') return <Body>{WORDS.undecided}</Body>;
  if (plan.state !== 'impossible') return null;
  const clash = facts.wishes.filter(({ id }) => plan.clash.includes(id));
  const words =
    plan.clash.length === 0
      ? WORDS.rules
      : plan.clash.length === 1
        ? WORDS.one
        : WORDS.clash(String(plan.clash.length));
  return (
    <View role="alert" style={{ gap: SPACE.s }}>
      <Heading>{WORDS.heading}</Heading>
      <Body>{words}</Body>
      {clash.map((wish) => (
        <WishRow key={wish.id} facts={facts} wish={wish} />
      ))}
    </View>
  );
}
