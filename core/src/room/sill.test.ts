/** Sills in reveals: which window a place stands in, what closes it in, where a sill lies, how far a stand may reach. */
import fc from 'fast-check';
import { smallHome } from '../home/small-home.fixture';
import type { Room, Side, Window } from '../facts';
import {
  clearWay,
  hasReveal,
  openingOf,
  plus,
  pointOn,
  reachInto,
  revealAround,
  sillIn,
  times,
  vec,
  wallAround,
} from './index';

const room: Room = { ...smallHome.rooms[0]!, widthM: 5, depthM: 4 };
const deep = (side: Side): Window => ({
  ...smallHome.windows[0]!,
  side,
  offsetM: 1,
  sillM: 0.8,
  widthM: 1.6,
  heightM: 1.2,
  revealM: 0.3,
});
const SIDES = ['a', 'b', 'c', 'd'] as const;

describe('a reveal', () => {
  it.each(SIDES)('in wall %s holds what lies between wall and glass, and nothing else', (side) => {
    const window = deep(side);
    const opening = openingOf(room, window);
    const at = (u: number, v: number, outM: number) => plus(pointOn(opening, u, v), times(opening.normal, outM));
    expect(revealAround(room, [window], at(0.5, 0.5, 0.1))).toBe(window);
    for (const outside of [at(0.5, 0.5, -0.01), at(0.5, 0.5, 0.31), at(1.02, 0.5, 0.1), at(0.5, -0.02, 0.1)])
      expect(revealAround(room, [window], outside)).toBeNull();
  });

  it('is none of a flush window, nor of one in a roof', () => {
    expect(hasReveal({ slopeDeg: 90, revealM: 0 })).toBe(false);
    expect(hasReveal({ slopeDeg: 45, revealM: 0.3 })).toBe(false);
    expect(hasReveal({ slopeDeg: 90, revealM: 0.3 })).toBe(true);
  });

  it('sees of the room what its opening shows: a way through the wall is closed, one through the opening is open', () => {
    const share = fc.double({ min: 0.02, max: 0.98, noNaN: true });
    fc.assert(
      fc.property(fc.constantFrom(...SIDES), share, share, share, share, (side, u, v, toU, toV) => {
        const window = deep(side);
        const opening = openingOf(room, window);
        const from = plus(pointOn(opening, u, v), times(opening.normal, 0.15));
        const to = vec(0.1 + 4.8 * toU, 0.1 + 3.8 * toV, 1.3);
        const ahead = plus(pointOn(opening, u, v), times(opening.normal, -0.2));
        const clear = (p: typeof to) => clearWay(wallAround(room, window), from.x, from.y, from.z, p.x, p.y, p.z);
        expect(clear(ahead)).toBe(1);
        // Where the way meets the wall's plane, along the opening.
        const out = (p: typeof to) =>
          (p.x - opening.corner.x) * opening.normal.x + (p.y - opening.corner.y) * opening.normal.y;
        const passed = out(from) / (out(from) - out(to));
        const meets = plus(from, times(plus(to, times(from, -1)), passed));
        const along = plus(meets, times(opening.corner, -1));
        const atU = along.x * opening.edgeU.x + along.y * opening.edgeU.y;
        const atV = along.z;
        const isInside = atU > 0 && atU < window.widthM && atV > 0 && atV < window.heightM;
        expect(clear(to)).toBe(isInside ? 1 : 0);
      }),
    );
  });
});

describe('a sill set into an opening', () => {
  it.each(SIDES)('in wall %s reaches from the glass to a little before the wall, and is allowed there', (side) => {
    const window = deep(side);
    const there = { ...smallHome.stands[0]!, ...sillIn(room, window) };
    const [across, along] = side === 'a' || side === 'c' ? [there.depthM, there.widthM] : [there.widthM, there.depthM];
    expect(across).toBeCloseTo(0.33, 9);
    expect(along).toBeCloseTo(1.6, 9);
    expect(reachInto({ windows: [window] }, room, there)[side]).toBe(0.3);
    const wide = side === 'a' || side === 'c' ? { ...there, widthM: 2 } : { ...there, depthM: 2 };
    expect(reachInto({ windows: [window] }, room, wide)[side]).toBe(0);
  });
});
