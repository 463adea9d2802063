/** What lies in a plant's nature and holds all year: how it keeps water, form and season, and what makes it flower. */
import type { BloomHabit, DayNeed, Taxon } from '../taxon';
import { storesWater } from './stage';

export interface Nature {
  readonly storesWater: boolean;
  /** Form that it loses by stretching does not grow back. */
  readonly growsCompact: boolean;
  /** Without a cold winter it weakens over two or three years. */
  readonly needsWinter: boolean;
  /** What it flowers by; null where it hardly flowers indoors. */
  readonly flowers: FlowerNeed | null;
}

/** What a taxon flowers by, on the calendar of its home. */
export interface FlowerNeed {
  readonly setBy: BloomHabit['setBy'];
  readonly day: Pick<DayNeed, 'kind' | 'criticalNightH' | 'inductionWeeks'>;
  /** Nights no warmer than this set buds, C: what it rests at, else the cool end of what it grows in. */
  readonly coolNightC: number;
}

/** Habits in which a plant that stores water is spoilt for good when it stretches. */
const COMPACT: ReadonlySet<Taxon['care']['habit']> = new Set(['rosette', 'stone']);
/** Nights a little above the coolest it grows in still count as cool, K. */
const COOL_ABOVE_K = 2;

export function natureOf(taxon: Taxon): Nature {
  const { care, rest, bloom, day, warmth } = taxon;
  const stores = storesWater(taxon);
  return {
    storesWater: stores,
    growsCompact: stores && COMPACT.has(care.habit),
    needsWinter: rest.needsWinter,
    flowers:
      bloom.months.length === 0
        ? null
        : {
            // What never rests needs no dry rest for its flowers, whatever its relatives need.
            setBy: rest.trigger === 'none' ? bloom.setBy.filter((setter) => setter !== 'dry-rest') : bloom.setBy,
            day: { kind: day.kind, criticalNightH: day.criticalNightH, inductionWeeks: day.inductionWeeks },
            coolNightC: Math.max(rest.nightC ?? -Infinity, warmth.nightFrom) + COOL_ABOVE_K,
          },
  };
}
