/** Twelve months of fit for each factor: a row a factor, a cell a month, read like the mark. */
import { FACTORS, type Factor, type MonthFit } from '@dulvan/core';
import { View } from 'react-native';
import Svg, { Circle, Line, Rect, Text as SvgText } from 'react-native-svg';
import { FactorSign } from '../../parts/factor-sign';
import { FONT, SPACE } from '../../ui/theme';
import { Small } from '../../ui/type';
import { useInk } from '../../ui/use-ink';
import { FACTOR_WORD, monthsInWords, troubleName } from '../../parts/words';
import { MONTH_NAMES } from '../../ui/months';
import { FIT_YEAR as WORDS } from './plants-words';

const CELL = 20;
const ROW = 26;
const WIDTH = CELL * 12;

interface Given {
  readonly months: readonly MonthFit[];
  readonly month: number;
  /** A month that was tapped on the drawing; the strip of months above it serves the keyboard. */
  readonly onMonth?: (month: number) => void;
}

export function FitYear({ months, month, onMonth }: Given) {
  const ink = useInk();
  return (
    <View style={{ gap: 2 }}>
      <View
        aria-hidden
        style={{ flexDirection: 'row', alignItems: 'center', justifyContent: 'flex-end', maxWidth: 400 }}
      >
        <Svg width={WIDTH} height={18} viewBox={`0 0 ${WIDTH} 18`}>
          {MONTH_NAMES.map((name, i) => (
            <SvgText
              key={name}
              x={i * CELL + CELL / 2}
              y={14}
              textAnchor="middle"
              fontFamily={FONT.lettering}
              fontSize={14}
              fill={i + 1 === month ? ink.danger : ink.soft}
            >
              {name.charAt(0)}
            </SvgText>
          ))}
        </Svg>
      </View>
      <View role="table" aria-label={WORDS.fitByMonth} style={{ gap: 2 }}>
        {FACTORS.map((factor) => (
          <View
            role="row"
            key={factor}
            style={{ flexDirection: 'row', alignItems: 'center', justifyContent: 'space-between', maxWidth: 400 }}
          >
            <View role="rowheader" style={{ flexDirection: 'row', alignItems: 'center', gap: 6, flex: 1 }}>
              <FactorSign factor={factor} size={16} />
              <Small>{FACTOR_WORD[factor]}</Small>
            </View>
            <View role="cell" aria-label={spoken(factor, months)}>
              <FactorRow factor={factor} months={months} month={month} onMonth={onMonth} />
            </View>
          </View>
        ))}
      </View>
      <View style={{ flexDirection: 'row', gap: SPACE.m, flexWrap: 'wrap', paddingTop: 4 }}>
        <Small>{WORDS.right}</Small>
        <Small>{WORDS.belowLineTooLittle}</Small>
        <Small>{WORDS.aboveTooMuch}</Small>
        <Small>{WORDS.tallInDanger}</Small>
      </View>
    </View>
  );
}

interface RowGiven extends Pick<Given, 'months' | 'month'> {
  readonly factor: Factor;
  readonly onMonth: Given['onMonth'] | undefined;
}

function FactorRow({ factor, months, month, onMonth }: RowGiven) {
  const ink = useInk();
  const colour = ink.factor[factor];
  const middle = ROW / 2;
  return (
    <Svg width={WIDTH} height={ROW} viewBox={`0 0 ${WIDTH} ${ROW}`} aria-hidden>
      <Rect x={(month - 1) * CELL} y={0} width={CELL} height={ROW} fill={ink.line} opacity={0.5} />
      <Line x1={0} x2={WIDTH} y1={middle} y2={middle} stroke={ink.line} strokeWidth={1} />
      {months.map((fit, i) => {
        const reading = fit.factors.find((candidate) => candidate.factor === factor)!;
        const x = i * CELL + CELL / 2;
        if (reading.severity === 'fine') return <Circle key={fit.month} cx={x} cy={middle} r={2.6} fill={colour} />;
        const reach = reading.severity === 'danger' ? 12 : 6;
        return (
          <Rect
            key={fit.month}
            x={x - 6}
            y={reading.direction === 'too-much' ? middle - reach : middle}
            width={12}
            height={reach}
            fill={colour}
          />
        );
      })}
      {onMonth
        ? months.map((fit, i) => (
            <Rect
              key={`tap${fit.month}`}
              x={i * CELL}
              y={0}
              width={CELL}
              height={ROW}
              fill="transparent"
              onPress={() => onMonth(fit.month)}
            />
          ))
        : null}
    </Svg>
  );
}

/** The row as a screen reader says it. */
function spoken(factor: Factor, months: readonly MonthFit[]): string {
  const wrong = months.flatMap((fit) => {
    const reading = fit.factors.find((candidate) => candidate.factor === factor)!;
    return reading.severity === 'fine' ? [] : [{ month: fit.month, word: troubleName(reading) }];
  });
  if (wrong.length === 0) return WORDS.rightAllYear;
  return wrong.map(({ month, word }) => `${monthsInWords([month])}: ${word}`).join(', ');
}
