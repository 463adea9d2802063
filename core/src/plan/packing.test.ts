/** Plants packed onto one spot, against going through all choices. */
import fc from 'fast-check';
import { gainsByWidth, packedGain, packedKeys, wanting, type Wanting } from './packing';

interface Wants {
  readonly gain: number;
  readonly width: number;
}

function filled(list: readonly Wants[]): Wanting {
  const all = wanting(12);
  list.forEach(({ gain, width }, i) => {
    all.key[i] = 100 + i;
    all.gain[i] = gain;
    all.width[i] = width;
  });
  all.count = list.length;
  return all;
}

/** The most of all choices that fit. */
function most(list: readonly Wants[], room: number): number {
  let best = 0;
  for (let bits = 0; bits < 2 ** list.length; bits++) {
    const chosen = list.filter((_, i) => (bits >> i) & 1);
    const width = chosen.reduce((sum, one) => sum + one.width, 0);
    if (width <= room)
      best = Math.max(
        best,
        chosen.reduce((sum, one) => sum + one.gain, 0),
      );
  }
  return best;
}

const ROOM = 40;
const wants = fc.record({
  gain: fc.double({ min: 0.001, max: 1, noNaN: true }),
  width: fc.integer({ min: 3, max: 40 }),
});
const lists = fc.array(wants, { maxLength: 8 });

it('gains the most that any choice within the width does', () => {
  fc.assert(
    fc.property(lists, fc.integer({ min: 1, max: ROOM }), (list, room) => {
      const open = list.filter(({ width }) => width <= room);
      expect(packedGain(filled(open), room)).toBeCloseTo(most(open, room), 9);
    }),
  );
});

it('names plants that fit together and gain as much', () => {
  fc.assert(
    fc.property(lists, (list) => {
      const chosen = packedKeys(filled(list), ROOM).map((key) => list[key - 100]!);
      expect(new Set(chosen).size).toBe(chosen.length);
      expect(chosen.reduce((sum, { width }) => sum + width, 0)).toBeLessThanOrEqual(ROOM);
      expect(chosen.reduce((sum, { gain }) => sum + gain, 0)).toBeCloseTo(most(list, ROOM), 9);
    }),
  );
});

it('knows the most for each width up to the whole', () => {
  fc.assert(
    fc.property(lists, (list) => {
      const gains = gainsByWidth(filled(list), ROOM);
      for (const room of [0, 7, 20, ROOM]) expect(gains[room]).toBeCloseTo(most(list, room), 9);
    }),
  );
});

it('of many that are too wide to stand two by two takes the best alone', () => {
  const list = [
    { gain: 0.4, width: 25 },
    { gain: 0.7, width: 22 },
    { gain: 0.6, width: 21 },
  ];
  expect(packedGain(filled(list), ROOM)).toBe(0.7);
  expect(packedKeys(filled(list), ROOM)).toEqual([101]);
  expect(packedGain(filled([]), ROOM)).toBe(0);
});
