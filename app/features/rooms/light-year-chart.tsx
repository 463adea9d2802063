/** Twelve months of DLI, stacked by where the light comes from; the table behind it holds the figures. */
import type { Condition } from '@dulvan/core';
import { useState } from 'react';
import { View } from 'react-native';
import { BarChart } from 'react-native-gifted-charts';
import { Button } from '../../ui/button';
import { Table } from '../../ui/table';
import { FONT, SPACE } from '../../ui/theme';
import { Small } from '../../ui/type';
import { useInk } from '../../ui/use-ink';
import { mol } from '../../parts/words';
import { MONTH_NAMES } from '../../ui/months';
import { LIGHT_YEAR_CHART as WORDS } from './rooms-words';

const SOURCES = ['sun', 'sky', 'ground', 'obstruction', 'reflected', 'lamps'] as const;
type Source = (typeof SOURCES)[number];
const SOURCE_WORD: Record<Source, string> = {
  sun: 'Sun',
  sky: 'Sky',
  ground: 'Ground',
  obstruction: 'Houses',
  reflected: 'Reflected',
  lamps: 'Lamps',
};

function sharesOf({ shares }: Condition): Record<Source, number> {
  return { ...shares, lamps: Object.values(shares.lamps).reduce((sum, dli) => sum + dli, 0) };
}

/**
 * Takes a drawing out of the order of the keys: the chart's own parts can be focused. The table below it says the
 * same.
 */
const outOfReach = (drawing: View | null) => (drawing as unknown as Element | null)?.setAttribute?.('inert', '');

export default function LightYearChart({ conditions }: { readonly conditions: readonly Condition[] }) {
  const [width, setWidth] = useState(0);
  const [table, setTable] = useState<'hidden' | 'shown'>('hidden');
  const shares = conditions.map(sharesOf);
  const used = SOURCES.filter((source) => shares.some((month) => month[source] > 0.005));
  const sourced = { conditions, shares, used };
  return (
    <View style={{ gap: SPACE.xs }} onLayout={(event) => setWidth(event.nativeEvent.layout.width)}>
      <Small>{WORDS.lightByMonth}</Small>
      {width > 0 ? (
        <View aria-hidden ref={outOfReach} style={{ pointerEvents: 'none' }}>
          <Bars {...sourced} width={width} />
        </View>
      ) : null}
      <Legend used={used} />
      <Button onPress={() => setTable(table === 'shown' ? 'hidden' : 'shown')} style={{ alignSelf: 'flex-start' }}>
        {table === 'shown' ? WORDS.hideTable : WORDS.showAsTable}
      </Button>
      {table === 'shown' ? <SourceTable {...sourced} /> : null}
    </View>
  );
}

interface Sourced {
  readonly conditions: readonly Condition[];
  /** Month by month, mol a day. */
  readonly shares: readonly Record<Source, number>[];
  readonly used: readonly Source[];
}

function Bars({ conditions, shares, used, width }: Sourced & { readonly width: number }) {
  const ink = useInk();
  const pitch = (width - 40) / 12;
  const lettering = { fontFamily: FONT.lettering, color: ink.soft };
  return (
    <BarChart
      stackData={shares.map((month, i) => ({
        label: MONTH_NAMES[i]!.charAt(0),
        stacks: used.map((source) => ({ value: Number(month[source].toFixed(3)), color: ink.source[source] })),
      }))}
      width={width - 36}
      height={150}
      barWidth={pitch * 0.66}
      spacing={pitch * 0.34}
      initialSpacing={4}
      endSpacing={0}
      maxValue={ceiling(Math.max(1, ...conditions.map((condition) => condition.dli)))}
      noOfSections={4}
      yAxisLabelWidth={34}
      formatYLabel={(label: string) => String(Number(Number(label).toFixed(2)))}
      yAxisThickness={0}
      xAxisColor={ink.strongLine}
      rulesColor={ink.line}
      yAxisTextStyle={{ ...lettering, fontSize: 13 }}
      xAxisLabelTextStyle={{ ...lettering, fontSize: 14, textAlign: 'center' }}
      disableScroll
      disablePress
    />
  );
}

function Legend({ used }: Pick<Sourced, 'used'>) {
  const ink = useInk();
  return (
    <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 12 }}>
      {used.map((source) => (
        <View key={source} style={{ flexDirection: 'row', alignItems: 'center', gap: 4 }}>
          <View style={{ width: 12, height: 12, backgroundColor: ink.source[source] }} />
          <Small>{SOURCE_WORD[source]}</Small>
        </View>
      ))}
    </View>
  );
}

function SourceTable({ conditions, shares, used }: Sourced) {
  return (
    <Table
      name={WORDS.lightByMonthAndSource}
      columns={[{ name: WORDS.month }, ...used.map((source) => ({ name: SOURCE_WORD[source] })), { name: WORDS.all }]}
      rows={conditions.map(({ month, dli }, i) => ({
        key: String(month),
        cells: [MONTH_NAMES[i]!.slice(0, 3), ...used.map((source) => mol(shares[i]![source])), mol(dli)],
      }))}
    />
  );
}

/** The next round figure of which a quarter is round too. */
function ceiling(value: number): number {
  return [1, 2, 4, 8, 12, 16, 20, 32, 40, 60, 80].find((round) => round >= value) ?? 100;
}
