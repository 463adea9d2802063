/** How many plants have too little, right and too much of each factor this month: what the home as a whole lacks. */
import { FACTORS, type Direction, type FactorFit, type MonthFit } from '@dulvan/core';
import { View } from 'react-native';
import { FactorSign } from '../../parts/factor-sign';
import { SPACE } from '../../ui/theme';
import { Small } from '../../ui/type';
import { useInk } from '../../ui/use-ink';
import { FACTOR_WORD } from '../../parts/words';

const DIRECTIONS: readonly { readonly direction: Direction; readonly word: string }[] = [
  { direction: 'too-little', word: 'too little' },
  { direction: 'right', word: 'right' },
  { direction: 'too-much', word: 'too much' },
];

/** What costs next to nothing is told as right, as in the mark. */
const shownAs = ({ direction, severity }: FactorFit): Direction => (severity === 'fine' ? 'right' : direction);

export function FactorTally({ fits }: { readonly fits: readonly MonthFit[] }) {
  const { line } = useInk();
  if (fits.length === 0) return null;
  return (
    <View role="table" aria-label="Plants by factor, this month">
      <View role="row" style={{ flexDirection: 'row', gap: SPACE.s }}>
        <View role="columnheader" style={{ flex: 2 }}>
          <Small>Plants with</Small>
        </View>
        {DIRECTIONS.map(({ direction, word }) => (
          <View key={direction} role="columnheader" style={{ flex: 1 }}>
            <Small style={{ textAlign: 'right' }}>{word}</Small>
          </View>
        ))}
      </View>
      {FACTORS.map((factor) => (
        <View
          key={factor}
          role="row"
          style={{
            flexDirection: 'row',
            gap: SPACE.s,
            alignItems: 'center',
            borderTopWidth: 1,
            borderColor: line,
            paddingVertical: SPACE.xs,
          }}
        >
          <View role="rowheader" style={{ flex: 2, flexDirection: 'row', gap: SPACE.s, alignItems: 'center' }}>
            <FactorSign factor={factor} />
            <Small>{FACTOR_WORD[factor]}</Small>
          </View>
          {DIRECTIONS.map(({ direction }) => {
            const plants = fits.filter((fit) =>
              fit.factors.some((reading) => reading.factor === factor && shownAs(reading) === direction),
            ).length;
            return (
              <View key={direction} role="cell" style={{ flex: 1 }}>
                <Small style={{ textAlign: 'right', fontVariant: ['tabular-nums'] }}>{plants}</Small>
              </View>
            );
          })}
        </View>
      ))}
    </View>
  );
}
