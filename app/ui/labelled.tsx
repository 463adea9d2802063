/**
 * A question of a form: its name, what is asked with, and below what is wrong or what helps; long help opens on
 * demand.
 */
import { useState, type ReactNode } from 'react';
import { View } from 'react-native';
import { HelperText } from 'react-native-paper';
import { IconAction } from './button';
import { SPACE } from './theme';
import { Small, Strong } from './type';
import { LABELLED as WORDS } from './ui-words';

interface Given {
  readonly label: string;
  readonly help?: string | undefined;
  readonly error?: string | undefined;
  readonly children: ReactNode;
}

/** So many characters fit on a line of a phone. */
const ONE_LINE = 58;

export function Labelled({ label, help, error, children }: Given) {
  const [opened, setOpened] = useState<'no' | 'yes'>('no');
  const isLong = help !== undefined && help.length > ONE_LINE;
  const turn = () => setOpened(opened === 'yes' ? 'no' : 'yes');
  return (
    <View style={{ gap: 2 }}>
      <View style={{ flexDirection: 'row', alignItems: 'center', gap: SPACE.s }}>
        <Strong style={{ flexShrink: 1 }}>{label}</Strong>
        {isLong ? (
          <IconAction
            icon="help-circle-outline"
            label={WORDS.about(label)}
            expanded={opened === 'yes'}
            onPress={turn}
          />
        ) : null}
      </View>
      {isLong && opened === 'yes' ? <Small>{help}</Small> : null}
      {children}
      {error ? <Wrong label={label} message={error} /> : help && !isLong ? <Small>{help}</Small> : null}
    </View>
  );
}

/** What cannot be, beside the question it is about. */
function Wrong({ label, message }: { readonly label: string; readonly message: string }) {
  return (
    <HelperText type="error" padding="none" testID={`error-${label}`}>
      {`✕ ${message}`}
    </HelperText>
  );
}
