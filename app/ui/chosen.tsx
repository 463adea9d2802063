/** Several of many, chosen one by one or all at once: the set, and the line that says how many. */
import { View } from 'react-native';
import { Button } from './button';
import { Row } from './page';
import { SPACE } from './theme';
import { Small } from './type';
import { CHOSEN as WORDS } from './ui-words';

export type Chosen = ReadonlySet<string>;

/** With one more, or without it. */
export function turned(chosen: Chosen, id: string): Chosen {
  const next = new Set(chosen);
  if (!next.delete(id)) next.add(id);
  return next;
}

interface Given {
  /** What they are, for screen readers. */
  readonly label: string;
  /** All that can be chosen as it is shown now. */
  readonly ids: readonly string[];
  readonly chosen: Chosen;
  readonly onChosen: (chosen: Chosen) => void;
}

export function ChosenLine({ label, ids, chosen, onChosen }: Given) {
  return (
    <View style={{ flexDirection: 'row', justifyContent: 'space-between', alignItems: 'center', gap: SPACE.s }}>
      <Small>{WORDS.chosen(chosen.size)}</Small>
      <Row>
        <Button kind="quiet" label={WORDS.chooseAll(label)} onPress={() => onChosen(new Set(ids))}>
          {WORDS.allShown}
        </Button>
        <Button kind="quiet" label={WORDS.chooseNone(label)} onPress={() => onChosen(new Set())}>
          {WORDS.none}
        </Button>
      </Row>
    </View>
  );
}
