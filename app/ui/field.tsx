/** A line of text to fill in: its name above it, its unit inside, what is wrong or what helps below. */
import { View } from 'react-native';
import { TextInput } from 'react-native-paper';
import { Small, Strong } from './type';
import { useInk } from './use-ink';

interface FieldGiven {
  readonly label: string;
  readonly value: string;
  readonly onValue: (value: string) => void;
  readonly unit?: string;
  readonly help?: string | undefined;
  readonly error?: string | undefined;
  readonly kind?: 'text' | 'number' | 'long';
  readonly autoFocus?: boolean;
}

export function Field({ label, value, onValue, unit, help, error, kind = 'text', autoFocus = false }: FieldGiven) {
  const { danger, sheet } = useInk();
  return (
    <View style={{ gap: 2 }}>
      <Strong>{label}</Strong>
      <TextInput
        mode="outlined"
        dense
        autoFocus={autoFocus}
        accessibilityLabel={unit ? `${label}, ${unit}` : label}
        value={value}
        onChangeText={onValue}
        error={Boolean(error)}
        multiline={kind === 'long'}
        inputMode={kind === 'number' ? 'decimal' : 'text'}
        style={{ backgroundColor: sheet, fontSize: 16 }}
        {...(unit ? { right: <TextInput.Affix text={unit} /> } : {})}
      />
      {error ? (
        <Small style={{ color: danger }} testID={`error-${label}`}>
          ✕ {error}
        </Small>
      ) : help ? (
        <Small>{help}</Small>
      ) : null}
    </View>
  );
}
