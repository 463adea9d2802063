/**
 * One logger: what it measured over a day, a week or a year, beside what suits the plants there and what is computed.
 */
import type { Quantity, SampleSum } from '@dulvan/contract';
import { celsiusToFahrenheit, roomIdOfSpot, sharedBand, type HomeFacts, type Target } from '@dulvan/core';
import { useState } from 'react';
import { View } from 'react-native';
import { dayWords } from '../../parts/moments';
import { NotHere } from '../../parts/not-here';
import { Failed } from '../../parts/pending';
import { useFacts } from '../../state/home';
import { useLoggers, useSamples, type Logger, type Stretch } from '../../state/loggers';
import { useUnits, type Units } from '../../state/settings';
import { useVerdicts } from '../../state/verdicts';
import { Button, TextLink } from '../../ui/button';
import { Choices } from '../../ui/choices';
import { Drawing } from '../../ui/drawing';
import { Row, TwoPanes } from '../../ui/page';
import { Table } from '../../ui/table';
import { SPACE } from '../../ui/theme';
import { Heading, Small, Title } from '../../ui/type';
import { useInk } from '../../ui/use-ink';
import { Waiting } from '../../ui/waiting';
import { LightMonths } from './light-months';
import { loggerPlace } from './logger-places';
import { COLUMN_WORDS, LOGGERS_SCREEN, LOGGER_SCREEN as WORDS } from './loggers-words';
import { MeasuredMonths } from './measured-months';
import { SERIES_HEIGHT, SeriesDrawing } from './series-drawing';

export function LoggerScreen({ loggerId }: { readonly loggerId: string }) {
  const facts = useFacts();
  return facts ? <Found facts={facts} loggerId={loggerId} /> : null;
}

function Found({ facts, loggerId }: { readonly facts: HomeFacts; readonly loggerId: string }) {
  const loggers = useLoggers(facts.home.id);
  if (loggers.state === 'working') return <Waiting lines={4} words={LOGGERS_SCREEN.working} />;
  if (loggers.state === 'failed') return <Failed message={loggers.message} onRetry={loggers.retry} />;
  const logger = loggers.value.find(({ id }) => id === loggerId);
  if (!logger) return <NotHere what="logger" back="/loggers" />;
  return <LoggerView facts={facts} logger={logger} loggers={loggers.value} />;
}

const STRETCHES = ['day', 'week', 'year'] as const;
type Length = (typeof STRETCHES)[number];
const DAY_MS = 86_400_000;
const LENGTH_MS: Readonly<Record<Length, number>> = { day: DAY_MS, week: 7 * DAY_MS, year: 365 * DAY_MS };
const STEP: Readonly<Record<Length, 'raw' | 'hour' | 'day'>> = { day: 'raw', week: 'hour', year: 'day' };
const SHOWN = ['temperature', 'humidity', 'ppfd', 'illuminance'] as const satisfies readonly Quantity[];

interface Given {
  readonly facts: HomeFacts;
  readonly logger: Logger;
}

function LoggerView({ facts, logger, loggers }: Given & { readonly loggers: readonly Logger[] }) {
  const [length, setLength] = useState<Length>('week');
  const [back, setBack] = useState(0);
  const last = Math.max(...Object.values(logger.series).map(({ lastAt }) => lastAt ?? 0));
  const to = last + 1 - back * LENGTH_MS[length];
  const stretch = { from: to - LENGTH_MS[length], to };
  const words = WORDS.fromTo(dayWords(stretch.from, facts.home), dayWords(stretch.to, facts.home));
  const first = (
    <>
      <TextLink href="/loggers">{WORDS.loggers}</TextLink>
      <View>
        <Title>{logger.name}</Title>
        <Small>{loggerPlace(facts, logger)}</Small>
      </View>
      <Choices
        label={WORDS.stretch}
        choices={STRETCHES.map((value) => ({ value, word: WORDS[value] }))}
        value={length}
        onValue={(value) => {
          setLength(value as Length);
          setBack(0);
        }}
      />
      <Row>
        <Button onPress={() => setBack(back + 1)}>{WORDS.earlier}</Button>
        <Button disabled={back === 0} onPress={() => setBack(Math.max(0, back - 1))}>
          {WORDS.later}
        </Button>
        <Small>{words}</Small>
      </Row>
      {SHOWN.map((quantity) =>
        logger.series[quantity] ? (
          <OneSeries key={quantity} {...{ facts, logger, quantity, stretch, words }} step={STEP[length]} />
        ) : null,
      )}
    </>
  );
  const second = (
    <>
      <MeasuredMonths facts={facts} logger={logger} loggers={loggers} />
      <LightMonths facts={facts} logger={logger} />
    </>
  );
  return <TwoPanes first={first} second={second} />;
}

interface SeriesGiven extends Given {
  readonly quantity: (typeof SHOWN)[number];
  readonly stretch: Stretch;
  readonly words: string;
  readonly step: 'raw' | 'hour' | 'day';
}

const same = (value: number) => value;
const UNIT: Readonly<Record<(typeof SHOWN)[number], string>> = {
  temperature: '°',
  humidity: '%',
  ppfd: 'µmol/m²s',
  illuminance: 'lx',
};

function OneSeries({ facts, logger, quantity, stretch, words, step }: SeriesGiven) {
  const ink = useInk();
  const units = useUnits();
  const samples = useSamples(facts.home.id, logger.series[quantity], stretch, step);
  const band = useBand(facts, logger, quantity);
  const colour =
    quantity === 'temperature' ? ink.factor.warmth : quantity === 'humidity' ? ink.factor.moisture : ink.factor.light;
  const inUnit = quantity === 'temperature' && units.temperature === 'F' ? celsiusToFahrenheit : same;
  const what = COLUMN_WORDS[quantity];
  const sums = samples.state === 'ready' ? samples.value : [];
  return (
    <View style={{ gap: SPACE.xs }}>
      <Heading>{what}</Heading>
      {samples.state === 'failed' ? <Failed message={samples.message} onRetry={samples.retry} /> : null}
      {samples.state === 'ready' && sums.length === 0 ? <Small>{WORDS.nothingThen}</Small> : null}
      {sums.length > 0 ? (
        <>
          <Drawing
            name={WORDS.pictureOf(logger.name, what.toLowerCase(), words)}
            minHeight={SERIES_HEIGHT}
            legend={<Small>{band ? `${WORDS.legend} ${WORDS.band(band.plants)}` : WORDS.legend}</Small>}
          >
            {(width) => (
              <SeriesDrawing
                {...{ sums, stretch, what, colour, width, inUnit }}
                unit={UNIT[quantity]}
                home={facts.home}
                band={band?.range ?? null}
              />
            )}
          </Drawing>
          <Figures {...{ sums, quantity, units, inUnit, step }} range={band?.range ?? null} what={what} />
        </>
      ) : null}
    </View>
  );
}

/** Band of warmth or humidity that suits all plants where the logger hangs, in the month that is on. */
function useBand(facts: HomeFacts, { roomId, spotId }: Logger, quantity: Quantity) {
  const { answers } = useVerdicts();
  if (!answers || (quantity !== 'temperature' && quantity !== 'humidity')) return null;
  const here = facts.plants.filter(
    (plant) =>
      plant.spotId !== null && (spotId ? plant.spotId === spotId : roomIdOfSpot(facts, plant.spotId) === roomId),
  );
  const targets = here.flatMap((plant): Target[] => {
    const target = answers.plants.find(({ plantId }) => plantId === plant.id)?.targets[answers.month - 1];
    return target ? [target] : [];
  });
  const range = sharedBand(targets, quantity === 'temperature' ? 'warmth' : 'moisture');
  const plants = targets.length === 1 ? WORDS.onePlant : WORDS.allPlants(`${targets.length}`);
  return range && { range, plants };
}

interface FiguresGiven {
  readonly sums: readonly SampleSum[];
  readonly quantity: (typeof SHOWN)[number];
  readonly units: Units;
  readonly inUnit: (value: number) => number;
  readonly step: 'raw' | 'hour' | 'day';
  readonly range: readonly [number, number] | null;
  readonly what: string;
}

const HOURS_OF: Readonly<Record<'hour' | 'day', number>> = { hour: 1, day: 24 };

function Figures({ sums, quantity, units, inUnit, step, range, what }: FiguresGiven) {
  const count = sums.reduce((all, sum) => all + sum.count, 0);
  const mean = sums.reduce((all, sum) => all + sum.mean * sum.count, 0) / count;
  const digits = quantity === 'temperature' ? 1 : 0;
  const unit = quantity === 'temperature' ? `°${units.temperature}` : UNIT[quantity];
  const words = (value: number) => `${inUnit(value).toFixed(digits)} ${unit}`.trim();
  const rows = [
    [WORDS.least, words(Math.min(...sums.map(({ least }) => least)))],
    [WORDS.mean, words(mean)],
    [WORDS.most, words(Math.max(...sums.map(({ most }) => most)))],
  ];
  if (range && step !== 'raw') {
    const out = sums.filter((sum) => sum.mean < range[0] || sum.mean > range[1]).length * HOURS_OF[step];
    rows.push([WORDS.outOfBand, WORDS.hours(`${out}`)]);
  }
  return (
    <Table
      name={what}
      columns={[{ share: 2 }, { share: 1, align: 'right' }]}
      rows={rows.map(([key, value]) => ({ key: key!, cells: [key, value] }))}
    />
  );
}
