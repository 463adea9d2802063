/** The reserve of a plant month by month from now: full at first, a line at nothing, the seasons under it. */
import { lightOutlook, type Condition, type Target } from '@dulvan/core';
import { useMemo } from 'react';
import { View } from 'react-native';
import Svg, { Line, Polyline, Rect, Text as SvgText } from 'react-native-svg';
import { MONTH_NAMES } from '../ui/months';
import { FONT, SPACE } from '../ui/theme';
import { Small } from '../ui/type';
import { useInk } from '../ui/use-ink';
import { RESERVE_CURVE as WORDS } from './part-words';

const WIDTH = 300;
const HEIGHT = 48;
const LETTERS = 16;
const SHOWN_MONTHS = 24;
/** A dip to no less than this share is not worth a drawing. */
const WORTH_DRAWING = 0.9;

interface Given {
  readonly targets: readonly Target[];
  readonly conditions: readonly Condition[];
  /** 1..12, the month that is on. */
  readonly month: number;
  /** Share of it that is left now. */
  readonly left: number;
}

/** Nothing where the reserve stays full: there is nothing to see. */
export function ReserveCurve({ targets, conditions, month, left }: Given) {
  const ink = useInk();
  const { reserve } = useMemo(() => lightOutlook(targets, conditions, month, left), [targets, conditions, month, left]);
  const shown = [left, ...reserve.slice(0, SHOWN_MONTHS)];
  if (Math.min(...shown) > WORTH_DRAWING) return null;
  const x = (i: number) => 1 + (i / SHOWN_MONTHS) * (WIDTH - 2);
  const points = shown.map((share, i) => `${x(i)},${2 + (1 - share) * (HEIGHT - 4)}`);
  const least = Math.min(...shown);
  return (
    <View style={{ gap: SPACE.xs }}>
      <Svg
        width={WIDTH}
        height={HEIGHT + LETTERS}
        role="img"
        aria-label={WORDS.told(
          shown.length - 1,
          Math.round(left * 100),
          least <= 0 ? WORDS.usedUpAtEnd : WORDS.atItsLeast(Math.round(least * 100)),
        )}
      >
        <Rect x={0.5} y={0.5} width={WIDTH - 1} height={HEIGHT - 1} fill={ink.sheet} stroke={ink.line} />
        <Line x1={0} x2={WIDTH} y1={HEIGHT - 2} y2={HEIGHT - 2} stroke={ink.danger} strokeWidth={1.5} />
        <Polyline points={points.join(' ')} fill="none" stroke={ink.factor.light} strokeWidth={2} />
        {Array.from({ length: SHOWN_MONTHS }, (_, i) => (
          <SvgText
            key={i}
            x={x(i + 0.5)}
            y={HEIGHT + LETTERS - 4}
            textAnchor="middle"
            fontFamily={FONT.lettering}
            fontSize={11}
            fill={ink.soft}
          >
            {MONTH_NAMES[(month - 1 + i) % 12]!.charAt(0)}
          </SvgText>
        ))}
      </Svg>
      <Small>{WORDS.howToRead}</Small>
    </View>
  );
}
