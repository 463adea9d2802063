/** A timer's programme set by hand: parts of the year, each with its times of the day and its level. */
import { patch, type Circuit, type Home, type TimerMonths } from '@dulvan/core';
import { router } from 'expo-router';
import { useMemo } from 'react';
import { View } from 'react-native';
import { FormField } from '../../parts/form-field';
import { MoreOrFewer, countIn } from '../../parts/more-or-fewer';
import { NotHere } from '../../parts/not-here';
import { Refused } from '../../parts/refused';
import { capital, monthsWords } from '../../parts/season-words';
import { typedSchema } from '../../parts/typed-schema';
import { useDraftForm, type DraftForm } from '../../parts/use-draft-form';
import { useFacts, useHome } from '../../state/home';
import { Button } from '../../ui/button';
import { PickMonths } from '../../ui/choices';
import { Labelled } from '../../ui/labelled';
import { Page, Rule } from '../../ui/page';
import { SPACE } from '../../ui/theme';
import { Body, Small, Title } from '../../ui/type';
import { MOST_PARTS, fieldsOf, monthsIn, programmeValues, typedProgramme } from './programme-form';
import { PROGRAMME as WORDS } from './place-words';
import { SunFill } from './sun-fill';

export function ProgrammeScreen({ circuitId }: { readonly circuitId: string }) {
  const facts = useFacts();
  const circuit = facts?.circuits.find(({ id }) => id === circuitId);
  if (!facts) return null;
  return circuit ? (
    <ProgrammeForm home={facts.home} circuit={circuit} />
  ) : (
    <NotHere what={WORDS.theTimer} back="/place" />
  );
}

function ProgrammeForm({ home, circuit }: { readonly home: Home; readonly circuit: Circuit }) {
  const attempt = useHome((state) => state.attempt);
  const stored = useMemo(() => programmeValues(circuit.programme), [circuit]);
  const schema = useMemo(() => typedSchema<TimerMonths[]>(typedProgramme), []);
  const form = useDraftForm<TimerMonths[]>({ draftKey: `programme/${circuit.id}`, stored, schema });
  const save = async () => {
    const kept = await form.submit((programme) =>
      attempt(WORDS.saved(circuit.name), [patch('circuits', circuit.id, { programme })]),
    );
    if (kept) router.back();
  };
  const fill = (programme: readonly TimerMonths[]) => {
    for (const [field, value] of Object.entries(programmeValues(programme))) form.setValue(field, value);
  };
  return (
    <Page>
      <Title>{WORDS.title(circuit.name)}</Title>
      <Body>{WORDS.intro}</Body>
      <SunFill home={home} circuitId={circuit.id} onFill={fill} />
      {Array.from({ length: countIn(form) }, (_, i) => (
        <Part key={i} form={form} i={i} />
      ))}
      <MoreOrFewer form={form} most={MOST_PARTS} more={WORDS.addPart} fewer={WORDS.removeLast} />
      <Refused form={form} />
      <Button kind="main" style={{ alignSelf: 'flex-start' }} onPress={() => void save()}>
        {WORDS.save}
      </Button>
      <Small>{WORDS.caution}</Small>
    </Page>
  );
}

function Part({ form, i }: { readonly form: DraftForm<TimerMonths[]>; readonly i: number }) {
  const { months, times, level } = fieldsOf(i);
  const chosen = monthsIn(form.values[months]);
  const wrong = form.submitted ? form.errors[months] : undefined;
  return (
    <View role="group" aria-label={WORDS.part(i + 1)} style={{ gap: SPACE.s }}>
      <Rule />
      <Labelled label={WORDS.months} help={undefined} error={wrong}>
        <PickMonths
          label={WORDS.months}
          words={capital(monthsWords(chosen))}
          months={chosen}
          onMonths={(list) => form.setValue(months, list.join())}
        />
      </Labelled>
      <FormField form={form} name={times} label={WORDS.times} help={WORDS.timesHelp} />
      <FormField form={form} name={level} label={WORDS.level} kind="number" unit="%" />
    </View>
  );
}
