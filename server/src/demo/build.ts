/** Small builders that give the demo's facts their usual values, so that the homes below read as lists. */
import {
  ALL_MONTHS,
  PALE_REVEAL,
  PLAIN_LAMP,
  PLAIN_STAND,
  PLAIN_TIMER,
  type AirStatement,
  type Circuit,
  type Lamp,
  type Plant,
  type Room,
  type Spot,
  type Stand,
  type Tier,
  type Window,
} from '@dulvan/core';

export const ALL_YEAR = [...ALL_MONTHS];

type Given<T, K extends keyof T> = Pick<T, K> & Partial<T>;

export function room(
  given: Given<Room, 'id' | 'homeId' | 'name' | 'widthM' | 'depthM' | 'heightM' | 'wallABearing'>,
): Room {
  return {
    floorReflectance: 0.25,
    wallReflectance: 0.6,
    ceilingReflectance: 0.75,
    airMovement: 'gentle',
    insideRoomId: null,
    insideXM: 0,
    insideYM: 0,
    insideZM: 0,
    shellTransmittance: 1,
    eveningLux: 0,
    eveningFromMinute: 18 * 60,
    eveningToMinute: 22 * 60,
    ...given,
  };
}

export function window(
  given: Given<Window, 'id' | 'roomId' | 'name' | 'side' | 'offsetM' | 'sillM' | 'widthM' | 'heightM'>,
): Window {
  return {
    insetM: 0,
    slopeDeg: 90,
    glazingId: 'double-coated',
    frameShare: 0.18,
    dirtShare: 0.06,
    curtains: [],
    outsideKind: 'open',
    outsideDeg: 0,
    outsideReflectance: 0.15,
    groundReflectance: 0.15,
    revealM: 0,
    revealReflectance: PALE_REVEAL,
    overhangM: 0,
    overhangAboveM: 0,
    ...given,
  };
}

export const stand = (given: Given<Stand, Exclude<keyof Stand, keyof typeof PLAIN_STAND>>): Stand => ({
  ...PLAIN_STAND,
  ...given,
});
export const tier = (id: string, standId: string, heightM: number, board: Tier['board'] = 'solid'): Tier => ({
  id,
  standId,
  heightM,
  board,
});

export function spot(given: Given<Spot, 'id' | 'tierId' | 'name' | 'alongM' | 'acrossM'>): Spot {
  return { sizeM: 0.3, freeHeightM: 0.45, loadKg: 8, reach: 'easy', ...given };
}

export const circuit = (
  given: Given<Circuit, 'id' | 'homeId' | 'name' | 'onMinute' | 'offMinute' | 'months'>,
): Circuit => ({ ...PLAIN_TIMER, ...given });

export function lamp(
  given: Given<
    Lamp,
    'id' | 'circuitId' | 'tierId' | 'name' | 'form' | 'ppf' | 'powerW' | 'alongM' | 'acrossM' | 'aboveM'
  >,
): Lamp {
  return {
    spectrum: 'white-neutral',
    beamDeg: 120,
    lengthM: 0,
    breadthM: 0,
    dimming: 1,
    ...PLAIN_LAMP,
    ...given,
  };
}

export function plant(given: Given<Plant, 'id' | 'homeId' | 'taxonId' | 'name' | 'spotId'>): Plant {
  return {
    parents: [],
    traits: [],
    goal: 'grow',
    stage: 'adult',
    stageSeenOn: null,
    growthState: 'by-season',
    stateSeenOn: null,
    restSchool: null,
    potCm: 13,
    heightCm: 25,
    foliage: 'medium',
    cameFromSpotId: null,
    movedOn: null,
    arrivedOn: null,
    note: '',
    ...given,
  };
}

export function air(
  roomId: string,
  month: number,
  [dayC, nightC, dayRh, nightRh]: [number, number, number, number],
): AirStatement {
  return { id: `${roomId}-air-${month}`, roomId, month, dayC, nightC, dayRh, nightRh };
}
