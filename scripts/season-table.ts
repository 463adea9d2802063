/**
 * `npm run seasons [taxon ...]`: twelve months of some plants under each school of rest, in both halves of the world, as
 * a grower would read them: phase, water, nights. For reading, not for passing or failing.
 */
import { knowledge } from '@dulvan/catalogue';
import { SCHOOLS, SCHOOL_WORDS, yearTargets, type Target } from '@dulvan/core';

const TWENTY = [
  'phalaenopsis-hybrid',
  'cymbidium-hybrid',
  'dendrobium-nobile',
  'monstera-deliciosa',
  'alocasia-zebrina',
  'caladium-bicolor',
  'goeppertia-orbifolia',
  'nephrolepis-exaltata',
  'streptocarpus-ionanthus',
  'lithops-lesliei',
  'conophytum-bilobum',
  'rebutia-minuscula',
  'schlumbergera-truncata',
  'crassula-ovata',
  'aeonium-arboreum',
  'dionaea-muscipula',
  'pinguicula-moranensis',
  'cyclamen-persicum',
  'hippeastrum-hybrid',
  'citrus-limon',
];

const PHASES = { growing: 'G', tapering: 't', resting: 'R', waking: 'w', inducing: 'B' } as const;
const WATERS = { usual: '+', less: '~', little: '.', none: '0' } as const;

const line = (targets: readonly Target[], told: (target: Target) => string) =>
  targets.map((target) => told(target).padStart(3)).join('');

const asked = process.argv.slice(2);
for (const id of asked.length > 0 ? asked : TWENTY) {
  const taxon = knowledge.taxon(id);
  if (!taxon) throw new Error(`There is no taxon “${id}”.`);
  console.log(`\n${taxon.name}: ${taxon.key}`);
  for (const latitude of [56.4, -34.6]) {
    for (const school of SCHOOLS) {
      const targets = yearTargets({ stage: 'adult', growthState: 'by-season' }, taxon, {
        latitude,
        school,
        aim: 'whole',
      });
      const usual = school === taxon.rest.school ? '*' : ' ';
      console.log(
        [
          `${latitude > 0 ? 'N' : 'S'}${usual} ${SCHOOL_WORDS[school].word.padEnd(15)}`,
          line(targets, ({ phase }) => PHASES[phase]),
          line(targets, ({ water }) => WATERS[water]),
          line(targets, ({ warmth }) => `${Math.round(warmth.nightFrom)}`),
        ].join('  |'),
      );
    }
  }
}
console.log(
  [
    '\nG growing, t tapering, R resting, w waking, B setting buds; water + usual, ~ less, . little, 0 none;',
    'nights from, °C; * the usual school',
  ].join(' '),
);
