/** What needs the grower today: the sun's day, and what must be done, soonest damage first, with what would help. */
import {
  CIVIL_ELEVATION_DEG,
  RISE_ELEVATION_DEG,
  casesOf,
  civilDateOf,
  lampsTouched,
  sunDay,
  type HomeFacts,
  type PlantCase,
} from '@dulvan/core';
import { useMemo } from 'react';
import { View } from 'react-native';
import { LampsTouched } from '../../parts/lamp-touched';
import { Failed } from '../../parts/pending';
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
import { FactorTally } from './factor-tally';
import { OpenQuestions } from './open-questions';
import { SunDayDrawing } from './sun-day-drawing';
import { Cases } from './today-cases';

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
      {answers ? <Cases facts={facts} cases={cases} answers={answers.plants} /> : null}
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
        <Small>{['Working out the light of every spot …', shareWords(share)].join('')}</Small>
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

const shareWords = (share: number | null) => (share === null ? '' : ` ${Math.round(share * 100)} %`);

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
      <Body testID="sun-today">
        {`${words} · ${hours(sun.hoursAbove)} of sun, ${hours(civil.hoursAbove)} with twilight`}
      </Body>
      <SunDayDrawing home={home} date={date} nowMs={now} />
    </View>
  );
}
