/** One answer for several entries at once: what to set, its value, and a single change that can be undone. */
import { fieldsBetween, patch, type Change, type HomeFacts } from '@dulvan/core';
import { useState } from 'react';
import { View } from 'react-native';
import { useHome } from '../state/home';
import { useUnits, type Units } from '../state/settings';
import { Button } from '../ui/button';
import { Choices } from '../ui/choices';
import { Labelled } from '../ui/labelled';
import { SPACE } from '../ui/theme';
import { Body } from '../ui/type';
import { useInk } from '../ui/use-ink';
import type { FormItem } from './form-item';
import { FORM_SPECS } from './form-specs';
import { formSchema, valuesOf, type Entry } from './form-values';
import { ItemInput } from './item-input';
import { SET_FOR_ALL as WORDS } from './form-words';

/** What can be set for many: all that says nothing of one alone, such as a name or a place. */
const FOR_MANY = {
  plants: ['goal', 'stage', 'growthState', 'restSchool', 'potCm', 'heightCm', 'foliage', 'arrivedOn'],
  spots: ['sizeM', 'freeHeightM', 'loadKg', 'reach'],
  lamps: ['circuitId', 'aboveM', 'dimming', 'ratedBy', 'ppf', 'powerW', 'spectrum', 'beamDeg', 'lifeHours'],
} as const;

type ManyList = keyof typeof FOR_MANY;

interface Given {
  readonly facts: HomeFacts;
  readonly list: ManyList;
  readonly ids: readonly string[];
  readonly onDone: () => void;
}

/** "3 plants". */
const howMany = (list: ManyList, count: number) => `${count} ${FORM_SPECS[list].noun}${count === 1 ? '' : 's'}`;

export function SetForAll({ facts, list, ids, onDone }: Given) {
  const { danger } = useInk();
  const units = useUnits();
  const attempt = useHome((state) => state.attempt);
  const items: readonly FormItem[] = FORM_SPECS[list].items;
  const offered = FOR_MANY[list].map((field) => items.find((item) => item.field === field)!);
  const [field, setField] = useState('');
  const [value, setValue] = useState('');
  const [wrong, setWrong] = useState<string | null>(null);
  const item = offered.find((candidate) => candidate.field === field);
  const entries = (facts[list] as unknown as readonly Entry[]).filter(({ id }) => ids.includes(id));
  const choose = (chosen: string) => {
    setField(chosen);
    setWrong(null);
    const first = entries[0];
    setValue(first ? (valuesOf(list, items, first, units)[chosen] ?? '') : '');
  };
  const set = async () => {
    if (!item) return;
    const outcome = changesFor(entries, { facts, list, units, items, field, value });
    if ('wrong' in outcome) return setWrong(outcome.wrong);
    const summary = WORDS.itemOf(item.label, howMany(list, ids.length));
    const refused = outcome.changes.length > 0 ? await attempt(WORDS.setSummary(summary), outcome.changes) : null;
    if (refused) return setWrong(refused.message);
    return onDone();
  };
  return (
    <View role="group" aria-label={WORDS.setFor(howMany(list, ids.length))} style={{ gap: SPACE.s }}>
      <Labelled label={WORDS.whatToSet}>
        <Choices
          label={WORDS.whatToSet}
          value={field}
          onValue={choose}
          choices={offered.map((one) => ({ value: one.field, word: one.label }))}
        />
      </Labelled>
      {item ? (
        <ItemInput
          item={item}
          value={value}
          choices={item.choices?.(facts, entries[0] ?? {}) ?? []}
          error={undefined}
          onValue={setValue}
        />
      ) : null}
      {wrong ? (
        <View role="alert">
          <Body style={{ color: danger }}>✕ {wrong}</Body>
        </View>
      ) : null}
      <Button kind="main" disabled={!item || ids.length === 0} onPress={() => void set()}>
        {WORDS.setItFor(howMany(list, ids.length))}
      </Button>
    </View>
  );
}

interface Setting {
  readonly facts: HomeFacts;
  readonly list: ManyList;
  readonly units: Units;
  readonly items: readonly FormItem[];
  readonly field: string;
  readonly value: string;
}

/** A change for each entry that differs; or what is wrong with one of them, which then keeps all from being set. */
function changesFor(
  entries: readonly Entry[],
  { facts, list, units, items, field, value }: Setting,
): { readonly changes: Change[] } | { readonly wrong: string } {
  const changes: Change[] = [];
  for (const entry of entries) {
    const values = { ...valuesOf(list, items, entry, units), [field]: value };
    const parsed = formSchema({ list, items, initial: entry, facts, units }).safeParse(values);
    if (!parsed.success) {
      const { message } = parsed.error.issues[0]!;
      return { wrong: WORDS.nothingWasSet(nameOf(entry), message) };
    }
    const fields = fieldsBetween(entry, parsed.data);
    if (Object.keys(fields).length > 0) changes.push(patch(list, entry.id, fields));
  }
  return { changes };
}

const nameOf = (entry: Entry) => ('name' in entry && entry.name ? String(entry.name) : WORDS.oneOfThem);
