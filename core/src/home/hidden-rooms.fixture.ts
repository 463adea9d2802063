/** Rooms that are not as they were said to be, in weather of their own: what the air's range and lessons are held against. */
import { raisedBy, timesAsMuch, type AirZone, type Outdoors } from '../air';
import type { HomeFacts, LearntAir } from '../facts';
import { climateWith } from './air-things.fixture';
import { climateOf } from './room-climate';
import { smallHome } from './small-home.fixture';

/** Park and Miller's minimal standard generator: the same rooms each time. */
export function drawing(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state * 48_271) % 2_147_483_647;
    return state / 2_147_483_647;
  };
}
/** About normal, mean 0, spread 1. */
export const normal = (draw: () => number) => Array.from({ length: 12 }, draw).reduce((sum, one) => sum + one, -6);
/** A factor that is as likely half as double, spread of a guess. */
const guessed = (draw: () => number, spread: number) => Math.exp(spread * normal(draw));

/** A zone as it truly is: each of its guesses off by its own draw. */
export function hidden(zone: AirZone, draw: () => number): AirZone {
  const [leaks, water, walls, sun] = [0.45, 0.4, 0.2, 0.2].map((spread) => guessed(draw, spread));
  const set = 0.7 * normal(draw);
  return {
    ...zone,
    uaWK: zone.uaWK * walls!,
    airChangesH: timesAsMuch(zone.airChangesH, leaks!),
    sources: zone.sources.map((source) => ({ ...source, gH: timesAsMuch(source.gH, water!) })),
    solarW: zone.solarW && zone.solarW.map((watts) => watts * sun!),
    heating: zone.heating && { ...zone.heating, setC: raisedBy(zone.heating.setC, set) },
  };
}

/** Another year's mean of the month. */
export function otherYear({ celsius, ratio }: Outdoors, draw: () => number): Outdoors {
  const warmer = 1.2 * normal(draw);
  const wetter = 1 + 0.06 * normal(draw) + 0.05 * warmer;
  return { celsius: celsius.map((one) => one + warmer), ratio: ratio.map((one) => one * wetter) };
}

export const HIDDEN_HOMES: readonly (readonly [string, HomeFacts])[] = [
  ['heated, nothing said', { ...smallHome, air: [] }],
  ['heated and leaky', { ...smallHome, air: [], climates: [climateWith({ airing: 'leaky', laundryLoadsWeek: 3 })] }],
  ['not heated', { ...smallHome, air: [], climates: [climateWith({ heating: 'none' })] }],
];

/** A home whose room `r` truly is as a lesson would tell that nobody has had yet. */
export function hiddenLesson(draw: () => number): (facts: HomeFacts) => HomeFacts {
  const [airing, water, walls, sun, holds] = [0.45, 0.4, 0.2, 0.2, 0.3].map((spread) => guessed(draw, spread)) as [
    number,
    number,
    number,
    number,
    number,
  ];
  const warmer = 0.7 * normal(draw);
  return (facts) => {
    const room = facts.rooms.find(({ id }) => id === 'r')!;
    const { heating, airing: airingThen, envelope } = climateOf(facts, room);
    const truth: LearntAir = {
      id: 'truth',
      roomId: 'r',
      ...{ airing, water, walls, sun, holds, dayK: warmer, nightK: warmer },
      ...{
        airingSpread: 0,
        waterSpread: 0,
        wallsSpread: 0,
        sunSpread: 0,
        holdsSpread: 0,
        dayKSpread: 0,
        nightKSpread: 0,
      },
      days: 1,
      heatingThen: heating,
      airingThen,
      envelopeThen: envelope,
    };
    return { ...facts, learntAir: [truth] };
  };
}
