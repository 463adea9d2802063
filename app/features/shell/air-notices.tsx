/** The browser's own notice of air that harms plants: once for each alarm, never in the quiet hours. */
import { isShutAt, minuteOfCivilDay, type HomeFacts } from '@dulvan/core';
import { useEffect } from 'react';
import { alarmWords } from '../../parts/alarm-words';
import { useAirAlarms } from '../../state/air-alarms';
import { useSettings, useUnits } from '../../state/settings';
import { SHELL as WORDS } from './shell-words';

export function AirNotices({ facts }: { readonly facts: HomeFacts }) {
  const units = useUnits();
  const quiet = useSettings((state) => state.quiet);
  const alarms = useAirAlarms(facts);
  const told = useSettings((state) => state.toldAlarms);
  const toldOf = useSettings((state) => state.toldOf);
  useEffect(() => {
    if (typeof Notification === 'undefined' || Notification.permission !== 'granted') return;
    if (isShutAt(quiet, minuteOfCivilDay(Date.now(), facts.home.timeZone))) return;
    for (const one of alarms) {
      if (told.includes(one.key)) continue;
      toldOf(one.key);
      // The browser shows one of a tag once, however many windows are open.
      new Notification(WORDS.airHarms, { body: alarmWords(facts, one, units), tag: one.key });
    }
  }, [alarms, quiet, facts, units, told, toldOf]);
  return null;
}
