/** What came of plants overrules what their kind is said to need: within limits, and visibly. */
import type { Outcome } from '../facts';
import { REFERENCE_C, RESPIRATION_Q10, WEEKS_A_MONTH, balance, reserveOfBalance, weeksOnReserve } from '../fit';
import { inOrder } from '../plant';
import { DAY_MS } from '../units';
import type { Taxon } from '../taxon';

/** No outcome moves what a plant needs to less than half or more than twice of what its kind is said to. */
const LEAST_FACTOR = 0.5;
const MOST_FACTOR = 2;
/** A leaf that was well in brighter hours is taken to tolerate them, up to so many times what its kind does. */
const MOST_PEAK_FACTOR = 1.5;
/** A plant that is well has used no more than this share of its reserve. */
const WELL_SHARE = 0.5;
/** And does not stand at the edge of it: it would be well with so much less light, too. */
const WELL_MARGIN = 1.1;
/** A death that comes so much later than computed is still the one computed. */
const DEATH_SPREAD = 1.25;
const BISECTIONS = 12;

const weeksOf = ({ since, on }: Pick<Outcome, 'since' | 'on'>): number =>
  (Date.parse(on) - Date.parse(since)) / (7 * DAY_MS);

/** Weeks that a plant would live on what it got if it needed `factor` times the light. */
function weeksAt(light: Taxon['light'], { dli, meanC, since }: Outcome, factor: number): number | null {
  const changes = dli.map((mol, i) => {
    const needed = factor * light.survives * RESPIRATION_Q10 ** ((meanC[i]! - REFERENCE_C) / 10);
    return reserveOfBalance(balance(mol, needed, factor * light.thrivesFrom));
  });
  return weeksOnReserve(changes, light.reserveWeeks, Number(since.slice(5, 7)));
}

/** The factor nearest to 1 on the way to a limit at which what was seen is what would be computed; null where not even the limit does. */
function nearestFactor(limit: number, explains: (factor: number) => boolean): number | null {
  if (explains(1)) return 1;
  if (!explains(limit)) return null;
  let [no, yes] = [1, limit];
  for (let i = 0; i < BISECTIONS; i++) {
    const middle = Math.sqrt(no * yes);
    if (explains(middle)) yes = middle;
    else no = middle;
  }
  return yes;
}

function factorOf(light: Taxon['light'], outcome: Outcome): number {
  const seen = weeksOf(outcome);
  if (outcome.kind === 'well') {
    const isWell = (factor: number) => {
      const weeks = weeksAt(light, outcome, factor * WELL_MARGIN);
      return weeks === null || seen <= weeks * WELL_SHARE;
    };
    return nearestFactor(LEAST_FACTOR, isWell) ?? LEAST_FACTOR;
  }
  // What died of something else tells nothing of the light it needs.
  return (
    nearestFactor(MOST_FACTOR, (factor) => (weeksAt(light, outcome, factor) ?? Infinity) <= seen * DEATH_SPREAD) ?? 1
  );
}

const spanWords = (weeks: number) =>
  weeks < 2 * WEEKS_A_MONTH
    ? `${Math.round(weeks)} weeks`
    : weeks < 78
      ? `${Math.round(weeks / WEEKS_A_MONTH)} months`
      : `${(weeks / 52.18).toFixed(1)} years`;

const lightWords = (dli: readonly number[]) =>
  `${Math.min(...dli).toFixed(2)} to ${Math.max(...dli).toFixed(2)} mol a day`;

/**
 * A taxon as outcomes show it: what it survives, keeps its form and thrives by moves together, as far as needed and no
 * further than half or twice; what it was well in at its brightest it tolerates.
 * @param outcomes those that tell of this plant, oldest first; the newest that says something of a figure rules
 */
export function withOutcomes(
  taxon: Taxon,
  outcomes: readonly Outcome[],
): { readonly taxon: Taxon; readonly rules: readonly string[] } {
  let changed = taxon;
  const rules: string[] = [];
  for (const outcome of outcomes) {
    const factor = factorOf(taxon.light, outcome);
    const { light } = taxon;
    const brightest = outcome.kind === 'well' ? Math.max(...outcome.peakPpfd) : 0;
    const peakPpfd = Math.max(light.peakPpfd, Math.min(light.peakPpfd * MOST_PEAK_FACTOR, brightest));
    const told = `${outcome.kind === 'well' ? 'You saw it well' : 'One died here'} after ${spanWords(weeksOf(outcome))} in ${lightWords(outcome.dli)}`;
    if (factor !== 1) {
      changed = {
        ...changed,
        light: {
          ...changed.light,
          survives: light.survives * factor,
          keepsForm: light.keepsForm * factor,
          thrivesFrom: light.thrivesFrom * factor,
        },
      };
      rules.push(`${told}: it is taken to need ${factor.toFixed(2)} times the light of its kind`);
    }
    if (peakPpfd > light.peakPpfd) {
      changed = { ...changed, light: { ...changed.light, peakPpfd } };
      rules.push(`${told}: its leaves are taken to tolerate ${Math.round(peakPpfd)} µmol/m²s`);
    }
    if (factor === 1 && peakPpfd === light.peakPpfd)
      rules.push(outcome.kind === 'well' ? `${told}, as computed` : `${told}: its light does not explain that`);
  }
  return { taxon: inOrder(changed), rules };
}
