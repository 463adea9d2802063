/** Takes a reading of a light meter at a spot: a number, the sky, and it is kept; what it changes is shown before. */
import { TZDate } from '@date-fns/tz';
import { readingSchema } from '@dulvan/contract';
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
import { format } from 'date-fns';
import { router } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { FormField } from '../../parts/form-field';
import { newId } from '../../parts/new-id';
import { NotHere } from '../../parts/not-here';
import { Pending } from '../../parts/pending';
import { Refused } from '../../parts/refused';
import { typedNumber } from '../../parts/typed-number';
import { tellIssues, typedSchema } from '../../parts/typed-schema';
import { useDraftForm, type FormValues } from '../../parts/use-draft-form';
import { mol, spotPlace } from '../../parts/words';
import { useFacts, useHome } from '../../state/home';
import { shownValue, useCompared } from '../../state/questions';
import { useSpotAnswer } from '../../state/verdicts';
import { Button, TextLink } from '../../ui/button';
import { Choices } from '../../ui/choices';
import { Fold } from '../../ui/fold';
import { Labelled } from '../../ui/labelled';
import { monthName } from '../../ui/months';
import { Page, Row } from '../../ui/page';
import { PickDate } from '../../ui/pick-date';
import { PickTime } from '../../ui/pick-time';
import { SPACE } from '../../ui/theme';
import { Body, Small, Strong, Title } from '../../ui/type';
import { useInk } from '../../ui/use-ink';
import { READING_UNIT_WORD, SKY_WORD } from './reading-words';
import { TAKE_READING as WORDS } from './light-words';

const MS_PER_MINUTE = 60_000;

export function TakeReading({ spotId }: { readonly spotId: string }) {
  const facts = useFacts();
  const spot = facts?.spots.find((candidate) => candidate.id === spotId);
  if (!facts || !spot) return <NotHere what="spot" back="/rooms" />;
  return <TakeReadingForm facts={facts} spot={spot} />;
}

interface FormGiven {
  readonly facts: HomeFacts;
  readonly spot: Spot;
}

/** Minutes ago that a reading is said to have been taken at a tap; another time is picked. */
const AGO = [0, 10, 30, 60] as const;
const OTHER_TIME = 'other';

const WHEN = [
  ...AGO.map((minutes) => ({ value: String(minutes), word: minutes === 0 ? WORDS.now : agoInWords(minutes) })),
  { value: OTHER_TIME, word: 'Another time' },
];

function agoInWords(minutes: number): string {
  return minutes < 60 ? WORDS.minAgo(minutes) : WORDS.hoursAgo(minutes / 60);
}

/** The instant that a day and a time of it name in the home's own zone; null where they name none. */
function instantOf(day: string, time: string, timeZone: string): number | null {
  const [year, month, date] = day.split('-').map(Number);
  const [hour, minute] = time.split(':').map(Number);
  const instant = new TZDate(year ?? NaN, (month ?? NaN) - 1, date ?? NaN, hour ?? NaN, minute ?? NaN, timeZone);
  const atMs = instant.getTime();
  return Number.isFinite(atMs) ? atMs : null;
}

/** Highest figure that any meter shows, in each unit. */
const MOST = 200_000;
/** Lowest outdoor figure that can be set against an indoor one. */
const LEAST_OUTDOORS = 0.01;

/** What is typed, kept until the reading is; what is wrong with it; the reading it makes, null while something is. */
function useReadingForm({ facts, spot }: FormGiven) {
  const [startedMs] = useState(() => Date.now());
  const [id] = useState(newId);
  const { timeZone } = facts.home;
  const now = new TZDate(startedMs, timeZone);
  const stored = {
    value: '',
    unit: lastUnit(facts),
    sky: 'overcast',
    curtains: curtainsAt(facts, spot.id, startedMs),
    lamps: 'off',
    ago: '0',
    day: format(now, 'yyyy-MM-dd'),
    time: format(now, 'H:mm'),
    outdoor: '',
  };
  const schema = typedSchema<Reading>((typed, tell) => {
    const given = { ...stored, ...typed };
    const word = READING_UNIT_WORD[given.unit as ReadingUnit];
    const value = typedNumber(given.value);
    if (!(value >= 0 && value <= MOST)) tell('value', WORDS.rangeOfReading(MOST, word));
    const outdoors = given.outdoor.trim() === '' ? null : typedNumber(given.outdoor);
    if (outdoors !== null && !(outdoors >= LEAST_OUTDOORS && outdoors <= MOST))
      tell('outdoor', WORDS.rangeOutdoors(LEAST_OUTDOORS, MOST, word));
    const atMs =
      given.ago === OTHER_TIME
        ? instantOf(given.day, given.time, timeZone)
        : startedMs - Number(given.ago) * MS_PER_MINUTE;
    if (atMs === null) tell('time', WORDS.pickDayAndTime);
    else if (atMs > startedMs + MS_PER_MINUTE) tell('time', WORDS.stillToCome);
    const { sky, curtains, lamps } = given;
    const byDay = { outdoorValue: outdoors, curtains, lamps };
    const byDark = { outdoorValue: null, curtains: 'shut', lamps: 'on' };
    const about = { id, homeId: facts.home.id, spotId: spot.id, atMs, value, unit: given.unit, sky };
    const reading = { ...about, ...(sky === 'dark' ? byDark : byDay), note: '', withdrawnOn: null };
    const parsed = readingSchema.safeParse(reading);
    return parsed.success ? parsed.data : tellIssues(parsed.error.issues, tell);
  });
  return useDraftForm({ draftKey: `reading/${spot.id}`, stored, schema });
}

type ReadingForm = ReturnType<typeof useReadingForm>;

interface AskedGiven {
  readonly form: ReadingForm;
  readonly label: string;
  readonly name: string;
  readonly choices: readonly { readonly value: string; readonly word: string }[];
}

function Asked({ form, label, name, choices }: AskedGiven) {
  return (
    <Labelled label={label}>
      <Choices
        label={label}
        value={form.values[name] ?? ''}
        onValue={(value) => form.setValue(name, value)}
        choices={choices}
      />
    </Labelled>
  );
}

const UNITS = READING_UNITS.map((unit) => ({ value: unit, word: READING_UNIT_WORD[unit] }));
/** A month's mean comes from a logger alone. */
const TAKEN = (Object.keys(SKY_WORD) as ReadingSky[]).filter((sky) => sky !== 'month');
const SKIES = TAKEN.map((sky) => ({ value: sky, word: SKY_WORD[sky] }));

function TakeReadingForm({ facts, spot }: FormGiven) {
  const form = useReadingForm({ facts, spot });
  const keep = useKeeping(spot, form);
  const here = { pathname: '/spots/[spotId]', params: { spotId: spot.id } } as const;
  return (
    <Page>
      <TextLink href={here}>{spotPlace(facts, spot.id)}</TextLink>
      <Title>{WORDS.takeReading}</Title>
      <Small>{WORDS.holdTheMeter}</Small>
      <FormField form={form} name="value" label={WORDS.meterShows} kind="number" autoFocus />
      <Asked form={form} label={WORDS.inUnit} name="unit" choices={UNITS} />
      <Asked form={form} label={WORDS.sky} name="sky" choices={SKIES} />
      {form.values.sky === 'dark' ? <Small>{WORDS.lampsAlone}</Small> : null}
      <Asked form={form} label={WORDS.when} name="ago" choices={WHEN} />
      {form.values.ago === OTHER_TIME ? <OtherTime form={form} /> : null}
      {form.entry ? <Effect facts={facts} reading={form.entry} spotId={spot.id} /> : null}
      {form.values.sky === 'dark' ? null : (
        <Fold title={WORDS.moreExactly} note={otherwiseNote(form.values)}>
          <Otherwise form={form} lamps={facts.lamps.length > 0 ? 'some' : 'none'} />
        </Fold>
      )}
      <Refused form={form} />
      <Row>
        <Button kind="main" onPress={() => void keep()}>
          {WORDS.keepReading}
        </Button>
      </Row>
    </Page>
  );
}

const otherwiseNote = ({ curtains, lamps, outdoor }: FormValues) =>
  WORDS.asItIsNow(curtains, lamps, outdoor ? `${outdoor} outdoors` : WORDS.nothingMeasuredOutdoors);

function OtherTime({ form }: { readonly form: ReadingForm }) {
  const { values, errors, setValue } = form;
  return (
    <>
      <Labelled label={WORDS.day}>
        <PickDate label={WORDS.day} value={values.day ?? ''} onValue={(value) => setValue('day', value)} />
      </Labelled>
      <Labelled label={WORDS.time} error={errors.time}>
        <PickTime label={WORDS.time} value={values.time ?? ''} onValue={(value) => setValue('time', value)} />
      </Labelled>
    </>
  );
}

/** Keeps the reading when asked to, and goes back to the spot. */
function useKeeping(spot: Spot, form: ReadingForm): () => Promise<void> {
  const attempt = useHome((state) => state.attempt);
  return async () => {
    const kept = await form.submit((reading) => {
      const what = `${reading.value} ${READING_UNIT_WORD[reading.unit]}`;
      return attempt(WORDS.readSummary(what, spot.name), [putFact('readings', reading)]);
    });
    if (kept) router.replace({ pathname: '/spots/[spotId]', params: { spotId: spot.id } });
  };
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
function Otherwise({ form, lamps }: { readonly form: ReadingForm; readonly lamps: 'none' | 'some' }) {
  return (
    <>
      <Asked form={form} label={WORDS.curtains} name="curtains" choices={OPEN_OR_SHUT} />
      {lamps === 'some' ? <Asked form={form} label={WORDS.lamps} name="lamps" choices={OFF_OR_ON} /> : null}
      <FormField
        form={form}
        name="outdoor"
        label={WORDS.sameMeterOutdoors}
        kind="number"
        unit={READING_UNIT_WORD[form.values.unit as ReadingUnit]}
        help={WORDS.outdoorsHelp}
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
  const { danger } = useInk();
  const asked = useCompared(facts, reading);
  const compared = shownValue(asked);
  const answer = useSpotAnswer(spotId);
  const { month } = civilDateOf(reading.atMs, facts.home.timeZone);
  const before = answer ? WORDS.molBeforeIt(monthName(month), mol(answer.conditions[month - 1]!.dli)) : '';
  const corrects = WORDS.whatItCorrects(before);
  const spectra = new Set(facts.lamps.map((lamp) => lamp.spectrum));
  return (
    <View style={{ gap: 2, paddingVertical: SPACE.s }}>
      <Strong>{WORDS.againstWhatIsComputed}</Strong>
      {compared ? (
        <>
          <Body testID="compared">{comparedWords(compared)}</Body>
          {isFarOff(compared) ? <Small style={{ color: danger }}>{WORDS.farFromExpected}</Small> : null}
          <Small>{WORDS.goodForAbout(Math.round(compared.doubt * 100), corrects)}</Small>
        </>
      ) : asked.state !== 'ready' ? (
        <Pending asked={asked} />
      ) : (
        <Small style={{ color: danger }}>{WORDS.notUsedDark}</Small>
      )}
      {reading.unit !== 'ppfd' && reading.lamps === 'on' && spectra.has('red-blue') ? (
        <Small>{WORDS.luxAndLamps}</Small>
      ) : null}
    </View>
  );
}

/** So many times more or less than computed is more likely a slip than a room. */
const FAR_OFF = 4;

const isFarOff = ({ measuredPpfd, computedPpfd }: ComparedReading) =>
  measuredPpfd > FAR_OFF * computedPpfd || computedPpfd > FAR_OFF * measuredPpfd;

function comparedWords({ measuredPpfd, computedPpfd }: ComparedReading): string {
  const times = (measuredPpfd / computedPpfd).toFixed(2);
  return WORDS.measuredAgainstComputed(amount(measuredPpfd), amount(computedPpfd), times);
}

const amount = (ppfd: number) => (ppfd < 10 ? ppfd.toFixed(1) : Math.round(ppfd).toString());
