/** Takes a reading of a light meter at a spot: a number, the sky, and it is kept; what it changes is shown before. */
import {
  READING_UNITS,
  civilDateOf,
  curtainsAt,
  put as putFact,
  type ComparedReading,
  type HomeFacts,
  type Reading,
  type ReadingSky,
  type ReadingUnit,
  type Spot,
} from '@dulvan/core';
import { readingSchema } from '@dulvan/contract';
import { router } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { shownValue, useCompared } from '../../state/questions';
import { useSpotAnswer } from '../../state/verdicts';
import { Pending } from '../../parts/pending';
import { useDrafts } from '../../state/drafts';
import { useFacts, useHome } from '../../state/home';
import { Button, TextLink } from '../../ui/button';
import { Choices } from '../../ui/choices';
import { Field } from '../../ui/field';
import { Page, Row, Rule } from '../../ui/page';
import { SPACE } from '../../ui/theme';
import { Body, Small, Strong, Title } from '../../ui/type';
import { useInk } from '../../ui/use-ink';
import { mol, spotPlace } from '../../parts/words';
import { monthName } from '../../ui/months';
import { newId } from '../../parts/new-id';
import { typedNumber } from '../../parts/typed-number';
import { NotHere } from '../../parts/not-here';
import { READING_UNIT_WORD, SKY_WORD } from './reading-words';

export function TakeReading({ spotId }: { readonly spotId: string }) {
  const facts = useFacts();
  const spot = facts?.spots.find((candidate) => candidate.id === spotId);
  if (!facts || !spot) return <NotHere what="spot" back="/rooms" />;
  return <ReadingForm facts={facts} spot={spot} />;
}

interface FormGiven {
  readonly facts: HomeFacts;
  readonly spot: Spot;
}

/** Minutes ago that a reading may be said to have been taken. */
const AGO = [0, 10, 30, 60, 180] as const;

const agoWords = (minutes: number) => {
  if (minutes === 0) return 'Now';
  return minutes < 60 ? `${minutes} min ago` : `${minutes / 60} h ago`;
};

/** What is typed, kept until the reading is; what is wrong with it; the reading it makes, null while something is. */
function useTyped({ facts, spot }: FormGiven) {
  const key = `reading/${spot.id}`;
  const draft = useDrafts((state) => state.drafts[key]);
  const { put, drop } = useDrafts.getState();
  const [startedMs] = useState(() => Date.now());
  const [id] = useState(newId);
  const given = {
    value: '',
    unit: lastUnit(facts),
    sky: 'overcast',
    curtains: curtainsAt(facts, spot.id, startedMs),
    lamps: 'off',
    ago: '0',
    outdoor: '',
    note: '',
    ...draft,
  };
  const unit = given.unit as ReadingUnit;
  const sky = given.sky as ReadingSky;
  const value = typedNumber(given.value);
  const outdoorValue = given.outdoor.trim() === '' ? null : typedNumber(given.outdoor);
  const isGood = value >= 0 && value <= 200_000;
  const isOutdoorGood = outdoorValue === null || (outdoorValue >= 0.01 && outdoorValue <= 200_000);
  const otherwise =
    sky === 'dark'
      ? ({ outdoorValue: null, curtains: 'shut', lamps: 'on' } as const)
      : {
          outdoorValue,
          curtains: given.curtains as Reading['curtains'],
          lamps: given.lamps as Reading['lamps'],
        };
  const taken = { id, homeId: facts.home.id, spotId: spot.id, atMs: startedMs - Number(given.ago) * 60_000 };
  const reading: Reading = { ...taken, value, unit, sky, ...otherwise, note: given.note, withdrawnOn: null };
  const word = READING_UNIT_WORD[unit];
  return {
    given,
    sky,
    unit: word,
    set: (field: keyof typeof given) => (next: string) => put(key, { ...given, [field]: next }),
    forget: () => drop(key),
    valueError: isGood ? undefined : `A number. From 0 to 200000 ${word}.`,
    outdoorError: isOutdoorGood ? undefined : `From 0.01 to 200000 ${word}, or nothing.`,
    reading: isGood && isOutdoorGood ? reading : null,
  };
}

type Typed = ReturnType<typeof useTyped>;

function ReadingForm({ facts, spot }: FormGiven) {
  const { danger } = useInk();
  const typed = useTyped({ facts, spot });
  const { given, sky, set, valueError, reading } = typed;
  const { keep, refusal, asked } = useKeeping(spot, typed);
  const here = { pathname: '/spots/[spotId]', params: { spotId: spot.id } } as const;
  return (
    <Page>
      <TextLink href={here}>{spotPlace(facts, spot.id)}</TextLink>
      <Title>Take a reading</Title>
      <Small>Hold the meter level where the leaves are, facing up, and stand out of the light.</Small>
      <Field
        label="The meter shows"
        kind="number"
        autoFocus
        value={given.value}
        onValue={set('value')}
        error={asked === 'yes' || given.value !== '' ? valueError : undefined}
      />
      <Choices
        label="In"
        value={given.unit}
        onValue={set('unit')}
        choices={READING_UNITS.map((unit) => ({ value: unit, word: READING_UNIT_WORD[unit] }))}
      />
      <Strong>The sky</Strong>
      <Choices
        label="The sky"
        value={sky}
        onValue={set('sky')}
        choices={(Object.keys(SKY_WORD) as ReadingSky[]).map((kind) => ({ value: kind, word: SKY_WORD[kind] }))}
      />
      {sky === 'dark' ? <Small>Night, or every curtain tight, lamps on: this corrects the lamps alone.</Small> : null}
      {reading ? <Effect facts={facts} reading={reading} spotId={spot.id} /> : null}
      <Row>
        <Button kind="main" onPress={() => void keep()}>
          Keep the reading
        </Button>
      </Row>
      {refusal ? <Small style={{ color: danger }}>✕ {refusal}</Small> : null}
      {asked === 'yes' && valueError ? (
        <Small style={{ color: danger }}>✕ Type what the meter shows first.</Small>
      ) : null}
      <Rule />
      <Small>Taken now, curtains as planned for this hour, lamps off. Where it was otherwise:</Small>
      {sky === 'dark' ? null : <Otherwise typed={typed} lamps={facts.lamps.length > 0 ? 'some' : 'none'} />}
      <Strong>When</Strong>
      <Choices
        label="When"
        value={given.ago}
        onValue={set('ago')}
        choices={AGO.map((minutes) => ({ value: String(minutes), word: agoWords(minutes) }))}
      />
    </Page>
  );
}

/** Keeps the reading when asked to, and goes back to the spot. */
function useKeeping(spot: Spot, { given, unit, reading, forget }: Typed) {
  const attempt = useHome((state) => state.attempt);
  const [refusal, setRefusal] = useState<string | null>(null);
  const [asked, setAsked] = useState<'no' | 'yes'>('no');
  const keep = async () => {
    setAsked('yes');
    if (!reading) return;
    const parsed = readingSchema.safeParse(reading);
    if (!parsed.success) return setRefusal(parsed.error.issues[0]!.message);
    const refused = await attempt(`Read ${given.value} ${unit} at ${spot.name}`, [putFact('readings', parsed.data)]);
    if (refused) return setRefusal(refused.message);
    forget();
    router.replace({ pathname: '/spots/[spotId]', params: { spotId: spot.id } });
  };
  return { keep, refusal, asked };
}

const OPEN_OR_SHUT = [
  { value: 'open', word: 'Open' },
  { value: 'shut', word: 'Shut' },
];
const OFF_OR_ON = [
  { value: 'off', word: 'Off' },
  { value: 'on', word: 'On' },
];

/** By day: curtains, lamps, and the same meter outdoors. */
function Otherwise({ typed, lamps }: { readonly typed: Typed; readonly lamps: 'none' | 'some' }) {
  const { given, unit, set, outdoorError } = typed;
  return (
    <>
      <Strong>Curtains</Strong>
      <Choices label="Curtains" value={given.curtains} onValue={set('curtains')} choices={OPEN_OR_SHUT} />
      {lamps === 'some' ? (
        <>
          <Strong>Lamps</Strong>
          <Choices label="Lamps" value={given.lamps} onValue={set('lamps')} choices={OFF_OR_ON} />
        </>
      ) : null}
      <Field
        label="The same meter outdoors, if you can"
        kind="number"
        unit={unit}
        value={given.outdoor}
        onValue={set('outdoor')}
        error={outdoorError}
        help="On open level ground within a minute. Then cloud no longer matters: the surest reading there is."
      />
    </>
  );
}

/** The unit of the last reading, since a grower has one meter. */
const lastUnit = (facts: HomeFacts): ReadingUnit =>
  [...facts.readings].sort((p, q) => q.atMs - p.atMs)[0]?.unit ?? 'lux';

function Effect({
  facts,
  reading,
  spotId,
}: {
  readonly facts: HomeFacts;
  readonly reading: Reading;
  readonly spotId: string;
}) {
  const asked = useCompared(facts, reading);
  const compared = shownValue(asked);
  const answer = useSpotAnswer(spotId);
  const { month } = civilDateOf(reading.atMs, facts.home.timeZone);
  const before = answer
    ? `; before it ${monthName(month)} has ${mol(answer.conditions[month - 1]!.dli)} mol a day here`
    : '';
  const corrects = `It corrects this spot, and less its neighbours on the same stand${before}.`;
  const spectra = new Set(facts.lamps.map((lamp) => lamp.spectrum));
  return (
    <View style={{ gap: 2, paddingVertical: SPACE.s }}>
      <Strong>Against what is computed</Strong>
      {compared ? (
        <>
          <Body testID="compared">{comparedWords(compared)}</Body>
          <Small>{`One such reading is good for about ${Math.round(compared.doubt * 100)} %. ${corrects}`}</Small>
        </>
      ) : asked.state !== 'ready' ? (
        <Pending asked={asked} />
      ) : (
        <Small>
          Nothing to hold it against: at that time the model has no such light here. It is kept in the record and
          corrects nothing.
        </Small>
      )}
      {reading.unit !== 'ppfd' && reading.lamps === 'on' && spectra.has('red-blue') ? (
        <Small>A lux meter hardly sees red and blue lamps: such a reading may be off by half or more.</Small>
      ) : null}
    </View>
  );
}

function comparedWords({ measuredPpfd, computedPpfd }: ComparedReading): string {
  const times = (measuredPpfd / computedPpfd).toFixed(2);
  return `Measured ${amount(measuredPpfd)}, computed ${amount(computedPpfd)} µmol/m²s: ${times} times.`;
}

const amount = (ppfd: number) => (ppfd < 10 ? ppfd.toFixed(1) : Math.round(ppfd).toString());
