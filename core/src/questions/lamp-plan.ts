/** Height and hours of a tier's lamps together: what the plants on its spots get, how evenly, and for how much burning. */
import type { HomeFacts, Tier } from '../facts';
import type { HomeEngine, Steps } from '../home';
import { MOL_PER_UMOL_HOUR } from '../units';
import { hangingRange, hoursFor, tierLight } from './tier-light';

/** What the hours are worked out for: the spot that gets least, or the mean of all. */
export type LampAim = 'least' | 'mean';

export interface LampWish {
  /** Month (1..12) whose daylight counts. */
  readonly month: number;
  readonly wantedDli: number;
  readonly peakPpfd: number;
  readonly aim: LampAim;
}

/** One way to hang the lamps of a tier and to burn them. */
export interface HangingHeight {
  readonly aboveM: number;
  /** PPFD of lamps at the middle of the leaves over the spots (over the board where it has none), umol m-2 s-1. */
  readonly least: number;
  readonly mean: number;
  /** At the tops of the plants. */
  readonly most: number;
  /** Least over mean, 0..1. */
  readonly uniformity: number;
  /** Hours a day that the wanted DLI takes on top of daylight and of lamps on other timers. */
  readonly hours: number;
  /** What each spot then gets in the month, mol m-2 d-1. */
  readonly spots: readonly { readonly spotId: string; readonly dli: number }[];
  /** Why it will not do. */
  readonly refusal: 'too-bright' | 'too-long' | 'in-the-plants' | null;
}

export interface LampPlan {
  readonly heights: readonly HangingHeight[];
  /** Index of the height that burns least for what it gives, unevenness counted against it; null when none will do. */
  readonly best: number | null;
}

/** Longest day that is asked of a timer: plants need a night. */
export const LONGEST_LAMP_DAY_H = 16;

const HEIGHTS = 10;

/** An hour saved is worth as much as this much more evenness, as a share: light that falls beside the plants is lost. */
export const EVENNESS_WEIGHT = 0.5;

/**
 * Heights at which the lamps of a tier may hang, from low to high, each with the hours that bring the wanted DLI to its
 * spots. Every spot is judged at its own plant's heights, and no lamp is hung into a plant while a higher place is free.
 */
export function* lampPlan(
  engine: HomeEngine,
  facts: HomeFacts,
  { tierId, wish, year }: { readonly tierId: string; readonly wish: LampWish; readonly year: number },
): Steps<LampPlan | null> {
  const tier = facts.tiers.find((candidate) => candidate.id === tierId);
  const lamps = facts.lamps.filter((lamp) => lamp.tierId === tierId);
  if (!tier || lamps.length === 0) return null;
  const { clear, top } = hangingRange(facts, tier);
  const lowest = Math.min(clear, top);
  const heights: HangingHeight[] = [];
  for (let i = 0; i < HEIGHTS; i++) {
    yield i / HEIGHTS;
    const aboveM = Math.round((lowest + ((top - lowest) * i) / (HEIGHTS - 1)) * 100) / 100;
    if (heights.some((height) => height.aboveM === aboveM)) continue;
    const height = hung(engine, facts, { tier, aboveM, wish, year });
    heights.push(aboveM < clear - 0.005 ? { ...height, refusal: 'in-the-plants' } : height);
  }
  return { heights, best: bestOf(heights) };
}

function bestOf(heights: readonly HangingHeight[]): number | null {
  const cost = ({ hours, uniformity }: HangingHeight) => hours * (1 + EVENNESS_WEIGHT * (1 - uniformity));
  const good = heights.map((height, i) => ({ height, i })).filter(({ height }) => height.refusal === null);
  if (good.length === 0) return null;
  return good.reduce((p, q) => (cost(q.height) < cost(p.height) - 1e-9 ? q : p)).i;
}

interface Hanging {
  readonly tier: Tier;
  readonly aboveM: number;
  readonly wish: LampWish;
  readonly year: number;
}

/** What the places of a tier get with its lamps at one height. */
function hung(engine: HomeEngine, facts: HomeFacts, { tier, aboveM, wish, year }: Hanging): HangingHeight {
  const moved = { ...facts, lamps: facts.lamps.map((lamp) => (lamp.tierId === tier.id ? { ...lamp, aboveM } : lamp)) };
  const timers = new Set(facts.lamps.filter((lamp) => lamp.tierId === tier.id).map(({ circuitId }) => circuitId));
  const lit = tierLight(engine, moved, { tier, year, isOwn: ({ circuit }) => timers.has(circuit.id) }).map((place) => ({
    ...place,
    besides: place.besides[wish.month - 1]!,
  }));
  const mean = (of: (place: (typeof lit)[number]) => number) =>
    lit.reduce((sum, place) => sum + of(place), 0) / lit.length;
  const meanPpfd = mean(({ ppfd }) => ppfd);
  const least = Math.min(...lit.map(({ ppfd }) => ppfd));
  const most = Math.max(...lit.map(({ topPpfd }) => topPpfd));
  const hours =
    wish.aim === 'mean'
      ? hoursFor(
          wish.wantedDli,
          mean(({ besides }) => besides),
          meanPpfd,
        )
      : Math.max(...lit.map(({ ppfd, besides }) => hoursFor(wish.wantedDli, besides, ppfd)));
  return {
    aboveM,
    least,
    mean: meanPpfd,
    most,
    uniformity: meanPpfd > 0 ? least / meanPpfd : 0,
    hours,
    spots: lit.flatMap(({ spotId, ppfd, besides }) =>
      spotId === null ? [] : [{ spotId, dli: besides + ppfd * Math.min(hours, 24) * MOL_PER_UMOL_HOUR }],
    ),
    refusal: most > wish.peakPpfd ? 'too-bright' : hours > LONGEST_LAMP_DAY_H ? 'too-long' : null,
  };
}
