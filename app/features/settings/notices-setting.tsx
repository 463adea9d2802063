/** Whether the browser calls when measured air harms plants, and when it keeps quiet. */
import { clockOf } from '@dulvan/core';
import { useState } from 'react';
import { View } from 'react-native';
import { minuteOfClock } from '../../parts/clock';
import { useSettings } from '../../state/settings';
import { Choices } from '../../ui/choices';
import { Row } from '../../ui/page';
import { PickTime } from '../../ui/pick-time';
import { SPACE } from '../../ui/theme';
import { Small, Strong } from '../../ui/type';
import { NOTICES_SETTING as WORDS } from './settings-words';

/** A browser is asked once; what it was told before holds. */
async function allowed(): Promise<boolean> {
  if (typeof Notification === 'undefined') return false;
  return (await Notification.requestPermission()) === 'granted';
}

export function NoticesSetting() {
  const notices = useSettings((state) => state.airNotices);
  const quiet = useSettings((state) => state.quiet);
  const setNotices = useSettings((state) => state.setAirNotices);
  const setQuiet = useSettings((state) => state.setQuiet);
  const [refused, setRefused] = useState<'no' | 'yes'>('no');
  const choose = async (chosen: string) => {
    const on = chosen === 'on' && (await allowed());
    setRefused(chosen === 'on' && !on ? 'yes' : 'no');
    setNotices(on ? 'on' : 'off');
  };
  return (
    <View style={{ gap: SPACE.xs }}>
      <Strong>{WORDS.label}</Strong>
      <Choices
        label={WORDS.label}
        value={notices}
        onValue={(chosen) => void choose(chosen)}
        choices={[
          { value: 'off', word: WORDS.off },
          { value: 'on', word: WORDS.on },
        ]}
      />
      <Small>{refused === 'yes' ? WORDS.refused : WORDS.about}</Small>
      {notices === 'on' ? (
        <Row>
          <PickTime
            label={WORDS.quietFrom}
            value={clockOf(quiet.fromMinute)}
            onValue={(text) => setQuiet({ fromMinute: minuteOfClock(text) })}
          />
          <PickTime
            label={WORDS.quietTo}
            value={clockOf(quiet.toMinute)}
            onValue={(text) => setQuiet({ toMinute: minuteOfClock(text) })}
          />
        </Row>
      ) : null}
    </View>
  );
}
