/** What a plant wants through the year, drawn as bands on the strip of twelve months, with a table behind. */
import type { Factor, Target } from '@dulvan/core';
import { useState } from 'react';
import { View } from 'react-native';
import Svg, { Circle, G, Line, Path, Rect } from 'react-native-svg';
import { useUnits, type Units } from '../state/settings';
import { FactorSign } from './factor-sign';
import { MonthSlider } from '../ui/month-slider';
import { PHASE_WORD, spanWords, stretchesOf } from './season-words';
import { SPACE } from '../ui/theme';
import { Body, Small } from '../ui/type';
import { useInk } from '../ui/use-ink';
import { degrees, mol } from './words';
import { monthName } from '../ui/months';
import { YEAR_BANDS as WORDS } from './part-words';

interface Band {
  /** Tolerates from, thrives from, thrives to, tolerates to. */
  readonly edges: readonly [number, number, number, number];
}

interface Row {
  readonly factor: Factor;
  readonly word: string;
  readonly scale: (value: number) => number;
  readonly bandOf: (target: Target) => Band;
  readonly words: (target: Target, units: Units) => string;
}

const linear = (from: number, to: number) => (value: number) => Math.max(0, Math.min(1, (value - from) / (to - from)));
/** Hours of a day, to the half. */
const tidyHours = (hours: number) => Math.round(2 * hours) / 2;
/** Light spans from moss to desert: its root brings both onto one drawing. */
const rooted = (to: number) => (value: number) => Math.sqrt(Math.max(0, Math.min(1, value / to)));

function rowsOf(targets: readonly Target[]): readonly Row[] {
  const brightest = Math.max(...targets.map((target) => target.light.scorches));
  return [
    {
      factor: 'light',
      word: WORDS.light,
      scale: rooted(Math.max(20, brightest)),
      bandOf: ({ light }) => ({ edges: [light.survives, light.thrivesFrom, light.thrivesTo, light.scorches] }),
      words: ({ light }) =>
        WORDS.lightRange(mol(light.thrivesFrom), mol(light.thrivesTo), mol(light.survives), mol(light.scorches)),
    },
    {
      factor: 'day-length',
      word: WORDS.dayLength,
      scale: linear(6, 24),
      bandOf: ({ day }) => ({ edges: [day.minH, day.minH, day.maxH, day.maxH] }),
      words: ({ day }) =>
        day.maxH >= 20 ? WORDS.atLeastHours(day.minH) : WORDS.hoursFromTo(day.minH, tidyHours(day.maxH)),
    },
    ...warmthRows(targets),
    {
      factor: 'moisture',
      word: WORDS.moisture,
      scale: linear(0, 100),
      bandOf: ({ moisture }) => ({
        edges: [moisture.survives, moisture.thrivesFrom, moisture.thrivesTo, moisture.tooMoistStill],
      }),
      words: ({ moisture }) =>
        WORDS.moistureRange(
          Math.round(moisture.thrivesFrom),
          Math.round(moisture.thrivesTo),
          Math.round(moisture.survives),
        ),
    },
  ];
}

function warmthRows(targets: readonly Target[]): readonly Row[] {
  const coldest = Math.min(...targets.map((target) => target.warmth.lowest));
  const hottest = Math.max(...targets.map((target) => target.warmth.highest));
  return [
    {
      factor: 'warmth',
      word: WORDS.days,
      scale: linear(coldest - 1, hottest + 1),
      bandOf: ({ warmth }) => ({ edges: [warmth.lowest, warmth.dayFrom, warmth.dayTo, warmth.highest] }),
      words: ({ warmth }, units) =>
        WORDS.daysRange(
          degrees(Math.round(warmth.dayFrom), units),
          degrees(Math.round(warmth.dayTo), units),
          degrees(warmth.highest, units),
        ),
    },
    {
      factor: 'warmth',
      word: WORDS.nights,
      scale: linear(coldest - 1, hottest + 1),
      bandOf: ({ warmth }) => ({ edges: [warmth.lowest, warmth.nightFrom, warmth.nightTo, warmth.highest] }),
      words: ({ warmth }, units) =>
        WORDS.nightsRange(
          degrees(Math.round(warmth.nightFrom), units),
          degrees(Math.round(warmth.nightTo), units),
          degrees(Math.round(warmth.lowest), units),
        ),
    },
  ];
}

const ROW_HEIGHT = 46;
const SEASON_HEIGHT = 22;

interface Given {
  /** Twelve, January first. */
  readonly targets: readonly Target[];
  readonly month: number;
  readonly onMonth: (month: number) => void;
  /** Months in which it blooms; none where that is not told. */
  readonly bloom?: readonly number[];
}

export function YearBands({ targets, month, onMonth, bloom = [] }: Given) {
  const [width, setWidth] = useState(0);
  const units = useUnits();
  const now = targets[month - 1]!;
  const rows = rowsOf(targets);
  return (
    <View style={{ gap: SPACE.xs }}>
      <MonthSlider month={month} onMonth={onMonth} />
      <View onLayout={(event) => setWidth(event.nativeEvent.layout.width)} style={{ gap: SPACE.xs }}>
        <Small>{`${monthName(month)}: ${PHASE_WORD[now.phase]}${bloom.includes(month) ? ', blooms' : ''}`}</Small>
        {width > 0 ? <SeasonStrip targets={targets} width={width} bloom={bloom} /> : null}
        {rows.map((row) => (
          <View key={row.word}>
            <View style={{ flexDirection: 'row', gap: SPACE.s, alignItems: 'center' }}>
              <FactorSign factor={row.factor} size={14} />
              <Small style={{ flex: 1 }}>{`${row.word}: ${row.words(now, units)}`}</Small>
            </View>
            {width > 0 ? <BandRow row={row} targets={targets} width={width} month={month} /> : null}
          </View>
        ))}
      </View>
      <Small>
        {WORDS.howToRead}
        {bloom.length > 0 ? WORDS.petals : ''}
      </Small>
      <View role="list" aria-label={WORDS.stretchByStretch} style={{ gap: 2, paddingTop: SPACE.xs }}>
        {stretchesOf(targets).map(({ months, phase, rule }) => (
          <View key={months[0]} role="listitem">
            <Body>{`${spanWords(months)}: ${PHASE_WORD[phase]}`}</Body>
            <Small>{`→ ${rule}`}</Small>
          </View>
        ))}
      </View>
    </View>
  );
}

interface StripGiven {
  readonly targets: readonly Target[];
  readonly width: number;
  readonly bloom: readonly number[];
}

/** Petals of the mark for bloom, and how far they stand from its middle. */
const PETALS = [0, 1, 2, 3, 4].map((petal) => (petal / 5) * 2 * Math.PI);
const PETAL_AWAY = 4;

/**
 * Height tells the phase: full at rest, falling into it, rising out of it; a dot where buds are set; growth is clear.
 */
function SeasonStrip({ targets, width, bloom }: StripGiven) {
  const ink = useInk();
  const cell = width / 12;
  return (
    <Svg width={width} height={SEASON_HEIGHT} aria-hidden>
      <Rect x={0.5} y={0.5} width={width - 1} height={SEASON_HEIGHT - 1} fill={ink.sheet} stroke={ink.line} />
      {targets.map(({ month, phase }) => {
        const x = (month - 1) * cell;
        const top = 2;
        const base = SEASON_HEIGHT - 2;
        if (phase === 'resting')
          return <Rect key={month} x={x} y={top} width={cell} height={base - top} fill={ink.soft} />;
        if (phase === 'tapering')
          return <Path key={month} d={`M${x} ${base} L${x + cell} ${top} V${base} Z`} fill={ink.soft} />;
        if (phase === 'waking')
          return <Path key={month} d={`M${x} ${top} L${x + cell} ${base} H${x} Z`} fill={ink.soft} />;
        if (phase === 'inducing')
          return <Circle key={month} cx={x + cell / 2} cy={SEASON_HEIGHT / 2} r={4} fill={ink.factor['day-length']} />;
        return null;
      })}
      {bloom.map((month) => (
        <G key={month} x={(month - 0.5) * cell} y={SEASON_HEIGHT / 2}>
          {PETALS.map((turn) => (
            <Circle
              key={turn}
              cx={PETAL_AWAY * Math.sin(turn)}
              cy={-PETAL_AWAY * Math.cos(turn)}
              r={2.4}
              fill={ink.sheet}
              stroke={ink.ink}
            />
          ))}
        </G>
      ))}
    </Svg>
  );
}

function BandRow({
  row,
  targets,
  width,
  month,
}: {
  readonly row: Row;
  readonly targets: readonly Target[];
  readonly width: number;
  readonly month: number;
}) {
  const ink = useInk();
  const colour = ink.factor[row.factor];
  const cell = width / 12;
  const y = (value: number) => ROW_HEIGHT - 3 - row.scale(value) * (ROW_HEIGHT - 6);
  return (
    <Svg width={width} height={ROW_HEIGHT} aria-hidden>
      <Rect x={0.5} y={0.5} width={width - 1} height={ROW_HEIGHT - 1} fill={ink.sheet} stroke={ink.line} />
      <Rect x={(month - 1) * cell} y={1} width={cell} height={ROW_HEIGHT - 2} fill={ink.line} opacity={0.5} />
      {targets.map((target) => {
        const x = (target.month - 1) * cell;
        const [least, from, to, most] = row.bandOf(target).edges;
        return (
          <G key={target.month}>
            <Line x1={x + cell / 2} x2={x + cell / 2} y1={y(least)} y2={y(most)} stroke={colour} strokeWidth={1.5} />
            <Rect x={x + 1.5} y={y(to)} width={cell - 3} height={Math.max(2, y(from) - y(to))} fill={colour} />
          </G>
        );
      })}
    </Svg>
  );
}
