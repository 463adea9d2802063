/** Photons are neither lost nor made: what leaves a lamp lands on the surfaces around it. */
import type { Lamp } from '../facts';
import { smallHome } from '../home/small-home.fixture';
import { placedLamps, type MeasuredSpread } from '../lamp';
import { solidBox } from '../room';
import { enclosureOf } from './enclosure';
import { lampOnSurfaces, pastCrowns } from './lamp-light';

const ROOM = { floorReflectance: 0.3, wallReflectance: 0.6, ceilingReflectance: 0.8 };
const tent = { ...ROOM, widthM: 1.2, depthM: 1.2, heightM: 2 };
const narrow = { ...ROOM, widthM: 4, depthM: 3, heightM: 2.4 };

/** A lamp's light in two planes, wider across than along. */
const FILE: MeasuredSpread = {
  lengthM: 0.9,
  breadthM: 0.08,
  fileKey: 'file',
  planes: [0, 90],
  angles: [0, 30, 60, 90],
  candela: [100, 80, 40, 0, 100, 110, 90, 0],
};

function lampAt(given: Partial<Lamp>, x: number, y: number, z: number) {
  const [stand] = smallHome.stands;
  const [tier] = smallHome.tiers;
  const [placed] = placedLamps(
    {
      stands: [{ ...stand!, xM: 0, yM: 0 }],
      tiers: [{ ...tier!, heightM: 0 }],
      lamps: [
        {
          ...smallHome.lamps[0]!,
          tierId: tier!.id,
          dimming: 1,
          burntHours: 0,
          lifeHours: null,
          ratedBy: 'ppf',
          ppf: 100,
          alongM: x,
          acrossM: y,
          aboveM: z,
          ...given,
        },
      ],
      photometries: [{ ...FILE, id: 'file', homeId: 'h', name: 'File', lumens: 1000, powerW: 10 }],
    },
    () => FILE,
  );
  return placed!;
}

describe('photons of a lamp', () => {
  it.each([
    ['a bar in the middle', narrow, lampAt({ form: 'bar', lengthM: 1.2, breadthM: 0.03, beamDeg: 120 }, 2, 1.5, 2)],
    ['a bar 3 cm off a wall', narrow, lampAt({ form: 'bar', lengthM: 1.2, breadthM: 0.03, beamDeg: 120 }, 2, 0.03, 2)],
    ['a narrow bar by a wall', narrow, lampAt({ form: 'bar', lengthM: 1.2, breadthM: 0.03, beamDeg: 60 }, 2, 0.06, 1)],
    ['a panel of 1 m in a tent', tent, lampAt({ form: 'panel', lengthM: 1, breadthM: 1, beamDeg: 120 }, 0.6, 0.6, 1.7)],
    ['a wide panel in a tent', tent, lampAt({ form: 'panel', lengthM: 1, breadthM: 1, beamDeg: 135 }, 0.6, 0.6, 1.7)],
    ['a tilted spot', narrow, lampAt({ form: 'spot', beamDeg: 30, tiltDeg: 50, tiltToward: 'b' }, 3.7, 1, 2.2)],
    ['a lamp with a file', narrow, lampAt({ form: 'bar', photometryId: 'file' }, 2, 0.2, 1.8)],
  ] as const)('of %s all land on the surfaces', (_name, shape, lamp) => {
    const { patches } = enclosureOf(shape, [], 6);
    const landed = lampOnSurfaces(lamp, enclosureOf(shape, [], 6), []);
    const sum = patches.reduce((all, { area }, i) => all + area * landed[i]!, 0);
    expect(Math.abs(sum / 100 - 1)).toBeLessThan(0.01);
  });

  it('land on a board under the lamp instead of the floor', () => {
    const board = solidBox(1, 0.5, 1, 2, 2, 0, 0.5);
    const lamp = lampAt({ form: 'bar', lengthM: 1, breadthM: 0.03, beamDeg: 120 }, 2, 1.5, 1.5);
    const enclosure = enclosureOf(narrow, [], 6, { reveals: [], solids: [board] });
    const landed = lampOnSurfaces(lamp, enclosure, [board]);
    const on = (which: (face: number) => boolean) =>
      enclosure.patches.reduce((all, { area, face }, i) => all + (which(face) ? area * landed[i]! : 0), 0);
    const top = enclosure.surfaces.findIndex(({ of, rectangle }) => of === board && rectangle.normal.z > 0);
    expect(on((face) => face === top)).toBeGreaterThan(60);
    expect(Math.abs(on(() => true) / 100 - 1)).toBeLessThan(0.03);
  });
});

describe('crowns under a lamp', () => {
  const enclosure = enclosureOf(narrow, [], 6);
  const lamp = lampAt({ form: 'point' }, 2, 1.5, 2);
  const bare = lampOnSurfaces(lamp, enclosure, []);
  const crown = { ...solidBox(1.5, 1, 1, 1, 1, 0.5), extinction: 3 };

  it('dim what lies behind them as they let light through, and nothing else', () => {
    const dimmed = pastCrowns(bare, enclosure, lamp, [crown]);
    const floor = enclosure.patchAt(0, { x: 2, y: 1.5, z: 0 });
    // Straight down through half a metre of leaves.
    expect(dimmed[floor]! / bare[floor]!).toBeGreaterThan(Math.exp(-1.5) - 0.02);
    expect(dimmed[floor]! / bare[floor]!).toBeLessThan(Math.exp(-1.5) + 0.02);
    const wall = enclosure.patchAt(5, { x: 0, y: 1.5, z: 1.8 });
    expect(bare[wall]).toBeGreaterThan(0);
    expect(dimmed[wall]).toBe(bare[wall]);
    dimmed.forEach((light, piece) => expect(light).toBeLessThanOrEqual(bare[piece]!));
  });
});
