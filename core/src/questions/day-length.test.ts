/** How long the day is behind curtains: what no leaf sees is night. */
import type { HomeFacts, HungCurtain } from '../facts';
import { HomeEngine } from '../home/engine';
import { smallHome, smallKnowledge } from '../home/small-home.fixture';
import { ask } from './index';

const YEAR = 2026;
const ALL_MONTHS = [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12];
const JUNE = 5;
const engine = new HomeEngine(smallKnowledge);

const shut = (curtainId: string, fromMinute: number, toMinute: number, months = ALL_MONTHS): HungCurtain => ({
  curtainId,
  months,
  fromMinute,
  toMinute,
});

/** June at the bright spot, no lamp burning, with the same curtains at every window. */
function june(...curtains: HungCurtain[]) {
  const facts: HomeFacts = {
    ...smallHome,
    lamps: [],
    windows: smallHome.windows.map((window) => ({ ...window, curtains })),
  };
  return ask(engine, facts, 'home', { year: YEAR, month: 11 }).spots.find(({ spotId }) => spotId === 'bright')!
    .conditions[JUNE]!;
}

describe('the day behind curtains', () => {
  const open = june();

  it('is as long as without them while they are open', () => {
    expect(june(shut('blackout', 0, 1440, [1])).dayH).toBe(open.dayH);
    expect(open.dayH).toBeGreaterThan(15);
  });

  it('is none behind a blackout that is shut all day', () => {
    const dark = june(shut('blackout', 0, 1440));
    expect(dark).toMatchObject({ dli: 0, dayH: 0, longestNightH: 24 });
  });

  it('ends when a blackout is shut and begins when it opens, over midnight', () => {
    const { dayH, longestNightH } = june(shut('blackout', 17 * 60, 8 * 60));
    expect(dayH).toBeCloseTo(9, 6);
    expect(longestNightH).toBeCloseTo(15, 6);
  });

  it('is the same whether one curtain is shut over midnight or two before and after it', () => {
    const over = june(shut('sheer', 17 * 60, 8 * 60));
    expect(june(shut('sheer', 17 * 60, 24 * 60), shut('sheer', 0, 8 * 60))).toEqual(over);
  });

  it('is parted by a blackout at noon, but no shorter at its ends', () => {
    const { dayH, longestNightH } = june(shut('blackout', 12 * 60, 13 * 60));
    expect(dayH).toBeCloseTo(open.dayH - 1, 6);
    expect(longestNightH).toBe(open.longestNightH);
  });

  it('is shorter behind a sheer curtain by the minutes of twilight that it takes', () => {
    const { dayH } = june(shut('sheer', 0, 1440));
    expect(dayH).toBeLessThan(open.dayH);
    expect(dayH).toBeGreaterThan(open.dayH - 1);
  });

  it.each(['sheer', 'blackout'])('never grows by a %s', (curtainId) => {
    for (let hour = 0; hour < 24; hour += 5) {
      expect(june(shut(curtainId, hour * 60, ((hour + 6) % 24) * 60)).dayH).toBeLessThanOrEqual(open.dayH + 1e-9);
    }
  });
});

describe('a cabinet in a lit room', () => {
  /** December in the cabinet, its windows' room dark from without. */
  const boxed = (facts: HomeFacts) =>
    ask(engine, facts, 'home', { year: YEAR, month: 11 }).spots.find(({ spotId }) => spotId === 'boxed')!
      .conditions[11]!;
  const cabinet = smallHome.rooms.find(({ insideRoomId }) => insideRoomId !== null)!;
  const shell = (shellTransmittance: number, facts: HomeFacts = smallHome, given: object = {}): HomeFacts => ({
    ...facts,
    rooms: facts.rooms.map((room) => (room.id === cabinet.id ? { ...room, ...given, shellTransmittance } : room)),
  });

  it('gets the outer room’s lamps as its shell lets them through', () => {
    const black = { floorReflectance: 0, wallReflectance: 0, ceilingReflectance: 0 };
    const bright = { ...smallHome, lamps: [{ ...smallHome.lamps[0]!, ppf: 4000 }] };
    const lampDli = (shellTransmittance: number) => boxed(shell(shellTransmittance, bright, black)).shares.lamps.l;
    const whole = lampDli(1)!;
    expect(whole).toBeGreaterThan(0);
    // The shell also shades the room's walls a little.
    expect(lampDli(0.5)! / whole).toBeLessThanOrEqual(0.5);
    expect(lampDli(0.5)! / whole).toBeGreaterThan(0.46);
    expect(lampDli(0)).toBeUndefined();
  });

  it('gets the outer room’s evening light, and its day lasts as long', () => {
    const evening: HomeFacts = {
      ...smallHome,
      rooms: smallHome.rooms.map((room) =>
        room.id === cabinet.insideRoomId
          ? { ...room, eveningLux: 150, eveningFromMinute: 16 * 60, eveningToMinute: 23 * 60 }
          : room,
      ),
    };
    const before = boxed(smallHome);
    const after = boxed(evening);
    const outer = ask(engine, evening, 'home', { year: YEAR, month: 11 }).spots.find(({ spotId }) => spotId === 'dim')!;
    expect(after.shares.roomLight).toBeCloseTo(outer.conditions[11]!.shares.roomLight * 0.8, 9);
    expect(after.dayH).toBeGreaterThan(before.dayH + 4);
  });
});
