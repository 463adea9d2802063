/** What follows from where a home is: when the sun rises and sets by its clock, and its height at noon. */
import { clockOf, minuteOfCivilDay, sunMonths, type Home, type SunMonth } from '@dulvan/core';
import { useMemo } from 'react';
import { View } from 'react-native';
import { monthName } from '../../ui/months';
import { Table } from '../../ui/table';
import { SPACE } from '../../ui/theme';
import { Heading, Small } from '../../ui/type';
import { PLACE_SUN as WORDS } from './place-words';

/** Rise and set by the clock there, or that there is none. */
function riseAndSet({ kind, riseMs, setMs }: SunMonth, timeZone: string): readonly [string, string] {
  const shown = (ms: number | null) => (ms === null ? '–' : clockOf(minuteOfCivilDay(ms, timeZone)));
  if (kind !== 'usual') return [kind === 'always-above' ? WORDS.upAllDay : WORDS.staysDown, ''];
  return [shown(riseMs), shown(setMs)];
}

export function PlaceSun({ home, year }: { readonly home: Home; readonly year: number }) {
  const months = useMemo(() => sunMonths(year, home.timeZone, home), [home, year]);
  return (
    <View style={{ gap: SPACE.xs }}>
      <Heading>{WORDS.theSunThere}</Heading>
      <Small>{WORDS.aboutTheSun}</Small>
      <Table
        name={WORDS.theSunThere}
        lines="between"
        columns={[
          { name: WORDS.month, share: 2 },
          { name: WORDS.rises, share: 2, align: 'right' },
          { name: WORDS.sets, share: 2, align: 'right' },
          { name: WORDS.noon, share: 2, align: 'right' },
        ]}
        rows={months.map((one) => ({
          key: String(one.month),
          cells: [monthName(one.month), ...riseAndSet(one, home.timeZone), `${Math.round(one.noonDeg)}°`],
        }))}
      />
    </View>
  );
}
