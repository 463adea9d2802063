/** The air at a spot beside its room's: what height, panes, heaters, vents, doors, fans, mats and lamps make of it. */
import { dayMean, nightMean, possibleRh, saturationPressure, type AirStep, type SpotAirMonth } from '../air';
import {
  AIR_MOVEMENTS,
  isShutAt,
  type AirMovement,
  type AirThing,
  type AirThingKind,
  type HomeFacts,
  type SpotAirStatement,
} from '../facts';
import { burningAtFull } from '../lamp';
import { length, minus, outwardOf, vec, type PlacedSpot, type Vec } from '../room';
import type { RoomAirMonth } from './room-air-month';
import { correctedSpread, correctionsOf, type Correction } from './stated-air';
import { runsIn } from './zone-inputs';
import { paneFelt, paneWarmed, type NearGlass } from './near-glass';

/**
 * Warm air rises: so much warmer for each metre above the height at which rooms are stated, K; less where nothing
 * heats.
 */
const STRATIFICATION_K_M = { heated: 0.7, free: 0.3 } as const;
const STATED_HEIGHT_M = 1.1;
const STRATIFIED_M = 1.5;

/**
 * What a thing does at its own place, K, and the distance over which a third of it is left, m. Judgement, each within
 * a half.
 */
interface Reach {
  readonly peakK: number;
  readonly reachM: number;
}
const REACH: Readonly<Partial<Record<AirThingKind, Reach>>> = {
  radiator: { peakK: 6, reachM: 0.4 },
  stove: { peakK: 8, reachM: 0.8 },
  'warm-vent': { peakK: 6, reachM: 0.7 },
  'cold-vent': { peakK: -6, reachM: 0.7 },
  'heat-mat': { peakK: 3, reachM: 0.2 },
};
/** What a door and a gap let in of the difference to outdoors. */
const LEAKS: Readonly<Partial<Record<AirThingKind, { readonly share: number; readonly reachM: number }>>> = {
  'outer-door': { share: 0.25, reachM: 0.8 },
  draught: { share: 0.2, reachM: 0.4 },
};
/** An outer door is open for little of the day; at night it leaks. */
const DOOR_BY_NIGHT = 0.4;
/** A humidifier and open water wet the air beside them by so much of what it holds. */
const WETS: Readonly<Partial<Record<AirThingKind, { readonly share: number; readonly reachM: number }>>> = {
  humidifier: { share: 0.25, reachM: 0.5 },
  'open-water': { share: 0.06, reachM: 0.3 },
};
/** Heat of a lamp in the air about it, K for each W, over a distance; no more than so much. */
const LAMP_K_W = 0.06;
const LAMP_REACH_M = 0.3;
const LAMP_MOST_K = 4;
/** Heating that runs for a third of what it could keeps a radiator warm all the time. */
const WARM_ALL_THE_TIME = 1 / 3;
/** Less is not told, K and a part of the water. */
const LEAST_K = 0.1;
const LEAST_WATER = 0.005;

/** A fan blows so far ahead, and so wide beside its line, m; near it a stream, and about it the air is stirred. */
const FAN_STREAM_M = 0.8;
const FAN_AHEAD_M = 2.5;
const FAN_BESIDE = 0.35;
const FAN_STIRS_M = 4;
const MOVES_AIR: readonly AirThingKind[] = ['warm-vent', 'cold-vent', 'outer-door', 'draught'];
const MOVES_WITHIN_M = 1;

const distance = (p: Vec, q: Vec) => length(minus(p, q));
const left = (away: number, reachM: number) => Math.exp(-away / reachM);

/** Parts of the day (8 to 20) and of the night (22 to 6) in which something runs. */
function running({ fromMinute, toMinute }: Pick<AirThing, 'fromMinute' | 'toMinute'>) {
  const hours = Array.from({ length: 24 }, (_, hour) => Number(isShutAt({ fromMinute, toMinute }, hour * 60 + 30)));
  return { day: dayMean(hours), night: nightMean(hours) };
}

/** What stays the same from month to month. */
export interface SpotAirInputs {
  readonly facts: HomeFacts;
  readonly spot: Pick<PlacedSpot, 'room' | 'leaf'>;
  readonly glass: NearGlass;
  /** Months of air that were measured at the spot itself. */
  readonly measured: readonly SpotAirStatement[];
  /** Hours of direct sun on a likely and on a clear day, by month. */
  readonly sunHoursLikely: ArrayLike<number>;
  readonly sunHoursPossible: ArrayLike<number>;
}

/** The air at a spot in each month. @param room the air of its room */
export function spotAirYear(inputs: SpotAirInputs, room: readonly RoomAirMonth[]): SpotAirMonth[] {
  const computed = room.map((month) => spotMonth(inputs, month));
  if (inputs.measured.length === 0) return computed;
  const corrections = correctionsOf(computed, inputs.measured);
  return computed.map((month, month0) => moved(month, corrections[month0]!));
}

/** A month as a record at the spot itself corrects it. */
function moved(month: SpotAirMonth, correction: Correction): SpotAirMonth {
  const { dayK, nightK, dayPoints, nightPoints, isStated } = correction;
  return {
    ...month,
    basis: isStated ? 'stated' : 'corrected',
    dayC: month.dayC + dayK,
    nightC: month.nightC + nightK,
    dayRh: possibleRh(month.dayRh + dayPoints),
    nightRh: possibleRh(month.nightRh + nightPoints),
    lowC: month.lowC + nightK,
    highC: month.highC + dayK,
    coldNightC: month.coldNightC + nightK,
    hotDayC: month.hotDayC + dayK,
    spread: correctedSpread(month.spread, correction),
    steps: [...month.steps, step('record', null, dayK, nightK)],
  };
}

function spotMonth(inputs: SpotAirInputs, room: RoomAirMonth): SpotAirMonth {
  const steps = stepsOf(inputs, room).sort((p, q) => weightOf(q) - weightOf(p));
  const dayK = steps.reduce((sum, step) => sum + step.dayK, 0);
  const nightK = steps.reduce((sum, step) => sum + step.nightK, 0);
  const water = steps.reduce((product, step) => product * step.water, 1);
  const { glass, sunHoursPossible } = inputs;
  const pane = steps.find(({ from }) => from === 'pane');
  const { dayC, nightC, dayRh, nightRh, lowC, highC, coldNightC, hotDayC, coldNightOutdoorC } = room;
  // Extremes have the pane's own: a colder night outdoors, and the sun of a clear day.
  const coldK = nightK - (pane?.nightK ?? 0) + paneFelt(glass, coldNightC, coldNightOutdoorC, 'cold-night');
  const hotK = dayK - (pane?.dayK ?? 0) + paneWarmed(glass, sunHoursPossible[room.month - 1]!);
  return {
    month: room.month,
    basis: room.basis,
    dayC: dayC + dayK,
    nightC: nightC + nightK,
    dayRh: rhAt(dayRh, dayC, dayC + dayK, water),
    nightRh: rhAt(nightRh, nightC, nightC + nightK, water),
    lowC: lowC + nightK,
    highC: highC + dayK,
    coldNightC: coldNightC + coldK,
    hotDayC: hotDayC + hotK,
    coldSpell: room.coldSpell,
    hotSpell: room.hotSpell,
    movement: movementAt(inputs, room.month),
    spread: room.spread,
    steps,
  };
}

const weightOf = ({ dayK, nightK, water }: AirStep) => Math.abs(dayK) + Math.abs(nightK) + 10 * Math.abs(water - 1);

/** The same water in warmer air is drier. */
const rhAt = (rh: number, fromC: number, toC: number, water: number) =>
  possibleRh((rh * water * saturationPressure(fromC)) / saturationPressure(toC));

function stepsOf(inputs: SpotAirInputs, room: RoomAirMonth): AirStep[] {
  const { facts, spot } = inputs;
  const things = facts.airThings.filter(({ roomId }) => roomId === spot.room.id);
  return [
    heightStep(spot, room),
    paneStep(inputs, room),
    ...lampSteps(facts, spot, room.month),
    ...things.filter((thing) => runsIn(thing, room.month)).map((thing) => thingStep(thing, spot, room)),
  ].filter(
    ({ dayK, nightK, water }) =>
      Math.abs(dayK) >= LEAST_K || Math.abs(nightK) >= LEAST_K || Math.abs(water - 1) >= LEAST_WATER,
  );
}

const step = (from: AirStep['from'], id: string | null, dayK: number, nightK: number, water = 1): AirStep => ({
  from,
  id,
  dayK,
  nightK,
  water,
});

function heightStep({ leaf, room: { insideRoomId } }: SpotAirInputs['spot'], { heatingShare }: RoomAirMonth): AirStep {
  if (insideRoomId !== null) return step('height', null, 0, 0);
  const perM = heatingShare > 0.02 ? STRATIFICATION_K_M.heated : STRATIFICATION_K_M.free;
  const above = Math.max(-STRATIFIED_M, Math.min(STRATIFIED_M, leaf.z - STATED_HEIGHT_M));
  return step('height', null, perM * above, perM * above);
}

function paneStep({ glass, sunHoursLikely }: SpotAirInputs, room: RoomAirMonth): AirStep {
  if (glass.share === 0 || room.outdoorC.length === 0) return step('pane', null, 0, 0);
  return step(
    'pane',
    null,
    paneFelt(glass, room.dayC, dayMean(room.outdoorC), 'usual') +
      paneWarmed(glass, sunHoursLikely[room.month - 1]!) / 2,
    paneFelt(glass, room.nightC, nightMean(room.outdoorC), 'usual'),
  );
}

/** Lamps that warm the air about the leaf, from above or from the board below. */
function lampSteps(facts: HomeFacts, spot: SpotAirInputs['spot'], month: number): AirStep[] {
  if (spot.room.insideRoomId !== null) return [];
  const stands = new Map(facts.stands.filter(({ roomId }) => roomId === spot.room.id).map((one) => [one.id, one]));
  return facts.lamps.flatMap((lamp) => {
    const tier = facts.tiers.find(({ id }) => id === lamp.tierId);
    const stand = tier && stands.get(tier.standId);
    const circuit = facts.circuits.find(({ id }) => id === lamp.circuitId);
    if (!tier || !stand || !circuit) return [];
    const { spans, level } = burningAtFull(circuit, month);
    if (spans.length === 0) return [];
    const centre = vec(stand.xM + lamp.alongM, stand.yM + lamp.acrossM, tier.heightM + lamp.aboveM);
    const beside = Math.max(0, distance(centre, spot.leaf) - Math.max(lamp.lengthM, lamp.breadthM) / 2);
    const peak = Math.min(LAMP_MOST_K, LAMP_K_W * lamp.powerW * lamp.dimming * level) * left(beside, LAMP_REACH_M);
    const shares = spans.map(({ onMinute, offMinute }) => running({ fromMinute: onMinute, toMinute: offMinute }));
    const day = shares.reduce((sum, share) => sum + share.day, 0);
    const night = shares.reduce((sum, share) => sum + share.night, 0);
    return [step('lamp', lamp.id, peak * day, peak * night)];
  });
}

function thingStep(thing: AirThing, { leaf }: SpotAirInputs['spot'], room: RoomAirMonth): AirStep {
  const { kind, id } = thing;
  const away = distance(vec(thing.xM, thing.yM, thing.zM), leaf);
  const { day, night } = running(thing);
  const reach = REACH[kind];
  if (reach) {
    const isHeating = kind === 'radiator' || kind === 'warm-vent';
    const duty = isHeating ? Math.min(1, room.heatingShare / WARM_ALL_THE_TIME) : 1;
    const besideMat = kind === 'heat-mat' ? Math.max(0, away - Math.sqrt(thing.areaM2) / 2) : away;
    const peak = reach.peakK * duty * left(besideMat, reach.reachM);
    return step(kind, id, peak * day, peak * night);
  }
  const leak = LEAKS[kind];
  if (leak && room.outdoorC.length > 0) {
    const share = leak.share * left(away, leak.reachM);
    const outdoorDay = Math.max(...room.outdoorC);
    const outdoorNight = Math.min(...room.outdoorC);
    const byNight = kind === 'outer-door' ? DOOR_BY_NIGHT : 1;
    return step(kind, id, share * (outdoorDay - room.dayC), share * byNight * (outdoorNight - room.nightC));
  }
  const wets = WETS[kind];
  if (wets) return step(kind, id, 0, 0, 1 + wets.share * left(away, wets.reachM) * ((day + night) / 2));
  return step(kind, id, 0, 0);
}

const more = (p: AirMovement, q: AirMovement) => (AIR_MOVEMENTS.indexOf(q) > AIR_MOVEMENTS.indexOf(p) ? q : p);

/** How the air moves at a spot: as in its room, or more where a fan, a vent or a draught reaches. */
function movementAt({ facts, spot }: SpotAirInputs, month: number): AirMovement {
  const { leaf, room } = spot;
  return facts.airThings
    .filter((thing) => thing.roomId === room.id && runsIn(thing, month))
    .reduce((movement, thing) => more(movement, movedBy(thing, leaf)), room.airMovement);
}

function movedBy(thing: AirThing, leaf: Vec): AirMovement {
  const from = vec(thing.xM, thing.yM, thing.zM);
  const away = distance(from, leaf);
  if (MOVES_AIR.includes(thing.kind)) return away < MOVES_WITHIN_M ? 'gentle' : 'still';
  if (thing.kind !== 'fan') return 'still';
  const way = outwardOf(thing.toward);
  const ahead = (leaf.x - from.x) * way.x + (leaf.y - from.y) * way.y;
  const beside = Math.sqrt(Math.max(0, away ** 2 - ahead ** 2));
  if (ahead > 0 && ahead < FAN_AHEAD_M && beside < FAN_BESIDE * (ahead + 0.5))
    return ahead < FAN_STREAM_M && beside < FAN_BESIDE * ahead ? 'strong' : 'brisk';
  return away < FAN_STIRS_M ? 'gentle' : 'still';
}
