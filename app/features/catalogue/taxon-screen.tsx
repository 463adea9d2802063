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
import { TAXON_SCREEN as WORDS } from './catalogue-words';

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
        <Heading>{WORDS.whatDecidesSuccess}</Heading>
        <Body>{taxon.key}</Body>
        <Temper taxon={taxon} />
      </View>
      {rules.map((rule) => (
        <Small key={rule}>→ {rule}</Small>
      ))}
      <Row>
        <Button kind="main" onPress={addPlant}>
          {WORDS.addThisPlant}
        </Button>
        <TextLink href={{ pathname: '/catalogue/compare', params: { one: taxon.id } }}>
          {WORDS.compareWithAnother}
        </TextLink>
      </Row>
      {plants.length > 0 ? <Small>{WORDS.youKeep(plants.length === 1 ? 'one' : plants.length)}</Small> : null}
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
  const begunFrom = knowledge.taxon(basedOn)?.name ?? WORDS.taxonNoLongerKnown;
  return (
    <View>
      <Title>{commonName(taxon)}</Title>
      <Body>{taxon.name}</Body>
      <Small>{[group, origin === 'own' ? WORDS.yourOwnBasedOn(begunFrom) : null].filter(Boolean).join(' · ')}</Small>
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
      <Heading>{WORDS.itsYear}</Heading>
      <YearBands targets={targets} month={month} onMonth={setMonth} bloom={bloomHere(taxon, home.latitude)} />
      {taxon.rest.trigger === 'none' ? null : (
        <View style={{ gap: SPACE.xs }}>
          <Heading>{WORDS.howItIsRested}</Heading>
          <Choices
            label={WORDS.howItIsRested}
            value={school}
            onValue={(value) => setSchool(value as School)}
            choices={SCHOOLS.map((value) => ({ value, word: SCHOOL_WORDS[value].word }))}
          />
          {followed === school ? (
            <>
              <Body>{SCHOOL_WORDS[school].does}</Body>
              <Small>{WORDS.why(SCHOOL_WORDS[school].reason)}</Small>
            </>
          ) : (
            <Body>
              {WORDS.diesWithoutRest}
              {WORDS.allTheSame(SCHOOL_WORDS[followed].word.toLowerCase())}
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
  if (school !== (ofHome ?? taxon.rest.school)) return WORDS.shownOnly;
  return ofHome ? WORDS.setForThisHome : WORDS.usualForThisTaxon;
}

function EveryFigure({ known }: { readonly known: Known }) {
  const [figures, setFigures] = useState<'hidden' | 'shown'>('hidden');
  const { id, name } = known.taxon;
  return (
    <>
      <Row>
        <Heading>{WORDS.everyFigure}</Heading>
        <Button onPress={() => setFigures(figures === 'shown' ? 'hidden' : 'shown')}>
          {figures === 'shown' ? WORDS.hide : WORDS.showAndCorrect}
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
  return names.length > 0 ? WORDS.inOtherLanguages(names.join(', ')) : null;
}

function OtherNames({ taxon }: { readonly taxon: Taxon }) {
  const lines = [
    taxon.common.length > 1 ? WORDS.alsoCalled(taxon.common.slice(1).join(', ')) : null,
    taxon.synonyms.length > 0 ? WORDS.onceOrInTrade(taxon.synonyms.join(', ')) : null,
    taxon.cultivars.length > 0 ? WORDS.cultivars(taxon.cultivars.join(', ')) : null,
    taxon.parents.length > 0 ? WORDS.ofParents(taxon.parents.map(parentWords).join(', ')) : null,
    abroadLine(taxon.id),
  ].filter((line) => line !== null);
  return lines.map((line) => <Small key={line}>{line}</Small>);
}

function DayLength({ taxon: { day } }: { readonly taxon: Taxon }) {
  if (day.kind === 'neutral') return null;
  const north = WORDS.northOfEquatorIn(day.inductionMonths.map(monthName).join(', '));
  const weeks = WORDS.aboutWeeks(day.inductionWeeks);
  return (
    <View>
      <Heading>{WORDS.dayLength}</Heading>
      <Body>
        {day.kind === 'short'
          ? WORDS.setsBudsAfter(weeks, day.criticalNightH, north)
          : WORDS.bloomsWhenNights(day.criticalNightH, weeks, north)}
      </Body>
      {day.kind === 'short' ? <Small>{WORDS.whatBreaksIt}</Small> : null}
    </View>
  );
}

function LookAlikes({ taxon }: { readonly taxon: Taxon }) {
  const pairs = lookAlikes.filter(({ one, other }) => one === taxon.id || other === taxon.id);
  if (pairs.length === 0) return null;
  return (
    <View style={{ gap: SPACE.xs }}>
      <Heading>{WORDS.oftenMistakenFor}</Heading>
      {pairs.map(({ one, other, tell, care }) => {
        const twin = knowledge.taxon(one === taxon.id ? other : one)!;
        return (
          <View key={twin.id}>
            <TextLink
              href={{ pathname: '/catalogue/compare', params: { one: taxon.id, other: twin.id } }}
            >{`${commonName(twin)}, ${twin.name}`}</TextLink>
            <Small>{tell}</Small>
            <Small>{WORDS.inCare(care)}</Small>
          </View>
        );
      })}
    </View>
  );
}
