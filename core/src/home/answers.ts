/** A home's answers: what each spot gives in each month, and how each plant fares where it stands. */
import { airYear } from '../air';
import type { Condition, YearFit } from '../fit';
import { circuitHours } from '../lamp';
import { bestFreeSpot, fitOfSpot, rankSpots, type RankedSpot, type SpotChoice } from '../match';
import { yearTargets, type Target } from '../plant';
import { enclosuresOf, neighboursOf, placedSpots, vec, type PlacedSpot } from '../room';
import { MOL_PER_UMOL_HOUR } from '../units';
import { conditionOf, dimmed, meanDli } from './conditions';
import type { AirStatement, HomeFacts, Plant } from './facts';
import type { Knowledge } from './knowledge';
import { knownTaxon, plantTargets, waysOf } from './known';
import { LitHome, type LeafPlace } from './lit-home';
import { Memory, Names } from './memory';
import { comparedReadings, correctionAt, type ComparedReading, type SpotCorrection } from './readings';
import { sceneOf, type Scene } from './scene';

export interface SpotAnswer {
  readonly spotId: string;
  readonly conditions: readonly Condition[];
  /** Share of open ground's light that reaches it under an overcast sky. */
  readonly daylightFactor: number;
  /** What readings have corrected; the conditions hold it already. */
  readonly correction: SpotCorrection | null;
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
  /** Readings that count, each against the model without them. */
  readonly readings: readonly ComparedReading[];
}

/** DLI over a room's floor plan in one month, for the wash on its drawing. */
export interface RoomWash {
  readonly columns: number;
  readonly rows: number;
  readonly heightM: number;
  /** mol m-2 d-1, `month0 * columns * rows + row * columns + column`. */
  readonly dli: Float32Array;
}

/** Where a plan's grid of points lies: about 0.75 m apart, at the height of a table. */
export function planGrid(room: { readonly widthM: number; readonly depthM: number; readonly heightM: number }): {
  columns: number;
  rows: number;
  heightM: number;
} {
  const along = (size: number) => Math.max(4, Math.min(12, Math.round(size / 0.75)));
  return { columns: along(room.widthM), rows: along(room.depthM), heightM: Math.min(0.8, room.heightM / 2) };
}

/** A spot's leaves with the neighbours that stand in their light. */
export function leafPlaceOf(scene: Scene, { spot, room, leaf, tierHeightM }: PlacedSpot): LeafPlace {
  const roomScene = scene.rooms.get(room.id)!;
  const crowns = neighboursOf(roomScene.crowns, spot.id, leaf, tierHeightM, scene.plantsAt.get(spot.id) ?? []);
  return { room: roomScene, leaf, neighbours: [...crowns, ...enclosuresOf(scene.facts.rooms, room.id, null)] };
}

/** So many spots are worked out between two reports of progress. */
const SPOTS_A_REPORT = 4;

/** Answers questions about homes, remembering geometry and skies between them: a curtain or a lamp moved costs little. */
export class Answerer {
  readonly lit: LitHome;
  private readonly conditions = new Memory<SpotAnswer>(1200);
  private readonly targets = new Memory<Target[]>(4000);
  private readonly names = new Names();

  constructor(readonly knowledge: Knowledge) {
    this.lit = new LitHome(knowledge);
  }

  /**
   * Everything about a home in a year (docs/measured.md tells how long that takes).
   * @param onShare hears now and then which share of the spots is done, 0..1
   */
  answer(facts: HomeFacts, year: number, onShare?: (share: number) => void): HomeAnswers {
    const { spots, readings } = this.spotAnswers(facts, year, undefined, onShare);
    const conditions = new Map(spots.map((spot) => [spot.spotId, spot.conditions]));
    const plants = facts.plants.map((plant): PlantAnswer => {
      const targets = this.targetsOf(facts, plant);
      if (targets.length === 0) return { plantId: plant.id, targets, fit: null, bestFree: null };
      const here = plant.spotId === null ? undefined : conditions.get(plant.spotId);
      return {
        plantId: plant.id,
        targets,
        fit: here ? fitOfSpot(targets, here) : null,
        bestFree: bestFreeSpot({ plant, targets, spots: facts.spots, conditions, plants: facts.plants }),
      };
    });
    return { year, spots, plants, readings };
  }

  /** Every spot of a home ranked for one plant, which need not stand in it yet. */
  rank(facts: HomeFacts, plant: Plant, year: number): RankedSpot[] {
    const targets = this.targetsOf(facts, plant);
    if (targets.length === 0) return [];
    const conditions = new Map(this.spotAnswers(facts, year).spots.map((spot) => [spot.spotId, spot.conditions]));
    return rankSpots({ plant, targets, spots: facts.spots, conditions, plants: facts.plants });
  }

  /** The taxa that suit a spot's whole year best, grown plants, best first. @param taxonIds of the catalogue or own ones */
  bestTaxa(
    facts: HomeFacts,
    spotId: string,
    taxonIds: readonly string[],
    count: number,
    year: number,
  ): { readonly taxonId: string; readonly fit: YearFit }[] {
    const conditions = this.conditionsOf(facts, spotId, year);
    if (conditions.length === 0) return [];
    const ways = waysOf(facts.home, null);
    return taxonIds
      .flatMap((taxonId) => {
        const taxon = knownTaxon(facts, taxonId, this.knowledge)?.taxon;
        return taxon
          ? [
              {
                taxonId,
                fit: fitOfSpot(yearTargets({ stage: 'adult', growthState: 'by-season' }, taxon, ways), conditions),
              },
            ]
          : [];
      })
      .sort((p, q) => q.fit.whole - p.fit.whole)
      .slice(0, count);
  }

  /** The light over a room's plan, at one height. */
  wash(facts: HomeFacts, roomId: string, year: number): RoomWash | null {
    const scene = sceneOf(facts, this.knowledge);
    const room = scene.rooms.get(roomId);
    if (!room) return null;
    const { columns, rows, heightM } = planGrid(room.room);
    const dli = new Float32Array(12 * columns * rows);
    const sky = this.lit.sky(facts, year);
    for (let row = 0; row < rows; row++) {
      for (let column = 0; column < columns; column++) {
        const leaf = vec(
          ((column + 0.5) / columns) * room.room.widthM,
          ((row + 0.5) / rows) * room.room.depthM,
          heightM,
        );
        const place = { room, leaf, neighbours: [] };
        const daylight = this.lit.daylight(scene, place, sky).year;
        const lamps = this.lit.lampsAt(scene, place, sky);
        for (let month0 = 0; month0 < 12; month0++) {
          const lampDli =
            lamps.reduce((sum, lamp) => sum + lamp.ppfd * circuitHours(lamp.circuit, month0 + 1), 0) *
            MOL_PER_UMOL_HOUR;
          dli[month0 * columns * rows + row * columns + column] = meanDli(daylight, month0) + lampDli;
        }
      }
    }
    return { columns, rows, heightM, dli };
  }

  /** Twelve months of one spot, readings counted in; none when it is not there. */
  conditionsOf(facts: HomeFacts, spotId: string, year: number): readonly Condition[] {
    return this.spotAnswers(facts, year, spotId).spots[0]?.conditions ?? [];
  }

  /** What readings correct at one spot. */
  correctionOf(facts: HomeFacts, spotId: string, year: number): SpotCorrection | null {
    return this.spotAnswers(facts, year, spotId).spots[0]?.correction ?? null;
  }

  /** Readings against the model, and what they correct at each spot, or at one. */
  private spotAnswers(
    facts: HomeFacts,
    year: number,
    only?: string,
    onShare?: (share: number) => void,
  ): { spots: SpotAnswer[]; readings: ComparedReading[] } {
    const scene = sceneOf(facts, this.knowledge);
    const sky = this.lit.sky(facts, year);
    const all = placedSpots(facts);
    const placed = new Map(all.map((spot) => [spot.spot.id, spot]));
    const readings = comparedReadings({
      lit: this.lit,
      knowledge: this.knowledge,
      scene,
      sky,
      placeOf: (spot) => leafPlaceOf(scene, spot),
    });
    const homeKey = JSON.stringify([
      facts.home.latitude,
      facts.home.longitude,
      facts.home.timeZone,
      facts.circuits.map(({ name: _name, ...circuit }) => circuit),
    ]);
    const airKeys = new Map(
      facts.rooms.map((room) => [
        room.id,
        airKeyOf(
          homeKey,
          room,
          facts.air.filter((statement) => statement.roomId === room.id),
        ),
      ]),
    );
    const spots = (only === undefined ? all : all.filter((spot) => spot.spot.id === only)).map((spot, i) => {
      if (onShare && i % SPOTS_A_REPORT === 0) onShare(i / all.length);
      const place = leafPlaceOf(scene, spot);
      const { key, year: bare } = this.lit.daylight(scene, place, sky);
      const bareLamps = this.lit.lampsAt(scene, place, sky);
      const correction = readings.length > 0 ? correctionAt(spot, readings, placed) : null;
      const lampsKey = bareLamps.map((lamp) => `${lamp.id}${lamp.ppfd}`).join();
      const whole = `${spot.spot.id}|${key}|${lampsKey}|${this.names.of(airKeys.get(spot.room.id)!)}|${correction ? JSON.stringify(correction) : ''}`;
      return this.conditions.recall(whole, (): SpotAnswer => {
        const daylight = correction?.daylight ? dimmed(bare, correction.daylight.factor) : bare;
        const factor = correction?.lamps?.factor ?? 1;
        const lit = bareLamps.map((lamp) => ({ ...lamp, ppfd: lamp.ppfd * factor }));
        const air = airYear(facts.air.filter((statement) => statement.roomId === spot.room.id));
        const conditions = Array.from({ length: 12 }, (_, month0) =>
          conditionOf({ facts, room: spot.room, daylight, lit, air: air[month0]!, month0, year }),
        );
        return { spotId: spot.spot.id, conditions, daylightFactor: daylight.daylightFactor, correction };
      });
    });
    return { spots, readings };
  }

  private targetsOf(facts: HomeFacts, plant: Plant): Target[] {
    const { spotId: _spot, note: _note, arrivedOn: _arrived, ...bearing } = plant;
    const knows =
      facts.ownTaxa.length + facts.corrections.length > 0
        ? this.names.of(JSON.stringify([facts.ownTaxa, facts.corrections]))
        : '';
    const { latitude, restSchool, lightAim } = facts.home;
    return this.targets.recall(JSON.stringify([bearing, latitude, restSchool, lightAim, knows]), () =>
      plantTargets(facts, plant, this.knowledge),
    );
  }
}

function airKeyOf(homeKey: string, room: HomeFacts['rooms'][number], air: readonly AirStatement[]): string {
  const { airMovement, eveningLux, eveningFromMinute, eveningToMinute } = room;
  return JSON.stringify([homeKey, airMovement, eveningLux, eveningFromMinute, eveningToMinute, air]);
}
