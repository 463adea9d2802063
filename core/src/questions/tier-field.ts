/** The light of lamps over a tier: its spread, the height and hours that a wanted DLI takes, its power and heat. */
import { LEAF_HEIGHT_M, vec } from '../room';
import { MOL_PER_UMOL_HOUR } from '../units';
import type { HomeFacts, Lamp } from '../facts';
import { meanDli, sceneOf, type HomeEngine, type Steps } from '../home';

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

/** One way to hang the lamps of a tier. */
export interface HangingHeight {
  readonly aboveM: number;
  readonly least: number;
  readonly mean: number;
  readonly most: number;
  readonly uniformity: number;
  /** Hours a day that the wanted DLI takes on top of daylight. */
  readonly hours: number;
  /** Why it will not do. */
  readonly refusal: 'too-bright' | 'too-long' | null;
}

export interface LampWish {
  /** Month (1..12) whose daylight counts. */
  readonly month: number;
  readonly wantedDli: number;
  readonly peakPpfd: number;
}

export interface LampPlan {
  readonly heights: readonly HangingHeight[];
  /** Index of the height that needs the least power; null when none will do. */
  readonly best: number | null;
}

const GRID_STEP_M = 0.12;
const MOST_CELLS = 12;

/** Longest day that is asked of a timer: plants need a night. */
export const LONGEST_LAMP_DAY_H = 16;

const LOWEST_LAMP_M = LEAF_HEIGHT_M + 0.08;
const HEIGHTS = 10;

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

/**
 * Heights at which the lamps of a tier may hang, each with the hours that bring the wanted DLI, from low to high. The
 * best passes no peak, burns no longer than a plant's day and takes the fewest hours.
 */
export function* lampPlan(
  engine: HomeEngine,
  facts: HomeFacts,
  { tierId, wish, year }: { readonly tierId: string; readonly wish: LampWish; readonly year: number },
): Steps<LampPlan | null> {
  const tier = facts.tiers.find((candidate) => candidate.id === tierId);
  const lamps = facts.lamps.filter((lamp) => lamp.tierId === tierId);
  if (!tier || lamps.length === 0) return null;
  const top = highestLamp(facts, tierId, lamps);
  const heights: HangingHeight[] = [];
  for (let i = 0; i < HEIGHTS; i++) {
    yield i / HEIGHTS;
    const aboveM = Math.round((LOWEST_LAMP_M + ((top - LOWEST_LAMP_M) * i) / (HEIGHTS - 1)) * 100) / 100;
    const moved = { ...facts, lamps: facts.lamps.map((lamp) => (lamp.tierId === tierId ? { ...lamp, aboveM } : lamp)) };
    const { least, mean, most, uniformity, daylightDli } = tierField(engine, moved, { tierId, year })!;
    const missing = Math.max(0, wish.wantedDli - daylightDli[wish.month - 1]!);
    const hours = mean > 0 ? missing / (mean * MOL_PER_UMOL_HOUR) : missing > 0 ? Infinity : 0;
    const refusal =
      most > wish.peakPpfd ? ('too-bright' as const) : hours > LONGEST_LAMP_DAY_H ? ('too-long' as const) : null;
    heights.push({ aboveM, least, mean, most, uniformity, hours, refusal });
  }
  const good = heights.map((height, i) => ({ height, i })).filter(({ height }) => height.refusal === null);
  const best = good.length === 0 ? null : good.reduce((p, q) => (q.height.hours < p.height.hours - 1e-9 ? q : p)).i;
  return { heights, best };
}

/** As high as the board above or the ceiling lets a lamp hang. */
function highestLamp(facts: HomeFacts, tierId: string, lamps: readonly Lamp[]): number {
  const tier = facts.tiers.find((candidate) => candidate.id === tierId)!;
  const stand = facts.stands.find((candidate) => candidate.id === tier.standId)!;
  const room = facts.rooms.find((candidate) => candidate.id === stand.roomId)!;
  const above = facts.tiers
    .filter((other) => other.standId === stand.id && other.heightM > tier.heightM)
    .map((other) => other.heightM - tier.heightM - 0.03);
  const free = Math.min(room.heightM - tier.heightM - 0.02, ...above);
  return Math.max(LOWEST_LAMP_M + 0.05, Math.min(free, Math.max(1.5, ...lamps.map((lamp) => lamp.aboveM))));
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
    if (circuit?.months.includes(month)) wattHours += (power * Math.max(0, circuit.offMinute - circuit.onMinute)) / 60;
  }
  return { watts, kWhADay: wattHours / 1000 };
}
