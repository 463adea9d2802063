/** What lies beyond a window, read from the facts: sky, ground, houses, trees, a slab over it; and what glass lets pass. */
import type { HomeFacts, Obstruction, Room, Window } from '../src/facts';
import type { Sheet } from './sheets';
import { add, dot, mul, unit, type V } from './vectors';

const RAD = Math.PI / 180;

/** The outdoors at one instant, in the words of the reference cases. */
export interface Outdoors {
  readonly month: number;
  readonly dhi: number;
  readonly dni: number;
  readonly sunAzimuthDeg: number;
  readonly sunElevationDeg: number;
  readonly sky: 'overcast' | 'clear';
}

/** Toward an azimuth and elevation in the room's frame: y points away from where wall A looks. */
export function wayOf(room: Room, azimuthDeg: number, elevationDeg: number): V {
  const facade = room.wallABearing * RAD;
  const north: V = [Math.sin(facade), -Math.cos(facade), 0];
  const east: V = [-Math.cos(facade), -Math.sin(facade), 0];
  const level = Math.cos(elevationDeg * RAD);
  return add(add(mul(north, level * Math.cos(azimuthDeg * RAD)), mul(east, level * Math.sin(azimuthDeg * RAD))), [
    0,
    0,
    Math.sin(elevationDeg * RAD),
  ]);
}

function bearingOf(room: Room, way: V): number {
  const north = wayOf(room, 0, 0);
  const east = wayOf(room, 90, 0);
  return (Math.atan2(dot(way, east), dot(way, north)) / RAD + 360) % 360;
}

/** Light through clear panes one behind the other, index 1.526, by the cosine of incidence. */
export function fresnel(panes: number, normalTransmittance: number): (cosine: number) => number {
  if (panes === 0) return (cosine) => (cosine > 0 ? normalTransmittance : 0);
  const index = 1.526;
  const passing = (cosine: number, thickness: number): number => {
    const inner = Math.sqrt(1 - (1 - cosine * cosine) / index ** 2);
    const absorbed = Math.exp(-thickness / inner);
    const ways = [
      ((cosine - index * inner) / (cosine + index * inner)) ** 2,
      ((index * cosine - inner) / (index * cosine + inner)) ** 2,
    ];
    return (
      ways.reduce((sum, r) => {
        // One pane: rays that go to and fro inside it; then panes before panes.
        const t = ((1 - r) ** 2 * absorbed) / (1 - r * r * absorbed * absorbed);
        const back = r + (r * (1 - r) ** 2 * absorbed * absorbed) / (1 - r * r * absorbed * absorbed);
        let [through, mirrored] = [t, back];
        for (let pane = 1; pane < panes; pane++) {
          const between = 1 / (1 - mirrored * back);
          [through, mirrored] = [through * t * between, mirrored + through * through * back * between];
        }
        return sum + through;
      }, 0) / 2
    );
  };
  let [low, high] = [0, 6];
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2;
    if (passing(1, middle) > normalTransmittance) low = middle;
    else high = middle;
  }
  return (cosine) => (cosine <= 0 ? 0 : passing(Math.min(1, cosine), low));
}

/** Radiance of an overcast or clear sky (CIE) by direction, that gives `dhi` on level ground. */
export function skyRadiance(outdoors: Outdoors): (elevationDeg: number, azimuthDeg: number) => number {
  const { sky, dhi, sunAzimuthDeg, sunElevationDeg } = outdoors;
  const shape = (elevation: number, azimuthDeg: number): number => {
    if (sky === 'overcast') return (1 + 2 * Math.sin(elevation)) / 3;
    const [a, b, c, d, e] = [-1, -0.32, 10, -3, 0.45];
    const sun = sunElevationDeg * RAD;
    const turn = (azimuthDeg - sunAzimuthDeg) * RAD;
    const cosine = Math.sin(elevation) * Math.sin(sun) + Math.cos(elevation) * Math.cos(sun) * Math.cos(turn);
    const away = Math.acos(Math.max(-1, Math.min(1, cosine)));
    const gradation = 1 + a * Math.exp(b / Math.max(0.01, Math.sin(elevation)));
    return gradation * (1 + c * (Math.exp(d * away) - Math.exp((d * Math.PI) / 2)) + e * Math.cos(away) ** 2);
  };
  let level = 0;
  const [rings, turns] = [180, 360];
  for (let i = 0; i < rings; i++) {
    const elevation = ((i + 0.5) / rings) * (Math.PI / 2);
    for (let j = 0; j < turns; j++) {
      const azimuth = ((j + 0.5) / turns) * 360;
      level += shape(elevation, azimuth) * Math.sin(elevation) * Math.cos(elevation);
    }
  }
  level *= (Math.PI / 2 / rings) * ((2 * Math.PI) / turns);
  return (elevationDeg, azimuthDeg) => (shape(elevationDeg * RAD, azimuthDeg) * dhi) / level;
}

function treePasses({ kind, leafMonths }: Obstruction, month: number): number {
  if (kind === 'evergreen') return 0.12;
  if (kind === 'deciduous') return leafMonths.includes(month) ? 0.18 : 0.62;
  return 0;
}

const UNDERSIDE = 0.1;

const SNOW = 0.65;

/** What lies beyond a window: a slab over it, ground, houses, trees, sky. */
export function beyondOf(facts: HomeFacts, room: Room, window: Window, glass: Sheet, outdoors: Outdoors) {
  const sky = skyRadiance(outdoors);
  const global = outdoors.dhi + outdoors.dni * Math.max(0, Math.sin(outdoors.sunElevationDeg * RAD));
  const snowy = facts.home.snowMonths.includes(outdoors.month);
  const albedo = snowy ? Math.max(SNOW, window.groundReflectance) : window.groundReflectance;
  const out = glass.normal;
  const ahead = unit([out[0] + 1e-12, out[1], 0]);
  const top = Math.max(glass.corner[2], glass.corner[2] + glass.v[2]) + window.overhangAboveM;
  const things = facts.obstructions.filter(({ roomId }) => roomId === room.id);
  const isUnderSlab = (at: V, way: V) =>
    window.overhangM > 0 && ((top - at[2]) / way[2]) * dot(way, ahead) < window.overhangM;
  const isBehindRow = (way: V) => {
    const level = Math.hypot(way[0], way[1]);
    const tangent = Math.tan(window.outsideDeg * RAD);
    if (window.outsideKind === 'ring') return way[2] < tangent * level;
    return window.outsideKind === 'row' && way[2] < tangent * dot(way, ahead);
  };
  /** From the nearest thing to the farthest: what comes of things, and what is left of what lies behind. */
  const past = (way: V) => {
    const bearing = bearingOf(room, way);
    const height = Math.asin(Math.min(1, way[2])) / RAD;
    let left = 1;
    let things0 = 0;
    const met = things
      .filter(({ fromBearing, toBearing, heightDeg }) => {
        const width = fromBearing === toBearing ? 360 : (toBearing - fromBearing + 360) % 360;
        return height < heightDeg && (bearing - fromBearing + 360) % 360 <= width;
      })
      .sort((p, q) => treePasses(q, outdoors.month) - treePasses(p, outdoors.month));
    for (const thing of met) {
      const passes = treePasses(thing, outdoors.month);
      things0 += left * (1 - passes) * thing.reflectance;
      left *= passes;
    }
    return { left, bright: things0 };
  };
  return {
    radiance(at: V, way: V): number {
      if (way[2] <= 0) return (albedo * global) / Math.PI;
      if (isUnderSlab(at, way)) return (UNDERSIDE * global) / Math.PI;
      if (isBehindRow(way)) return (window.outsideReflectance * global) / Math.PI;
      const { left, bright } = past(way);
      const elevation = Math.asin(Math.min(1, way[2])) / RAD;
      return left * sky(elevation, bearingOf(room, way)) + (bright * global) / Math.PI;
    },
    sunShare: (at: V, way: V): number => (way[2] <= 0 || isUnderSlab(at, way) || isBehindRow(way) ? 0 : past(way).left),
  };
}
