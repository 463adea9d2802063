/** What is known of taxa, climates, glazings and curtains, looked up by key. */
import type { Knowledge, Taxon } from '@dulvan/core';
import { z } from 'zod';
import climateData from '../data/climates.json';
import curtainData from '../data/curtains.json';
import glazingData from '../data/glazings.json';
import taxonData from '../data/taxa.json';
import { climateSchema, curtainSchema, glazingSchema, taxonSchema } from './schema';

export const taxa: readonly Taxon[] = z.array(taxonSchema).parse(taxonData);
export const climates = z.array(climateSchema).parse(climateData);
export const glazings = z.array(glazingSchema).parse(glazingData);
export const curtains = z.array(curtainSchema).parse(curtainData);

const byId = <T extends { readonly id: string }>(list: readonly T[]) => {
  const index = new Map(list.map((item) => [item.id, item]));
  return (id: string): T | null => index.get(id) ?? null;
};

/** The catalogue as the core asks it. A curtain of `none` is no curtain. */
export const knowledge: Knowledge = {
  taxon: byId(taxa),
  glazing: byId(glazings),
  climate: byId(climates),
  curtain: (id) => (id === 'none' ? null : byId(curtains)(id)),
};

/** The climate family whose range of latitudes has this one nearest its middle; the mildest for coasts comes first. */
export function suggestedClimate(latitude: number): string {
  const away = Math.abs(latitude);
  const distance = ({ latitudeFrom, latitudeTo }: (typeof climates)[number]) => Math.abs(away - (latitudeFrom + latitudeTo) / 2);
  return climates.reduce((nearest, next) => (distance(next) < distance(nearest) ? next : nearest)).id;
}
