/**
 * The form for any one fact: shows its effect while it is filled in, says beside the field what cannot be, keeps what
 * is typed.
 */
import { doubtsOf, type Change, type HomeFacts } from '@dulvan/core';
import { useEffect } from 'react';
import { View } from 'react-native';
import { Refused } from '../parts/refused';
import { useHome } from '../state/home';
import { useUnits } from '../state/settings';
import { Button } from '../ui/button';
import { Fold } from '../ui/fold';
import { Row } from '../ui/page';
import { SPACE } from '../ui/theme';
import { Small } from '../ui/type';
import { useInk } from '../ui/use-ink';
import { AskedItem } from './asked-item';
import type { FormItem } from './form-item';
import { FORM_SPECS, type FormList } from './form-specs';
import { unitOf, type Entry } from './form-values';
import { answerWords } from './item-input';
import { changeOf, useFactForm, type FactForm as FactFormState } from './use-fact-form';
import { FACT_FORM as WORDS } from './form-words';

interface Given {
  readonly list: FormList | 'home';
  readonly initial: object & { readonly id: string };
  readonly isNew?: boolean;
  readonly onSaved?: (id: string) => void;
  /** The entry as far as it can be read, whenever it changes: for a drawing beside the form. Must keep its identity. */
  readonly onPreview?: (change: Change | null) => void;
}

export function FactForm({ list, initial, isNew = false, onSaved, onPreview }: Given) {
  const { items, noun, caution } = FORM_SPECS[list];
  const facts = useHome((state) => state.facts);
  const form = useFactForm({ list, initial, isNew });
  const { entry, changed, values, saving } = form;
  useEffect(() => {
    onPreview?.(changed && entry ? changeOf(list, initial as Entry, entry, isNew) : null);
  }, [entry, changed, list, initial, isNew, onPreview]);
  const save = async () => {
    if (await form.save()) onSaved?.(initial.id);
  };
  const asked = items.filter((item) => item.when?.(values) ?? true);
  const questions = (wanted: readonly FormItem[]) =>
    wanted.map((item) => (
      <Question key={item.field} item={item} form={form} facts={facts} list={list} initial={initial} isNew={isNew} />
    ));
  const more = asked.filter((item) => item.more !== undefined);
  return (
    <View style={{ gap: SPACE.m }}>
      {caution ? <Small>{caution}</Small> : null}
      {questions(asked.filter((item) => item.more === undefined))}
      {more.length > 0 ? (
        <More items={more} form={form} facts={facts} initial={initial}>
          {questions(more)}
        </More>
      ) : null}
      <Refused form={form} />
      <Row>
        <Button kind="main" onPress={() => void save()} disabled={saving || (!changed && !isNew)}>
          {isNew ? WORDS.addThis(noun) : WORDS.save}
        </Button>
        {changed ? <Button onPress={form.startOver}>{WORDS.startOver}</Button> : null}
      </Row>
    </View>
  );
}

interface MoreGiven {
  readonly items: readonly FormItem[];
  readonly form: FactFormState;
  readonly facts: HomeFacts | null;
  readonly initial: object;
  readonly children: React.ReactNode;
}

/** So many answers are told in the line of what is folded away. */
const TOLD = 5;

/**
 * What a grower may leave as it is, with what is taken for it meanwhile; it opens by itself where something in it is
 * wrong.
 */
function More({ items, form, facts, initial, children }: MoreGiven) {
  const units = useUnits();
  const wrong = items.some(
    ({ field }) =>
      form.elsewhere[field] !== undefined || (form.errors[field] && (form.submitted || form.isTouched(field))),
  );
  const told = items
    .slice(0, TOLD)
    .map((item) => `${item.more} ${answerWords(item, { values: form.values, facts, initial, units })}`);
  const rest = items.length > TOLD ? WORDS.andMore(items.length - TOLD) : '';
  return (
    <Fold title={WORDS.moreExactly} note={WORDS.asItIsNow(told.join(', '), rest)} opened={Boolean(wrong)}>
      {children}
    </Fold>
  );
}

interface QuestionGiven {
  readonly item: FormItem;
  readonly form: FactFormState;
  readonly facts: HomeFacts | null;
  readonly list: FormList | 'home';
  readonly initial: object;
  readonly isNew: boolean;
}

function Question({ item, form, facts, list, initial, isNew }: QuestionGiven) {
  const { field } = item;
  const { entry, changed } = form;
  const doubts = facts && entry && changed ? doubtsOf(facts, list, entry as never) : [];
  const isTold = !isNew || form.submitted || form.isTouched(field);
  return (
    <View style={{ gap: SPACE.xs }}>
      <AskedItem item={item} form={form} facts={facts} initial={initial} told={isTold} />
      <Elsewhere item={item} form={form} facts={facts} initial={initial} />
      {doubts
        .filter((doubt) => doubt.field === field)
        .map(({ message }) => (
          <View key={message} role="status">
            <Small>{WORDS.canBeKept(message)}</Small>
          </View>
        ))}
    </View>
  );
}

interface ElsewhereGiven {
  readonly item: FormItem;
  readonly form: FactFormState;
  readonly facts: HomeFacts | null;
  readonly initial: object;
}

/** Said beside a field that was changed in another tab or on another device while it was being typed here. */
function Elsewhere({ item, form, facts, initial }: ElsewhereGiven) {
  const { danger } = useInk();
  const units = useUnits();
  const theirs = form.elsewhere[item.field];
  if (theirs === undefined) return null;
  const word = item.choices?.(facts, { ...initial }).find((choice) => choice.value === theirs)?.word;
  const unit = unitOf(item, units);
  const typed = item.kind === 'text' ? `“${theirs}”` : theirs;
  const now = `${word ?? (theirs ? typed : 'nothing')}${word === undefined && theirs && unit ? ` ${unit}` : ''}`;
  return (
    <View role="status" style={{ gap: SPACE.xs }}>
      <Small style={{ color: danger }}>{WORDS.changedElsewhere(now)}</Small>
      <Button
        style={{ alignSelf: 'flex-start' }}
        label={WORDS.takeTheirsFor(now, item.label)}
        onPress={() => form.takeTheirs(item.field)}
      >
        {WORDS.takeTheirs(now)}
      </Button>
    </View>
  );
}
