/** What is asked of a window and of what stands outside it. */
import { curtains, glazings } from '@dulvan/catalogue';
import { CROWN_TRANSMITTANCE, compassWord, sideBearing, type HomeFacts } from '@dulvan/core';
import { named, words, type Choice, type FormSpec } from './form-item';

/** The walls of a window's room, each with the way it looks. */
function sides(facts: HomeFacts | null, entry: Readonly<Record<string, unknown>>): Choice[] {
  const room = facts?.rooms.find((candidate) => candidate.id === entry.roomId);
  return (['a', 'b', 'c', 'd'] as const).map((side) => ({
    value: side,
    word: room ? `${side.toUpperCase()}, ${compassWord(sideBearing(room, side))}` : side.toUpperCase(),
  }));
}

export const WINDOW_SPECS = {
  windows: {
    noun: 'window',
    items: [
      { field: 'name', more: 'name', label: 'Name', kind: 'text' },
      { field: 'side', label: 'In or over wall', kind: 'choice', choices: sides },
      {
        field: 'offsetM',
        label: 'From the wall’s left end on the plan',
        kind: 'length',
        help: 'For B and D: from their end at wall A.',
      },
      { field: 'sillM', label: 'Lower edge above the floor', kind: 'length' },
      { field: 'widthM', label: 'Width of the opening', kind: 'length' },
      { field: 'heightM', label: 'Height of the opening', kind: 'length', help: 'In a roof: along the slope.' },
      {
        field: 'slopeDeg',
        more: 'slope',
        label: 'Slope of the glass',
        kind: 'degrees',
        help: '90 in a wall, 45 in a steep roof, 20 in a flat one.',
      },
      {
        field: 'insetM',
        more: 'inward',
        label: 'Lower edge inward from the wall',
        kind: 'length',
        help: '0 in a wall.',
        when: (values) => values.slopeDeg !== '90',
      },
      {
        field: 'glazingId',
        label: 'Pane',
        kind: 'choice',
        choices: () => named(glazings),
        help: 'Hold a light near it at night and count its reflections: two for each pane.',
      },
      { field: 'frameShare', more: 'frame', label: 'Window area lost to the frame', kind: 'percent' },
      {
        field: 'dirtShare',
        more: 'dirt',
        label: 'Lost to dirt',
        kind: 'percent',
        help: 'Clean 4, a winter’s rain 10, by a road 20.',
      },
      {
        field: 'revealM',
        more: 'wall',
        label: 'From the room’s side of the wall out to the glass',
        kind: 'length',
        help: 'A deep reveal keeps low sun and side light out.',
      },
      {
        field: 'revealReflectance',
        more: 'its sides',
        label: 'Brightness of the sides of the opening',
        kind: 'percent',
        help: 'White paint 80, pale wood 50, bare brick 25.',
        when: (values) => Number(values.revealM) > 0,
      },
      {
        field: 'overhangM',
        more: 'balcony',
        label: 'A balcony or roof juts out over it by',
        kind: 'length',
        help: '0: nothing does. It is taken as long as the house.',
      },
      {
        field: 'overhangAboveM',
        more: 'above it',
        label: 'How far above its upper edge',
        kind: 'length',
        when: (values) => Number(values.overhangM) > 0,
      },
      {
        field: 'curtainId',
        more: 'curtain',
        label: 'Curtain, blind or film',
        kind: 'choice',
        choices: () => named(curtains),
      },
      {
        field: 'curtainMonths',
        more: 'used in',
        label: 'Curtain used in',
        kind: 'months',
        when: (values) => values.curtainId !== 'none',
      },
      {
        field: 'curtainFromMinute',
        more: 'shut from',
        label: 'Shut from',
        kind: 'time',
        when: (values) => values.curtainId !== 'none',
      },
      {
        field: 'curtainToMinute',
        more: 'to',
        label: 'Open again at',
        kind: 'time-until',
        help: 'Earlier than it is shut: over midnight. All day: from 0:00 to 24:00.',
        when: (values) => values.curtainId !== 'none',
      },
      {
        field: 'secondCurtainId',
        more: 'second curtain',
        label: 'A second one behind it',
        kind: 'choice',
        choices: () => named(curtains),
      },
      {
        field: 'secondCurtainMonths',
        more: 'used in',
        label: 'The second used in',
        kind: 'months',
        when: (values) => values.secondCurtainId !== 'none',
      },
      {
        field: 'secondCurtainFromMinute',
        more: 'shut from',
        label: 'The second shut from',
        kind: 'time',
        when: (values) => values.secondCurtainId !== 'none',
      },
      {
        field: 'secondCurtainToMinute',
        more: 'to',
        label: 'The second open again at',
        kind: 'time-until',
        when: (values) => values.secondCurtainId !== 'none',
      },
      {
        field: 'outsideKind',
        more: 'outside',
        label: 'Outside it',
        kind: 'choice',
        choices: () => words({ open: 'Open sky', row: 'A row of houses', ring: 'Something all round' }),
      },
      {
        field: 'outsideDeg',
        more: 'its top',
        label: 'Its top above the horizon',
        kind: 'degrees',
        when: (values) => values.outsideKind !== 'open',
        help: 'A fist at arm’s length is 10 degrees.',
      },
      {
        field: 'outsideReflectance',
        more: 'its brightness',
        label: 'Brightness of what stands there',
        kind: 'percent',
        when: (values) => values.outsideKind !== 'open',
      },
      {
        field: 'groundReflectance',
        more: 'ground',
        label: 'Brightness of the ground outside',
        kind: 'percent',
        help: 'Grass 20, pale paving 35, water 8, snow 75.',
      },
    ],
  },
  obstructions: {
    noun: 'thing outside',
    items: [
      { field: 'name', label: 'Name', kind: 'text' },
      {
        field: 'kind',
        label: 'What it is',
        kind: 'choice',
        choices: () =>
          words({
            building: 'House or wall',
            hill: 'Hill',
            evergreen: 'Evergreen tree',
            deciduous: 'Tree that drops its leaves',
          }),
        help:
          `Through a tree in leaf comes about ${Math.round(CROWN_TRANSMITTANCE.inLeaf * 100)} % of the ` +
          `light, through a bare one ${Math.round(CROWN_TRANSMITTANCE.bare * 100)} %.`,
      },
      {
        field: 'fromBearing',
        label: 'Its left edge, by compass',
        kind: 'degrees',
        help: 'Stand at the window and look out: 0 north, 90 east, 180 south, 270 west.',
      },
      {
        field: 'toBearing',
        label: 'Its right edge, by compass',
        kind: 'degrees',
        help: 'Clockwise from the left edge. The same as the left edge: all round.',
      },
      {
        field: 'heightDeg',
        label: 'Its top above the horizon',
        kind: 'degrees',
        help: 'A fist at arm’s length is 10 degrees.',
      },
      {
        field: 'reflectance',
        more: 'brightness',
        label: 'Its brightness',
        kind: 'percent',
        help: 'White wall 50, brick 20, trees 10.',
      },
      {
        field: 'leafMonths',
        more: 'in leaf',
        label: 'In leaf in',
        kind: 'months',
        when: (values) => values.kind === 'deciduous',
      },
    ],
  },
} satisfies Record<string, FormSpec>;
