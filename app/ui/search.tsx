/** A field that searches what stands below it. */
import { Searchbar } from 'react-native-paper';
import { TOUCH } from './theme';
import { useInk } from './use-ink';
import { SEARCH as WORDS } from './ui-words';

interface Given {
  readonly label: string;
  readonly value: string;
  readonly onValue: (value: string) => void;
  readonly autoFocus?: boolean;
}

export function Search({ label, value, onValue, autoFocus = false }: Given) {
  const ink = useInk();
  return (
    <Searchbar
      placeholder={label}
      aria-label={label}
      // Paper calls the field a region to search in; it is the field itself.
      role="searchbox"
      searchAccessibilityLabel={WORDS.toField(label)}
      clearAccessibilityLabel={WORDS.clear(label)}
      value={value}
      onChangeText={onValue}
      autoFocus={autoFocus}
      autoComplete="off"
      elevation={0}
      inputStyle={{ minHeight: TOUCH, alignSelf: 'stretch' }}
      style={{ backgroundColor: ink.sheet, borderWidth: 1, borderColor: ink.strongLine }}
    />
  );
}
