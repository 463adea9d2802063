/** A room's typical day: its warmth beside the outdoors, its humidity below, each with how sure it is. */
import { celsiusToFahrenheit, type AirSpread, type RoomAirMonth } from '@dulvan/core';
import { View } from 'react-native';
import Svg, { Line, Path, Text as SvgText } from 'react-native-svg';
import type { Units } from '../../state/settings';
import { FONT } from '../../ui/theme';
import { Small } from '../../ui/type';
import { useInk } from '../../ui/use-ink';
import { kelvins } from '../../parts/words';
import { AIR_DAY_DRAWING as WORDS } from './air-words';

export const DAY_HEIGHT = 250;
const LEFT = 34;
const WARM_HEIGHT = 140;
const MOIST_TOP = 156;
const MOIST_HEIGHT = 72;
const HOURS = [0, 6, 12, 18, 24];
const BAND_OPACITY = 0.16;

/** A day at each full hour. */
export interface AirDay {
  readonly celsius: readonly number[];
  readonly rh: readonly number[];
  /** What it is drawn beside: the outdoors, or the room round an enclosure; none where that is not known. */
  readonly besideC: readonly number[];
  /** How well it is known; null where that is said in words alone. */
  readonly spread: AirSpread | null;
}

interface Given {
  readonly day: AirDay;
  readonly told: string;
  readonly width: number;
  readonly units: Units;
}

const KNOWN_EXACTLY: AirSpread = { celsius: 0, rhBelow: 0, rhAbove: 0 };

/** Round degrees that hold all values: from a fifth one on, so many tens that the middle one is round too. */
function degreesAround(values: readonly number[]): readonly [number, number] {
  const low = Math.floor(Math.min(...values) / 5) * 5;
  return [low, low + Math.max(10, Math.ceil((Math.max(...values) - low) / 10) * 10)];
}

/** A line over the hours; what begins the day ends it. */
const lineOf = (values: readonly number[], x: (hour: number) => number, y: (value: number) => number) =>
  [...values, values[0]!].map((value, hour) => `${hour === 0 ? 'M' : 'L'}${x(hour).toFixed(1)} ${y(value).toFixed(1)}`);

function bandOf(
  values: readonly number[],
  [below, above]: readonly [number, number],
  x: (hour: number) => number,
  y: (value: number) => number,
): string {
  const up = lineOf(
    values.map((value) => value + above),
    x,
    y,
  );
  const down = lineOf(
    values.map((value) => value - below),
    x,
    y,
  );
  const back = down.reverse().map((part) => part.replace('M', 'L'));
  return `${[...up, ...back].join(' ')} Z`;
}

/** Room for the highest mark's own figure. */
const TOP = 12;

export function AirDayDrawing({ day, told, width, units }: Given) {
  const ink = useInk();
  const spread = day.spread ?? KNOWN_EXACTLY;
  const inUnits = (celsius: number) => (units.temperature === 'F' ? celsiusToFahrenheit(celsius) : celsius);
  const warm = day.celsius.map(inUnits);
  const outside = day.besideC.map(inUnits);
  const off = spread.celsius * (units.temperature === 'F' ? 1.8 : 1);
  const [low, high] = degreesAround([...warm.map((one) => one - off), ...warm.map((one) => one + off), ...outside]);
  const x = (hour: number) => LEFT + (hour / 24) * (width - LEFT - 8);
  const warmY = (value: number) => TOP + (1 - (value - low) / (high - low)) * (WARM_HEIGHT - TOP);
  const moistY = (rh: number) => MOIST_TOP + (1 - Math.max(0, Math.min(100, rh)) / 100) * MOIST_HEIGHT;
  const marks = [low, (low + high) / 2, high];
  return (
    <Svg width={width} height={DAY_HEIGHT} role="img" aria-label={told}>
      {marks.map((mark) => (
        <Mark key={mark} at={warmY(mark)} words={`${Math.round(mark)}°`} width={width} />
      ))}
      {[0, 50, 100].map((mark) => (
        <Mark key={`rh${mark}`} at={moistY(mark)} words={`${mark} %`} width={width} />
      ))}
      <Path d={bandOf(warm, [off, off], x, warmY)} fill={ink.factor.warmth} opacity={BAND_OPACITY} />
      <Path
        d={bandOf(day.rh, [spread.rhBelow, spread.rhAbove], x, moistY)}
        fill={ink.factor.moisture}
        opacity={BAND_OPACITY}
      />
      {outside.length > 0 ? (
        <Path
          d={lineOf(outside, x, warmY).join(' ')}
          stroke={ink.soft}
          strokeWidth={1.6}
          strokeDasharray="5 4"
          fill="none"
        />
      ) : null}
      <Path d={lineOf(warm, x, warmY).join(' ')} stroke={ink.factor.warmth} strokeWidth={2.2} fill="none" />
      <Path d={lineOf(day.rh, x, moistY).join(' ')} stroke={ink.factor.moisture} strokeWidth={2.2} fill="none" />
      {HOURS.map((hour) => (
        <SvgText
          key={hour}
          x={x(hour)}
          y={DAY_HEIGHT - 6}
          textAnchor={hour === 24 ? 'end' : 'middle'}
          fontFamily={FONT.lettering}
          fontSize={13}
          fill={ink.soft}
        >
          {`${hour}`}
        </SvgText>
      ))}
    </Svg>
  );
}

function Mark({ at, words, width }: { readonly at: number; readonly words: string; readonly width: number }) {
  const { line, soft } = useInk();
  return (
    <>
      <Line x1={LEFT} x2={width} y1={at} y2={at} stroke={line} />
      <SvgText x={LEFT - 5} y={at + 4} textAnchor="end" fontFamily={FONT.lettering} fontSize={13} fill={soft}>
        {words}
      </SvgText>
    </>
  );
}

interface LegendGiven {
  readonly month: RoomAirMonth;
  readonly units: Units;
}

export function AirDayLegend({ month, units }: LegendGiven) {
  const ink = useInk();
  const { spread, dayRh } = month;
  const kelvin = kelvins(spread.celsius, units);
  const lines = [
    { word: WORDS.room, colour: ink.factor.warmth, dashed: false },
    ...(month.outdoorC.length > 0 ? [{ word: WORDS.outdoors, colour: ink.soft, dashed: true }] : []),
    { word: WORDS.humidity, colour: ink.factor.moisture, dashed: false },
  ];
  return (
    <View style={{ gap: 4 }}>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 12 }}>
        {lines.map(({ word, colour, dashed }) => (
          <View key={word} style={{ flexDirection: 'row', alignItems: 'center', gap: 4 }}>
            <View
              style={{ width: 20, borderTopWidth: 2, borderColor: colour, borderStyle: dashed ? 'dashed' : 'solid' }}
            />
            <Small>{word}</Small>
          </View>
        ))}
      </View>
      <Small>
        {WORDS.howSure(
          kelvin,
          `${Math.round(Math.max(0, dayRh - spread.rhBelow))}`,
          `${Math.round(Math.min(100, dayRh + spread.rhAbove))}`,
        )}
      </Small>
    </View>
  );
}
