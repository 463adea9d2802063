/** A room's air through the year: months across, hours down, in steps that its legend names. */
import type { RoomAirMonth } from '@dulvan/core';
import { View } from 'react-native';
import Svg, { Line, Rect, Text as SvgText } from 'react-native-svg';
import { degrees } from '../../parts/words';
import type { Units } from '../../state/settings';
import { MONTH_NAMES } from '../../ui/months';
import { FONT } from '../../ui/theme';
import { Small } from '../../ui/type';
import { useInk } from '../../ui/use-ink';
import { AIR_YEAR_DRAWING as WORDS } from './air-words';
import { AIR_STEPS, hoursOf, stepOf, type AirFigure } from './figures';

export const YEAR_HEIGHT = 230;
const LEFT = 30;
const BELOW = 20;
const MOST_OPACITY = 0.85;

interface Given {
  readonly months: readonly RoomAirMonth[];
  readonly figure: AirFigure;
  readonly month: number;
  readonly width: number;
  readonly told: string;
}

const opacityOf = (step: number, steps: readonly number[]) => (step / steps.length) * MOST_OPACITY;

export function AirYearDrawing({ months, figure, month, width, told }: Given) {
  const ink = useInk();
  const colour = ink.factor[figure === 'warmth' ? 'warmth' : 'moisture'];
  const steps = AIR_STEPS[figure];
  // Whole pixels: cells that overlap or gape would draw lines that mean nothing.
  const x = (at: number) => Math.round(LEFT + (at / 12) * (width - LEFT));
  const y = (hour: number) => Math.round((hour / 24) * (YEAR_HEIGHT - BELOW));
  return (
    <Svg width={width} height={YEAR_HEIGHT} role="img" aria-label={WORDS.told(told)}>
      <Rect x={LEFT} y={0} width={width - LEFT} height={YEAR_HEIGHT - BELOW} fill={ink.sheet} />
      {months.flatMap((one, month0) =>
        hoursOf(one, figure).map((value, hour) => (
          <Rect
            key={`${month0}/${hour}`}
            x={x(month0)}
            y={y(hour)}
            width={x(month0 + 1) - x(month0)}
            height={y(hour + 1) - y(hour)}
            fill={colour}
            opacity={opacityOf(stepOf(value, steps), steps)}
          />
        )),
      )}
      <Rect
        {...{ x: x(month - 1), y: 1, width: x(month) - x(month - 1), height: YEAR_HEIGHT - BELOW - 2 }}
        fill="none"
        stroke={ink.ink}
        strokeWidth={2}
      />
      {[0, 6, 12, 18, 24].map((hour) => (
        <SvgText
          key={hour}
          x={LEFT - 5}
          y={Math.max(10, y(hour) + 4)}
          textAnchor="end"
          fontFamily={FONT.lettering}
          fontSize={13}
          fill={ink.soft}
        >
          {`${hour}`}
        </SvgText>
      ))}
      {MONTH_NAMES.map((name, i) => (
        <SvgText
          key={name}
          x={x(i + 0.5)}
          y={YEAR_HEIGHT - 5}
          textAnchor="middle"
          fontFamily={FONT.lettering}
          fontSize={14}
          fill={ink.soft}
        >
          {name.charAt(0)}
        </SvgText>
      ))}
      <Line x1={LEFT} x2={width} y1={YEAR_HEIGHT - BELOW} y2={YEAR_HEIGHT - BELOW} stroke={ink.strongLine} />
    </Svg>
  );
}

/** Names the steps. */
export function AirYearLegend({ figure, units }: { readonly figure: AirFigure; readonly units: Units }) {
  const ink = useInk();
  const colour = ink.factor[figure === 'warmth' ? 'warmth' : 'moisture'];
  const steps = AIR_STEPS[figure];
  const words = (value: number) =>
    figure === 'warmth' ? degrees(value, units) : figure === 'moisture' ? `${value} %` : `${value} kPa`;
  return (
    <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 10 }}>
      {steps.map((from, i) => (
        <View key={from} style={{ flexDirection: 'row', alignItems: 'center', gap: 4 }}>
          <View style={{ width: 16, height: 12, borderWidth: 1, borderColor: ink.strongLine }}>
            <View style={{ flex: 1, backgroundColor: colour, opacity: opacityOf(i + 1, steps) }} />
          </View>
          <Small>{WORDS.from(words(from))}</Small>
        </View>
      ))}
    </View>
  );
}
