/** A spot's year: light by source, sun, day length, who stands here and what would do well here. */
import type { Condition, HomeFacts, Plant, Spot, SpotAnswer } from '@dulvan/core';
import { Suspense, lazy } from 'react';
import { View } from 'react-native';
import { shownValue, useBestTaxa } from '../../state/questions';
import { usePlantAnswer, useSpotAnswer } from '../../state/verdicts';
import { Pending } from '../../parts/pending';
import { useFacts } from '../../state/home';
import { useUnits } from '../../state/settings';
import { useTaxa } from '../../state/taxa';
import { RowLink, TextLink } from '../../ui/button';
import { FitMark } from '../../parts/fit-mark';
import { verdictSentence } from '../../parts/verdict-words';
import { MonthSlider } from '../../ui/month-slider';
import { Row, TwoPanes } from '../../ui/page';
import { SPACE } from '../../ui/theme';
import { Body, Heading, Small, Title } from '../../ui/type';
import {
  ageOf,
  brightness,
  commonName,
  count,
  degrees,
  fitShare,
  hours,
  latinName,
  mol,
  plantName,
} from '../../parts/words';
import { monthName } from '../../ui/months';
import { NotHere } from '../../parts/not-here';
import { SpotPlace } from './spot-place';
import { useMonth } from '../../parts/use-month';

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
          <Suspense fallback={<Small>Drawing …</Small>}>
            <LightYearChart conditions={answer.conditions} />
          </Suspense>
          <MonthSlider month={month} onMonth={setMonth} />
          <Corrected facts={facts} answer={answer} month={month} />
          <MonthFigures condition={answer.conditions[month - 1]!} spotId={spot.id} />
        </>
      ) : (
        <Small>Working …</Small>
      )}
    </>
  );
  const second = (
    <>
      <Heading>{plants.length > 0 ? 'Stands here' : 'Nobody stands here'}</Heading>
      {plants.map((plant) => (
        <Standing key={plant.id} facts={facts} plant={plant} />
      ))}
      <LightLinks spotId={spot.id} />
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
    <RowLink href={{ pathname: '/plants/[plantId]', params: { plantId: plant.id } }} label={name}>
      <View style={{ flex: 1 }}>
        <Body>{name}</Body>
        <Small>{latinName(facts, plant)}</Small>
        {fit ? <Small>{`${verdictSentence(fit.verdict)} · ${fitShare(fit.verdict.score)}`}</Small> : null}
      </View>
    </RowLink>
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
      'Light',
      `${mol(condition.dli)} mol a day`,
      `dull day ${mol(condition.dliDullDay)}, bright day ${mol(condition.dliBrightDay)}`,
      'dli',
    ],
    ['Brightest hour', brightness(condition.peakPpfd, units), 'on a clear day', 'peak'],
    [
      'Direct sun',
      hours(condition.sunHoursLikely),
      `${hours(condition.sunHoursPossible)} if every day were clear`,
      'sun',
    ],
    ['Day length', hours(condition.dayH), `longest night ${hours(condition.longestNightH)}`, 'day'],
    [
      'Warmth',
      `${degrees(condition.air.dayC, units)} by day`,
      `${degrees(condition.air.nightC, units)} by night`,
      'air',
    ],
    ['Moisture', `${Math.round(condition.air.dayRh)} % by day`, `VPD ${condition.vpdDay.toFixed(2)} kPa`, 'vpd'],
  ];
  return (
    <View role="table" aria-label={`Figures for ${monthName(month)}`}>
      {rows.map(([name, value, note, figure]) => (
        <View role="row" key={name} style={{ flexDirection: 'row', alignItems: 'center', gap: SPACE.s, minHeight: 48 }}>
          <View role="rowheader" style={{ width: 92 }}>
            <Body>{name}</Body>
          </View>
          <View role="cell" style={{ flex: 1 }}>
            <Body testID={`figure-${figure}`}>{value}</Body>
            <Small>{note}</Small>
          </View>
          <View role="cell">
            <TextLink href={why(figure)} label={`Why this number: ${name}`}>
              Why
            </TextLink>
          </View>
        </View>
      ))}
    </View>
  );
}

const SHOWN = 6;

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
    const differ = spread === null ? '' : ` that differ by ${Math.round(spread * 100)} %`;
    const newestAt = newest(
      facts,
      readings.map((entry) => entry.readingId),
    );
    return [
      `${name} as measured: ${factor.toFixed(2)} times the computed, within ${Math.round(doubt * 100)} %,`,
      `from ${count(readings.length, 'reading')}${differ}, the newest ${ageOf(newestAt)}.`,
    ].join(' ');
  };
  return (
    <View style={{ gap: 2 }}>
      {[words('Daylight', calibration.daylight), words('Lamp light', calibration.lamps)].map((line) =>
        line ? <Body key={line}>{line}</Body> : null,
      )}
      <Small testID="before-readings">
        {`${monthName(month)}: ${mol(before)} mol a day as computed, ${mol(dli)} with readings.`}
      </Small>
      <TextLink href="/light/readings">Its readings</TextLink>
    </View>
  );
}

const newest = (facts: HomeFacts, ids: readonly string[]) =>
  Math.max(...facts.readings.filter((reading) => ids.includes(reading.id)).map((reading) => reading.atMs));

function LightLinks({ spotId }: { readonly spotId: string }) {
  return (
    <View>
      <Heading>Its light</Heading>
      <Row>
        <TextLink href={{ pathname: '/light/reading/[spotId]', params: { spotId } }}>Take a reading</TextLink>
        <TextLink href={{ pathname: '/light/year/[spotId]', params: { spotId } }}>Every day and hour</TextLink>
        <TextLink href={{ pathname: '/light/beside/[spotId]', params: { spotId } }}>Hold it beside others</TextLink>
      </Row>
    </View>
  );
}

/** The taxa that a spot's whole year suits best. */
function WouldDoWell({
  facts,
  spotId,
  month,
}: {
  readonly facts: HomeFacts;
  readonly spotId: string;
  readonly month: number;
}) {
  const taxa = useTaxa();
  const asked = useBestTaxa(facts, spotId, taxa, SHOWN);
  const best = shownValue(asked);
  return (
    <View style={{ gap: SPACE.xs }}>
      <Heading>Would do best here</Heading>
      <Small>From the catalogue and your own taxa, grown plants, over the whole year.</Small>
      <Pending asked={asked} />
      {best?.map(({ taxonId, fit }) => {
        const taxon = taxa.find((candidate) => candidate.id === taxonId)!;
        return (
          <View key={taxonId} style={{ flexDirection: 'row', alignItems: 'center', gap: SPACE.s, minHeight: 44 }}>
            <FitMark fit={fit.months[month - 1] ?? null} />
            <View style={{ flex: 1 }}>
              <Body>{commonName(taxon)}</Body>
              <Small>{`${taxon.name} · ${verdictSentence(fit.verdict).toLowerCase()}`}</Small>
            </View>
            <Body>{fitShare(fit.verdict.score)}</Body>
          </View>
        );
      })}
    </View>
  );
}
