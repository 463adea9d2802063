/** Cabinets, tents and domes. */
import fc from 'fast-check';
import { heatedRoom } from './heated-room.fixture';
import {
  airByHour,
  always,
  enclosedZone,
  minutesToSettle,
  minutesUntilAbove,
  type AirDays,
  type EnclosedAir,
} from './index';

const PRESSURE = 101_325;
const cabinet: EnclosedAir = {
  widthM: 0.9,
  depthM: 0.45,
  heightM: 1.3,
  shell: 'glass',
  changesH: 0.3,
  lampW: { base: 0, parts: [{ fromH: 8, toH: 20, value: 60 }] },
  wetM2: 0.1,
  sunW: null,
};
const daysWith = (enclosure: EnclosedAir): AirDays => {
  const { zone, link } = enclosedZone(enclosure, PRESSURE, { room: 0, own: 1 });
  const flat = (value: number) => Array.from({ length: 24 }, () => value);
  return {
    pressurePa: PRESSURE,
    days: 1,
    outdoors: { celsius: flat(5), ratio: flat(0.0045) },
    zones: [heatedRoom, zone],
    links: [link],
    start: 'periodic',
  };
};
const inside = (enclosure: EnclosedAir) => airByHour(daysWith(enclosure))[1]!;

it('is moister than its room, and warmer while its lamps burn', () => {
  const [roomHours, hours] = airByHour(daysWith(cabinet));
  expect(hours!.meanRh[3]).toBeGreaterThan(roomHours!.meanRh[3]! + 15);
  expect(hours!.meanC[15]).toBeGreaterThan(roomHours!.meanC[15]! + 1);
  expect(hours!.meanC[5]! - roomHours!.meanC[5]!).toBeLessThan(0.5);
});

it('is warmed by its lamps by what its shell lets through: watts over watts a kelvin', () => {
  const dry = { ...cabinet, wetM2: 0, lampW: always(60) };
  const days = daysWith(dry);
  const [roomHours, hours] = airByHour(days);
  const { uaWK, flowKgS } = days.links[0]!;
  expect(hours!.meanC[12]! - roomHours!.meanC[12]!).toBeCloseTo(60 / (uaWK + 1006 * flowKgS), 2);
});

it('is drier and cooler the more it is aired', () => {
  fc.assert(
    fc.property(fc.double({ min: 0.1, max: 20, noNaN: true }), (changesH) => {
      const [closed, aired] = [changesH, changesH * 2].map((changes) => inside({ ...cabinet, changesH: changes }));
      expect(Math.max(...aired!.meanRh)).toBeLessThanOrEqual(Math.max(...closed!.meanRh) + 1e-6);
      expect(Math.max(...aired!.meanC)).toBeLessThanOrEqual(Math.max(...closed!.meanC) + 0.3);
    }),
    { numRuns: 8 },
  );
});

it('settles in minutes, a dome sooner than a cabinet behind double glass', () => {
  const settling = (enclosure: EnclosedAir) => minutesToSettle(enclosedZone(enclosure, PRESSURE, { room: 0, own: 1 }));
  const dome = { ...cabinet, widthM: 0.3, depthM: 0.3, heightM: 0.25, shell: 'film' as const };
  expect(settling(dome)).toBeGreaterThan(5);
  expect(settling(dome)).toBeLessThan(30);
  expect(settling({ ...cabinet, shell: 'double-glass' })).toBeGreaterThan(2 * settling(dome));
});

it('says when the sun overheats it, and that it does not in the shade', () => {
  const sun = Array.from({ length: 24 }, (_, hour) => (hour >= 10 && hour <= 14 ? 250 : 0));
  const bright = daysWith({ ...cabinet, lampW: always(0), sunW: sun });
  const minutes = minutesUntilAbove(bright, 1, 32)!;
  expect(minutes).toBeGreaterThan(9 * 60);
  expect(minutes).toBeLessThan(13 * 60);
  expect(minutesUntilAbove(daysWith({ ...cabinet, lampW: always(0) }), 1, 32)).toBeNull();
  expect(minutesUntilAbove(bright, 1, 5)).toBe(0);
});
