/** What a plant wants in a month, in plain words, with how sure each figure is. */
import type { Feed, Target, Taxon, Water } from '@dulvan/core';
import { View } from 'react-native';
import { useUnits, type Units } from '../../state/settings';
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

interface NeedRow {
  readonly name: string;
  readonly value: string;
  readonly note?: string;
}

/** What is wanted, need by need, each with how sure it is. */
function needRows({ care }: Taxon, target: Target, units: Units): NeedRow[] {
  const { light, day, warmth, moisture } = target;
  const range = (from: number, to: number) => `${degrees(from, units).replace(/ \S+$/, '')} to ${degrees(to, units)}`;
  const fall = warmth.nightDrop >= 2 ? `, a fall of about ${Math.round(warmth.nightDrop)} K` : '';
  const blooming =
    day.kind === 'neutral' ? 'blooms whatever the day' : `${day.kind}-day: nights of ${day.criticalNightH} h decide`;
  return [
    {
      name: 'Light',
      value: `thrives at ${mol(light.thrivesFrom)} to ${mol(light.thrivesTo)} mol a day`,
      note: `survives from ${mol(light.survives)}, scorches above ${mol(light.scorches)}; tolerates ${brightness(light.peakPpfd, units)} (${SURE_WORD[light.sure]})`,
    },
    {
      name: 'Day length',
      value: day.maxH >= 20 ? `at least ${day.minH} h` : `${day.minH} to ${day.maxH} h`,
      note: `${blooming} (${SURE_WORD[day.sure]})`,
    },
    {
      name: 'Warmth',
      value: `${range(warmth.dayFrom, warmth.dayTo)} by day`,
      note: `${range(warmth.nightFrom, warmth.nightTo)} by night${fall}; never below ${degrees(warmth.lowest, units)} (${SURE_WORD[warmth.sure]})`,
    },
    {
      name: 'Moisture',
      value: `${moisture.thrivesFrom} to ${moisture.thrivesTo} %`,
      note: `survives ${moisture.survives} %; in still air not above ${moisture.tooMoistStill} % (${SURE_WORD[moisture.sure]})`,
    },
    { name: 'Air', value: AIR_WORD[target.air] },
    { name: 'Water', value: WATER_WORD[target.water], note: waterNote(care, target) },
    { name: 'Feed', value: FEED_WORD[target.feed], note: feedNote(care, target) },
  ];
}

function waterNote(care: Taxon['care'], { water, waterAtShare }: Target): string {
  if (water === 'none') return 'dry until it wakes';
  return `again when about ${Math.round(waterAtShare * 100)} % of what the pot can give is left (${SURE_WORD[care.sure]})`;
}

function feedNote({ feedEvery }: Taxon['care'], { feedPpmN }: Target): string {
  if (feedPpmN <= 0) return '';
  return `about ${Math.round(feedPpmN)} ppm nitrogen, every ${ordinal(feedEvery)} watering`.replace('  ', ' ');
}

export function Needs({ taxon, target }: { readonly taxon: Taxon; readonly target: Target }) {
  const units = useUnits();
  return (
    <View style={{ gap: SPACE.xs }}>
      <Heading>What it wants now</Heading>
      <Body>{taxon.key}</Body>
      {needRows(taxon, target, units).map(({ name, value, note }) => (
        <View key={name} style={{ flexDirection: 'row', gap: SPACE.s }}>
          <Body style={{ width: 92 }}>{name}</Body>
          <View style={{ flex: 1 }}>
            <Body>{value}</Body>
            {note ? <Small>{note}</Small> : null}
          </View>
        </View>
      ))}
      {target.rules.map((rule) => (
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
