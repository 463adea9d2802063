/** What a plan keeps to: the grower's wishes, and a sheet to add one. */
import { wishSchema } from '@dulvan/contract';
import { drop, put, type Care, type HomeFacts, type Wish, type WishKind } from '@dulvan/core';
import { useState } from 'react';
import { View } from 'react-native';
import { FormField } from '../../parts/form-field';
import { newId } from '../../parts/new-id';
import { Refused } from '../../parts/refused';
import { tellIssues, typedSchema } from '../../parts/typed-schema';
import { useDraftForm } from '../../parts/use-draft-form';
import { plantName, spotPlace } from '../../parts/words';
import { useHome } from '../../state/home';
import { Button } from '../../ui/button';
import { Choices } from '../../ui/choices';
import { Row } from '../../ui/page';
import { PickOne } from '../../ui/pick-one';
import { Sheet } from '../../ui/sheet';
import { SPACE } from '../../ui/theme';
import { Body, Small, Strong } from '../../ui/type';
import { useInk } from '../../ui/use-ink';
import { MATTERS, WISHES as WORDS } from './plan-words';
import { choicesOf } from './setting';

interface Given {
  readonly facts: HomeFacts;
}

/** A wish as one would say it. */
export function wishWords(facts: HomeFacts, wish: Wish): string {
  const plant = facts.plants.find(({ id }) => id === wish.plantId);
  const name = plant ? plantName(facts, plant) : '';
  const stand = facts.stands.find(({ id }) => id === wish.standId)?.name ?? '';
  switch (wish.kind) {
    case 'stays':
      return WORDS.stays(name, spotPlace(facts, wish.spotId));
    case 'keep-off':
      return WORDS.keepOff(name, stand);
    case 'together':
      return WORDS.together(name, wish.group);
    case 'apart':
      return WORDS.apart(name);
    case 'leave-out':
      return WORDS.leaveOut(stand);
    case 'matters':
      return WORDS.matters(name, WORDS.cares[wish.care].toLowerCase());
  }
}

export function WishList({ facts }: Given) {
  const [adding, setAdding] = useState<'no' | 'yes'>('no');
  return (
    <View style={{ gap: SPACE.xs }}>
      <Strong>{MATTERS.wishes}</Strong>
      {facts.wishes.length === 0 ? <Small>{MATTERS.noWishes}</Small> : null}
      {facts.wishes.map((wish) => (
        <WishRow key={wish.id} facts={facts} wish={wish} />
      ))}
      <Button style={{ alignSelf: 'flex-start' }} onPress={() => setAdding('yes')}>
        {MATTERS.addWish}
      </Button>
      {adding === 'yes' ? <WishSheet facts={facts} onClose={() => setAdding('no')} /> : null}
    </View>
  );
}

/** One wish, with the way to take it out. */
export function WishRow({ facts, wish }: Given & { readonly wish: Wish }) {
  const change = useHome((state) => state.change);
  const words = wishWords(facts, wish);
  return (
    <Row wrap="nowrap">
      <Body style={{ flex: 1 }}>{words}</Body>
      <Button
        kind="quiet"
        label={`${MATTERS.takeOut}: ${words}`}
        onPress={() => void change(MATTERS.takenOut, [drop('wishes', wish.id)])}
      >
        {MATTERS.takeOut}
      </Button>
    </Row>
  );
}

const NEEDS: Readonly<Record<WishKind, readonly ('plant' | 'stand' | 'group' | 'care')[]>> = {
  stays: ['plant'],
  'keep-off': ['plant', 'stand'],
  together: ['plant', 'group'],
  apart: ['plant'],
  'leave-out': ['stand'],
  matters: ['plant', 'care'],
};

const BLANK = { kind: 'stays', plantId: '', standId: '', group: '', care: 'much' };

/** The form of a new wish. */
function useWishForm({ facts, onClose }: SheetGiven) {
  const attempt = useHome((state) => state.attempt);
  const [id] = useState(newId);
  const schema = typedSchema<Wish>((values, tell) => {
    const kind = values.kind as WishKind;
    const needs = NEEDS[kind];
    const plantId = (needs.includes('plant') && values.plantId) || null;
    const spotId = kind === 'stays' ? (facts.plants.find((plant) => plant.id === plantId)?.spotId ?? null) : null;
    if (kind === 'stays' && plantId && !spotId) tell('plantId', WORDS.standsNowhere);
    const parsed = wishSchema.safeParse({
      id,
      homeId: facts.home.id,
      kind,
      plantId,
      spotId,
      standId: (needs.includes('stand') && values.standId) || null,
      group: needs.includes('group') ? (values.group ?? '') : '',
      care: needs.includes('care') ? values.care : 'usual',
    });
    return parsed.success ? parsed.data : tellIssues(parsed.error.issues, tell);
  });
  const form = useDraftForm<Wish>({ draftKey: `wishes/${facts.home.id}`, stored: BLANK, schema });
  const save = () =>
    form.submit(async (wish) => {
      const refused = await attempt(WORDS.added, [put('wishes', wish)]);
      if (!refused) onClose();
      return refused;
    });
  return { form, save };
}

interface SheetGiven extends Given {
  readonly onClose: () => void;
}

function WishSheet({ facts, onClose }: SheetGiven) {
  const { danger } = useInk();
  const { form, save } = useWishForm({ facts, onClose });
  const { values } = form;
  const needs = NEEDS[values.kind as WishKind];
  const error = (field: string) => (form.submitted ? form.errors[field] : undefined);
  const wrong = error('plantId') ?? error('standId') ?? error('spotId');
  return (
    <Sheet
      title={MATTERS.addWish}
      onClose={onClose}
      actions={
        <Button kind="main" onPress={() => void save()}>
          {WORDS.add}
        </Button>
      }
    >
      <View style={{ gap: SPACE.m }}>
        <PickOne
          label={WORDS.whichWish}
          choices={choicesOf(WORDS.kinds)}
          value={values.kind!}
          onValue={(kind) => form.setValue('kind', kind)}
        />
        {needs.includes('plant') ? (
          <PickOne
            label={WORDS.whichPlant}
            choices={facts.plants.map((plant) => ({ value: plant.id, word: plantName(facts, plant) }))}
            value={values.plantId!}
            onValue={(plantId) => form.setValue('plantId', plantId)}
          />
        ) : null}
        {needs.includes('stand') ? (
          <PickOne
            label={WORDS.whichStand}
            choices={facts.stands.map(({ id, name }) => ({ value: id, word: name }))}
            value={values.standId!}
            onValue={(standId) => form.setValue('standId', standId)}
          />
        ) : null}
        {needs.includes('group') ? (
          <FormField form={form} name="group" label={WORDS.groupName} help={WORDS.groupHelp} />
        ) : null}
        {needs.includes('care') ? (
          <Choices
            label={WORDS.howMuch}
            choices={choicesOf<Care>(WORDS.cares)}
            value={values.care!}
            onValue={(care) => form.setValue('care', care)}
          />
        ) : null}
        {wrong ? <Small style={{ color: danger }}>✕ {wrong}</Small> : null}
        <Refused form={form} />
      </View>
    </Sheet>
  );
}
