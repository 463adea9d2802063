/** A spot's year: light by source, sun, day length, who stands here and what would do well here. */
import type { Condition, HomeFacts, Plant, Spot, SpotAnswer } from '@dulvan/core';
import { router } from 'expo-router';
import { Suspense, lazy } from 'react';
import { View } from 'react-native';
import { usePlantAnswer, useSpotAnswer } from '../../state/verdicts';
import { useFacts } from '../../state/home';
import { useUnits } from '../../state/settings';
import { RowLink, TextLink } from '../../ui/button';
import { verdictSentence } from '../../parts/verdict-words';
import { MonthSlider } from '../../ui/month-slider';
import { Row, TwoPanes } from '../../ui/page';
import { Table } from '../../ui/table';
import { Body, Heading, Small, Title } from '../../ui/type';
import {
  ageOf,
  brightness,
  count,
  degrees,
  fitShare,
  hours,
  latinName,
  lightWord,
  mol,
  plantName,
} from '../../parts/words';
import { monthName } from '../../ui/months';
import { NotHere } from '../../parts/not-here';
import { SpotPlan } from '../../parts/spot-plan';
import { SpotPlace } from './spot-place';
import { useMonth } from '../../parts/use-month';
import { SPOT_SCREEN as WORDS } from './rooms-words';
import { WouldDoWell } from './would-do-well';

const LightYearChart = lazy(() => import('./light-year-chart'));

export function SpotScreen({ spotId }: { readonly spotId: string }) {
  const facts = useFacts();
  const spot = facts?.spots.find((candidate) => candidate.id === spotId);
  if (!facts || !spot) return <NotHere what="spot" back="/rooms" />;
  return <SpotView facts={facts} spot={spot} />;
}

function SpotView({ facts, spot }: { readonly facts: HomeFacts; readonly spot: Spot }) {
  const [month, setMonth] = useMonth();
  const answer = useSpotAnswer(spot.id);
  const tier = facts.tiers.find((candidate) => candidate.id === spot.tierId)!;
  const stand = facts.stands.find((candidate) => candidate.id === tier.standId)!;
  const room = facts.rooms.find((candidate) => candidate.id === stand.roomId)!;
  const plants = facts.plants.filter((plant) => plant.spotId === spot.id);
  const first = (
    <>
      <TextLink
        href={{ pathname: '/rooms/[roomId]', params: { roomId: room.id } }}
      >{`${room.name}, ${stand.name}`}</TextLink>
      <Title>{spot.name}</Title>
      {answer ? (
        <>
          <Suspense fallback={<Small>{WORDS.drawing}</Small>}>
            <LightYearChart conditions={answer.conditions} />
          </Suspense>
          <MonthSlider month={month} onMonth={setMonth} />
          <Corrected facts={facts} answer={answer} month={month} />
          <MonthFigures condition={answer.conditions[month - 1]!} spotId={spot.id} />
        </>
      ) : (
        <Small>{WORDS.working}</Small>
      )}
    </>
  );
  const second = (
    <>
      <Heading>{plants.length > 0 ? WORDS.standsHere : WORDS.noPlantHere}</Heading>
      {plants.map((plant) => (
        <Standing key={plant.id} facts={facts} plant={plant} />
      ))}
      <LightLinks spotId={spot.id} />
      <SpotPlan
        facts={facts}
        spotId={spot.id}
        month={month}
        onSpot={(spotId) => router.replace({ pathname: '/spots/[spotId]', params: { spotId } })}
      />
      <SpotPlace facts={facts} spot={spot} stand={stand} />
      {answer ? <WouldDoWell facts={facts} spotId={spot.id} month={month} /> : null}
    </>
  );
  return <TwoPanes first={first} second={second} />;
}

/** A plant that stands here, with how it does. */
function Standing({ facts, plant }: { readonly facts: HomeFacts; readonly plant: Plant }) {
  const fit = usePlantAnswer(plant.id)?.fit;
  const name = plantName(facts, plant);
  return (
    <RowLink
      href={{ pathname: '/plants/[plantId]', params: { plantId: plant.id } }}
      label={name}
      title={name}
      note={[
        latinName(facts, plant),
        ...(fit ? [`${verdictSentence(fit.verdict)} · ${fitShare(fit.verdict.score)}`] : []),
      ].join('\n')}
    />
  );
}

function MonthFigures({ condition, spotId }: { readonly condition: Condition; readonly spotId: string }) {
  const units = useUnits();
  const { month } = condition;
  const why = (figure: string) => ({
    pathname: '/why' as const,
    params: { figure, spot: spotId, month: String(month) },
  });
  const rows: readonly (readonly [name: string, value: string, note: string, figure: string])[] = [
    [
      WORDS.light,
      WORDS.molInAWord(mol(condition.dli), lightWord(condition.dli)),
      WORDS.dullAndBright(mol(condition.dliDullDay), mol(condition.dliBrightDay)),
      'dli',
    ],
    [WORDS.brightestHour, brightness(condition.peakPpfd, units), WORDS.onClearDay, 'peak'],
    [WORDS.directSun, hours(condition.sunHoursLikely), WORDS.ifEveryDayClear(hours(condition.sunHoursPossible)), 'sun'],
    [WORDS.dayLength, hours(condition.dayH), WORDS.longestNight(hours(condition.longestNightH)), 'day'],
    [
      WORDS.warmth,
      WORDS.byDay(degrees(condition.air.dayC, units)),
      WORDS.byNight(degrees(condition.air.nightC, units)),
      'air',
    ],
    [
      WORDS.moisture,
      WORDS.moistureByDay(Math.round(condition.air.dayRh)),
      WORDS.vpdKpa(condition.vpdDay.toFixed(2)),
      'vpd',
    ],
  ];
  return (
    <Table
      name={WORDS.figuresFor(monthName(month))}
      columns={[{ share: 2 }, { share: 5 }, { align: 'right' }]}
      rows={rows.map(([name, value, note, figure]) => ({
        key: name,
        cells: [
          name,
          <View key={name}>
            <Body testID={`figure-${figure}`}>{value}</Body>
            <Small>{note}</Small>
          </View>,
          <TextLink key={figure} href={why(figure)} label={WORDS.whyThisNumber(name)}>
            {WORDS.why}
          </TextLink>,
        ],
      }))}
    />
  );
}

/** What readings have changed here: before, after, and how old they are. */
function Corrected({
  facts,
  answer,
  month,
}: {
  readonly facts: HomeFacts;
  readonly answer: SpotAnswer;
  readonly month: number;
}) {
  const { calibration } = answer;
  if (!calibration) return null;
  const { dli, shares } = answer.conditions[month - 1]!;
  const lamps = Object.values(shares.lamps).reduce((sum, part) => sum + part, 0);
  const daylight = dli - lamps - shares.roomLight;
  const before =
    daylight / (calibration.daylight?.factor ?? 1) + lamps / (calibration.lamps?.factor ?? 1) + shares.roomLight;
  const words = (name: string, given: NonNullable<SpotAnswer['calibration']>['daylight']) => {
    if (!given) return null;
    const { factor, doubt, spread, readings } = given;
    const differ = spread === null ? '' : WORDS.thatDifferBy(Math.round(spread * 100));
    const newestAt = newest(
      facts,
      readings.map((entry) => entry.readingId),
    );
    return [
      WORDS.asMeasured(name, factor.toFixed(2), Math.round(doubt * 100)),
      WORDS.fromReadings(count(readings.length, 'reading'), differ, ageOf(newestAt)),
    ].join(' ');
  };
  return (
    <View style={{ gap: 2 }}>
      {[words(WORDS.daylight, calibration.daylight), words(WORDS.lampLight, calibration.lamps)].map((line) =>
        line ? <Body key={line}>{line}</Body> : null,
      )}
      <Small testID="before-readings">{WORDS.withReadings(monthName(month), mol(before), mol(dli))}</Small>
      <TextLink href="/light/readings">{WORDS.itsReadings}</TextLink>
    </View>
  );
}

const newest = (facts: HomeFacts, ids: readonly string[]) =>
  Math.max(...facts.readings.filter((reading) => ids.includes(reading.id)).map((reading) => reading.atMs));

function LightLinks({ spotId }: { readonly spotId: string }) {
  return (
    <View>
      <Heading>{WORDS.itsLight}</Heading>
      <Row>
        <TextLink href={{ pathname: '/light/reading/[spotId]', params: { spotId } }}>{WORDS.takeReading}</TextLink>
        <TextLink href={{ pathname: '/light/year/[spotId]', params: { spotId } }}>{WORDS.everyDayAndHour}</TextLink>
        <TextLink href={{ pathname: '/light/beside/[spotId]', params: { spotId } }}>
          {WORDS.compareWithOtherSpots}
        </TextLink>
      </Row>
    </View>
  );
}
