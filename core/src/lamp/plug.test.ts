/** A plug held against its timer: what it may be off by, and what is told of it. */
import fc from 'fast-check';
import { yearOfTimer } from './burning';
import { isMendedBySending, minutesAhead, plugFindings, type PlugTold } from './plug';

const TIMER = { id: 'c', onMinute: 360, offMinute: 1200, months: [10, 11, 12, 1, 2, 3] };
const NOON = { month: 11, minute: 720 };
const ASKED = { timer: TIMER, watts: 80, now: NOON };
const told = (change: Partial<PlugTold> = {}): PlugTold => ({
  clock: NOON,
  on: true,
  watts: 78,
  programme: yearOfTimer(TIMER),
  ...change,
});
const whats = (change: Partial<PlugTold>, asked = ASKED) => plugFindings(asked, told(change)).map(({ what }) => what);

describe('a plug', () => {
  it('that does what its timer says has nothing told of it, whether or not it measures', () => {
    expect(whats({})).toEqual([]);
    expect(whats({ watts: null })).toEqual([]);
    const night = { month: 11, minute: 1300 };
    expect(whats({ clock: night, on: false, watts: 0 }, { ...ASKED, now: night })).toEqual([]);
  });

  it('may be off by three minutes, not by four, before or behind, over midnight too', () => {
    for (const [minute, isTold] of [
      [717, false],
      [723, false],
      [716, true],
      [724, true],
    ] as const)
      expect(whats({ clock: { month: 11, minute } })).toEqual(isTold ? ['clock'] : []);
    const now = { month: 12, minute: 1 };
    expect(whats({ clock: { month: 11, minute: 1439 }, on: false, watts: 0 }, { ...ASKED, now })).toEqual([]);
    expect(minutesAhead({ minute: 1439 }, { minute: 1 })).toBe(-2);
    expect(minutesAhead({ minute: 1 }, { minute: 1439 })).toBe(2);
  });

  it('that stands in another month is told, though its minutes are right', () => {
    expect(whats({ clock: { month: 1, minute: 720 } })).toEqual(['clock']);
  });

  it('with another programme is told with the months that differ', () => {
    const shorter = yearOfTimer({ ...TIMER, months: [10, 11, 12, 1, 2] });
    expect(plugFindings(ASKED, told({ programme: shorter }))).toEqual([{ what: 'programme', months: [3] }]);
    expect(plugFindings(ASKED, told({ programme: [], on: false, watts: 0 }))).toEqual([
      { what: 'programme', months: [1, 2, 3, 10, 11, 12] },
    ]);
  });

  it('that is on out of its hours is told, but not at the minute of a switch', () => {
    const late = { month: 11, minute: 1260 };
    expect(whats({ clock: late }, { ...ASKED, now: late })).toEqual(['switched']);
    const just = { month: 11, minute: 1201 };
    expect(whats({ clock: just }, { ...ASKED, now: just })).toEqual([]);
  });

  it('through which too little flows is told, by the level it burns at', () => {
    expect(whats({ watts: 40 })).toEqual(['load']);
    const programme = [{ months: [11], spans: [{ onMinute: 360, offMinute: 1200 }], level: 0.5 }];
    const dimmed = { ...ASKED, timer: { ...TIMER, programme } };
    expect(plugFindings(dimmed, told({ programme, watts: 39 }))).toEqual([]);
  });

  it('is put right by sending where clock or programme is wrong, not where a lamp is dead', () => {
    const mended = (change: Partial<PlugTold>) => plugFindings(ASKED, told(change)).map(isMendedBySending);
    expect(mended({ clock: { month: 11, minute: 700 } })).toEqual([true]);
    expect(mended({ watts: 3 })).toEqual([false]);
  });
});

it('two clocks are never further apart than half a day, and as far the other way round', () => {
  const minute = fc.integer({ min: 0, max: 1439 });
  fc.assert(
    fc.property(minute, minute, (p, q) => {
      const ahead = minutesAhead({ minute: p }, { minute: q });
      expect((((q + ahead - p) % 1440) + 1440) % 1440).toBe(0);
      expect(ahead >= -720 && ahead < 720).toBe(true);
    }),
  );
});
