/** Imports go only downward: app → stations → (ui, devices, workers, db) → core. */
const forbid = (name, from, to, comment) => ({ name, severity: 'error', comment, from, to })

module.exports = {
  forbidden: [
    forbid('no-circular', {}, { circular: true }, 'A circle means two files are one subject.'),
    forbid(
      'core-is-pure',
      { path: '^src/core', pathNot: '\\.test\\.ts$' },
      { pathNot: '^src/core' },
      'The core imports nothing but the core.',
    ),
    forbid('lower-floors-do-not-look-up', { path: '^src/(ui|devices|workers|db)' }, { path: '^src/(stations|app)' }),
    forbid('db-draws-nothing', { path: '^src/db' }, { path: '^src/ui|node_modules/(react|antd|next)/' }),
    forbid(
      'ui-asks-no-database',
      { path: '^src/ui' },
      { path: '^src/db', dependencyTypesNot: ['type-only'] },
      'What is drawn gets plain objects.',
    ),
    forbid(
      'stations-are-separate',
      { path: '^src/stations/([^/]+)/' },
      { path: '^src/stations/([^/]+)/', pathNot: '^src/stations/$1/' },
      'What two stations need moves down.',
    ),
    forbid('stations-do-not-know-routes', { path: '^src/stations' }, { path: '^src/app' }),
    forbid(
      'movements-are-written-by-the-ledger',
      { path: '^src', pathNot: '^src/db/ledger/|\\.test\\.ts$' },
      { path: '^src/db/ledger/(?!index)' },
      'Only src/db/ledger writes movements.',
    ),
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: { exportsFields: ['exports'], conditionNames: ['import', 'require', 'node', 'default'] },
  },
}
