/** The air of a room over its plan: warmer by the radiator, colder at the pane, brisk before the fan. */
import { climateWith, thingWith } from '../home/air-things.fixture';
import { finish, HomeEngine, planLeaf } from '../home';
import { smallHome, smallKnowledge } from '../home/small-home.fixture';
import { AIR_MOVEMENTS, type HomeFacts } from '../facts';
import { airMap, roomAir } from './room-air';

const engine = new HomeEngine(smallKnowledge);
const YEAR = 2026;
const JANUARY = 0;
const home: HomeFacts = { ...smallHome, air: [], climates: [climateWith()] };
const mapOf = (facts: HomeFacts, roomId = 'r') => finish(airMap(engine, facts, { roomId, year: YEAR }));

const cellsBy = (map: NonNullable<ReturnType<typeof mapOf>>, month0: number) => {
  const cells = map.columns * map.rows;
  return Array.from({ length: cells }, (_, cell) => ({
    leaf: planLeaf(home.rooms[0]!, cell),
    nightC: map.nightC[month0 * cells + cell]!,
    dayRh: map.dayRh[month0 * cells + cell]!,
    movement: AIR_MOVEMENTS[map.movement[month0 * cells + cell]!],
  }));
};

it('a room that is not there has no air', () => {
  expect(roomAir(engine, home, { roomId: 'none', year: YEAR })).toBeNull();
  expect(mapOf(home, 'none')).toBeNull();
});

it('a room’s air is twelve months, each with its range', () => {
  const months = roomAir(engine, home, { roomId: 'r', year: YEAR })!;
  expect(months.map(({ month }) => month)).toEqual([1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12]);
  expect(months.every(({ spread }) => spread.celsius > 0 && spread.rhBelow > 0 && spread.rhAbove > 0)).toBe(true);
});

it('the places at the pane are the coldest of a January night', () => {
  const cells = cellsBy(mapOf(home)!, JANUARY);
  const coldest = cells.reduce((p, q) => (q.nightC < p.nightC ? q : p));
  // The window is in wall A, from 1 to 3 m along it.
  expect(coldest.leaf.y).toBeLessThan(0.5);
  expect(coldest.leaf.x).toBeGreaterThan(0.5);
  expect(coldest.leaf.x).toBeLessThan(3.5);
});

it('a radiator makes the driest place, and open water a moister one', () => {
  const at = { xM: 3.5, yM: 3.5, zM: 1 };
  const withRadiator = cellsBy(mapOf({ ...home, airThings: [thingWith({ kind: 'radiator', ...at })] })!, JANUARY);
  const driest = withRadiator.reduce((p, q) => (q.dayRh < p.dayRh ? q : p));
  expect(Math.hypot(driest.leaf.x - at.xM, driest.leaf.y - at.yM)).toBeLessThan(0.5);
  const withWater = cellsBy(
    mapOf({ ...home, airThings: [thingWith({ kind: 'open-water', areaM2: 0.2, ...at })] })!,
    JANUARY,
  );
  const moistest = withWater.filter(({ leaf }) => leaf.y > 1).reduce((p, q) => (q.dayRh > p.dayRh ? q : p));
  expect(Math.hypot(moistest.leaf.x - at.xM, moistest.leaf.y - at.yM)).toBeLessThan(0.5);
});
