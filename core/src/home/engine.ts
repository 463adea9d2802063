/** The engine of a home: what each spot gives in each month and what each plant wants, remembered between questions. */
import type { Highs } from 'highs';
import { KINDS, type HomeFacts, type Plant, type SpotAirStatement } from '../facts';
import type { Condition } from '../fit';
import { PASSING_STAGES, type Target } from '../plant';
import type { DaylightYear } from '../light';
import { placedSpots, type PlacedSpot } from '../room';
import { conditionOf, dimmed, eveningLightsOf, type LitLamp } from './conditions';
import { AttachmentShelf, type Attachments, type Knowledge, type Sources } from './knowledge';
import { outcomesOf, plantTargets } from './known';
import { LitHome, type HomeSky } from './lit-home';
import { Memory, Names } from './memory';
import { calibrationAt, comparedReadings, type ComparedReading, type SpotCalibration } from './readings';
import { airSetting, homeAir, type MonthAirSetting } from './air-year';
import type { HomeAir, RoomAirMonth } from './room-air-month';
import { correctedYear, statedYear } from './stated-air';
import { nearGlass } from './near-glass';
import { spotAirYear } from './spot-air';
import { leafPlaceOf, sceneOf, topPlaceOf, type Scene } from './scene';

export interface SpotAnswer {
  readonly spotId: string;
  readonly conditions: readonly Condition[];
  /** Share of open ground's light that reaches it under an overcast sky. */
  readonly daylightFactor: number;
  /** What readings have corrected; the conditions hold it already. */
  readonly calibration: SpotCalibration | null;
}

/** All spots of a home, or one, with the readings that count. */
export interface SpotAnswers {
  readonly spots: readonly SpotAnswer[];
  readonly readings: readonly ComparedReading[];
}

/** Work in steps: yields the share that is done, 0..1, now and then, and returns what it was for. */
export type Steps<T> = Generator<number, T, void>;

/** Runs steps to their end at once. */
export function finish<T>(steps: Generator<unknown, T, void>): T {
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
  }
}

/** So many spots are worked out between two steps. */
const SPOTS_A_STEP = 4;

const SPOTS_REMEMBERED = 1200;
const TARGETS_REMEMBERED = 4000;

/** What a spot's answer is made from, put together once for a whole home. */
interface SpotInputs {
  readonly facts: HomeFacts;
  readonly year: number;
  readonly scene: ReturnType<typeof sceneOf>;
  readonly sky: HomeSky;
  readonly placed: ReadonlyMap<string, PlacedSpot>;
  readonly readings: readonly ComparedReading[];
  readonly airKeys: ReadonlyMap<string, string>;
  readonly roomAir: HomeAir;
  /** Measured months by spot. */
  readonly measuredAt: ReadonlyMap<string, readonly SpotAirStatement[]>;
}

/**
 * Works on homes, remembering geometry and skies: a curtain or a lamp moved costs little. Questions are put to it.
 * @example finish(homeAnswers(new HomeEngine(knowledge), facts, { year: 2026 }))
 */
export class HomeEngine {
  readonly lit: LitHome;
  /** Solves joint plans; null until whoever asks for them has loaded it. */
  solver: Highs | null = null;
  readonly sources: Sources;
  private readonly spots = new Memory<SpotAnswer>(SPOTS_REMEMBERED);
  private readonly targets = new Memory<Target[]>(TARGETS_REMEMBERED);
  private readonly readings = new Memory<readonly ComparedReading[]>(4);
  private readonly airs = new Memory<HomeAir>(80);
  private readonly airYears = new Memory<readonly RoomAirMonth[]>(160);
  private readonly names = new Names();

  constructor(knowledge: Knowledge, attachments: Attachments = new AttachmentShelf()) {
    this.sources = {
      ...knowledge,
      weatherHours: (fileKey) => attachments.weatherHours(fileKey),
      intensities: (fileKey) => attachments.intensities(fileKey),
    };
    this.lit = new LitHome(this.sources);
  }

  /** Twelve months of one spot, readings counted in; none when it is not there. */
  conditionsOf(facts: HomeFacts, spotId: string, year: number): readonly Condition[] {
    return finish(this.spotAnswers(facts, year, [spotId])).spots[0]?.conditions ?? [];
  }

  /**
   * Twelve months of some spots, by spot; those that are not there are left out.
   * @param airOf the home whose rooms' air is taken: one lamp or pot moved hardly changes it, and it takes long
   * @param readIn the home in which readings are held against the model: timers change nothing of them
   */
  conditionsAt(
    facts: HomeFacts,
    spotIds: readonly string[],
    year: number,
    airOf = facts,
    readIn = facts,
  ): ReadonlyMap<string, readonly Condition[]> {
    const { spots } = finish(this.spotAnswers(facts, year, spotIds, airOf, readIn));
    return new Map(spots.map(({ spotId, conditions }) => [spotId, conditions]));
  }

  /** What readings correct at one spot. */
  calibrationOf(facts: HomeFacts, spotId: string, year: number): SpotCalibration | null {
    return finish(this.spotAnswers(facts, year, [spotId])).spots[0]?.calibration ?? null;
  }

  /**
   * Readings against the model, and what they correct at each spot, or at some. The same facts have the very same
   * answer.
   */
  *spotAnswers(
    facts: HomeFacts,
    year: number,
    only?: readonly string[],
    airOf = facts,
    readIn = facts,
  ): Steps<SpotAnswers> {
    const known = this.answered.get(facts);
    if (known?.year === year) return only === undefined ? known.answers : ofSpots(known.answers, only);
    this.makeRoom(facts);
    const inputs = this.inputsOf(facts, year, airOf, readIn);
    const asked = only === undefined ? [...inputs.placed.values()] : only.flatMap((id) => inputs.placed.get(id) ?? []);
    const spots: SpotAnswer[] = [];
    for (const [i, spot] of asked.entries()) {
      if (only === undefined && i % SPOTS_A_STEP === 0) yield i / asked.length;
      spots.push(this.spotAnswer(inputs, spot));
    }
    if (only !== undefined) return { spots, readings: inputs.readings };
    const isAsBefore = this.last.length === spots.length && this.last.every((spot, i) => spot === spots[i]);
    // A list that holds the same is the very same: what follows from it is remembered by it.
    if (!isAsBefore) this.last = spots;
    const answers = { spots: this.last, readings: inputs.readings };
    this.answered.set(facts, { year, answers });
    return answers;
  }

  private last: readonly SpotAnswer[] = [];
  private readonly answered = new WeakMap<HomeFacts, { readonly year: number; readonly answers: SpotAnswers }>();

  /** A plant's targets through a year, January first; none when nothing is known of it. */
  targetsOf(facts: HomeFacts, plant: Plant, year: number): Target[] {
    const { taxonId, parents, traits, stage, stageSeenOn, growthState, stateSeenOn, restSchool, arrivedOn } = plant;
    // A date that tells nothing of this year keeps no plant from sharing what others of its needs want.
    const cameNow = arrivedOn?.startsWith(`${year}-`) || stage === 'just-arrived';
    const dates = [cameNow ? arrivedOn : null, PASSING_STAGES[stage] ? stageSeenOn : null, stateSeenOn];
    const ownFigures = facts.corrections.length > 0 && this.correctedPlants(facts).has(plant.id);
    // What is one plant's own names it; all others of the same needs share one target.
    const seen = facts.outcomes.length > 0 ? outcomesOf(facts, plant) : [];
    const whose = ownFigures || parents.length > 0 || seen.length > 0 ? plant.id : '';
    const own = facts.ownTaxa.length + facts.corrections.length > 0;
    const knows = own ? this.names.ofParts(facts.ownTaxa, facts.corrections) : '';
    const { latitude, restSchool: usual, lightAim } = facts.home;
    const needs = [taxonId, parents, traits, stage, growthState, restSchool, dates, year, whose, seen];
    return this.targets.recall(JSON.stringify([needs, latitude, usual, lightAim, knows]), () =>
      plantTargets(facts, plant, this.sources, year),
    );
  }

  private readonly corrected = new WeakMap<HomeFacts['corrections'], ReadonlySet<string | null>>();

  private correctedPlants({ corrections }: HomeFacts): ReadonlySet<string | null> {
    let plants = this.corrected.get(corrections);
    if (!plants) this.corrected.set(corrections, (plants = new Set(corrections.map(({ plantId }) => plantId))));
    return plants;
  }

  /** A home as large as its limits still finds everything it remembered. */
  private makeRoom(facts: HomeFacts): void {
    this.spots.holdAtLeast(2 * facts.spots.length);
    this.targets.holdAtLeast(Math.min(KINDS.plants.limit, facts.plants.length) * 2);
    this.lit.makeRoom(facts);
  }

  private inputsOf(facts: HomeFacts, year: number, airOf: HomeFacts, readIn: HomeFacts): SpotInputs {
    const scene = sceneOf(facts, this.sources);
    const sky = this.lit.sky(facts, year);
    const placed = new Map(placedSpots(facts).map((spot) => [spot.spot.id, spot]));
    const { latitude, longitude, timeZone } = facts.home;
    const circuits = facts.circuits.map(({ name: _name, ...circuit }) => circuit);
    const homeKey = JSON.stringify([latitude, longitude, timeZone, circuits]);
    const roomAir = airOf === facts ? this.airOf(facts, scene, sky) : this.roomAirOf(airOf, year);
    const airKeys = new Map(
      facts.rooms.map((room) => {
        const own = this.names.ofParts(roomAir.get(room.id)!);
        const beside = facts.airThings.filter(({ roomId }) => roomId === room.id);
        return [room.id, `${own}|${this.names.of(JSON.stringify([homeKey, beside, eveningLightsOf(facts, room)]))}`];
      }),
    );
    const readings = this.comparedReadings(readIn, readIn === facts ? scene : sceneOf(readIn, this.sources), sky);
    const measuredAt = new Map<string, SpotAirStatement[]>();
    for (const one of facts.spotAir) measuredAt.set(one.spotId, [...(measuredAt.get(one.spotId) ?? []), one]);
    return { facts, year, scene, sky, placed, airKeys, roomAir, readings, measuredAt };
  }

  /** The air of a home's rooms in a year, as corrected by what was stated. The same facts have the very same answer. */
  roomAirOf(facts: HomeFacts, year: number): HomeAir {
    return this.airOf(facts, sceneOf(facts, this.sources), this.lit.sky(facts, year));
  }

  /** What a month's air is worked out from, for trying something else in it; null where nothing tells the outdoors. */
  airSettingOf(facts: HomeFacts, year: number, month0: number): MonthAirSetting | null {
    const scene = sceneOf(facts, this.sources);
    const sky = this.lit.sky(facts, year);
    const remember = (_key: string, make: () => HomeAir) => make();
    const inputs = { facts, sources: this.sources, scene, sky, lit: this.lit, remember };
    return airSetting(inputs, this.airOf(facts, scene, sky), month0);
  }

  private airOf(facts: HomeFacts, scene: Scene, sky: HomeSky): HomeAir {
    const remember = (key: string, make: () => HomeAir) => this.airs.recall(this.names.of(key), make);
    const computed = homeAir({ facts, sources: this.sources, scene, sky, lit: this.lit, remember });
    return new Map(
      facts.rooms.map(({ id }) => {
        const own = facts.air.filter(({ roomId }) => roomId === id);
        const months = computed?.get(id);
        if (!months) return [id, statedYear(own)];
        const key = `${this.names.ofParts(months)}|${JSON.stringify(own)}`;
        return [id, this.airYears.recall(key, () => correctedYear(months, own))];
      }),
    );
  }

  /** Readings are held against the model once for each state of what the model is made from. */
  private comparedReadings(facts: HomeFacts, scene: SpotInputs['scene'], sky: HomeSky): readonly ComparedReading[] {
    if (facts.readings.every((reading) => reading.withdrawnOn !== null)) return [];
    const { rooms, windows, stands, tiers, spots, circuits, lamps, plants, blocks, obstructions, photometries } = facts;
    const parts = [rooms, windows, stands, tiers, spots, circuits, lamps, plants, blocks, obstructions, photometries];
    const key = `${sky.key}|${this.names.ofParts(facts.readings, facts.home, facts.planSteps, ...parts)}`;
    return this.readings.recall(key, () =>
      comparedReadings({
        lit: this.lit,
        knowledge: this.sources,
        scene,
        sky,
      }),
    );
  }

  private spotAnswer(
    { facts, year, scene, sky, placed, readings, airKeys, roomAir, measuredAt }: SpotInputs,
    spot: PlacedSpot,
  ): SpotAnswer {
    const place = leafPlaceOf(scene, spot);
    const { key, year: bare } = this.lit.daylight(scene, place, sky);
    const topPlace = topPlaceOf(place, spot);
    const top = topPlace === place ? null : this.lit.daylight(scene, topPlace, sky);
    const bareLamps = this.lit.lampsAt(scene, place, sky, topPlace);
    const calibration = readings.length > 0 ? calibrationAt(spot, readings, placed) : null;
    const lampsKey = bareLamps.map((lamp) => `${lamp.id}${lamp.ppfd},${lamp.topPpfd}`).join();
    const calibrated = calibration ? JSON.stringify(calibration) : '';
    const measured = measuredAt.get(spot.spot.id) ?? [];
    const light = `${spot.spot.id}|${key}|${top?.key ?? ''}|${lampsKey}`;
    const whole = `${light}|${airKeys.get(spot.room.id)}|${calibrated}${this.names.ofParts(...measured)}`;
    return this.spots.recall(whole, () => {
      const corrected = (year: DaylightYear) =>
        calibration?.daylight ? dimmed(year, calibration.daylight.factor) : year;
      const daylight = corrected(bare);
      const topDaylight = top ? corrected(top.year) : daylight;
      const factor = calibration?.lamps?.factor ?? 1;
      const lit: LitLamp[] = bareLamps.map((lamp) => ({
        ...lamp,
        ppfd: lamp.ppfd * factor,
        topPpfd: lamp.topPpfd * factor,
      }));
      const glass = nearGlass(facts, spot, this.sources);
      const { sunHoursLikely, sunHoursPossible } = daylight;
      const airInputs = { facts, spot, glass, measured, sunHoursLikely, sunHoursPossible };
      const air = spotAirYear(airInputs, roomAir.get(spot.room.id)!);
      const conditions = air.map((month, month0) =>
        conditionOf({ facts, room: spot.room, daylight, topDaylight, lit, air: month, month0, year }),
      );
      return { spotId: spot.spot.id, conditions, daylightFactor: daylight.daylightFactor, calibration };
    });
  }
}

const ofSpots = ({ spots, readings }: SpotAnswers, only: readonly string[]): SpotAnswers => ({
  spots: spots.filter(({ spotId }) => only.includes(spotId)),
  readings,
});
