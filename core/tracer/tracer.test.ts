/** The tracer against what is known otherwise, and the engine against the tracer in a few of the homes it drew. */
import scenes from '../reference/scenes.json';
import { byTracer, compared, type TracedLight } from './compare';
import { drawnHome } from './random-homes';
import { fresnel } from './outdoors';
import { sheet, type Film, type Light, type Opening, type TracerScene } from './sheets';
import { FAINT, offBeyondFaint, offBy, spreadOf, sunWrong } from './spread';
import { trace } from './tracer';
import traced from './traced.json';
import { add, mul, randomFrom, type V } from './vectors';

const kept = traced as unknown as Readonly<Record<string, readonly TracedLight[]>>;
const UP: V = [0, 0, 1];

/** A closed box of one reflectance. */
function box(w: number, d: number, h: number, reflectance: number) {
  return [
    sheet([0, 0, 0], [w, 0, 0], [0, d, 0], reflectance),
    sheet([0, 0, h], [0, d, 0], [w, 0, 0], reflectance),
    sheet([0, 0, 0], [0, 0, h], [w, 0, 0], reflectance),
    sheet([w, 0, 0], [0, 0, h], [0, d, 0], reflectance),
    sheet([w, d, 0], [0, 0, h], [-w, 0, 0], reflectance),
    sheet([0, d, 0], [0, 0, h], [0, -d, 0], reflectance),
  ];
}

const empty: Omit<TracerScene, 'sheets'> = { hazes: [], films: [], openings: [], lights: [], sun: null };
const patience = { share: 0.004, most: 60_000 };

describe('the tracer', () => {
  it('gives a point lamp’s light by distance and cosine in a black room', () => {
    const lamp: Light = { centre: [1, 1, 2], u: [0, 0, 0], v: [0, 0, 0], intensity: () => 100 };
    const scene = { ...empty, sheets: box(2, 2, 2.5, 0), lights: [lamp] };
    const { straight, reflected } = trace(scene, [1, 1.6, 1.2], UP, patience, randomFrom(1));
    expect(straight).toBeCloseTo((100 * 0.8) / (0.8 ** 2 + 0.6 ** 2) ** 1.5, 9);
    expect(reflected).toBe(0);
  });

  it('returns to every point of a furnace what enters it: a lamp in a cube lights its walls to flux over what they absorb', () => {
    const lamp: Light = { centre: [1, 1, 1], u: [0, 0, 0], v: [0, 0, 0], intensity: () => 1 };
    const reflectance = 0.6;
    const scene = { ...empty, sheets: box(2, 2, 2, reflectance), lights: [lamp] };
    const mean =
      [0.2, 0.6, 1, 1.4, 1.8]
        .flatMap((x) => [0.2, 0.6, 1, 1.4, 1.8].map((y): V => [x, y, 1e-6]))
        .map((point, i) => {
          const { straight, reflected } = trace(scene, point, UP, { share: 0.01, most: 3000 }, randomFrom(i + 1));
          return straight + reflected;
        })
        .reduce((sum, light) => sum + light, 0) / 25;
    expect(Math.abs((mean * 24 * (1 - reflectance)) / (4 * Math.PI) - 1)).toBeLessThan(0.03);
  });

  it.each([
    [0.6, 0.4],
    [0.5, 0.2],
    [0.9, 0],
  ])('lights a closed shell that passes %d and throws back %d in even light by passes / (1 - back)', (passes, back) => {
    const openings = box(3, 3, 3, 0).map((wall): Opening => {
      const face = { ...wall, normal: mul(wall.normal, -1) };
      const even = { passes: () => 1, scatter: 0, straight: 1, spread: 0, radiance: () => 1, sunShare: () => 0 };
      return { mouth: face, glass: face, ...even };
    });
    const shell = box(1, 1, 1, back).map((side): Film => ({
      sheet: { ...side, corner: add(side.corner, [1, 1, 1]) },
      transmittance: passes,
    }));
    const scene: TracerScene = { ...empty, openings, films: shell, sheets: [] };
    const { straight, reflected } = trace(scene, [1.4, 1.3, 1.5], UP, { share: 0.006, most: 40_000 }, randomFrom(5));
    expect(Math.abs((straight + reflected) / Math.PI / (passes / (1 - back)) - 1)).toBeLessThan(0.02);
  });

  it('agrees with the reference’s own tracer', () => {
    const found = (scenes as unknown as { cases: ReferenceScene[] }).cases.find(
      ({ name }) => name === 'two windows a+b, overcast',
    )!;
    const { W, D, H, rho } = found.room;
    const openings = found.windows.map(openingOf({ W, D }));
    const [floor, ceiling, ...walls] = box(W, D, H, rho.walls);
    const mouths = openings.map(({ mouth }) => mouth);
    const scene: TracerScene = {
      ...empty,
      openings,
      sheets: [{ ...floor!, reflectance: rho.floor }, { ...ceiling!, reflectance: rho.ceiling }, ...walls].map(
        (wall) => ({
          ...wall,
          holes: mouths.filter(
            (mouth) => Math.abs(mouth.normal[0] * wall.normal[0] + mouth.normal[1] * wall.normal[1] + 1) < 1e-6,
          ),
        }),
      ),
    };
    found.receptors.forEach(([x, y, z], i) => {
      const { straight, reflected } = trace(scene, [x!, y!, z!], UP, patience, randomFrom(i + 7));
      const { direct, reflected: back } = found.results[i]!;
      const wanted = [...direct, ...back].reduce((sum, part) => sum + part, 0);
      expect(Math.abs((straight + reflected) / wanted - 1)).toBeLessThan(0.02);
    });
  });

  it('traces a home again as it was kept', () => {
    const [seed, before] = Object.entries(kept)[0]!;
    const again = byTracer(drawnHome(Number(seed)), { share: 0.02, most: 4000 });
    again.forEach((light, i) => {
      expect(light.spotId).toBe(before[i]!.spotId);
      expect(light.sun).toBeCloseTo(before[i]!.sun, 1);
      expect(Math.abs(light.total - before[i]!.total)).toBeLessThan(
        5 * light.error + 0.02 * before[i]!.total + FAINT / 3,
      );
    });
  });
});

interface ReferenceScene {
  readonly name: string;
  readonly room: {
    readonly W: number;
    readonly D: number;
    readonly H: number;
    readonly rho: { readonly floor: number; readonly walls: number; readonly ceiling: number };
  };
  readonly windows: readonly {
    readonly side: string;
    readonly offset: number;
    readonly sill: number;
    readonly w: number;
    readonly h: number;
    readonly tau0: number;
  }[];
  readonly receptors: readonly (readonly number[])[];
  readonly results: readonly { readonly direct: readonly number[]; readonly reflected: readonly number[] }[];
}

/** A window of the reference's scene of two panes, under its overcast sky of 200 over ground of 0.2. */
function openingOf({ W }: { readonly W: number; readonly D: number }) {
  return ({ side, offset, sill, w, h, tau0 }: ReferenceScene['windows'][number]): Opening => {
    const flat =
      side === 'a'
        ? sheet([offset, 0, sill], [w, 0, 0], [0, 0, h], 0, 2)
        : sheet([W, offset, sill], [0, w, 0], [0, 0, h], 0, 2);
    const level = 200 / ((7 * Math.PI) / 9);
    return {
      mouth: flat,
      glass: flat,
      passes: fresnel(2, tau0),
      scatter: 0,
      straight: 1,
      spread: 0,
      radiance: (_at, way) => (way[2] <= 0 ? (0.2 * 200) / Math.PI : (level * (1 + 2 * way[2])) / 3),
      sunShare: () => 0,
    };
  };
}

describe('the engine in homes drawn at random', () => {
  const rows = Object.entries(kept).flatMap(([seed, list]) => compared(drawnHome(Number(seed)), list));

  it('is right about the sun at every spot', () => {
    const { asked, wrong } = sunWrong(rows);
    expect(asked).toBeGreaterThan(20);
    expect(wrong.map(({ seed, engine }) => `${seed} ${engine.spotId}`)).toEqual([]);
  });

  it.each(['daylight', 'lamps'] as const)('has the %s of most spots within a few hundredths', (what) => {
    const some = rows.filter(({ engine }) => engine.what === what);
    const { median, within95 } = spreadOf(some);
    expect(median).toBeLessThan(0.03);
    expect(within95).toBeLessThan(0.06);
  });

  it('is nowhere off by more than 15 %', () => {
    const far = rows.filter((row) => offBeyondFaint(row) > 0.15);
    expect(far.map((row) => `${row.seed} ${row.engine.spotId} ${offBy(row).toFixed(2)}`)).toEqual([]);
  });
});
