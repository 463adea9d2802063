/** What is missing of a collection: facts that would make answers surer, as a short list of questions. */
import type { HomeFacts, Plant } from '../facts';
import { GROUP_PREFIX, knownPlant } from './known';
import type { Knowledge } from './knowledge';
import { PASSING_STAGES, SEEN_RULES_MONTHS, stageSeen } from '../plant';

export type Missing = 'name' | 'known-taxon' | 'spot' | 'settled' | 'stage' | 'state' | 'pot' | 'height' | 'hazard';

export interface MissingFact {
  readonly plantId: string;
  readonly missing: Missing;
}

/** In the order in which an answer helps most. */
const ORDER: readonly Missing[] = [
  'known-taxon',
  'name',
  'spot',
  'settled',
  'stage',
  'state',
  'hazard',
  'pot',
  'height',
];

const WEEK_MS = 7 * 86_400_000;
const MONTH_MS = 30.4 * 86_400_000;

/**
 * Open questions about a home's plants, the most useful first.
 * @param nowMs UTC epoch milliseconds
 */
export function missingFacts(facts: HomeFacts, knowledge: Knowledge, nowMs: number): MissingFact[] {
  const asked = facts.plants.flatMap((plant) =>
    missingOf(facts, plant, knowledge, nowMs).map((missing) => ({ plantId: plant.id, missing })),
  );
  return asked.sort((p, q) => ORDER.indexOf(p.missing) - ORDER.indexOf(q.missing));
}

function missingOf(facts: HomeFacts, plant: Plant, knowledge: Knowledge, nowMs: number): Missing[] {
  const known = knownPlant(facts, plant, knowledge);
  const since = (date: string | null) => (date === null ? null : nowMs - Date.parse(`${date}T00:00:00Z`));
  const seen = since(plant.stateSeenOn);
  const staged = since(stageSeen(plant));
  const missing: Missing[] = [];
  if (!known) missing.push('known-taxon');
  if (plant.taxonId.startsWith(GROUP_PREFIX)) missing.push('name');
  else if (known && known.taxon.hazard.people === 'unknown') missing.push('hazard');
  if (plant.spotId === null) missing.push('spot');
  const passes = PASSING_STAGES[plant.stage];
  if (passes && (staged === null || staged > passes.weeks * WEEK_MS))
    missing.push(plant.stage === 'just-arrived' ? 'settled' : 'stage');
  if (plant.growthState !== 'by-season' && (seen === null || seen > SEEN_RULES_MONTHS * MONTH_MS))
    missing.push('state');
  if (plant.potCm === null && !plant.traits.includes('mounted')) missing.push('pot');
  if (plant.heightCm === null) missing.push('height');
  return missing;
}
