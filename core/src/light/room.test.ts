/** What a spot gets of a lit room. */
import { UP, vec, type Occluder } from '../room';
import { smallHome } from '../home/small-home.fixture';
import { paneOf } from './pane';
import { litRoom, spotWindows } from './room';

const [room] = smallHome.rooms;
const glazing = { panes: 2, normalTransmittance: 0.78 } as const;
const lit = litRoom(room!, [paneOf(room!, smallHome.windows[0]!, glazing)], []);
const leaf = { point: vec(2, 1.5, 0.8), normal: UP };

const sum = (list: Float64Array) => list.reduce((all, value) => all + value, 0);

describe('crowns beside a leaf', () => {
  // Behind the leaf as the window sees it, before the wall that throws most light on it.
  const crown: Occluder = { x0: 1, y0: 1.8, z0: 0.4, x1: 3, y1: 2.1, z1: 1.6, extinction: 6 };
  const importance = lit.enclosure.importance(leaf, [crown]);
  const [past] = spotWindows(lit, leaf, [crown], importance);
  const [open] = spotWindows(lit, leaf, [], importance);

  it('dim what the wall behind them gets of the window, and so throws back', () => {
    // Not in the way of the window itself, which is only looked at in finer cells.
    expect(Math.abs(sum(past!.direct.sky) / sum(open!.direct.sky) - 1)).toBeLessThan(0.01);
    const share = sum(past!.reflected.sky) / sum(open!.reflected.sky);
    expect(share).toBeLessThan(0.97);
    expect(share).toBeGreaterThan(0.5);
    const lowSun = [185, 25] as const;
    expect(past!.sunReflected(...lowSun)).toBeLessThan(open!.sunReflected(...lowSun));
  });

  it('are not taken for a cabinet’s shell, which dims the walls for the whole room', () => {
    const shell = { ...crown, shellOf: 'cabinet' };
    const [seen] = spotWindows(lit, leaf, [shell], importance);
    expect(sum(seen!.reflected.sky)).toBeCloseTo(sum(open!.reflected.sky), 9);
  });
});
