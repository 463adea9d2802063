/**
 * What is known of a plant or a taxon of this home: the catalogue's figures with the grower's own knowledge over them.
 */
import { inOrder, mixOf, withTraits, yearTargets, type Target } from '../plant';
import { FIGURES, inferredFrom, withFigure, wrongOrder, type Taxon } from '../taxon';
import type { Correction, Home, HomeFacts, Outcome, OwnTaxon, Plant } from '../facts';
import type { Knowledge } from './knowledge';
import { withOutcomes } from './outcomes';

/** Keys of groups, which stand for a plant whose name is not known, begin with this. */
export const GROUP_PREFIX = 'group-';
/** Keys of a grower's own taxa begin with this. */
export const OWN_PREFIX = 'own-';

export interface Known {
  readonly taxon: Taxon;
  /** The figures before the grower's corrections and what was seen of the plant. */
  readonly before: Taxon;
  readonly origin: 'catalogue' | 'group' | 'own' | 'mix';
  readonly corrections: readonly Correction[];
  /** Rules that moved figures, in words. */
  readonly rules: readonly string[];
}

const ownById = new WeakMap<readonly OwnTaxon[], Map<string, OwnTaxon>>();

/** Looked up thousands of times over one list of facts, which never changes in place. */
function ownTaxon(facts: HomeFacts, id: string): OwnTaxon | null {
  let index = ownById.get(facts.ownTaxa);
  if (!index) ownById.set(facts.ownTaxa, (index = new Map(facts.ownTaxa.map((own) => [own.id, own]))));
  return index.get(id) ?? null;
}

/** A taxon by key: of the catalogue, a group there, or the grower's own; with corrections. Null when there is none. */
export function knownTaxon(facts: HomeFacts, taxonId: string, knowledge: Knowledge): Known | null {
  const own = ownTaxon(facts, taxonId);
  const base = knowledge.taxon(own ? own.basedOn : taxonId);
  if (!base) return null;
  const before: Taxon = own ? asOwn(base, own) : base;
  const corrections = facts.corrections.filter((correction) => correction.taxonId === taxonId);
  const origin = own ? 'own' : taxonId.startsWith(GROUP_PREFIX) ? 'group' : 'catalogue';
  return { ...corrected(before, corrections), before, origin, corrections };
}

/** What is known of one plant: its taxon or its parents' mix, its own corrections, its traits. */
export function knownPlant(facts: HomeFacts, plant: Plant, knowledge: Knowledge): Known | null {
  const base =
    plant.parents.length > 0 ? mixedParents(facts, plant, knowledge) : knownTaxon(facts, plant.taxonId, knowledge);
  if (!base) return null;
  const own = facts.corrections.filter((correction) => correction.plantId === plant.id);
  const after = corrected(base.taxon, own);
  const traced = withTraits(after.taxon, plant.traits);
  const seen = withOutcomes(traced.taxon, outcomesOf(facts, plant));
  return {
    taxon: seen.taxon,
    before: base.before,
    origin: base.origin,
    corrections: [...base.corrections, ...own],
    rules: [...base.rules, ...after.rules, ...traced.rules, ...seen.rules],
  };
}

interface OutcomeIndex {
  readonly wellByPlant: Map<string, Outcome[]>;
  readonly diedByTaxon: Map<string, Outcome[]>;
}

const outcomeIndexes = new WeakMap<readonly Outcome[], OutcomeIndex>();

/** Looked up for each plant of a home over one list of outcomes, which never changes in place. */
function indexOf(outcomes: readonly Outcome[]): OutcomeIndex {
  let index = outcomeIndexes.get(outcomes);
  if (index) return index;
  index = { wellByPlant: new Map(), diedByTaxon: new Map() };
  for (const outcome of outcomes) {
    const [map, key] =
      outcome.kind === 'well' ? [index.wellByPlant, outcome.plantId] : [index.diedByTaxon, outcome.taxonId];
    const held = map.get(key);
    if (held) held.push(outcome);
    else map.set(key, [outcome]);
  }
  outcomeIndexes.set(outcomes, index);
  return index;
}

/** What tells of a plant's needs: how it was seen itself, and deaths of others of its kind; oldest first. */
export function outcomesOf({ outcomes }: HomeFacts, plant: Pick<Plant, 'id' | 'taxonId'>): readonly Outcome[] {
  const { wellByPlant, diedByTaxon } = indexOf(outcomes);
  const told = [...(diedByTaxon.get(plant.taxonId) ?? []), ...(wellByPlant.get(plant.id) ?? [])];
  return told.length === 0 ? told : told.sort((p, q) => (p.on < q.on ? -1 : 1));
}

function mixedParents(facts: HomeFacts, plant: Plant, knowledge: Knowledge): Known | null {
  const parts = plant.parents.flatMap(({ taxonId, share }) => {
    const known = knownTaxon(facts, taxonId, knowledge);
    return known ? [{ known, taxon: known.taxon, share }] : [];
  });
  if (parts.length === 0) return null;
  const taxon = mixOf(parts, mixName(parts.map((part) => part.taxon.name)), `mix-${plant.id}`);
  const words = parts.map((part) => `${Math.round(part.share * 100)} % ${part.taxon.name}`).join(', ');
  const unnamed = parts.length < plant.parents.length ? '; a parent that is not known is left out' : '';
  return {
    taxon,
    before: taxon,
    origin: 'mix',
    corrections: parts.flatMap((part) => part.known.corrections),
    rules: [`A mix of its parents: ${words}${unnamed}`],
  };
}

/** "Hybrid of A and B". */
export const mixName = (names: readonly string[]) =>
  names.length === 1 ? names[0]! : `Hybrid of ${names.slice(0, -1).join(', ')} and ${names[names.length - 1]!}`;

/** An own taxon begins as its base does, but what harm it can do is nobody's knowledge until it is known. */
function asOwn(base: Taxon, own: OwnTaxon): Taxon {
  return {
    ...inferredFrom(base),
    id: own.id,
    name: own.name,
    common: own.common.length > 0 ? own.common : [own.name],
    synonyms: own.synonyms,
    cultivars: [],
    key: own.key || base.key,
    hazard: {
      people: 'unknown',
      cats: 'unknown',
      dogs: 'unknown',
      birds: 'unknown',
      smallMammals: 'unknown',
      sapOnSkin: 'unknown',
      sapInEyes: 'unknown',
      spines: base.hazard.spines,
    },
  };
}

function corrected(
  taxon: Taxon,
  corrections: readonly Correction[],
): { readonly taxon: Taxon; readonly rules: readonly string[] } {
  let changed = taxon;
  for (const { figure, value } of corrections) changed = withFigure(changed, figure, value);
  const rules = corrections.map(({ figure, reason }) => `Your correction of “${FIGURES[figure].label}”: ${reason}`);
  const crossed = wrongOrder(changed);
  if (!crossed) return { taxon: changed, rules };
  return {
    taxon: inOrder(changed),
    rules: [
      ...rules,
      `Your figures cross: “${FIGURES[crossed.upper].label}” was lifted to “${FIGURES[crossed.lower].label}”`,
    ],
  };
}

/** A plant's targets through a year, January first; none when nothing is known of it. */
export function plantTargets(facts: HomeFacts, plant: Plant, knowledge: Knowledge, year: number): Target[] {
  const known = knownPlant(facts, plant, knowledge);
  if (!known) return [];
  const targets = yearTargets(plant, known.taxon, { ...waysOf(facts.home, plant), year });
  return known.rules.length === 0
    ? targets
    : targets.map((target) => ({ ...target, rules: [...known.rules, ...target.rules] }));
}

/** How a plant is grown: its own school of rest before the home's. */
export function waysOf(home: Home, plant: Pick<Plant, 'restSchool'> | null) {
  return { latitude: home.latitude, school: plant?.restSchool ?? home.restSchool, aim: home.lightAim };
}
