/** Remedies for a room's air, each tried on the room's own day: what it brings, what it costs, what comes with it. */
import type { HomeFacts, LeastToMost, RemedyAnswer, RemedyEffect, Room, RoomRemedy } from '@dulvan/core';
import { useState } from 'react';
import { View } from 'react-native';
import { NotHere } from '../../parts/not-here';
import { Pending } from '../../parts/pending';
import { typedNumber } from '../../parts/typed-number';
import { kelvins } from '../../parts/words';
import { useMonth } from '../../parts/use-month';
import { useFacts } from '../../state/home';
import { shownValue, useAirRemedy } from '../../state/questions';
import { useSettings, useUnits, type Units } from '../../state/settings';
import { TextLink } from '../../ui/button';
import { Field } from '../../ui/field';
import { MonthSlider } from '../../ui/month-slider';
import { monthName } from '../../ui/months';
import { TwoPanes } from '../../ui/page';
import { StepSlider } from '../../ui/step-slider';
import { Table } from '../../ui/table';
import { SPACE } from '../../ui/theme';
import { Body, Heading, Small, Strong, Title } from '../../ui/type';
import { BENCH_SCREEN as WORDS, REMEDY } from './air-words';
import { spanWords } from './figures';

export function BenchScreen({ roomId }: { readonly roomId: string }) {
  const facts = useFacts();
  const room = facts?.rooms.find((candidate) => candidate.id === roomId);
  if (!facts || !room) return <NotHere what="room" back="/rooms" />;
  return <Bench facts={facts} room={room} />;
}

/** What is tried, each with the steps of its slider and where it begins. */
interface Trial {
  readonly kind: RoomRemedy['kind'];
  readonly most: number;
  readonly begins: number;
  remedy(step: number): RoomRemedy;
  dose(step: number, units: Units): string;
}

const AREA_STEP_M2 = 0.05;
const GRAMS_STEP = 25;
const KELVIN_STEP = 0.5;
const SHARE_STEP = 0.1;

const TRIALS: readonly Trial[] = [
  {
    kind: 'mist',
    most: 8,
    begins: 2,
    remedy: (step) => ({ kind: 'mist', timesADay: Math.max(1, step) }),
    dose: (step) => REMEDY.mistDose(`${Math.max(1, step)}`),
  },
  {
    kind: 'tray',
    most: 20,
    begins: 4,
    remedy: (step) => ({ kind: 'tray', areaM2: AREA_STEP_M2 * Math.max(1, step) }),
    dose: (step) => REMEDY.trayDose((AREA_STEP_M2 * Math.max(1, step)).toFixed(2)),
  },
  { kind: 'group', most: 0, begins: 0, remedy: () => ({ kind: 'group' }), dose: () => REMEDY.groupDose },
  {
    kind: 'humidifier',
    most: 24,
    begins: 6,
    remedy: (step) => ({ kind: 'humidifier', gramsH: GRAMS_STEP * Math.max(1, step) }),
    dose: (step) => REMEDY.humidifierDose(`${GRAMS_STEP * Math.max(1, step)}`),
  },
  {
    kind: 'cooler',
    most: 8,
    begins: 2,
    remedy: (step) => ({ kind: 'cooler', byK: KELVIN_STEP * Math.max(1, step) }),
    dose: (step, units) => REMEDY.coolerDose(kelvins(KELVIN_STEP * Math.max(1, step), units)),
  },
  {
    kind: 'less-airing',
    most: 10,
    begins: 5,
    remedy: (step) => ({ kind: 'less-airing', share: SHARE_STEP * step }),
    dose: (step) => REMEDY['less-airingDose'](`${Math.round(100 * SHARE_STEP * step)}`),
  },
];

const TARGET_FROM = 30;
const TARGET_STEP = 5;
const TARGET_STEPS = 12;

function Bench({ facts, room }: { readonly facts: HomeFacts; readonly room: Room }) {
  const [month, setMonth] = useMonth();
  const [target, setTarget] = useState(4);
  const targetRh = TARGET_FROM + TARGET_STEP * target;
  const first = (
    <>
      <TextLink href={{ pathname: '/air/[roomId]', params: { roomId: room.id } }}>{room.name}</TextLink>
      <Title>{WORDS.title}</Title>
      <Body>{WORDS.about(room.name, monthName(month))}</Body>
      <MonthSlider month={month} onMonth={setMonth} />
      <Strong>{`${WORDS.target}: ${WORDS.perCent(`${targetRh}`)}`}</Strong>
      <StepSlider
        label={WORDS.target}
        value={target}
        most={TARGET_STEPS}
        words={WORDS.perCent(`${targetRh}`)}
        onValue={setTarget}
      />
      <Price />
      <AsItIs {...{ facts, room, month, targetRh }} />
    </>
  );
  const [left, right] = [TRIALS.slice(0, 3), TRIALS.slice(3)];
  const tried = (trials: readonly Trial[]) =>
    trials.map((trial) => <Tried key={trial.kind} {...{ facts, room, month, targetRh, trial }} />);
  return (
    <TwoPanes
      first={
        <>
          {first}
          {tried(left)}
        </>
      }
      second={<>{tried(right)}</>}
    />
  );
}

/** What a kWh costs: kept on this device. */
function Price() {
  const price = useSettings((state) => state.kWhPrice);
  const setPrice = useSettings((state) => state.setKWhPrice);
  const [text, setText] = useState(price === null ? '' : String(price));
  const typed = text.trim() === '' ? null : typedNumber(text);
  const isWrong = typed !== null && !(typed >= 0 && typed <= 100);
  const change = (next: string) => {
    setText(next);
    const value = next.trim() === '' ? null : typedNumber(next);
    if (value === null || (value >= 0 && value <= 100)) setPrice(value);
  };
  return (
    <Field
      label={WORDS.price}
      help={WORDS.priceHelp}
      value={text}
      onValue={change}
      kind="number"
      error={isWrong ? WORDS.priceRange : undefined}
    />
  );
}

interface TriedGiven {
  readonly facts: HomeFacts;
  readonly room: Room;
  readonly month: number;
  readonly targetRh: number;
}

function AsItIs({ facts, room, month, targetRh }: TriedGiven) {
  const asked = useAirRemedy(facts, { roomId: room.id, month, targetRh, remedy: null });
  const answer = shownValue(asked);
  if (!answer) return <Pending asked={asked} />;
  return (
    <View style={{ gap: SPACE.xs }}>
      <Heading>{WORDS.asItIs}</Heading>
      <Effect before={null} effect={answer.before} name={WORDS.asItIs} />
      <Body>{humidifierWords(answer, targetRh)}</Body>
    </View>
  );
}

function humidifierWords({ humidifier: { gH, litresADay, within } }: RemedyAnswer, targetRh: number): string {
  const target = `${targetRh}`;
  if (gH === 0) return WORDS.humidifierNone(target);
  const grams = `${Math.round(gH)}`;
  return within === 'reach'
    ? WORDS.humidifierHolds(grams, litresADay.toFixed(1), target)
    : WORDS.humidifierNever(grams, target);
}

function Tried({ facts, room, month, targetRh, trial }: TriedGiven & { readonly trial: Trial }) {
  const units = useUnits();
  const [step, setStep] = useState(trial.begins);
  const asked = useAirRemedy(facts, { roomId: room.id, month, targetRh, remedy: trial.remedy(step) });
  const answer = shownValue(asked);
  const dose = trial.dose(step, units);
  return (
    <View style={{ gap: SPACE.xs }} testID={`remedy-${trial.kind}`}>
      <Heading>{REMEDY[trial.kind]}</Heading>
      <Small>{dose}</Small>
      {trial.most > 0 ? (
        <StepSlider
          label={WORDS.howMuch(REMEDY[trial.kind])}
          value={step}
          most={trial.most}
          words={dose}
          onValue={setStep}
        />
      ) : null}
      {answer ? (
        <>
          <Effect before={answer.before} effect={answer.after} name={REMEDY[trial.kind]} />
          {trial.kind === 'mist' ? <Small>{REMEDY.mistWet(wetWords(answer.after.leafWetH))}</Small> : null}
        </>
      ) : (
        <Pending asked={asked} />
      )}
      <Small>{REMEDY[`${trial.kind}Side`]}</Small>
    </View>
  );
}

const wetWords = ([day, night]: readonly [number, number]) => WORDS.byDayByNight(day.toFixed(1), night.toFixed(1));

/** Less water is not told, litres a day. */
const LEAST_LITRES = 0.05;

/** A span, and by how much it differs from before. */
function told(span: LeastToMost, before: LeastToMost | undefined, digits: number): string {
  const words = spanWords(span, digits);
  if (!before) return words;
  const by = (span[0] + span[1]) / 2 - before[0];
  const rounded = by.toFixed(digits);
  return Number(rounded) === 0 ? words : `${words} (${by > 0 ? '+' : '−'}${rounded.replace('-', '')})`;
}

interface EffectGiven {
  readonly name: string;
  readonly effect: RemedyEffect;
  readonly before: RemedyEffect | null;
}

function Effect({ name, effect, before }: EffectGiven) {
  const price = useSettings((state) => state.kWhPrice);
  const { dayRh, nightRh, vpdDay, hoursAtTarget, litresADay, kWhADay } = effect;
  const rows = [
    [WORDS.dayRh, WORDS.perCent(told(dayRh, before?.dayRh, 0))],
    [WORDS.nightRh, WORDS.perCent(told(nightRh, before?.nightRh, 0))],
    [WORDS.vpd, WORDS.kPa(told(vpdDay, before?.vpdDay, 2))],
    [WORDS.hours, spanWords(hoursAtTarget, 0)],
  ];
  if (effect.paneWetH + effect.mouldH > 0 || (before && before.paneWetH + before.mouldH > 0)) {
    rows.push([WORDS.wetPane, WORDS.hoursADay(`${effect.paneWetH}`)]);
    rows.push([WORDS.mould, WORDS.hoursADay(`${effect.mouldH}`)]);
  }
  if (before) {
    if (litresADay[1] >= LEAST_LITRES) rows.push([WORDS.litres, WORDS.litresADay(spanWords(litresADay, 1))]);
    rows.push([WORDS.energy, WORDS.kWhADay(spanWords(kWhADay, 1))]);
    if (price !== null) rows.push([WORDS.cost, WORDS.aDay(spanWords([kWhADay[0] * price, kWhADay[1] * price], 2))]);
  }
  return (
    <Table
      name={name}
      columns={[{ share: 3 }, { share: 2, align: 'right' }]}
      rows={rows.map(([key, value]) => ({ key: key!, cells: [key, value] }))}
    />
  );
}
