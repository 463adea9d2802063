/** Homes with their windows otherwise, and spots held beside themselves moved: what changes and what does not. */
import type { HomeFacts } from '../facts';
import { HomeEngine, bare, lightRoomOf, withWindowsOf } from '../home';
import { ask } from './index';
import { placedSpots } from '../room';
import { ALL_MONTHS } from '../units';
import { smallHome, smallKnowledge } from '../home/small-home.fixture';

const YEAR = 2026;
const curtained: HomeFacts = {
  ...smallHome,
  windows: smallHome.windows.map((window) => ({
    ...window,
    curtains: [
      { curtainId: 'sheer', months: ALL_MONTHS, fromMinute: 0, toMinute: 1440 },
      { curtainId: 'blackout', months: ALL_MONTHS, fromMinute: 600, toMinute: 660 },
    ],
  })),
};
const placed = (spotId: string, facts = smallHome) => placedSpots(facts).find(({ spot }) => spot.id === spotId)!;

describe('windows changed', () => {
  it('lose both their curtains and nothing else', () => {
    const [window] = curtained.windows;
    expect(bare(window!)).toEqual({ ...window, curtains: [] });
  });

  it('are those of one room alone', () => {
    const two: HomeFacts = {
      ...curtained,
      windows: [...curtained.windows, { ...curtained.windows[0]!, id: 'other', roomId: 'box' }],
    };
    const changed = withWindowsOf(two, 'r', bare);
    expect(changed.windows.map((window) => window.curtains.length)).toEqual([0, 2]);
    expect(changed.rooms).toBe(two.rooms);
    expect(two.windows[0]!.curtains).toHaveLength(2);
  });

  it('light a cabinet from the room it stands in', () => {
    expect(lightRoomOf(smallHome, placed('boxed'))).toBe('r');
    expect(lightRoomOf(smallHome, placed('dim'))).toBe('r');
    const alone: HomeFacts = { ...smallHome, rooms: smallHome.rooms.map((room) => ({ ...room, insideRoomId: null })) };
    expect(lightRoomOf(alone, placed('boxed', alone))).toBe('box');
  });
});

describe('a spot beside itself', () => {
  const engine = new HomeEngine(smallKnowledge);

  it('gains by its curtains taken away, month by month', () => {
    const list = ask(engine, curtained, 'beside', { spotId: 'bright', others: [], year: YEAR });
    const [here, bareHere] = [
      list.find(({ what }) => what === 'here')!,
      list.find(({ what }) => what === 'no-curtain')!,
    ];
    for (let month0 = 0; month0 < 12; month0++) expect(bareHere.dli[month0]!).toBeGreaterThan(here.dli[month0]!);
    expect(list.some(({ what }) => what === 'curtain')).toBe(false);
  });

  it('loses by a sheer curtain where none hangs', () => {
    const list = ask(engine, smallHome, 'beside', { spotId: 'bright', others: [], year: YEAR });
    const [here, behind] = [list.find(({ what }) => what === 'here')!, list.find(({ what }) => what === 'curtain')!];
    for (let month0 = 0; month0 < 12; month0++) expect(behind.dli[month0]!).toBeLessThan(here.dli[month0]!);
  });

  it('is what the home’s answers say of it, lamps told apart', () => {
    const [here] = ask(engine, smallHome, 'beside', { spotId: 'dim', others: [], year: YEAR });
    const conditions = engine.conditionsOf(smallHome, 'dim', YEAR);
    expect(here!.dli).toEqual(conditions.map(({ dli }) => dli));
    expect(here!.peakPpfd).toEqual(conditions.map(({ peakPpfd }) => peakPpfd));
    conditions.forEach(({ shares }, month0) =>
      expect(here!.lampDli[month0]!).toBeCloseTo(shares.lamps.l! + shares.roomLight, 9),
    );
  });

  it('moved nearer lies between poor and good years of its own, and gets more than moved away', () => {
    const list = ask(engine, smallHome, 'beside', { spotId: 'dim', others: [], year: YEAR });
    for (const { poor, dli, good } of list) {
      for (let month0 = 0; month0 < 12; month0++) {
        expect(poor[month0]!).toBeLessThanOrEqual(dli[month0]! + 1e-9);
        expect(good[month0]!).toBeGreaterThanOrEqual(dli[month0]! - 1e-9);
      }
    }
    const daylight = (what: string) =>
      list
        .filter((entry) => entry.what === what)
        .map(({ dli, lampDli }) => dli.reduce((sum, value, i) => sum + value - lampDli[i]!, 0))[0];
    expect(daylight('nearer')!).toBeGreaterThan(daylight('here')!);
  });

  it('is nowhere when it is not there, and stays put in a room without windows', () => {
    expect(ask(engine, smallHome, 'beside', { spotId: 'gone', others: [], year: YEAR })).toEqual([]);
    const blind: HomeFacts = { ...smallHome, windows: [] };
    expect(ask(engine, blind, 'beside', { spotId: 'dim', others: [], year: YEAR }).map(({ what }) => what)).toEqual([
      'here',
    ]);
  });
});
