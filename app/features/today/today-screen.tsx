/** What needs the grower today: the sun's day, and what must be done, soonest damage first, with what would help. */
import {
  CIVIL_ELEVATION_DEG,
  RISE_ELEVATION_DEG,
  casesOf,
  civilDateOf,
  lampsTouched,
  sunDay,
  type HomeFacts,
  type PlantAnswer,
  type PlantCase,
} from '@dulvan/core';
import { useMemo } from 'react';
import { View } from 'react-native';
import { LampsTouched } from '../../parts/lamp-touched';
import { Failed } from '../../parts/pending';
import { useFits } from '../../parts/use-fits';
import { count, hours } from '../../parts/words';
import { useFacts } from '../../state/home';
import { useNow } from '../../state/use-now';
import { retryVerdicts, useVerdicts } from '../../state/verdicts';
import { TextLink } from '../../ui/button';
import { monthName } from '../../ui/months';
import { TwoPanes } from '../../ui/page';
import { SPACE } from '../../ui/theme';
import { Body, Small, Strong, Title } from '../../ui/type';
import { useIsWide } from '../../ui/use-ink';
import { AirAlarms } from './air-alarms';
import { FactorTally } from './factor-tally';
import { OpenQuestions } from './open-questions';
import { PlugAlarms } from './plug-alarms';
import { HomeDrawing, type Standing } from './home-drawing';
import { TodayPlan } from './today-plan';
import { SunDayDrawing } from './sun-day-drawing';
import { Cases } from './today-cases';
import { TODAY_SCREEN as WORDS } from './today-words';

/** Height that the drawing of the home may take, px: on a phone the first plant's need still shows below it. */
const DRAWN_HEIGHT = { phone: 210, wide: 300 } as const;

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
      <SunOfToday facts={facts} />
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
      <Standings facts={facts} cases={cases} month={month} />
      <Summary facts={facts} cases={cases} />
      {wide ? around : null}
    </>
  );
  const second = (
    <>
      <AirAlarms facts={facts} />
      <PlugAlarms facts={facts} />
      <LampsTouched facts={facts} />
      <TodayPlan facts={facts} needy={cases.filter(({ urgency }) => urgency !== 'mild').length} />
      {answers ? <Cases facts={facts} cases={cases} answers={answers.plants} /> : null}
      {wide ? null : around}
    </>
  );
  return <TwoPanes first={first} second={second} />;
}

/** The home drawn small, and what its marks mean. */
function Standings({ facts, cases, month }: CasesGiven & { readonly month: number }) {
  const { answers } = useVerdicts();
  const fits = useFits(facts, month);
  const wide = useIsWide();
  const standings = useMemo(() => standingsOf(facts, cases, answers?.plants ?? []), [facts, cases, answers]);
  if (facts.plants.length === 0) return null;
  return (
    <View style={{ gap: SPACE.xs }}>
      <HomeDrawing
        facts={facts}
        standings={standings}
        fits={fits}
        mostHeight={wide ? DRAWN_HEIGHT.wide : DRAWN_HEIGHT.phone}
      />
      <Small>{WORDS.howToRead}</Small>
    </View>
  );
}

/** How much each plant stands out; what is still being worked out is not told as well. */
function standingsOf(facts: HomeFacts, cases: readonly PlantCase[], answers: readonly PlantAnswer[]) {
  const judged = new Set(answers.filter(({ fit }) => fit).map(({ plantId }) => plantId));
  const needy = new Map(cases.map(({ plant, urgency }) => [plant.id, urgency === 'mild' ? 'mild' : 'needs'] as const));
  return new Map<string, Standing>(
    facts.plants.map(({ id }) => [id, needy.get(id) ?? (judged.has(id) ? 'well' : 'unknown')]),
  );
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
      {state === 'working' ? <Small>{WORDS.workingOut(shareWords(share))}</Small> : null}
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

const shareWords = (share: number | null) => (share === null ? '' : ` ${Math.round(share * 100)} %`);

const wellWords = ({ plants }: HomeFacts) =>
  plants.some(({ spotId }) => spotId === null) ? WORDS.allPlacedDoWell : WORDS.allDoWell;

/** "2 plants need something this week, 3 this season; 15 of 24 do as you want." */
function summaryWords(facts: HomeFacts, cases: readonly PlantCase[]): string {
  const of = (urgency: PlantCase['urgency']) => cases.filter((item) => item.urgency === urgency).length;
  const [week, season, later] = [of('week'), of('season'), of('later')];
  const well = facts.plants.filter(({ spotId }) => spotId !== null).length - week - season - later;
  if (week + season + later === 0)
    return lampsTouched(facts).length === 0 ? wellWords(facts) : WORDS.allHaveWhatTheyWant;
  const needs = [
    ...(week > 0 ? [WORDS.thisWeek(week)] : []),
    ...(season > 0 ? [WORDS.thisSeason(season)] : []),
    ...(later > 0 ? [WORDS.whenItSuitsYou(later)] : []),
  ];
  return WORDS.needSomething(needs.join(', '), well, count(facts.plants.length, 'plant'));
}

function NoPlants({ rooms }: { readonly rooms: number }) {
  return rooms === 0 ? (
    <View>
      <Body>{WORDS.noRoomYet}</Body>
      <TextLink href="/place/rooms/new">{WORDS.addRoom}</TextLink>
    </View>
  ) : (
    <View>
      <Body>{WORDS.noPlantYet}</Body>
      <TextLink href="/plants/add">{WORDS.addPlant}</TextLink>
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
      ? WORDS.sunDoesNotSet
      : sun.kind === 'always-below'
        ? WORDS.sunDoesNotRise
        : [
            sun.riseMs === null ? null : WORDS.sunUp(time(sun.riseMs)),
            sun.setMs === null ? null : WORDS.sunDown(time(sun.setMs)),
          ]
            .filter(Boolean)
            .join(', ');
  return (
    <View style={{ gap: SPACE.xs }}>
      <Body testID="sun-today">{WORDS.sunAndTwilight(words, hours(sun.hoursAbove), hours(civil.hoursAbove))}</Body>
      <SunDayDrawing home={home} date={date} nowMs={now} />
    </View>
  );
}
