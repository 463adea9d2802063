/** Cabinets, tents and domes. */
import fc from 'fast-check';
import { heatedRoom } from './heated-room.fixture';
import {
  airByHour,
  always,
  enclosedZone,
  minutesToHighest,
  minutesToSettle,
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

it('says how soon the sun overheats it, as the hours do too, and that it does not in the shade', () => {
  const made = enclosedZone({ ...cabinet, wetM2: 0, lampW: always(0) }, PRESSURE, { room: 0, own: 1 });
  const sunny = { gainW: 400, roomC: 22, highestC: 34 };
  const minutes = minutesToHighest(made, sunny)!;
  // On its exponential: 12 K of the 400 W over what a kelvin takes away.
  const share = 12 / (400 / (made.link.uaWK + 1006 * made.link.flowKgS));
  expect(1 - Math.exp(-minutes / minutesToSettle(made))).toBeCloseTo(share, 9);
  expect(minutesToHighest(made, { ...sunny, gainW: 800 })!).toBeLessThan(minutes / 2);
  expect(minutesToHighest(made, { ...sunny, gainW: 20 })).toBeNull();
  expect(minutesToHighest(made, { ...sunny, roomC: 35 })).toBe(0);
  // Through the hours: at the full hour after that time it is too warm, at the one before it was not.
  const room = { ...heatedRoom, heating: { ...heatedRoom.heating!, setC: always(22), maxW: 20_000 } };
  const { zone, link } = enclosedZone({ ...cabinet, wetM2: 0, lampW: always(400) }, PRESSURE, { room: 0, own: 1 });
  const flat = (value: number) => Array.from({ length: 24 }, () => value);
  const [around, hours] = airByHour({
    pressurePa: PRESSURE,
    days: 1,
    outdoors: { celsius: flat(15), ratio: flat(0.0045) },
    zones: [room, zone],
    links: [link],
    start: [
      { celsius: 22, ratio: 0.006 },
      { celsius: 22, ratio: 0.006 },
    ],
  });
  expect(around!.celsius[1]).toBeCloseTo(22, 0);
  expect(hours!.celsius[Math.floor(minutes / 60)]).toBeLessThan(34);
  expect(hours!.celsius[Math.ceil(minutes / 60)]).toBeGreaterThan(34);
});
