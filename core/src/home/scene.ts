/** A home's facts put in order for computing light: what belongs to which room, worked out once for each question. */
import { placedLamps, type PlacedLamp } from '../lamp';
import { OPEN_YEAR, passageYear, type CurtainProgramme, type PassageYear } from '../light';
import { crownsOf, solidsOf, type Crown, type Occluder } from '../room';
import { ALL_MONTHS } from '../units';
import type { HomeFacts, Plant, Room, Window } from './facts';
import type { Obstruction } from './light-facts';
import type { Knowledge } from './knowledge';

/** One room with all that bears on its light. */
export interface RoomScene {
  readonly room: Room;
  readonly windows: readonly Window[];
  readonly obstructions: readonly Obstruction[];
  readonly snowMonths: readonly number[];
  readonly solids: readonly Occluder[];
  readonly crowns: readonly Crown[];
  readonly lamps: readonly PlacedLamp[];
  /** By window id; what stands open the whole year is left out. */
  readonly passages: ReadonlyMap<string, PassageYear>;
  /** Texts that differ when what they stand for differs. */
  readonly geometryKey: string;
  readonly solidsKey: string;
  readonly lampsKey: string;
  readonly passagesKey: string;
}

export interface Scene {
  readonly facts: HomeFacts;
  readonly rooms: ReadonlyMap<string, RoomScene>;
  readonly plantsAt: ReadonlyMap<string, readonly Plant[]>;
}

/** What hangs at a window, outermost first; a pane that scatters is one that is always shut. */
export function programmesOf(window: Window, knowledge: Knowledge): CurtainProgramme[] {
  const programmes: CurtainProgramme[] = [];
  const scatter = knowledge.glazing(window.glazingId)?.scatter ?? 0;
  if (scatter > 0)
    programmes.push({ veil: { transmittance: 1, scatter }, months: ALL_MONTHS, fromMinute: 0, toMinute: 1440 });
  const first = knowledge.curtain(window.curtainId);
  if (first)
    programmes.push({
      veil: first,
      months: window.curtainMonths,
      fromMinute: window.curtainFromMinute,
      toMinute: window.curtainToMinute,
    });
  const second = knowledge.curtain(window.secondCurtainId);
  if (second)
    programmes.push({
      veil: second,
      months: window.secondCurtainMonths,
      fromMinute: window.secondCurtainFromMinute,
      toMinute: window.secondCurtainToMinute,
    });
  return programmes;
}

const passageYears = new Map<string, PassageYear>();

/** Curtains are few and asked for at every answer: their years are remembered. */
function rememberedPassage(programmes: readonly CurtainProgramme[]): {
  readonly key: string;
  readonly year: PassageYear;
} {
  if (programmes.length === 0) return { key: '', year: OPEN_YEAR };
  const key = JSON.stringify(programmes);
  let year = passageYears.get(key);
  if (!year) {
    year = passageYear(programmes);
    if (passageYears.size > 200) passageYears.clear();
    passageYears.set(key, year);
  }
  return { key, year };
}

/** Puts a home in order. */
export function sceneOf(facts: HomeFacts, knowledge: Knowledge): Scene {
  const lamps = placedLamps(facts);
  const rooms = new Map<string, RoomScene>();
  for (const room of facts.rooms) {
    const windows = facts.windows.filter((window) => window.roomId === room.id);
    const obstructions = facts.obstructions.filter((obstruction) => obstruction.roomId === room.id);
    const solids = solidsOf(facts, room.id);
    const ownLamps = lamps.filter((lamp) => lamp.roomId === room.id);
    const passages = new Map<string, PassageYear>();
    const passageKeys = windows.map((window) => {
      const { key, year } = rememberedPassage(programmesOf(window, knowledge));
      if (key !== '') passages.set(window.id, year);
      return key;
    });
    rooms.set(room.id, {
      room,
      windows,
      obstructions,
      snowMonths: facts.home.snowMonths,
      solids,
      crowns: crownsOf(facts, room.id),
      lamps: ownLamps,
      passages,
      geometryKey: geometryKeyOf(room, windows, obstructions, facts.home.snowMonths),
      solidsKey: JSON.stringify(solids),
      lampsKey: JSON.stringify(
        ownLamps.map(({ lamp, centre, photometry }) => [lamp, centre, photometry?.candela.length]),
      ),
      passagesKey: passageKeys.join('|'),
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
