/** The air of a room through the year, and over its plan. */
import { AIR_MOVEMENTS, type HomeFacts } from '../facts';
import {
  nearGlass,
  planGrid,
  planLeaf,
  sceneOf,
  spotAirYear,
  type HomeEngine,
  type RoomAirMonth,
  type Steps,
} from '../home';

export interface RoomAirParams {
  readonly roomId: string;
  readonly year: number;
}

/** A room's twelve months; null when the room is not there. */
export function roomAir(engine: HomeEngine, facts: HomeFacts, { roomId, year }: RoomAirParams) {
  return engine.roomAirOf(facts, year).get(roomId) ?? null;
}
export type RoomAir = readonly RoomAirMonth[];

/** The air over a room's plan at one height, `month0 * columns * rows + row * columns + column`. */
export interface AirMap {
  readonly columns: number;
  readonly rows: number;
  readonly heightM: number;
  readonly dayC: Float32Array;
  readonly nightC: Float32Array;
  readonly dayRh: Float32Array;
  readonly nightRh: Float32Array;
  /** Index in `AIR_MOVEMENTS`. */
  readonly movement: Uint8Array;
}

/** Where a room is coldest, driest and stillest; null when it is not there. */
export function* airMap(engine: HomeEngine, facts: HomeFacts, { roomId, year }: RoomAirParams): Steps<AirMap | null> {
  const scene = sceneOf(facts, engine.sources);
  const room = scene.rooms.get(roomId);
  const air = engine.roomAirOf(facts, year).get(roomId);
  if (!room || !air) return null;
  const sky = engine.lit.sky(facts, year);
  const grid = planGrid(room.room);
  const cells = grid.columns * grid.rows;
  const field = () => new Float32Array(12 * cells);
  const map = { ...grid, dayC: field(), nightC: field(), dayRh: field(), nightRh: field() };
  const movement = new Uint8Array(12 * cells);
  for (let cell = 0; cell < cells; cell++) {
    if (cell % grid.columns === 0) yield cell / cells;
    const spot = { room: room.room, leaf: planLeaf(room.room, cell) };
    const glass = nearGlass(facts, spot, engine.sources);
    const { sunHoursLikely, sunHoursPossible } = engine.lit.daylight(
      scene,
      { room, leaf: spot.leaf, neighbours: [] },
      sky,
    ).year;
    spotAirYear({ facts, spot, glass, measured: [], sunHoursLikely, sunHoursPossible }, air).forEach(
      (month, month0) => {
        const at = month0 * cells + cell;
        map.dayC[at] = month.dayC;
        map.nightC[at] = month.nightC;
        map.dayRh[at] = month.dayRh;
        map.nightRh[at] = month.nightRh;
        movement[at] = AIR_MOVEMENTS.indexOf(month.movement);
      },
    );
  }
  return { ...map, movement };
}
