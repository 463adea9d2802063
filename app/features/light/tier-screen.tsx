/** A tier under its lamps: how evenly they light it, the height and hours that a wanted light takes, power and heat. */
import {
  burningFor,
  lampOutput,
  lampPower,
  patch,
  sharedWish,
  type HomeFacts,
  type Lamp,
  type LampPlan,
  type LampWish,
  type Spot,
  type Tier,
  type TierField,
} from '@dulvan/core';
import { useState } from 'react';
import { View } from 'react-native';
import Svg, { Circle, Rect, Text as SvgText } from 'react-native-svg';
import { shownValue, useLampPlan, useTierField } from '../../state/questions';
import { useVerdicts } from '../../state/verdicts';
import { Pending } from '../../parts/pending';
import { useFacts, useHome } from '../../state/home';
import { useUnits } from '../../state/settings';
import { Button, TextLink } from '../../ui/button';
import { Choices } from '../../ui/choices';
import { Drawing } from '../../ui/drawing';
import { Field } from '../../ui/field';
import { MonthSlider } from '../../ui/month-slider';
import { Row, TwoPanes } from '../../ui/page';
import { FONT, SPACE } from '../../ui/theme';
import { StepSlider } from '../../ui/step-slider';
import { Body, Heading, Small, Strong, Title } from '../../ui/type';
import { useInk } from '../../ui/use-ink';
import { hours, length, mol, plantName, spotPlace } from '../../parts/words';
import { monthName } from '../../ui/months';
import { typedNumber } from '../../parts/typed-number';
import { LampHours } from '../../parts/lamp-hours';
import { LampsTouched } from '../../parts/lamp-touched';
import { useMonth } from '../../parts/use-month';
import { NotHere } from '../../parts/not-here';

export function TierScreen({ tierId }: { readonly tierId: string }) {
  const facts = useFacts();
  const tier = facts?.tiers.find((candidate) => candidate.id === tierId);
  if (!facts || !tier || !facts.lamps.some((lamp) => lamp.tierId === tierId))
    return <NotHere what="tier with lamps" back="/rooms" />;
  return <TierView facts={facts} tier={tier} />;
}

const HEIGHT_STEP_M = 0.02;
/** Lamps are not hung lower than this over their board. */
const LOWEST_M = 0.04;

interface TierGiven {
  readonly facts: HomeFacts;
  readonly tier: Tier;
}

function TierView({ facts, tier }: TierGiven) {
  const [month, setMonth] = useMonth();
  const asked = useTierField(facts, tier.id);
  const field = shownValue(asked);
  const stand = facts.stands.find((candidate) => candidate.id === tier.standId)!;
  const lamps = facts.lamps.filter((lamp) => lamp.tierId === tier.id);
  const height = useHanging(facts, tier);
  const circuits = facts.circuits.filter((circuit) => lamps.some((lamp) => lamp.circuitId === circuit.id));
  const first = (
    <>
      <TextLink href={{ pathname: '/stands/[standId]', params: { standId: stand.id } }}>{stand.name}</TextLink>
      <Title>{`Tier at ${Math.round(tier.heightM * 100)} cm, under its lamps`}</Title>
      <Drawing
        name={`${facts.home.name}, ${stand.name}: under the lamps of the tier at ${Math.round(tier.heightM * 100)} cm`}
        minHeight={120}
        legend={<Small>PPFD 12 cm above the board by all lamps that reach it, µmol/m²s; rings are the spots</Small>}
      >
        {(width) =>
          field ? (
            <Spread
              field={field}
              widthM={stand.widthM}
              depthM={stand.depthM}
              spots={facts.spots.filter((spot) => spot.tierId === tier.id)}
              width={width}
            />
          ) : (
            <Pending asked={asked} />
          )
        }
      </Drawing>
      {field ? <SpreadFigures field={field} month={month} /> : null}
      <HangingHeight height={height} />
      {circuits.map((circuit) => (
        <LampHours key={circuit.id} circuit={circuit} month={month} />
      ))}
      <Small>
        Hang nothing over people or pots without a second hold, keep cables in a drip loop and away from splashes, and
        load no socket beyond its rating: labels, your local code and a licensed electrician rule.
      </Small>
    </>
  );
  const second = (
    <>
      <LampsTouched facts={facts} tierIds={new Set([tier.id])} />
      <Wish facts={facts} tier={tier} month={month} onMonth={setMonth} onHang={height.hang} />
      <PowerAndHeat facts={facts} tier={tier} month={month} />
      <Heading>What each lamp gives</Heading>
      {lamps.map((lamp) => (
        <LampGives key={lamp.id} lamp={lamp} />
      ))}
    </>
  );
  return <TwoPanes first={first} second={second} />;
}

/** The height of a tier's lamps above its board, metres, and how to hang them elsewhere, tried before it is kept. */
function useHanging(facts: HomeFacts, tier: Tier) {
  const units = useUnits();
  const tryOut = useHome((state) => state.tryOut);
  const lamps = facts.lamps.filter((lamp) => lamp.tierId === tier.id);
  const stand = facts.stands.find((candidate) => candidate.id === tier.standId)!;
  const room = facts.rooms.find((candidate) => candidate.id === stand.roomId)!;
  const highest = Math.max(0.3, Math.min(2, room.heightM - tier.heightM));
  const hang = (wantedM: number, hoursADay?: number) => {
    const toM = Math.min(highest, Math.max(LOWEST_M, wantedM));
    const timers = facts.circuits.filter((circuit) => lamps.some((lamp) => lamp.circuitId === circuit.id));
    const burning =
      hoursADay === undefined ? [] : timers.map((timer) => patch('circuits', timer.id, burningFor(timer, hoursADay)));
    tryOut(
      `Lamps over ${stand.name} at ${length(toM, units)}${hoursADay === undefined ? '' : `, ${hours(hoursADay)} a day`}`,
      [...lamps.map((lamp) => patch('lamps', lamp.id, { aboveM: Math.round(toM * 100) / 100 })), ...burning],
    );
  };
  return { aboveM: lamps[0]!.aboveM, highest, hang };
}

function HangingHeight({ height: { aboveM, highest, hang } }: { readonly height: ReturnType<typeof useHanging> }) {
  const units = useUnits();
  const by = (stepM: number) => () => hang(aboveM + stepM);
  return (
    <>
      <Strong>{`Lamps hang ${length(aboveM, units)} above the board`}</Strong>
      <StepSlider
        label="Height of the lamps"
        value={Math.round(aboveM / HEIGHT_STEP_M)}
        most={Math.round(highest / HEIGHT_STEP_M)}
        words={length(aboveM, units)}
        onValue={(value) => hang(value * HEIGHT_STEP_M)}
      />
      <Row>
        <Button onPress={by(-0.05)} label={`Lower the lamps by ${length(0.05, units)}`}>
          Lower
        </Button>
        <Button onPress={by(0.05)} label={`Raise the lamps by ${length(0.05, units)}`}>
          Raise
        </Button>
      </Row>
    </>
  );
}

function PowerAndHeat({ facts, tier, month }: TierGiven & { readonly month: number }) {
  const { watts, kWhADay } = lampPower(facts, tier.id, month);
  const stand = facts.stands.find((candidate) => candidate.id === tier.standId);
  const room = facts.rooms.find((candidate) => candidate.id === stand?.roomId);
  const enclosed = room?.insideRoomId ? ', here first in the enclosure' : '';
  return (
    <>
      <Heading>Power and heat</Heading>
      <Body>{`${Math.round(watts)} W while they burn, ${kWhADay.toFixed(2)} kWh a day in ${monthName(month)}. All of it ends as warmth in the room${enclosed}.`}</Body>
    </>
  );
}

function LampGives({ lamp }: { readonly lamp: Lamp }) {
  const { ppf, doubt, left } = lampOutput(lamp);
  const percent = (share: number) => `${Math.round(share * 100)} %`;
  const words = [
    `${RATED_WORD[lamp.ratedBy]}, within ${percent(doubt)}`,
    left < 1 ? `${percent(left)} left of its first light` : null,
    lamp.dimming < 1 ? `dimmed to ${percent(lamp.dimming)}` : null,
    lamp.photometryId ? 'spread by its measured file' : null,
  ];
  return (
    <View>
      <Body>{`${lamp.name}: ${Math.round(ppf * lamp.dimming)} µmol/s now`}</Body>
      <Small>{words.filter(Boolean).join('; ')}</Small>
    </View>
  );
}

const RATED_WORD = {
  ppf: 'By the photons on its label',
  lumens: 'By its lumens',
  watts: 'By its watts alone',
} as const;

function SpreadFigures({ field, month }: { readonly field: TierField; readonly month: number }) {
  const row = (name: string, value: string) => (
    <View role="row" key={name} style={{ flexDirection: 'row' }}>
      <View role="rowheader" style={{ flex: 1 }}>
        <Body>{name}</Body>
      </View>
      <View role="cell">
        <Body testID={`tier-${name.split(' ')[0]!.toLowerCase()}`}>{value}</Body>
      </View>
    </View>
  );
  return (
    <View role="table" aria-label="PPFD over the tier, lamps alone">
      {row('Least', `${Math.round(field.least)} µmol/m²s`)}
      {row('Mean', `${Math.round(field.mean)} µmol/m²s`)}
      {row('Most', `${Math.round(field.most)} µmol/m²s`)}
      {row('Evenness, least over mean', field.uniformity.toFixed(2))}
      {row('Reflected by walls and boards', `${Math.round(field.reflectedShare * 100)} %`)}
      {row(`Daylight in ${monthName(month)}, mean`, `${mol(field.daylightDli[month - 1]!)} mol a day`)}
    </View>
  );
}

interface SpreadGiven {
  readonly field: TierField;
  readonly widthM: number;
  readonly depthM: number;
  readonly spots: readonly Spot[];
  readonly width: number;
}

/** PPFD cell by cell with its figure in it. */
function Spread({ field, widthM, depthM, spots, width }: SpreadGiven) {
  const ink = useInk();
  // The longer side lies across the screen.
  const turned = depthM > widthM;
  const across = turned ? field.rows : field.columns;
  const up = turned ? field.columns : field.rows;
  const scale = Math.min(width / Math.max(widthM, depthM), 260 / Math.min(widthM, depthM));
  const drawnWidth = Math.max(widthM, depthM) * scale;
  const drawnHeight = Math.max(56, Math.min(widthM, depthM) * scale);
  const cellWidth = drawnWidth / across;
  const cellHeight = drawnHeight / up;
  return (
    <Svg
      width={width}
      height={drawnHeight}
      role="img"
      aria-label={`PPFD over the tier from ${Math.round(field.least)} to ${Math.round(field.most)}`}
    >
      {Array.from(field.ppfd, (ppfd, i) => {
        const column = i % field.columns;
        const row = Math.floor(i / field.columns);
        const x = (turned ? row : column) * cellWidth;
        const y = drawnHeight - ((turned ? column : row) + 1) * cellHeight;
        return (
          <Rect
            key={i}
            x={x}
            y={y}
            width={cellWidth}
            height={cellHeight}
            fill={ink.wash}
            opacity={field.most > 0 ? 0.08 + (0.62 * ppfd) / field.most : 0}
          />
        );
      })}
      {spots.map(({ id, alongM, acrossM }) => (
        <SpotRing
          key={id}
          x={((turned ? acrossM : alongM) / Math.max(widthM, depthM)) * drawnWidth}
          y={drawnHeight - ((turned ? alongM : acrossM) / Math.min(widthM, depthM)) * drawnHeight}
        />
      ))}
      <Rect x={0.5} y={0.5} width={drawnWidth - 1} height={drawnHeight - 1} fill="none" stroke={ink.ink} />
      {Array.from(field.ppfd, (ppfd, i) => {
        const column = i % field.columns;
        const row = Math.floor(i / field.columns);
        const x = ((turned ? row : column) + 0.5) * cellWidth;
        const y = drawnHeight - ((turned ? column : row) + 0.5) * cellHeight + 4;
        // Where cells are narrow, every other figure.
        return cellWidth > 26 || (turned ? row : column) % 2 === 0 ? (
          <SvgText key={i} x={x} y={y} textAnchor="middle" fontFamily={FONT.lettering} fontSize={12} fill={ink.ink}>
            {Math.round(ppfd)}
          </SvgText>
        ) : null;
      })}
    </Svg>
  );
}

function SpotRing({ x, y }: { readonly x: number; readonly y: number }) {
  const { ink } = useInk();
  return <Circle cx={x} cy={y} r={13} fill="none" stroke={ink} strokeWidth={1.2} />;
}

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

function Wish({ facts, tier, month, onMonth, onHang }: WishGiven) {
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
  return 'No height will do: where it is dim enough, they would burn longer than 16 h. Add a lamp, or dim the ones there and hang them lower.';
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
