/** Photometric files in and out, of every symmetry, and what is done with broken ones. */
import fc from 'fast-check';
import { candelaAt, fluxOf } from '@dulvan/core';
import { photometrySchema } from '@dulvan/contract';
import { readEulumdat, readLm63, writeEulumdat, writeLm63, type ParsedFile, type ParsedPhotometry } from './index';
import { readIntensities, writeIntensities } from './attachments';
import { FILE_LIMIT } from './parsed';

const ANGLES = [0, 15, 30, 45, 60, 75, 90];
const lambert = (peak: number) => ANGLES.map((angle) => Number((peak * Math.cos((angle * Math.PI) / 180)).toFixed(3)));

function value(read: ParsedFile<ParsedPhotometry>): ParsedPhotometry {
  if (!read.ok) throw new Error(`Line ${read.line}: ${read.message}`);
  return read.value;
}

const reasonOf = (read: ParsedFile<ParsedPhotometry>) => (read.ok ? 'read' : `${read.line}: ${read.message}`);

interface Ies {
  readonly head?: readonly string[];
  readonly tilt?: readonly string[];
  readonly planes?: readonly number[];
  readonly angles?: readonly number[];
  readonly type?: number;
  readonly units?: number;
  readonly lumens?: number;
  readonly multiplier?: number;
  readonly ballast?: string;
  readonly row?: (plane: number) => readonly number[];
}

function ies({
  head = ['IESNA:LM-63-2002', '[TEST] 1', '[MANUFAC] Own workshop', '[LUMINAIRE] Shelf bar'],
  tilt = ['TILT=NONE'],
  planes = [0],
  angles = ANGLES,
  type = 1,
  units = 2,
  lumens = 1000,
  multiplier = 1,
  ballast = '1 1 20',
  row = () => lambert(300),
}: Ies = {}): string {
  return [
    ...head,
    ...tilt,
    `1 ${lumens} ${multiplier} ${angles.length} ${planes.length} ${type} ${units} 0.1 0.6 0`,
    ballast,
    angles.join(' '),
    planes.join(' '),
    ...planes.map((plane) => row(plane).join(' ')),
  ].join('\n');
}

describe('LM-63', () => {
  it.each([
    ['2002', ['IESNA:LM-63-2002', '[LUMINAIRE] Bar']],
    ['1995', ['IESNA:LM-63-1995', '[LUMINAIRE] Bar']],
    ['1991', ['IESNA91', '[LUMINAIRE] Bar']],
    ['1986, without a first line or keywords', ['Bar']],
  ])('of %s is read', (_year, head) => {
    expect(value(readLm63(ies({ head })))).toMatchObject({
      name: 'Bar',
      lumens: 1000,
      powerW: 20,
      lengthM: 0.6,
      breadthM: 0.1,
      planes: [0],
      angles: ANGLES,
    });
  });

  it('counts in multiplier, ballast factors and tilt', () => {
    const plain = value(readLm63(ies())).candela;
    const factored = value(
      readLm63(ies({ multiplier: 2, ballast: '0.9 0.5 20', tilt: ['TILT=INCLUDE', '1', '3', '0 45 90', '0.8 0.9 1'] })),
    ).candela;
    factored.forEach((candela, i) => expect(candela).toBeCloseTo(plain[i]! * 2 * 0.9 * 0.5 * 0.8, 6));
  });

  it('whose tilt stands elsewhere is read with a remark', () => {
    const read = readLm63(ies({ tilt: ['TILT=OTHER.TLT'] }));
    expect(read.ok && read.remarks[0]).toContain('another file');
  });

  it('in feet is turned into metres, and absolute ones get the flux of their intensities', () => {
    const read = value(readLm63(ies({ units: 1, lumens: -1 })));
    expect(read.lengthM).toBeCloseTo(0.6 * 0.3048, 9);
    // A Lambertian of 300 cd has pi times 300 lm, less what straight lines between seven angles lose.
    expect(Math.abs(read.lumens / (Math.PI * 300) - 1)).toBeLessThan(0.03);
  });

  it('of each symmetry says the same of each direction', () => {
    const oval = (plane: number) =>
      lambert(300).map((candela) => candela * (1 + 0.5 * Math.cos((2 * plane * Math.PI) / 180)));
    const quarter = value(readLm63(ies({ planes: [0, 30, 60, 90], row: oval })));
    const half = value(readLm63(ies({ planes: [0, 30, 60, 90, 120, 150, 180], row: oval })));
    const whole = value(readLm63(ies({ planes: Array.from({ length: 13 }, (_, i) => i * 30), row: oval })));
    const across = value(readLm63(ies({ planes: [90, 120, 150, 180, 210, 240, 270], row: oval })));
    for (const plane of [0, 17, 75, 100, 190, 265, 350]) {
      for (const angle of [0, 20, 77]) {
        const wanted = candelaAt(whole, plane, angle);
        for (const read of [quarter, half, across]) expect(candelaAt(read, plane, angle)).toBeCloseTo(wanted, 6);
      }
    }
  });

  it('of types A and B is turned round the vertical', () => {
    const level = [-90, -60, -30, 0, 30, 60, 90];
    for (const type of [2, 3]) {
      const even = value(readLm63(ies({ type, angles: level, planes: level, row: () => level.map(() => 100) })));
      expect(candelaAt(even, 40, 50)).toBeCloseTo(100, 6);
      const halves = value(
        readLm63(
          ies({
            type,
            angles: [0, 30, 60, 90],
            planes: [0, 30, 60, 90],
            row: (plane) => [400, 300, 200, 100].map((candela) => candela - plane),
          }),
        ),
      );
      expect(candelaAt(halves, 0, 30)).toBeCloseTo(candelaAt(halves, 180, 30), 6);
      expect(candelaAt(halves, 90, 30)).toBeCloseTo(candelaAt(halves, 270, 30), 6);
      expect(candelaAt(halves, 0, 0)).toBeCloseTo(400, 6);
    }
  });

  it.each([
    ['no TILT line', 'hello\nworld', '1: No line TILT='],
    [
      'a word among the numbers',
      ies().replace('0.1 0.6 0', '0.1 wide 0'),
      '6: a size of the opening should be a number',
    ],
    ['angles that fall', ies({ angles: [0, 30, 20, 45, 60, 75, 90] }), '8: Vertical angles must rise'],
    ['an odd stretch of planes', ies({ planes: [0, 30] }), 'Horizontal angles run from 0 to 30'],
    ['an end too soon', ies().split('\n').slice(0, -1).join('\n'), 'ends before an intensity'],
    ['no light at all', ies({ row: () => ANGLES.map(() => 0) }), 'gives no light'],
    ['a million angles', ies().replace(' 7 1 1 2 ', ' 1000000 1 1 2 '), 'from 2 to 361'],
  ])('with %s is refused', (_name, text, reason) => {
    expect(reasonOf(readLm63(text))).toContain(reason);
  });
});

interface Ldt {
  readonly symmetry?: number;
  readonly planes?: readonly number[];
  readonly stored?: readonly number[];
  readonly lumens?: string;
  readonly row?: (plane: number) => readonly number[];
}

function ldt({
  symmetry = 1,
  planes = [0],
  stored = [0],
  lumens = '2000',
  row = () => lambert(300),
}: Ldt = {}): string {
  return [
    'Own workshop',
    '2',
    String(symmetry),
    String(planes.length),
    '30',
    String(ANGLES.length),
    '15',
    '',
    'Bench panel',
    '',
    '',
    '',
    '1000',
    '300',
    '40',
    '900',
    '250',
    '0',
    '0',
    '0',
    '0',
    '100',
    '100',
    '1',
    '0',
    '1',
    '1',
    'LED',
    lumens,
    '4000',
    '80',
    '25',
    ...Array<string>(10).fill('0.5'),
    ...planes.map(String),
    ...ANGLES.map(String),
    ...stored.flatMap((plane) => row(plane).map(String)),
  ].join('\r\n');
}

const CIRCLE = Array.from({ length: 12 }, (_, i) => i * 30);

describe('EULUMDAT', () => {
  it('is read with its lamp, sizes and intensities for each thousand lumens', () => {
    const read = value(readEulumdat(ldt()));
    expect(read).toMatchObject({
      name: 'Own workshop, Bench panel',
      lumens: 2000,
      powerW: 25,
      lengthM: 0.9,
      breadthM: 0.25,
      planes: [0],
    });
    expect(read.candela[0]).toBeCloseTo(600, 6);
  });

  it('of each symmetry says the same of each direction, its planes counted from the length', () => {
    const oval = (plane: number) =>
      lambert(300).map((candela) => candela * (1 + 0.5 * Math.cos((2 * plane * Math.PI) / 180)));
    const whole = value(readEulumdat(ldt({ symmetry: 0, planes: CIRCLE, stored: CIRCLE, row: oval })));
    const others = [
      ldt({ symmetry: 2, planes: CIRCLE, stored: CIRCLE.slice(0, 7), row: oval }),
      ldt({ symmetry: 3, planes: CIRCLE, stored: [270, 300, 330, 0, 30, 60, 90], row: oval }),
      ldt({ symmetry: 4, planes: CIRCLE, stored: CIRCLE.slice(0, 4), row: oval }),
    ].map((text) => value(readEulumdat(text)));
    for (const plane of [0, 45, 90, 130, 200, 275, 359]) {
      for (const angle of [5, 40, 85])
        for (const read of others) expect(candelaAt(read, plane, angle)).toBeCloseTo(candelaAt(whole, plane, angle), 6);
    }
    // Brightest across the lamp in the file (its plane 0): a quarter turn from the length here.
    expect(candelaAt(whole, 90, 30)).toBeGreaterThan(candelaAt(whole, 0, 30));
  });

  it.each([
    ['nothing in it', '', '1: The file ends before the kind of source'],
    ['a symmetry that is none', ldt({ symmetry: 7 }), '3: the symmetry: from 0 to 4'],
    ['planes that cannot be parted', ldt({ symmetry: 4, planes: [0, 30, 60], stored: [0] }), 'cannot be parted into 4'],
    ['no lumens', ldt({ lumens: '0' }), 'states no lumens'],
    ['an end too soon', ldt().split('\r\n').slice(0, -2).join('\r\n'), 'ends before an intensity'],
    ['a word for a number', ldt().replace('2000', 'bright'), '29: lumens of the lamps should be a number'],
  ])('with %s is refused', (_name, text, reason) => {
    expect(reasonOf(readEulumdat(text))).toContain(reason);
  });
});

describe('a lamp written and read again', () => {
  const angle = fc
    .integer({ min: 3, max: 9 })
    .map((count) => Array.from({ length: count }, (_, i) => Number(((i * 90) / (count - 1)).toFixed(2))));
  const lamp = fc
    .record({
      angles: angle,
      planes: fc.constantFrom([0], [0, 45, 90], [0, 60, 120, 180], [0, 90, 180, 270, 360]),
      lumens: fc.integer({ min: 50, max: 9000 }),
      powerW: fc.integer({ min: 1, max: 300 }),
    })
    .chain((head) =>
      fc
        .array(fc.integer({ min: 1, max: 900 }), {
          minLength: head.angles.length * head.planes.length,
          maxLength: head.angles.length * head.planes.length,
        })
        .map((candela) => ({ ...head, name: 'Made up', lengthM: 0.6, breadthM: 0.1, candela })),
    );

  it('is the same through LM-63', () => {
    fc.assert(
      fc.property(lamp, (given) => {
        const read = value(readLm63(writeLm63(given)));
        expect(read).toMatchObject({
          planes: given.planes,
          angles: given.angles,
          candela: given.candela,
          lumens: given.lumens,
          powerW: given.powerW,
        });
        expect(problemsIn(read)).toEqual([]);
      }),
      { numRuns: 40 },
    );
  });

  it('shines the same way through EULUMDAT, where its planes are written', () => {
    fc.assert(
      fc.property(lamp, (given) => {
        const closed = {
          ...given,
          candela:
            given.planes.length === 5
              ? [...given.candela.slice(0, -given.angles.length), ...given.candela.slice(0, given.angles.length)]
              : given.candela,
        };
        const read = value(readEulumdat(writeEulumdat(closed)));
        for (const plane of [0, 90, 180, 270]) {
          for (const at of given.angles)
            expect(Math.abs(candelaAt(read, plane, at) - candelaAt(closed, plane, at))).toBeLessThan(
              0.02 + given.lumens / 1e5,
            );
        }
        expect(fluxOf(read)).toBeGreaterThan(0);
      }),
      { numRuns: 30 },
    );
  });
});

/** What keeps a lamp that was read from being stored: its file, then what the home says of it. */
function problemsIn({ planes, angles, candela, ...lamp }: ParsedPhotometry): unknown[] {
  const file = readIntensities(writeIntensities({ planes, angles, candela }));
  const stored = photometrySchema.safeParse({ id: 'x', homeId: 'h', fileKey: '0'.repeat(64), ...lamp });
  return [...(file.ok ? [] : [file.message]), ...(stored.error?.issues ?? [])];
}

describe('junk', () => {
  it('never throws and is never read in part', () => {
    const whole = [ies({ planes: [0, 45, 90] }), ldt({ symmetry: 4, planes: CIRCLE, stored: CIRCLE.slice(0, 4) })];
    fc.assert(
      fc.property(
        fc.constantFrom(...whole),
        fc.nat(400),
        fc.string({ maxLength: 12 }),
        fc.constantFrom(0, 1, 30),
        (text, at, junk, gone) => {
          const changed = text.slice(0, at) + junk + text.slice(at + gone);
          for (const read of [readLm63(changed), readEulumdat(changed)]) {
            if (read.ok) expect(problemsIn(read.value)).toEqual([]);
            else expect(read.message.length).toBeGreaterThan(5);
          }
        },
      ),
      { numRuns: 400 },
    );
    fc.assert(
      fc.property(fc.string({ maxLength: 300 }), (text) =>
        expect(readLm63(text).ok || readEulumdat(text).ok).toBe(false),
      ),
    );
  });

  it('beyond the limit is refused', () => {
    const long = 'x'.repeat(FILE_LIMIT + 1);
    expect(reasonOf(readLm63(long))).toContain('larger than 50 MB');
    expect(reasonOf(readEulumdat(long))).toContain('larger than 50 MB');
  });
});
