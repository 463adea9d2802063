/** What a plant wants in a month, in plain words, with how sure each figure is. */
import type { Feed, Target, Taxon, Water } from '@dulvan/core';
import { View } from 'react-native';
import { useUnits } from '../../state/settings';
import { SPACE } from '../../ui/theme';
import { Body, Heading, Small } from '../../ui/type';
import { SURE_WORD, brightness, degrees, mol } from '../../parts/words';
import { Hazards } from '../../parts/hazards';

const AIR_WORD = { still: 'still air will do', gentle: 'gently moving air', brisk: 'briskly moving air' } as const;

const WATER_WORD: Record<Water, string> = {
  usual: 'as usual',
  less: 'less than usual',
  little: 'little',
  none: 'none',
};
const FEED_WORD: Record<Feed, string> = { usual: 'as usual', less: 'half as much', none: 'no feed' };

export function Needs({ taxon, target }: { readonly taxon: Taxon; readonly target: Target }) {
  const units = useUnits();
  const { light, day, warmth, moisture, rules } = target;
  const range = (from: number, to: number) => `${degrees(from, units).replace(/ \S+$/, '')} to ${degrees(to, units)}`;
  const rows: readonly (readonly [string, string, string])[] = [
    [
      'Light',
      `thrives at ${mol(light.thrivesFrom)} to ${mol(light.thrivesTo)} mol a day`,
      `survives from ${mol(light.survives)}, scorches above ${mol(light.scorches)}; bears ${brightness(light.peakPpfd, units)} (${SURE_WORD[light.sure]})`,
    ],
    [
      'Day length',
      day.maxH >= 20 ? `at least ${day.minH} h` : `${day.minH} to ${day.maxH} h`,
      `${day.kind === 'neutral' ? 'blooms whatever the day' : `${day.kind}-day: nights of ${day.criticalNightH} h decide`} (${SURE_WORD[day.sure]})`,
    ],
    [
      'Warmth',
      `${range(warmth.dayFrom, warmth.dayTo)} by day`,
      `${range(warmth.nightFrom, warmth.nightTo)} by night${warmth.nightDrop >= 2 ? `, a fall of about ${Math.round(warmth.nightDrop)} K` : ''}; never below ${degrees(warmth.lowest, units)} (${SURE_WORD[warmth.sure]})`,
    ],
    [
      'Moisture',
      `${moisture.thrivesFrom} to ${moisture.thrivesTo} %`,
      `survives ${moisture.survives} %; in still air not above ${moisture.tooMoistStill} % (${SURE_WORD[moisture.sure]})`,
    ],
    ['Air', AIR_WORD[target.air], ''],
    [
      'Water',
      WATER_WORD[target.water],
      target.water === 'none'
        ? 'dry until it wakes'
        : `again when about ${Math.round(target.waterAtShare * 100)} % of what the pot can give is left (${SURE_WORD[taxon.care.sure]})`,
    ],
    [
      'Feed',
      FEED_WORD[target.feed],
      target.feedPpmN > 0
        ? `about ${Math.round(target.feedPpmN)} ppm nitrogen, every ${ordinal(taxon.care.feedEvery)} watering`.replace(
            '  ',
            ' ',
          )
        : '',
    ],
  ];
  return (
    <View style={{ gap: SPACE.xs }}>
      <Heading>What it wants now</Heading>
      <Body>{taxon.key}</Body>
      {rows.map(([name, value, note]) => (
        <View key={name} style={{ flexDirection: 'row', gap: SPACE.s }}>
          <Body style={{ width: 92 }}>{name}</Body>
          <View style={{ flex: 1 }}>
            <Body>{value}</Body>
            {note ? <Small>{note}</Small> : null}
          </View>
        </View>
      ))}
      {rules.map((rule) => (
        <Small key={rule}>→ {rule}</Small>
      ))}
      <Hazards hazard={taxon.hazard} />
    </View>
  );
}

/** "", "second", "third" ... in "every third watering". */
function ordinal(number: number): string {
  return (
    ['', 'second', 'third', 'fourth', 'fifth', 'sixth', 'seventh', 'eighth', 'ninth', 'tenth', 'eleventh', 'twelfth'][
      number - 1
    ] ?? ''
  );
}
