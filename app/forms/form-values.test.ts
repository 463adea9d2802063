import type { Window } from '@dulvan/core';
import fc from 'fast-check';
import type { Units } from '../state/settings';
import type { FormItem } from './form-item';
import { FORM_SPECS } from './form-specs';
import { WHOLE_FORM } from '../parts/typed-schema';
import { formSchema, valuesOf, type Entry } from './form-values';
import type { FormValues } from '../parts/use-draft-form';
import { typedNumber } from '../parts/typed-number';

const METRIC: Units = { temperature: 'C', length: 'cm', light: 'ppfd' };
const INCHES: Units = { temperature: 'F', length: 'in', light: 'lux' };

const window: Window = {
  id: 'w',
  roomId: 'r',
  name: 'Window',
  side: 'a',
  offsetM: 1.2,
  insetM: 0,
  sillM: 0.9,
  widthM: 1.4,
  heightM: 1.2,
  slopeDeg: 90,
  glazingId: 'double',
  frameShare: 0.1,
  dirtShare: 0.05,
  curtains: [{ curtainId: 'sheer', months: [1, 2], fromMinute: 570, toMinute: 1080 }],
  outsideKind: 'open',
  outsideDeg: 0,
  outsideReflectance: 0.2,
  groundReflectance: 0.2,
  revealM: 0,
  overhangM: 0,
  revealReflectance: 0.7,
  overhangAboveM: 0,
};
const { items } = FORM_SPECS.windows;
/** The entry as read, null where it cannot be; and the first message of each field. */
function read(values: FormValues, units: Units, asked: readonly FormItem[] = items) {
  const parsed = formSchema({ list: 'windows', items: asked, initial: entry, facts: null, units }).safeParse(values);
  const issues = parsed.error?.issues.map(({ path, message }) => [String(path[0]), message] as const) ?? [];
  return { entry: parsed.success ? parsed.data : null, errors: Object.fromEntries([...issues].reverse()) };
}
const entry = window as unknown as Entry;

describe('what a form shows and reads', () => {
  it.each([METRIC, INCHES])('gives back the entry it was made from, in any unit', (units) => {
    const parsed = read(valuesOf('windows', items, entry, units), units);
    expect(parsed.errors).toEqual({});
    const back = parsed.entry as unknown as Window;
    expect(back.widthM).toBeCloseTo(window.widthM, 3);
    expect(back.curtains).toEqual(window.curtains);
    expect(back.frameShare).toBeCloseTo(0.1, 6);
  });

  it('shows lengths in centimetres or inches', () => {
    expect(valuesOf('windows', items, entry, METRIC).widthM).toBe('140');
    expect(valuesOf('windows', items, entry, INCHES).widthM).toBe('55.12');
  });

  it('says beside the field what is allowed, in the grower’s unit', () => {
    const values = { ...valuesOf('windows', items, entry, METRIC), widthM: '4000', name: '', frameShare: 'much' };
    const { errors, entry: none } = read(values, METRIC);
    expect(none).toBeNull();
    expect(errors).toEqual({
      widthM: 'From 10 to 2000 cm.',
      name: 'Give it a name.',
      frameShare: expect.stringContaining('From 0 to 90 %') as string,
    });
  });

  it('tells what concerns no field it asks for under a name of its own', () => {
    const onlyName = items.filter(({ field }) => field === 'name');
    const crooked = { ...entry, widthM: -1 } as unknown as Entry;
    const schema = formSchema({ list: 'windows', items: onlyName, initial: crooked, facts: null, units: METRIC });
    expect(schema.safeParse({ name: 'Gable' }).error?.issues[0]?.path).toEqual([WHOLE_FORM]);
  });

  it('reads times of day and refuses odd ones', () => {
    const time: FormItem = { field: 'curtainFromMinute', label: '', kind: 'time' };
    const at = (text: string) => read({ curtainFromMinute: text }, METRIC, [time]);
    expect((at('7:05').entry as unknown as Window).curtains[0]!.fromMinute).toBe(425);
    expect((at('24:00').entry as unknown as Window).curtains[0]!.fromMinute).toBe(1440);
    for (const odd of ['25:00', '7:65', 'soon', '']) expect(at(odd).errors.curtainFromMinute).toBeDefined();
  });
});

describe('numbers as people type them', () => {
  it.each([
    ['1,5', 1.5],
    [' -34.6 ', -34.6],
    ['−3', -3],
    ['.5', 0.5],
    ['1e3', NaN],
    ['', NaN],
    ['1.2.3', NaN],
    ['Infinity', NaN],
  ])('%j is %d', (text, value) => expect(typedNumber(text)).toEqual(value));

  it('are read back as they were written', () => {
    fc.assert(fc.property(fc.integer({ min: -9999, max: 9999 }), (n) => typedNumber(String(n / 100)) === n / 100));
  });
});
