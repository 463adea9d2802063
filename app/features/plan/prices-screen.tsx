/** What electricity costs: one price, or prices by hour and weekday, which leave no hour out and none twice. */
import { tariffSchema } from '@dulvan/contract';
import {
  KINDS,
  WEEKDAYS,
  clockOf,
  drop,
  planSettingsOf,
  put,
  tariffProblems,
  type HomeFacts,
  type TariffBand,
} from '@dulvan/core';
import { router } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { minuteOfClock } from '../../parts/clock';
import { FormField } from '../../parts/form-field';
import { MoreOrFewer, countIn } from '../../parts/more-or-fewer';
import { newId } from '../../parts/new-id';
import { Refused } from '../../parts/refused';
import { typedSchema, type Tell } from '../../parts/typed-schema';
import { typedNumber } from '../../parts/typed-number';
import { useDraftForm, type DraftForm, type FormValues } from '../../parts/use-draft-form';
import { useFacts, useHome } from '../../state/home';
import { Button } from '../../ui/button';
import { ManyChoices } from '../../ui/choices';
import { Page, Row, Rule } from '../../ui/page';
import { SPACE } from '../../ui/theme';
import { Body, Small, Strong, Title } from '../../ui/type';
import { PRICES as WORDS } from './plan-words';

const MOST_BANDS = KINDS.tariffs.limit;

interface Typed {
  readonly currency: string;
  readonly bands: readonly TariffBand[];
}

/** The fields of one price. */
const fieldsOf = (i: number) => ({ days: `days${i}`, from: `from${i}`, to: `to${i}`, price: `price${i}` });

const ALL_DAYS = WEEKDAYS.join();

function storedValues(facts: HomeFacts): FormValues {
  const { currency } = planSettingsOf(facts);
  const values: Record<string, string> = { currency, count: String(Math.max(1, facts.tariffs.length)) };
  for (let i = 0; i < MOST_BANDS; i++) {
    const { days, from, to, price } = fieldsOf(i);
    const band = facts.tariffs[i];
    values[days] = band ? band.weekdays.join() : ALL_DAYS;
    values[from] = clockOf(band?.fromMinute ?? 0);
    values[to] = clockOf(band?.toMinute ?? 1440);
    values[price] = band ? String(band.pricePerKwh) : '';
  }
  return values;
}

/** Reads the form; a gap or an overlap is told beside the price it is about. */
function schemaFor(facts: HomeFacts, ids: readonly string[]) {
  return typedSchema<Typed>((values, tell) => {
    const bands = Array.from({ length: Number(values.count) }, (_, i) => bandOf(facts, values, ids[i]!, i, tell));
    if (bands.some((band) => band === null)) return null;
    const read = bands as TariffBand[];
    const problems = tariffProblems({ tariffs: read });
    for (const { id, field, message } of problems) {
      const { from, to } = fieldsOf(ids.indexOf(id));
      tell(field === 'toMinute' ? to : from, message);
    }
    if (problems.length > 0) return null;
    return { currency: (values.currency ?? '').trim().slice(0, 6), bands: read };
  });
}

function bandOf(facts: HomeFacts, values: FormValues, id: string, i: number, tell: Tell): TariffBand | null {
  const { days, from, to, price } = fieldsOf(i);
  const named = { weekdays: days, fromMinute: from, toMinute: to, pricePerKwh: price } as const;
  const parsed = tariffSchema.safeParse({
    id,
    homeId: facts.home.id,
    weekdays: (values[days] ?? '').split(',').filter(Boolean).map(Number),
    fromMinute: minuteOfClock(values[from] ?? ''),
    toMinute: minuteOfClock(values[to] ?? ''),
    pricePerKwh: typedNumber(values[price] ?? ''),
  });
  if (!parsed.success) {
    for (const { path, message } of parsed.error.issues) tell(named[path[0] as keyof typeof named] ?? price, message);
    return null;
  }
  return parsed.data;
}

export function PricesScreen() {
  const facts = useFacts();
  return facts ? <PricesForm facts={facts} /> : null;
}

function PricesForm({ facts }: { readonly facts: HomeFacts }) {
  const attempt = useHome((state) => state.attempt);
  const change = useHome((state) => state.change);
  const [ids] = useState(() => Array.from({ length: MOST_BANDS }, newId));
  const stored = useMemo(() => storedValues(facts), [facts]);
  const schema = useMemo(() => schemaFor(facts, ids), [facts, ids]);
  const form = useDraftForm<Typed>({ draftKey: `prices/${facts.home.id}`, stored, schema });
  const old = facts.tariffs.map(({ id }) => drop('tariffs', id));
  const save = async () => {
    const kept = await form.submit(({ currency, bands }) =>
      attempt(WORDS.saved, [
        ...old,
        ...bands.map((band) => put('tariffs', band)),
        put('planSettings', { ...planSettingsOf(facts), currency }),
      ]),
    );
    if (kept) router.back();
  };
  return (
    <Page>
      <Title>{WORDS.title}</Title>
      <Body>{WORDS.intro}</Body>
      <FormField form={form} name="currency" label={WORDS.currency} help={WORDS.currencyHelp} />
      {Array.from({ length: countIn(form) }, (_, i) => (
        <Band key={i} form={form} i={i} />
      ))}
      <MoreOrFewer form={form} most={MOST_BANDS} more={WORDS.addPrice} fewer={WORDS.removeLast} />
      <Refused form={form} />
      <Row>
        <Button kind="main" onPress={() => void save()}>
          {WORDS.save}
        </Button>
        {old.length > 0 ? (
          <Button kind="danger" onPress={() => void change(WORDS.removed, old)}>
            {WORDS.removeAll}
          </Button>
        ) : null}
      </Row>
    </Page>
  );
}

const DAYS = WEEKDAYS.map((day) => ({ value: String(day), word: WORDS.shortDays[day - 1]! }));

function Band({ form, i }: { readonly form: DraftForm<Typed>; readonly i: number }) {
  const { days, from, to, price } = fieldsOf(i);
  const chosen = (form.values[days] ?? '').split(',').filter(Boolean);
  const wrong = form.submitted ? form.errors[days] : undefined;
  return (
    <View role="group" aria-label={WORDS.priceNumbered(i + 1)} style={{ gap: SPACE.s }}>
      <Rule />
      <Strong>{WORDS.onDays}</Strong>
      <ManyChoices
        label={WORDS.onDays}
        choices={DAYS}
        chosen={chosen}
        onChosen={(list) => form.setValue(days, list.join())}
      />
      {wrong ? <Small>✕ {wrong}</Small> : null}
      <FormField form={form} name={from} label={WORDS.from} />
      <FormField form={form} name={to} label={WORDS.to} />
      <FormField form={form} name={price} label={WORDS.price} kind="number" />
    </View>
  );
}
