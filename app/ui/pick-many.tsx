/** Any number of many: a list that opens, its ticked ones told where it stands. */
import { useState } from 'react';
import { Button } from './button';
import { Opener } from './opener';
import { OptionList, type Choice } from './option-list';
import { Sheet } from './sheet';
import { PICK_MANY as WORDS } from './ui-words';

export interface Many<T extends string> {
  readonly label: string;
  readonly choices: readonly (Choice & { readonly value: T; readonly disabled?: boolean })[];
  readonly chosen: readonly T[];
  readonly onChosen: (chosen: T[]) => void;
}

/** What is chosen with one of them ticked or not any more, in the order of the choices. */
export const tickedOr = <T extends string>({ choices, chosen }: Pick<Many<T>, 'choices' | 'chosen'>, value: T): T[] =>
  choices
    .map((choice) => choice.value)
    .filter((other) => (other === value ? !chosen.includes(value) : chosen.includes(other)));

export function PickMany<T extends string>({ label, choices, chosen, onChosen }: Many<T>) {
  const [open, setOpen] = useState<'no' | 'yes'>('no');
  const words = choices.filter(({ value }) => chosen.includes(value)).map(({ word }) => word);
  const actions = (
    <>
      <Button kind="quiet" onPress={() => onChosen([])}>
        {WORDS.none}
      </Button>
      <Button kind="main" onPress={() => setOpen('no')}>
        {WORDS.done}
      </Button>
    </>
  );
  return (
    <>
      <Opener label={label} words={words.join(', ') || WORDS.none} onPress={() => setOpen('yes')} />
      {open === 'yes' ? (
        <Sheet title={label} onClose={() => setOpen('no')} actions={actions}>
          <OptionList
            label={label}
            role="checkbox"
            choices={choices}
            isChosen={(value) => chosen.includes(value as T)}
            onPress={(value) => onChosen(tickedOr({ choices, chosen }, value as T))}
          />
        </Sheet>
      ) : null}
    </>
  );
}
