import type { Window } from '@dulvan/core';
import fc from 'fast-check';
import type { Units } from '../../state/settings';
import { FORM_SPECS, type Question } from './form-specs';
import { readForm, typedNumber, valuesOf, type Entry } from './form-values';

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
  curtainId: 'none',
  curtainMonths: [1, 2],
  curtainFromMinute: 570,
  curtainToMinute: 1080,
  outsideKind: 'open',
  outsideDeg: 0,
  outsideReflectance: 0.2,
  groundReflectance: 0.2,
  revealM: 0,
  overhangM: 0,
  overhangAboveM: 0,
  secondCurtainId: 'none',
  secondCurtainMonths: [],
  secondCurtainFromMinute: 0,
  secondCurtainToMinute: 0,
};
const { questions } = FORM_SPECS.windows;
const entry = window as unknown as Entry;

describe('what a form shows and reads', () => {
  it.each([METRIC, INCHES])('gives back the entry it was made from, in any unit', (units) => {
    const reading = readForm('windows', questions, valuesOf(questions, entry, units), entry, null, units);
    expect(reading.errors).toEqual({});
    const back = reading.entry as unknown as Window;
    expect(back.widthM).toBeCloseTo(window.widthM, 3);
    expect(back.curtainFromMinute).toBe(570);
    expect(back.frameShare).toBeCloseTo(0.1, 6);
  });

  it('shows lengths in centimetres or inches', () => {
    expect(valuesOf(questions, entry, METRIC).widthM).toBe('140');
    expect(valuesOf(questions, entry, INCHES).widthM).toBe('55.12');
  });

  it('says beside the field what is allowed, in the grower’s unit', () => {
    const values = { ...valuesOf(questions, entry, METRIC), widthM: '4000', name: '', frameShare: 'much' };
    const { errors, entry: none } = readForm('windows', questions, values, entry, null, METRIC);
    expect(none).toBeNull();
    expect(errors).toEqual({
      widthM: 'From 10 to 2000 cm.',
      name: 'Give it a name.',
      frameShare: expect.stringContaining('From 0 to 90 %') as string,
    });
  });

  it('reads times of day and refuses odd ones', () => {
    const time: Question = { field: 'curtainFromMinute', label: '', kind: 'time' };
    const read = (text: string) => readForm('windows', [time], { curtainFromMinute: text }, entry, null, METRIC);
    expect((read('7:05').entry as unknown as Window).curtainFromMinute).toBe(425);
    expect((read('24:00').entry as unknown as Window).curtainFromMinute).toBe(1440);
    for (const odd of ['25:00', '7:65', 'soon', '']) expect(read(odd).errors.curtainFromMinute).toBeDefined();
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
