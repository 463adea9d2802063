/** What is asked of stands, their tiers and spots, and of the lamps over them. */
import { TYPICAL_UMOL_PER_JOULE } from '@dulvan/core';
import { named, words, type FormSpec } from './form-item';
import { FOLLOWS, asksItsTime } from './timer-times';

/** Bulbs and spots are taken for points, unless a file measured their size. */
const hasSize = (values: Readonly<Record<string, string>>) =>
  !values.photometryId && values.form !== 'point' && values.form !== 'spot';

export const STAND_SPECS = {
  stands: {
    noun: 'stand',
    caution: 'Mind what shelves and sills can carry, and fix tall ones to the wall: wet pots are heavy.',
    items: [
      { field: 'name', label: 'Name', kind: 'text' },
      {
        field: 'kind',
        label: 'Kind',
        kind: 'choice',
        choices: () =>
          words({
            sill: 'Sill',
            shelf: 'Shelf unit',
            table: 'Table',
            trolley: 'Trolley',
            floor: 'Floor patch',
            rail: 'Hanging rail',
            board: 'Wall board',
          }),
      },
      {
        field: 'xM',
        label: 'From wall D',
        kind: 'length',
        help: 'On the plan, from the left. Less than 0 lies in a window’s opening.',
      },
      {
        field: 'yM',
        label: 'From wall A',
        kind: 'length',
        help: 'On the plan, from below. Less than 0 lies in a window’s opening.',
      },
      { field: 'widthM', label: 'Size along wall A', kind: 'length' },
      { field: 'depthM', label: 'Size away from wall A', kind: 'length' },
      {
        field: 'reflectance',
        more: 'boards',
        label: 'Brightness of its boards',
        kind: 'percent',
        help: 'White 80, pale wood 50, dark wood 20.',
      },
      {
        field: 'traffic',
        more: 'who passes',
        label: 'People or animals brush past it',
        kind: 'choice',
        choices: () => words({ quiet: 'Hardly', busy: 'Often' }),
        help: 'A plan keeps brittle plants off one that is often brushed past.',
      },
      {
        field: 'wall',
        more: 'wall behind',
        label: 'Climbers may mark the wall behind it',
        kind: 'choice',
        choices: () => words({ any: 'Yes, or there is none', 'keep-clean': 'No, keep it clean' }),
        help: 'Roots and suckers leave marks that do not come off.',
      },
    ],
  },
  tiers: {
    noun: 'tier',
    items: [
      { field: 'heightM', label: 'Height above the floor', kind: 'length' },
      {
        field: 'board',
        label: 'Board',
        kind: 'choice',
        choices: () => words({ solid: 'Solid', open: 'Open (wire, rail)' }),
        help: 'A solid board shades what is below it.',
      },
    ],
  },
  spots: {
    noun: 'spot',
    items: [
      { field: 'name', label: 'Name', kind: 'text' },
      { field: 'alongM', label: 'Middle, along the stand', kind: 'length' },
      { field: 'acrossM', label: 'Middle, across the stand', kind: 'length' },
      { field: 'sizeM', label: 'Room for a plant this wide', kind: 'length' },
      { field: 'freeHeightM', label: 'Free height above it', kind: 'length' },
      { field: 'loadKg', more: 'holds', label: 'Holds', kind: 'number', unit: 'kg' },
      {
        field: 'reach',
        more: 'reach',
        label: 'Reach',
        kind: 'choice',
        choices: () => words({ easy: 'Easy', step: 'With a step', hard: 'Hard' }),
      },
    ],
  },
  circuits: {
    noun: 'circuit',
    items: [
      { field: 'name', label: 'Name', kind: 'text' },
      {
        field: 'follows',
        label: 'The timer follows',
        kind: 'choice',
        choices: () => words(FOLLOWS),
        when: ({ follows }) => follows !== '',
      },
      { field: 'onMinute', label: 'Lamps on at', kind: 'time', when: asksItsTime },
      { field: 'offMinute', label: 'Lamps off at', kind: 'time-until', when: asksItsTime },
      { field: 'months', label: 'Timer runs in', kind: 'months', when: asksItsTime },
      {
        field: 'freedom',
        more: 'a plan may change',
        label: 'A plan may change',
        kind: 'choice',
        choices: () =>
          words({
            nothing: 'Nothing',
            hours: 'Its hours',
            'hours-and-level': 'Its hours, and dim its lamps',
            'hours-level-and-height': 'Hours, dimming, and how high its lamps hang',
          }),
      },
      {
        field: 'fadeMinutes',
        more: 'fade',
        label: 'Its lamps fade in and out over',
        kind: 'number',
        unit: 'min',
        help: '0 where they switch at once. Each fade counts half: of its light, its heat and its power.',
      },
      {
        field: 'limitW',
        more: 'rating',
        label: 'The timer may switch',
        kind: 'number',
        unit: 'W',
        optional: 'optional',
        help: 'On its label. Lamps draw many times their power for an instant when they come on: stay well below.',
      },
      {
        field: 'supplyId',
        more: 'electrical circuit',
        label: 'Plugged into',
        kind: 'choice',
        optional: 'optional',
        choices: (facts) => [{ value: '', word: 'Not said' }, ...named(facts?.supplies ?? [])],
      },
    ],
  },
  supplies: {
    noun: 'electrical circuit',
    caution:
      'All that hangs on one breaker counts together. Your local electrical code comes first; ask a licensed ' +
      'electrician before you load a circuit near its limit.',
    items: [
      { field: 'name', label: 'Name', kind: 'text' },
      { field: 'limitW', label: 'Its breaker allows', kind: 'number', unit: 'W' },
      { field: 'alsoW', label: 'What else hangs on it', kind: 'number', unit: 'W' },
    ],
  },
  lamps: {
    noun: 'lamp',
    caution:
      'Water and electricity meet here: let cables hang in a drip loop, keep splashes off fittings, do not ' +
      'load a socket beyond its rating. Follow the maker’s label and your local code; ask a licensed ' +
      'electrician for anything fixed.',
    items: [
      { field: 'name', more: 'name', label: 'Name', kind: 'text' },
      {
        field: 'form',
        label: 'Shape',
        kind: 'choice',
        choices: () => words({ bar: 'Bar', panel: 'Panel', spot: 'Spot with a beam', point: 'Bulb' }),
      },
      {
        field: 'ratedBy',
        label: 'What its label tells',
        kind: 'choice',
        choices: () => words({ ppf: 'Photons (PPF)', lumens: 'Lumens', watts: 'Watts alone' }),
        help:
          'Lumens are turned into photons by the colour, within about 8 % (red and blue lamps: 60 %). ' +
          `From watts alone ${TYPICAL_UMOL_PER_JOULE} µmol/s a watt is assumed, a third either way.`,
      },
      {
        field: 'ppf',
        label: 'Photons it gives (PPF)',
        kind: 'number',
        unit: 'µmol/s',
        help: 'On the label of a plant lamp.',
        when: (values) => values.ratedBy === 'ppf',
      },
      {
        field: 'lumens',
        label: 'Light it gives',
        kind: 'number',
        unit: 'lm',
        optional: 'optional',
        when: (values) => values.ratedBy === 'lumens',
      },
      { field: 'powerW', label: 'Power', kind: 'number', unit: 'W' },
      {
        field: 'spectrum',
        more: 'colour',
        label: 'Colour',
        kind: 'choice',
        choices: () =>
          words({
            'white-warm': 'Warm white',
            'white-neutral': 'Neutral white',
            'white-cool': 'Cool white',
            daylight: 'Daylight',
            sodium: 'Sodium',
            'red-blue': 'Red and blue',
          }),
      },
      {
        field: 'photometryId',
        more: 'measured light',
        label: 'Its measured light',
        kind: 'choice',
        optional: 'optional',
        choices: (facts) => [{ value: '', word: 'No file: by shape and beam' }, ...named(facts?.photometries ?? [])],
        help: 'Photometric files (LM-63, EULUMDAT) are read under Place.',
      },
      {
        field: 'beamDeg',
        more: 'beam',
        label: 'Beam',
        kind: 'degrees',
        help: '120 for bare bars and panels; on the label of spots.',
        when: (values) => !values.photometryId,
      },
      { field: 'tiltDeg', more: 'tilt', label: 'Tilted from straight down by', kind: 'degrees' },
      {
        field: 'tiltToward',
        more: 'toward',
        label: 'Tilted toward wall',
        kind: 'choice',
        choices: () => words({ a: 'A', b: 'B', c: 'C', d: 'D' }),
        when: (values) => values.tiltDeg !== '0',
      },
      { field: 'lengthM', more: 'length', label: 'Lit size along wall A', kind: 'length', when: hasSize },
      { field: 'breadthM', more: 'breadth', label: 'Lit size away from wall A', kind: 'length', when: hasSize },
      { field: 'alongM', more: 'along', label: 'Middle, along the stand', kind: 'length' },
      { field: 'acrossM', more: 'across', label: 'Middle, across the stand', kind: 'length' },
      { field: 'aboveM', label: 'Height above the board', kind: 'length' },
      { field: 'dimming', more: 'dimmed to', label: 'Dimmed to', kind: 'percent' },
      {
        field: 'lifeHours',
        more: 'life',
        label: 'Hours until 70 % of its light is left',
        kind: 'number',
        unit: 'h',
        optional: 'optional',
        help: 'L70 on its data sheet; 25,000 to 50,000 for most LEDs. Left empty, age is not counted.',
      },
      {
        field: 'burntHours',
        more: 'burnt',
        label: 'Hours it has been on',
        kind: 'number',
        unit: 'h',
        when: (values) => Boolean(values.lifeHours),
      },
      {
        field: 'circuitId',
        more: 'timer',
        label: 'On circuit',
        kind: 'choice',
        choices: (facts) => named(facts?.circuits ?? []),
      },
    ],
  },
} satisfies Record<string, FormSpec>;
