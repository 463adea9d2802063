/** One of a list that something could happen to, and the way to try it. */
import { useState } from 'react';
import { View } from 'react-native';
import { Button } from '../../ui/button';
import { PickOne } from '../../ui/pick-one';
import { SPACE } from '../../ui/theme';
import { Heading, Small } from '../../ui/type';
import { WHAT_IF as WORDS } from './what-if-words';

interface AskedGiven {
  readonly heading: string;
  /** What is assumed of it. */
  readonly note?: string;
  readonly label: string;
  readonly choices: readonly { readonly value: string; readonly word: string }[];
  readonly none: string;
  readonly onTry: (value: string) => void;
}

export function Asked({ heading, note, label, choices, none, onTry }: AskedGiven) {
  const [value, setValue] = useState('');
  return (
    <View style={{ gap: SPACE.s }}>
      <Heading>{heading}</Heading>
      {note ? <Small>{note}</Small> : null}
      {choices.length === 0 ? <Small>{none}</Small> : null}
      {choices.length > 0 ? <PickOne label={label} choices={choices} value={value} onValue={setValue} /> : null}
      {value ? (
        <Button
          kind="main"
          style={{ alignSelf: 'flex-start' }}
          label={WORDS.tryLabel(heading)}
          onPress={() => onTry(value)}
        >
          {WORDS.tryIt}
        </Button>
      ) : null}
    </View>
  );
}
