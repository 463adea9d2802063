/** A room's light through one day, for its plan: the map of light, its spots and the sun's patches, by quarter hours. */
import type { HomeFacts } from '../facts';
import {
  daylightOf,
  leafPlaceOf,
  momentLight,
  momentOf,
  planGrid,
  planLeaf,
  sceneOf,
  type HomeEngine,
  type LeafPlace,
  type RoomScene,
  type Scene,
  type Steps,
} from '../home';
import { sunOnPlan } from '../light';
import { directionInRoom, placedSpots, vec } from '../room';
import type { Moment, SkyKind } from '../sky';
import { instantOfWallClock, type CivilDate } from '../units';

/** Frames of a day: every quarter of an hour from local midnight. */
export const DAY_FRAMES = 96;
const FRAME_MINUTES = 1440 / DAY_FRAMES;

/** A room's plan through one day. */
export interface RoomDay {
  readonly columns: number;
  readonly rows: number;
  readonly heightM: number;
  /** PPFD, umol m-2 s-1, `frame * columns * rows + row * columns + column`. */
  readonly ppfd: Float32Array;
  /** PPFD at the leaves of each of its spots, by frame. */
  readonly spots: readonly { readonly spotId: string; readonly ppfd: Float32Array }[];
  /** Sun's patches on the floor by frame: outlines as points on the plan, m. */
  readonly patches: readonly (readonly (readonly { readonly x: number; readonly y: number }[])[])[];
  /** The sun by frame, degrees. */
  readonly sunElevationDeg: readonly number[];
  readonly sunAzimuthDeg: readonly number[];
}

export interface RoomDayParams {
  readonly roomId: string;
  readonly date: CivilDate;
  readonly sky: SkyKind;
}

/** The middle of a frame on the clock on the wall. */
const minuteOf = (frame: number) => (frame + 0.5) * FRAME_MINUTES;

/** A room through the day of a date, under a stated sky; null when the room is not there. */
export function* roomDay(
  engine: HomeEngine,
  facts: HomeFacts,
  { roomId, date, sky: skyKind }: RoomDayParams,
): Steps<RoomDay | null> {
  const scene = sceneOf(facts, engine.sources);
  const room = scene.rooms.get(roomId);
  if (!room) return null;
  const grid = planGrid(room.room);
  const sky = engine.lit.sky(facts, date.year);
  const moments = Array.from({ length: DAY_FRAMES }, (_, frame) =>
    momentOf(facts, sky, instantOfWallClock(date, minuteOf(frame), facts.home.timeZone), skyKind, date),
  );
  const { lit, sources: knowledge } = engine;
  const as = { curtains: 'as-scheduled', lamps: 'as-scheduled' } as const;
  const lightAt = (place: LeafPlace, frame: number, onDaylight = 1, onLamps = 1) => {
    const minute = Math.floor(minuteOf(frame));
    const light = momentLight({ lit, knowledge, scene, place, sky, moment: moments[frame]!, minute, ...as });
    return daylightOf(light) * onDaylight + light.lamps * onLamps + light.roomLight;
  };
  const cells = grid.columns * grid.rows;
  const ppfd = new Float32Array(DAY_FRAMES * cells);
  for (let cell = 0; cell < cells; cell++) {
    yield cell / cells;
    const place: LeafPlace = { room, leaf: planLeaf(room.room, cell), neighbours: [] };
    for (let frame = 0; frame < DAY_FRAMES; frame++) ppfd[frame * cells + cell] = lightAt(place, frame);
  }
  const spots = placedSpots(facts)
    .filter((placed) => placed.room.id === roomId)
    .map((placed) => {
      const place = leafPlaceOf(scene, placed);
      const { daylight, lamps } = engine.calibrationOf(facts, placed.spot.id, date.year) ?? {};
      const course = Float32Array.from({ length: DAY_FRAMES }, (_, frame) =>
        lightAt(place, frame, daylight?.factor, lamps?.factor),
      );
      return { spotId: placed.spot.id, ppfd: course };
    });
  return {
    ...grid,
    ppfd,
    spots,
    patches: sunPatches(engine, scene, room, moments),
    sunElevationDeg: moments.map((moment) => moment.sunElevationDeg),
    sunAzimuthDeg: moments.map((moment) => moment.sunAzimuthDeg),
  };
}

/** Outlines of the sun's patches on the floor, frame by frame. */
function sunPatches(engine: HomeEngine, scene: Scene, room: RoomScene, moments: readonly Moment[]): RoomDay['patches'] {
  const { widthM, depthM, heightM, insideRoomId } = room.room;
  const middle: LeafPlace = { room, leaf: vec(widthM / 2, depthM / 2, heightM / 2), neighbours: [] };
  const { windows } = engine.lit.windowsAt(scene, middle);
  return moments.map((moment) => {
    if (moment.dni <= 0 || insideRoomId !== null) return [];
    const toSun = directionInRoom(room.room, moment.sunAzimuthDeg, moment.sunElevationDeg);
    return windows
      .filter(({ pane }) => pane.months.includes(moment.month))
      .map(({ pane }) => sunOnPlan(pane, room.room, toSun, 0).map(({ x, y }) => ({ x, y })))
      .filter((outline) => outline.length > 0);
  });
}
