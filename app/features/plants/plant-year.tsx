/**
 * A plant's year on one line, for the wide list: in each month the sign of the factor that limits it, high for too
 * much, low for too little.
 */
import { limitingFit, type MonthFit } from '@dulvan/core';
import { router } from 'expo-router';
import { Pressable, View, type GestureResponderEvent } from 'react-native';
import Svg, { Circle, G, Line, Rect, Text as SvgText } from 'react-native-svg';
import { FactorShape } from '../../parts/factor-sign';
import { KeyButton } from '../../parts/key';
import { monthsWords } from '../../parts/season-words';
import { useMonth } from '../../parts/use-month';
import { FACTOR_WORD } from '../../parts/words';
import { MONTH_NAMES } from '../../ui/months';
import { FONT, SPACE } from '../../ui/theme';
import { Small } from '../../ui/type';
import { useInk } from '../../ui/use-ink';
import { PLANT_YEAR as WORDS } from './plants-words';

const CELL = 38;
const HEIGHT = 52;
const WIDTH = 12 * CELL;
const SIGN = 16;
/** How far a sign stands off the line. */
const OFF = 11;

export function YearsHead({ month }: { readonly month: number }) {
  const ink = useInk();
  return (
    <View style={{ flexDirection: 'row', alignItems: 'flex-end', justifyContent: 'space-between', gap: SPACE.m }}>
      <View style={{ flex: 1 }}>
        <Small>{WORDS.howToRead}</Small>
        <KeyButton />
      </View>
      <Svg width={WIDTH} height={20} aria-hidden>
        {MONTH_NAMES.map((name, i) => (
          <SvgText
            key={name}
            x={i * CELL + CELL / 2}
            y={15}
            textAnchor="middle"
            fontFamily={i + 1 === month ? FONT.heading : FONT.lettering}
            fontSize={14}
            fill={i + 1 === month ? ink.danger : ink.soft}
          >
            {name.slice(0, 3)}
          </SvgText>
        ))}
      </Svg>
    </View>
  );
}

interface Given {
  readonly plantId: string;
  readonly name: string;
  /** Null while it is not worked out, or where it stands nowhere. */
  readonly months: readonly MonthFit[] | null;
}

export function PlantYear({ plantId, name, months }: Given) {
  const ink = useInk();
  const [month, setMonth] = useMonth();
  // Only the mouse needs the cells: the row's own link and the month strip of the plant serve the keyboard.
  const press = (event: GestureResponderEvent) => {
    setMonth(Math.max(1, Math.min(12, Math.floor(event.nativeEvent.locationX / CELL) + 1)));
    router.push({ pathname: '/plants/[plantId]', params: { plantId } });
  };
  return (
    <Pressable
      role="img"
      aria-label={WORDS.itsYear(name, spoken(months))}
      tabIndex={-1}
      onPress={press}
      style={{ borderBottomWidth: 1, borderColor: ink.line, justifyContent: 'center' }}
    >
      <Svg width={WIDTH} height={HEIGHT} aria-hidden style={{ pointerEvents: 'none' }}>
        <Rect x={(month - 1) * CELL} y={0} width={CELL} height={HEIGHT} fill={ink.line} opacity={0.5} />
        <Line x1={0} x2={WIDTH} y1={HEIGHT / 2} y2={HEIGHT / 2} stroke={ink.line} />
        {months?.map((fit, i) => (
          <MonthSign key={fit.month} fit={fit} x={i * CELL + CELL / 2} />
        ))}
      </Svg>
    </Pressable>
  );
}

function MonthSign({ fit, x }: { readonly fit: MonthFit; readonly x: number }) {
  const { soft } = useInk();
  const worst = limitingFit(fit);
  if (!worst) return <Circle cx={x} cy={HEIGHT / 2} r={2} fill={soft} />;
  const size = worst.severity === 'danger' ? SIGN + 4 : SIGN - 4;
  const y = HEIGHT / 2 + (worst.direction === 'too-much' ? -OFF : OFF);
  return (
    <G transform={`translate(${x - size / 2} ${y - size / 2}) scale(${size / 18})`}>
      <FactorShape factor={worst.factor} />
    </G>
  );
}

/** "light too little: November to January; warmth too much: June". */
function spoken(months: readonly MonthFit[] | null): string {
  if (!months) return WORDS.notWorkedOut;
  const told = new Map<string, number[]>();
  for (const fit of months) {
    const worst = limitingFit(fit);
    if (!worst) continue;
    const words = WORDS.too(
      FACTOR_WORD[worst.factor].toLowerCase(),
      worst.direction === 'too-much' ? 'much' : 'little',
    );
    told.set(words, [...(told.get(words) ?? []), fit.month]);
  }
  return [...told].map(([words, list]) => `${words}: ${monthsWords(list)}`).join('; ') || WORDS.rightAllYear;
}
