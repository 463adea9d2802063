/** What is asked of a room's heating and airing, of the things that change its air, and of doorways. */
import type { AirThingKind } from '@dulvan/core';
import { AIR_THING_WORDS } from '../parts/air-words';
import { named, words, type FormItem, type FormSpec } from './form-item';

type Values = Readonly<Record<string, string>>;

const isOf =
  (...kinds: readonly AirThingKind[]) =>
  (values: Values) =>
    kinds.some((kind) => kind === values.kind);

/** What runs by the clock; the others are as they are all day. */
const RUNS = isOf('stove', 'cold-vent', 'fan', 'extractor', 'heat-mat', 'humidifier', 'dehumidifier');

const airThingItems: readonly FormItem[] = [
  { field: 'kind', label: 'What it is', kind: 'choice', choices: () => words(AIR_THING_WORDS) },
  { field: 'name', label: 'Name', kind: 'text' },
  { field: 'xM', label: 'From wall D', kind: 'length', help: 'Its middle on the plan, from the left.' },
  { field: 'yM', label: 'From wall A', kind: 'length', help: 'On the plan, from below.' },
  { field: 'zM', label: 'Above the floor', kind: 'length' },
  {
    field: 'gramsH',
    label: 'Water it gives or takes at most',
    kind: 'number',
    unit: 'g/h',
    when: isOf('humidifier', 'dehumidifier'),
    help: 'From its label: 300 ml/h is 300. 10 litres a day are 417.',
  },
  {
    field: 'setRh',
    label: 'Humidity it is set to',
    kind: 'number',
    unit: '%',
    optional: 'optional',
    when: isOf('humidifier', 'dehumidifier'),
    help: 'Empty: it runs without looking.',
  },
  {
    field: 'powerW',
    label: 'Power',
    kind: 'number',
    unit: 'W',
    when: isOf('stove', 'heat-mat', 'humidifier', 'dehumidifier'),
    help: 'From its label. A stove of 4 kW is 4000.',
  },
  {
    field: 'areaM2',
    label: 'Its area',
    kind: 'number',
    unit: 'm²',
    when: isOf('heat-mat', 'open-water'),
    help: 'All of it together. A tray of 30 by 40 cm is 0.12.',
  },
  {
    field: 'airM3H',
    label: 'Air it moves',
    kind: 'number',
    unit: 'm³/h',
    when: isOf('extractor'),
    help: 'From its label: a bathroom fan about 80, a cooker hood 300.',
  },
  {
    field: 'toward',
    label: 'It blows toward',
    kind: 'choice',
    choices: () => words({ a: 'Wall A', b: 'Wall B', c: 'Wall C', d: 'Wall D' }),
    when: isOf('fan'),
  },
  { field: 'fromMinute', more: 'from', label: 'It runs from', kind: 'time', when: RUNS },
  { field: 'toMinute', more: 'to', label: 'It runs until', kind: 'time-until', when: RUNS },
  { field: 'months', more: 'months', label: 'In these months', kind: 'months' },
];

export const AIR_SPECS = {
  climates: {
    noun: 'heating and airing',
    items: [
      {
        field: 'heating',
        label: 'Heating',
        kind: 'choice',
        choices: () => words({ set: 'Held at what is set', none: 'None' }),
      },
      { field: 'dayC', label: 'Set by day', kind: 'temperature', when: ({ heating }) => heating === 'set' },
      { field: 'nightC', label: 'Set by night', kind: 'temperature', when: ({ heating }) => heating === 'set' },
      {
        field: 'dayFromMinute',
        more: 'day from',
        label: 'Its day begins',
        kind: 'time',
        when: ({ heating }) => heating === 'set',
      },
      {
        field: 'dayToMinute',
        more: 'to',
        label: 'Its day ends',
        kind: 'time-until',
        when: ({ heating }) => heating === 'set',
      },
      {
        field: 'airing',
        label: 'How it is aired',
        kind: 'choice',
        choices: () =>
          words({
            closed: 'Shut, and tight',
            leaky: 'Shut, with gaps',
            tilted: 'A window tilted',
            'twice-a-day': 'Opened wide twice a day',
            fan: 'A fan all day',
          }),
        help: 'For a cabinet: how its air mixes with the room’s. Tilted is a door ajar.',
      },
      {
        field: 'envelope',
        label: 'Outer walls',
        kind: 'choice',
        choices: () => words({ thin: 'Thin, cold to touch', usual: 'Usual', insulated: 'Insulated' }),
      },
      {
        field: 'peopleHours',
        label: 'Hours of people in it, a day',
        kind: 'number',
        unit: 'h',
        help: 'Each person counts: two for four hours are 8. Sleeping counts.',
      },
      {
        field: 'laundryLoadsWeek',
        more: 'laundry',
        label: 'Loads of laundry dried in it, a week',
        kind: 'number',
      },
      { field: 'mealsDay', more: 'meals', label: 'Meals cooked in it, a day', kind: 'number' },
      { field: 'showersDay', more: 'showers', label: 'Showers in it, a day', kind: 'number' },
      {
        field: 'shell',
        more: 'shell',
        label: 'Shell, for a cabinet',
        kind: 'choice',
        choices: () =>
          words({
            glass: 'Glass',
            'double-glass': 'Two panes of glass',
            acrylic: 'Acrylic',
            polycarbonate: 'Twin-wall plastic',
            film: 'Film or bag',
            fabric: 'Fabric tent',
          }),
      },
    ],
  },
  airThings: {
    noun: 'thing that changes the air',
    items: airThingItems,
    caution:
      'Keep water and mains apart: drip loops on cables, a residual-current breaker, nothing under a shelf that ' +
      'drips. Heaters and lamps need clear space round them. Anything that burns fuel needs its own air and a ' +
      'carbon monoxide alarm. When in doubt ask a licensed electrician.',
  },
  doorways: {
    noun: 'doorway',
    items: [
      {
        field: 'toRoomId',
        label: 'It leads to',
        kind: 'choice',
        choices: (facts, entry) =>
          named((facts?.rooms ?? []).filter(({ id, insideRoomId }) => id !== entry.roomId && insideRoomId === null)),
      },
      {
        field: 'stands',
        label: 'It stands',
        kind: 'choice',
        choices: () =>
          words({ open: 'Open', 'by-day': 'Open by day, shut by night', ajar: 'Ajar', shut: 'Shut most of the time' }),
      },
      { field: 'widthM', label: 'Width', kind: 'length' },
      { field: 'heightM', label: 'Height', kind: 'length' },
    ],
  },
} satisfies Record<string, FormSpec>;
