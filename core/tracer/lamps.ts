/** Lamps read from the facts as the tracer needs them: where they shine from, and how strongly by direction. */
import type { HomeFacts, Intensities, Lamp, Room } from '../src/facts';
import type { Light } from './sheets';
import { add, cross, dot, mul, norm, sub, type V } from './vectors';

const RAD = Math.PI / 180;

/** Where the corner of a room or cabinet is in the frame of the room itself. */
export const originOf = ({ insideRoomId, insideXM, insideYM, insideZM }: Room): V =>
  insideRoomId === null ? [0, 0, 0] : [insideXM, insideYM, insideZM];

/** Gives the intensities of a lamp's file. */
type FileOf = (fileKey: string) => Intensities;

const SIDE_WAY: Record<Lamp['tiltToward'], V> = { a: [0, -1, 0], b: [1, 0, 0], c: [0, 1, 0], d: [-1, 0, 0] };

/** A lamp in a room or in a cabinet that stands in it; none where it hangs elsewhere. */
export function lightOf(facts: HomeFacts, room: Room, lamp: Lamp, intensities: FileOf): Light[] {
  const tier = facts.tiers.find(({ id }) => id === lamp.tierId);
  const stand = facts.stands.find(({ id }) => id === tier?.standId);
  const holder = facts.rooms.find(({ id }) => id === stand?.roomId);
  if (!tier || !stand || !holder || (holder.id !== room.id && holder.insideRoomId !== room.id)) return [];
  const centre = add(originOf(holder), [stand.xM + lamp.alongM, stand.yM + lamp.acrossM, tier.heightM + lamp.aboveM]);
  // Turned about the level axis at right angles to the way it is tilted toward.
  const way = SIDE_WAY[lamp.tiltToward];
  const axis = cross([0, 0, -1], way);
  const turn = (v: V): V => {
    const angle = lamp.tiltDeg * RAD;
    const along = mul(axis, dot(axis, v));
    const rest = sub(v, along);
    return add(along, add(mul(rest, Math.cos(angle)), mul(cross(axis, rest), Math.sin(angle))));
  };
  const aim = turn([0, 0, -1]);
  const [x, y] = [turn([1, 0, 0]), turn([0, 1, 0])];
  const output = lamp.ppf * lamp.dimming;
  const file = facts.photometries.find(({ id }) => id === lamp.photometryId);
  if (file) {
    const spread = intensities(file.fileKey);
    const whole = integrated(spread);
    return [
      {
        centre,
        u: mul(x, file.lengthM),
        v: mul(y, file.breadthM),
        intensity: (toward) => (output * candela(spread, toward, aim, x, y)) / whole,
      },
    ];
  }
  const power = Math.log(0.5) / Math.log(Math.cos((lamp.beamDeg / 2) * RAD));
  const isPoint = lamp.form === 'point' || lamp.form === 'spot';
  return [
    {
      centre,
      u: mul(x, isPoint ? 0 : lamp.lengthM),
      v: mul(y, isPoint ? 0 : lamp.breadthM),
      intensity: (toward) => {
        const cosine = dot(toward, aim);
        return cosine <= 0 ? 0 : ((output * (power + 1)) / (2 * Math.PI)) * cosine ** power;
      },
    },
  ];
}

/** Intensity of a measured lamp in a direction: between its planes and angles along straight lines. */
function candela({ planes, angles, candela: list }: Intensities, toward: V, aim: V, x: V, y: V): number {
  const angle = Math.acos(Math.max(-1, Math.min(1, dot(toward, aim) / norm(toward)))) / RAD;
  if (angle > angles[angles.length - 1]!) return 0;
  const last = planes[planes.length - 1]!;
  let plane = (Math.atan2(dot(toward, y), dot(toward, x)) / RAD + 360) % 360;
  if (last === 0) plane = 0;
  else if (last <= 180 && plane > 180) plane = 360 - plane;
  if (last === 90 && plane > 90) plane = 180 - plane;
  const [i, s] = between(planes, plane);
  const [j, t] = between(angles, angle);
  const at = (p: number, a: number) =>
    list[Math.min(p, planes.length - 1) * angles.length + Math.min(a, angles.length - 1)]!;
  return (at(i, j) * (1 - t) + at(i, j + 1) * t) * (1 - s) + (at(i + 1, j) * (1 - t) + at(i + 1, j + 1) * t) * s;
}

function between(list: readonly number[], value: number): [number, number] {
  let i = 0;
  while (i + 1 < list.length && list[i + 1]! <= value) i++;
  const next = list[i + 1];
  return [i, next === undefined ? 0 : Math.max(0, (value - list[i]!) / (next - list[i]!))];
}

function integrated(spread: Intensities): number {
  let sum = 0;
  const steps = 360;
  for (let i = 0; i < steps; i++) {
    const angle = ((i + 0.5) / steps) * Math.PI;
    for (let j = 0; j < steps; j++) {
      const turn = ((j + 0.5) / steps) * 2 * Math.PI;
      const toward: V = [Math.sin(angle) * Math.cos(turn), Math.sin(angle) * Math.sin(turn), Math.cos(angle)];
      sum += candela(spread, toward, [0, 0, 1], [1, 0, 0], [0, 1, 0]) * Math.sin(angle);
    }
  }
  return (sum * 2 * Math.PI * Math.PI) / steps / steps;
}
