/** One of several, any number of several, months of the year: chosen by touch or key, said by role and state. */
import { useState } from 'react';
import { View } from 'react-native';
import { Chip } from 'react-native-paper';
import { Button } from './button';
import { MONTH_NAMES } from './months';
import { Opener } from './opener';
import type { Choice } from './option-list';
import { PickMany, tickedOr, type Many } from './pick-many';
import { PickOne } from './pick-one';
import { useRoving } from './roving';
import { Sheet } from './sheet';
import { SPACE } from './theme';
import { useInk } from './use-ink';
import { CHOICES as WORDS } from './ui-words';

export interface ChoicesGiven {
  readonly label: string;
  readonly choices: readonly Choice[];
  readonly value: string;
  readonly onValue: (value: string) => void;
}

/** More than this become a list that opens. */
const MOST_IN_SIGHT = 5;

export function Choices(given: ChoicesGiven) {
  return given.choices.length > MOST_IN_SIGHT ? <PickOne {...given} /> : <InSight {...given} />;
}

const SIDE_BY_SIDE = { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.xs } as const;

function InSight({ label, choices, value, onValue }: ChoicesGiven) {
  const group = useRoving();
  return (
    <View ref={group} role="radiogroup" aria-label={label} style={SIDE_BY_SIDE}>
      {choices.map((choice) => (
        <ChoiceChip
          key={choice.value}
          role="radio"
          word={choice.word}
          chosen={choice.value === value}
          onPress={() => onValue(choice.value)}
        />
      ))}
    </View>
  );
}

interface ChipGiven {
  readonly role: 'radio' | 'checkbox';
  readonly word: string;
  readonly chosen: boolean;
  readonly disabled?: boolean;
  readonly onPress: () => void;
}

function ChoiceChip({ role, word, chosen, disabled = false, onPress }: ChipGiven) {
  const ink = useInk();
  const colour = chosen ? ink.accent : ink.ink;
  return (
    <Chip
      mode="outlined"
      accessibilityRole={role}
      accessibilityLabel={word}
      selected={chosen}
      disabled={disabled}
      showSelectedCheck={role === 'checkbox'}
      onPress={onPress}
      style={{
        backgroundColor: ink.sheet,
        borderColor: chosen ? ink.accent : ink.line,
        borderBottomWidth: chosen ? 3 : 1,
        maxWidth: '100%',
      }}
      // A label of 22 px between these margins is 44 px high.
      textStyle={
        { color: colour, marginVertical: 10, flexShrink: 1, whiteSpace: 'normal', overflowWrap: 'anywhere' } as object
      }
      {...(chosen ? {} : { selectedColor: ink.soft })}
    >
      {word}
    </Chip>
  );
}

/** Any number of several. */
export function ManyChoices<T extends string>(given: Many<T>) {
  return given.choices.length > MOST_IN_SIGHT ? <PickMany {...given} /> : <ManyInSight {...given} />;
}

function ManyInSight<T extends string>({ label, choices, chosen, onChosen }: Many<T>) {
  return (
    <View role="group" aria-label={label} style={SIDE_BY_SIDE}>
      {choices.map(({ value, word, disabled = false }) => (
        <ChoiceChip
          key={value}
          role="checkbox"
          word={word}
          chosen={chosen.includes(value)}
          disabled={disabled}
          onPress={() => onChosen(tickedOr({ choices, chosen }, value))}
        />
      ))}
    </View>
  );
}

interface MonthsGiven {
  readonly label: string;
  /** The chosen months in words. */
  readonly words: string;
  readonly months: readonly number[];
  readonly onMonths: (months: number[]) => void;
}

const MONTHS = MONTH_NAMES.map((word, i) => ({ value: String(i + 1), word }));

/** Any of the twelve months, in a sheet that opens. */
export function PickMonths({ label, words, months, onMonths }: MonthsGiven) {
  const [open, setOpen] = useState<'no' | 'yes'>('no');
  return (
    <>
      <Opener label={label} words={words} onPress={() => setOpen('yes')} />
      {open === 'yes' ? (
        <Sheet
          title={label}
          onClose={() => setOpen('no')}
          actions={
            <>
              <Button kind="quiet" onPress={() => onMonths([])}>
                {WORDS.none}
              </Button>
              <Button kind="quiet" onPress={() => onMonths(MONTHS.map(({ value }) => Number(value)))}>
                {WORDS.allYear}
              </Button>
              <Button kind="main" onPress={() => setOpen('no')}>
                {WORDS.done}
              </Button>
            </>
          }
        >
          <ManyInSight
            label={label}
            choices={MONTHS}
            chosen={months.map(String)}
            onChosen={(chosen) => onMonths(chosen.map(Number))}
          />
        </Sheet>
      ) : null}
    </>
  );
}
