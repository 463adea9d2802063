/**
 * The table of kinds of facts: what each belongs to and points at, what becomes of it when that goes, and how many
 * there may be.
 */
import type { FactList, FactOf } from './home-facts';

/** A field of a fact that holds the key of another. */
export interface Link<L extends FactList = FactList> {
  readonly field: keyof FactOf[L] & string;
  readonly to: FactList;
  /**
   * What becomes of the fact when what it points at is taken out: it goes too, its field is cleared, or it stays as
   * it is, since it tells of something that was.
   */
  readonly whenGone: 'goes-too' | 'cleared' | 'stays';
}

export interface Kind<L extends FactList = FactList> {
  /** What it is called when one is meant. */
  readonly noun: string;
  /** What it is part of, where that is not the home itself. */
  readonly owner: Link<L> | null;
  readonly links: readonly Link<L>[];
  /** How many of it one home may have. */
  readonly limit: number;
}

const partOf = <L extends FactList>(field: keyof FactOf[L] & string, to: FactList): Link<L> => ({
  field,
  to,
  whenGone: 'goes-too',
});

const pointsAt = <L extends FactList>(
  field: keyof FactOf[L] & string,
  to: FactList,
  whenGone: Link['whenGone'],
): Link<L> => ({ field, to, whenGone });

/** In the order in which facts may be written: what is pointed at comes first. */
export const KINDS: { readonly [L in FactList]: Kind<L> } = {
  rooms: { noun: 'room', owner: null, links: [pointsAt('insideRoomId', 'rooms', 'goes-too')], limit: 40 },
  windows: { noun: 'window', owner: partOf('roomId', 'rooms'), links: [], limit: 200 },
  stands: { noun: 'stand', owner: partOf('roomId', 'rooms'), links: [], limit: 200 },
  tiers: { noun: 'tier', owner: partOf('standId', 'stands'), links: [], limit: 600 },
  spots: { noun: 'spot', owner: partOf('tierId', 'tiers'), links: [], limit: 2000 },
  supplies: { noun: 'electrical circuit', owner: null, links: [], limit: 50 },
  circuits: { noun: 'timer', owner: null, links: [pointsAt('supplyId', 'supplies', 'cleared')], limit: 100 },
  photometries: { noun: 'lamp file', owner: null, links: [], limit: 20 },
  lamps: {
    noun: 'lamp',
    owner: partOf('tierId', 'tiers'),
    links: [pointsAt('circuitId', 'circuits', 'goes-too'), pointsAt('photometryId', 'photometries', 'cleared')],
    limit: 500,
  },
  plants: { noun: 'plant', owner: null, links: [pointsAt('spotId', 'spots', 'cleared')], limit: 5000 },
  air: { noun: 'statement of the air', owner: partOf('roomId', 'rooms'), links: [], limit: 480 },
  ownTaxa: { noun: 'taxon of your own', owner: null, links: [], limit: 3000 },
  corrections: {
    noun: 'correction',
    owner: null,
    links: [pointsAt('plantId', 'plants', 'goes-too')],
    limit: 20_000,
  },
  obstructions: { noun: 'thing outside', owner: partOf('roomId', 'rooms'), links: [], limit: 200 },
  blocks: { noun: 'solid thing', owner: partOf('roomId', 'rooms'), links: [], limit: 400 },
  weathers: { noun: 'weather file', owner: null, links: [], limit: 1 },
  // A reading outlives its spot: it was taken, whatever has been moved since.
  readings: { noun: 'reading', owner: null, links: [pointsAt('spotId', 'spots', 'stays')], limit: 2000 },
  outcomes: {
    noun: 'outcome',
    owner: null,
    links: [pointsAt('plantId', 'plants', 'stays'), pointsAt('spotId', 'spots', 'stays')],
    limit: 5000,
  },
  climates: { noun: 'heating and airing', owner: partOf('roomId', 'rooms'), links: [], limit: 40 },
  airThings: { noun: 'thing that changes the air', owner: partOf('roomId', 'rooms'), links: [], limit: 400 },
  doorways: {
    noun: 'doorway',
    owner: partOf('roomId', 'rooms'),
    links: [pointsAt('toRoomId', 'rooms', 'goes-too')],
    limit: 100,
  },
  learntAir: { noun: 'correction learnt of a room', owner: partOf('roomId', 'rooms'), links: [], limit: 40 },
  spotAir: { noun: 'measured air of a spot', owner: partOf('spotId', 'spots'), links: [], limit: 4800 },
  tariffs: { noun: 'price of electricity', owner: null, links: [], limit: 24 },
  planSettings: { noun: 'setting of the plan', owner: null, links: [], limit: 1 },
  wishes: {
    noun: 'wish',
    owner: null,
    links: [
      pointsAt('plantId', 'plants', 'goes-too'),
      pointsAt('spotId', 'spots', 'goes-too'),
      pointsAt('standId', 'stands', 'goes-too'),
    ],
    limit: 5000,
  },
  plans: { noun: 'plan', owner: null, links: [], limit: 200 },
  planSteps: {
    noun: 'step of a plan',
    owner: partOf('planId', 'plans'),
    links: [
      pointsAt('plantId', 'plants', 'goes-too'),
      pointsAt('spotId', 'spots', 'goes-too'),
      // It tells where a plant was, whatever has been taken out since.
      pointsAt('fromSpotId', 'spots', 'stays'),
      pointsAt('circuitId', 'circuits', 'goes-too'),
      pointsAt('lampId', 'lamps', 'goes-too'),
    ],
    limit: 20_000,
  },
};

export const FACT_LISTS = Object.keys(KINDS) as FactList[];

/** Every link of a kind, its owner's first. */
export function linksOf(list: FactList): readonly Link[] {
  const { owner, links } = KINDS[list] as Kind;
  return owner ? [owner, ...links] : links;
}
