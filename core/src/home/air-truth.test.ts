/**
 * The stated range of a room's air held against rooms that are not as they were said to be: leakier or tighter, with
 * more or less water and heat, in another year's weather. Four times in five it must hold the truth.
 */
import { airByHour, dayMean, nightMean } from '../air';
import type { HomeFacts } from '../facts';
import { joinedRooms, zonesOf } from './air-zones';
import { HomeEngine } from './engine';
import { HIDDEN_HOMES, drawing, hidden, otherYear } from './hidden-rooms.fixture';
import { smallKnowledge } from './small-home.fixture';

const engine = new HomeEngine(smallKnowledge);
const YEAR = 2026;
const MONTHS = [0, 3, 6, 9];

/** Of hidden rooms, the share whose day and night lie in the stated range. */
function heldIn(facts: HomeFacts, rooms: number) {
  let [warmHeld, moistHeld, all] = [0, 0, 0];
  const air = engine.roomAirOf(facts, YEAR).get('r')!;
  const group = joinedRooms(facts).find((one) => one.some(({ id }) => id === 'r'))!;
  const own = group.findIndex(({ id }) => id === 'r');
  for (const month0 of MONTHS) {
    const { inputs, outdoors } = engine.airSettingOf(facts, YEAR, month0)!;
    const { zones, links } = zonesOf(inputs, group);
    const { dayC, nightC, dayRh, nightRh, spread } = air[month0]!;
    const draw = drawing(17 + month0);
    for (let room = 0; room < rooms; room++) {
      const truth = airByHour({
        pressurePa: inputs.pressurePa,
        days: 1,
        outdoors: otherYear(outdoors, draw),
        zones: zones.map((zone, z) => (z === own ? hidden(zone, draw) : zone)),
        links,
        start: 'periodic',
      })[own]!;
      const isWarmHeld =
        Math.abs(dayMean(truth.celsius) - dayC) <= spread.celsius &&
        Math.abs(nightMean(truth.celsius) - nightC) <= spread.celsius;
      const off = (dayMean(truth.rh) - dayRh + nightMean(truth.rh) - nightRh) / 2;
      all++;
      if (isWarmHeld) warmHeld++;
      if (off <= spread.rhAbove && -off <= spread.rhBelow) moistHeld++;
    }
  }
  return { warm: warmHeld / all, moist: moistHeld / all };
}

it.each(HIDDEN_HOMES)('the range of a room that is %s holds four of five hidden rooms', (_what, facts) => {
  const { warm, moist } = heldIn(facts, 25);
  expect(warm).toBeGreaterThanOrEqual(0.8);
  expect(moist).toBeGreaterThanOrEqual(0.8);
});
