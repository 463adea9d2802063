/** A home's answers: what each spot gives in each month, and how each plant fares where it stands. */
import { airYear } from '../air';
import { type Condition, type YearFit } from '../fit';
import { circuitHours, placedLamps, type PlacedLamp } from '../lamp';
import {
  daylightYear,
  litRoom,
  paneOf,
  paneYear,
  spotWindows,
  windowYear,
  type CurtainProgramme,
  type DaylightYear,
  type LitRoom,
  type PaneYear,
  type WindowYear,
} from '../light';
import { bestFreeSpot, fitOfSpot, rankSpots, type RankedSpot, type SpotChoice } from '../match';
import { seasonalMonth, type Target } from '../plant';
import { UP, boardsOf, placedSpots, plus, vec, type PlacedSpot, type Rectangle, type Vec } from '../room';
import { climateWeather, skyYear, type SkyYear } from '../sky';
import { MOL_PER_UMOL_HOUR } from '../units';
import { conditionOf, dimmed, lampsAt, meanDli } from './conditions';
import type { HomeFacts, Plant, Room } from './facts';
import type { Knowledge } from './knowledge';
import { plantTargets } from './known';

export interface SpotAnswer {
  readonly spotId: string;
  readonly conditions: readonly Condition[];
  /** Share of open ground's light that reaches it under an overcast sky. */
  readonly daylightFactor: number;
}

export interface PlantAnswer {
  readonly plantId: string;
  readonly targets: readonly Target[];
  /** Where it stands now; null when it stands nowhere or its taxon is not known. */
  readonly fit: YearFit | null;
  /** The best spot that is free; null when none is. */
  readonly bestFree: SpotChoice | null;
}

export interface HomeAnswers {
  readonly year: number;
  readonly spots: readonly SpotAnswer[];
  readonly plants: readonly PlantAnswer[];
}

/** DLI over a room's floor plan in one month, for the wash on its drawing. */
export interface RoomWash {
  readonly columns: number;
  readonly rows: number;
  readonly heightM: number;
  /** mol m-2 d-1, `month0 * columns * rows + row * columns + column`. */
  readonly dli: Float32Array;
}

/** Keeps what a question cost, by the facts it depends on; forgets the oldest. */
class Memory {
  private readonly kept = new Map<string, unknown>();
  constructor(private readonly size: number) {}

  recall<T>(key: string, make: () => T): T {
    if (this.kept.has(key)) {
      const value = this.kept.get(key) as T;
      this.kept.delete(key);
      this.kept.set(key, value);
      return value;
    }
    const value = make();
    this.kept.set(key, value);
    if (this.kept.size > this.size) this.kept.delete(this.kept.keys().next().value!);
    return value;
  }
}

/** Answers questions about homes, remembering geometry and skies between them: a curtain or a lamp moved costs little. */
export class Answerer {
  private readonly skies = new Memory(4);
  private readonly rooms = new Memory(12);
  private readonly panes = new Memory(40);
  private readonly spots = new Memory(4000);

  constructor(private readonly knowledge: Knowledge) {}

  /** Everything about a home in a year. From nothing a home of 28 spots takes about a second (docs/measured.md). */
  answer(facts: HomeFacts, year: number): HomeAnswers {
    const placed = placedSpots(facts);
    const lamps = placedLamps(facts);
    const spots = placed.map((spot) => this.spotAnswer(facts, spot, lamps, year));
    const conditions = new Map(spots.map((spot) => [spot.spotId, spot.conditions]));
    const plants = facts.plants.map((plant): PlantAnswer => {
      const targets = plantTargets(facts, plant, this.knowledge);
      if (targets.length === 0) return { plantId: plant.id, targets, fit: null, bestFree: null };
      const here = plant.spotId === null ? undefined : conditions.get(plant.spotId);
      return {
        plantId: plant.id,
        targets,
        fit: here ? fitOfSpot(targets, here) : null,
        bestFree: bestFreeSpot({ plant, targets, spots: facts.spots, conditions, plants: facts.plants }),
      };
    });
    return { year, spots, plants };
  }

  /** Every spot of a home ranked for one plant, which need not stand in it yet. */
  rank(facts: HomeFacts, plant: Plant, year: number): RankedSpot[] {
    const targets = plantTargets(facts, plant, this.knowledge);
    if (targets.length === 0) return [];
    const lamps = placedLamps(facts);
    const conditions = new Map(
      placedSpots(facts).map((spot) => [spot.spot.id, this.spotAnswer(facts, spot, lamps, year).conditions]),
    );
    return rankSpots({ plant, targets, spots: facts.spots, conditions, plants: facts.plants });
  }

  /** The light over a room's plan, at one height, on a grid of about 0.75 m. */
  wash(facts: HomeFacts, roomId: string, year: number): RoomWash | null {
    const room = facts.rooms.find((candidate) => candidate.id === roomId);
    if (!room) return null;
    const heightM = Math.min(0.8, room.heightM / 2);
    const columns = Math.max(4, Math.min(12, Math.round(room.widthM / 0.75)));
    const rows = Math.max(4, Math.min(12, Math.round(room.depthM / 0.75)));
    const dli = new Float32Array(12 * columns * rows);
    const lamps = placedLamps(facts).filter((lamp) => lamp.roomId === room.id);
    const boards = boardsOf(facts, room.id);
    for (let row = 0; row < rows; row++) {
      for (let column = 0; column < columns; column++) {
        const leaf = vec(((column + 0.5) / columns) * room.widthM, ((row + 0.5) / rows) * room.depthM, heightM);
        const daylight = this.daylightAt(facts, room, leaf, boards, year);
        const lit = lampsAt(facts, lamps, leaf, boards);
        for (let month0 = 0; month0 < 12; month0++) {
          const lampDli = lit.reduce((sum, lamp) => sum + lamp.ppfd * circuitHours(lamp.circuit, month0 + 1), 0) * MOL_PER_UMOL_HOUR;
          dli[month0 * columns * rows + row * columns + column] = meanDli(daylight, month0) + lampDli;
        }
      }
    }
    return { columns, rows, heightM, dli };
  }

  private spotAnswer(facts: HomeFacts, placed: PlacedSpot, lamps: readonly PlacedLamp[], year: number): SpotAnswer {
    const { room, leaf } = placed;
    const boards = boardsOf(facts, room.id);
    const daylight = this.daylightAt(facts, room, leaf, boards, year);
    const lit = lampsAt(facts, lamps.filter((lamp) => lamp.roomId === room.id), leaf, boards);
    const air = airYear(facts.air.filter((statement) => statement.roomId === room.id));
    const conditions = Array.from({ length: 12 }, (_, month0) =>
      conditionOf({ facts, room, daylight, lit, air: air[month0]!, month0, year }),
    );
    return { spotId: placed.spot.id, conditions, daylightFactor: daylight.daylightFactor };
  }

  private sky(facts: HomeFacts, year: number): { key: string; sky: SkyYear } {
    const { home } = facts;
    const key = JSON.stringify([home.latitude, home.longitude, home.elevationM, home.timeZone, home.climateId, year]);
    const sky = this.skies.recall(key, () => {
      const climate = this.knowledge.climate(home.climateId);
      const clearness = Array.from({ length: 12 }, (_, i) => climate?.clearness[seasonalMonth(i + 1, home.latitude) - 1] ?? 0.45);
      const weather = climateWeather(clearness, home.elevationM, climate?.turbidity ?? 3.5);
      return skyYear({ place: home, timeZone: home.timeZone, year, weather });
    });
    return { key, sky };
  }

  /** Daylight at a leaf of a room or of a cabinet, which borrows it from the room it stands in. */
  private daylightAt(facts: HomeFacts, room: Room, leaf: Vec, boards: readonly Rectangle[], year: number): DaylightYear {
    const outer = room.insideRoomId === null ? null : facts.rooms.find((other) => other.id === room.insideRoomId);
    if (outer) {
      const corner = vec(room.insideXM, room.insideYM, room.insideZM);
      const moved = boards.map((board) => ({ ...board, corner: plus(board.corner, corner) }));
      const outside = this.daylightAt(facts, outer, plus(leaf, corner), [...boardsOf(facts, outer.id), ...moved], year);
      return dimmed(outside, room.shellTransmittance);
    }
    const { key: skyKey, sky } = this.sky(facts, year);
    const windows = facts.windows.filter((window) => window.roomId === room.id);
    const { key: roomKey, lit } = this.lit(facts, room, boards);
    const spotKey = JSON.stringify([roomKey, skyKey, leaf]);
    const windowYears = this.spots.recall(spotKey, (): WindowYear[] => {
      const spot = spotWindows(lit, { point: leaf, normal: UP });
      return spot.map((seen, i) => {
        const outside = this.panes.recall(`${roomKey}|${skyKey}|${i}`, (): PaneYear => paneYear(seen, sky));
        return windowYear(seen, leaf, lit.boards, sky, outside);
      });
    });
    const curtains = new Map<string, CurtainProgramme>();
    for (const window of windows) {
      const veil = this.knowledge.curtain(window.curtainId);
      if (!veil) continue;
      curtains.set(window.id, {
        veil,
        months: window.curtainMonths,
        fromMinute: window.curtainFromMinute,
        toMinute: window.curtainToMinute,
      });
    }
    return daylightYear(windowYears, sky, curtains);
  }

  private lit(facts: HomeFacts, room: Room, boards: readonly Rectangle[]): { key: string; lit: LitRoom } {
    // Curtains are left out of the key: they act on the product, not on the geometry.
    const windows = facts.windows
      .filter((window) => window.roomId === room.id)
      .map((window) => ({ ...window, name: '', curtainId: '', curtainMonths: [], curtainFromMinute: 0, curtainToMinute: 0 }));
    const { widthM, depthM, heightM, wallABearing, floorReflectance, wallReflectance, ceilingReflectance } = room;
    const surfaces = [room.id, widthM, depthM, heightM, wallABearing, floorReflectance, wallReflectance, ceilingReflectance];
    const roomKey = JSON.stringify([surfaces, windows]);
    const bare = this.rooms.recall(roomKey, () => {
      const panes = windows.map((window) =>
        paneOf(room, window, this.knowledge.glazing(window.glazingId) ?? { panes: 2, normalTransmittance: 0.76 }),
      );
      return litRoom(room, panes, []);
    });
    return { key: JSON.stringify([roomKey, boards]), lit: { ...bare, boards } };
  }
}
