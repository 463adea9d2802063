/** Which light is wanted over a tier, and which height and hours of its lamps give it. */
import { sharedWish, type HomeFacts, type LampPlan, type LampWish, type Tier } from '@dulvan/core';
import { useState } from 'react';
import { View } from 'react-native';
import { Pending } from '../../parts/pending';
import { typedNumber } from '../../parts/typed-number';
import { hours, length, mol, plantName, spotPlace } from '../../parts/words';
import { shownValue, useLampPlan } from '../../state/questions';
import { useUnits } from '../../state/settings';
import { useVerdicts } from '../../state/verdicts';
import { Button } from '../../ui/button';
import { Choices } from '../../ui/choices';
import { Field } from '../../ui/field';
import { MonthSlider } from '../../ui/month-slider';
import { monthName } from '../../ui/months';
import { SPACE } from '../../ui/theme';
import { Body, Heading, Small, Strong } from '../../ui/type';
import { useInk } from '../../ui/use-ink';

interface WishGiven {
  readonly facts: HomeFacts;
  readonly tier: Tier;
  readonly month: number;
  readonly onMonth: (month: number) => void;
  readonly onHang: (aboveM: number, hoursADay: number) => void;
}

/** What a tier's plants want of light in a month: the middle of the narrowest band, no peak above the tenderest. */
function useWish(
  facts: HomeFacts,
  tier: Tier,
  month: number,
): { readonly dli: number; readonly peak: number; readonly names: readonly string[] } | null {
  const { answers } = useVerdicts();
  const spots = new Set(facts.spots.filter((spot) => spot.tierId === tier.id).map((spot) => spot.id));
  const plants = facts.plants.filter((plant) => plant.spotId !== null && spots.has(plant.spotId));
  const targets = plants.flatMap(
    (plant) => answers?.plants.find((answer) => answer.plantId === plant.id)?.targets[month - 1] ?? [],
  );
  const wish = sharedWish(targets);
  return (
    wish && {
      dli: wish.dli,
      peak: wish.peakPpfd,
      names: plants.map((plant) => plantName(facts, plant)),
    }
  );
}

const DEFAULT_WISH = { dli: 6, peak: 300 };

/** The light that is wanted over a tier, and the heights and hours that give it. */
export function LampWishes({ facts, tier, month, onMonth, onHang }: WishGiven) {
  const suggested = useWish(facts, tier, month);
  const [typed, setTyped] = useState<{ dli?: string; peak?: string }>({});
  const dliText = typed.dli ?? Number((suggested?.dli ?? DEFAULT_WISH.dli).toFixed(1)).toString();
  const peakText = typed.peak ?? Math.round(suggested?.peak ?? DEFAULT_WISH.peak).toString();
  const wantedDli = typedNumber(dliText);
  const peakPpfd = typedNumber(peakText);
  const dliError = wantedDli >= 0.1 && wantedDli <= 60 ? undefined : 'From 0.1 to 60 mol a day.';
  const peakError = peakPpfd >= 5 && peakPpfd <= 2000 ? undefined : 'From 5 to 2000 µmol/m²s.';
  const [aim, setAim] = useState<LampWish['aim']>('least');
  const wish: LampWish | null = dliError || peakError ? null : { month, wantedDli, peakPpfd, aim };
  const askedPlan = useLampPlan(facts, tier.id, wish);
  const plan = shownValue(askedPlan);
  return (
    <View style={{ gap: SPACE.s }}>
      <Heading>Height and hours for a wanted light</Heading>
      <MonthSlider month={month} onMonth={onMonth} />
      {suggested ? (
        <Small>{`Filled in from what ${suggested.names.join(', ')} want in ${monthName(month)}.`}</Small>
      ) : null}
      <Field
        label="Wanted light"
        unit="mol a day"
        kind="number"
        value={dliText}
        onValue={(dli) => setTyped({ ...typed, dli })}
        error={dliError}
      />
      <Field
        label="Never brighter than"
        unit="µmol/m²s"
        kind="number"
        value={peakText}
        onValue={(peak) => setTyped({ ...typed, peak })}
        error={peakError}
      />
      <Small>Bring that light to</Small>
      <Choices
        label="Bring that light to"
        value={aim}
        choices={AIMS}
        onValue={(value) => setAim(value === 'mean' ? 'mean' : 'least')}
      />
      <Pending asked={askedPlan} />
      {wish && plan ? <Heights facts={facts} plan={plan} onHang={onHang} /> : null}
    </View>
  );
}

const AIMS = [
  { value: 'least', word: 'The dimmest spot' },
  { value: 'mean', word: 'The mean of the spots' },
];

const REFUSAL_WORD = {
  'too-bright': 'too bright',
  'too-long': 'over 16 h',
  'in-the-plants': 'in the plants',
} as const;

interface HeightsGiven extends Pick<WishGiven, 'facts' | 'onHang'> {
  readonly plan: LampPlan;
}

/** What each spot would get, a line each. */
function SpotsOfPlan({ facts, spots }: Pick<WishGiven, 'facts'> & { readonly spots: Planned['spots'] }) {
  return spots.map(({ spotId, dli }) => (
    <Small key={spotId}>{`${spotPlace(facts, spotId)}: ${mol(dli)} mol a day`}</Small>
  ));
}

type Planned = LampPlan['heights'][number];

/** Why none of the heights will do. */
function noHeight(heights: readonly Planned[]): string {
  if (heights.every(({ refusal }) => refusal === 'in-the-plants'))
    return 'The plants stand into the lamps at every height: give the lamps more room, or move the tallest plant.';
  if (heights.every(({ refusal }) => refusal === 'too-bright'))
    return 'At every height they are brighter than these plants bear: dim them.';
  return [
    'No height will do: where it is dim enough, they would burn longer than 16 h.',
    'Add a lamp, or dim the ones there and hang them lower.',
  ].join(' ');
}

function Heights({ facts, plan, onHang }: HeightsGiven) {
  const units = useUnits();
  const { line } = useInk();
  const best = plan.best === null ? null : plan.heights[plan.best]!;
  return (
    <View style={{ gap: SPACE.xs }}>
      {best ? (
        <>
          <Body testID="lamp-plan">
            {best.hours < 0.05
              ? `Daylight is enough: no lamp hours are needed at ${length(best.aboveM, units)}.`
              : `Hang them ${length(best.aboveM, units)} above the board and run them ${hours(best.hours)} a day.`}
          </Body>
          <SpotsOfPlan facts={facts} spots={best.spots} />
          <Button kind="main" style={{ alignSelf: 'flex-start' }} onPress={() => onHang(best.aboveM, best.hours)}>
            Try that height and those hours
          </Button>
        </>
      ) : (
        <Body testID="lamp-plan">{noHeight(plan.heights)}</Body>
      )}
      <Small>
        Least and mean PPFD at the middle of the plants’ leaves, most at their tops, µmol/m²s; a spot without a plant is
        judged 12 cm above the board
      </Small>
      <View role="table" aria-label="Heights side by side">
        <View role="row" style={{ flexDirection: 'row' }}>
          {['Height', 'Least', 'Mean', 'Most', 'Even', 'Hours'].map((name) => (
            <View key={name} role="columnheader" style={{ flex: 1 }}>
              <Small>{name}</Small>
            </View>
          ))}
        </View>
        {plan.heights.map((height, i) => (
          <View
            key={height.aboveM}
            role="row"
            style={{ flexDirection: 'row', borderTopWidth: 1, borderColor: line, minHeight: 30, alignItems: 'center' }}
          >
            {[
              length(height.aboveM, units),
              ...[height.least, height.mean, height.most].map((ppfd) => String(Math.round(ppfd))),
              height.uniformity.toFixed(2),
              height.refusal ? REFUSAL_WORD[height.refusal] : hours(height.hours),
            ].map((cell, column) => (
              <View key={column} role={column === 0 ? 'rowheader' : 'cell'} style={{ flex: 1 }}>
                {i === plan.best ? <Strong>{column === 0 ? `→ ${cell}` : cell}</Strong> : <Body>{cell}</Body>}
              </View>
            ))}
          </View>
        ))}
      </View>
    </View>
  );
}
