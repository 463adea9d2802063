/** A spot held beside half a metre nearer and farther, its curtain away or drawn, and other spots. */
import { verdictOf, type Beside, type HomeFacts, type Spot } from '@dulvan/core';
import { useState } from 'react';
import { View } from 'react-native';
import Svg, { Line, Rect } from 'react-native-svg';
import { shownValue, useBeside } from '../../state/questions';
import { useVerdicts } from '../../state/verdicts';
import { Pending } from '../../parts/pending';
import { useFacts } from '../../state/home';
import { useUnits } from '../../state/settings';
import { TextLink } from '../../ui/button';
import { ManyChoices } from '../../ui/choices';
import { MonthSlider } from '../../ui/month-slider';
import { TwoPanes } from '../../ui/page';
import { SPACE } from '../../ui/theme';
import { Body, Heading, Small, Strong, Title } from '../../ui/type';
import { useInk } from '../../ui/use-ink';
import { lifeWord } from '../../parts/verdict-words';
import { brightness, fitShare, length, mol, plantName, spotPlace } from '../../parts/words';
import { monthName } from '../../ui/months';
import { useMonth } from '../../parts/use-month';
import { NotHere } from '../../parts/not-here';

const MOST_OTHERS = 5;

export function BesideScreen({ spotId }: { readonly spotId: string }) {
  const facts = useFacts();
  const spot = facts?.spots.find((candidate) => candidate.id === spotId);
  if (!facts || !spot) return <NotHere what="spot" back="/rooms" />;
  return <BesideView facts={facts} spot={spot} />;
}

interface BesideGiven {
  readonly facts: HomeFacts;
  readonly spot: Spot;
}

function BesideView({ facts, spot }: BesideGiven) {
  const [month, setMonth] = useMonth();
  const [others, setOthers] = useState<string[]>(() => firstOthers(facts, spot));
  const asked = useBeside(facts, spot.id, others);
  const first = (
    <>
      <TextLink href={{ pathname: '/spots/[spotId]', params: { spotId: spot.id } }}>{spot.name}</TextLink>
      <Title>Beside other places</Title>
      <MonthSlider month={month} onMonth={setMonth} />
      <Small>{`${monthName(month)}: mean light, all sources. The thin line runs from a poor to a good year.`}</Small>
      <Pending asked={asked} />
      <Places facts={facts} spot={spot} list={shownValue(asked) ?? []} month={month} />
    </>
  );
  return <TwoPanes first={first} second={<Others facts={facts} spot={spot} others={others} onOthers={setOthers} />} />;
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
    nearer: `${length(0.5, units)} nearer to the window`,
    farther: `${length(0.5, units)} farther from it`,
    'no-curtain': 'Here without curtains',
    curtain: 'Here behind a sheer curtain all day',
    spot: '',
  };
  const of = (year: readonly number[]) => mol(year[month - 1]!);
  const byLamps = ({ lampDli }: Beside) => (lampDli[month - 1]! >= 0.05 ? `${of(lampDli)} of it by lamps. ` : '');
  return (
    <View role="list" aria-label={`Light in ${monthName(month)}, place by place`} style={{ gap: SPACE.m }}>
      {list.map((entry) => (
        <View key={entry.key} role="listitem" style={{ gap: 2 }}>
          <Strong>{entry.what === 'spot' ? spotPlace(facts, entry.spotId) : word[entry.what]}</Strong>
          <Amount entry={entry} month={month} most={most} />
          <Body>{`${of(entry.dli)} mol a day, ${of(entry.poor)} to ${of(entry.good)}`}</Body>
          <Small>{`${byLamps(entry)}Brightest hour ${brightness(entry.peakPpfd[month - 1]!, units)}`}</Small>
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
    <>
      <Heading>Which others</Heading>
      <Small>{`Up to ${MOST_OTHERS}.`}</Small>
      <ManyChoices label="Other spots" chosen={others} onChosen={onOthers} choices={choices} />
    </>
  );
}

/** The first other spots: those on sills before the rest, since a sill is what one asks about. */
function firstOthers(facts: HomeFacts, spot: Spot): string[] {
  const kindOf = (other: Spot) =>
    facts.stands.find((stand) => stand.id === facts.tiers.find((tier) => tier.id === other.tierId)?.standId)?.kind;
  const rest = facts.spots.filter((other) => other.id !== spot.id && other.tierId !== spot.tierId);
  return [...rest.filter((other) => kindOf(other) === 'sill'), ...rest.filter((other) => kindOf(other) !== 'sill')]
    .slice(0, 2)
    .map((other) => other.id);
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
