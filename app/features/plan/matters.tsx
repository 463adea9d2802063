/** What matters to the grower in a plan: which years, who must not get at what, wishes, and what electricity costs. */
import type { HomeFacts, HouseholdMember, PlannedYears } from '@dulvan/core';
import { router } from 'expo-router';
import { View } from 'react-native';
import { count } from '../../parts/words';
import { Button } from '../../ui/button';
import { ManyChoices } from '../../ui/choices';
import { Question } from '../../ui/question';
import { SPACE } from '../../ui/theme';
import { Body, Small, Strong } from '../../ui/type';
import { MATTERS as WORDS } from './plan-words';
import { choicesOf, usePlanSetting } from './setting';
import { WishList } from './wishes';

export function Matters({ facts }: { readonly facts: HomeFacts }) {
  const { settings, set } = usePlanSetting(facts);
  const prices = facts.tariffs.length;
  return (
    <View style={{ gap: SPACE.m }}>
      <Question
        label={WORDS.whichYears}
        choices={choicesOf(WORDS.years)}
        value={settings.years}
        onValue={(value) => set(WORDS.years[value as PlannedYears], { years: value as PlannedYears })}
        note={WORDS.yearsNote}
      />
      <Strong>{WORDS.whoLives}</Strong>
      <ManyChoices<HouseholdMember>
        label={WORDS.whoLives}
        choices={choicesOf(WORDS.household)}
        chosen={settings.household}
        onChosen={(household) => set(WORDS.whoLives, { household })}
      />
      <Small>{WORDS.householdNote}</Small>
      <WishList facts={facts} />
      <Strong>{WORDS.price}</Strong>
      <Body>{prices === 0 ? WORDS.noPrice : WORDS.prices(count(prices, 'price'), settings.currency)}</Body>
      <Button style={{ alignSelf: 'flex-start' }} onPress={() => router.push('/plan/prices')}>
        {WORDS.editPrices}
      </Button>
    </View>
  );
}
