/** What surfaces get of a window and pass on, held against the window itself and against summing piece by piece. */
import fc from 'fast-check';
import { smallHome } from '../home/small-home.fixture';
import { UP, pointOn, solidBox, vec } from '../room';
import { COARSE_NET } from '../sky';
import { directLight } from './coefficients';
import { enclosureOf } from './enclosure';
import { fluxThrough, paneOf } from './index';
import { DEFAULT_RESOLUTION } from './resolution';
import { gather, surfaceLight } from './surface-light';

const room = { ...smallHome.rooms[0]!, widthM: 4, depthM: 4, heightM: 2.6 };
const pane = paneOf(
  room,
  { ...smallHome.windows[0]!, frameShare: 0, dirtShare: 0 },
  { panes: 0, normalTransmittance: 1 },
);
const enclosure = enclosureOf(room, [pane.opening], DEFAULT_RESOLUTION.patchesAlong);
const light = surfaceLight(pane, enclosure, DEFAULT_RESOLUTION);
const pieces = enclosure.patches.length;

/** All that a piece gets of an even outdoors of radiance 1. */
const evenOn = (piece: number) => {
  let sum = light.ground[piece]! + light.obstruction[piece]!;
  for (let i = 0; i < light.nodes.length; i++) sum += light.sky[i * pieces + piece]!;
  return sum;
};

describe('light on the surfaces', () => {
  it('is what enters: all that falls on walls, floor and ceiling came through the pane', () => {
    let onWalls = 0;
    for (let piece = 0; piece < pieces; piece++) onWalls += evenOn(piece) * enclosure.patches[piece]!.area;
    const flux = fluxThrough(pane);
    const entered =
      (flux.sky.reduce((sum, value) => sum + value, 0) + flux.ground) * pane.opening.sizeU * pane.opening.sizeV;
    expect(Math.abs(onWalls / entered - 1)).toBeLessThan(0.03);
  });

  it('is none on the wall that the window is in, and none on its glass', () => {
    for (let piece = 0; piece < pieces; piece++) {
      const { face, reflectance } = enclosure.patches[piece]!;
      if (face === 2 || reflectance === 0) expect(evenOn(piece)).toBe(0);
    }
  });

  it('is near that of a point in the middle of each far piece', () => {
    const far = enclosure.patches.map((patch, piece) => ({ patch, piece })).filter(({ patch }) => patch.face === 4);
    for (const { patch, piece } of far) {
      const { sky, ground } = directLight(
        pane,
        { point: pointOn(patch.rectangle, 0.5, 0.5), normal: patch.rectangle.normal },
        [],
        { cellPerDistance: 0.08, least: 20, most: 120 },
      );
      const here = sky.reduce((sum, value) => sum + value, 0) + ground;
      expect(Math.abs(evenOn(piece) / here - 1)).toBeLessThan(0.02);
    }
  });

  it('keeps as the mean of a patch that of its quarters, area for area', () => {
    for (let i = 0; i < light.nodes.length; i += 7) {
      const means = new Float64Array(enclosure.coarseCount);
      for (let piece = 0; piece < pieces; piece++)
        means[enclosure.patchOf[piece]!]! += enclosure.shareOfPatch[piece]! * light.sky[i * pieces + piece]!;
      for (let patch = 0; patch < enclosure.coarseCount; patch++)
        expect(light.patchSky[i * enclosure.coarseCount + patch]!).toBeCloseTo(means[patch]!, 5);
    }
  });
});

describe('what surfaces pass on to a spot', () => {
  const places = fc.record({
    x: fc.double({ min: 0.3, max: 3.7, noNaN: true }),
    y: fc.double({ min: 0.3, max: 3.7, noNaN: true }),
    z: fc.double({ min: 0.2, max: 2, noNaN: true }),
  });

  it('is the sum over pieces of what each gets and counts, within a hundredth', () => {
    fc.assert(
      fc.property(places, fc.boolean(), ({ x, y, z }, shelved) => {
        const board = solidBox(Math.max(0, x - 0.5), Math.max(0, y - 0.2), z + 0.4, 1, 0.4, 0);
        const { whole } = enclosure.importance({ point: vec(x, y, z), normal: UP }, shelved ? [board] : []);
        const passed = gather(light, whole, enclosure);
        let exact = 0;
        for (let piece = 0; piece < pieces; piece++) exact += whole[piece]! * evenOn(piece);
        const told = passed.sky.reduce((sum, value) => sum + value, 0) + passed.ground + passed.obstruction;
        expect(exact).toBeGreaterThan(0);
        expect(Math.abs(told / exact - 1)).toBeLessThan(0.01);
      }),
      { numRuns: 20 },
    );
  });

  it('is nothing when no piece counts, and lies on the coarse net', () => {
    const passed = gather(light, new Float64Array(pieces), enclosure);
    expect(passed.net).toBe(COARSE_NET);
    expect(passed.sky.every((value) => value === 0)).toBe(true);
    expect(passed).toMatchObject({ ground: 0, obstruction: 0, optics: 0 });
  });

  it('doubles when every piece counts for twice as much', () => {
    const { whole } = enclosure.importance({ point: vec(2, 2, 0.8), normal: UP }, []);
    const [once, twice] = [
      gather(light, whole, enclosure),
      gather(
        light,
        whole.map((value) => 2 * value),
        enclosure,
      ),
    ];
    for (const node of light.nodes) expect(twice.sky[node]!).toBeCloseTo(2 * once.sky[node]!, 9);
    expect(twice.optics).toBeCloseTo(2 * once.optics, 9);
  });
});
