/** A plant without a label: from what is seen of it to likely groups and a target that is safe for all of them. */
import {
  TRAITS_BY_PART,
  VISIBLE_TRAITS,
  groups,
  groupTaxon,
  likelyGroups,
  plausibleGroups,
  type SeenPart,
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
import { Labelled } from '../../ui/labelled';
import { TwoPanes } from '../../ui/page';
import { SPACE } from '../../ui/theme';
import { Body, Heading, Small, Strong, Title } from '../../ui/type';
import { useInk } from '../../ui/use-ink';
import { YearBands } from '../../parts/year-bands';
import { Hazards } from '../../parts/hazards';
import { useMonth } from '../../parts/use-month';
import { NO_LABEL_SCREEN as WORDS } from './catalogue-words';

const DRAFT = 'catalogue/seen';
const TRAIT_KEYS = Object.keys(VISIBLE_TRAITS) as VisibleTrait[];
const PARTS = Object.keys(TRAITS_BY_PART) as SeenPart[];
const isOf = (part: SeenPart, trait: VisibleTrait) => (TRAITS_BY_PART[part] as readonly VisibleTrait[]).includes(trait);

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
          <Title>{WORDS.itHasNoLabel}</Title>
          <Body>{WORDS.markWhatYouSee}</Body>
          {PARTS.map((part) => (
            <Labelled key={part} label={WORDS[part]}>
              <ManyChoices
                label={WORDS[part]}
                choices={TRAITS_BY_PART[part].map((value) => ({ value, word: VISIBLE_TRAITS[value] }))}
                chosen={seen}
                onChosen={(ofPart) => put([...seen.filter((trait) => !isOf(part, trait)), ...ofPart])}
              />
            </Labelled>
          ))}
          {seen.length > 0 ? (
            <Button onPress={() => put([])} style={{ alignSelf: 'flex-start' }}>
              {WORDS.startOver}
            </Button>
          ) : null}
        </>
      }
      second={seen.length === 0 ? <Body>{WORDS.nothingMarkedYet}</Body> : <Likely facts={facts} seen={seen} />}
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
        WORDS.plantWithoutName,
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
      <Heading>{WORDS.likelyOneOfThese}</Heading>
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
      <Small>{WORDS.howItIsWeighed}</Small>
      <Button kind="main" onPress={plan} style={{ alignSelf: 'flex-start' }}>
        {WORDS.keepItForNow}
      </Button>
      <Small>{WORDS.plannedUntilNamed}</Small>
      <Heading>{WORDS.safeTarget}</Heading>
      <YearBands targets={targets} month={month} onMonth={setMonth} />
      <Hazards hazard={safe.hazard} />
    </View>
  );
}
