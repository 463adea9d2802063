/** The heat that daylight brings into a room: none by night, most at noon of a south pane, less behind a curtain. */
import { HomeEngine } from '../home';
import { smallHome, smallKnowledge } from '../home/small-home.fixture';
import { sceneOf } from '../home/scene';
import type { HomeFacts } from '../facts';
import { ALL_MONTHS } from '../units';

const engine = new HomeEngine(smallKnowledge);
const YEAR = 2026;
const JULY = 6;

/** W by hour of a July day. */
function heatIn(facts: HomeFacts): number[] {
  const room = sceneOf(facts, engine.sources).rooms.get('r')!;
  const heat = engine.lit.heatOf(room, engine.lit.sky(facts, YEAR));
  return Array.from(heat.subarray(JULY * 24, (JULY + 1) * 24));
}
const sum = (list: readonly number[]) => list.reduce((all, one) => all + one, 0);
const [pane] = smallHome.windows;
const withPane = (given: Partial<typeof pane>): HomeFacts => ({ ...smallHome, windows: [{ ...pane!, ...given }] });

it('comes by day alone, most about noon through a south window', () => {
  const heat = heatIn(smallHome);
  expect(heat[0]).toBe(0);
  expect(heat.indexOf(Math.max(...heat))).toBeGreaterThanOrEqual(10);
  expect(heat.indexOf(Math.max(...heat))).toBeLessThanOrEqual(13);
});

it('is less than what falls on the bare opening on the clearest hour, and more than the sky alone could give', () => {
  const most = Math.max(...heatIn(smallHome));
  const areaM2 = 2 * 1.4;
  expect(most).toBeLessThan(areaM2 * 600);
  expect(most).toBeGreaterThan(areaM2 * 60);
});

it('grows with the pane', () => {
  const half = sum(heatIn(withPane({ widthM: 1, offsetM: 1.5 })));
  const whole = sum(heatIn(smallHome));
  expect(whole / half).toBeGreaterThan(1.8);
  expect(whole / half).toBeLessThan(2.2);
});

it('a curtain in the room keeps out half of what it stops', () => {
  const shut = { curtainId: 'blackout', months: ALL_MONTHS, fromMinute: 0, toMinute: 1440 };
  const share = sum(heatIn(withPane({ curtains: [shut] }))) / sum(heatIn(smallHome));
  expect(share).toBeGreaterThan(0.45);
  expect(share).toBeLessThan(0.6);
});
