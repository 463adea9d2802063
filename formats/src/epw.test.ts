import fc from 'fast-check';
import { YEAR_HOURS, monthlyGlobal } from '@dulvan/core';
import { readEpw } from './index';
import { lineOf, madeEpw } from './made-epw.fixture';
import { FILE_LIMIT } from './parsed';

const plain = madeEpw();
const lines = plain.split('\r\n');

/** A cell of an hour's line changed. */
function withCell(line: number, column: number, cell: string): string {
  const cells = lines[line - 1]!.split(',');
  cells[column] = cell;
  return [...lines.slice(0, line - 1), cells.join(','), ...lines.slice(line)].join('\r\n');
}

function refusal(text: string): { line: number; message: string } {
  const read = readEpw(text);
  if (read.ok) throw new Error('It was read.');
  return read;
}

describe('a year of weather', () => {
  it('is read hour by hour with its station', () => {
    const read = readEpw(plain);
    expect(read).toMatchObject({
      ok: true,
      remarks: [],
      value: {
        name: 'Herring Sound',
        latitude: 56.4,
        longitude: -2.7,
        elevationM: 8,
        utcOffsetH: 0,
        years: 'months of 5 years from 2001 to 2005',
      },
    });
    if (!read.ok) return;
    const { hours } = read.value;
    expect(hours).toHaveLength(YEAR_HOURS);
    const noon = lines[lineOf(172, 12) - 1]!.split(',');
    expect(hours[171 * 24 + 11]).toEqual({
      global: Number(noon[13]),
      dni: Number(noon[14]),
      dhi: Number(noon[15]),
      celsius: Number(noon[6]),
      rh: Number(noon[8]),
    });
    const months = monthlyGlobal(hours);
    expect(Math.max(...months)).toBe(Math.max(months[5]!, months[6]!, months[4]!));
  });

  it('of a leap year leaves 29 February out and says so', () => {
    const read = readEpw(madeEpw({ leap: 'yes' }));
    expect(read).toMatchObject({ ok: true, remarks: ['A leap year: 29 February is left out.'] });
    if (read.ok) expect(read.value.hours).toHaveLength(YEAR_HOURS);
  });

  it('gives diffuse or direct light back from the other two', () => {
    const line = lineOf(181, 12);
    const whole = lines[line - 1]!.split(',');
    for (const column of [13, 14, 15]) {
      const read = readEpw(withCell(line, column, '9999'));
      expect(read.ok).toBe(true);
      if (!read.ok) return;
      const hour = read.value.hours[180 * 24 + 11]!;
      const wanted = { global: Number(whole[13]), dni: Number(whole[14]), dhi: Number(whole[15]) };
      for (const field of ['global', 'dni', 'dhi'] as const)
        expect(Math.abs(hour[field] - wanted[field])).toBeLessThanOrEqual(Math.max(3, wanted[field] * 0.02));
    }
  });

  it('has single missing hours filled from the days around, and tells how many', () => {
    const cells = lines[lineOf(100, 12) - 1]!.split(',');
    for (const column of [13, 14, 15]) cells[column] = '9999';
    const read = readEpw(madeEpw({ instead: { [lineOf(100, 12)]: cells.join(',') } }));
    expect(read).toMatchObject({
      ok: true,
      remarks: ['1 hours without light values were filled from the days around them.'],
    });
    if (read.ok) expect(read.value.hours[99 * 24 + 11]!.global).toBeGreaterThan(0);
  });
});

describe('a broken file of weather', () => {
  it.each([
    ['an empty one', '', 1, 'LOCATION'],
    ['one of another kind', 'a,b\n1,2\n', 1, 'LOCATION'],
    ['a header line missing', lines.filter((_, i) => i !== 3).join('\n'), 4, 'GROUND TEMPERATURES'],
    [
      'two records an hour',
      madeEpw({ instead: { 8: 'DATA PERIODS,1,2,Data,Sunday,1/1,12/31' } }),
      8,
      '2 records an hour',
    ],
    ['several periods', madeEpw({ instead: { 8: 'DATA PERIODS,2,1,Data,Sunday,1/1,6/30' } }), 8, '2 data periods'],
    [
      'a latitude beyond the pole',
      madeEpw({ instead: { 1: 'LOCATION,X,-,-,x,0,96,0,0,8' } }),
      1,
      'Latitude: from -90 to 90',
    ],
    ['a year cut short', lines.slice(0, 5000).join('\n'), 5000, 'a year has 8760'],
    ['a word for a number', withCell(lineOf(40, 10), 13, 'bright'), lineOf(40, 10), 'Global horizontal radiation'],
    ['more light than there is', withCell(lineOf(40, 10), 14, '2300'), lineOf(40, 10), 'from 0 to 1500'],
    [
      'an hour twice',
      madeEpw({ instead: { [lineOf(60, 8)]: lines[lineOf(60, 7) - 1]! } }),
      lineOf(60, 8),
      'without gap',
    ],
    ['too few fields', madeEpw({ instead: { [lineOf(9, 1)]: '2001,1,9,1,60' } }), lineOf(9, 1), 'here are 5'],
  ])('%s is refused with the line and the reason', (_name, text, line, reason) => {
    const { line: at, message } = refusal(text);
    expect(at).toBe(line);
    expect(message).toContain(reason);
  });

  it('has missing air filled from the hours around, and leaves it out where too much of it is missing', () => {
    const line = lineOf(50, 12);
    const read = readEpw(withCell(line, 6, '99.9'));
    expect(read.ok && read.value.hours[49 * 24 + 11]!.celsius).toBe(10);
    expect(read.ok && read.remarks.join()).toContain('1 hours without temperature or humidity');
    const without = lines.map((one, i) => {
      const cells = one.split(',');
      if (i >= lineOf(1, 1) - 1 && i < lineOf(60, 1)) cells[8] = '999';
      return cells.join(',');
    });
    const light = readEpw(without.join('\r\n'));
    expect(light.ok && light.value.hours[0]!.celsius).toBeUndefined();
    expect(light.ok && light.remarks.join()).toContain('the air from the climate');
  });

  it.each([
    [6, '70', 'Dry bulb temperature'],
    [6, 'warm', 'Dry bulb temperature'],
    [8, '130', 'Relative humidity'],
  ])('with air that cannot be (column %i: %s) is refused with the line', (column, cell, message) => {
    const line = lineOf(50, 12);
    const read = readEpw(withCell(line, column, cell));
    expect(read).toMatchObject({ ok: false, line });
    if (!read.ok) expect(read.message).toContain(message);
  });

  it('is refused when a tenth of its light is missing', () => {
    const instead = Object.fromEntries(
      Array.from({ length: 80 }, (_, day) => day + 120).flatMap((day) =>
        [9, 10, 11, 12, 13, 14].map((hour) => {
          const cells = lines[lineOf(day, hour) - 1]!.split(',');
          for (const column of [13, 14, 15]) cells[column] = '9999';
          return [lineOf(day, hour), cells.join(',')];
        }),
      ),
    );
    expect(refusal(madeEpw({ instead })).message).toContain('Light is missing in 480 hours');
  });

  it('is refused when its clock and its place do not belong together', () => {
    const shifted = plain.replace(',56.4,-2.7,0,8', ',56.4,-2.7,9,8');
    expect(refusal(shifted).message).toContain('while the sun is down');
  });

  it.each([
    ['its beam is thrice what the sky gave', 14, 3, 0, 'contradict each other'],
    ['its diffuse light is more than all of it', 15, 3, 200, 'that it is a part of'],
  ])('is refused when %s', (_what, column, times, more, reason) => {
    const changed = lines.map((line, i) => {
      const cells = line.split(',');
      if (i < 8 || line === '' || Number(cells[13]) === 0) return line;
      cells[column] = String(Math.min(1400, Number(cells[column]) * times + more));
      return cells.join(',');
    });
    expect(refusal(changed.join('\r\n')).message).toContain(reason);
  });

  it.each([
    ['early', 1],
    ['late', -1],
  ])('is refused when its clock is an hour %s, with the zone its light fits', (_way, shift) => {
    const head = lines[0]!.split(',');
    head[8] = String(Number(head[8]) + shift);
    const off = refusal([head.join(','), ...lines.slice(1)].join('\r\n'));
    expect(off).toMatchObject({ line: 1 });
    expect(off.message).toMatch(/clock is off by an hour.*fits UTC\+0\.$/);
  });

  it('beyond the limit is refused before it is looked at', () => {
    expect(refusal('x'.repeat(FILE_LIMIT + 1)).message).toContain('larger than 50 MB');
  });

  it('never throws, whatever was done to it', () => {
    fc.assert(
      fc.property(
        fc.nat(lines.length - 1),
        fc.string({ maxLength: 60 }),
        fc.constantFrom('replace', 'insert', 'cut'),
        (at, junk, how) => {
          const changed =
            how === 'replace'
              ? [...lines.slice(0, at), junk, ...lines.slice(at + 1)]
              : how === 'insert'
                ? [...lines.slice(0, at), junk, ...lines.slice(at)]
                : lines.slice(0, at);
          const read = readEpw(changed.join('\n'));
          if (read.ok) expect(read.value.hours).toHaveLength(YEAR_HOURS);
          else expect(read.message.length).toBeGreaterThan(5);
        },
      ),
      { numRuns: 25 },
    );
    fc.assert(fc.property(fc.string({ maxLength: 400 }), (text) => expect(readEpw(text).ok).toBe(false)));
  });
});
