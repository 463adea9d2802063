/** The sun's beam on a room's pieces: what enters falls somewhere, and where a ray says. */
import fc from 'fast-check';
import { smallHome } from '../home/small-home.fixture';
import { directionInRoom, dot, pointOn, type Vec } from '../room';
import { enclosureOf } from './enclosure';
import { paneOf } from './pane';
import { sunOnSurfaces, sunTracer, weighed } from './sun-on-surfaces';
import { hitFace } from './hits';

const room = { ...smallHome.rooms[0]!, widthM: 4, depthM: 4, heightM: 2.6, wallABearing: 180 };
const pane = paneOf(
  room,
  { ...smallHome.windows[0]!, frameShare: 0, dirtShare: 0 },
  { panes: 2, normalTransmittance: 0.76 },
);
const enclosure = enclosureOf(room, [pane.opening], 6);
const CELLS = 10;
const sunAt = (azimuth: number, elevation: number) => directionInRoom(room, azimuth, elevation);
const power = (toSun: Vec) => {
  const { pieces, irradiances } = sunOnSurfaces(room, pane, enclosure, CELLS, toSun);
  return Array.from(pieces).reduce((sum, piece, i) => sum + irradiances[i]! * enclosure.patches[piece]!.area, 0);
};

describe('the sun on the surfaces', () => {
  it('brings in what the glass lets through, all of it and no more', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 105, max: 255, noNaN: true }),
        fc.double({ min: 3, max: 75, noNaN: true }),
        (azimuth, elevation) => {
          const toSun = sunAt(azimuth, elevation);
          const cosGlass = dot(toSun, pane.opening.normal);
          const entered = pane.glass(cosGlass) * cosGlass * pane.opening.sizeU * pane.opening.sizeV;
          expect(power(toSun) / entered).toBeCloseTo(1, 6);
        },
      ),
    );
  });

  it('lights the piece on which the ray through the middle of the pane ends', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 120, max: 240, noNaN: true }),
        fc.double({ min: 5, max: 70, noNaN: true }),
        (azimuth, elevation) => {
          const toSun = sunAt(azimuth, elevation);
          const { face, point } = hitFace(room, pointOn(pane.opening, 0.501, 0.501), {
            x: -toSun.x,
            y: -toSun.y,
            z: -toSun.z,
          });
          expect(Array.from(sunOnSurfaces(room, pane, enclosure, 40, toSun).pieces)).toContain(
            enclosure.patchAt(face, point),
          );
        },
      ),
      { numRuns: 30 },
    );
  });

  it('is none from behind the wall, nor under an overhang that takes it all', () => {
    expect(power(sunAt(0, 30))).toBe(0);
    const roofed = paneOf(
      room,
      { ...smallHome.windows[0]!, overhangM: 3, overhangAboveM: 0 },
      { panes: 2, normalTransmittance: 0.76 },
    );
    expect(sunOnSurfaces(room, roofed, enclosure, CELLS, sunAt(180, 60)).pieces.length).toBe(0);
  });

  it('falls low in the room when it stands high, and on the far wall when it stands low', () => {
    const faces = (elevation: number) =>
      new Set(
        Array.from(
          sunOnSurfaces(room, pane, enclosure, CELLS, sunAt(180, elevation)).pieces,
          (piece) => enclosure.patches[piece]!.face,
        ),
      );
    expect(faces(65)).toEqual(new Set([0]));
    expect(faces(4)).toEqual(new Set([4]));
  });

  it('is traced once for each node of the sky', () => {
    const sunFrom = sunTracer(room, pane, enclosure, CELLS);
    expect(sunFrom(90)).toBe(sunFrom(90));
    expect(sunFrom(90)).not.toBe(sunFrom(91));
  });

  it('reaches a spot by what each lit piece counts', () => {
    const beam = sunOnSurfaces(room, pane, enclosure, CELLS, sunAt(180, 30));
    const ones = new Float64Array(enclosure.patches.length).fill(1);
    expect(weighed(beam, ones)).toBeCloseTo(
      beam.irradiances.reduce((sum, value) => sum + value, 0),
      9,
    );
    expect(weighed(beam, new Float64Array(enclosure.patches.length))).toBe(0);
  });
});
