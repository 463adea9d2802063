/**
 * What is known of taxa, climates, glazings and curtains, looked up by key. The data files are held to their schemas by
 * the tests, not each time they are loaded: the worker that answers starts with them.
 */
import type { Knowledge, Taxon } from '@dulvan/core';
import type { z } from 'zod';
import climateData from '../data/climates.json';
import curtainData from '../data/curtains.json';
import glazingData from '../data/glazings.json';
import lookAlikeData from '../data/look-alikes.json';
import { fullTaxon, groupTaxon, groups } from './groups';
import type { climateSchema, curtainSchema, glazingSchema } from './schema';

export const taxa: readonly Taxon[] = groups.flatMap((group) => group.taxa.map((row) => fullTaxon(row, group)));
export const climates = climateData as readonly z.infer<typeof climateSchema>[];
export const glazings = glazingData as readonly z.infer<typeof glazingSchema>[];
export const curtains = curtainData as readonly z.infer<typeof curtainSchema>[];

const byId = <T extends { readonly id: string }>(list: readonly T[]) => {
  const index = new Map(list.map((item) => [item.id, item]));
  return (id: string): T | null => index.get(id) ?? null;
};

/** Two taxa that are taken for each other: what tells them apart, and what differs in their care. */
export interface LookAlike {
  readonly one: string;
  readonly other: string;
  readonly tell: string;
  readonly care: string;
}
export const lookAlikes: readonly LookAlike[] = lookAlikeData;

const taxonById = byId([...taxa, ...groups.map(groupTaxon)]);

/** The catalogue as the core asks it. Groups answer too, under `group-` and their key. A curtain of `none` is no curtain. */
export const knowledge: Knowledge = {
  taxon: taxonById,
  glazing: byId(glazings),
  climate: byId(climates),
  curtain: (id) => (id === 'none' ? null : byId(curtains)(id)),
};

/** The climate family whose range of latitudes has this one nearest its middle; the mildest for coasts comes first. */
export function suggestedClimate(latitude: number): string {
  const away = Math.abs(latitude);
  const distance = ({ latitudeFrom, latitudeTo }: (typeof climates)[number]) =>
    Math.abs(away - (latitudeFrom + latitudeTo) / 2);
  return climates.reduce((nearest, next) => (distance(next) < distance(nearest) ? next : nearest)).id;
}
