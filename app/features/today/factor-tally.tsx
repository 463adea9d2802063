/** How many plants have too little, right and too much of each factor this month: what the home as a whole lacks. */
import { FACTORS, type Direction, type Factor, type FactorFit, type MonthFit } from '@dulvan/core';
import { View } from 'react-native';
import { FactorSign } from '../../parts/factor-sign';
import { FACTOR_WORD } from '../../parts/words';
import { Table } from '../../ui/table';
import { SPACE } from '../../ui/theme';
import { Small } from '../../ui/type';
import { FACTOR_TALLY as WORDS } from './today-words';

const DIRECTIONS: readonly { readonly direction: Direction; readonly word: string }[] = [
  { direction: 'too-little', word: 'too little' },
  { direction: 'right', word: 'right' },
  { direction: 'too-much', word: 'too much' },
];

/** What costs next to nothing is told as right, as in the mark. */
const shownAs = ({ direction, severity }: FactorFit): Direction => (severity === 'fine' ? 'right' : direction);

const countOf = (fits: readonly MonthFit[], factor: Factor, direction: Direction) =>
  fits.filter(({ factors }) => factors.some((fit) => fit.factor === factor && shownAs(fit) === direction)).length;

export function FactorTally({ fits }: { readonly fits: readonly MonthFit[] }) {
  if (fits.length === 0) return null;
  return (
    <Table
      name={WORDS.plantsByFactor}
      lines="between"
      columns={[
        { name: WORDS.plantsWith, share: 2 },
        ...DIRECTIONS.map(({ word }) => ({ name: word, align: 'right' as const })),
      ]}
      rows={FACTORS.map((factor) => ({
        key: factor,
        cells: [
          <View key={factor} style={{ flexDirection: 'row', gap: SPACE.s, alignItems: 'center' }}>
            <FactorSign factor={factor} />
            <Small>{FACTOR_WORD[factor]}</Small>
          </View>,
          ...DIRECTIONS.map(({ direction }) => countOf(fits, factor, direction)),
        ],
      }))}
    />
  );
}
