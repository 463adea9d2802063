/** The light of a home's rooms, remembered by what it depends on: skies, lit rooms, and each spot's year. */
import {
  UNCURTAINED_YEAR,
  daylightYear,
  lampOnSurfaces,
  litRoom,
  litParts,
  pastCrowns,
  paneYear,
  panesOf,
  reflectedLamp,
  spotWindows,
  weightsOf,
  windowHeat,
  windowYear,
  withInnerSides,
  type DaylightYear,
  type LitRoom,
  type InnerPart,
  type PaneYear,
  type SpotWindow,
  type WindowYear,
} from '../light';
import { lampPpfd } from '../lamp';
import { seasonalMonth } from '../taxon';
import { UP, movedOccluder, plus, vec, type Occluder, type Vec } from '../room';
import { HOUR_BINS, climateWeather, fileWeather, skyYear, type SkyYear, type Weather } from '../sky';
import {
  NO_SIDES,
  aroundSides,
  inLightOf,
  lampBySides,
  lampKey,
  shellsBut,
  type InnerSides,
  type SeenLamp,
} from './cabinet';
import { dimmed, type LitLamp } from './conditions';
import type { HomeFacts } from '../facts';
import type { Sources } from './knowledge';
import { Memory, Names } from './memory';
import type { LeafPlace, RoomScene, Scene } from './scene';

/** The outdoors of a home in a year. */
export interface HomeSky {
  readonly key: string;
  readonly sky: SkyYear;
  readonly weather: Weather;
  readonly turbidity: number;
}

/** A lit room and the name by which it is remembered. */
interface RememberedRoom {
  readonly key: string;
  /** Without the solids in it. */
  readonly bareKey: string;
  readonly lit: LitRoom;
}

/** A spot's geometry in its room. */
interface SpotGeometry {
  readonly key: string;
  readonly years: readonly WindowYear[];
  /** What each piece of the room's surfaces counts for it, for the light of lamps. */
  readonly importance: Float32Array;
}

/** A spot's daylight, the curtains applied. */
export interface SpotDaylight {
  readonly key: string;
  readonly year: DaylightYear;
}

/** A lamp fainter than this at a leaf is left out of every figure alike, umol m-2 s-1. */
const FAINTEST_PPFD = 0.005;

/** What a glazing that the catalogue does not hold is taken for. */
const PLAIN_GLAZING = { panes: 2, normalTransmittance: 0.76 } as const;

/** Key of an opening without a pane: what would come in if nothing were in the way. */
export const OPENING = 'opening';
const NO_GLASS = { panes: 0, normalTransmittance: 1 } as const;

/** Points of the largest plan, and rooms as they were before a change. */
const PLAN_POINTS = 150;
const ROOMS_BESIDE = 8;

const DEFAULT_TURBIDITY = 3.5;
const DEFAULT_CLEARNESS = 0.45;

/** What one lamp gives a place. */
interface LampOnPlace extends Omit<LitLamp, 'circuit'> {
  readonly circuitId: string;
}

export class LitHome {
  private readonly skies = new Memory<HomeSky>(4);
  private readonly rooms = new Memory<RememberedRoom>(16);
  private readonly panes = new Memory<PaneYear>(60);
  private readonly spots = new Memory<SpotGeometry>(1200);
  private readonly days = new Memory<SpotDaylight>(1200);
  private readonly windows = new Memory<readonly SpotWindow[]>(400);
  private readonly lampSurfaces = new Memory<Float64Array>(300);
  private readonly lamps = new Memory<readonly LampOnPlace[]>(2000);
  private readonly sides = new Memory<readonly InnerPart[]>(12);
  private readonly weights = new Memory<readonly number[]>(400);
  private readonly heats = new Memory<Float64Array>(80);
  private readonly names = new Names();

  constructor(private readonly knowledge: Sources) {}

  /** Remembers at least as much as one home needs, with the points of a plan on top. */
  makeRoom({ rooms, windows, spots, lamps }: HomeFacts): void {
    const places = 2 * spots.length + PLAN_POINTS;
    this.rooms.holdAtLeast(rooms.length + ROOMS_BESIDE);
    this.panes.holdAtLeast(2 * windows.length);
    this.spots.holdAtLeast(places);
    this.days.holdAtLeast(2 * places);
    this.lamps.holdAtLeast(places);
    this.lampSurfaces.holdAtLeast(4 * lamps.length);
  }

  /** The outdoors: an imported year of weather where there is one, else the climate family's. */
  sky(facts: HomeFacts, year: number): HomeSky {
    const { home, weathers } = facts;
    const [file] = weathers;
    const { latitude, longitude, elevationM, timeZone, climateId } = home;
    const key = this.names.of(
      JSON.stringify([
        latitude,
        longitude,
        elevationM,
        timeZone,
        year,
        file ? [file.fileKey, file.utcOffsetH] : climateId,
      ]),
    );
    return this.skies.recall(key, () => {
      const climate = this.knowledge.climate(climateId);
      const turbidity = climate?.turbidity ?? DEFAULT_TURBIDITY;
      const clearness = Array.from(
        { length: 12 },
        (_, i) => climate?.clearness[seasonalMonth(i + 1, latitude) - 1] ?? DEFAULT_CLEARNESS,
      );
      const weather = file
        ? fileWeather(this.knowledge.weatherHours(file.fileKey), file.utcOffsetH, home)
        : climateWeather(clearness, elevationM, turbidity);
      return { key, sky: skyYear({ place: home, timeZone, year, weather }), weather, turbidity };
    });
  }

  /**
   * Daylight at a place through the year; a cabinet borrows it from the room it stands in.
   * @param sides inner sides of a cabinet that throw light back on the place
   */
  daylight(scene: Scene, place: LeafPlace, sky: HomeSky, sides = NO_SIDES): SpotDaylight {
    const outer = this.outside(scene, place);
    if (outer) {
      const { key, year } = this.daylight(scene, outer, sky, this.innerSides(place, outer));
      const share = place.room.room.shellTransmittance;
      const dimmedKey = `${key}*${share}`;
      return this.days.recall(dimmedKey, () => ({ key: dimmedKey, year: dimmed(year, share) }));
    }
    const geometry = this.geometry(place, sky, sides);
    const { transmittances, curtainsKey } = place.room;
    const key = `${geometry.key}|${this.names.of(curtainsKey)}`;
    return this.days.recall(key, () => ({ key, year: daylightYear(geometry.years, sky.sky, transmittances) }));
  }

  /** The windows of a place as one instant sees them: of its own room, or of the room its cabinet stands in. */
  windowsAt(
    scene: Scene,
    place: LeafPlace,
    sides = NO_SIDES,
  ): {
    readonly place: LeafPlace;
    readonly windows: readonly SpotWindow[];
    readonly share: number;
    readonly occluders: readonly Occluder[];
  } {
    const outer = this.outside(scene, place);
    if (outer) {
      const within = this.innerSides(place, outer);
      return { ...this.windowsAt(scene, outer, within), share: place.room.room.shellTransmittance };
    }
    const { key, lit } = this.room(place.room);
    const windowsKey = `${key}|${this.placeKey(place)}${sides.key}`;
    const windows = this.windows.recall(windowsKey, () =>
      withInnerSides(spotWindows(lit, { point: place.leaf, normal: UP }, place.neighbours), sides.weighed),
    );
    return { place, windows, share: 1, occluders: [...place.room.solids, ...place.neighbours] };
  }

  /**
   * The lamps that a place notices, those of neighbouring tiers among them, with what the room's surfaces throw back;
   * in a cabinet also those of the room around it, through its shell.
   * @param topPlace where the brightest hour is judged
   */
  lampsAt(scene: Scene, place: LeafPlace, sky: HomeSky, topPlace = place): LitLamp[] {
    const own = this.lampsOfRoom(scene, place, topPlace, sky);
    const outer = this.outside(scene, place);
    if (!outer) return own;
    const sides = this.innerSides(place, outer);
    const share = place.room.room.shellTransmittance;
    const outerTop = topPlace === place ? outer : this.outside(scene, topPlace)!;
    const through = this.lampsOfRoom(scene, outer, outerTop, sky, sides).map((lamp) => ({
      ...lamp,
      ppfd: lamp.ppfd * share,
      topPpfd: lamp.topPpfd * share,
      reflectedPpfd: lamp.reflectedPpfd * share,
    }));
    return [...own, ...through.filter(({ ppfd }) => ppfd > FAINTEST_PPFD)];
  }

  /** @param sides of the cabinet that the place is in, whose own lamps are then told by itself */
  private lampsOfRoom(scene: Scene, place: LeafPlace, topPlace: LeafPlace, sky: HomeSky, sides = NO_SIDES): LitLamp[] {
    const { lights, lightsKey } = place.room;
    if (lights.length === 0) return [];
    const geometry = this.geometry(place, sky, sides);
    const lit = this.lamps.recall(`${geometry.key}|${topPlace.leaf.z}|${this.names.of(lightsKey)}`, () =>
      lights
        .filter(({ cabinetId }) => cabinetId === null || cabinetId !== sides.cabinetId)
        .map((light) => this.lampOn(light, place, topPlace.leaf, geometry, sides))
        .filter(({ ppfd, topPpfd }) => Math.max(ppfd, topPpfd) > FAINTEST_PPFD),
    );
    return lit.flatMap(({ circuitId, ...lamp }) => {
      const circuit = scene.facts.circuits.find((candidate) => candidate.id === circuitId);
      return circuit ? [{ ...lamp, circuit }] : [];
    });
  }

  /** What one lamp gives a place, at the middle of its leaves and at their top. */
  private lampOn(
    light: SeenLamp,
    { room, leaf, neighbours }: LeafPlace,
    top: Vec,
    { importance }: SpotGeometry,
    sides: InnerSides,
  ): LampOnPlace {
    const { placed } = light;
    const onSurfaces = this.lampOnRoom(light, room);
    const occluders = inLightOf(light, [...room.solids, ...neighbours]);
    const reflectedPpfd = reflectedLamp(onSurfaces, importance) + lampBySides(sides, light, onSurfaces);
    const ppfd = lampPpfd(placed, leaf, occluders) + reflectedPpfd;
    const topPpfd = top === leaf ? ppfd : lampPpfd(placed, top, occluders) + reflectedPpfd;
    return { id: placed.lamp.id, circuitId: placed.lamp.circuitId, ppfd, topPpfd, reflectedPpfd };
  }

  /**
   * What a lamp gives to the surfaces of a room, past all that stands there; crowns come last, since they move most.
   */
  private lampOnRoom(light: SeenLamp, room: RoomScene): Float64Array {
    const { key, lit } = this.room(room);
    const lightKey = `${key}|${lampKey(light)}`;
    const unshaded = this.lampSurfaces.recall(lightKey, () =>
      lampOnSurfaces(light.placed, lit.enclosure, inLightOf(light, [...room.solids, ...room.shells])),
    );
    const { placed, under } = light;
    if (under.length === 0) return unshaded;
    return this.lampSurfaces.recall(`${lightKey}|${this.names.of(JSON.stringify(under))}`, () =>
      pastCrowns(unshaded, lit.enclosure, placed, under),
    );
  }

  /** Heat of daylight through a room's windows as their curtains are drawn, W on a mean day by hour bin. */
  heatOf(scene: RoomScene, sky: HomeSky): Float64Array {
    const { bareKey, lit } = this.room(scene);
    return this.heats.recall(`${bareKey}|${sky.key}|${this.names.of(scene.curtainsKey)}`, () => {
      const watts = new Float64Array(HOUR_BINS);
      lit.panes.forEach((seen, i) => {
        const outside = this.panes.recall(`${bareKey}|${sky.key}|${i}|in-room`, () => paneYear(seen, sky.sky));
        const open = scene.transmittances.get(seen.pane.windowId) ?? UNCURTAINED_YEAR;
        windowHeat(seen.pane, outside, sky.sky, open).forEach((heat, bin) => (watts[bin]! += heat));
      });
      return watts;
    });
  }

  private outside(scene: Scene, { room, leaf, neighbours }: LeafPlace): LeafPlace | null {
    const outer = room.room.insideRoomId === null ? undefined : scene.rooms.get(room.room.insideRoomId);
    if (!outer) return null;
    const { insideXM: x, insideYM: y, insideZM: z } = room.room;
    return {
      room: outer,
      leaf: plus(leaf, vec(x, y, z)),
      neighbours: [
        ...[...room.solids, ...neighbours].map((occluder) => movedOccluder(occluder, x, y, z)),
        ...shellsBut(outer.shells, room.room.id),
      ],
    };
  }

  private placeKey({ leaf, neighbours }: LeafPlace): string {
    const at = `${leaf.x},${leaf.y},${leaf.z}`;
    return neighbours.length > 0 ? `${at}|${this.names.of(JSON.stringify(neighbours))}` : at;
  }

  /** The inner sides of the cabinet a place is in, lit by the room around it, with what each counts for the place. */
  private innerSides(place: LeafPlace, outer: LeafPlace): InnerSides {
    // In a cabinet within a cabinet, the inner one alone is seen as it is.
    if (outer.room.room.insideRoomId !== null) return NO_SIDES;
    const { key: cabinetKey, lit: cabinet } = this.room(place.room);
    const { key: roomKey, lit } = this.room(outer.room);
    const { insideXM: x, insideYM: y, insideZM: z } = place.room.room;
    const around = aroundSides(place.room.room, place.room.solids, outer.room.shells);
    const key = `|${cabinetKey}@${x},${y},${z}|${this.names.of(JSON.stringify(around))}`;
    const sides = this.sides.recall(`${roomKey}${key}`, () =>
      cabinet.enclosure.surfaces.flatMap(({ rectangle }) =>
        litParts(lit, { ...rectangle, corner: plus(rectangle.corner, vec(x, y, z)) }, around),
      ),
    );
    const placeKey = `${cabinetKey}|${this.placeKey(place)}`;
    const weights = this.weights.recall(placeKey, () =>
      weightsOf(
        cabinet.enclosure,
        cabinet.enclosure.importance({ point: place.leaf, normal: UP }, [...place.room.solids, ...place.neighbours])
          .whole,
      ),
    );
    return {
      key: `${key}|${placeKey}`,
      cabinetId: place.room.room.id,
      weighed: sides.map((part, i) => ({ part, weight: weights[i]! })).filter(({ weight }) => weight > 0),
    };
  }

  private geometry(place: LeafPlace, sky: HomeSky, sides = NO_SIDES): SpotGeometry {
    const { key: roomKey, bareKey, lit } = this.room(place.room);
    const key = `${roomKey}|${sky.key}|${this.placeKey(place)}${sides.key}`;
    return this.spots.recall(key, () => {
      const receiver = { point: place.leaf, normal: UP };
      const occluders = place.neighbours.length > 0 ? [...lit.solids, ...place.neighbours] : lit.solids;
      const importance = lit.enclosure.importance(receiver, occluders);
      const windows = withInnerSides(spotWindows(lit, receiver, place.neighbours, importance), sides.weighed);
      const years = windows.map((window, i) => {
        const outside = this.panes.recall(`${bareKey}|${sky.key}|${i}|${window.place}`, () =>
          paneYear(window, sky.sky),
        );
        return windowYear(window, place.leaf, occluders, sky.sky, outside);
      });
      return { key, years, importance: Float32Array.from(importance.whole) };
    });
  }

  private room(scene: RoomScene): RememberedRoom {
    const { room, windows, obstructions, snowMonths, solids, shells } = scene;
    const bareKey = this.names.of(scene.geometryKey);
    const key = `${bareKey}.${this.names.of(scene.solidsKey)}`;
    return this.rooms.recall(key, () => {
      const panes = windows.flatMap((window) =>
        panesOf(
          room,
          window,
          window.glazingId === OPENING ? NO_GLASS : (this.knowledge.glazing(window.glazingId) ?? PLAIN_GLAZING),
          obstructions,
          snowMonths,
        ),
      );
      return { key, bareKey, lit: litRoom(room, panes, solids, shells) };
    });
  }
}
