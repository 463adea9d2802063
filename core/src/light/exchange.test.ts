/** Exchange between walls and shade on them, held against balances and against looking ray by ray. */
import fc from 'fast-check';
import { UP, firstBetween, pointOn, solidBox, vec, type Occluder } from '../room';
import { factorise, solve, viewOf } from './exchange';
import { latticeOf, shadeOf } from './piece-shade';
import { cellsOf, finderOf, quartered, type Patch, type Piece } from './cells';
import { NOTHING_INSIDE, surfacesOf } from './surfaces';

const shape = (reflectance: number) => ({
  widthM: 3,
  depthM: 4,
  heightM: 2.4,
  floorReflectance: reflectance,
  wallReflectance: reflectance,
  ceilingReflectance: reflectance,
});

function patchesOf(reflectance: number, along: number): Patch[] {
  return surfacesOf(shape(reflectance), [], along, NOTHING_INSIDE).flatMap((surface, index) =>
    cellsOf(surface, index, surface.lines, [], []),
  );
}

describe('a patch', () => {
  it('is seen by its opposite as much as it sees it, area for area', () => {
    const patches = patchesOf(0.5, 5);
    const [floor, ceiling] = [
      patches.find((patch) => patch.face === 0)!,
      patches.findLast((patch) => patch.face === 1)!,
    ];
    const there = viewOf(ceiling, floor.centre, floor.rectangle.normal) * floor.area;
    const back = viewOf(floor, ceiling.centre, ceiling.rectangle.normal) * ceiling.area;
    expect(there).toBeCloseTo(back, 9);
  });

  it('sees a room round it, all of it and no more', () => {
    const patches = patchesOf(0.5, 8);
    for (const point of [vec(1.2, 1.5, 1), vec(0.4, 3.2, 0.3)]) {
      const whole = patches.reduce((sum, patch) => sum + viewOf(patch, point, UP), 0);
      expect(Math.abs(whole - 1)).toBeLessThan(0.02);
    }
  });
});

describe('the balance of a closed room', () => {
  it.each([0.3, 0.6, 0.9])(
    'of reflectance %d gives back of an even light reflectance / (1 - reflectance)',
    (reflectance) => {
      const patches = patchesOf(reflectance, 5);
      // Radiosity is asked for with a first light of 1 on every patch; seen as a whole by a receiver in its midst.
      const seen = Float64Array.from(patches, (patch) => patch.area);
      const counted = solve(factorise(patches), seen);
      const whole = counted.reduce((sum, value) => sum + value, 0);
      const area = patches.reduce((sum, patch) => sum + patch.area, 0);
      // The exchange is evened out in a few rounds: within half a thousandth.
      expect(Math.abs(whole / area / (reflectance / (1 - reflectance)) - 1)).toBeLessThan(0.0005);
    },
  );

  it('is symmetric: what one patch counts for another, the other counts for the one', () => {
    const patches = patchesOf(0.7, 4);
    const factor = factorise(patches);
    const counts = (from: number) => {
      const seen = new Float64Array(patches.length);
      seen[from] = 1;
      return solve(factor, seen);
    };
    fc.assert(
      fc.property(fc.nat(patches.length - 1), fc.nat(patches.length - 1), (i, j) => {
        expect(counts(i)[j]! / patches[j]!.area).toBeCloseTo(counts(j)[i]! / patches[i]!.area, 9);
      }),
      { numRuns: 20 },
    );
  });

  it('of black walls gives nothing back', () => {
    const patches = patchesOf(0, 4);
    expect(solve(factorise(patches), new Float64Array(patches.length).fill(1)).every((value) => value === 0)).toBe(
      true,
    );
  });
});

describe('shade on the walls', () => {
  const surfaces = surfacesOf(shape(0.5), [], 6, NOTHING_INSIDE);
  const fine = surfaces.map(({ lines }) => quartered(lines));
  const coarseAt = finderOf(
    surfaces.map(({ rectangle }) => rectangle),
    surfaces.map(({ lines }) => lines),
  );
  const pieces: Piece[] = surfaces
    .flatMap((surface, index) => cellsOf(surface, index, fine[index]!, [], []))
    .map((piece) => ({ ...piece, of: coarseAt(piece.face, piece.centre) }));
  const lattices = fine.map((lines, index) => latticeOf(surfaces[index]!, lines));

  /** The share of a piece in view from many looks. */
  function looked(piece: Piece, from: { x: number; y: number; z: number }, solids: readonly Occluder[]): number {
    const count = 24;
    let open = 0;
    for (let i = 0; i < count; i++) {
      for (let j = 0; j < count; j++) {
        const at = pointOn(piece.rectangle, (i + 0.5) / count, (j + 0.5) / count);
        if (firstBetween(solids, from.x, from.y, from.z, at.x, at.y, at.z) < 0) open++;
      }
    }
    return open / count ** 2;
  }

  it('of boards and boxes is what many looks see, within a tenth at the edges and nearly exact on the whole', () => {
    const solids = [
      solidBox(0.2, 1, 1.2, 0.5, 1.4, 0),
      solidBox(0.2, 1, 0.5, 0.5, 1.4, 0),
      solidBox(2, 2.5, 0, 0.6, 0.6, 1.8),
    ];
    const point = vec(0.45, 1.7, 0.72);
    const shade = shadeOf(lattices, pieces, { point, normal: UP }, solids)!;
    let off = 0;
    pieces.forEach((piece, i) => {
      // What lies behind a leaf is not asked for.
      if (piece.centre.z < point.z + 0.2) return;
      const wanted = looked(piece, point, solids);
      expect(Math.abs(shade[i]! - wanted)).toBeLessThan(0.13);
      off += (shade[i]! - wanted) * piece.area;
    });
    expect(Math.abs(off / pieces.reduce((sum, piece) => sum + piece.area, 0))).toBeLessThan(0.004);
  });

  it('of a crown leaves a share, of nothing in the way is not asked for', () => {
    const point = vec(1.5, 2, 0.5);
    const crown: Occluder = { x0: 1.2, y0: 1.7, z0: 0.8, x1: 1.8, y1: 2.3, z1: 1.2, extinction: 2 };
    const shade = shadeOf(lattices, pieces, { point, normal: UP }, [crown])!;
    const away = (piece: Piece) => (piece.face === 1 ? Math.hypot(piece.centre.x - 1.5, piece.centre.y - 2) : Infinity);
    const overhead = pieces.reduce((nearest, piece, i) => (away(piece) < away(pieces[nearest]!) ? i : nearest), 0);
    expect(shade[overhead]!).toBeGreaterThan(0.3);
    expect(shade[overhead]!).toBeLessThan(0.6);
    expect(shadeOf(lattices, pieces, { point, normal: UP }, [])).toBeNull();
    expect(shadeOf(lattices, pieces, { point, normal: UP }, [{ ...crown, z0: 0, z1: 0.3 }])).toBeNull();
  });
});
