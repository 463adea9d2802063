/** What measured air does to plants now, with the way to the logger that tells of it. */
import type { HomeFacts } from '@dulvan/core';
import { View } from 'react-native';
import { alarmWords } from '../../parts/alarm-words';
import { useAirAlarms } from '../../state/air-alarms';
import { useUnits } from '../../state/settings';
import { TextLink } from '../../ui/button';
import { SPACE } from '../../ui/theme';
import { Heading, Strong } from '../../ui/type';
import { AIR_ALARMS as WORDS } from './today-words';

export function AirAlarms({ facts }: { readonly facts: HomeFacts }) {
  const units = useUnits();
  const alarms = useAirAlarms(facts);
  if (alarms.length === 0) return null;
  return (
    <View role="alert" style={{ gap: SPACE.s }}>
      <Heading>{WORDS.title}</Heading>
      {alarms.map((one) => (
        <View key={one.key}>
          <Strong>{alarmWords(facts, one, units)}</Strong>
          <TextLink href={{ pathname: '/loggers/[loggerId]', params: { loggerId: one.logger.id } }}>
            {WORDS.whatItMeasured(one.logger.name)}
          </TextLink>
        </View>
      ))}
    </View>
  );
}
