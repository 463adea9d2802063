/** The rows of a list that opened: chosen one by one, with a field to search them when they are many. */
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { folded } from './folded';
import { OptionRow } from './option-row';
import { useRoving } from './roving';
import { Search } from './search';
import { Small } from './type';
import { OPTION_LIST as WORDS } from './ui-words';

export interface Choice {
  readonly value: string;
  readonly word: string;
}

interface Given<C extends Choice> {
  readonly label: string;
  /** One of them is chosen, or any number. */
  readonly role: 'radio' | 'checkbox';
  readonly choices: readonly (C & { readonly disabled?: boolean })[];
  readonly isChosen: (value: C['value']) => boolean;
  readonly onPress: (value: C['value']) => void;
}

/** From so many on, they are searched. */
const SEARCHED_FROM = 15;
/** So many are drawn at once; the search brings the others. */
const MOST_DRAWN = 60;

export function OptionList<C extends Choice>({ label, role, choices, isChosen, onPress }: Given<C>) {
  const [text, setText] = useState('');
  const group = useRoving('move');
  const found = useMemo(() => {
    const wanted = folded(text.trim());
    return choices.filter(({ word }) => folded(word).includes(wanted));
  }, [choices, text]);
  const left = found.length - MOST_DRAWN;
  const roles = role === 'radio' ? { ref: group, role: 'radiogroup' as const } : { role: 'group' as const };
  return (
    <>
      {choices.length >= SEARCHED_FROM ? (
        <Search label={WORDS.search(label)} value={text} onValue={setText} autoFocus />
      ) : null}
      <View {...roles} aria-label={label}>
        {found.slice(0, MOST_DRAWN).map(({ value, word, disabled = false }) => (
          <OptionRow
            key={value}
            role={role}
            title={word}
            chosen={isChosen(value)}
            disabled={disabled}
            onPress={() => onPress(value)}
          />
        ))}
      </View>
      {left > 0 ? <Small>{WORDS.andMore(left)}</Small> : null}
      {found.length === 0 ? <Small>{WORDS.nothingOfThatName}</Small> : null}
    </>
  );
}
