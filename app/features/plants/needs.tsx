/** What a plant wants in a month, in plain words, with how sure each figure is. */
import type { Certainty, Target, Taxon } from '@dulvan/core';
import { View } from 'react-native';
import { useUnits } from '../../state/settings';
import { SPACE } from '../../ui/theme';
import { Body, Heading, Small } from '../../ui/type';
import { brightness, degrees, mol } from '../../ui/words';

const SURE_WORD: Record<Certainty, string> = { trial: 'from trials', practice: 'growers’ practice', inferred: 'inferred' };
const HARM_WORD = { 'none-known': 'no harm known', irritant: 'irritates', toxic: 'toxic', unknown: 'not known: treat as harmful' } as const;
const AIR_WORD = { still: 'still air will do', gentle: 'gently moving air', brisk: 'briskly moving air' } as const;

export function Needs({ taxon, target }: { readonly taxon: Taxon; readonly target: Target }) {
  const units = useUnits();
  const { light, day, warmth, moisture, rules } = target;
  const range = (from: number, to: number) => `${degrees(from, units).replace(/ \S+$/, '')} to ${degrees(to, units)}`;
  const rows: readonly (readonly [string, string, string])[] = [
    ['Light', `thrives at ${mol(light.thrivesFrom)} to ${mol(light.thrivesTo)} mol a day`, `survives from ${mol(light.survives)}, scorches above ${mol(light.scorches)}; bears ${brightness(light.peakPpfd, units)} (${SURE_WORD[light.sure]})`],
    ['Day length', day.maxH >= 20 ? `at least ${day.minH} h` : `${day.minH} to ${day.maxH} h`, `${day.kind === 'neutral' ? 'blooms whatever the day' : `${day.kind}-day: nights of ${day.criticalNightH} h decide`} (${SURE_WORD[day.sure]})`],
    ['Warmth', `${range(warmth.dayFrom, warmth.dayTo)} by day`, `${range(warmth.nightFrom, warmth.nightTo)} by night; never below ${degrees(warmth.lowest, units)} (${SURE_WORD[warmth.sure]})`],
    ['Moisture', `${moisture.thrivesFrom} to ${moisture.thrivesTo} %`, `survives ${moisture.survives} %; in still air not above ${moisture.tooMoistStill} % (${SURE_WORD[moisture.sure]})`],
    ['Air', AIR_WORD[target.air], ''],
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
      <Hazards taxon={taxon} />
    </View>
  );
}

/** Stands wherever a plant is chosen or placed. */
export function Hazards({ taxon: { hazard } }: { readonly taxon: Taxon }) {
  const harmful = (['people', 'cats', 'dogs'] as const).filter((who) => hazard[who] !== 'none-known');
  const sap = hazard.sap !== 'none-known';
  if (harmful.length === 0 && !sap && hazard.spines === 'none') {
    return <Small>No harm to people, cats or dogs is known of it; that is no leave to eat it.</Small>;
  }
  return (
    <Small>
      {`⚠ Eaten: ${(['people', 'cats', 'dogs'] as const).map((who) => `${who} ${HARM_WORD[hazard[who]]}`).join(', ')}. `}
      {sap ? `Sap ${HARM_WORD[hazard.sap]} on skin and in eyes: wear gloves. ` : ''}
      {hazard.spines === 'none' ? '' : 'Spines: keep it out of ways and reach. '}
      If something was eaten or got into an eye, ask a doctor, a vet or a poison line at once.
    </Small>
  );
}
