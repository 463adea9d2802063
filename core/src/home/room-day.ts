/** A room's light through one day, for its plan: the wash, its spots and the sun's patches, quarter hour by quarter hour. */
import { sunOnPlan } from '../light';
import { directionInRoom, placedSpots, vec } from '../room';
import type { SkyKind } from '../sky';
import { MINUTE_MS, startOfCivilDay, type CivilDate } from '../units';
import { leafPlaceOf, planGrid, type Answerer } from './answers';
import type { HomeFacts } from './facts';
import type { LeafPlace } from './lit-home';
import { daylightOf, momentLight, momentOf } from './moments';
import { sceneOf } from './scene';

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

/** A room through the day of a date, under a stated sky. */
export function roomDay(
  answerer: Answerer,
  facts: HomeFacts,
  roomId: string,
  date: CivilDate,
  skyKind: SkyKind,
): RoomDay | null {
  const scene = sceneOf(facts, answerer.knowledge);
  const room = scene.rooms.get(roomId);
  if (!room) return null;
  const { columns, rows, heightM } = planGrid(room.room);
  const sky = answerer.lit.sky(facts, date.year);
  const cells = columns * rows;
  const ppfd = new Float32Array(DAY_FRAMES * cells);
  const startMs = startOfCivilDay(date, facts.home.timeZone);
  const moments = Array.from({ length: DAY_FRAMES }, (_, frame) =>
    momentOf(facts, sky, startMs + (frame + 0.5) * FRAME_MINUTES * MINUTE_MS, skyKind, date),
  );
  const at = (place: LeafPlace, frame: number, onDaylight = 1, onLamps = 1) => {
    const minute = Math.floor((frame + 0.5) * FRAME_MINUTES);
    const light = momentLight({
      lit: answerer.lit,
      knowledge: answerer.knowledge,
      scene,
      place,
      sky,
      moment: moments[frame]!,
      minute,
      curtains: 'as-programmed',
      lamps: 'as-programmed',
    });
    return daylightOf(light) * onDaylight + light.lamps * onLamps + light.roomLight;
  };
  for (let row = 0; row < rows; row++) {
    for (let column = 0; column < columns; column++) {
      const leaf = vec(((column + 0.5) / columns) * room.room.widthM, ((row + 0.5) / rows) * room.room.depthM, heightM);
      const place: LeafPlace = { room, leaf, neighbours: [] };
      for (let frame = 0; frame < DAY_FRAMES; frame++) ppfd[frame * cells + row * columns + column] = at(place, frame);
    }
  }
  const spots = placedSpots(facts)
    .filter((placed) => placed.room.id === roomId)
    .map((placed) => {
      const place = leafPlaceOf(scene, placed);
      const correction = answerer.correctionOf(facts, placed.spot.id, date.year);
      return {
        spotId: placed.spot.id,
        ppfd: Float32Array.from({ length: DAY_FRAMES }, (_, frame) =>
          at(place, frame, correction?.daylight?.factor, correction?.lamps?.factor),
        ),
      };
    });
  const middle: LeafPlace = { room, leaf: vec(room.room.widthM / 2, room.room.depthM / 2, heightM), neighbours: [] };
  const { windows } = answerer.lit.windowsAt(scene, middle);
  const patches = moments.map((moment) => {
    if (moment.dni <= 0 || room.room.insideRoomId !== null) return [];
    const toSun = directionInRoom(room.room, moment.sunAzimuthDeg, moment.sunElevationDeg);
    return windows
      .filter(({ pane }) => pane.months.includes(moment.month))
      .map(({ pane }) => sunOnPlan(pane, room.room, toSun, 0).map(({ x, y }) => ({ x, y })))
      .filter((outline) => outline.length > 0);
  });
  return {
    columns,
    rows,
    heightM,
    ppfd,
    spots,
    patches,
    sunElevationDeg: moments.map((m) => m.sunElevationDeg),
    sunAzimuthDeg: moments.map((m) => m.sunAzimuthDeg),
  };
}
