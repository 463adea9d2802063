/** What is asked of a plant. */
import { PASSING_STAGES, SCHOOLS, SCHOOL_WORDS, type Stage } from '@dulvan/core';
import { GOAL_WORD, GROWTH_WORD, STAGE_WORD } from '../parts/words';
import { words, type FormSpec } from './form-item';

export const PLANT_SPECS = {
  plants: {
    noun: 'plant',
    items: [
      {
        field: 'name',
        label: 'Your name for it',
        kind: 'text',
        optional: 'optional',
        help: 'Left empty, its common name serves.',
      },
      {
        field: 'goal',
        label: 'What you want of it',
        kind: 'choice',
        choices: () => words(GOAL_WORD),
        help: 'It decides what is trouble for this plant.',
      },
      { field: 'stage', label: 'Stage', kind: 'choice', choices: () => words(STAGE_WORD) },
      {
        field: 'stageSeenOn',
        label: 'At that stage on',
        kind: 'date',
        optional: 'optional',
        help: 'After its weeks it is taken for grown out of it; left empty, it holds all year.',
        when: (values) => PASSING_STAGES[values.stage as Stage] !== undefined,
      },
      {
        field: 'growthState',
        more: 'growth',
        label: 'What you see',
        kind: 'choice',
        choices: () => words(GROWTH_WORD),
        help: 'What you see counts more than the calendar.',
      },
      {
        field: 'stateSeenOn',
        more: 'seen',
        label: 'Seen on',
        kind: 'date',
        optional: 'optional',
        help: 'It holds for three months; left empty, for the whole year.',
        when: (values) => values.growthState !== 'by-season',
      },
      {
        field: 'restSchool',
        more: 'rest',
        label: 'Its rest',
        kind: 'choice',
        optional: 'optional',
        choices: () => [
          { value: '', word: 'As in this home' },
          ...SCHOOLS.map((value) => ({ value, word: SCHOOL_WORDS[value].word })),
        ],
      },
      { field: 'potCm', label: 'Pot width', kind: 'pot', optional: 'optional' },
      {
        field: 'heightCm',
        label: 'Height with the pot',
        kind: 'pot',
        optional: 'optional',
        help: 'Taller plants shade shorter neighbours. Left empty, it shades none.',
      },
      {
        field: 'foliage',
        more: 'leaves',
        label: 'Its leaves',
        kind: 'choice',
        choices: () => words({ sparse: 'Sparse: sky shows through', medium: 'Medium', dense: 'Dense: hardly any gap' }),
      },
      { field: 'arrivedOn', more: 'arrived', label: 'Arrived on', kind: 'date', optional: 'optional' },
      { field: 'note', more: 'note', label: 'Note', kind: 'long-text', optional: 'optional' },
    ],
  },
} satisfies Record<string, FormSpec>;
