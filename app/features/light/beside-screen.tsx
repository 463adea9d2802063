/** A spot held beside half a metre nearer and farther, its curtain away or drawn, and other spots. */
import { verdictOf, type Beside, type HomeFacts, type Spot } from '@dulvan/core';
import { router } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import Svg, { Line, Rect } from 'react-native-svg';
import { shownValue, useBeside } from '../../state/questions';
import { useSpotAnswer, useVerdicts } from '../../state/verdicts';
import { Pending } from '../../parts/pending';
import { useFacts } from '../../state/home';
import { useUnits } from '../../state/settings';
import { TextLink } from '../../ui/button';
import { ManyChoices } from '../../ui/choices';
import { Labelled } from '../../ui/labelled';
import { MonthSlider } from '../../ui/month-slider';
import { TwoPanes } from '../../ui/page';
import { SPACE } from '../../ui/theme';
import { Body, Small, Strong, Title } from '../../ui/type';
import { useInk, useIsWide } from '../../ui/use-ink';
import { lifeWord } from '../../parts/verdict-words';
import { brightness, degrees, fitShare, hours, length, mol, plantName, spotPlace } from '../../parts/words';
import { monthName } from '../../ui/months';
import { SpotPlan } from '../../parts/spot-plan';
import { useMonth } from '../../parts/use-month';
import { NotHere } from '../../parts/not-here';
import { BESIDE_SCREEN as WORDS } from './light-words';

const MOST_OTHERS = 5;

export function BesideScreen({ spotId }: { readonly spotId: string }) {
  const facts = useFacts();
  const spot = facts?.spots.find((candidate) => candidate.id === spotId);
  if (!facts || !spot) return <NotHere what="spot" back="/rooms" />;
  return <BesideView key={spot.id} facts={facts} spot={spot} />;
}

interface BesideGiven {
  readonly facts: HomeFacts;
  readonly spot: Spot;
}

function BesideView({ facts, spot }: BesideGiven) {
  const wide = useIsWide();
  const [month, setMonth] = useMonth();
  const [others, setOthers] = useState<string[]>(() => firstOthers(facts, spot));
  const asked = useBeside(facts, spot.id, others);
  const first = (
    <>
      <TextLink href={{ pathname: '/spots/[spotId]', params: { spotId: spot.id } }}>{spot.name}</TextLink>
      <Title>{WORDS.compareWithOtherSpots}</Title>
      <MonthSlider month={month} onMonth={setMonth} />
      <Others facts={facts} spot={spot} others={others} onOthers={setOthers} />
      {wide ? (
        <SpotPlan
          facts={facts}
          spotId={spot.id}
          month={month}
          onSpot={(other) => router.replace({ pathname: '/light/beside/[spotId]', params: { spotId: other } })}
        />
      ) : null}
    </>
  );
  const second = (
    <>
      <Small>{WORDS.howToRead(monthName(month))}</Small>
      <Pending asked={asked} />
      <Places facts={facts} spot={spot} list={shownValue(asked) ?? []} month={month} />
    </>
  );
  return <TwoPanes first={first} second={second} />;
}

interface PlacesGiven extends BesideGiven {
  readonly list: readonly Beside[];
  readonly month: number;
}

function Places({ facts, spot, list, month }: PlacesGiven) {
  const units = useUnits();
  const fitAt = useFitElsewhere(facts, spot);
  const most = Math.max(1, ...list.flatMap((entry) => entry.good));
  const word: Readonly<Record<Beside['what'], string>> = {
    here: spot.name,
    nearer: WORDS.nearerToWindow(length(0.5, units)),
    farther: WORDS.fartherFromIt(length(0.5, units)),
    'no-curtain': WORDS.hereWithoutCurtains,
    curtain: WORDS.hereBehindSheer,
    spot: '',
  };
  const of = (year: readonly number[]) => mol(year[month - 1]!);
  const byLamps = ({ lampDli }: Beside) => (lampDli[month - 1]! >= 0.05 ? WORDS.ofItByLamps(of(lampDli)) : '');
  return (
    <View role="list" aria-label={WORDS.lightPlaceByPlace(monthName(month))} style={{ gap: SPACE.m }}>
      {list.map((entry) => (
        <View key={entry.key} role="listitem" style={{ gap: 2 }}>
          <Strong>{entry.what === 'spot' ? spotPlace(facts, entry.spotId) : word[entry.what]}</Strong>
          <Amount entry={entry} month={month} most={most} />
          <Body>{WORDS.molPoorToGood(of(entry.dli), of(entry.poor), of(entry.good))}</Body>
          <Small>{WORDS.brightestHour(byLamps(entry), brightness(entry.peakPpfd[month - 1]!, units))}</Small>
          {entry.what === 'spot' || entry.what === 'here' ? (
            <AirThere spotId={entry.spotId ?? spot.id} month={month} />
          ) : null}
          {entry.what === 'spot' ? <Small>{fitAt(entry.spotId!)}</Small> : null}
        </View>
      ))}
    </View>
  );
}

/** How the plant of a spot would do at another one, in words; nothing where none stands here or it is not known yet. */
function useFitElsewhere(facts: HomeFacts, spot: Spot): (otherId: string) => string | null {
  const { answers } = useVerdicts();
  const plant = facts.plants.find((candidate) => candidate.spotId === spot.id);
  const answer = answers?.plants.find(({ plantId }) => plantId === plant?.id);
  const targets = answer?.targets ?? [];
  const month = answers?.month ?? 1;
  return (otherId) => {
    const conditions = answers?.spots.find((answer) => answer.spotId === otherId)?.conditions;
    if (!plant || !conditions || targets.length < 12) return null;
    const verdict = verdictOf(targets, conditions, month, answer?.reserveLeft);
    return `${plantName(facts, plant)} there: ${fitShare(verdict.score)}, ${lifeWord(verdict).toLowerCase()}`;
  };
}

/** Day length, warmth and moisture of a spot, which decide as much as its light. */
function AirThere({ spotId, month }: { readonly spotId: string; readonly month: number }) {
  const units = useUnits();
  const condition = useSpotAnswer(spotId)?.conditions[month - 1];
  if (!condition) return null;
  const { air, dayH } = condition;
  const warmth = WORDS.byDayByNight(degrees(air.dayC, units), degrees(air.nightC, units));
  return <Small>{WORDS.dayWarmthHumidity(hours(dayH), warmth, Math.round(air.dayRh))}</Small>;
}

interface OthersGiven extends BesideGiven {
  readonly others: readonly string[];
  readonly onOthers: (others: string[]) => void;
}

function Others({ facts, spot, others, onOthers }: OthersGiven) {
  const choices = facts.spots
    .filter((other) => other.id !== spot.id)
    .map((other) => ({
      value: other.id,
      word: spotPlace(facts, other.id),
      disabled: others.length >= MOST_OTHERS && !others.includes(other.id),
    }));
  return (
    <Labelled label={WORDS.otherSpots} help={WORDS.upTo(MOST_OTHERS)}>
      <ManyChoices label={WORDS.otherSpots} chosen={others} onChosen={onOthers} choices={choices} />
    </Labelled>
  );
}

const SHOWN_AT_FIRST = 2;

/** The other spots shown at first: the next ones of the same stand, then those of the room. */
function firstOthers(facts: HomeFacts, spot: Spot): string[] {
  const standOf = (one: Spot) => facts.tiers.find(({ id }) => id === one.tierId)?.standId;
  const roomOf = (one: Spot) => facts.stands.find(({ id }) => id === standOf(one))?.roomId;
  const distance = (one: Spot) =>
    one.tierId === spot.tierId ? 0 : standOf(one) === standOf(spot) ? 1 : roomOf(one) === roomOf(spot) ? 2 : 3;
  return facts.spots
    .filter(({ id }) => id !== spot.id)
    .sort((p, q) => distance(p) - distance(q))
    .slice(0, SHOWN_AT_FIRST)
    .map(({ id }) => id);
}

const BAR_HEIGHT = 16;
const BAR_WIDTH = 300;

function Amount({ entry, month, most }: { readonly entry: Beside; readonly month: number; readonly most: number }) {
  const ink = useInk();
  const x = (dli: number) => (dli / most) * (BAR_WIDTH - 4);
  return (
    <Svg width={BAR_WIDTH} height={BAR_HEIGHT} aria-hidden>
      <Rect
        x={0}
        y={3}
        width={Math.max(1, x(entry.dli[month - 1]!))}
        height={10}
        fill={entry.what === 'here' ? ink.factor.light : ink.wash}
      />
      <Line
        x1={x(entry.poor[month - 1]!)}
        x2={x(entry.good[month - 1]!)}
        y1={8}
        y2={8}
        stroke={ink.ink}
        strokeWidth={2}
      />
    </Svg>
  );
}
