/** Light that the inner sides of a cabinet throw back. */
import { UP, vec } from '../room';
import { COARSE_NET } from '../sky/nodes';
import { smallHome } from '../home/small-home.fixture';
import { emptyCoefficients } from './coefficients';
import { enclosureOf } from './enclosure';
import { PARTS_OF_SIDE, litParts, weightsOf, withInnerSides, type InnerPart } from './inner-sides';
import { paneOf } from './pane';
import { litRoom, spotWindows } from './room';

const [room] = smallHome.rooms;
const glazing = { panes: 2, normalTransmittance: 0.78 } as const;
const lit = litRoom(room!, [paneOf(room!, smallHome.windows[0]!, glazing)], []);
const leaf = { point: vec(2, 1.5, 0.8), normal: UP };

describe('the sides of a cabinet', () => {
  it.each([0.1, 0.4])('evenly lit, throw back reflectance %d / (1 - reflectance) all together', (reflectance) => {
    const enclosure = enclosureOf(
      {
        widthM: 0.8,
        depthM: 0.5,
        heightM: 1,
        floorReflectance: reflectance,
        wallReflectance: reflectance,
        ceilingReflectance: reflectance,
      },
      [],
      6,
    );
    const { whole } = enclosure.importance({ point: vec(0.3, 0.2, 0.4), normal: UP }, []);
    const weights = weightsOf(enclosure, whole);
    expect(weights).toHaveLength(6 * PARTS_OF_SIDE);
    const sum = weights.reduce((all, weight) => all + weight, 0);
    expect(Math.abs(sum / (reflectance / (1 - reflectance)) - 1)).toBeLessThan(0.03);
    // A leaf that faces up sees nothing of the floor straight.
    const bySide = [0, 1, 2, 3, 4, 5].map((side) =>
      weights.slice(side * PARTS_OF_SIDE, (side + 1) * PARTS_OF_SIDE).reduce((all, weight) => all + weight, 0),
    );
    expect(Math.min(...bySide)).toBe(bySide[0]);
  });

  it('get what a leaf in their place would, straight and thrown back', () => {
    const small = { ...FLAT, corner: vec(1.99, 1.49, 0.8), sizeU: 0.02, sizeV: 0.02 };
    const side = litParts(lit, small, [])[(PARTS_OF_SIDE - 1) / 2]!;
    const [seen] = spotWindows(lit, leaf);
    const all = (list: Float64Array) => list.reduce((sum, value) => sum + value, 0);
    const whole = all(seen!.direct.sky) + all(seen!.reflected.sky);
    // As coarsely as the room's own surfaces are lit.
    expect(Math.abs(all(side.light[0]!.sky) / whole - 1)).toBeLessThan(0.03);
    const toSun = vec(0, -Math.cos(0.5), Math.sin(0.5));
    const { glass, clearShare } = lit.panes[0]!.pane;
    const straight = side.sunExactly[0]!(toSun) - seen!.sunReflectedExactly(toSun);
    expect(straight).toBeCloseTo(glass(Math.cos(0.5)) * clearShare * Math.sin(0.5), 6);
    const above = vec(0, -Math.cos(1.3), Math.sin(1.3));
    expect(side.sunExactly[0]!(above)).toBeCloseTo(seen!.sunReflectedExactly(above), 9);
  });

  it('add to what a leaf gets by what each counts for it', () => {
    const windows = spotWindows(lit, leaf);
    const bright: InnerPart = {
      receiver: leaf,
      occluders: [],
      importance: new Float64Array(0),
      light: [{ ...emptyCoefficients(COARSE_NET), ground: 3, optics: 2, veil: 1 }],
      sunFromNode: [() => 5],
      sunExactly: [() => 7],
    };
    const [before] = windows;
    const [after] = withInnerSides(windows, [{ part: bright, weight: 0.5 }]);
    expect(after!.direct).toBe(before!.direct);
    expect(after!.reflected.ground - before!.reflected.ground).toBeCloseTo(1.5, 9);
    expect(after!.reflected.optics - before!.reflected.optics).toBeCloseTo(1, 9);
    expect(after!.sunFromNode(40) - before!.sunFromNode(40)).toBeCloseTo(2.5, 9);
    expect(after!.sunReflected(180, 30) - before!.sunReflected(180, 30)).toBeCloseTo(2.5, 6);
    const toSun = vec(0, -0.8, 0.6);
    expect(after!.sunReflectedExactly(toSun) - before!.sunReflectedExactly(toSun)).toBeCloseTo(3.5, 9);
    expect(withInnerSides(windows, [])).toBe(windows);
  });
});

const FLAT = {
  edgeU: vec(1, 0, 0),
  edgeV: vec(0, 1, 0),
  normal: UP,
};
