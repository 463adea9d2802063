/** The light over a room's floor plan, month by month, for its drawing. */
import type { HomeFacts } from '../facts';
import { meanDli, planGrid, planLeaf, sceneOf, type HomeEngine, type Steps } from '../home';
import { fullHours } from '../lamp';
import { MOL_PER_UMOL_HOUR } from '../units';

/** DLI over a room's plan. */
export interface SunlightMap {
  readonly columns: number;
  readonly rows: number;
  readonly heightM: number;
  /** mol m-2 d-1, `month0 * columns * rows + row * columns + column`. */
  readonly dli: Float32Array;
}

export interface SunlightMapParams {
  readonly roomId: string;
  readonly year: number;
}

/** The light over a room's plan, at one height; null when the room is not there. */
export function* sunlightMap(
  engine: HomeEngine,
  facts: HomeFacts,
  { roomId, year }: SunlightMapParams,
): Steps<SunlightMap | null> {
  const scene = sceneOf(facts, engine.sources);
  const room = scene.rooms.get(roomId);
  if (!room) return null;
  const { columns, rows, heightM } = planGrid(room.room);
  const cells = columns * rows;
  const dli = new Float32Array(12 * cells);
  const sky = engine.lit.sky(facts, year);
  for (let cell = 0; cell < cells; cell++) {
    if (cell % columns === 0) yield cell / cells;
    const place = { room, leaf: planLeaf(room.room, cell), neighbours: [] };
    const daylight = engine.lit.daylight(scene, place, sky).year;
    const lamps = engine.lit.lampsAt(scene, place, sky);
    for (let month0 = 0; month0 < 12; month0++) {
      const hours = lamps.reduce((sum, lamp) => sum + lamp.ppfd * fullHours(lamp.circuit, month0 + 1), 0);
      dli[month0 * cells + cell] = meanDli(daylight, month0) + hours * MOL_PER_UMOL_HOUR;
    }
  }
  return { columns, rows, heightM, dli };
}
