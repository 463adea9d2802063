/** A date from a calendar that opens; kept as YYYY-MM-DD, shown as one says it. */
import { format, isValid, parseISO } from 'date-fns';
import { Suspense, lazy, useState } from 'react';
import { View } from 'react-native';
import { Button } from './button';
import { Opener } from './opener';
import { PICK_DATE as WORDS } from './ui-words';

const DateSheet = lazy(() => import('./pickers').then(({ DateSheet: part }) => ({ default: part })));

interface Given {
  readonly label: string;
  /** YYYY-MM-DD; empty while none is given. */
  readonly value: string;
  readonly onValue: (value: string) => void;
}

/** "14 March 2026". */
export function dateWords(value: string): string {
  const date = parseISO(value);
  return isValid(date) ? format(date, 'd MMMM yyyy') : value;
}

export function PickDate({ label, value, onValue }: Given) {
  const [open, setOpen] = useState<'no' | 'yes'>('no');
  const close = () => setOpen('no');
  return (
    <View style={{ flexDirection: 'row', alignItems: 'center' }}>
      <View style={{ flex: 1 }}>
        <Opener
          label={label}
          words={value ? dateWords(value) : WORDS.notGiven}
          icon="calendar"
          onPress={() => setOpen('yes')}
        />
      </View>
      {value ? (
        <Button kind="quiet" label={WORDS.clearDate(label)} onPress={() => onValue('')}>
          {WORDS.clear}
        </Button>
      ) : null}
      {open === 'yes' ? (
        <Suspense fallback={null}>
          <DateSheet
            label={label}
            value={value}
            onClose={close}
            onValue={(chosen) => {
              onValue(chosen);
              close();
            }}
          />
        </Suspense>
      ) : null}
    </View>
  );
}
