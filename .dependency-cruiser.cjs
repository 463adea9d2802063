/** Arrows run one way: core <- catalogue, formats, contract <- server, app. */
const only = (name, from, allowed) => ({
  name,
  severity: 'error',
  from: { path: `^${from}/` },
  to: { path: '^(core|catalogue|formats|contract|server|app|simulators)/', pathNot: `^(${allowed.join('|')})/` },
});

/** Parts of core, the lower ones first; those of one step do not import each other. */
const CORE_STEPS = [
  ['units'],
  ['taxon'],
  ['facts'],
  ['sun', 'room'],
  ['sky', 'air', 'plant', 'lamp'],
  ['light'],
  ['fit'],
  ['match', 'plan'],
  ['home'],
  ['planning'],
  ['questions'],
];

/** Parts of the app that show something, the lower ones first; state and workers lie beside them. */
const APP_STEPS = [['ui'], ['parts'], ['forms'], ['features'], ['routes']];

const TESTS = '\\.(test|fixture|mock)\\.tsx?$|/testing/';

/** Each part imports itself and the steps below it. */
const inOrder = (folder, steps, beside = []) =>
  steps.flatMap((step, i) =>
    step.map((part) => ({
      name: `${folder}-${part}-imports-what-lies-below`,
      severity: 'error',
      from: { path: `^${folder}/${part}/`, pathNot: TESTS },
      to: {
        path: `^${folder}/[^/]+/`,
        pathNot: `/node_modules/|^${folder}/(${[part, ...steps.slice(0, i).flat(), ...beside].join('|')})/`,
      },
    })),
  );

module.exports = {
  forbidden: [
    only('core-imports-nothing-of-ours', 'core', ['core']),
    only('catalogue-imports-core', 'catalogue', ['catalogue', 'core']),
    only('contract-imports-core', 'contract', ['contract', 'core']),
    only('formats-import-core-and-contract', 'formats', ['formats', 'core', 'contract']),
    only('server-never-imports-app', 'server', ['server', 'core', 'catalogue', 'formats', 'contract']),
    only('simulators-speak-the-contract', 'simulators', ['simulators', 'contract', 'core']),
    only('app-never-imports-server', 'app', ['app', 'core', 'catalogue', 'formats', 'contract']),
    ...inOrder('core/src', CORE_STEPS),
    ...inOrder('app', APP_STEPS, ['state', 'workers', 'assets']),
    {
      name: 'state-shows-nothing',
      severity: 'error',
      from: { path: '^app/(state|workers)/', pathNot: TESTS },
      to: { path: '^app/(ui|parts|forms|features|routes)/' },
    },
    {
      name: 'workers-know-no-state',
      severity: 'error',
      from: { path: '^app/workers/', pathNot: TESTS },
      to: { path: '^app/state/' },
    },
    {
      name: 'features-do-not-import-each-other',
      severity: 'error',
      from: { path: '^app/features/([^/]+)/', pathNot: TESTS },
      to: { path: '^app/features/([^/]+)/', pathNot: '^app/features/$1/' },
    },
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true, dependencyTypesNot: ['type-only'] } },
    {
      name: 'core-is-pure',
      severity: 'error',
      from: { path: '^core/src', pathNot: '\\.test\\.ts$' },
      // Of the solver it knows the types alone: whoever asks for a plan has loaded it.
      to: { dependencyTypes: ['npm', 'core'], dependencyTypesNot: ['type-only'] },
    },
    {
      name: 'routes-are-thin',
      severity: 'error',
      from: { path: '^app/(features|ui|state|workers)/' },
      to: { path: '^app/routes/' },
    },
    {
      name: 'nothing-unresolved',
      severity: 'error',
      from: {},
      to: { couldNotResolve: true, pathNot: '^(expo|react-native|@expo)' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(/dist/|/drizzle/|\\.expo/)' },
    tsConfig: { fileName: 'tsconfig.json' },
    tsPreCompilationDeps: 'specify',
    enhancedResolveOptions: {
      extensions: ['.ts', '.tsx', '.js', '.json'],
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default'],
    },
  },
};
