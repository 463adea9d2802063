/** Files that answers are made from, and the pieces that long files come in. */
import fc from 'fast-check';
import { readIntensities, readWeatherHours, writeIntensities, writeWeatherHours } from './attachments';
import { LineCutter } from './lines';

const irradiance = fc.nat(1400);
const hour = fc.record({ global: irradiance, dni: irradiance, dhi: irradiance });

describe('weather hours', () => {
  const some = Array.from({ length: 8760 }, (_, i) => ({ global: i % 900, dni: i % 700, dhi: i % 300 }));
  const text = writeWeatherHours(some);

  it('are read back as they were written', () => {
    expect(readWeatherHours(text)).toMatchObject({ ok: true, value: some });
    fc.assert(
      fc.property(fc.array(hour, { minLength: 24, maxLength: 24 }), (day) => {
        const year = [...day, ...some.slice(24)];
        expect(readWeatherHours(writeWeatherHours(year))).toMatchObject({ ok: true, value: year });
      }),
      { numRuns: 10 },
    );
  });

  it('are read with their air where they have it', () => {
    const airy = some.map((one, i) => ({ ...one, celsius: Math.round((i % 300) - 100) / 10, rh: i % 100 }));
    const written = writeWeatherHours(airy);
    expect(readWeatherHours(written)).toMatchObject({ ok: true, value: airy });
    const read = readWeatherHours(written.replace('\n3,3,3,-9.7,3\n', '\n3,3,3,-97,3\n'));
    expect(read).toMatchObject({ ok: false, line: 5 });
  });

  it.each([
    ['a line too many', `${text}1,1,1\n`, 8762, '8761 hours; a year has 8760'],
    ['another head', text.replace('global', 'total'), 1, 'The first line must be'],
    ['a word', text.replace('\n3,3,3\n', '\n3,much,3\n'), 5, 'Three whole numbers'],
    ['too much light', text.replace('\n3,3,3\n', '\n3000,3,3\n'), 5, 'from 0 to 2000'],
    ['one light all year', writeWeatherHours(some.map(() => some[9]!)), 2, 'not on this earth'],
  ])('with %s are refused with the line', (_what, broken, line, message) => {
    const read = readWeatherHours(broken);
    expect(read).toMatchObject({ ok: false, line });
    if (!read.ok) expect(read.message).toContain(message);
  });
});

describe('intensities', () => {
  const bar = { planes: [0, 90], angles: [0, 45, 90], candela: [280, 200, 0, 280, 150, 0] };

  it('are read back as they were written', () => {
    expect(readIntensities(writeIntensities(bar))).toMatchObject({ ok: true, value: bar });
  });

  it.each([
    ['angles that fall', { ...bar, angles: [0, 90, 45] }, 'Angles must rise'],
    ['an intensity missing', { ...bar, candela: bar.candela.slice(1) }, 'One intensity for each'],
    ['no light', { ...bar, candela: bar.candela.map(() => 0) }, 'gives no light'],
    ['something else', { ...bar, name: 'Bar' }, 'name'],
  ])('with %s are refused', (_what, broken, message) => {
    const read = readIntensities(JSON.stringify(broken));
    expect(read.ok).toBe(false);
    if (!read.ok) expect(read.message).toContain(message);
  });
});

it('lines are cut the same wherever their bytes come apart', () => {
  fc.assert(
    fc.property(fc.array(fc.string({ unit: 'grapheme' })), fc.integer({ min: 1, max: 9 }), (given, size) => {
      const lines = given.map((line) => line.replace(/[\r\n]/g, ' '));
      const bytes = new TextEncoder().encode(lines.join('\n'));
      const cutter = new LineCutter();
      const cut = [];
      for (let at = 0; at < bytes.length; at += size) cut.push(...cutter.push(bytes.slice(at, at + size), 'middle'));
      cut.push(...cutter.push(new Uint8Array(), 'end'));
      const wanted = lines.map((text, i) => ({ text, line: i + 1 })).filter(({ text }) => text !== '');
      expect(cut).toEqual(wanted);
    }),
  );
});
