/** What a grower keeps that the catalogue does not hold. */

/** A taxon of the grower's own: as another one or a group, until corrections say otherwise. */
export interface OwnTaxon {
  readonly id: string;
  readonly homeId: string;
  readonly name: string;
  readonly common: readonly string[];
  readonly synonyms: readonly string[];
  /** Key of the catalogue's taxon or group (`group-aroids`) whose figures it starts from. */
  readonly basedOn: string;
  /** What decides success with it. */
  readonly key: string;
}
