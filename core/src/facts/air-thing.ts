/** Things in a room that warm, cool, wet, dry or move its air. */
import type { Side } from './room';

export const AIR_THING_KINDS = [
  'radiator',
  'stove',
  'warm-vent',
  'cold-vent',
  'outer-door',
  'draught',
  'fan',
  'extractor',
  'heat-mat',
  'humidifier',
  'dehumidifier',
  'open-water',
] as const;
export type AirThingKind = (typeof AIR_THING_KINDS)[number];

export interface AirThing {
  readonly id: string;
  readonly roomId: string;
  readonly name: string;
  readonly kind: AirThingKind;
  /** Its middle, in the room's frame. */
  readonly xM: number;
  readonly yM: number;
  readonly zM: number;
  /** Electrical power, or heat of a stove, W. */
  readonly powerW: number;
  /** What a humidifier gives or a dehumidifier takes at most, g/h. */
  readonly gramsH: number;
  /** Humidity it is set to, per cent; null runs without looking. */
  readonly setRh: number | null;
  /** Of a heat mat, or of open water, wet moss and trays, m2. */
  readonly areaM2: number;
  /** Air that an extractor moves, m3/h. */
  readonly airM3H: number;
  /** The side a fan blows toward. */
  readonly toward: Side;
  /** When it runs: minutes of the day, over midnight where it ends at an earlier one, and months (1..12). */
  readonly fromMinute: number;
  readonly toMinute: number;
  readonly months: readonly number[];
}
