/** Reads and writes photometric files of IES LM-63: 1986, 1991, 1995 and 2002, every symmetry, lamp tilt included or not. */
import { candelaAt } from '@dulvan/core';
import { Broken, parseText, quoted, type ParsedFile } from './parsed';
import { MOST_ANGLES, finished, heldRising, type ParsedPhotometry } from './photometry-file';

const M_PER_FOOT = 0.3048;

/** Reads an LM-63 file. Types A and B, whose poles lie level, are turned into planes round the vertical. */
export function readLm63(text: string): ParsedFile<ParsedPhotometry> {
  return parseText(text, readText);
}

/** The numbers after the TILT line, with the line each stands on. */
class Numbers {
  private at = 0;
  private constructor(
    private readonly tokens: readonly { readonly text: string; readonly line: number }[],
    private readonly lastLine: number,
  ) {}

  static of(lines: readonly string[], firstLine: number): Numbers {
    const tokens = lines.flatMap((line, i) =>
      line
        .split(/[\s,]+/)
        .filter((token) => token !== '')
        .map((token) => ({ text: token, line: firstLine + i })),
    );
    return new Numbers(tokens, firstLine + lines.length - 1);
  }

  next(what: string, from = -Infinity, to = Infinity): number {
    const token = this.tokens[this.at];
    if (!token) throw new Broken(this.lastLine, `The file ends before ${what}.`);
    const value = /^[-+]?(\d+\.?\d*|\.\d+)([eE][-+]?\d+)?$/.test(token.text) ? Number(token.text) : NaN;
    if (!Number.isFinite(value))
      throw new Broken(token.line, `${what} should be a number; here stands ${quoted(token.text)}.`);
    if (value < from || value > to)
      throw new Broken(token.line, `${what}: from ${from} to ${to}; here stands ${value}.`);
    this.at++;
    return value;
  }

  whole(what: string, from: number, to: number): number {
    const value = this.next(what, from, to);
    if (!Number.isInteger(value))
      throw new Broken(this.line, `${what} should be a whole number; here stands ${value}.`);
    return value;
  }

  list(count: number, what: string, from = -Infinity, to = Infinity): number[] {
    return Array.from({ length: count }, () => this.next(what, from, to));
  }

  get line(): number {
    return this.tokens[Math.max(0, this.at - 1)]?.line ?? this.lastLine;
  }
}

function readText(text: string, remarks: string[]): ParsedPhotometry {
  const lines = text.split(/\r\n|\r|\n/);
  const tiltAt = lines.findIndex((line) => /^\s*TILT\s*=/i.test(line));
  if (tiltAt < 0 || tiltAt > 2000) throw new Broken(1, 'No line TILT= in its head: this is no LM-63 file.');
  const name = nameOf(lines.slice(0, tiltAt));
  const numbers = Numbers.of(lines.slice(tiltAt + 1), tiltAt + 2);
  const tilt = tiltFactor(lines[tiltAt]!.split('=')[1]!.trim(), numbers, remarks);
  const lamps = numbers.next('the number of lamps', 0, 1000);
  const lumensPerLamp = numbers.next('lumens for each lamp', -1, 1_000_000);
  const multiplier = numbers.next('the candela multiplier', 0, 1_000_000);
  const verticals = numbers.whole('the number of vertical angles', 2, MOST_ANGLES);
  const horizontals = numbers.whole('the number of horizontal angles', 1, MOST_ANGLES);
  const type = numbers.whole('the photometric type', 1, 3);
  const units = numbers.whole('the unit of length (1 feet, 2 metres)', 1, 2);
  const unit = units === 1 ? M_PER_FOOT : 1;
  // Below 0 stands for a round or rounded opening of that size.
  const size = () => Math.min(10, Math.abs(numbers.next('a size of the opening', -100, 100)) * unit);
  const breadthM = size();
  const lengthM = size();
  size();
  const ballast = numbers.next('the ballast factor', 0, 10);
  const further = numbers.next('the ballast-lamp factor', 0, 10);
  const powerW = numbers.next('input watts', 0, 10_000);
  const level = type === 1;
  const angles = numbers.list(verticals, 'a vertical angle', level ? 0 : -90, level ? 180 : 90);
  heldRising(angles, numbers.line, 'Vertical angles');
  const planes = numbers.list(horizontals, 'a horizontal angle', level ? 0 : -90, level ? 360 : 90);
  heldRising(planes, numbers.line, 'Horizontal angles');
  const factor = multiplier * (ballast || 1) * (further || 1) * tilt;
  const candela = numbers.list(verticals * horizontals, 'an intensity', 0, 10_000_000).map((value) => value * factor);
  const measured = { planes, angles, candela };
  const round = level ? aroundVertical(measured, numbers.line) : turnedFromLevel(measured, type);
  const lumens = lumensPerLamp < 0 ? 0 : lamps * lumensPerLamp;
  return finished({ name, lumens, powerW, lengthM, breadthM, ...round }, numbers.line, remarks);
}

/** The name from keywords, or from the first line of an old file. */
function nameOf(head: readonly string[]): string {
  const keyword = (key: string) =>
    head
      .find((line) => line.trim().toUpperCase().startsWith(`[${key}]`))
      ?.trim()
      .slice(key.length + 2)
      .trim();
  const named = [keyword('MANUFAC'), keyword('LUMINAIRE') ?? keyword('LUMCAT')].filter(Boolean).join(', ');
  return (
    named || keyword('LAMP') || head.find((line) => line.trim() !== '' && !/^IESNA/i.test(line.trim()))?.trim() || ''
  );
}

/** Factor of a lamp's own tilt when the fitting hangs level. */
function tiltFactor(tilt: string, numbers: Numbers, remarks: string[]): number {
  if (/^NONE$/i.test(tilt)) return 1;
  if (!/^INCLUDE$/i.test(tilt)) {
    remarks.push(`The factors of the lamp’s tilt stand in another file (${quoted(tilt)}) and are taken for 1.`);
    return 1;
  }
  numbers.whole('the lamp’s place in the fitting', 1, 3);
  const count = numbers.whole('the number of tilt angles', 1, MOST_ANGLES);
  const angles = numbers.list(count, 'a tilt angle', 0, 360);
  const factors = numbers.list(count, 'a tilt factor', 0, 10);
  const levelAt = angles.findIndex((angle) => angle === 0);
  remarks.push('The lamp’s tilt factors are read for a fitting that hangs level.');
  return levelAt >= 0 ? factors[levelAt]! : 1;
}

interface Spread {
  readonly planes: readonly number[];
  readonly angles: readonly number[];
  readonly candela: readonly number[];
}

/** Type C. Planes from 0 stand as they are; 90 to 270 (alike to the left and right of the breadth) are spread over the whole circle. */
function aroundVertical(measured: Spread, line: number): Spread {
  const { planes, angles, candela } = measured;
  const first = planes[0]!;
  const last = planes[planes.length - 1]!;
  if (first === 0 && (last === 0 || last === 90 || last === 180 || last > 180))
    return last > 180 && last < 360 ? closed(measured) : measured;
  if (first === 90 && last === 270) {
    const row = (plane: number) => candela.slice(plane * angles.length, (plane + 1) * angles.length);
    const whole = planes.map((plane, i) => ({ plane, row: row(i) }));
    const mirrored = planes.flatMap((plane, i) =>
      plane > 90 && plane < 270 ? [{ plane: (540 - plane) % 360, row: row(i) }] : [],
    );
    const rows = [...whole, ...mirrored].sort((p, q) => p.plane - q.plane);
    return closed({
      planes: rows.map(({ plane }) => plane),
      angles,
      candela: rows.flatMap(({ row: values }) => values),
    });
  }
  throw new Broken(
    line,
    `Horizontal angles run from ${first} to ${last}; known are 0 alone, 0 to 90, 0 to 180, 0 to 360 and 90 to 270.`,
  );
}

/** Ends a circle of planes where it began. */
function closed({ planes, angles, candela }: Spread): Spread {
  if (planes[0] !== 0 || planes[planes.length - 1] === 360) return { planes, angles, candela };
  return { planes: [...planes, 360], angles, candela: [...candela, ...candela.slice(0, angles.length)] };
}

const TURNED_PLANES = Array.from({ length: 37 }, (_, i) => i * 10);
const TURNED_ANGLES = Array.from({ length: 73 }, (_, i) => i * 2.5);
const RADIANS = Math.PI / 180;

/** Types A (3) and B (2): read at each direction round the vertical. Half a range means that the other half is alike. */
function turnedFromLevel({ planes, angles, candela }: Spread, type: number): Spread {
  const half = (list: readonly number[]) => list[0]! >= 0;
  const plane = {
    planes: angles.map((angle) => angle + 90),
    angles: planes.map((angle) => angle + 90),
    candela: transposed(candela, planes.length, angles.length),
  };
  const read = (horizontal: number, vertical: number) => {
    const h = half(planes) ? Math.abs(horizontal) : horizontal;
    const v = half(angles) ? Math.abs(vertical) : vertical;
    if (h < planes[0]! || h > planes[planes.length - 1]! || v < angles[0]! || v > angles[angles.length - 1]!) return 0;
    return interpolated(plane, v + 90, h + 90);
  };
  const turned = TURNED_PLANES.flatMap((planeDeg) =>
    TURNED_ANGLES.map((angleDeg) => {
      const sin = Math.sin(angleDeg * RADIANS);
      const x = sin * Math.cos(planeDeg * RADIANS);
      const y = sin * Math.sin(planeDeg * RADIANS);
      const z = Math.cos(angleDeg * RADIANS);
      if (z < -1e-9) return 0;
      // A: turned about the upright axis first; B: about the level one.
      return type === 3
        ? read(Math.atan2(x, Math.max(0, z)) / RADIANS, Math.asin(Math.max(-1, Math.min(1, y))) / RADIANS)
        : read(Math.asin(Math.max(-1, Math.min(1, x))) / RADIANS, Math.atan2(y, Math.max(0, z)) / RADIANS);
    }),
  );
  return { planes: TURNED_PLANES, angles: TURNED_ANGLES, candela: turned };
}

function transposed(values: readonly number[], rows: number, columns: number): number[] {
  return Array.from({ length: rows * columns }, (_, i) => values[(i % rows) * columns + Math.floor(i / rows)]!);
}

/** Reads between the values of a plain grid. */
function interpolated({ planes, angles, candela }: Spread, plane: number, angle: number): number {
  const place = (list: readonly number[], value: number) => {
    const high = Math.min(
      list.length - 1,
      Math.max(
        1,
        list.findIndex((entry) => entry >= value),
      ),
    );
    const low = list.length === 1 ? 0 : high - 1;
    const share = list.length === 1 ? 0 : (value - list[low]!) / (list[high]! - list[low]!);
    return { low, high: list.length === 1 ? 0 : high, share };
  };
  const p = place(planes, plane);
  const a = place(angles, angle);
  const at = (i: number, j: number) => candela[i * angles.length + j]!;
  const near = at(p.low, a.low) * (1 - a.share) + at(p.low, a.high) * a.share;
  const far = at(p.high, a.low) * (1 - a.share) + at(p.high, a.high) * a.share;
  return near * (1 - p.share) + far * p.share;
}

const plain = (value: number) => String(Number(value.toFixed(4)));

/** Numbers in rows of at most ten, as old readers want them. */
function rowsOf(values: readonly number[]): string[] {
  return Array.from({ length: Math.ceil(values.length / 10) }, (_, i) =>
    values
      .slice(i * 10, i * 10 + 10)
      .map(plain)
      .join(' '),
  );
}

/** Writes a distribution as LM-63-2002, type C, metres, absolute intensities. */
export function writeLm63({
  name,
  lumens,
  powerW,
  lengthM,
  breadthM,
  planes,
  angles,
  candela,
}: ParsedPhotometry): string {
  const word = name.replace(/[^\x20-\x7e]/g, '?');
  const lines = [
    'IESNA:LM-63-2002',
    '[TEST] none',
    '[MANUFAC] ',
    `[LUMINAIRE] ${word}`,
    'TILT=NONE',
    `1 ${plain(lumens)} 1 ${angles.length} ${planes.length} 1 2 ${plain(breadthM)} ${plain(lengthM)} 0`,
    `1 1 ${plain(powerW)}`,
    ...rowsOf(angles),
    ...rowsOf(planes),
    ...planes.flatMap((_, i) => rowsOf(candela.slice(i * angles.length, (i + 1) * angles.length))),
  ];
  return `${lines.join('\r\n')}\r\n`;
}

/** Intensity of a distribution at each of a list of planes. */
export function rowsAt(distribution: Spread, planes: readonly number[]): number[] {
  return planes.flatMap((plane) => distribution.angles.map((angle) => candelaAt(distribution, plane, angle)));
}
