/** One question of a form that keeps its draft, with its answer and what is wrong with it. */
import type { HomeFacts } from '@dulvan/core';
import { Controller } from 'react-hook-form';
import type { DraftForm } from '../parts/use-draft-form';
import type { FormItem } from './form-item';
import type { Entry } from './form-values';
import { ItemInput } from './item-input';

interface Given {
  readonly item: FormItem;
  readonly form: Pick<DraftForm<Entry>, 'control' | 'values' | 'errors' | 'setValue'>;
  readonly facts: HomeFacts | null;
  /** The entry that is being filled in. */
  readonly initial: object;
  /** Whether what is wrong is told already. */
  readonly told: boolean;
}

export function AskedItem({ item, form, facts, initial, told }: Given) {
  const { field } = item;
  return (
    <Controller
      control={form.control}
      name={field}
      render={({ field: { ref } }) => (
        <ItemInput
          item={item}
          value={form.values[field] ?? ''}
          choices={item.choices?.(facts, { ...initial, ...form.values }) ?? []}
          error={told ? form.errors[field] : undefined}
          inputRef={ref}
          onValue={(value) => form.setValue(field, value)}
        />
      )}
    />
  );
}
