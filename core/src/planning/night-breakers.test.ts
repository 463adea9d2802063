/** What breaks a night that buds need: the room's own light, a timer, both, or nothing that can be put out. */
import { applied, patch, type HomeFacts } from '../facts';
import { HomeEngine } from '../home';
import { shade, smallHome, smallKnowledge } from '../home/small-home.fixture';
import { yearTargets } from '../plant';
import type { Taxon } from '../taxon';
import { nightBreakers } from './night-breakers';
import type { Wanting } from './worth';

const YEAR = 2026;
const MONTH = 11;
const engine = new HomeEngine(smallKnowledge);

const shortDay: Taxon = {
  ...shade,
  day: { ...shade.day, kind: 'short', criticalNightH: 13, inductionWeeks: 8, inductionMonths: [10, 11, 12] },
  bloom: { months: [1, 2], setBy: ['long-nights'], daysFromBud: 60, sure: 'practice' },
};
const targets = yearTargets({ stage: 'adult', growthState: 'by-season' }, shortDay, {
  latitude: smallHome.home.latitude,
  school: null,
  aim: 'whole',
});

/** The small home with its lamp burning so long, and its room lit until so late. */
function lit({ lampHours, roomUntilH }: { readonly lampHours: number; readonly roomUntilH: number | null }): HomeFacts {
  const [room] = smallHome.rooms;
  return applied(smallHome, [
    patch('circuits', 'c', { onMinute: 480, offMinute: 480 + lampHours * 60 }),
    ...(roomUntilH === null
      ? []
      : [patch('rooms', room!.id, { eveningLux: 300, eveningFromMinute: 960, eveningToMinute: roomUntilH * 60 })]),
  ])!;
}

const spotUnderLamp = smallHome.spots.find(({ tierId }) => tierId === smallHome.lamps[0]!.tierId)!.id;

function brokenBy(home: HomeFacts, wants: Partial<Wanting> = {}) {
  const through = engine.conditionsAt(home, [spotUnderLamp], YEAR, home).get(spotUnderLamp)!;
  const bright = through.map((condition) => ({ ...condition, dli: Math.max(condition.dli, 4) }));
  const wanting: Wanting = { targets, reserveLeft: 1, goal: 'flower', weight: 1, ...wants };
  const asked = { engine, home, spotId: spotUnderLamp, circuitIds: ['c'], year: YEAR, month: MONTH };
  return nightBreakers(wanting, bright, asked).map((light) => light.what);
}

it('nothing breaks a night that is long enough', () => {
  expect(brokenBy(lit({ lampHours: 9, roomUntilH: null }))).toEqual([]);
});

it('the evening light of the room is named where it alone keeps the night short', () => {
  expect(brokenBy(lit({ lampHours: 9, roomUntilH: 23 }))).toEqual(['room']);
});

it('a timer that burns too long is named', () => {
  expect(brokenBy(lit({ lampHours: 15, roomUntilH: null }))).toEqual(['timer']);
});

it('both are named where neither alone would do', () => {
  expect(brokenBy(lit({ lampHours: 15, roomUntilH: 23 }))).toEqual(['room', 'timer']);
});

it('is asked of plants alone that are grown for flowers', () => {
  expect(brokenBy(lit({ lampHours: 15, roomUntilH: 23 }), { goal: 'grow' })).toEqual([]);
});
