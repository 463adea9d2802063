/** What needs the grower today: the sun's day, and what is wrong where, worst first, each with what mends it. */
import {
  CIVIL_ELEVATION_DEG,
  RISE_ELEVATION_DEG,
  casesIn,
  civilDateOf,
  lampsTouched,
  sunDay,
  type HomeFacts,
  type TroubleCase as TroubledPlant,
} from '@dulvan/core';
import { useState } from 'react';
import { View } from 'react-native';
import { retryVerdicts, useSpotAnswer, useVerdicts } from '../../state/verdicts';
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
import { SEVERITY_WORD, hours, latinName, plantName, spotPlace, troubleName, troubleSentence } from '../../parts/words';
import { monthName } from '../../ui/months';
import { FactorTally } from './factor-tally';
import { OpenQuestions } from './open-questions';
import { LampsTouched } from '../../parts/lamp-touched';
import { MendAction } from '../../parts/mend-action';
import { SunDayDrawing } from './sun-day-drawing';

const SHOWN_AT_FIRST = 6;

export function TodayScreen() {
  const facts = useFacts();
  const { answers } = useVerdicts();
  const now = useNow();
  const wide = useIsWide();
  if (!facts) return null;
  const { home } = facts;
  const { day, month } = civilDateOf(now, home.timeZone);
  const cases = answers ? casesIn(facts, answers.plants, month) : [];
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
      <Summary facts={facts} cases={cases.length} />
      {wide ? around : null}
    </>
  );
  const second = (
    <>
      <LampsTouched facts={facts} />
      <Cases facts={facts} cases={cases} month={month} />
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
function Summary({ facts, cases }: Given & { readonly cases: number }) {
  const { answers, state, failure, share } = useVerdicts();
  const plants = facts.plants.length;
  const well = plants - cases - facts.plants.filter((plant) => plant.spotId === null).length;
  return (
    <>
      {failure === null ? null : <Failed message={failure} onRetry={retryVerdicts} />}
      {state === 'working' ? (
        <Small>{`Working out the light of every spot …${share === null ? '' : ` ${Math.round(share * 100)} %`}`}</Small>
      ) : null}
      {plants === 0 ? <NoPlants rooms={facts.rooms.length} /> : null}
      {answers && state === 'ready' && plants > 0 ? (
        <Strong testID="today-summary">
          {cases === 0
            ? lampsTouched(facts).length === 0
              ? 'Nothing is wrong anywhere this month.'
              : 'All have the light, warmth and air they want this month.'
            : `${cases} of ${plants} plants lack something this month; ${well} have all they want.`}
        </Strong>
      ) : null}
    </>
  );
}

interface CasesGiven extends Given {
  readonly cases: readonly TroubledPlant[];
  readonly month: number;
}

function Cases({ facts, cases, month }: CasesGiven) {
  const [shown, setShown] = useState<'some' | 'all'>('some');
  const more = cases.length - SHOWN_AT_FIRST;
  return (
    <>
      {cases.slice(0, shown === 'all' ? undefined : SHOWN_AT_FIRST).map((item) => (
        <TroubleCase key={item.plant.id} facts={facts} item={item} month={month} />
      ))}
      {more > 0 && shown === 'some' ? (
        <Button onPress={() => setShown('all')}>{`Show the other ${more}`}</Button>
      ) : null}
    </>
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

function TroubleCase({
  facts,
  item,
  month,
}: {
  readonly facts: HomeFacts;
  readonly item: TroubledPlant;
  readonly month: number;
}) {
  const { plant, answer, now } = item;
  const units = useUnits();
  const here = useSpotAnswer(plant.spotId);
  const [worst, ...others] = now;
  const name = plantName(facts, plant);
  return (
    <View role="group" aria-label={name} style={{ gap: SPACE.xs, paddingBottom: SPACE.s }}>
      <View style={{ flexDirection: 'row', alignItems: 'center', gap: SPACE.s }}>
        <FitMark fit={answer.fit?.months[month - 1] ?? null} size={32} />
        <View style={{ flex: 1 }}>
          <TextLink href={{ pathname: '/plants/[plantId]', params: { plantId: plant.id } }}>{name}</TextLink>
          <Small>{`${latinName(facts, plant)} · ${spotPlace(facts, plant.spotId)}`}</Small>
        </View>
        <Small>{SEVERITY_WORD[worst!.severity]}</Small>
      </View>
      <View style={{ flexDirection: 'row', gap: SPACE.s, alignItems: 'flex-start' }}>
        <View style={{ paddingTop: 2 }}>
          <FactorSign factor={worst!.factor} />
        </View>
        <Body style={{ flex: 1 }}>{troubleSentence(worst!, units)}</Body>
      </View>
      {others.length > 0 ? (
        <Small>{`Also: ${others.map((trouble) => troubleName(trouble.worst).toLowerCase()).join(', ')}`}</Small>
      ) : null}
      <MendAction facts={facts} plant={plant} answer={answer} here={here} trouble={worst!} />
      <Rule />
    </View>
  );
}
