/** The light of lamps over a tier: its spread, its power and heat. */
import { fullHours } from '../lamp';
import { LEAF_HEIGHT_M, vec } from '../room';
import type { HomeFacts } from '../facts';
import { meanDli, sceneOf, type HomeEngine } from '../home';

/** PPFD over a tier at leaf height, from every lamp that reaches it, umol m-2 s-1. */
export interface TierField {
  readonly columns: number;
  readonly rows: number;
  /** `row * columns + column`, columns along x. */
  readonly ppfd: Float32Array;
  readonly least: number;
  readonly mean: number;
  readonly most: number;
  /** Least over mean, 0..1. */
  readonly uniformity: number;
  /** Share of the mean that walls, ceiling and floor throw back. */
  readonly reflectedShare: number;
  /** Mean daylight over the tier by month, mol m-2 d-1, January first. */
  readonly daylightDli: readonly number[];
}

const GRID_STEP_M = 0.12;
const MOST_CELLS = 12;

/** The field over a tier; null when the tier is not there. */
export function tierField(
  engine: HomeEngine,
  facts: HomeFacts,
  { tierId, year }: { readonly tierId: string; readonly year: number },
): TierField | null {
  const tier = facts.tiers.find((candidate) => candidate.id === tierId);
  const stand = tier && facts.stands.find((candidate) => candidate.id === tier.standId);
  const scene = sceneOf(facts, engine.sources);
  const room = stand && scene.rooms.get(stand.roomId);
  if (!tier || !stand || !room) return null;
  const cells = (size: number) => Math.max(2, Math.min(MOST_CELLS, Math.round(size / GRID_STEP_M)));
  const columns = cells(stand.widthM);
  const rows = cells(stand.depthM);
  const ppfd = new Float32Array(columns * rows);
  const daylight = new Float64Array(12);
  const sky = engine.lit.sky(facts, year);
  let reflected = 0;
  for (let row = 0; row < rows; row++) {
    for (let column = 0; column < columns; column++) {
      const height = Math.min(tier.heightM + LEAF_HEIGHT_M, room.room.heightM - 0.02);
      const leaf = vec(
        stand.xM + ((column + 0.5) / columns) * stand.widthM,
        stand.yM + ((row + 0.5) / rows) * stand.depthM,
        height,
      );
      const place = { room, leaf, neighbours: [] };
      for (const lamp of engine.lit.lampsAt(scene, place, sky)) {
        ppfd[row * columns + column]! += lamp.ppfd;
        reflected += lamp.reflectedPpfd;
      }
      const here = engine.lit.daylight(scene, place, sky).year;
      for (let month0 = 0; month0 < 12; month0++) daylight[month0]! += meanDli(here, month0) / (columns * rows);
    }
  }
  const sum = ppfd.reduce((all, value) => all + value, 0);
  const mean = sum / ppfd.length;
  const least = Math.min(...ppfd);
  return {
    columns,
    rows,
    ppfd,
    least,
    mean,
    most: Math.max(...ppfd),
    uniformity: mean > 0 ? least / mean : 0,
    reflectedShare: sum > 0 ? reflected / sum : 0,
    daylightDli: Array.from(daylight),
  };
}

/** Electricity of a tier's lamps as they are dimmed, W, and for their hours, kWh a day in a month. All of it ends as warmth in the room. */
export function lampPower(facts: HomeFacts, tierId: string, month: number): { watts: number; kWhADay: number } {
  let watts = 0;
  let wattHours = 0;
  for (const lamp of facts.lamps) {
    if (lamp.tierId !== tierId) continue;
    const power = lamp.powerW * lamp.dimming;
    const circuit = facts.circuits.find((candidate) => candidate.id === lamp.circuitId);
    watts += power;
    if (circuit) wattHours += power * fullHours(circuit, month);
  }
  return { watts, kWhADay: wattHours / 1000 };
}
