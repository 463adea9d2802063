/** A home's facts put in order for computing light: what belongs to which room, worked out once for each question. */
import { placedLamps } from '../lamp';
import { UNCURTAINED_YEAR, transmittanceYear, type CurtainSchedule, type TransmittanceYear } from '../light';
import {
  crownsOf,
  neighboursOf,
  revealAround,
  shellsOf,
  solidsOf,
  vec,
  wallAround,
  type Crown,
  type Occluder,
  type Shell,
  type PlacedSpot,
  type Solid,
  type Vec,
} from '../room';
import { ALL_MONTHS } from '../units';
import type { HomeFacts, Obstruction, Plant, Room, Window } from '../facts';
import { asShellAllows, lampKey, lampsIn, leaksInto, type SeenLamp } from './cabinet';
import type { Knowledge, Sources } from './knowledge';

/** One room with all that bears on its light. */
export interface RoomScene {
  readonly room: Room;
  readonly windows: readonly Window[];
  readonly obstructions: readonly Obstruction[];
  readonly snowMonths: readonly number[];
  readonly solids: readonly Solid[];
  /** Of the cabinets, tents and domes in it. */
  readonly shells: readonly Shell[];
  readonly crowns: readonly Crown[];
  /** Its own lamps, and those of the cabinets in it. */
  readonly lights: readonly SeenLamp[];
  /** By window id; what stands open the whole year is left out. */
  readonly transmittances: ReadonlyMap<string, TransmittanceYear>;
  /** Texts that differ when what they stand for differs. */
  readonly geometryKey: string;
  readonly solidsKey: string;
  readonly lightsKey: string;
  readonly curtainsKey: string;
}

export interface Scene {
  readonly facts: HomeFacts;
  readonly rooms: ReadonlyMap<string, RoomScene>;
  readonly plantsAt: ReadonlyMap<string, readonly Plant[]>;
}

/** What hangs at a window, outermost first; a pane that scatters is one that is always shut. */
export function curtainSchedulesOf(window: Window, knowledge: Knowledge): CurtainSchedule[] {
  const schedules: CurtainSchedule[] = [];
  const scatter = knowledge.glazing(window.glazingId)?.scatter ?? 0;
  if (scatter > 0)
    schedules.push({
      optics: { transmittance: 1, scatter, onPane: true },
      months: ALL_MONTHS,
      fromMinute: 0,
      toMinute: 1440,
    });
  for (const { curtainId, ...shut } of window.curtains) {
    const optics = knowledge.curtain(curtainId);
    if (optics) schedules.push({ optics, ...shut });
  }
  return schedules;
}

const transmittanceYears = new Map<string, TransmittanceYear>();

/** Curtains are few and asked for at every answer: their years are remembered. */
function rememberedTransmittance(schedules: readonly CurtainSchedule[]): {
  readonly key: string;
  readonly year: TransmittanceYear;
} {
  if (schedules.length === 0) return { key: '', year: UNCURTAINED_YEAR };
  const key = JSON.stringify(schedules);
  let year = transmittanceYears.get(key);
  if (!year) {
    year = transmittanceYear(schedules);
    if (transmittanceYears.size > 200) transmittanceYears.clear();
    transmittanceYears.set(key, year);
  }
  return { key, year };
}

/** Puts a home in order. */
export function sceneOf(facts: HomeFacts, sources: Sources): Scene {
  const lamps = placedLamps(facts, sources.intensities.bind(sources));
  const rooms = new Map<string, RoomScene>();
  for (const room of facts.rooms.map(asShellAllows)) {
    const windows = facts.windows.filter((window) => window.roomId === room.id);
    const obstructions = facts.obstructions.filter((obstruction) => obstruction.roomId === room.id);
    const solids = solidsOf(facts, room.id);
    const shells = shellsOf(facts.rooms, room.id);
    const crowns = crownsOf(facts, room.id);
    const lights = [...lampsIn(room.id, lamps, crowns), ...leaksInto(facts, room.id, lamps)];
    const transmittances = new Map<string, TransmittanceYear>();
    const curtainKeys = windows.map((window) => {
      const { key, year } = rememberedTransmittance(curtainSchedulesOf(window, sources));
      if (key !== '') transmittances.set(window.id, year);
      return key;
    });
    rooms.set(room.id, {
      room,
      windows,
      obstructions,
      snowMonths: facts.home.snowMonths,
      solids,
      shells,
      crowns,
      lights,
      transmittances,
      geometryKey: geometryKeyOf(room, windows, obstructions, facts.home.snowMonths),
      solidsKey: JSON.stringify([solids, shells]),
      lightsKey: JSON.stringify(lights.map((light) => [lampKey(light), light.under])),
      curtainsKey: curtainKeys.join('|'),
    });
  }
  const plantsAt = new Map<string, Plant[]>();
  for (const plant of facts.plants) {
    if (plant.spotId === null) continue;
    const here = plantsAt.get(plant.spotId);
    if (here) here.push(plant);
    else plantsAt.set(plant.spotId, [plant]);
  }
  return { facts, rooms, plantsAt };
}

/** Curtains, names and air are left out: they act on the product, not on the geometry. */
function geometryKeyOf(
  room: Room,
  windows: readonly Window[],
  obstructions: readonly Obstruction[],
  snowMonths: readonly number[],
): string {
  const { id, widthM, depthM, heightM, wallABearing, floorReflectance, wallReflectance, ceilingReflectance } = room;
  const openings = windows.map((w) => [
    w.id,
    w.side,
    w.offsetM,
    w.insetM,
    w.sillM,
    w.widthM,
    w.heightM,
    w.slopeDeg,
    w.glazingId,
    w.frameShare,
    w.dirtShare,
    w.outsideKind,
    w.outsideDeg,
    w.outsideReflectance,
    w.groundReflectance,
    w.revealM,
    w.revealReflectance,
    w.overhangM,
    w.overhangAboveM,
  ]);
  const outside = obstructions.map((o) => [
    o.kind,
    o.fromBearing,
    o.toBearing,
    o.heightDeg,
    o.reflectance,
    o.leafMonths,
  ]);
  return JSON.stringify([
    [id, widthM, depthM, heightM, wallABearing, floorReflectance, wallReflectance, ceilingReflectance],
    openings,
    outside,
    windows.length > 0 ? snowMonths : [],
  ]);
}

/** A place for leaves: where, and what stands in its light besides the room's solids. */
export interface LeafPlace {
  readonly room: RoomScene;
  readonly leaf: Vec;
  readonly neighbours: readonly Occluder[];
}

/** The same place at the top of its tallest plant; itself where that is near. */
export function topPlaceOf(place: LeafPlace, { leaf, top }: Pick<PlacedSpot, 'leaf' | 'top'>): LeafPlace {
  return top.z - leaf.z < SAME_LEAF_M ? place : { ...place, leaf: top };
}

/** Tops that rise less than this above the middle of the leaves have its light, m. */
const SAME_LEAF_M = 0.05;

/** A spot's leaves with the neighbours that stand in their light. */
export function leafPlaceOf(scene: Scene, { spot, room, leaf, tierHeightM }: PlacedSpot): LeafPlace {
  const roomScene = scene.rooms.get(room.id)!;
  const crowns = neighboursOf(roomScene.crowns, spot.id, leaf, tierHeightM, scene.plantsAt.get(spot.id) ?? []);
  const reveal = revealAround(room, roomScene.windows, leaf);
  const wall = reveal ? wallAround(room, reveal) : [];
  return { room: roomScene, leaf, neighbours: [...crowns, ...wall, ...roomScene.shells] };
}

type Sizes = Pick<Room, 'widthM' | 'depthM' | 'heightM'>;

const GRID_STEP_M = 0.75;
const TABLE_HEIGHT_M = 0.8;

/** Where a plan's grid of points lies: about 0.75 m apart, at the height of a table. */
export function planGrid(room: Sizes): { columns: number; rows: number; heightM: number } {
  const along = (size: number) => Math.max(4, Math.min(12, Math.round(size / GRID_STEP_M)));
  return { columns: along(room.widthM), rows: along(room.depthM), heightM: Math.min(TABLE_HEIGHT_M, room.heightM / 2) };
}

/** The middle of a cell of a plan's grid. @param cell `row * columns + column` */
export function planLeaf(room: Sizes, cell: number): Vec {
  const { columns, rows, heightM } = planGrid(room);
  const column = cell % columns;
  const row = Math.floor(cell / columns);
  return vec(((column + 0.5) / columns) * room.widthM, ((row + 0.5) / rows) * room.depthM, heightM);
}
