/** New entries with usual values, for forms that start empty. */
import { suggestedClimate } from '@dulvan/catalogue';
import {
  ALL_MONTHS,
  PALE_REVEAL,
  ASSUMED_CLIMATE,
  PLAIN_LAMP,
  PLAIN_STAND,
  PLAIN_TIMER,
  PLAIN_WOOD,
  type AirStatement,
  type AirThing,
  type Block,
  type Circuit,
  type Doorway,
  type Home,
  type HomeFacts,
  type Lamp,
  type Obstruction,
  type Plant,
  type Room,
  type RoomClimate,
  type Spot,
  type Stand,
  type Supply,
  type Tier,
  type Window,
} from '@dulvan/core';
import type { FormList } from './form-specs';
import { newId } from '../parts/new-id';
import { BLANK as WORDS } from './form-words';

const ALL_YEAR = [...ALL_MONTHS];

/** A clock's zone tells roughly where it is: fifteen degrees an hour. */
export function newHome(): Home {
  const timeZone = Intl.DateTimeFormat().resolvedOptions().timeZone;
  return {
    id: newId(),
    name: '',
    latitude: 50,
    longitude: 0,
    elevationM: 50,
    timeZone: timeZone || 'UTC',
    climateId: suggestedClimate(50),
    restSchool: null,
    lightAim: 'whole',
    snowMonths: [],
  };
}

function newRoom(facts: HomeFacts): Room {
  return {
    id: newId(),
    homeId: facts.home.id,
    name: '',
    widthM: 4,
    depthM: 4,
    heightM: 2.5,
    wallABearing: 180,
    floorReflectance: 0.25,
    wallReflectance: 0.6,
    ceilingReflectance: 0.75,
    airMovement: 'still',
    insideRoomId: null,
    insideXM: 0,
    insideYM: 0,
    insideZM: 0,
    shellTransmittance: 0.85,
    eveningLux: 0,
    eveningFromMinute: 1080,
    eveningToMinute: 1320,
  };
}

function newWindow(facts: HomeFacts, roomId: string): Window {
  const others = facts.windows.filter((window) => window.roomId === roomId).length;
  return {
    id: newId(),
    roomId,
    name: others > 0 ? WORDS.windowNumbered(others + 1) : WORDS.window,
    side: 'a',
    offsetM: 1,
    insetM: 0,
    sillM: 0.9,
    widthM: 1.2,
    heightM: 1.2,
    slopeDeg: 90,
    glazingId: 'double-coated',
    frameShare: 0.2,
    dirtShare: 0.06,
    curtains: [],
    outsideKind: 'open',
    outsideDeg: 0,
    outsideReflectance: 0.15,
    groundReflectance: 0.2,
    revealM: 0.1,
    revealReflectance: PALE_REVEAL,
    overhangM: 0,
    overhangAboveM: 0.2,
  };
}

function newStand(roomId: string): Stand {
  return {
    id: newId(),
    roomId,
    name: WORDS.table,
    kind: 'table',
    xM: 1,
    yM: 0.3,
    widthM: 1,
    depthM: 0.5,
    ...PLAIN_STAND,
  };
}

/** Boards of a shelf lie about so far above each other, m; a first one lies at the height of a table. */
const TIER_PITCH_M = 0.4;
const TABLE_HEIGHT_M = 0.75;

function newTier(facts: HomeFacts, stand: Stand): Tier {
  const heights = facts.tiers.filter(({ standId }) => standId === stand.id).map(({ heightM }) => heightM);
  const first = stand.kind === 'floor' ? 0 : TABLE_HEIGHT_M;
  const heightM = heights.length > 0 ? Math.max(...heights) + TIER_PITCH_M : first;
  return { id: newId(), standId: stand.id, heightM: Math.round(heightM * 100) / 100, board: 'solid' };
}

/** Room that a new spot gives a plant, m. */
const SPOT_SIZE_M = 0.3;

/** Beside the last spot of its tier, as far as the board reaches. */
function newSpot(facts: HomeFacts, tierId: string, stand: Stand): Spot {
  const others = facts.spots.filter((spot) => spot.tierId === tierId);
  const alongX = stand.widthM >= stand.depthM;
  const lengthM = alongX ? stand.widthM : stand.depthM;
  const last = Math.max(0, ...others.map((spot) => (alongX ? spot.alongM : spot.acrossM) + spot.sizeM / 2));
  const middle = Math.min(lengthM, Math.max(Math.min(lengthM, SPOT_SIZE_M) / 2, last + SPOT_SIZE_M / 2));
  const across = (alongX ? stand.depthM : stand.widthM) / 2;
  return {
    id: newId(),
    tierId,
    name: WORDS.spotNumbered(others.length + 1),
    alongM: alongX ? middle : across,
    acrossM: alongX ? across : middle,
    sizeM: SPOT_SIZE_M,
    freeHeightM: 0.5,
    loadKg: 8,
    reach: 'easy',
  };
}

function newCircuit(facts: HomeFacts): Circuit {
  return {
    id: newId(),
    homeId: facts.home.id,
    name: WORDS.timer,
    onMinute: 480,
    offMinute: 1200,
    months: ALL_YEAR,
    ...PLAIN_TIMER,
  };
}

const USUAL_BREAKER_W = 3600;

const newSupply = (facts: HomeFacts): Supply => ({
  id: newId(),
  homeId: facts.home.id,
  name: '',
  limitW: USUAL_BREAKER_W,
  alsoW: 0,
});

function newLamp(facts: HomeFacts, tierId: string, circuitId: string, stand: Stand): Lamp {
  const others = facts.lamps.filter((lamp) => lamp.tierId === tierId).length;
  return {
    id: newId(),
    circuitId,
    tierId,
    name: others > 0 ? WORDS.lampNumbered(others + 1) : WORDS.lamp,
    form: 'bar',
    ppf: 30,
    powerW: 15,
    spectrum: 'white-neutral',
    beamDeg: 120,
    lengthM: Math.min(0.6, stand.widthM),
    breadthM: 0.03,
    alongM: stand.widthM / 2,
    acrossM: stand.depthM / 2,
    aboveM: 0.45,
    dimming: 1,
    ...PLAIN_LAMP,
  };
}

const NORTHERN_LEAF = [5, 6, 7, 8, 9, 10];
const SOUTHERN_LEAF = [1, 2, 3, 4, 11, 12];

function newObstruction(facts: HomeFacts, roomId: string, bearing: number): Obstruction {
  const turned = (by: number) => (bearing + by + 360) % 360;
  return {
    id: newId(),
    roomId,
    name: WORDS.tree,
    kind: 'deciduous',
    fromBearing: turned(-20),
    toBearing: turned(20),
    heightDeg: 20,
    reflectance: 0.1,
    leafMonths: facts.home.latitude < 0 ? SOUTHERN_LEAF : NORTHERN_LEAF,
  };
}

function newBlock(roomId: string): Block {
  return {
    id: newId(),
    roomId,
    name: WORDS.cupboard,
    xM: 0,
    yM: 0,
    zM: 0,
    widthM: 0.6,
    depthM: 0.6,
    heightM: 1.8,
    reflectance: PLAIN_WOOD,
  };
}

function newAir(roomId: string, month: number): AirStatement {
  return { id: newId(), roomId, month, dayC: 20, nightC: 17, dayRh: 45, nightRh: 50 };
}

/** Its heating begins as it is assumed until it is said. */
function newClimate({ id: roomId, insideRoomId }: Room): RoomClimate {
  const cabinet = insideRoomId === null ? {} : ({ heating: 'none', peopleHours: 0 } as const);
  return { id: newId(), roomId, ...ASSUMED_CLIMATE, ...cabinet };
}

function newAirThing({ id: roomId, widthM, heightM }: Room): AirThing {
  return {
    id: newId(),
    roomId,
    name: WORDS.radiator,
    kind: 'radiator',
    xM: widthM / 2,
    yM: 0.1,
    zM: Math.min(0.4, heightM / 2),
    powerW: 0,
    gramsH: 0,
    setRh: null,
    areaM2: 0,
    airM3H: 0,
    toward: 'a',
    fromMinute: 0,
    toMinute: 1440,
    months: ALL_YEAR,
  };
}

function newDoorway({ rooms }: HomeFacts, roomId: string): Doorway | null {
  const other = rooms.find(({ id, insideRoomId }) => id !== roomId && insideRoomId === null);
  return other ? { id: newId(), roomId, toRoomId: other.id, widthM: 0.8, heightM: 2, stands: 'by-day' } : null;
}

export function newPlant(facts: HomeFacts, taxonId: string, matureHeightCm: number): Plant {
  return {
    id: newId(),
    homeId: facts.home.id,
    taxonId,
    parents: [],
    traits: [],
    name: '',
    goal: 'grow',
    stage: 'adult',
    stageSeenOn: null,
    growthState: 'by-season',
    stateSeenOn: null,
    restSchool: null,
    potCm: 12,
    heightCm: Math.min(30, matureHeightCm),
    foliage: 'medium',
    spotId: null,
    cameFromSpotId: null,
    movedOn: null,
    arrivedOn: null,
    note: '',
  };
}

/** A new entry of any list; null when what it should belong to is not there. */
export function blankFor(facts: HomeFacts, list: FormList, parent: string | null): { readonly id: string } | null {
  const tier = facts.tiers.find((candidate) => candidate.id === parent);
  const stand = facts.stands.find((candidate) => candidate.id === (tier?.standId ?? parent));
  const room = facts.rooms.find((candidate) => candidate.id === parent);
  switch (list) {
    case 'rooms':
      return newRoom(facts);
    case 'circuits':
      return newCircuit(facts);
    case 'supplies':
      return newSupply(facts);
    case 'windows':
      return room ? newWindow(facts, room.id) : null;
    case 'obstructions':
      return room ? newObstruction(facts, room.id, room.wallABearing) : null;
    case 'blocks':
      return room ? newBlock(room.id) : null;
    case 'stands':
      return room ? newStand(room.id) : null;
    case 'climates':
      return room ? newClimate(room) : null;
    case 'airThings':
      return room ? newAirThing(room) : null;
    case 'doorways':
      return room ? newDoorway(facts, room.id) : null;
    case 'air':
      return room
        ? newAir(
            room.id,
            [1, 7, 4, 10, 2, 3, 5, 6, 8, 9, 11, 12].find(
              (month) => !facts.air.some((air) => air.roomId === room.id && air.month === month),
            ) ?? 1,
          )
        : null;
    case 'tiers':
      return stand ? newTier(facts, stand) : null;
    case 'spots':
      return tier && stand ? newSpot(facts, tier.id, stand) : null;
    case 'lamps':
      return tier && stand && facts.circuits[0] ? newLamp(facts, tier.id, facts.circuits[0].id, stand) : null;
    case 'plants':
      return null;
  }
}
