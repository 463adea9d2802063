/** What gives heat and water to a room's air, or takes water out of it: lamps, plants, people, devices, open water. */
import {
  WET_COEFFICIENT,
  always,
  between,
  spreadOver,
  summed,
  transpiration,
  type AirZone,
  type Humidifier,
  type Schedule,
  type WaterSource,
} from '../air';
import { tiersIn, type AirThing, type Room, type TimerSpan } from '../facts';
import { burningAtFull, burningIn } from '../lamp';
import { coversOf } from './leaf-covers';
import type { Climate } from './room-climate';
import { thingsOf, type ZoneInputs } from './zone-inputs';

/** A person at rest gives off so much water, g/h, and heat, W. ASHRAE. */
const PERSON_GH = 50;
const PERSON_W = 75;
/** When people are about: the hours of a day on which theirs are spread, most of them in the evening. */
const ABOUT = { fromH: 16, toH: 23 } as const;
/** Water of a load of laundry that dries in the room, of a meal that is cooked and of a shower, g. BS 5250. */
const LAUNDRY_G = 2200;
const MEAL_G = 350;
const SHOWER_G = 400;
const DAYS_A_WEEK = 7;
const COOKING = { fromH: 18, toH: 19 } as const;
const SHOWERING = { fromH: 7, toH: 8 } as const;
const MEAL_W_HOURS = 500;

/** Light at leaves by day and under a lamp for how much they breathe, umol m-2 s-1; each is within a factor of two. */
const DAYLIT_PPFD = 60;
const LAMPLIT_PPFD = 120;
const DAYLIT = { fromH: 8, toH: 18 } as const;

/** A humidifier runs from none at its set point to full at so many points below it. */
const HUMIDIFIER_BAND_RH = 5;
const RUNS_FREELY_RH = 99;
const DEHUMIDIFIER_SET_RH = 60;
/** What a room's lamps give as heat: all of their power. */
export function lampsOf({ facts, month }: ZoneInputs, roomId: string): Schedule[] {
  const tiers = tiersIn(facts, [roomId]);
  return facts.lamps.flatMap(({ tierId, circuitId, powerW, dimming }) => {
    const circuit = facts.circuits.find(({ id }) => id === circuitId);
    if (!circuit || !tiers.has(tierId)) return [];
    const { spans, level } = burningAtFull(circuit, month);
    return spans.map(({ onMinute, offMinute }) => between(onMinute, offMinute, powerW * dimming * level));
  });
}

/** One value while lamps burn, another while they do not. */
function lampLit(spans: readonly TimerSpan[], lit: number, dark: number): Schedule {
  const parts = spans.map(({ onMinute, offMinute }) => between(onMinute, offMinute, lit - dark));
  return summed([{ base: dark, parts: [] }, ...parts]);
}

/** Water that the plants of a room give off by the hour. */
export function plantsOf(inputs: ZoneInputs, room: Room): WaterSource[] {
  const { facts, pressurePa } = inputs;
  const vpd = inputs.vpdOf(room.id);
  return coversOf(facts, inputs.sources, room.id).map((cover): WaterSource => {
    const rate = (ppfd: number) => transpiration(cover, { ppfd, vpd, air: room.airMovement, pressurePa });
    const circuit = facts.circuits.find(({ id }) => id === cover.circuitId);
    const spans = circuit ? burningIn(circuit, inputs.month).spans : [];
    const gH: Schedule =
      spans.length > 0
        ? lampLit(spans, rate(LAMPLIT_PPFD), rate(0))
        : { base: rate(0), parts: [{ ...DAYLIT, value: rate(DAYLIT_PPFD) }] };
    return { gH, heat: 'from-the-room' };
  });
}

/** Several sources as one, since they are asked for at every step. */
export function together(sources: readonly WaterSource[]): WaterSource[] {
  return (['from-the-room', 'its-own'] as const).flatMap((heat) => {
    const own = sources.filter((source) => source.heat === heat);
    return own.length === 0 ? [] : [{ heat, gH: summed(own.map(({ gH }) => gH)) }];
  });
}

/** A mean of several devices of one kind as one. */
export function humidifierOf(inputs: ZoneInputs, roomId: string): Humidifier | null {
  const things = thingsOf(inputs, roomId, 'humidifier');
  if (things.length === 0) return null;
  const maxGH = things.reduce((sum, thing) => sum + thing.gramsH * hoursShare(thing), 0);
  const setRh = Math.max(...things.map((thing) => thing.setRh ?? RUNS_FREELY_RH));
  return { control: 'proportional', maxGH, setRh, bandRh: HUMIDIFIER_BAND_RH, heat: 'from-the-room' };
}

const hoursShare = ({ fromMinute, toMinute }: AirThing) =>
  (fromMinute < toMinute ? toMinute - fromMinute : 1440 - fromMinute + toMinute) / 1440;

export function dehumidifierOf(inputs: ZoneInputs, roomId: string): AirZone['dehumidifier'] {
  const things = thingsOf(inputs, roomId, 'dehumidifier');
  if (things.length === 0) return null;
  return {
    maxGH: things.reduce((sum, thing) => sum + thing.gramsH * hoursShare(thing), 0),
    setRh: Math.min(...things.map(({ setRh }) => setRh ?? DEHUMIDIFIER_SET_RH)),
    bandRh: HUMIDIFIER_BAND_RH,
    powerW: things.reduce((sum, { powerW }) => sum + powerW, 0),
  };
}

/** Open water, moss and trays. */
export function wetOf(inputs: ZoneInputs, roomId: string): AirZone['wet'] {
  const areaM2 = thingsOf(inputs, roomId, 'open-water').reduce((sum, thing) => sum + thing.areaM2, 0);
  return areaM2 > 0 ? { areaM2, coefficient: WET_COEFFICIENT } : null;
}

/** Heat of stoves, mats and humidifiers. */
export function devicesW(inputs: ZoneInputs, roomId: string): Schedule[] {
  return (['stove', 'heat-mat', 'humidifier'] as const).flatMap((kind) =>
    thingsOf(inputs, roomId, kind).map(({ fromMinute, toMinute, powerW }) => between(fromMinute, toMinute, powerW)),
  );
}

/** Water of people, laundry, cooking and showers, and their heat. */
export function livingIn({ peopleHours, laundryLoadsWeek, mealsDay, showersDay }: Climate) {
  const sources: WaterSource[] = [
    { heat: 'its-own', gH: spreadOver(ABOUT, peopleHours * PERSON_GH) },
    { heat: 'its-own', gH: spreadOver(COOKING, mealsDay * MEAL_G) },
    { heat: 'its-own', gH: spreadOver(SHOWERING, showersDay * SHOWER_G) },
    { heat: 'from-the-room', gH: always((laundryLoadsWeek * LAUNDRY_G) / DAYS_A_WEEK / 24) },
  ];
  return {
    sources: sources.filter(({ gH }) => gH.base > 0 || gH.parts.length > 0),
    watts: [spreadOver(ABOUT, peopleHours * PERSON_W), spreadOver(COOKING, mealsDay * MEAL_W_HOURS)],
  };
}
