/** What is said of the things that change a room's air, and of what parts a spot's air from its room's. */
import type { AirMovement, AirStep, AirThingKind } from '@dulvan/core';

export const AIR_THING_WORDS: Readonly<Record<AirThingKind, string>> = {
  radiator: 'Radiator',
  stove: 'Stove or heater',
  'warm-vent': 'Warm air vent',
  'cold-vent': 'Cold air vent',
  'outer-door': 'Outer door',
  draught: 'Draughty gap',
  fan: 'Fan',
  extractor: 'Fan that blows air out',
  'heat-mat': 'Heat mat',
  humidifier: 'Humidifier',
  dehumidifier: 'Dehumidifier',
  'open-water': 'Open water, wet moss or trays',
};

export const STEP_WORDS: Readonly<Record<AirStep['from'], string>> = {
  ...AIR_THING_WORDS,
  height: 'Height above the floor',
  pane: 'Glass beside it',
  lamp: 'Lamp near it',
  record: 'Its own record',
};

export const MOVEMENT_WORDS: Readonly<Record<AirMovement, string>> = {
  still: 'Still',
  gentle: 'Gentle',
  brisk: 'Moving',
  strong: 'Strong',
};
