/** Which light is wanted over a tier, and which height and hours of its lamps give it. */
import { sharedWish, type HomeFacts, type LampPlan, type LampWish, type Tier } from '@dulvan/core';
import { useState } from 'react';
import { View } from 'react-native';
import { Pending } from '../../parts/pending';
import { typedNumber } from '../../parts/typed-number';
import { hours, length, mol, plantName, spotPlace } from '../../parts/words';
import { shownValue, useLampPlan } from '../../state/questions';
import { useUnits, type Units } from '../../state/settings';
import { useVerdicts } from '../../state/verdicts';
import { Button } from '../../ui/button';
import { Choices } from '../../ui/choices';
import { Field } from '../../ui/field';
import { MonthSlider } from '../../ui/month-slider';
import { monthName } from '../../ui/months';
import { Table, type TableRow } from '../../ui/table';
import { SPACE } from '../../ui/theme';
import { Body, Heading, Small, Strong } from '../../ui/type';
import { LightWays } from './light-ways';
import { LAMP_WISHES as WORDS } from './light-words';

interface WishGiven {
  readonly facts: HomeFacts;
  readonly tier: Tier;
  readonly month: number;
  readonly onMonth: (month: number) => void;
  /** Null where there is no lamp to hang. */
  readonly onHang: ((aboveM: number, hoursADay: number) => void) | null;
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
  const dliError = wantedDli >= 0.1 && wantedDli <= 60 ? undefined : WORDS.rangeOfMol;
  const peakError = peakPpfd >= 5 && peakPpfd <= 2000 ? undefined : WORDS.rangeOfPpfd;
  const [aim, setAim] = useState<LampWish['aim']>('least');
  const wish: LampWish | null = dliError || peakError ? null : { month, wantedDli, peakPpfd, aim };
  const askedPlan = useLampPlan(facts, tier.id, onHang ? wish : null);
  const plan = shownValue(askedPlan);
  return (
    <View style={{ gap: SPACE.s }}>
      <Heading>{onHang ? WORDS.heightAndHours : WORDS.wantedOverIt}</Heading>
      <MonthSlider month={month} onMonth={onMonth} />
      {suggested ? <Small>{WORDS.filledInFrom(suggested.names.join(', '), monthName(month))}</Small> : null}
      <Field
        label={WORDS.wantedLight}
        unit={WORDS.molDay}
        kind="number"
        value={dliText}
        onValue={(dli) => setTyped({ ...typed, dli })}
        error={dliError}
      />
      <Field
        label={WORDS.neverBrighterThan}
        unit="µmol/m²s"
        kind="number"
        value={peakText}
        onValue={(peak) => setTyped({ ...typed, peak })}
        error={peakError}
      />
      {onHang ? (
        <>
          <Small>{WORDS.bringThatLightTo}</Small>
          <Choices
            label={WORDS.bringThatLightTo}
            value={aim}
            choices={AIMS}
            onValue={(value) => setAim(value === 'mean' ? 'mean' : 'least')}
          />
          <Pending asked={askedPlan} />
          {wish && plan ? <Heights facts={facts} plan={plan} onHang={onHang} /> : null}
        </>
      ) : null}
      {wish ? <LightWays facts={facts} wish={{ tierId: tier.id, month, wantedDli, peakPpfd }} /> : null}
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

interface HeightsGiven extends Pick<WishGiven, 'facts'> {
  readonly plan: LampPlan;
  readonly onHang: NonNullable<WishGiven['onHang']>;
}

/** What each spot would get, a line each. */
function SpotsOfPlan({ facts, spots }: Pick<WishGiven, 'facts'> & { readonly spots: Planned['spots'] }) {
  return spots.map(({ spotId, dli }) => (
    <Small key={spotId}>{WORDS.molAtSpot(spotPlace(facts, spotId), mol(dli))}</Small>
  ));
}

type Planned = LampPlan['heights'][number];

/** Why none of the heights will do. */
function noHeight(heights: readonly Planned[]): string {
  if (heights.every(({ refusal }) => refusal === 'in-the-plants')) return WORDS.plantsStandIntoLamps;
  if (heights.every(({ refusal }) => refusal === 'too-bright')) return WORDS.tooBrightAtEveryHeight;
  return [WORDS.noHeightWillDo, WORDS.addLampOrDim].join(' ');
}

function heightRow(height: Planned, kind: 'best' | 'other', units: Units): TableRow {
  const Kind = kind === 'best' ? Strong : Body;
  const cells = [
    `${kind === 'best' ? '→ ' : ''}${length(height.aboveM, units)}`,
    ...[height.least, height.mean, height.most].map((ppfd) => String(Math.round(ppfd))),
    height.uniformity.toFixed(2),
    height.refusal ? REFUSAL_WORD[height.refusal] : hours(height.hours),
  ];
  return { key: String(height.aboveM), cells: cells.map((cell, i) => <Kind key={i}>{cell}</Kind>) };
}

function Heights({ facts, plan, onHang }: HeightsGiven) {
  const units = useUnits();
  const best = plan.best === null ? null : plan.heights[plan.best]!;
  return (
    <View style={{ gap: SPACE.xs }}>
      {best ? (
        <>
          <Body testID="lamp-plan">
            {best.hours < 0.05
              ? WORDS.daylightIsEnough(length(best.aboveM, units))
              : WORDS.hangThemAndRun(length(best.aboveM, units), hours(best.hours))}
          </Body>
          <SpotsOfPlan facts={facts} spots={best.spots} />
          <Button kind="main" style={{ alignSelf: 'flex-start' }} onPress={() => onHang(best.aboveM, best.hours)}>
            {WORDS.tryHeightAndHours}
          </Button>
        </>
      ) : (
        <Body testID="lamp-plan">{noHeight(plan.heights)}</Body>
      )}
      <Small>{WORDS.howItIsJudged}</Small>
      <Table
        name={WORDS.heightsSideBySide}
        lines="between"
        columns={[WORDS.height, WORDS.least, WORDS.mean, WORDS.most, WORDS.even, WORDS.hours].map((name) => ({ name }))}
        rows={plan.heights.map((height, i) => heightRow(height, i === plan.best ? 'best' : 'other', units))}
      />
    </View>
  );
}
