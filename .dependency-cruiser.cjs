/**
 * Imports go only downward: app → stations → (ui, server, exchange, devices, workers) → session → db → core; in db the
 * nouns stand on the ledger, the ledger on base. Each rule was seen to fail before it was kept.
 */
const forbid = (name, from, to, comment) => ({ name, severity: 'error', comment, from, to })
const tests = '\\.test\\.tsx?$'

module.exports = {
  forbidden: [
    forbid('no-circular', {}, { circular: true }, 'A circle means two files are one subject.'),
    forbid(
      'core-is-pure',
      { path: '^src/core', pathNot: '\\.test\\.ts$' },
      { pathNot: '^src/core' },
      'The core imports nothing but the core.',
    ),
    forbid(
      'db-stands-on-core',
      { path: '^src/db', pathNot: tests },
      { path: '^src/(?!db|core)|node_modules/(react|antd|next)/' },
      'Nouns know no sessions, no screens and no routes.',
    ),
    forbid(
      'session-stands-on-db',
      { path: '^src/session', pathNot: tests },
      { path: '^src/(?!session|db|core)' },
      'Who is signed in knows nothing of what is asked.',
    ),
    forbid(
      'server-draws-nothing',
      { path: '^src/server', pathNot: tests },
      { path: '^src/(?!server|session|db|core)' },
      'The way of a request serves every station and draws none.',
    ),
    forbid(
      'front-stands-before-the-app',
      { path: '^src/front', pathNot: tests },
      { path: '^src/(?!front|server/lines|session|db|core)' },
      'What every request passes knows nothing of what is behind it.',
    ),
    forbid(
      'exchange-stands-on-db',
      { path: '^src/exchange', pathNot: tests },
      { path: '^src/(?!exchange|server|db|core)' },
      'Formats read and write nouns; who asks for them is not their business.',
    ),
    forbid('middle-floors-do-not-look-up', { path: '^src/(ui|devices|workers)' }, { path: '^src/(stations|app)' }),
    forbid(
      'ui-asks-no-database',
      { path: '^src/ui', pathNot: tests },
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
      'base-stands-alone',
      { path: '^src/db/base', pathNot: tests },
      { path: '^src/db/(?!base)' },
      'The floor of every noun knows none of them.',
    ),
    forbid(
      'ledger-stands-on-base',
      { path: '^src/db/ledger', pathNot: tests },
      { path: '^src/db/(?!ledger|base)' },
      'The books know no noun; what follows from a movement is handed to them.',
    ),
    forbid(
      'mixes-stand-on-the-ledger',
      { path: '^src/db/mixes', pathNot: tests },
      { path: '^src/db/(?!mixes|ledger|base)' },
      'What a mix is follows from the books alone.',
    ),
    forbid(
      'movements-are-written-by-the-ledger',
      { path: '^src', pathNot: `^src/db/(ledger|mixes)/|${tests}` },
      { path: '^src/db/ledger/(?!index)' },
      'Only the ledger and the mixes that stand on it write movements.',
    ),
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: { exportsFields: ['exports'], conditionNames: ['import', 'require', 'node', 'default'] },
  },
}
