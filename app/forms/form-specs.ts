/** The items each form asks for, in the order a person answers them. */
import type { FactList } from '@dulvan/core';
import type { FormSpec } from './form-item';
import { PLACE_SPECS } from './place-specs';
import { PLANT_SPECS } from './plant-specs';
import { STAND_SPECS } from './stand-specs';

/** The lists that are filled in by these forms; the others have screens of their own. */
export type FormList = Exclude<
  FactList,
  'ownTaxa' | 'corrections' | 'photometries' | 'weathers' | 'readings' | 'outcomes'
>;

export const FORM_SPECS: Record<FormList | 'home', FormSpec> = { ...PLACE_SPECS, ...STAND_SPECS, ...PLANT_SPECS };
