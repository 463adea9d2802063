/** A plant without a label: from what is seen of it to likely groups and a target that is safe for all of them. */
import {
  VISIBLE_TRAITS,
  groups,
  groupTaxon,
  likelyGroups,
  plausibleGroups,
  type VisibleTrait,
} from '@dulvan/catalogue';
import { mixOf, waysOf, yearTargets, type HomeFacts } from '@dulvan/core';
import { router } from 'expo-router';
import { useMemo } from 'react';
import { View } from 'react-native';
import { useDrafts } from '../../state/drafts';
import { useFacts } from '../../state/home';
import { Button } from '../../ui/button';
import { ManyChoices } from '../../ui/choices';
import { TwoPanes } from '../../ui/page';
import { SPACE } from '../../ui/theme';
import { Body, Heading, Small, Strong, Title } from '../../ui/type';
import { useInk } from '../../ui/use-ink';
import { YearBands } from '../../parts/year-bands';
import { Hazards } from '../../parts/hazards';
import { useMonth } from '../../parts/use-month';

const DRAFT = 'catalogue/seen';
const TRAIT_KEYS = Object.keys(VISIBLE_TRAITS) as VisibleTrait[];
const TRAIT_CHOICES = TRAIT_KEYS.map((value) => ({ value, word: VISIBLE_TRAITS[value] }));

export function NoLabelScreen() {
  const facts = useFacts();
  const draft = useDrafts((state) => state.drafts[DRAFT]);
  const seen = useMemo(() => TRAIT_KEYS.filter((trait) => (draft?.seen ?? '').split(',').includes(trait)), [draft]);
  if (!facts) return null;
  const put = (chosen: readonly VisibleTrait[]) => useDrafts.getState().put(DRAFT, { seen: chosen.join(',') });
  return (
    <TwoPanes
      first={
        <>
          <Title>It has no label</Title>
          <Body>Mark what you can see. Three or four marks are often enough; leave out what you are not sure of.</Body>
          <ManyChoices label="What you see" choices={TRAIT_CHOICES} chosen={seen} onChosen={put} />
          {seen.length > 0 ? (
            <Button onPress={() => put([])} style={{ alignSelf: 'flex-start' }}>
              Start over
            </Button>
          ) : null}
        </>
      }
      second={
        seen.length === 0 ? (
          <Body>What it may be is shown here as soon as you have marked something.</Body>
        ) : (
          <Likely facts={facts} seen={seen} />
        )
      }
    />
  );
}

function Likely({ facts, seen }: { readonly facts: HomeFacts; readonly seen: readonly VisibleTrait[] }) {
  const ink = useInk();
  const [month, setMonth] = useMonth();
  const plausible = useMemo(() => plausibleGroups(likelyGroups(seen, groups)), [seen]);
  const safe = useMemo(
    () =>
      mixOf(
        plausible.map(({ group, likelihood }) => ({ taxon: groupTaxon(group), share: likelihood })),
        'Plant without a name',
        'unnamed',
      ),
    [plausible],
  );
  const targets = useMemo(
    () => yearTargets({ stage: 'adult', growthState: 'by-season' }, safe, waysOf(facts.home, null)),
    [safe, facts.home],
  );
  const plan = () => {
    const [first] = plausible;
    const parents =
      plausible.length > 1
        ? plausible.map(({ group, likelihood }) => ({
            taxonId: `group-${group.id}`,
            share: Math.round(likelihood * 100) / 100,
          }))
        : [];
    useDrafts
      .getState()
      .put('plants/adding', { search: '', taxonId: `group-${first!.group.id}`, parents: JSON.stringify(parents) });
    router.push('/plants/add');
  };
  return (
    <View style={{ gap: SPACE.m }}>
      <Heading>It is likely one of these</Heading>
      {plausible.map(({ group, likelihood }) => (
        <View key={group.id} style={{ gap: 2 }}>
          <View style={{ flexDirection: 'row', gap: SPACE.s }}>
            <Strong style={{ flex: 1 }}>{group.name}</Strong>
            <Body>{`${Math.round(likelihood * 100)} %`}</Body>
          </View>
          <View style={{ height: 6, backgroundColor: ink.line }}>
            <View style={{ height: 6, width: `${Math.round(likelihood * 100)}%`, backgroundColor: ink.accent }} />
          </View>
          <Small>{group.plain}</Small>
        </View>
      ))}
      <Small>
        Each mark is weighed by how often a group shows it, all groups alike beforehand; what you left out is not
        counted against any.
      </Small>
      <Button kind="main" onPress={plan} style={{ alignSelf: 'flex-start' }}>
        Keep it under this for now
      </Button>
      <Small>It is planned from these groups in these shares until you name it.</Small>
      <Heading>A target that is safe meanwhile</Heading>
      <YearBands targets={targets} month={month} onMonth={setMonth} />
      <Hazards hazard={safe.hazard} />
    </View>
  );
}
