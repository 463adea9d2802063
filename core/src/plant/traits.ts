/** How what is seen of a plant shifts its needs against its taxon's: one stated rule for each trait. */
import type { Trait } from '../facts';
import { storesWater } from './stage';
import { RISING, figureOf, withFigure, type Figure, type Taxon } from '../taxon';

interface TraitRule {
  readonly word: string;
  readonly rule: string;
  /** Factors and additions by figure. */
  readonly times?: Partial<Record<Figure, number>>;
  readonly plus?: Partial<Record<Figure, number>>;
  /** Air must at least move this much. */
  readonly air?: 'gentle';
  /** Traits that cannot hold together with it. */
  readonly not: readonly Trait[];
  /** Whether the figures of a kind count it in already, because all of the kind look so. */
  readonly isKnownOf?: (taxon: Taxon) => boolean;
  /** Figures that it shifts only in plants of the shade: those of the sun get enough as they are. */
  readonly shadeOnly?: readonly Figure[];
}

/** A plant that thrives from less than this is one of the shade, mol a day. */
const SHADE_DLI = 8;
/** Kinds that bear this much at noon do so with a coat of wax or wool, umol m-2 s-1. */
const COATED_PEAK = 1300;

/** Common practice of growers; shown wherever a rule acts. */
export const TRAIT_RULES: Readonly<Record<Trait, TraitRule>> = {
  variegated: {
    word: 'Variegated',
    rule:
      'White or yellow parts: a plant of the shade needs a quarter more light, all tolerate less, and ' +
      'the white burns first',
    times: {
      'light.survives': 1.3,
      'light.thrivesFrom': 1.25,
      'light.thrivesTo': 0.9,
      'light.scorches': 0.8,
      'light.peakPpfd': 0.8,
      'light.sunHoursUsed': 0.6,
      'light.sunHoursFresh': 0.6,
    },
    shadeOnly: ['light.survives', 'light.thrivesFrom'],
    not: [],
  },
  'dark-leaved': {
    word: 'Dark red or nearly black leaves',
    rule: 'Dark leaves: they warm up in the sun and take in more of it, so they tolerate a sixth less at noon',
    times: { 'light.peakPpfd': 0.85, 'light.scorches': 0.9, 'light.sunHoursUsed': 0.8 },
    isKnownOf: ({ handling }) => handling.manners.includes('dark-leaved'),
    not: [],
  },
  felted: {
    word: 'Felted or hairy leaves',
    rule: 'Felted leaves: moist still air spots and rots them, so the air must move',
    plus: { 'moisture.tooMoistStill': -8 },
    air: 'gentle',
    isKnownOf: ({ water }) => water.wetLeaves === 'never',
    not: [],
  },
  silvered: {
    word: 'A white coat of wax, wool or scales',
    rule: 'A white coat throws light back: a sixth more at noon and half an hour more sun; silver in the leaf does not',
    times: { 'light.peakPpfd': 1.15, 'light.scorches': 1.1 },
    plus: { 'light.sunHoursUsed': 0.5 },
    isKnownOf: ({ light }) => light.peakPpfd >= COATED_PEAK,
    not: [],
  },
  'thick-leaved': {
    word: 'Thick, firm leaves',
    rule: 'Thick leaves: they hold water, so drier air and a drier pot will do',
    plus: { 'moisture.survives': -8, 'moisture.thrivesFrom': -8, 'care.waterAtShare': -0.1 },
    isKnownOf: storesWater,
    not: ['thin-leaved'],
  },
  'thin-leaved': {
    word: 'Thin, papery leaves',
    rule: 'Thin leaves: they dry at the edge, so the air must be 8 points moister and noon a tenth weaker',
    plus: { 'moisture.survives': 5, 'moisture.thrivesFrom': 8, 'care.waterAtShare': 0.1 },
    times: { 'light.peakPpfd': 0.9 },
    not: ['thick-leaved'],
  },
  mounted: {
    word: 'Mounted, without a pot',
    rule: 'Mounted: bare roots dry within a day, so the air must be 10 points moister and water come sooner',
    plus: { 'moisture.survives': 5, 'moisture.thrivesFrom': 10, 'care.waterAtShare': 0.2 },
    not: [],
  },
  'juvenile-leaf': {
    word: 'Still in its young leaf',
    rule: 'Young leaf form: a fifth less light and air 5 points moister than for its grown form',
    times: { 'light.survives': 0.8, 'light.thrivesFrom': 0.8, 'light.thrivesTo': 0.85, 'light.peakPpfd': 0.85 },
    plus: { 'moisture.thrivesFrom': 5 },
    not: ['mature-climbing'],
  },
  'mature-climbing': {
    word: 'Climbing, in its grown leaf',
    rule: 'Grown climbing form: its top leaves want a fifth more light, and it wants something to climb',
    times: { 'light.thrivesFrom': 1.2, 'light.thrivesTo': 1.1 },
    not: ['juvenile-leaf'],
  },
  brittle: {
    word: 'Brittle',
    rule: 'Brittle stems or leaves: they snap when brushed past, so a plan keeps it off stands that people pass closely',
    not: [],
  },
};

const CEILINGS: Partial<Record<Figure, number>> = {
  'moisture.survives': 85,
  'moisture.thrivesFrom': 92,
  'moisture.thrivesTo': 97,
  'moisture.tooMoistStill': 99,
  'care.waterAtShare': 0.9,
};

/** A taxon seen with traits: its figures shifted, kept in order, and the rules that did it. */
export function withTraits(
  taxon: Taxon,
  traits: readonly Trait[],
): { readonly taxon: Taxon; readonly rules: readonly string[] } {
  let shifted = taxon;
  const counted = traits.filter((trait) => !TRAIT_RULES[trait].isKnownOf?.(taxon));
  for (const trait of counted) {
    const { times = {}, plus = {}, air, shadeOnly = [] } = TRAIT_RULES[trait];
    for (const [figure, factor] of Object.entries(times) as [Figure, number][]) {
      if (taxon.light.thrivesFrom >= SHADE_DLI && shadeOnly.includes(figure)) continue;
      shifted = withFigure(shifted, figure, figureOf(shifted, figure) * factor);
    }
    for (const [figure, by] of Object.entries(plus) as [Figure, number][]) {
      const moved = Math.max(0, Math.min(CEILINGS[figure] ?? Infinity, figureOf(shifted, figure) + by));
      shifted = withFigure(shifted, figure, moved);
    }
    if (air && shifted.care.air === 'still') shifted = { ...shifted, care: { ...shifted.care, air } };
  }
  const rules = traits.map((trait) => {
    const { word, rule } = TRAIT_RULES[trait];
    return counted.includes(trait) ? rule : `${word}: its whole kind is so, and its figures count that in already`;
  });
  return { taxon: inOrder(shifted), rules };
}

/** Shifts may make bands cross: an upper figure is lifted to the one below it. */
export function inOrder(taxon: Taxon): Taxon {
  let ordered = taxon;
  for (const chain of RISING) {
    for (let i = 1; i < chain.length; i++) {
      const floor = figureOf(ordered, chain[i - 1]!);
      if (figureOf(ordered, chain[i]!) < floor) ordered = withFigure(ordered, chain[i]!, floor);
    }
  }
  return ordered;
}
