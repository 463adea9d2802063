/** The groups of the catalogue with their profiles and taxa: a taxon states what differs from its group's profile. */
import { HARMS, KNOWN_BLOCKS, type Harm, type Hazard, type KnownBlock, type Parent, type Taxon } from '@dulvan/core';
import airPlants from '../data/groups/air-plants.json';
import aroids from '../data/groups/aroids.json';
import begonias from '../data/groups/begonias.json';
import bromeliads from '../data/groups/bromeliads.json';
import bulbs from '../data/groups/bulbs.json';
import butterworts from '../data/groups/butterworts.json';
import carnivoresHighland from '../data/groups/carnivores-highland.json';
import carnivoresLowland from '../data/groups/carnivores-lowland.json';
import carnivoresTemperate from '../data/groups/carnivores-temperate.json';
import caudex from '../data/groups/caudex.json';
import citrusFruit from '../data/groups/citrus-fruit.json';
import desertCacti from '../data/groups/desert-cacti.json';
import euphorbias from '../data/groups/euphorbias.json';
import ferns from '../data/groups/ferns.json';
import figs from '../data/groups/figs.json';
import flowering from '../data/groups/flowering.json';
import foliage from '../data/groups/foliage.json';
import forestCacti from '../data/groups/forest-cacti.json';
import gesneriads from '../data/groups/gesneriads.json';
import herbs from '../data/groups/herbs.json';
import hoyas from '../data/groups/hoyas.json';
import livingStones from '../data/groups/living-stones.json';
import mosses from '../data/groups/mosses.json';
import orchidsCool from '../data/groups/orchids-cool.json';
import orchidsIntermediate from '../data/groups/orchids-intermediate.json';
import orchidsTerrestrial from '../data/groups/orchids-terrestrial.json';
import orchidsWarm from '../data/groups/orchids-warm.json';
import palms from '../data/groups/palms.json';
import peperomias from '../data/groups/peperomias.json';
import prayerPlants from '../data/groups/prayer-plants.json';
import succulents from '../data/groups/succulents.json';
import terrarium from '../data/groups/terrarium.json';
import trailers from '../data/groups/trailers.json';
import type { VisibleTrait } from './visible-traits';

/** The figures of a taxon in blocks; a taxon may leave out whole blocks and single figures. */
export type Profile = Pick<Taxon, KnownBlock | 'hazard'>;

type Differences = { readonly [Block in keyof Profile]?: Partial<Profile[Block]> };

export interface TaxonRow {
  readonly id: string;
  readonly name: string;
  readonly common: readonly string[];
  readonly synonyms: readonly string[];
  readonly cultivars: readonly string[];
  readonly parents?: readonly Parent[];
  readonly key: string;
  /** Where a figure differs from what most would say: why. */
  readonly why?: string;
  readonly figures: Differences;
}

export interface TaxonGroup {
  readonly id: string;
  readonly name: string;
  /** How it is known at a glance, in plain words. */
  readonly plain: string;
  /** What is seen of its members: nearly always, or of some. */
  readonly seen: { readonly often: readonly VisibleTrait[]; readonly sometimes: readonly VisibleTrait[] };
  readonly profile: Profile;
  readonly taxa: readonly TaxonRow[];
}

export const groups = [
  aroids,
  orchidsWarm,
  orchidsIntermediate,
  orchidsCool,
  orchidsTerrestrial,
  ferns,
  gesneriads,
  begonias,
  prayerPlants,
  palms,
  figs,
  peperomias,
  hoyas,
  trailers,
  bromeliads,
  airPlants,
  succulents,
  desertCacti,
  forestCacti,
  livingStones,
  caudex,
  euphorbias,
  carnivoresLowland,
  carnivoresHighland,
  carnivoresTemperate,
  butterworts,
  bulbs,
  citrusFruit,
  herbs,
  flowering,
  foliage,
  terrarium,
  mosses,
] as unknown as readonly TaxonGroup[];

/**
 * A row's full figures. A block that the row says nothing about is its group's, and so inferred from relatives; one
 * that it speaks of is growers' practice unless it says otherwise.
 */
export function fullTaxon(row: TaxonRow, group: TaxonGroup): Taxon {
  const blocks = KNOWN_BLOCKS.map((block) => {
    const own = row.figures[block];
    return [block, { ...group.profile[block], ...(own ? { sure: 'practice', ...own } : { sure: 'inferred' }) }];
  });
  const { id, name, common, synonyms, cultivars, key } = row;
  return {
    id,
    name,
    common,
    synonyms,
    cultivars,
    key,
    group: group.id,
    parents: row.parents ?? [],
    ...(Object.fromEntries(blocks) as Omit<Profile, 'hazard'>),
    hazard: { ...group.profile.hazard, ...row.figures.hazard },
  };
}

const worse = (one: Harm, other: Harm): Harm => (HARMS.indexOf(one) > HARMS.indexOf(other) ? one : other);

/** A group as a taxon, for a plant of which no more is known; harm is not known of it unless the whole group harms. */
export function groupTaxon({ id, name, plain, profile }: TaxonGroup): Taxon {
  const blocks = KNOWN_BLOCKS.map((block) => [block, { ...profile[block], sure: 'inferred' }]);
  const cautious = Object.fromEntries(
    Object.entries(profile.hazard).map(([whom, harm]) => [whom, harm === 'none-known' ? 'unknown' : harm]),
  ) as unknown as Hazard;
  return {
    id: `group-${id}`,
    name,
    common: [`${name}, kind not known`],
    synonyms: [],
    cultivars: [],
    key: plain,
    group: id,
    parents: [],
    ...(Object.fromEntries(blocks) as Omit<Profile, 'hazard'>),
    // What is not known of the skin is no better known of the eyes.
    hazard: { ...cautious, sapInEyes: worse(cautious.sapInEyes, cautious.sapOnSkin) },
  };
}
