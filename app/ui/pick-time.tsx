/** A time of day from a clock that opens; kept as H:MM. */
import { Suspense, lazy, useState } from 'react';
import { Opener } from './opener';
import { PICK_TIME as WORDS } from './ui-words';

const TimeSheet = lazy(() => import('./pickers').then(({ TimeSheet: part }) => ({ default: part })));

interface Given {
  readonly label: string;
  /** H:MM; empty while none is given. */
  readonly value: string;
  readonly onValue: (value: string) => void;
  /** At midnight a stretch of time begins, or it ends. */
  readonly midnight?: '0:00' | '24:00';
}

export function PickTime({ label, value, onValue, midnight = '0:00' }: Given) {
  const [open, setOpen] = useState<'no' | 'yes'>('no');
  return (
    <>
      <Opener label={label} words={value || WORDS.notGiven} icon="clock-outline" onPress={() => setOpen('yes')} />
      {open === 'yes' ? (
        <Suspense fallback={null}>
          <TimeSheet
            label={label}
            value={value}
            onClose={() => setOpen('no')}
            onValue={(chosen) => {
              onValue(chosen === '0:00' ? midnight : chosen);
              setOpen('no');
            }}
          />
        </Suspense>
      ) : null}
    </>
  );
}
