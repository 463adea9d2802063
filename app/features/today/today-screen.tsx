/** What needs the grower today: the sun's day, and what must be done this week and this season, soonest damage first, each with what would help. */
import {
  CIVIL_ELEVATION_DEG,
  RISE_ELEVATION_DEG,
  casesOf,
  civilDateOf,
  lampsTouched,
  sunDay,
  type HomeFacts,
  type PlantCase,
  type PlantMends,
} from '@dulvan/core';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { useMends, type Asked } from '../../state/questions';
import { retryVerdicts, useVerdicts } from '../../state/verdicts';
import { useFacts } from '../../state/home';
import { useUnits } from '../../state/settings';
import { Button, TextLink } from '../../ui/button';
import { Failed } from '../../parts/pending';
import { FactorSign } from '../../parts/factor-sign';
import { FitMark } from '../../parts/fit-mark';
import { Rule, TwoPanes } from '../../ui/page';
import { SPACE } from '../../ui/theme';
import { Body, Heading, Small, Strong, Title } from '../../ui/type';
import { useIsWide } from '../../ui/use-ink';
import { useNow } from '../../state/use-now';
import { count, fitShare, hours, latinName, plantName, spotPlace, troubleSentence } from '../../parts/words';
import { verdictSentence } from '../../parts/verdict-words';
import { useWhen } from '../../state/year';
import { monthName } from '../../ui/months';
import { FactorTally } from './factor-tally';
import { OpenQuestions } from './open-questions';
import { LampsTouched } from '../../parts/lamp-touched';
import { MendList } from '../../parts/mends';
import { SunDayDrawing } from './sun-day-drawing';

export function TodayScreen() {
  const facts = useFacts();
  const { answers } = useVerdicts();
  const now = useNow();
  const wide = useIsWide();
  const cases = useMemo(() => (answers && facts ? casesOf(facts, answers.plants) : []), [answers, facts]);
  if (!facts) return null;
  const { home } = facts;
  const { day, month } = civilDateOf(now, home.timeZone);
  // What is wrong comes first on a phone; where there is room the overview stands beside it.
  const around = answers ? (
    <>
      <FactorTally fits={answers.plants.flatMap(({ fit }) => fit?.months[month - 1] ?? [])} />
      <OpenQuestions facts={facts} />
    </>
  ) : null;
  const first = (
    <>
      <View>
        <Small>{home.name}</Small>
        <Title>{`${day} ${monthName(month)}`}</Title>
      </View>
      <SunOfToday facts={facts} />
      <Summary facts={facts} cases={cases} />
      {wide ? around : null}
    </>
  );
  const second = (
    <>
      <LampsTouched facts={facts} />
      <Cases facts={facts} cases={cases} />
      {answers ? <Nowhere facts={facts} /> : null}
      {wide ? null : around}
    </>
  );
  return <TwoPanes first={first} second={second} />;
}

interface Given {
  readonly facts: HomeFacts;
}

/** How many plants lack something; that nothing is wrong is said only of what is worked out. */
function Summary({ facts, cases }: CasesGiven) {
  const { answers, state, failure, share } = useVerdicts();
  const plants = facts.plants.length;
  return (
    <>
      {failure === null ? null : <Failed message={failure} onRetry={retryVerdicts} />}
      {state === 'working' ? (
        <Small>{`Working out the light of every spot …${share === null ? '' : ` ${Math.round(share * 100)} %`}`}</Small>
      ) : null}
      {plants === 0 ? <NoPlants rooms={facts.rooms.length} /> : null}
      {answers && state === 'ready' && plants > 0 ? (
        <Strong testID="today-summary">{summaryWords(facts, cases)}</Strong>
      ) : null}
    </>
  );
}

interface CasesGiven extends Given {
  readonly cases: readonly PlantCase[];
}

const wellWords = ({ plants }: HomeFacts) =>
  plants.some(({ spotId }) => spotId === null)
    ? 'All plants that have a place do as you want of them.'
    : 'All plants do as you want of them.';

/** "2 plants need something this week, 3 this season; 15 of 24 do as you want." */
function summaryWords(facts: HomeFacts, cases: readonly PlantCase[]): string {
  const of = (urgency: PlantCase['urgency']) => cases.filter((item) => item.urgency === urgency).length;
  const [week, season, later] = [of('week'), of('season'), of('later')];
  const well = facts.plants.filter(({ spotId }) => spotId !== null).length - week - season - later;
  if (week + season + later === 0)
    return lampsTouched(facts).length === 0 ? wellWords(facts) : 'All have the light, warmth and air they want.';
  const needs = [
    ...(week > 0 ? [`${week} this week`] : []),
    ...(season > 0 ? [`${season} this season`] : []),
    ...(later > 0 ? [`${later} when it suits you`] : []),
  ];
  return `Need something: ${needs.join(', ')}. ${well} of ${count(facts.plants.length, 'plant')} do as you want.`;
}

const GROUPS = [
  { urgency: 'week', heading: 'This week' },
  { urgency: 'season', heading: 'This season' },
  { urgency: 'later', heading: 'When it suits you' },
] as const;
/** Of each group so many are shown; the rest at a tap. */
const SHOWN_AT_FIRST = 4;

function Cases({ facts, cases }: CasesGiven) {
  const needy = cases.some(({ urgency }) => urgency !== 'mild');
  const asked = useMends(needy ? facts : null);
  return (
    <>
      {GROUPS.map(({ urgency, heading }) => (
        <CaseGroup
          key={urgency}
          facts={facts}
          heading={heading}
          asked={asked}
          cases={cases.filter((item) => item.urgency === urgency)}
        />
      ))}
      <Mild facts={facts} cases={cases.filter(({ urgency }) => urgency === 'mild')} />
    </>
  );
}

interface GroupGiven extends CasesGiven {
  readonly heading: string;
  readonly asked: Asked<PlantMends[]>;
}

function CaseGroup({ facts, heading, cases, asked }: GroupGiven) {
  const [shown, setShown] = useState<'some' | 'all'>('some');
  if (cases.length === 0) return null;
  const more = cases.length - SHOWN_AT_FIRST;
  return (
    <View style={{ gap: SPACE.xs }}>
      <Heading>{heading}</Heading>
      {cases.slice(0, shown === 'all' ? undefined : SHOWN_AT_FIRST).map((item) => (
        <NeedyPlant key={item.plant.id} facts={facts} item={item} asked={asked} />
      ))}
      {more > 0 && shown === 'some' ? (
        <Button
          onPress={() => setShown('all')}
          label={`${heading}: show the other ${more}`}
        >{`Show the other ${more}`}</Button>
      ) : null}
    </View>
  );
}

/** Plants that do as their grower wants and could do a little better: folded away. */
function Mild({ facts, cases }: CasesGiven) {
  const [shown, setShown] = useState<'no' | 'yes'>('no');
  const units = useUnits();
  if (cases.length === 0) return null;
  return (
    <View style={{ gap: SPACE.xs }}>
      <Button onPress={() => setShown(shown === 'yes' ? 'no' : 'yes')} style={{ alignSelf: 'flex-start' }}>
        {shown === 'yes'
          ? 'Hide what could be a little better'
          : `${count(cases.length, 'plant')} could do a little better`}
      </Button>
      {shown === 'yes'
        ? cases.map(({ plant, troubles }) => (
            <View key={plant.id}>
              <TextLink href={{ pathname: '/plants/[plantId]', params: { plantId: plant.id } }}>
                {plantName(facts, plant)}
              </TextLink>
              <Small>{troubleSentence(troubles[0]!, units)}</Small>
            </View>
          ))
        : null}
    </View>
  );
}

function Nowhere({ facts }: Given) {
  const nowhere = facts.plants.filter((plant) => plant.spotId === null);
  if (nowhere.length === 0) return null;
  return (
    <View style={{ gap: SPACE.xs }}>
      <Heading>Stand nowhere yet</Heading>
      {nowhere.map((plant) => (
        <TextLink key={plant.id} href={{ pathname: '/plants/[plantId]', params: { plantId: plant.id } }}>
          {`Find a spot for ${plantName(facts, plant)}`}
        </TextLink>
      ))}
    </View>
  );
}

function NoPlants({ rooms }: { readonly rooms: number }) {
  return rooms === 0 ? (
    <View>
      <Body>Your home has no room yet. Draw the one your plants stand in: walls, windows, and a stand.</Body>
      <TextLink href="/place/rooms/new">Add a room</TextLink>
    </View>
  ) : (
    <View>
      <Body>No plant is kept here yet. Add one: the spots are ranked for it at once.</Body>
      <TextLink href="/plants/add">Add a plant</TextLink>
    </View>
  );
}

function SunOfToday({ facts: { home } }: { readonly facts: HomeFacts }) {
  const now = useNow();
  const date = civilDateOf(now, home.timeZone);
  const sun = sunDay(date, home.timeZone, home, RISE_ELEVATION_DEG);
  const civil = sunDay(date, home.timeZone, home, CIVIL_ELEVATION_DEG);
  const time = (at: number) =>
    new Date(at).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit', timeZone: home.timeZone });
  const words =
    sun.kind === 'always-above'
      ? 'The sun does not set today'
      : sun.kind === 'always-below'
        ? 'The sun does not rise today'
        : [
            sun.riseMs === null ? null : `Sun up ${time(sun.riseMs)}`,
            sun.setMs === null ? null : `down ${time(sun.setMs)}`,
          ]
            .filter(Boolean)
            .join(', ');
  return (
    <View style={{ gap: SPACE.xs }}>
      <Body testID="sun-today">{`${words} · ${hours(sun.hoursAbove)} of sun, ${hours(civil.hoursAbove)} with twilight`}</Body>
      <SunDayDrawing home={home} date={date} nowMs={now} />
    </View>
  );
}

interface NeedyGiven extends Given {
  readonly item: PlantCase;
  readonly asked: Asked<PlantMends[]>;
}

function NeedyPlant({ facts, item, asked }: NeedyGiven) {
  const { plant, answer, troubles } = item;
  const units = useUnits();
  const { month } = useWhen(facts);
  const { verdict, months } = answer.fit!;
  const name = plantName(facts, plant);
  const [worst] = troubles;
  return (
    <View role="group" aria-label={name} style={{ gap: SPACE.xs, paddingBottom: SPACE.s }}>
      <View style={{ flexDirection: 'row', alignItems: 'center', gap: SPACE.s }}>
        <FitMark fit={months[month - 1] ?? null} size={32} />
        <View style={{ flex: 1 }}>
          <TextLink href={{ pathname: '/plants/[plantId]', params: { plantId: plant.id } }}>{name}</TextLink>
          <Small>{`${latinName(facts, plant)} · ${spotPlace(facts, plant.spotId)}`}</Small>
        </View>
        <Small>{fitShare(verdict.score)}</Small>
      </View>
      <Strong>{`${verdictSentence(verdict)}.`}</Strong>
      {worst ? (
        <View style={{ flexDirection: 'row', gap: SPACE.s, alignItems: 'flex-start' }}>
          <View style={{ paddingTop: 2 }}>
            <FactorSign factor={worst.factor} />
          </View>
          <Body style={{ flex: 1 }}>{troubleSentence(worst, units)}</Body>
        </View>
      ) : null}
      <MendList facts={facts} plant={plant} answer={answer} asked={asked} how="in-short" />
      <Rule />
    </View>
  );
}
