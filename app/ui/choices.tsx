/** One of several, or several of twelve months: chosen by touch or key, said by role and state. */
import { Pressable, Text, View } from 'react-native';
import { FONT, SPACE, TOUCH } from './theme';
import { useInk } from './use-ink';
import { MONTH_NAMES } from './months';

export interface ChoicesGiven {
  readonly label: string;
  readonly choices: readonly { readonly value: string; readonly word: string }[];
  readonly value: string;
  readonly onValue: (value: string) => void;
}

export function Choices({ label, choices, value, onValue }: ChoicesGiven) {
  const ink = useInk();
  return (
    <View role="radiogroup" aria-label={label} style={{ flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.xs }}>
      {choices.map((choice) => {
        const chosen = choice.value === value;
        return (
          <Pressable
            key={choice.value}
            role="radio"
            aria-checked={chosen}
            aria-label={choice.word}
            onPress={() => onValue(choice.value)}
            style={{
              minHeight: TOUCH,
              justifyContent: 'center',
              paddingHorizontal: 12,
              borderWidth: 1,
              borderColor: chosen ? ink.accent : ink.line,
              borderBottomWidth: chosen ? 3 : 1,
              backgroundColor: ink.sheet,
            }}
          >
            <Text
              style={{
                fontFamily: chosen ? FONT.strong : FONT.text,
                fontSize: 15,
                color: chosen ? ink.accent : ink.ink,
              }}
            >
              {choice.word}
            </Text>
          </Pressable>
        );
      })}
    </View>
  );
}

interface MonthsGiven {
  readonly label: string;
  readonly months: readonly number[];
  readonly onMonths: (months: number[]) => void;
}

export function MonthBoxes({ label, months, onMonths }: MonthsGiven) {
  const ink = useInk();
  return (
    <View role="group" aria-label={label} style={{ flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.xs }}>
      {MONTH_NAMES.map((name, i) => {
        const month = i + 1;
        const chosen = months.includes(month);
        return (
          <Pressable
            key={name}
            role="checkbox"
            aria-checked={chosen}
            aria-label={name}
            onPress={() =>
              onMonths(chosen ? months.filter((other) => other !== month) : [...months, month].sort((p, q) => p - q))
            }
            style={{
              width: 50,
              minHeight: TOUCH,
              alignItems: 'center',
              justifyContent: 'center',
              borderWidth: 1,
              borderColor: chosen ? ink.accent : ink.line,
              backgroundColor: chosen ? ink.accent : ink.sheet,
            }}
          >
            <Text style={{ fontFamily: FONT.lettering, fontSize: 16, color: chosen ? ink.onAccent : ink.ink }}>
              {name.slice(0, 3)}
            </Text>
          </Pressable>
        );
      })}
    </View>
  );
}

interface ManyGiven<T extends string> {
  readonly label: string;
  readonly choices: readonly { readonly value: T; readonly word: string; readonly disabled?: boolean }[];
  readonly chosen: readonly T[];
  readonly onChosen: (chosen: T[]) => void;
}

/** Any number of several. */
export function ManyChoices<T extends string>({ label, choices, chosen, onChosen }: ManyGiven<T>) {
  const ink = useInk();
  return (
    <View role="group" aria-label={label} style={{ flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.xs }}>
      {choices.map(({ value, word, disabled = false }) => {
        const on = chosen.includes(value);
        return (
          <Pressable
            key={value}
            role="checkbox"
            aria-checked={on}
            aria-label={word}
            aria-disabled={disabled}
            disabled={disabled}
            onPress={() =>
              onChosen(
                choices
                  .map((choice) => choice.value)
                  .filter((other) => (other === value ? !on : chosen.includes(other))),
              )
            }
            style={{
              minHeight: TOUCH,
              justifyContent: 'center',
              paddingHorizontal: 12,
              borderWidth: 1,
              opacity: disabled ? 0.5 : 1,
              borderColor: on ? ink.accent : ink.line,
              backgroundColor: on ? ink.accent : ink.sheet,
            }}
          >
            <Text
              style={{ fontFamily: on ? FONT.strong : FONT.text, fontSize: 15, color: on ? ink.onAccent : ink.ink }}
            >{`${on ? '✓ ' : ''}${word}`}</Text>
          </Pressable>
        );
      })}
    </View>
  );
}
