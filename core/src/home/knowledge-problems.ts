/** What cannot be true of a grower's own knowledge: corrections of nothing, parents that do not add up, names given twice. */
import { OWN_PREFIX } from './known';
import type { Correction, FactList, HomeFacts, OwnTaxon, Plant, Problem } from '../facts';

/** Shares are typed in whole per cent: thirds may miss the whole by this much. */
const SHARE_SLACK = 0.02;

/** Contradictions in own taxa, corrections and plants' parents; of all, or of the facts named alone. */
export function knowledgeProblems(facts: HomeFacts, only?: ReadonlyMap<FactList, ReadonlySet<string>>): Problem[] {
  const asked = <T extends { readonly id: string }>(list: FactList, entries: readonly T[]) =>
    only ? entries.filter((entry) => only.get(list)?.has(entry.id)) : entries;
  const owns = asked('ownTaxa', facts.ownTaxa);
  const names = new Map(owns.length > 0 ? [...facts.ownTaxa].reverse().map((own) => [foldedName(own), own.id]) : []);
  return [
    ...owns.flatMap((own) => ownTaxonProblems(own, names)),
    ...asked('corrections', facts.corrections).flatMap(correctionProblems),
    ...asked('plants', facts.plants).flatMap(parentProblems),
  ];
}

const foldedName = (own: OwnTaxon) => own.name.trim().toLowerCase();

function ownTaxonProblems(own: OwnTaxon, names: ReadonlyMap<string, string>): Problem[] {
  const at = (field: string, message: string): Problem => ({ list: 'ownTaxa', id: own.id, field, message });
  if (names.get(foldedName(own)) !== own.id)
    return [at('name', `You already have a taxon of your own called ${own.name}.`)];
  return own.basedOn.startsWith(OWN_PREFIX)
    ? [at('basedOn', 'It must start from a taxon or a group of the catalogue, not from another of your own.')]
    : [];
}

function correctionProblems(correction: Correction): Problem[] {
  const at = (field: string, message: string): Problem => ({ list: 'corrections', id: correction.id, field, message });
  const { plantId, taxonId } = correction;
  if ((plantId === null) === (taxonId === null))
    return [at('taxonId', 'A correction is of one taxon or of one plant.')];
  return [];
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
