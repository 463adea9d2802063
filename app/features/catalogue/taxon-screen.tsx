/** One taxon: what decides success, whom it harms, its year as bands, what it is mistaken for, every figure. */
import { groups, knowledge, lookAlikes, namesAbroad } from '@dulvan/catalogue';
import {
  ALL_MONTHS,
  SCHOOLS,
  SCHOOL_WORDS,
  monthOfSeason,
  schoolFor,
  waysOf,
  yearTargets,
  type HomeFacts,
  type Known,
  type School,
  type Taxon,
} from '@dulvan/core';
import { router } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { useDrafts } from '../../state/drafts';
import { useFacts } from '../../state/home';
import { useKnownTaxon } from '../../state/taxa';
import { Button, TextLink } from '../../ui/button';
import { Choices } from '../../ui/choices';
import { Page, Row, Rule } from '../../ui/page';
import { SPACE } from '../../ui/theme';
import { Body, Heading, Small, Title } from '../../ui/type';
import { commonName } from '../../parts/words';
import { monthName } from '../../ui/months';
import { YearBands } from '../../parts/year-bands';
import { Hazards } from '../../parts/hazards';
import { useMonth } from '../../parts/use-month';
import { NotHere } from '../../parts/not-here';
import { FiguresTable } from '../../parts/figures-table';
import { Habits, Temper } from './habits';
import { LightHere } from './light-here';
import { OwnTaxonCare } from './own-taxon';

export function TaxonScreen({ taxonId }: { readonly taxonId: string }) {
  const facts = useFacts();
  const known = useKnownTaxon(taxonId);
  if (!facts || !known) return <NotHere what="taxon" back="/catalogue" />;
  return <TaxonView key={taxonId} facts={facts} known={known} />;
}

function TaxonView({ facts, known }: TaxonGiven) {
  const { taxon, rules } = known;
  const plants = facts.plants.filter((plant) => plant.taxonId === taxon.id && plant.parents.length === 0);
  const addPlant = () => {
    useDrafts.getState().put('plants/adding', { search: taxon.name, taxonId: taxon.id });
    router.push('/plants/add');
  };
  return (
    <Page>
      <Names facts={facts} known={known} />
      <Hazards hazard={taxon.hazard} />
      <View>
        <Heading>What decides success</Heading>
        <Body>{taxon.key}</Body>
        <Temper taxon={taxon} />
      </View>
      {rules.map((rule) => (
        <Small key={rule}>→ {rule}</Small>
      ))}
      <Row>
        <Button kind="main" onPress={addPlant}>
          Add this plant
        </Button>
        <TextLink href={{ pathname: '/catalogue/compare', params: { one: taxon.id } }}>Set beside another</TextLink>
      </Row>
      {plants.length > 0 ? <Small>{`You keep ${plants.length === 1 ? 'one' : plants.length} of it.`}</Small> : null}
      <OwnTaxonCare facts={facts} taxonId={taxon.id} />
      <Rule />
      <Year facts={facts} taxon={taxon} />
      <DayLength taxon={taxon} />
      <Habits taxon={taxon} bloomHere={bloomHere(taxon, facts.home.latitude)} />
      <LookAlikes taxon={taxon} />
      <Rule />
      <EveryFigure known={known} />
    </Page>
  );
}

interface TaxonGiven {
  readonly facts: HomeFacts;
  readonly known: Known;
}

function Names({ facts, known: { taxon, origin } }: TaxonGiven) {
  const group = groups.find((candidate) => candidate.id === taxon.group)?.name;
  const basedOn = facts.ownTaxa.find((own) => own.id === taxon.id)?.basedOn ?? '';
  const begunFrom = knowledge.taxon(basedOn)?.name ?? 'a taxon no longer known';
  return (
    <View>
      <Title>{commonName(taxon)}</Title>
      <Body>{taxon.name}</Body>
      <Small>
        {[group, origin === 'own' ? `your own, begun from ${begunFrom}` : null].filter(Boolean).join(' · ')}
      </Small>
      <OtherNames taxon={taxon} />
    </View>
  );
}

/** The year as bands, by the school of rest that is chosen. */
function Year({ facts, taxon }: { readonly facts: HomeFacts; readonly taxon: Taxon }) {
  const { home } = facts;
  const [month, setMonth] = useMonth();
  const [school, setSchool] = useState<School>(home.restSchool ?? taxon.rest.school);
  const targets = useMemo(
    () => yearTargets({ stage: 'adult', growthState: 'by-season' }, taxon, { ...waysOf(home, null), school }),
    [taxon, home, school],
  );
  const followed = schoolFor(taxon, school);
  return (
    <>
      <LightHere facts={facts} taxon={taxon} targets={targets} />
      <Heading>Its year, full grown, in this home</Heading>
      <YearBands targets={targets} month={month} onMonth={setMonth} bloom={bloomHere(taxon, home.latitude)} />
      {taxon.rest.trigger === 'none' ? null : (
        <View style={{ gap: SPACE.xs }}>
          <Heading>How it is rested</Heading>
          <Choices
            label="How it is rested"
            value={school}
            onValue={(value) => setSchool(value as School)}
            choices={SCHOOLS.map((value) => ({ value, word: SCHOOL_WORDS[value].word }))}
          />
          {followed === school ? (
            <>
              <Body>{SCHOOL_WORDS[school].does}</Body>
              <Small>{`Why: ${SCHOOL_WORDS[school].reason}`}</Small>
            </>
          ) : (
            <Body>
              {'⚠ It dies when it is kept from its rest, so its year is drawn with '}
              {`${SCHOOL_WORDS[followed].word.toLowerCase()} all the same.`}
            </Body>
          )}
          <Small>{whereFrom(school, home.restSchool, taxon)}</Small>
        </View>
      )}
    </>
  );
}

/** The months of bloom on the calendar of a latitude. */
const bloomHere = ({ bloom }: Taxon, latitude: number): number[] =>
  ALL_MONTHS.filter((month) => bloom.months.includes(monthOfSeason(month, latitude)));

function whereFrom(school: School, ofHome: School | null, taxon: Taxon): string {
  if (school !== (ofHome ?? taxon.rest.school))
    return 'Shown only: set it for the home under Place, or for one plant in its form.';
  return ofHome ? 'So it is set for this home.' : 'Usual for this taxon.';
}

function EveryFigure({ known }: { readonly known: Known }) {
  const [figures, setFigures] = useState<'hidden' | 'shown'>('hidden');
  const { id, name } = known.taxon;
  return (
    <>
      <Row>
        <Heading>Every figure</Heading>
        <Button onPress={() => setFigures(figures === 'shown' ? 'hidden' : 'shown')}>
          {figures === 'shown' ? 'Hide' : 'Show, and correct'}
        </Button>
      </Row>
      {figures === 'shown' ? <FiguresTable known={known} taxonId={id} plantId={null} name={name} /> : null}
    </>
  );
}

const parentWords = ({ taxonId, share }: Taxon['parents'][number]) =>
  `${Math.round(share * 100)} % ${knowledge.taxon(taxonId)?.name ?? taxonId}`;

const LANGUAGES: Readonly<Record<string, string>> = {
  de: 'German',
  fr: 'French',
  es: 'Spanish',
  pt: 'Portuguese',
  it: 'Italian',
  nl: 'Dutch',
};

/** The best known name in each language that has one. */
function abroadLine(taxonId: string): string | null {
  const names = Object.entries(namesAbroad[taxonId] ?? {}).map(
    ([language, [best]]) => `${best} (${LANGUAGES[language]})`,
  );
  return names.length > 0 ? `In other languages ${names.join(', ')}` : null;
}

function OtherNames({ taxon }: { readonly taxon: Taxon }) {
  const lines = [
    taxon.common.length > 1 ? `Also ${taxon.common.slice(1).join(', ')}` : null,
    taxon.synonyms.length > 0 ? `Once, or in trade, ${taxon.synonyms.join(', ')}` : null,
    taxon.cultivars.length > 0 ? `Cultivars: ${taxon.cultivars.join(', ')}` : null,
    taxon.parents.length > 0 ? `Of ${taxon.parents.map(parentWords).join(', ')}` : null,
    abroadLine(taxon.id),
  ].filter((line) => line !== null);
  return lines.map((line) => <Small key={line}>{line}</Small>);
}

function DayLength({ taxon: { day } }: { readonly taxon: Taxon }) {
  if (day.kind === 'neutral') return null;
  const north = `north of the equator in ${day.inductionMonths.map(monthName).join(', ')}`;
  const weeks = `about ${day.inductionWeeks} weeks`;
  return (
    <View>
      <Heading>Day length</Heading>
      <Body>
        {day.kind === 'short'
          ? `Sets buds after ${weeks} of nights of at least ${day.criticalNightH} h (${north}).`
          : `Blooms when nights are shorter than ${day.criticalNightH} h for ${weeks} (${north}).`}
      </Body>
      {day.kind === 'short' ? (
        <Small>
          What breaks it: any lamp, a room light in the evening, even a street lamp through the pane. The weeks then
          start anew.
        </Small>
      ) : null}
    </View>
  );
}

function LookAlikes({ taxon }: { readonly taxon: Taxon }) {
  const pairs = lookAlikes.filter(({ one, other }) => one === taxon.id || other === taxon.id);
  if (pairs.length === 0) return null;
  return (
    <View style={{ gap: SPACE.xs }}>
      <Heading>Taken for it</Heading>
      {pairs.map(({ one, other, tell, care }) => {
        const twin = knowledge.taxon(one === taxon.id ? other : one)!;
        return (
          <View key={twin.id}>
            <TextLink
              href={{ pathname: '/catalogue/compare', params: { one: taxon.id, other: twin.id } }}
            >{`${commonName(twin)}, ${twin.name}`}</TextLink>
            <Small>{tell}</Small>
            <Small>{`In care: ${care}`}</Small>
          </View>
        );
      })}
    </View>
  );
}
