/**
 * The calendar of a date field and the clock of a time field: one file, so that neither is loaded before one of them
 * is opened.
 */
import { format, isValid, parseISO } from 'date-fns';
import { useState } from 'react';
import { View } from 'react-native';
import { Calendar, TimePicker, enGB, registerTranslation } from 'react-native-paper-dates';
import { Button } from './button';
import { Sheet } from './sheet';
import { Body } from './type';
import { PICKERS as WORDS } from './ui-words';

registerTranslation('en-GB', enGB);

interface Given {
  readonly label: string;
  readonly value: string;
  readonly onValue: (value: string) => void;
  readonly onClose: () => void;
}

/** Six weeks, the names of the days and the line that names the month, px. */
const CALENDAR_HEIGHT = 430;

export function DateSheet({ label, value, onValue, onClose }: Given) {
  const given = parseISO(value);
  const [date, setDate] = useState(() => (isValid(given) ? given : new Date()));
  const actions = (
    <>
      <Button kind="quiet" onPress={onClose}>
        {WORDS.leaveIt}
      </Button>
      <Button kind="main" onPress={() => onValue(format(date, 'yyyy-MM-dd'))}>
        {WORDS.takeThisDate}
      </Button>
    </>
  );
  return (
    <Sheet title={label} onClose={onClose} actions={actions}>
      <Body>{format(date, 'd MMMM yyyy')}</Body>
      <View style={{ height: CALENDAR_HEIGHT }}>
        <Calendar
          mode="single"
          locale="en-GB"
          startWeekOnMonday
          date={date}
          onChange={({ date: chosen }) => chosen && setDate(chosen)}
        />
      </View>
    </Sheet>
  );
}

export function TimeSheet({ label, value, onValue, onClose }: Given) {
  const [givenHours, givenMinutes] = value.split(':').map(Number);
  const [time, setTime] = useState({ hours: (givenHours ?? 0) % 24, minutes: givenMinutes ?? 0 });
  const [focused, setFocused] = useState<'hours' | 'minutes'>('hours');
  const [way, setWay] = useState<'picker' | 'keyboard'>('picker');
  const actions = (
    <>
      <Button kind="quiet" onPress={() => setWay(way === 'picker' ? 'keyboard' : 'picker')}>
        {way === 'picker' ? WORDS.typeIt : WORDS.useClock}
      </Button>
      <Button kind="quiet" onPress={onClose}>
        {WORDS.leaveIt}
      </Button>
      <Button kind="main" onPress={() => onValue(`${time.hours}:${String(time.minutes).padStart(2, '0')}`)}>
        {WORDS.takeThisTime}
      </Button>
    </>
  );
  return (
    <Sheet title={label} onClose={onClose} actions={actions}>
      <View style={{ alignItems: 'center' }}>
        <TimePicker
          locale="en-GB"
          use24HourClock
          inputType={way}
          focused={focused}
          onFocusInput={setFocused}
          hours={time.hours}
          minutes={time.minutes}
          onChange={({ hours, minutes, focused: next }) => {
            if (next) setFocused(next);
            setTime({ hours, minutes });
          }}
        />
      </View>
    </Sheet>
  );
}
