/** What the steps of the wash stand for. */
import { View } from 'react-native';
import { SPACE } from '../../ui/theme';
import { Small } from '../../ui/type';
import { useInk } from '../../ui/use-ink';
import { WASH_STEPS, washOpacity } from '../../parts/wash';
import { WASH_LEGEND as WORDS } from './rooms-words';

export function WashLegend({ heightM }: { readonly heightM: number }) {
  const { wash, line } = useInk();
  return (
    <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s, alignItems: 'center' }}>
      {WASH_STEPS.map((from) => (
        <View key={from} style={{ flexDirection: 'row', alignItems: 'center', gap: 4 }}>
          <View style={{ width: 18, height: 14, borderWidth: 1, borderColor: line }}>
            <View style={{ flex: 1, backgroundColor: wash, opacity: washOpacity(from) }} />
          </View>
          <Small>{from}</Small>
        </View>
      ))}
      <Small>{WORDS.howToRead(Math.round(heightM * 100), WASH_STEPS[0])}</Small>
    </View>
  );
}
