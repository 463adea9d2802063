/**
 * Samples over a stretch of time: their mean as a line, least and most as a pale band, what suits the plants behind.
 */
import type { SampleSum } from '@dulvan/contract';
import type { Home } from '@dulvan/core';
import { TZDate } from '@date-fns/tz';
import { format } from 'date-fns';
import { useMemo } from 'react';
import Svg, { Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import { FONT } from '../../ui/theme';
import { useInk } from '../../ui/use-ink';
import type { Stretch } from '../../state/loggers';
import { LOGGER_SCREEN as WORDS } from './loggers-words';

export const SERIES_HEIGHT = 170;
const LEFT = 40;
const BELOW = 22;
const BAND_OPACITY = 0.25;
/** A pause of so many usual steps breaks the line. */
const BREAK_STEPS = 3;
const MARKS = 5;

interface Given {
  readonly sums: readonly SampleSum[];
  readonly stretch: Stretch;
  readonly what: string;
  readonly colour: string;
  readonly unit: string;
  readonly width: number;
  readonly home: Home;
  /** What suits all plants there. */
  readonly band: readonly [from: number, to: number] | null;
  /** From a stored value to the unit that is shown. */
  readonly inUnit: (value: number) => number;
}

/** What falls on one pixel goes together: a million samples draw no more than the screen has. */
function byPixel(sums: readonly SampleSum[], x: (at: number) => number): SampleSum[] {
  const columns = new Map<number, { at: number; count: number; sum: number; least: number; most: number }>();
  for (const { at, count, mean, least, most } of sums) {
    const pixel = Math.round(x(at));
    const held = columns.get(pixel);
    if (!held) columns.set(pixel, { at, count, sum: mean * count, least, most });
    else {
      held.count += count;
      held.sum += mean * count;
      held.least = Math.min(held.least, least);
      held.most = Math.max(held.most, most);
    }
  }
  return [...columns.values()].map(({ at, count, sum, least, most }) => ({
    at,
    count,
    mean: sum / count,
    least,
    most,
  }));
}

/** Runs without a pause. */
function runsOf(sums: readonly SampleSum[]): SampleSum[][] {
  const steps = sums.slice(1).map(({ at }, i) => at - sums[i]!.at);
  const usual = [...steps].sort((p, q) => p - q)[Math.floor(steps.length / 2)] ?? 0;
  const runs: SampleSum[][] = [];
  sums.forEach((sum, i) => {
    if (i === 0 || sum.at - sums[i - 1]!.at > BREAK_STEPS * usual) runs.push([]);
    runs[runs.length - 1]!.push(sum);
  });
  return runs;
}

function rangeOf(sums: readonly SampleSum[], band: Given['band']): readonly [number, number] {
  const low = Math.min(...sums.map(({ least }) => least), ...(band ? [band[0]] : []));
  const high = Math.max(...sums.map(({ most }) => most), ...(band ? [band[1]] : []));
  const step = high - low > 40 ? 20 : 5;
  const from = Math.floor(low / step) * step;
  return [from, Math.max(from + step, Math.ceil(high / step) * step)];
}

export function SeriesDrawing({ sums, stretch, what, colour, unit, width, home, band, inUnit }: Given) {
  const ink = useInk();
  const shown = useMemo(
    () => sums.map((sum) => ({ ...sum, mean: inUnit(sum.mean), least: inUnit(sum.least), most: inUnit(sum.most) })),
    [sums, inUnit],
  );
  const bandShown = band && ([inUnit(band[0]), inUnit(band[1])] as const);
  if (shown.length === 0) return null;
  const [low, high] = rangeOf(shown, bandShown);
  const x = (at: number) => LEFT + ((at - stretch.from) / (stretch.to - stretch.from)) * (width - LEFT - 4);
  const y = (value: number) => 6 + (1 - (value - low) / (high - low)) * (SERIES_HEIGHT - BELOW - 6);
  const runs = runsOf(byPixel(shown, x));
  const at = (sum: SampleSum, value: number, i: number) =>
    `${i === 0 ? 'M' : 'L'}${x(sum.at).toFixed(1)} ${y(value).toFixed(1)}`;
  return (
    <Svg width={width} height={SERIES_HEIGHT} role="img" aria-label={WORDS.told(what)}>
      {bandShown ? (
        <Rect
          x={LEFT}
          width={width - LEFT}
          y={y(bandShown[1])}
          height={Math.max(0, y(bandShown[0]) - y(bandShown[1]))}
          fill={ink.line}
        />
      ) : null}
      {[low, (low + high) / 2, high].map((mark) => (
        <Line key={mark} x1={LEFT} x2={width} y1={y(mark)} y2={y(mark)} stroke={ink.line} />
      ))}
      {[low, high].map((mark) => (
        <SvgText key={mark} x={LEFT - 5} y={y(mark) + (mark === low ? 0 : 10)} {...letters(ink.soft, 'end')}>
          {`${Math.round(mark)} ${unit}`}
        </SvgText>
      ))}
      {runs.map((run) => {
        const up = run.map((sum, i) => at(sum, sum.most, i));
        const down = [...run].reverse().map((sum) => at(sum, sum.least, 1));
        return <Path key={run[0]!.at} d={`${[...up, ...down].join(' ')} Z`} fill={colour} opacity={BAND_OPACITY} />;
      })}
      {runs.map((run) => (
        <Path
          key={run[0]!.at}
          d={run.map((sum, i) => at(sum, sum.mean, i)).join(' ')}
          stroke={colour}
          strokeWidth={1.8}
          fill="none"
        />
      ))}
      <TimeMarks stretch={stretch} width={width} home={home} x={x} />
    </Svg>
  );
}

const letters = (fill: string, textAnchor: 'start' | 'middle' | 'end') => ({
  textAnchor,
  fontFamily: FONT.lettering,
  fontSize: 13,
  fill,
});

const DAY_MS = 86_400_000;

function TimeMarks({ stretch, home, x }: Pick<Given, 'stretch' | 'width' | 'home'> & { x: (at: number) => number }) {
  const { soft } = useInk();
  const span = stretch.to - stretch.from;
  const words = span <= 2 * DAY_MS ? 'H:mm' : span <= 40 * DAY_MS ? 'EEE d' : 'MMM';
  return Array.from({ length: MARKS }, (_, i) => {
    const at = stretch.from + ((i + 0.5) / MARKS) * span;
    return (
      <SvgText key={i} x={x(at)} y={SERIES_HEIGHT - 5} {...letters(soft, 'middle')}>
        {format(new TZDate(at, home.timeZone), words)}
      </SvgText>
    );
  });
}
