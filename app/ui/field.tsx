/** A line of text to fill in: its name above it, its unit inside, what is wrong or what helps below. */
import type { Ref } from 'react';
import { TextInput } from 'react-native-paper';
import { Labelled } from './labelled';
import { textScale } from './rem';
import { useInk } from './use-ink';

export interface FieldGiven {
  readonly label: string;
  readonly value: string;
  readonly onValue: (value: string) => void;
  readonly unit?: string;
  readonly help?: string | undefined;
  readonly error?: string | undefined;
  readonly kind?: 'text' | 'number' | 'long';
  readonly autoFocus?: boolean;
  /** What a form puts its focus on when something here is wrong. */
  readonly inputRef?: Ref<{ focus(): void }>;
}

export function Field({ label, help, error, ...given }: FieldGiven) {
  return (
    <Labelled label={label} help={help} error={error}>
      <FieldInput label={label} error={error} {...given} />
    </Labelled>
  );
}

function FieldInput({ label, value, onValue, unit, error, kind = 'text', autoFocus, inputRef }: FieldGiven) {
  const { sheet } = useInk();
  return (
    <TextInput
      mode="outlined"
      dense
      ref={inputRef as never}
      autoFocus={autoFocus ?? false}
      accessibilityLabel={unit ? `${label}, ${unit}` : label}
      value={value}
      onChangeText={onValue}
      error={Boolean(error)}
      aria-invalid={Boolean(error)}
      multiline={kind === 'long'}
      inputMode={kind === 'number' ? 'decimal' : 'text'}
      style={{ backgroundColor: sheet, fontSize: 16 * textScale() }}
      {...(unit ? { right: <TextInput.Affix text={unit} /> } : {})}
    />
  );
}
