/**
 * The stated range of a room's air held against rooms that are not as they were said to be: leakier or tighter, with
 * more or less water and heat, in another year's weather. Four times in five it must hold the truth.
 */
import { airByHour, dayMean, nightMean, type AirZone, type Outdoors, type Schedule } from '../air';
import type { HomeFacts } from '../facts';
import { climateWith } from './air-things.fixture';
import { joinedRooms, zonesOf } from './air-zones';
import { HomeEngine } from './engine';
import { smallHome, smallKnowledge } from './small-home.fixture';

const engine = new HomeEngine(smallKnowledge);
const YEAR = 2026;
const MONTHS = [0, 3, 6, 9];

/** Park and Miller's minimal standard generator: the same rooms each time. */
function drawing(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state * 48_271) % 2_147_483_647;
    return state / 2_147_483_647;
  };
}
/** About normal, mean 0, spread 1. */
const normal = (draw: () => number) => Array.from({ length: 12 }, draw).reduce((sum, one) => sum + one, -6);
/** A factor that is as likely half as double, spread of a guess. */
const guessed = (draw: () => number, spread: number) => Math.exp(spread * normal(draw));

const scaled = ({ base, parts }: Schedule, factor: number): Schedule => ({
  base: base * factor,
  parts: parts.map((part) => ({ ...part, value: part.value * factor })),
});

/** A zone as it truly is: each of its guesses off by its own draw. */
function hidden(zone: AirZone, draw: () => number): AirZone {
  const [leaks, water, walls, sun] = [0.45, 0.4, 0.2, 0.2].map((spread) => guessed(draw, spread));
  const set = 0.7 * normal(draw);
  return {
    ...zone,
    uaWK: zone.uaWK * walls!,
    airChangesH: scaled(zone.airChangesH, leaks!),
    sources: zone.sources.map((source) => ({ ...source, gH: scaled(source.gH, water!) })),
    solarW: zone.solarW && zone.solarW.map((watts) => watts * sun!),
    heating: zone.heating && {
      ...zone.heating,
      setC: {
        base: zone.heating.setC.base + set,
        parts: zone.heating.setC.parts.map((part) => ({ ...part, value: part.value + set })),
      },
    },
  };
}

/** Another year's mean of the month. */
function otherYear({ celsius, ratio }: Outdoors, draw: () => number): Outdoors {
  const warmer = 1.2 * normal(draw);
  const wetter = 1 + 0.06 * normal(draw) + 0.05 * warmer;
  return { celsius: celsius.map((one) => one + warmer), ratio: ratio.map((one) => one * wetter) };
}

const HOMES: readonly (readonly [string, HomeFacts])[] = [
  ['heated, nothing said', { ...smallHome, air: [] }],
  ['heated and leaky', { ...smallHome, air: [], climates: [climateWith({ airing: 'leaky', laundryLoadsWeek: 3 })] }],
  ['not heated', { ...smallHome, air: [], climates: [climateWith({ heating: 'none' })] }],
];

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

it.each(HOMES)('the range of a room that is %s holds four of five hidden rooms', (_what, facts) => {
  const { warm, moist } = heldIn(facts, 25);
  expect(warm).toBeGreaterThanOrEqual(0.8);
  expect(moist).toBeGreaterThanOrEqual(0.8);
});
