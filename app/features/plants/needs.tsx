/** What a plant wants in a month, in plain words, with how sure each figure is. */
import type { Feed, Target, Taxon, Water } from '@dulvan/core';
import { View } from 'react-native';
import { useUnits, type Units } from '../../state/settings';
import { SPACE } from '../../ui/theme';
import { Body, Small } from '../../ui/type';
import { SURE_WORD, brightness, degrees, mol } from '../../parts/words';
import { NEEDS as WORDS } from './plants-words';

const AIR_WORD = { still: 'still air will do', gentle: 'gently moving air', brisk: 'moving air' } as const;

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
  const range = (from: number, to: number) =>
    WORDS.fromTo(degrees(from, units).replace(/ \S+$/, ''), degrees(to, units));
  const fall = warmth.nightDrop >= 2 ? WORDS.nightFall(Math.round(warmth.nightDrop)) : '';
  const blooming = day.kind === 'neutral' ? WORDS.bloomsWhateverDay : WORDS.nightsDecide(day.kind, day.criticalNightH);
  return [
    {
      name: WORDS.light,
      value: WORDS.thrivesAt(mol(light.thrivesFrom), mol(light.thrivesTo)),
      note: WORDS.limitsOfLight(
        mol(light.survives),
        mol(light.scorches),
        brightness(light.peakPpfd, units),
        SURE_WORD[light.sure],
      ),
    },
    {
      name: WORDS.dayLength,
      value: day.maxH >= 20 ? WORDS.atLeastHours(day.minH) : WORDS.hoursFromTo(day.minH, day.maxH),
      note: `${blooming} (${SURE_WORD[day.sure]})`,
    },
    {
      name: WORDS.warmth,
      value: WORDS.byDay(range(warmth.dayFrom, warmth.dayTo)),
      note: WORDS.byNight(
        range(warmth.nightFrom, warmth.nightTo),
        fall,
        degrees(warmth.lowest, units),
        SURE_WORD[warmth.sure],
      ),
    },
    {
      name: WORDS.moisture,
      value: WORDS.percentFromTo(moisture.thrivesFrom, moisture.thrivesTo),
      note: WORDS.limitsOfMoisture(moisture.survives, moisture.tooMoistStill, SURE_WORD[moisture.sure]),
    },
    { name: WORDS.air, value: AIR_WORD[target.air] },
    { name: WORDS.water, value: WATER_WORD[target.water], note: waterNote(care, target) },
    { name: WORDS.feed, value: FEED_WORD[target.feed], note: feedNote(care, target) },
  ];
}

function waterNote(care: Taxon['care'], { water, waterAtShare }: Target): string {
  if (water === 'none') return WORDS.dryUntilItWakes;
  return WORDS.wateredAgainWhen(Math.round(waterAtShare * 100), SURE_WORD[care.sure]);
}

function feedNote({ feedEvery }: Taxon['care'], { feedPpmN }: Target): string {
  if (feedPpmN <= 0) return '';
  return WORDS.feeding(Math.round(feedPpmN), ordinal(feedEvery)).replace('  ', ' ');
}

export function Needs({ taxon, target }: { readonly taxon: Taxon; readonly target: Target }) {
  const units = useUnits();
  return (
    <View style={{ gap: SPACE.xs }}>
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
