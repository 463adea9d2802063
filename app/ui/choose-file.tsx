/** A button that asks the browser for a file. */
import { useRef, type ChangeEvent } from 'react';
import { View } from 'react-native';
import { Button } from './button';
import { CHOOSE_FILE as WORDS } from './ui-words';

interface Given {
  readonly label: string;
  readonly accept: string;
  readonly onFile: (file: File) => void;
}

export function ChooseFile({ label, accept, onFile }: Given) {
  const input = useRef<HTMLInputElement>(null);
  const chosen = (event: ChangeEvent<HTMLInputElement>) => {
    const file = event.target.files?.[0];
    // The same file may be chosen again, mended.
    event.target.value = '';
    if (file) onFile(file);
  };
  return (
    <View>
      <Button kind="main" style={{ alignSelf: 'flex-start' }} onPress={() => input.current?.click()}>
        {label}
      </Button>
      <input
        ref={input}
        type="file"
        accept={accept}
        aria-label={WORDS.fileOf(label)}
        onChange={chosen}
        style={{ display: 'none' }}
      />
    </View>
  );
}
