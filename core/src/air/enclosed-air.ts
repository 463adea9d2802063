/**
 * A cabinet, tent, terrarium, dome or bag as a zone of its own within a room: what its shell, gaps and wet soil come
 * to.
 */
import type { ShellKind } from '../facts';
import { specificVolume } from './moist';
import { always, type AirLink, type AirZone, type Hourly, type Schedule } from './zones';

/** What a shell is made of, with its heat loss, W m-2 K-1: films of still air on both sides. */
export const SHELLS = {
  glass: 4.5,
  'double-glass': 2.8,
  acrylic: 4,
  polycarbonate: 3.2,
  film: 5,
  fabric: 4.2,
} as const satisfies Record<ShellKind, number>;

export interface EnclosedAir {
  readonly widthM: number;
  readonly depthM: number;
  readonly heightM: number;
  readonly shell: ShellKind;
  /**
   * Air that is exchanged with the room in an hour, of its own: closed 0.1 to 0.3, with vents 1 to 3, with a fan 10 to
   * 60.
   */
  readonly changesH: number;
  /** Its lamps, and all else that gives heat, W: all of it stays inside. */
  readonly lampW: Schedule;
  /** Open wet soil, moss and trays, m2. */
  readonly wetM2: number;
  /** Sun that falls into it, W. */
  readonly sunW: Hourly | null;
}

/**
 * Pots, soil, shelves and shell warm and cool with the air, for each m3, J K-1. Judgement: two pots of 2 l and a
 * shelf.
 */
const CAPACITY_J_K_M3 = 60_000;
/** Heat of a kg of air, J K-1. */
const AIR_HEAT = 1006;
/** Wet soil to the air in a closed case, kg m-2 s-1 for each kg/kg: about what still water gives. */
export const WET_COEFFICIENT = 0.004;
/** Its air is reckoned at this temperature, C. */
const USUAL_C = 20;

const shellAreaM2 = ({ widthM, depthM, heightM }: EnclosedAir) =>
  2 * (widthM * depthM + widthM * heightM + depthM * heightM);

/**
 * An enclosure as a zone, and what joins it to the room it stands in. @param room the room's place among the zones
 * @param own its own
 */
export function enclosedZone(
  enclosure: EnclosedAir,
  pressurePa: number,
  { room, own }: { readonly room: number; readonly own: number },
): { readonly zone: AirZone; readonly link: AirLink } {
  const { widthM, depthM, heightM, shell, changesH, lampW, wetM2, sunW } = enclosure;
  const volumeM3 = widthM * depthM * heightM;
  const dryAirKg = volumeM3 / specificVolume(USUAL_C, 0, pressurePa);
  const areaM2 = shellAreaM2(enclosure);
  return {
    zone: {
      dryAirKg,
      capacityJK: volumeM3 * CAPACITY_J_K_M3 + dryAirKg * AIR_HEAT,
      uaWK: 0,
      airChangesH: always(0),
      venting: null,
      internalW: [lampW],
      sources: [],
      solarW: sunW,
      heating: null,
      humidifier: null,
      dehumidifier: null,
      panes: [{ areaM2, uValue: SHELLS[shell], behind: room }],
      wet: wetM2 > 0 ? { areaM2: wetM2, coefficient: WET_COEFFICIENT } : null,
    },
    link: { a: room, b: own, uaWK: SHELLS[shell] * areaM2, flowKgS: (changesH * dryAirKg) / 3600 },
  };
}

/** How long an enclosure takes to go two thirds of the way to what its room and lamps come to, minutes. */
export function minutesToSettle({ zone, link }: ReturnType<typeof enclosedZone>): number {
  return zone.capacityJK / (link.uaWK + AIR_HEAT * link.flowKgS) / 60;
}

/** An enclosure that heat is put into, in a room of one warmth. */
export interface Heated {
  /** Sun and lamps, W. */
  readonly gainW: number;
  readonly roomC: number;
  /** The highest its plants survive, C. */
  readonly highestC: number;
}

/**
 * Minutes until an enclosure as warm as its room is warmer than its plants survive; null where it stays cooler. Shell,
 * pots and air warm together, on an exponential toward what heat and losses come to.
 * @example minutesToHighest(enclosedZone(box, 101_325, { room: 0, own: 1 }), { gainW: 60, roomC: 24, highestC: 35 })
 */
export function minutesToHighest(
  enclosed: ReturnType<typeof enclosedZone>,
  { gainW, roomC, highestC }: Heated,
): number | null {
  if (roomC >= highestC) return 0;
  const { link } = enclosed;
  const warmerK = gainW / (link.uaWK + AIR_HEAT * link.flowKgS);
  const borneK = highestC - roomC;
  return warmerK <= borneK ? null : -minutesToSettle(enclosed) * Math.log(1 - borneK / warmerK);
}
