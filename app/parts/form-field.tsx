/**
 * A field of text in a form that keeps its draft: told what is wrong once it was typed into, or a save was asked for.
 * That it is left does not count: a message that comes then would move what is being pressed from under the finger.
 */
import { Controller } from 'react-hook-form';
import { Field, type FieldGiven } from '../ui/field';
import type { DraftForm } from './use-draft-form';

interface Given<Entry> extends Omit<FieldGiven, 'value' | 'onValue' | 'error' | 'inputRef'> {
  readonly form: DraftForm<Entry>;
  readonly name: string;
}

export function FormField<Entry>({ form, name, ...field }: Given<Entry>) {
  const told = form.submitted || form.isTouched(name);
  return (
    <Controller
      control={form.control}
      name={name}
      render={({ field: { ref } }) => (
        <Field
          {...field}
          value={form.values[name] ?? ''}
          onValue={(value) => form.setValue(name, value)}
          inputRef={ref}
          error={told ? form.errors[name] : undefined}
        />
      )}
    />
  );
}
