/** What is asked of a room, the solid things in it and its air, month by month. */
import { MOVEMENT_WORDS } from '../parts/air-words';
import { monthChoices, named, words, type FormSpec } from './form-item';

export const ROOM_SPECS = {
  rooms: {
    noun: 'room',
    items: [
      { field: 'name', label: 'Name', kind: 'text' },
      {
        field: 'wallABearing',
        label: 'The window wall (A) faces',
        kind: 'degrees',
        help:
          'Stand inside with your face to the main window wall and read a compass: 0 north, 90 east, 180 ' +
          'south, 270 west.',
      },
      { field: 'widthM', label: 'Length of wall A', kind: 'length' },
      { field: 'depthM', label: 'Depth, from wall A to the wall behind you', kind: 'length' },
      { field: 'heightM', label: 'Height', kind: 'length', help: 'Under a slope, the mean.' },
      {
        field: 'wallReflectance',
        more: 'walls',
        label: 'Brightness of the walls',
        kind: 'percent',
        help: 'White 80, pastel 60, brick or wood 30, dark 10.',
      },
      {
        field: 'floorReflectance',
        more: 'floor',
        label: 'Brightness of the floor',
        kind: 'percent',
        help: 'Pale boards 40, carpet 20, dark 10.',
      },
      {
        field: 'ceilingReflectance',
        more: 'ceiling',
        label: 'Brightness of the ceiling',
        kind: 'percent',
        help: 'White 80.',
      },
      {
        field: 'airMovement',
        more: 'air',
        label: 'How its air moves',
        kind: 'choice',
        choices: () => words(MOVEMENT_WORDS),
        help:
          'Still: shut up. Gentle: doors open, a slow fan. Moving: a fan from afar, a draught. ' +
          'Strong: the straight stream of a fan.',
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
        more: 'shell',
        label: 'Light its shell lets in',
        kind: 'percent',
        when: (values) => Boolean(values.insideRoomId),
        help:
          'Clean glass 85, foil 75. Its walls and top reflect at most the rest, whatever brightness is ' +
          'stated above.',
      },
      {
        field: 'eveningLux',
        more: 'light after dark',
        label: 'Room light after dark, at the plants',
        kind: 'number',
        unit: 'lux',
        help:
          '0: none, or the plants do not see it. A lit living room is 50 to 200. It can keep short-day ' +
          'plants from blooming.',
      },
      {
        field: 'eveningFromMinute',
        more: 'from',
        label: 'It is on from',
        kind: 'time',
        when: (values) => Number(values.eveningLux) > 0,
      },
      {
        field: 'eveningToMinute',
        more: 'to',
        label: 'It is on until',
        kind: 'time-until',
        when: (values) => Number(values.eveningLux) > 0,
      },
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
      { field: 'zM', more: 'underside', label: 'Its underside above the floor', kind: 'length' },
      { field: 'widthM', label: 'Size along wall A', kind: 'length' },
      { field: 'depthM', label: 'Size away from wall A', kind: 'length' },
      { field: 'heightM', label: 'Height', kind: 'length' },
      {
        field: 'reflectance',
        more: 'brightness',
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
