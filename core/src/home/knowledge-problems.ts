/** What cannot be true of a grower's own knowledge: corrections of nothing, parents that do not add up, names given twice. */
import { OWN_PREFIX } from './known';
import type { Correction, HomeFacts, OwnTaxon, Plant } from './facts';
import type { Problem } from './problem';

/** Shares are typed in whole per cent: thirds may miss the whole by this much. */
const SHARE_SLACK = 0.02;

/** Contradictions in own taxa, corrections and plants' parents. */
export function knowledgeProblems(facts: HomeFacts): Problem[] {
  const plants = new Set(facts.plants.map((plant) => plant.id));
  const names = new Map<string, string>();
  return [
    ...facts.ownTaxa.flatMap((own) => ownTaxonProblems(own, names)),
    ...facts.corrections.flatMap((correction) => correctionProblems(correction, plants)),
    ...facts.plants.flatMap(parentProblems),
  ];
}

function ownTaxonProblems(own: OwnTaxon, names: Map<string, string>): Problem[] {
  const at = (field: string, message: string): Problem => ({ list: 'ownTaxa', id: own.id, field, message });
  const folded = own.name.trim().toLowerCase();
  const other = names.get(folded);
  names.set(folded, own.id);
  if (other) return [at('name', `You already have a taxon of your own called ${own.name}.`)];
  return own.basedOn.startsWith(OWN_PREFIX)
    ? [at('basedOn', 'It must start from a taxon or a group of the catalogue, not from another of your own.')]
    : [];
}

function correctionProblems(correction: Correction, plants: ReadonlySet<string>): Problem[] {
  const at = (field: string, message: string): Problem => ({ list: 'corrections', id: correction.id, field, message });
  const { plantId, taxonId } = correction;
  if ((plantId === null) === (taxonId === null))
    return [at('taxonId', 'A correction is of one taxon or of one plant.')];
  return plantId !== null && !plants.has(plantId) ? [at('plantId', 'The plant it corrects is not there.')] : [];
}

function parentProblems(plant: Plant): Problem[] {
  const { parents } = plant;
  if (parents.length === 0) return [];
  const at = (message: string): Problem[] => [{ list: 'plants', id: plant.id, field: 'parents', message }];
  if (new Set(parents.map((parent) => parent.taxonId)).size < parents.length) return at('Each parent once.');
  const sum = parents.reduce((total, { share }) => total + share, 0);
  return Math.abs(sum - 1) > SHARE_SLACK
    ? at(`The parents’ shares must add up to 100 %; now they make ${Math.round(sum * 100)} %.`)
    : [];
}
