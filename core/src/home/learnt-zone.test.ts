/** A lesson moves a room's air the way it says, and holds only as long as its heating and airing stay what they were. */
import type { LearntAir } from '../facts';
import { climateWith, thingWith } from './air-things.fixture';
import { HomeEngine } from './engine';
import { lessonOf } from './learnt-zone';
import { smallHome, smallKnowledge } from './small-home.fixture';

const engine = new HomeEngine(smallKnowledge);
const home = { ...smallHome, air: [], climates: [climateWith()] };
const lesson = (given: Partial<LearntAir> = {}): LearntAir => ({
  ...{ id: 'l', roomId: 'r', airing: 1, water: 1, walls: 1, sun: 1, holds: 1, dayK: 0, nightK: 0, days: 30 },
  ...{ airingSpread: 0, waterSpread: 0, wallsSpread: 0, sunSpread: 0, holdsSpread: 0, dayKSpread: 0, nightKSpread: 0 },
  heatingThen: 'set',
  airingThen: 'leaky',
  envelopeThen: 'usual',
  ...given,
});
const january = (given: Partial<LearntAir> | null, roomId = 'r', facts = home) =>
  engine.roomAirOf({ ...facts, learntAir: given ? [lesson({ roomId, ...given })] : [] }, 2026).get(roomId)![0]!;

it('that says all was as guessed changes nothing but how well it is known', () => {
  const { spread: before, ...guessed } = january(null);
  const { spread: after, ...taught } = january({});
  expect(taught).toEqual(guessed);
  expect(after.celsius).toBeLessThan(before.celsius);
  expect(after.rhAbove).toBeLessThan(before.rhAbove);
});

it.each([
  ['more airing makes it cooler', { airing: 2 }, 'dayC', -1],
  ['more water makes it moister', { water: 2 }, 'dayRh', 1],
  ['better walls make it warmer', { walls: 0.5 }, 'nightC', 1],
  ['more sun makes it warmer', { sun: 1.5 }, 'dayC', 1],
  ['a higher set point makes its nights warmer', { nightK: 4 }, 'nightC', 1],
] as const)('%s', (_what, given, figure, way) => {
  expect(way * (january(given)[figure] - january(null)[figure])).toBeGreaterThan(0.2);
});

it('what holds more warmth swings less', () => {
  const swing = (given: Partial<LearntAir>) => january(given).highC - january(given).lowC;
  expect(swing({ holds: 2 })).toBeLessThan(swing({ holds: 0.5 }));
});

it('a cabinet’s gaps are its airing', () => {
  const wet = {
    ...home,
    airThings: [thingWith({ kind: 'open-water', roomId: 'box', areaM2: 0.05, xM: 0.3, yM: 0.2, zM: 0.1 })],
  };
  const box = { heatingThen: 'none' } as const;
  expect(january({ ...box, airing: 4 }, 'box', wet).dayRh).toBeLessThan(january(null, 'box', wet).dayRh - 2);
});

it('holds no longer once the room is heated or aired in another way', () => {
  const [room] = home.rooms;
  const facts = { ...home, learntAir: [lesson({ airing: 3 })] };
  expect(lessonOf(facts, room!)).toEqual(facts.learntAir[0]);
  for (const changed of [{ airing: 'tilted' }, { heating: 'none' }, { envelope: 'thin' }] as const)
    expect(lessonOf({ ...facts, climates: [climateWith(changed)] }, room!)).toBeNull();
});
