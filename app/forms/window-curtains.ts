/** A window's curtains as a form asks for them, one after the other, and as they are kept: a list. */
import type { HungCurtain, Window } from '@dulvan/core';
import { hungAnew } from '../parts/curtains';

type Fields = Readonly<Record<string, unknown>>;

const NONE = 'none';

/** The fields of each curtain on the form. */
const PLACES = [
  { id: 'curtainId', months: 'curtainMonths', from: 'curtainFromMinute', to: 'curtainToMinute' },
  {
    id: 'secondCurtainId',
    months: 'secondCurtainMonths',
    from: 'secondCurtainFromMinute',
    to: 'secondCurtainToMinute',
  },
] as const;

/** A window with a field for each thing that is asked about its curtains. */
export function asked(window: Fields): Fields {
  const { curtains, ...rest } = window;
  const list = (curtains ?? []) as Window['curtains'];
  const fields = PLACES.map(({ id, months, from, to }, i) => {
    const curtain: HungCurtain = list[i] ?? hungAnew(NONE);
    return { [id]: curtain.curtainId, [months]: curtain.months, [from]: curtain.fromMinute, [to]: curtain.toMinute };
  });
  return Object.assign({ ...rest }, ...fields) as Fields;
}

/** The window as it is kept. */
export function kept(form: Fields): Fields {
  const rest: Record<string, unknown> = { ...form };
  const curtains = PLACES.map(({ id, months, from, to }) => {
    const curtain = { curtainId: form[id], months: form[months], fromMinute: form[from], toMinute: form[to] };
    for (const field of [id, months, from, to]) delete rest[field];
    return curtain;
  });
  return { ...rest, curtains: curtains.filter(({ curtainId }) => curtainId !== NONE) };
}

/** The form's field that a message about the list belongs to. @param path of the issue, beginning with `curtains` */
export function fieldOf(form: Fields, path: readonly PropertyKey[], message: string): string {
  const hung = PLACES.filter(({ id }) => form[id] !== NONE);
  const place = hung[typeof path[1] === 'number' ? path[1] : message.startsWith('The second') ? 1 : 0] ?? PLACES[0];
  const field = { curtainId: place.id, months: place.months, fromMinute: place.from, toMinute: place.to };
  return field[String(path[2]) as keyof typeof field] ?? place.to;
}
