/** A plant without a label: from what can be seen of it to the groups it may belong to. */
import type { TaxonGroup } from './groups';

/** What anyone can see, in the words they would use. */
export const VISIBLE_TRAITS = {
  'thick-leaf': 'Thick or fleshy leaves',
  'thin-leaf': 'Thin, soft leaves',
  felted: 'Felted, hairy or woolly',
  patterned: 'Patterned leaves',
  variegated: 'White or yellow patches on the leaves',
  silvered: 'Silver-grey all over',
  powdery: 'A powdery bloom that rubs off',
  spines: 'Spines or thorns',
  'leafless-stem': 'Green stems, no real leaves',
  jointed: 'Flat stems in joints',
  'round-body': 'A round ribbed body',
  rosette: 'Leaves in a rosette',
  tank: 'Holds water in its middle',
  climbs: 'Climbs or twines',
  trails: 'Trails or creeps',
  'big-leaf': 'Leaves larger than a hand',
  'strap-leaf': 'Long strap leaves',
  pseudobulb: 'Swollen green bulbs above the soil',
  'air-roots': 'Thick roots in the air',
  bulb: 'A bulb or tuber below',
  'swollen-stem': 'A swollen foot or trunk',
  woody: 'A woody stem',
  'palm-fan': 'Fans or feathers from one crown',
  fronds: 'Fronds that unroll',
  traps: 'Pitchers, traps or sticky leaves',
  'milky-sap': 'Milky sap when cut',
  'fragrant-leaf': 'Leaves smell when rubbed',
  'stone-like': 'Looks like a stone',
  'flat-mat': 'A flat low mat',
  'no-soil': 'Lives without soil',
  'no-roots': 'No roots at all',
} as const;
export type VisibleTrait = keyof typeof VISIBLE_TRAITS;

/** Where on the plant each is looked for. */
export const TRAITS_BY_PART = {
  leaves: [
    'thick-leaf',
    'thin-leaf',
    'felted',
    'patterned',
    'variegated',
    'silvered',
    'powdery',
    'big-leaf',
    'strap-leaf',
    'fronds',
    'fragrant-leaf',
  ],
  shape: ['rosette', 'tank', 'palm-fan', 'climbs', 'trails', 'flat-mat', 'round-body', 'stone-like', 'traps'],
  stem: ['leafless-stem', 'jointed', 'spines', 'woody', 'swollen-stem', 'milky-sap'],
  roots: ['pseudobulb', 'bulb', 'air-roots', 'no-soil', 'no-roots'],
} as const satisfies Readonly<Record<string, readonly VisibleTrait[]>>;
export type SeenPart = keyof typeof TRAITS_BY_PART;

export interface LikelyGroup {
  readonly group: TaxonGroup;
  /** 0..1; those of all groups sum to 1. */
  readonly likelihood: number;
}

/** How often a trait is seen: of a group that shows it nearly always, of one in which some do, of any other. */
const OFTEN = 0.8;
const SOMETIMES = 0.3;
const SELDOM = 0.04;

/**
 * Weighs the groups by what was seen, each trait for itself (naive Bayes, all groups alike before). Only what is seen
 * counts: what was not ticked may just not have been looked for.
 * @returns most likely first; all alike when nothing was seen
 */
export function likelyGroups(seen: readonly VisibleTrait[], groups: readonly TaxonGroup[]): LikelyGroup[] {
  const weights = groups.map((group) =>
    seen.reduce(
      (weight, trait) =>
        weight * (group.seen.often.includes(trait) ? OFTEN : group.seen.sometimes.includes(trait) ? SOMETIMES : SELDOM),
      1,
    ),
  );
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  return groups
    .map((group, i) => ({ group, likelihood: weights[i]! / total }))
    .sort((p, q) => q.likelihood - p.likelihood);
}

/** Groups less likely than this share of the likeliest are left out of the safe target. */
const WORTH_A_SHARE = 0.25;
const MOST_GROUPS = 3;

/** The groups that a plant without a name is planned from, with their shares. */
export function plausibleGroups(likely: readonly LikelyGroup[]): LikelyGroup[] {
  const best = likely[0]?.likelihood ?? 0;
  const kept = likely.filter(({ likelihood }) => likelihood >= best * WORTH_A_SHARE).slice(0, MOST_GROUPS);
  const total = kept.reduce((sum, { likelihood }) => sum + likelihood, 0);
  return kept.map(({ group, likelihood }) => ({ group, likelihood: likelihood / total }));
}
