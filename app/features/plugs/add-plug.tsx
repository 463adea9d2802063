/** A plug added by its address and its timer. */
import { newPlugSchema, type NewPlug, type Plug } from '@dulvan/contract';
import type { HomeFacts } from '@dulvan/core';
import { useMemo } from 'react';
import { View } from 'react-native';
import { FormField } from '../../parts/form-field';
import { Refused } from '../../parts/refused';
import { tellIssues, typedSchema } from '../../parts/typed-schema';
import { useDraftForm } from '../../parts/use-draft-form';
import { addPlug } from '../../state/plugs';
import { Button } from '../../ui/button';
import { PickOne } from '../../ui/pick-one';
import { SPACE } from '../../ui/theme';
import { Body, Heading, Small, Strong } from '../../ui/type';
import { ADD_PLUG as WORDS } from './plugs-words';

interface Given {
  readonly facts: HomeFacts;
  readonly plugs: readonly Plug[];
  readonly onAdded: () => void;
}

const schema = typedSchema<NewPlug>((values, tell) => {
  const parsed = newPlugSchema.safeParse(values);
  return parsed.success ? parsed.data : tellIssues(parsed.error.issues, tell);
});

export function AddPlug({ facts, plugs, onAdded }: Given) {
  const free = facts.circuits.filter(({ id }) => !plugs.some(({ circuitId }) => circuitId === id));
  return (
    <View style={{ gap: SPACE.s }}>
      <Heading>{WORDS.title}</Heading>
      {free.length > 0 ? (
        // Another set of timers is another form: the one that was chosen may have its plug by now.
        <PlugForm key={free[0]!.id} facts={facts} free={free} onAdded={onAdded} />
      ) : (
        <Body>{facts.circuits.length === 0 ? WORDS.noTimerYet : WORDS.noTimer}</Body>
      )}
      <Small>{WORDS.speaks}</Small>
    </View>
  );
}

interface FormGiven extends Pick<Given, 'facts' | 'onAdded'> {
  readonly free: HomeFacts['circuits'];
}

function PlugForm({ facts, free, onAdded }: FormGiven) {
  const homeId = facts.home.id;
  const stored = useMemo(() => ({ name: '', circuitId: free[0]!.id, address: '' }), [free]);
  const form = useDraftForm<NewPlug>({ draftKey: `plug/${homeId}`, stored, schema });
  const add = async () => {
    if (!(await form.submit((plug) => addPlug(homeId, plug)))) return;
    form.startOver();
    onAdded();
  };
  return (
    <>
      <Body>{WORDS.about}</Body>
      <FormField form={form} name="name" label={WORDS.name} />
      <Strong>{WORDS.timer}</Strong>
      <PickOne
        label={WORDS.timer}
        choices={free.map(({ id, name }) => ({ value: id, word: name }))}
        value={form.values.circuitId ?? ''}
        onValue={(id) => form.setValue('circuitId', id)}
      />
      <FormField form={form} name="address" label={WORDS.address} help={WORDS.addressHelp} />
      <Refused form={form} />
      <Button kind="main" disabled={form.saving} style={{ alignSelf: 'flex-start' }} onPress={() => void add()}>
        {WORDS.add}
      </Button>
    </>
  );
}
