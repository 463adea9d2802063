/** Reads and writes photometric files of EULUMDAT, every symmetry. */
import { Broken, parseText, quoted, type ParsedFile } from './parsed';
import { rowsAt } from './lm63';
import { MOST_ANGLES, finished, heldRising, type ParsedPhotometry } from './photometry-file';

/** Direct ratios that every file lists before its angles. */
const DIRECT_RATIOS = 10;
const LAMP_SET_LINES = 6;
const MM_PER_M = 1000;

/** In EULUMDAT plane 0 lies across the lamp, here along it. */
const TURN_DEG = 90;

/** Reads an EULUMDAT file. */
export function readEulumdat(text: string): ParsedFile<ParsedPhotometry> {
  return parseText(text, readText);
}

class Lines {
  private at = 0;
  constructor(private readonly lines: readonly string[]) {}

  text(what: string): string {
    const line = this.lines[this.at];
    if (line === undefined) throw new Broken(Math.max(1, this.lines.length), `The file ends before ${what}.`);
    this.at++;
    return line.trim();
  }

  number(what: string, from: number, to: number): number {
    const text = this.text(what);
    const value = /^[-+]?(\d+[.,]?\d*|[.,]\d+)([eE][-+]?\d+)?$/.test(text) ? Number(text.replace(',', '.')) : NaN;
    if (!Number.isFinite(value))
      throw new Broken(this.at, `${what} should be a number; here stands ${text === '' ? 'nothing' : quoted(text)}.`);
    if (value < from || value > to) throw new Broken(this.at, `${what}: from ${from} to ${to}; here stands ${value}.`);
    return value;
  }

  whole(what: string, from: number, to: number): number {
    const value = this.number(what, from, to);
    if (!Number.isInteger(value)) throw new Broken(this.at, `${what} should be a whole number; here stands ${value}.`);
    return value;
  }

  skip(count: number, what: string): void {
    for (let i = 0; i < count; i++) this.text(what);
  }

  list(count: number, what: string, from: number, to: number): number[] {
    return Array.from({ length: count }, () => this.number(what, from, to));
  }

  get line(): number {
    return this.at;
  }
}

function readText(text: string, remarks: string[]): ParsedPhotometry {
  const lines = new Lines(text.split(/\r\n|\r|\n/));
  const maker = lines.text('the maker’s name');
  lines.whole('the kind of source', 0, 3);
  const symmetry = lines.whole('the symmetry', 0, 4);
  const planeCount = lines.whole('the number of planes', 1, MOST_ANGLES - 1);
  lines.number('the step between planes', 0, 360);
  const angleCount = lines.whole('the number of angles', 2, MOST_ANGLES);
  lines.number('the step between angles', 0, 180);
  lines.text('the report’s number');
  const lampName = lines.text('the lamp’s name');
  lines.skip(3, 'number, file and date');
  const outer = lines.list(3, 'a size of the fitting', 0, 10_000);
  const [lengthMm, breadthMm] = lines.list(2, 'a size of the lit part', 0, 10_000) as [number, number];
  lines.skip(4, 'heights of the lit part');
  lines.skip(1, 'the share that goes down');
  lines.number('the light output ratio', 0, 1000);
  const conversion = lines.number('the conversion factor', 0, 1_000_000);
  lines.skip(1, 'the tilt in the measurement');
  const sets = lines.whole('the number of lamp sets', 1, 20);
  const lamps = Array.from({ length: sets }, () => lampSet(lines));
  lines.skip(DIRECT_RATIOS, 'the direct ratios');
  const planes = lines.list(planeCount, 'a plane', 0, 360);
  heldRising(planes, lines.line, 'Planes');
  const angles = lines.list(angleCount, 'an angle', 0, 180);
  heldRising(angles, lines.line, 'Angles');
  const lumens = lamps[0]!.lumens;
  if (!(lumens > 0))
    throw new Broken(lines.line, 'It states no lumens: intensities for each thousand of them cannot be read.');
  const factor = (lumens / 1000) * (conversion || 1);
  const stored = storedPlanes(symmetry, planes, lines.line);
  const rows = stored.map((plane) => ({
    plane,
    row: lines.list(angleCount, 'an intensity', 0, 10_000_000).map((value) => value * factor),
  }));
  const turned = symmetry === 1 ? rows.map((entry) => ({ ...entry, plane: 0 })) : turnedRows(around(rows, symmetry));
  const [outerLength = 0, outerBreadth = 0] = outer;
  // Where no lit part is told, the whole fitting shines.
  const size = (lit: number, whole: number) => Math.min(10, (lengthMm > 0 ? lit : whole) / MM_PER_M);
  return finished(
    {
      name: [maker, lampName].filter(Boolean).join(', '),
      lumens,
      powerW: lamps[0]!.powerW,
      lengthM: size(lengthMm, outerLength),
      // A breadth of 0 stands for a round lit part of that length.
      breadthM: breadthMm === 0 && lengthMm > 0 ? lengthMm / MM_PER_M : size(breadthMm, outerBreadth),
      planes: turned.map(({ plane }) => plane),
      angles,
      candela: turned.flatMap(({ row }) => row),
    },
    lines.line,
    remarks,
  );
}

function lampSet(lines: Lines): { lumens: number; powerW: number } {
  lines.number('the number of lamps', -1000, 1000);
  lines.text('the kind of lamp');
  const lumens = lines.number('lumens of the lamps', 0, 1_000_000);
  lines.skip(LAMP_SET_LINES - 4, 'colour of the lamps');
  const powerW = lines.number('watts of the lamps', 0, 10_000);
  return { lumens, powerW };
}

/** The planes whose intensities are written, by symmetry: all, one, the first half, the half round plane 0, a quarter. */
function storedPlanes(symmetry: number, planes: readonly number[], line: number): number[] {
  const count = planes.length;
  if (symmetry === 0) return [...planes];
  if (symmetry === 1) return [planes[0]!];
  const needs = symmetry === 4 ? 4 : 2;
  if (count % needs !== 0)
    throw new Broken(line, `${count} planes cannot be parted into ${needs} alike parts, as its symmetry says.`);
  if (symmetry === 2) return planes.slice(0, count / 2 + 1);
  if (symmetry === 4) return planes.slice(0, count / 4 + 1);
  const first = (3 * count) / 4;
  if (!Number.isInteger(first))
    throw new Broken(line, `${count} planes cannot be parted round plane 0, as its symmetry says.`);
  return Array.from({ length: count / 2 + 1 }, (_, i) => planes[(first + i) % count]!);
}

interface Row {
  readonly plane: number;
  readonly row: readonly number[];
}

/** The whole circle of planes from the part that is written. */
function around(rows: readonly Row[], symmetry: number): Row[] {
  const mirror = (list: readonly Row[], turn: (plane: number) => number) =>
    list.map(({ plane, row }) => ({ plane: ((turn(plane) % 360) + 360) % 360, row }));
  const once = (list: readonly Row[]) => [
    ...new Map(list.map((entry) => [Math.round(entry.plane * 1000), entry])).values(),
  ];
  if (symmetry === 2) return once([...rows, ...mirror(rows, (plane) => 360 - plane)]);
  if (symmetry === 3) return once([...rows, ...mirror(rows, (plane) => 180 - plane)]);
  if (symmetry === 4) {
    const half = [...rows, ...mirror(rows, (plane) => 180 - plane)];
    return once([...half, ...mirror(half, (plane) => 360 - plane)]);
  }
  return once(rows);
}

/** Planes counted from the lamp's length, in order, the first again at the end. */
function turnedRows(rows: readonly Row[]): Row[] {
  const turned = rows
    .map(({ plane, row }) => ({ plane: (((plane - TURN_DEG) % 360) + 360) % 360, row }))
    .sort((p, q) => p.plane - q.plane);
  const first = turned[0]!;
  const last = turned[turned.length - 1]!;
  if (first.plane === 0) return [...turned, { plane: 360, row: first.row }];
  // No plane lies along the lamp: it is read between the last and the first.
  const share = (360 - last.plane) / (first.plane + 360 - last.plane);
  const row = first.row.map((value, i) => last.row[i]! + (value - last.row[i]!) * share);
  return [{ plane: 0, row }, ...turned, { plane: 360, row }];
}

const plain = (value: number) => String(Number(value.toFixed(3)));

/** Planes written of a distribution that differs all round: every ten degrees. */
const WRITTEN_PLANES = Array.from({ length: 36 }, (_, i) => i * 10);

/** Writes a distribution as EULUMDAT: rotational ones by one plane, all others by planes of ten degrees. */
export function writeEulumdat(photometry: ParsedPhotometry): string {
  const { name, lumens, powerW, lengthM, breadthM, angles } = photometry;
  const rotational = photometry.planes.length === 1;
  const planes = rotational ? [0] : WRITTEN_PLANES;
  const rows = rowsAt(
    photometry,
    planes.map((plane) => (plane + 360 - TURN_DEG) % 360),
  );
  const perThousand = 1000 / lumens;
  const step = angles.length > 1 ? angles[1]! - angles[0]! : 0;
  const word = name.replace(/[\r\n]/g, ' ').slice(0, 78);
  const lines = [
    'Dulvan',
    rotational ? '1' : '3',
    rotational ? '1' : '0',
    String(planes.length),
    rotational ? '0' : '10',
    String(angles.length),
    plain(step),
    '',
    word,
    '',
    '',
    '',
    ...[lengthM, breadthM, 0, lengthM, breadthM].map((size) => plain(size * MM_PER_M)),
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
    plain(lumens),
    '',
    '',
    plain(powerW),
    ...Array<string>(DIRECT_RATIOS).fill('0'),
    ...planes.map(plain),
    ...angles.map(plain),
    ...rows.map((value) => plain(value * perThousand)),
  ];
  return `${lines.join('\r\n')}\r\n`;
}
