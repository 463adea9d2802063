/** Of what a form asks for several times over: one more, or the last one out. */
import { Button } from '../ui/button';
import { Row } from '../ui/page';
import type { DraftForm } from './use-draft-form';

interface Given<Entry> {
  /** Its field `count` says how many there are. */
  readonly form: DraftForm<Entry>;
  readonly most: number;
  readonly more: string;
  readonly fewer: string;
}

export const countIn = <Entry,>({ values }: DraftForm<Entry>): number => Number(values.count);

export function MoreOrFewer<Entry>({ form, most, more, fewer }: Given<Entry>) {
  const count = countIn(form);
  const set = (next: number) => form.setValue('count', String(next));
  return (
    <Row>
      {count < most ? <Button onPress={() => set(count + 1)}>{more}</Button> : null}
      {count > 1 ? (
        <Button kind="quiet" onPress={() => set(count - 1)}>
          {fewer}
        </Button>
      ) : null}
    </Row>
  );
}
