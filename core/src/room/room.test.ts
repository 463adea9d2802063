import fc from 'fast-check';
import { smallHome } from '../home/small-home.fixture';
import {
  LEAF_HEIGHT_M,
  azimuthOf,
  clearWay,
  configurationFactor,
  corners,
  cross,
  crownsOf,
  directionInRoom,
  dot,
  firstBetween,
  length,
  levelRectangle,
  minus,
  neighboursOf,
  openingOf,
  placedSpots,
  plus,
  pointOn,
  rectangleFactor,
  sideBearing,
  sideLength,
  solidBox,
  solidsOf,
  times,
  unit,
  vec,
} from './index';

const room = { widthM: 5, depthM: 4, heightM: 2.5, wallABearing: 180 };
const window = { ...smallHome.windows[0]!, offsetM: 1, sillM: 0.9, widthM: 1.5, heightM: 1.2 };

describe('vectors', () => {
  const coordinate = fc.double({ min: -50, max: 50, noNaN: true });
  const vector = fc.record({ x: coordinate, y: coordinate, z: coordinate });

  it('add and take away again', () => {
    fc.assert(fc.property(vector, vector, (p, q) => expect(length(minus(minus(plus(p, q), q), p))).toBeLessThan(1e-9)));
  });

  it('are at right angles to their cross product', () => {
    fc.assert(
      fc.property(vector, vector, (p, q) => {
        const c = cross(p, q);
        expect(Math.abs(dot(c, p))).toBeLessThan(1e-6 * (1 + length(p) ** 2 * length(q)));
        expect(Math.abs(dot(c, q))).toBeLessThan(1e-6 * (1 + length(q) ** 2 * length(p)));
      }),
    );
  });

  it('have length 1 when made unit, but for the zero vector', () => {
    fc.assert(
      fc.property(vector, (p) => {
        fc.pre(length(p) > 1e-6);
        expect(length(unit(p))).toBeCloseTo(1, 9);
      }),
    );
    expect(unit(vec(0, 0, 0))).toEqual(vec(0, 0, 0));
    expect(times(vec(1, 2, 3), 2)).toEqual(vec(2, 4, 6));
  });
});

describe('the walls of a room', () => {
  it('look where the compass says: A south, B east, C north, D west', () => {
    expect((['a', 'b', 'c', 'd'] as const).map((side) => sideBearing(room, side))).toEqual([180, 90, 0, 270]);
  });

  it('are as long as they are drawn', () => {
    expect((['a', 'b', 'c', 'd'] as const).map((side) => sideLength(room, side))).toEqual([5, 4, 5, 4]);
  });

  it('turn a direction into an azimuth and back, whatever way the room lies', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 359.9, noNaN: true }),
        fc.double({ min: 0, max: 359.9, noNaN: true }),
        fc.double({ min: 0, max: 85, noNaN: true }),
        (wallABearing, azimuth, elevation) => {
          const direction = directionInRoom({ wallABearing }, azimuth, elevation);
          expect(length(direction)).toBeCloseTo(1, 9);
          const back = azimuthOf({ wallABearing }, direction.x, direction.y);
          expect(Math.abs(((back - azimuth + 540) % 360) - 180)).toBeLessThan(1e-6);
        },
      ),
    );
  });
});

describe('windows', () => {
  it.each(['a', 'b', 'c', 'd'] as const)('in wall %s lie in it and look out of it', (side) => {
    const opening = openingOf(room, { ...window, side });
    const outward = directionInRoom(room, sideBearing(room, side), 0);
    expect(dot(opening.normal, outward)).toBeCloseTo(1, 9);
    for (const corner of corners(opening)) {
      expect(corner.x).toBeGreaterThanOrEqual(-1e-9);
      expect(corner.x).toBeLessThanOrEqual(5 + 1e-9);
      expect(corner.y).toBeGreaterThanOrEqual(-1e-9);
      expect(corner.y).toBeLessThanOrEqual(4 + 1e-9);
    }
    expect(pointOn(opening, 0, 1).z).toBeCloseTo(2.1, 9);
  });

  it('in a roof rise inward and look up and out', () => {
    const opening = openingOf(room, { ...window, side: 'b', slopeDeg: 30, insetM: 0.4, sillM: 1.5 });
    expect(pointOn(opening, 0, 0).x).toBeCloseTo(4.6, 9);
    expect(pointOn(opening, 0, 1).x).toBeCloseTo(4.6 - 1.2 * Math.cos(Math.PI / 6), 9);
    expect(opening.normal.z).toBeCloseTo(Math.cos(Math.PI / 6), 9);
    expect(opening.normal.x).toBeCloseTo(0.5, 9);
  });
});

describe('what a rectangle takes of a view', () => {
  const up = vec(0, 0, 1);

  it('of a square overhead is the textbook’s', () => {
    // A square of side 2 at height 1 over its own middle: (4 / pi) (1 / sqrt 2) atan(1 / sqrt 2).
    const ceiling = { ...levelRectangle(-1, -1, 1, 2, 2), normal: vec(0, 0, -1) };
    const wanted = (4 / Math.PI) * Math.SQRT1_2 * Math.atan(Math.SQRT1_2);
    expect(configurationFactor(corners(ceiling), vec(0, 0, 0), up)).toBeCloseTo(wanted, 9);
    expect(rectangleFactor(ceiling, vec(0, 0, 0), up)).toBeCloseTo(wanted, 9);
  });

  it('is the same by the short way and the long one, also where the element’s plane cuts it', () => {
    const coordinate = fc.double({ min: -3, max: 3, noNaN: true });
    fc.assert(
      fc.property(
        coordinate,
        coordinate,
        fc.double({ min: 0.1, max: 2, noNaN: true }),
        fc.double({ min: -1, max: 1, noNaN: true }),
        (x, y, z, tilt) => {
          const rectangle = levelRectangle(x, y, z, 1.3, 0.7);
          const normal = unit(vec(tilt, 0.2, 1));
          expect(rectangleFactor(rectangle, vec(0, 0, 0), normal)).toBeCloseTo(
            configurationFactor(corners(rectangle), vec(0, 0, 0), normal),
            9,
          );
        },
      ),
    );
  });

  it('is nothing behind the element, and never more than all', () => {
    expect(rectangleFactor(levelRectangle(-1, -1, -1, 2, 2), vec(0, 0, 0), up)).toBe(0);
    expect(rectangleFactor(levelRectangle(-500, -500, 0.5, 1000, 1000), vec(0, 0, 0), up)).toBeGreaterThan(0.999);
    expect(rectangleFactor(levelRectangle(-500, -500, 0.5, 1000, 1000), vec(0, 0, 0), up)).toBeLessThanOrEqual(1);
  });
});

describe('things in the light', () => {
  const board = solidBox(0, 0, 1, 1, 1, 0);
  const clear = (list: Parameters<typeof clearWay>[0], from: [number, number, number], to: [number, number, number]) =>
    clearWay(list, ...from, ...to);

  it('a board stops a ray through it and no other', () => {
    expect(clear([board], [0.5, 0.5, 0], [0.5, 0.5, 2])).toBe(0);
    expect(clear([board], [1.5, 0.5, 0], [1.5, 0.5, 2])).toBe(1);
    expect(clear([board], [0.5, 0.5, 1.1], [0.5, 0.5, 2])).toBe(1);
    expect(clear([board], [0.5, 0.5, 0], [0.5, 0.5, 0.9])).toBe(1);
  });

  it('a board on which a leaf lies does not hide what is above it', () => {
    expect(clear([board], [0.5, 0.5, 1], [0.5, 0.5, 2])).toBe(1);
  });

  it('a block stops a level ray at its height', () => {
    const block = solidBox(1, 0, 0, 0.5, 2, 1.5);
    expect(clear([block], [0, 1, 1], [3, 1, 1])).toBe(0);
    expect(clear([block], [0, 1, 1.6], [3, 1, 1.6])).toBe(1);
    expect(firstBetween([board, block], 0, 1.5, 0.5, 3, 1.5, 0.5)).toBe(1);
  });

  it('a crown leaves the share that Beer’s law does, and two crowns the product', () => {
    const crown = { x0: 0, y0: 0, z0: 0, x1: 1, y1: 1, z1: 0.5, extinction: 2 };
    expect(clear([crown], [0.5, 0.5, -1], [0.5, 0.5, 2])).toBeCloseTo(Math.exp(-1), 9);
    const second = { ...crown, z0: 1, z1: 1.25 };
    expect(clear([crown, second], [0.5, 0.5, -1], [0.5, 0.5, 2])).toBeCloseTo(Math.exp(-1.5), 9);
    expect(clear([crown], [2, 0.5, -1], [2, 0.5, 2])).toBe(1);
  });

  it('does not depend on the way’s sense', () => {
    const coordinate = fc.double({ min: -2, max: 3, noNaN: true });
    const point = fc.tuple(coordinate, coordinate, coordinate);
    const list = [board, { x0: 0.2, y0: 0.1, z0: 0, x1: 0.9, y1: 0.8, z1: 0.6, extinction: 3 }];
    fc.assert(fc.property(point, point, (p, q) => expect(clear(list, p, q)).toBeCloseTo(clear(list, q, p), 6)));
  });

  it('are the solid boards of a room’s stands and its blocks', () => {
    const withBlock = {
      ...smallHome,
      blocks: [
        {
          id: 'k',
          roomId: 'r',
          name: 'Cupboard',
          xM: 3,
          yM: 1,
          zM: 0,
          widthM: 0.6,
          depthM: 1,
          heightM: 2,
          reflectance: 0.4,
        },
      ],
    };
    const tops = solidsOf(withBlock, 'r').map((solid) => solid.z1);
    expect(tops.sort((p, q) => p - q)).toEqual([0.6, 0.8, 1.2, 2]);
    expect(solidsOf(smallHome, 'box')).toEqual([]);
  });
});

describe('neighbours', () => {
  const tall = {
    ...smallHome,
    plants: smallHome.plants.map((plant) =>
      plant.id === 'q' ? { ...plant, spotId: 'dim', heightCm: 60 } : { ...plant, spotId: null },
    ),
  };
  const dim = placedSpots(tall).find(({ spot }) => spot.id === 'dim')!;

  it('hold the part of their crowns that rises above a plant’s own top', () => {
    const crowns = crownsOf(tall, 'r');
    expect(crowns).toHaveLength(1);
    const leaf = { ...dim.leaf, x: dim.leaf.x + 0.3, z: dim.tierHeightM + LEAF_HEIGHT_M };
    const [over] = neighboursOf(crowns, 'other', leaf, dim.tierHeightM, []);
    expect(over!.z1).toBeCloseTo(0.6 + 0.6, 9);
    expect(over!.z0).toBeCloseTo(0.6 + 0.18, 9);
    expect(neighboursOf(crowns, 'other', leaf, dim.tierHeightM, [{ ...tall.plants[0]!, heightCm: 75 }])).toEqual([]);
    expect(neighboursOf(crowns, 'dim', leaf, dim.tierHeightM, [])).toEqual([]);
  });

  it('throw no shade while their height is not known, and more the denser they are', () => {
    expect(crownsOf({ ...tall, plants: tall.plants.map((plant) => ({ ...plant, heightCm: null })) }, 'r')).toEqual([]);
    const [medium] = crownsOf(tall, 'r');
    const [dense] = crownsOf(
      { ...tall, plants: tall.plants.map((plant) => ({ ...plant, foliage: 'dense' as const })) },
      'r',
    );
    expect(dense!.occluder.extinction).toBeGreaterThan(medium!.occluder.extinction);
  });
});

describe('spots', () => {
  it('are placed on their stand, the leaf a little above the board', () => {
    const bright = placedSpots(smallHome).find(({ spot }) => spot.id === 'bright')!;
    expect(bright.leaf).toEqual(vec(2, 0.15, 0.8 + 0.12));
    expect(bright.room.id).toBe('r');
  });

  it('are judged at the middle of their leaves and at their top once a plant of known height stands there', () => {
    const heightOf = (heightCm: number | null) =>
      placedSpots({
        ...smallHome,
        plants: [{ ...smallHome.plants[0]!, spotId: 'bright', heightCm }],
      }).find(({ spot }) => spot.id === 'bright')!;
    expect(heightOf(null).leaf.z).toBeCloseTo(0.8 + LEAF_HEIGHT_M, 9);
    expect(heightOf(null).top.z).toBeCloseTo(0.8 + LEAF_HEIGHT_M, 9);
    expect(heightOf(40).leaf.z).toBeCloseTo(0.8 + 0.26, 9);
    expect(heightOf(40).top.z).toBeCloseTo(0.8 + 0.4, 9);
    // No plant is taken for taller than what is free above its board.
    expect(heightOf(300).top.z).toBeCloseTo(0.8 + 1, 9);
  });

  it('whose stand is gone are left out', () => {
    expect(placedSpots({ ...smallHome, stands: [] })).toEqual([]);
  });
});
