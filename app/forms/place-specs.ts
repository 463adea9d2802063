/** What is asked of the home, its rooms, windows and what stands before and in them. */
import { climates, curtains, glazings } from '@dulvan/catalogue';
import { CROWN_TRANSMITTANCE, SCHOOLS, SCHOOL_WORDS, compassWord, sideBearing, type HomeFacts } from '@dulvan/core';
import { monthChoices, named, words, type Choice, type FormSpec } from './form-item';

/** The walls of a window's room, each with the way it looks. */
function sides(facts: HomeFacts | null, entry: Readonly<Record<string, unknown>>): Choice[] {
  const room = facts?.rooms.find((candidate) => candidate.id === entry.roomId);
  return (['a', 'b', 'c', 'd'] as const).map((side) => ({
    value: side,
    word: room ? `${side.toUpperCase()}, ${compassWord(sideBearing(room, side))}` : side.toUpperCase(),
  }));
}

export const PLACE_SPECS = {
  home: {
    noun: 'home',
    items: [
      { field: 'name', label: 'Name', kind: 'text' },
      {
        field: 'latitude',
        label: 'Latitude',
        kind: 'number',
        unit: '°',
        help: 'Degrees north; south of the equator with a minus. Any map shows it; half a degree is near enough.',
      },
      {
        field: 'longitude',
        label: 'Longitude',
        kind: 'number',
        unit: '°',
        help: 'Degrees east; west of Greenwich with a minus.',
      },
      { field: 'elevationM', label: 'Height above the sea', kind: 'number', unit: 'm' },
      { field: 'timeZone', label: 'Time zone', kind: 'text', help: 'As in Europe/London.' },
      {
        field: 'climateId',
        label: 'Weather most like',
        kind: 'choice',
        choices: () => named(climates),
        help: 'Says how cloudy each month is. The latitude suggests one. An imported weather file stands in its place.',
      },
      {
        field: 'snowMonths',
        label: 'Snow lies in',
        kind: 'months',
        help: 'Snow outside throws much more light in than grass.',
      },
      {
        field: 'restSchool',
        label: 'How plants rest here',
        kind: 'choice',
        optional: 'optional',
        choices: () => [
          { value: '', word: 'As usual for each' },
          ...SCHOOLS.map((value) => ({ value, word: SCHOOL_WORDS[value].word })),
        ],
        help: `Growers differ. ${SCHOOLS.map((school) => `${SCHOOL_WORDS[school].word}: ${SCHOOL_WORDS[school].reason}`).join(' ')}`,
      },
      {
        field: 'lightAim',
        label: 'Where in its band of light a plant should stand',
        kind: 'choice',
        choices: () => words({ whole: 'Anywhere in it', low: 'In the lower part', high: 'In the upper part' }),
        help: 'Low saves lamps and forgives missed water; high brings compact growth and flowers.',
      },
    ],
  },
  rooms: {
    noun: 'room',
    items: [
      { field: 'name', label: 'Name', kind: 'text' },
      {
        field: 'wallABearing',
        label: 'Wall A looks toward',
        kind: 'degrees',
        help: 'Stand inside with your face to the main window wall and read a compass: 0 north, 90 east, 180 south, 270 west.',
      },
      { field: 'widthM', label: 'Length of wall A', kind: 'length' },
      { field: 'depthM', label: 'Depth, from wall A to the wall behind you', kind: 'length' },
      { field: 'heightM', label: 'Height', kind: 'length', help: 'Under a slope, the mean.' },
      {
        field: 'wallReflectance',
        label: 'Brightness of the walls',
        kind: 'percent',
        help: 'White 80, pastel 60, brick or wood 30, dark 10.',
      },
      {
        field: 'floorReflectance',
        label: 'Brightness of the floor',
        kind: 'percent',
        help: 'Pale boards 40, carpet 20, dark 10.',
      },
      { field: 'ceilingReflectance', label: 'Brightness of the ceiling', kind: 'percent', help: 'White 80.' },
      {
        field: 'airMovement',
        label: 'How its air moves',
        kind: 'choice',
        choices: () => words({ still: 'Still', gentle: 'Gentle', brisk: 'Brisk' }),
        help: 'Still: shut up. Gentle: doors open, a slow fan. Brisk: a fan on the leaves, a draught.',
      },
      {
        field: 'insideRoomId',
        label: 'Stands inside',
        kind: 'choice',
        optional: 'optional',
        choices: (facts, entry) => [
          { value: '', word: 'Nothing: a room of its own' },
          ...named((facts?.rooms ?? []).filter((room) => room.id !== entry.id && room.insideRoomId === null)),
        ],
        help: 'For a cabinet, tent or dome: the room it stands in.',
      },
      {
        field: 'insideXM',
        label: 'Its corner along wall A',
        kind: 'length',
        when: (values) => Boolean(values.insideRoomId),
      },
      {
        field: 'insideYM',
        label: 'Its corner away from wall A',
        kind: 'length',
        when: (values) => Boolean(values.insideRoomId),
      },
      {
        field: 'insideZM',
        label: 'Its floor above the room’s',
        kind: 'length',
        when: (values) => Boolean(values.insideRoomId),
      },
      {
        field: 'shellTransmittance',
        label: 'Light its shell lets in',
        kind: 'percent',
        when: (values) => Boolean(values.insideRoomId),
        help: 'Clean glass 85, foil 75. Its walls and top throw back at most the rest, whatever brightness is stated above.',
      },
      {
        field: 'eveningLux',
        label: 'Room light after dark, at the plants',
        kind: 'number',
        unit: 'lux',
        help: '0: none, or the plants do not see it. A lit living room is 50 to 200. It can keep short-day plants from blooming.',
      },
      {
        field: 'eveningFromMinute',
        label: 'It burns from',
        kind: 'time',
        when: (values) => Number(values.eveningLux) > 0,
      },
      {
        field: 'eveningToMinute',
        label: 'It burns until',
        kind: 'time',
        when: (values) => Number(values.eveningLux) > 0,
      },
    ],
  },
  windows: {
    noun: 'window',
    items: [
      { field: 'name', label: 'Name', kind: 'text' },
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
        label: 'Slope of the glass',
        kind: 'degrees',
        help: '90 in a wall, 45 in a steep roof, 20 in a flat one.',
      },
      {
        field: 'insetM',
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
        help: 'Hold a flame near it at night: it mirrors twice for each pane.',
      },
      { field: 'frameShare', label: 'Taken by frame and bars', kind: 'percent' },
      {
        field: 'dirtShare',
        label: 'Lost to dirt',
        kind: 'percent',
        help: 'Clean 4, a winter’s rain 10, by a road 20.',
      },
      {
        field: 'revealM',
        label: 'From the room’s side of the wall out to the glass',
        kind: 'length',
        help: 'A deep reveal keeps low sun and side light out.',
      },
      {
        field: 'revealReflectance',
        label: 'Brightness of the sides of the opening',
        kind: 'percent',
        help: 'White paint 80, pale wood 50, bare brick 25.',
        when: (values) => Number(values.revealM) > 0,
      },
      {
        field: 'overhangM',
        label: 'A balcony or roof juts out over it by',
        kind: 'length',
        help: '0: nothing does. It is taken as long as the house.',
      },
      {
        field: 'overhangAboveM',
        label: 'How far above its upper edge',
        kind: 'length',
        when: (values) => Number(values.overhangM) > 0,
      },
      { field: 'curtainId', label: 'Curtain, blind or film', kind: 'choice', choices: () => named(curtains) },
      {
        field: 'curtainMonths',
        label: 'Curtain used in',
        kind: 'months',
        when: (values) => values.curtainId !== 'none',
      },
      { field: 'curtainFromMinute', label: 'Shut from', kind: 'time', when: (values) => values.curtainId !== 'none' },
      {
        field: 'curtainToMinute',
        label: 'Open again at',
        kind: 'time',
        help: 'Earlier than it is shut: over midnight. All day: from 0:00 to 24:00.',
        when: (values) => values.curtainId !== 'none',
      },
      { field: 'secondCurtainId', label: 'A second one behind it', kind: 'choice', choices: () => named(curtains) },
      {
        field: 'secondCurtainMonths',
        label: 'The second used in',
        kind: 'months',
        when: (values) => values.secondCurtainId !== 'none',
      },
      {
        field: 'secondCurtainFromMinute',
        label: 'The second shut from',
        kind: 'time',
        when: (values) => values.secondCurtainId !== 'none',
      },
      {
        field: 'secondCurtainToMinute',
        label: 'The second open again at',
        kind: 'time',
        when: (values) => values.secondCurtainId !== 'none',
      },
      {
        field: 'outsideKind',
        label: 'Outside it',
        kind: 'choice',
        choices: () => words({ open: 'Open sky', row: 'A row of houses', ring: 'Something all round' }),
      },
      {
        field: 'outsideDeg',
        label: 'Its top above the horizon',
        kind: 'degrees',
        when: (values) => values.outsideKind !== 'open',
        help: 'A fist at arm’s length is 10 degrees.',
      },
      {
        field: 'outsideReflectance',
        label: 'Brightness of what stands there',
        kind: 'percent',
        when: (values) => values.outsideKind !== 'open',
      },
      {
        field: 'groundReflectance',
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
        help: `Through a tree in leaf comes about ${Math.round(CROWN_TRANSMITTANCE.inLeaf * 100)} % of the light, through a bare one ${Math.round(CROWN_TRANSMITTANCE.bare * 100)} %.`,
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
      { field: 'reflectance', label: 'Its brightness', kind: 'percent', help: 'White wall 50, brick 20, trees 10.' },
      { field: 'leafMonths', label: 'In leaf in', kind: 'months', when: (values) => values.kind === 'deciduous' },
    ],
  },
  blocks: {
    noun: 'solid thing',
    items: [
      {
        field: 'name',
        label: 'Name',
        kind: 'text',
        help: 'A cupboard, a chimney breast, a half wall: what throws shade on the plants.',
      },
      { field: 'xM', label: 'From wall D', kind: 'length', help: 'On the plan, from the left.' },
      { field: 'yM', label: 'From wall A', kind: 'length', help: 'On the plan, from below.' },
      { field: 'zM', label: 'Its underside above the floor', kind: 'length' },
      { field: 'widthM', label: 'Size along wall A', kind: 'length' },
      { field: 'depthM', label: 'Size away from wall A', kind: 'length' },
      { field: 'heightM', label: 'Height', kind: 'length' },
      {
        field: 'reflectance',
        label: 'Brightness of its sides',
        kind: 'percent',
        help: 'White 80, pale wood 50, dark wood 20.',
      },
    ],
  },
  air: {
    noun: 'month of air',
    items: [
      { field: 'month', label: 'Month', kind: 'choice', choices: () => monthChoices },
      { field: 'dayC', label: 'By day', kind: 'temperature' },
      { field: 'nightC', label: 'By night', kind: 'temperature' },
      { field: 'dayRh', label: 'Humidity by day', kind: 'number', unit: '%' },
      { field: 'nightRh', label: 'Humidity by night', kind: 'number', unit: '%' },
    ],
  },
} satisfies Record<string, FormSpec>;
