/** One change that would help a plant: what it is, what it does to every plant it touches, and what it costs. */
import { patch, type Change, type HomeFacts, type Plant } from '../facts';
import type { LifeClass } from '../fit';
import type { LightSteps } from './acclimate';

/** What is done, and to what. */
export type Remedy =
  /** To a free spot. */
  | { readonly kind: 'move'; readonly plantId: string; readonly spotId: string }
  /** Two plants change places. */
  | { readonly kind: 'swap'; readonly plantId: string; readonly spotId: string; readonly otherPlantId: string }
  /** To a spot whose plant goes to a free one. */
  | {
      readonly kind: 'chain';
      readonly plantId: string;
      readonly spotId: string;
      readonly otherPlantId: string;
      readonly otherSpotId: string;
    }
  /** The spot itself, along its board. */
  | {
      readonly kind: 'shift';
      readonly spotId: string;
      readonly alongM: number;
      readonly acrossM: number;
      readonly byM: number;
      readonly way: 'toward-window' | 'from-window';
    }
  | { readonly kind: 'lamp-hours'; readonly circuitId: string; readonly onMinute: number; readonly offMinute: number }
  | { readonly kind: 'dim'; readonly lampId: string; readonly dimming: number }
  | { readonly kind: 'hang'; readonly lampId: string; readonly aboveM: number }
  | {
      readonly kind: 'curtain';
      readonly windowId: string;
      readonly curtainId: string;
      readonly months: readonly number[];
      readonly fromMinute: number;
      readonly toMinute: number;
    }
  /** Curtains of a window left open in some months. */
  | { readonly kind: 'open'; readonly windowId: string; readonly months: readonly number[] }
  /** The air of a room: nothing here can be set, so it is told. */
  | { readonly kind: 'air'; readonly roomId: string; readonly what: AirRemedy; readonly months: readonly number[] };

export const AIR_REMEDIES = ['warmer', 'cooler', 'moister', 'drier', 'moving'] as const;
export type AirRemedy = (typeof AIR_REMEDIES)[number];

/** What a change does to a plant's verdict, 0..1. */
export interface Effect {
  readonly plantId: string;
  readonly before: number;
  readonly after: number;
}

export interface Mend {
  readonly remedy: Remedy;
  readonly effect: Effect;
  readonly lifeAfter: LifeClass;
  /** Other plants whose verdict it moves by a point or more. */
  readonly others: readonly Effect[];
  /** How the plant gets used to its new light; null where it can have it at once. */
  readonly steps: LightSteps | null;
}

/** A change that would help a plant and harm another more than may be. */
export interface RefusedMend {
  readonly remedy: Remedy;
  readonly effect: Effect;
  readonly harmed: Effect;
}

export interface PlantMends {
  readonly plantId: string;
  /** The first to try first; none claims what another plant's first one does. */
  readonly mends: readonly Mend[];
  /** The best of those that were refused. */
  readonly refused: RefusedMend | null;
}

/** What a change asks of the grower, beside one another: judgement. */
const EFFORTS: Readonly<Record<Remedy['kind'], number>> = {
  shift: 1,
  dim: 1,
  'lamp-hours': 1.2,
  open: 1.2,
  hang: 1.5,
  move: 2,
  curtain: 2.5,
  swap: 3,
  air: 3.5,
  chain: 4,
};
/** A plant of this height is not carried lightly, cm, and costs so many times the effort. */
const HEAVY_CM = 100;
const HEAVY_FACTOR = 1.5;

const CARRIES: ReadonlySet<Remedy['kind']> = new Set(['move', 'swap', 'chain']);

/** Effort of a remedy for a plant. */
export const effortOf = ({ kind }: Remedy, { heightCm }: Pick<Plant, 'heightCm'>): number =>
  EFFORTS[kind] * (CARRIES.has(kind) && (heightCm ?? 0) >= HEAVY_CM ? HEAVY_FACTOR : 1);

/** A plant carried to a spot, and where it came from. @param on YYYY-MM-DD */
export const carried = (plant: Pick<Plant, 'id' | 'spotId'>, spotId: string | null, on: string): Change =>
  patch('plants', plant.id, { spotId, cameFromSpotId: plant.spotId, movedOn: on });

/** The changes of facts that carry a remedy out; none for what no fact can say. @param on YYYY-MM-DD */
export function changesOf(
  remedy: Remedy,
  { plants, windows }: Pick<HomeFacts, 'plants' | 'windows'>,
  on: string,
): Change[] {
  const carry = (plantId: string, spotId: string | null) => {
    const plant = plants.find(({ id }) => id === plantId);
    return plant ? [carried(plant, spotId, on)] : [];
  };
  switch (remedy.kind) {
    case 'move':
      return carry(remedy.plantId, remedy.spotId);
    case 'swap':
      return [
        ...carry(remedy.plantId, remedy.spotId),
        ...carry(remedy.otherPlantId, plants.find(({ id }) => id === remedy.plantId)?.spotId ?? null),
      ];
    case 'chain':
      return [...carry(remedy.plantId, remedy.spotId), ...carry(remedy.otherPlantId, remedy.otherSpotId)];
    case 'shift':
      return [patch('spots', remedy.spotId, { alongM: remedy.alongM, acrossM: remedy.acrossM })];
    case 'lamp-hours':
      return [patch('circuits', remedy.circuitId, { onMinute: remedy.onMinute, offMinute: remedy.offMinute })];
    case 'dim':
      return [patch('lamps', remedy.lampId, { dimming: remedy.dimming })];
    case 'hang':
      return [patch('lamps', remedy.lampId, { aboveM: remedy.aboveM })];
    case 'curtain': {
      const { curtainId, months, fromMinute, toMinute } = remedy;
      return [patch('windows', remedy.windowId, { curtains: [{ curtainId, months, fromMinute, toMinute }] })];
    }
    case 'open': {
      const window = windows.find(({ id }) => id === remedy.windowId);
      const shut = (months: readonly number[]) => months.filter((month) => !remedy.months.includes(month));
      const curtains = (window?.curtains ?? [])
        .map((hung) => ({ ...hung, months: shut(hung.months) }))
        .filter(({ months }) => months.length > 0);
      return [patch('windows', remedy.windowId, { curtains })];
    }
    case 'air':
      return [];
  }
}

/** What a remedy lays claim to: two plants are not told to do two things with one. */
export function claimsOf(remedy: Remedy): readonly string[] {
  switch (remedy.kind) {
    case 'move':
      return [`spot ${remedy.spotId}`, `plant ${remedy.plantId}`];
    case 'swap':
      return [`spot ${remedy.spotId}`, `plant ${remedy.plantId}`, `plant ${remedy.otherPlantId}`];
    case 'chain':
      return [
        `spot ${remedy.spotId}`,
        `spot ${remedy.otherSpotId}`,
        `plant ${remedy.plantId}`,
        `plant ${remedy.otherPlantId}`,
      ];
    case 'shift':
      return [`spot ${remedy.spotId}`];
    case 'lamp-hours':
      return [`circuit ${remedy.circuitId}`];
    case 'dim':
    case 'hang':
      return [`lamp ${remedy.lampId}`];
    case 'curtain':
    case 'open':
      return [`window ${remedy.windowId}`];
    case 'air':
      return [];
  }
}
