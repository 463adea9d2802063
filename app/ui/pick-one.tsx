/** One of many: a list that opens. */
import { useState } from 'react';
import { Opener } from './opener';
import { OptionList, type Choice } from './option-list';
import { Sheet } from './sheet';
import { PICK_ONE as WORDS } from './ui-words';

interface Given {
  readonly label: string;
  readonly choices: readonly Choice[];
  readonly value: string;
  readonly onValue: (value: string) => void;
}

export function PickOne({ label, choices, value, onValue }: Given) {
  const [open, setOpen] = useState<'no' | 'yes'>('no');
  const words = choices.find((choice) => choice.value === value)?.word ?? WORDS.choose;
  const choose = (chosen: string) => {
    onValue(chosen);
    setOpen('no');
  };
  return (
    <>
      <Opener label={label} words={words} onPress={() => setOpen('yes')} />
      {open === 'yes' ? (
        <Sheet title={label} onClose={() => setOpen('no')}>
          <OptionList label={label} role="radio" choices={choices} isChosen={(one) => one === value} onPress={choose} />
        </Sheet>
      ) : null}
    </>
  );
}
