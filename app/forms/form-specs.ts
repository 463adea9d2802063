/** The items each form asks for, in the order a person answers them. */
import type { FactList } from '@dulvan/core';
import { AIR_SPECS } from './air-specs';
import type { FormSpec } from './form-item';
import { HOME_SPECS } from './home-specs';
import { PLANT_SPECS } from './plant-specs';
import { ROOM_SPECS } from './room-specs';
import { STAND_SPECS } from './stand-specs';
import { WINDOW_SPECS } from './window-specs';

/** The lists that are filled in by these forms; the others have screens of their own. */
export type FormList = Exclude<
  FactList,
  | 'ownTaxa'
  | 'corrections'
  | 'photometries'
  | 'weathers'
  | 'readings'
  | 'outcomes'
  | 'learntAir'
  | 'spotAir'
  | 'tariffs'
  | 'planSettings'
  | 'wishes'
  | 'plans'
  | 'planSteps'
>;

export const FORM_SPECS: Record<FormList | 'home', FormSpec> = {
  ...HOME_SPECS,
  ...ROOM_SPECS,
  ...AIR_SPECS,
  ...WINDOW_SPECS,
  ...STAND_SPECS,
  ...PLANT_SPECS,
};
