/** Fills a programme in from the sun: its twelve months with days no shorter or longer than is wished. */
import {
  SUN_WAYS,
  civilDateOf,
  followingSun,
  type Home,
  type SunFollowing,
  type SunWay,
  type TimerMonths,
} from '@dulvan/core';
import { View } from 'react-native';
import { z } from 'zod';
import { FormField } from '../../parts/form-field';
import { Refused } from '../../parts/refused';
import { tellIssues, typedSchema } from '../../parts/typed-schema';
import { typedNumber } from '../../parts/typed-number';
import { useDraftForm } from '../../parts/use-draft-form';
import { useNow } from '../../state/use-now';
import { Button } from '../../ui/button';
import { Fold } from '../../ui/fold';
import { Question } from '../../ui/question';
import { SPACE } from '../../ui/theme';
import { Small } from '../../ui/type';
import { SUN_FILL as WORDS } from './place-words';

const hours = z.number(WORDS.range).min(0, WORDS.range).max(24, WORDS.range);
const wishSchema = z
  .strictObject({ leastHours: hours, mostHours: hours, way: z.enum(SUN_WAYS) })
  .refine(({ leastHours, mostHours }) => mostHours >= leastHours, { path: ['mostHours'], message: WORDS.crossed });

const schema = typedSchema<SunFollowing>((values, tell) => {
  const parsed = wishSchema.safeParse({
    leastHours: typedNumber(values.leastHours ?? ''),
    mostHours: typedNumber(values.mostHours ?? ''),
    way: values.way,
  });
  return parsed.success ? parsed.data : tellIssues(parsed.error.issues, tell);
});

const STORED = { leastHours: '10', mostHours: '14', way: 'all-day' };
const WAYS = SUN_WAYS.map((way) => ({ value: way, word: WORDS.ways[way] }));

interface Given {
  readonly home: Home;
  readonly circuitId: string;
  readonly onFill: (programme: readonly TimerMonths[]) => void;
}

export function SunFill({ home, circuitId, onFill }: Given) {
  const { year } = civilDateOf(useNow(), home.timeZone);
  const form = useDraftForm<SunFollowing>({ draftKey: `sun/${circuitId}`, stored: STORED, schema });
  const fill = () =>
    form.submit((wish) => {
      onFill(followingSun(home, year, wish));
      return Promise.resolve(null);
    });
  return (
    <Fold title={WORDS.title} note={WORDS.note}>
      <View style={{ gap: SPACE.s, padding: SPACE.s }}>
        <Question
          label={WORDS.when}
          choices={WAYS}
          value={form.values.way ?? STORED.way}
          onValue={(way) => form.setValue('way', way as SunWay)}
        />
        <FormField form={form} name="leastHours" label={WORDS.least} kind="number" unit="h" />
        <FormField form={form} name="mostHours" label={WORDS.most} kind="number" unit="h" />
        <Refused form={form} />
        <Button style={{ alignSelf: 'flex-start' }} onPress={() => void fill()}>
          {WORDS.fill}
        </Button>
        <Small>{WORDS.about}</Small>
      </View>
    </Fold>
  );
}
