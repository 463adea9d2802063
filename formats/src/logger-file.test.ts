/**
 * Logger files as they come: any delimiter, decimal comma, order of dates, clock, unit; broken ones with their line.
 */
import fc from 'fast-check';
import { LoggerFile, Broken, recogniseTable, type TableReading } from './index';

const ZONE = 'Europe/London';
const recognised = (text: string, zone = ZONE) => {
  const found = recogniseTable(text, zone);
  if (!found.ok) throw new Error(found.message);
  return found.table;
};
function read(text: string, given: Partial<TableReading> = {}, pieceLength = text.length) {
  const file = new LoggerFile({ ...recognised(text).reading, ...given });
  for (let i = 0; i < text.length; i += pieceLength)
    file.push(text.slice(i, i + pieceLength), i + pieceLength >= text.length ? 'end' : 'middle');
  return { samples: file.taken(), ...file.summary() };
}

describe('a logger’s table', () => {
  it.each([
    ['commas', 'time,temperature,humidity\n2026-01-05 10:00,20.5,45\n2026-01-05 10:10,20.6,46\n', ',', '.', 'ymd'],
    ['semicolons and decimal commas', 'Zeit;Temp °C;Feuchte %\n05.01.2026 10:00;20,5;45\n', ';', ',', 'dmy'],
    ['tabs', 'Date\tTemp\tHum\n1/25/2026 10:00\t20.5\t45\n', '\t', '.', 'mdy'],
    ['bars', 'at|temp|rh\n2026-01-05T10:00:00Z|20.5|45\n', '|', '.', 'ymd'],
  ])('with %s is recognised', (_what, text, delimiter, decimal, dateOrder) => {
    const { reading } = recognised(text);
    expect(reading).toMatchObject({
      delimiter,
      decimal,
      dateOrder,
      headLines: 1,
      columns: ['time', 'temperature', 'humidity'],
    });
    expect(read(text).samples.get('temperature')!.values[0]).toBeCloseTo(20.5, 9);
    expect(read(text).samples.get('humidity')!.values[0]).toBe(45);
  });

  it('has what stands above its heading, a number of the line and other columns left out', () => {
    const text = 'Logger 7\nSerial: 1234\n\n#,Date,Time,Temp (°F),RH %,Battery\n1,2026-01-05,10:00:30,68,50,3.1\n';
    const { reading, names } = recognised(text);
    expect(reading.columns).toEqual(['ignore', 'date', 'clock', 'temperature', 'humidity', 'ignore']);
    expect(reading.temperatureUnit).toBe('F');
    expect(names[3]).toBe('Temp (°F)');
    const { samples } = read(text);
    expect(samples.get('temperature')!.values[0]).toBeCloseTo(20, 9);
    expect(samples.get('temperature')!.at[0]).toBe(Date.UTC(2026, 0, 5, 10, 0, 30));
  });

  it('takes per cent for humidity, but not those of a battery', () => {
    const { columns } = recognised('at,°C,%,Battery %\n2026-01-05 10:00,20.5,45,98\n').reading;
    expect(columns).toEqual(['time', 'temperature', 'humidity', 'ignore']);
  });

  it('without a heading has its first two numbers for warmth and humidity', () => {
    expect(recognised('2026-01-05 10:00;20,5;45,2\n').reading.columns).toEqual(['time', 'temperature', 'humidity']);
  });

  it('is told by the clock of its zone, summer time and all, or by the offset it names', () => {
    const at = (time: string) => read(`t,temperature\n${time},20.5\n`).samples.get('temperature')!.at[0];
    expect(at('2026-01-05 10:00')).toBe(Date.UTC(2026, 0, 5, 10));
    expect(at('2026-07-05 10:00')).toBe(Date.UTC(2026, 6, 5, 9));
    expect(at('2026-07-05T10:00:00+02:00')).toBe(Date.UTC(2026, 6, 5, 8));
    expect(at('2026-07-05 10:00 PM')).toBe(Date.UTC(2026, 6, 5, 21));
  });

  it('without a line of samples is refused', () => {
    expect(recogniseTable('hello\nthere\n', ZONE)).toMatchObject({ ok: false });
    expect(recogniseTable('', ZONE)).toMatchObject({ ok: false });
  });
});

describe('a logger’s file', () => {
  const head = 'time,temperature,humidity\n';

  it.each([
    ['a word for a number', `${head}2026-01-05 10:00,20.5,45\n2026-01-05 10:10,warm,45\n`, 3, 'is no number'],
    ['a day that is none', `${head}2026-01-05 10:00,20.5,45\n2026-02-30 10:10,20,45\n`, 3, 'is no day'],
    ['an hour that is none', `${head}2026-01-05 10:00,20.5,45\n2026-01-05 25:10,20,45\n`, 3, 'is no time of day'],
    ['warmth that cannot be', `${head}2026-01-05 10:00,20.5,45\n2026-01-05 10:10,200,45\n`, 3, 'from -60 to 90'],
    ['humidity that cannot be', `${head}2026-01-05 10:00,20.5,45\n2026-01-05 10:10,20,145\n`, 3, 'from 0 to 100'],
    ['cells that are missing', `${head}2026-01-05 10:00,20.5,45\n2026-01-05\n`, 3, '1 cells where 3 are due'],
  ])('with %s is refused with the line', (_what, text, line, message) => {
    const broken = () => read(text);
    expect(broken).toThrow(Broken);
    try {
      broken();
    } catch (error) {
      expect((error as Broken).line).toBe(line);
      expect((error as Broken).message).toContain(message);
    }
  });

  it('has missing values left out and counted', () => {
    const { samples, missing, lines } = read(`${head}2026-01-05 10:00,20.5,--\n2026-01-05 10:10,,45\n`);
    expect([lines, missing]).toEqual([2, 2]);
    expect(samples.get('temperature')!.values).toEqual([20.5]);
    expect(samples.get('humidity')!.values).toEqual([45]);
  });

  it('tells gaps, jumps, a stuck sensor and instants told twice', () => {
    const line = (minutes: number, celsius: number) =>
      `${new Date(Date.UTC(2026, 0, 5) + minutes * 60_000).toISOString().slice(0, 16).replace('T', ' ')},${celsius},50`;
    const steady = Array.from({ length: 200 }, (_, i) => line(i * 10, 20 + (i % 3) / 10));
    const odd = [line(1990, 20.1), line(2400, 20.2), line(2410, 31), line(2420, 20)];
    const stuck = Array.from({ length: 200 }, (_, i) => line(2430 + i * 10, 19.5));
    const { oddities } = read(`${head}${[...steady, ...odd, ...stuck].join('\n')}\n`);
    expect(oddities.temperature).toMatchObject({ twice: 1, gaps: 1, jumps: 2, stuck: 1, outOfOrder: 0 });
    expect(oddities.temperature!.longestGapH).toBeCloseTo(410 / 60, 5);
  });

  it('is read alike whatever pieces it comes in', () => {
    const two = (value: number) => String(value).padStart(2, '0');
    const lines = Array.from(
      { length: 60 },
      (_, i) => `2026-01-05 ${two(i % 24)}:${two(i % 60)},${20 + i / 10},${40 + (i % 20)}\r\n`,
    );
    const text = `${head}${lines.join('')}`;
    const whole = read(text);
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 200 }), (length) => {
        expect(read(text, {}, length).samples.get('temperature')).toEqual(whole.samples.get('temperature'));
      }),
      { numRuns: 20 },
    );
  });

  it('never throws but what names a line, whatever it holds', () => {
    fc.assert(
      fc.property(fc.string(), (text) => {
        const found = recogniseTable(text, ZONE);
        if (!found.ok) return;
        try {
          read(text);
        } catch (error) {
          expect(error).toBeInstanceOf(Broken);
        }
      }),
      { numRuns: 200 },
    );
  });
});
