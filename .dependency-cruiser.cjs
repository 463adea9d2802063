/** Arrows run one way: core <- catalogue, formats, contract <- server, app. */
const only = (name, from, allowed) => ({
  name,
  severity: 'error',
  from: { path: `^${from}/` },
  to: { path: '^(core|catalogue|formats|contract|server|app|simulators)/', pathNot: `^(${allowed.join('|')})/` },
});

module.exports = {
  forbidden: [
    only('core-imports-nothing-of-ours', 'core', ['core']),
    only('catalogue-imports-core', 'catalogue', ['catalogue', 'core']),
    only('contract-imports-core', 'contract', ['contract', 'core']),
    only('formats-import-core-and-contract', 'formats', ['formats', 'core', 'contract']),
    only('server-never-imports-app', 'server', ['server', 'core', 'catalogue', 'formats', 'contract']),
    only('app-never-imports-server', 'app', ['app', 'core', 'catalogue', 'formats', 'contract']),
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true, dependencyTypesNot: ['type-only'] } },
    {
      name: 'core-is-pure',
      severity: 'error',
      from: { path: '^core/src', pathNot: '\\.test\\.ts$' },
      to: { dependencyTypes: ['npm', 'core'] },
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
