/** Light between walls: what goes in must be found again. */
import { UP, solidBox, vec } from '../room';
import { enclosureOf } from './enclosure';
import { hitFace } from './hits';

const shape = (reflectance: number) => ({
  widthM: 4,
  depthM: 3,
  heightM: 2.5,
  floorReflectance: reflectance,
  wallReflectance: reflectance,
  ceilingReflectance: reflectance,
});
const receiver = { point: vec(1.7, 1.2, 0.8), normal: UP };

describe('a closed room', () => {
  it.each([0.2, 0.5, 0.8])(
    'of one reflectance %d, evenly lit, gives back reflectance / (1 - reflectance) (furnace)',
    (reflectance) => {
      // Every patch first gets irradiance 1. Its radiosity is then rho / (1 - rho) everywhere, and so is what the receiver gets.
      const { importance } = enclosureOf(shape(reflectance), [], 6);
      const sum = importance(receiver, []).whole.reduce((all, weight) => all + weight, 0);
      expect(Math.abs(sum / (reflectance / (1 - reflectance)) - 1)).toBeLessThan(0.02);
    },
  );

  it('of black walls gives nothing back', () => {
    const { importance } = enclosureOf(shape(0), [], 6);
    expect(importance(receiver, []).whole.every((weight) => weight === 0)).toBe(true);
  });

  it('counts a patch in plain view for more than its like behind a board', () => {
    const { importance, patches } = enclosureOf(shape(0.5), [], 6);
    const board = solidBox(0, 0, 1.5, 4, 3, 0);
    const ceiling = patches.map((patch, i) => (patch.face === 1 ? i : -1)).filter((i) => i >= 0);
    const open = importance(receiver, []).whole;
    const hidden = importance(receiver, [board]).whole;
    for (const i of ceiling) expect(hidden[i]!).toBeLessThan(open[i]!);
  });

  it('has patches that cover its faces without gap or overlap', () => {
    const { patches } = enclosureOf(shape(0.5), [], 6);
    const area = patches.reduce((sum, patch) => sum + patch.area, 0);
    expect(area).toBeCloseTo(2 * (4 * 3 + 4 * 2.5 + 3 * 2.5), 9);
  });

  it('finds the patch that holds a point', () => {
    const { patches, patchAt } = enclosureOf(shape(0.5), [], 6);
    patches.forEach((patch, i) => expect(patchAt(patch.face, patch.centre)).toBe(i));
  });
});

describe('a window in a wall', () => {
  const opening = {
    corner: vec(1, 0, 0.9),
    edgeU: vec(1, 0, 0),
    edgeV: vec(0, 0, 1),
    sizeU: 1.5,
    sizeV: 1.2,
    normal: vec(0, -1, 0),
  };

  it('is cut out black, edge to edge', () => {
    const { patches } = enclosureOf(shape(0.5), [opening], 6);
    const black = patches.filter((patch) => patch.reflectance === 0);
    expect(black.reduce((sum, patch) => sum + patch.area, 0)).toBeCloseTo(1.5 * 1.2, 6);
    expect(black.every((patch) => patch.face === 2)).toBe(true);
  });

  it('lets light out: less comes back than from a whole wall', () => {
    const sum = (openings: Parameters<typeof enclosureOf>[1]) =>
      enclosureOf(shape(0.7), openings, 6)
        .importance(receiver, [])
        .whole.reduce((all, weight) => all + weight, 0);
    expect(sum([opening])).toBeLessThan(sum([]));
  });
});

describe('a ray in a box', () => {
  const box = { widthM: 4, depthM: 3, heightM: 2.5 };
  it.each([
    [vec(0, 0, -1), 0, vec(2, 1, 0)],
    [vec(0, 0, 1), 1, vec(2, 1, 2.5)],
    [vec(0, -1, 0), 2, vec(2, 0, 1)],
    [vec(1, 0, 0), 3, vec(4, 1, 1)],
    [vec(0, 1, 0), 4, vec(2, 3, 1)],
    [vec(-1, 0, 0), 5, vec(0, 1, 1)],
  ])('toward %j meets the face it is aimed at', (way, face, point) => {
    expect(hitFace(box, vec(2, 1, 1), way)).toEqual({ face, point });
  });
});
