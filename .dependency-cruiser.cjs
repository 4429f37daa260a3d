/**
 * The arrows of the house run down: app → ui, server → data → core, and inside the core
 * chance → skills → games → analysis → evidence → grouping → planning, formats beside them.
 */
const layers = ['chance', 'skills', 'games', 'analysis', 'evidence', 'grouping', 'planning']

const coreOrder = layers.map((layer, index) => ({
  name: `core-${layer}-uses-only-what-stands-before-it`,
  severity: 'error',
  from: { path: `^src/core/${layer}/`, pathNot: '\\.test\\.ts$' },
  to: { path: `^src/core/(${[...layers.slice(index + 1), 'formats'].join('|')})/` },
}))

module.exports = {
  forbidden: [
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
    ...coreOrder,
    {
      name: 'core-knows-nothing-above',
      severity: 'error',
      from: { path: '^src/core/' },
      to: { path: '^(src/(?!core/)|bin/|e2e/)' },
    },
    {
      name: 'core-uses-only-small-pure-packages',
      severity: 'error',
      from: { path: '^src/core/', pathNot: '\\.test\\.ts$|/testing/' },
      to: {
        path: 'node_modules/',
        pathNot: 'node_modules/(zod|pure-rand|papaparse|@types/papaparse|lucide|svgpath)/',
      },
    },
    {
      name: 'data-uses-only-core',
      severity: 'error',
      from: { path: '^src/data/' },
      to: { path: '^src/(server|ui|app|workers|demo)/' },
    },
    {
      name: 'server-uses-data-and-core',
      severity: 'error',
      from: { path: '^src/server/' },
      to: { path: '^src/(ui|app|workers|demo)/' },
    },
    {
      name: 'workers-use-only-core',
      severity: 'error',
      from: { path: '^src/workers/' },
      to: { path: '^src/(server|data|ui|app|demo)/' },
    },
    {
      name: 'ui-takes-only-types-from-the-server',
      comment:
        'Pages hand plain data down; the shape of that data is the use case’s, so its type may be named.',
      severity: 'error',
      from: { path: '^src/ui/' },
      to: { path: '^src/(server|data)/', dependencyTypesNot: ['type-only'] },
    },
    {
      name: 'ui-knows-no-routes',
      severity: 'error',
      from: { path: '^src/ui/' },
      to: { path: '^src/(app|demo)/' },
    },
    {
      name: 'only-the-server-queries',
      severity: 'error',
      from: { path: '^src/app/' },
      to: { path: '^src/(data|demo)/' },
    },
    {
      name: 'nothing-depends-on-the-demo',
      severity: 'error',
      from: { path: '^src/', pathNot: '^src/demo/' },
      to: { path: '^src/demo/' },
    },
    { name: 'everything-resolves', severity: 'error', from: {}, to: { couldNotResolve: true } },
  ],
  options: {
    tsConfig: { fileName: 'tsconfig.json' },
    tsPreCompilationDeps: true,
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '\\.scss$' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default', 'types'],
    },
  },
}
