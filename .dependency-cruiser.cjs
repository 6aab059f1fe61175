/** Imports run one way; the table stands in docs/architecture.md. */
const inside = (...folders) => `^src/(${folders.join('|')})/`;
const NOT_TEST = '\\.test\\.tsx?$|/(?:testing|fixtures)/';

/** Addresses are a table of their own, which whoever makes links may read. */
const ROUTES = '^src/routes\\.ts$';
/** Packages that core may use: sums that others do better. */
const CORE_PACKAGES = ['ml-matrix', 'simple-statistics'];
/** Files of features that run on the server only. */
const SERVER_FILE =
  '^src/features/.*/(?:(?:\\w+C|c)ommands|records|recordLine|writeRecord|knownPart|\\w+\\.server)\\.ts$';

/** A folder may import only itself and the named ones. */
const only = (name, from, allowed, comment, more = []) => ({
  name,
  comment,
  severity: 'error',
  from: { path: inside(from), pathNot: NOT_TEST },
  to: { path: '^(src|e2e)/', pathNot: [inside(from, ...allowed), ...more] },
});

/** A station of a donor may import itself, what all stations share, and the photos. */
const STATIONS = ['intake', 'safe', 'open', 'trace', 'identify', 'test', 'wave', 'harvest', 'record', 'photos'];
const DONOR = '^src/features/donor/';

module.exports = {
  forbidden: [
    only('core-stands-alone', 'core', [], 'Core is pure computation.'),
    {
      name: 'core-has-few-packages',
      severity: 'error',
      from: { path: inside('core'), pathNot: NOT_TEST },
      to: { dependencyTypes: ['npm', 'npm-dev', 'core'], pathNot: `node_modules/(${CORE_PACKAGES.join('|')})/` },
    },
    {
      name: 'core-modules-by-their-index',
      comment: 'The index is the only door of a core module.',
      severity: 'error',
      from: { path: '^src/core/([^/]+)/' },
      to: { path: '^src/core/', pathNot: ['^src/core/$1/', '/index\\.ts$', '/fixtures/'] },
    },
    {
      name: 'others-use-core-by-its-index',
      severity: 'error',
      from: { path: '^(src|e2e)/', pathNot: '^src/core/' },
      to: { path: '^src/core/', pathNot: '/index\\.ts$' },
    },
    only('db-knows-core', 'db', ['core'], 'Repositories return core types.'),
    only('server-knows-core', 'server', ['core'], 'Infrastructure knows no feature.'),
    only('ui-knows-quantities', 'ui', ['core'], 'Shared parts know no domain word.', ['^src/address\\.ts$']),
    {
      name: 'ui-knows-quantities-and-ink',
      severity: 'error',
      from: { path: inside('ui') },
      to: { path: '^src/core/', pathNot: '^src/core/(quantity|schematic)/' },
    },
    only('workers-know-core', 'workers', ['core'], 'Workers are thin shells round core.'),
    only(
      'services-below-features',
      'services',
      ['core', 'formats', 'db', 'server'],
      'What two features need lies below them.',
      [ROUTES],
    ),
    {
      name: 'services-by-their-index',
      comment: 'The index is the only door of a service.',
      severity: 'error',
      from: { path: '^src/', pathNot: ['^src/services/([^/]+)/', NOT_TEST] },
      to: { path: '^src/services/', pathNot: '/index\\.ts$' },
    },
    {
      name: 'services-meet-by-their-index',
      severity: 'error',
      from: { path: '^src/services/([^/]+)/', pathNot: NOT_TEST },
      to: { path: '^src/services/', pathNot: ['^src/services/$1/', '/index\\.ts$'] },
    },
    only(
      'features-below-app',
      'features',
      ['core', 'formats', 'db', 'server', 'services', 'workers', 'ui'],
      'Features do not know pages.',
      [ROUTES],
    ),
    {
      name: 'stations-are-rooms',
      comment: 'A station imports itself, shared and photos; only the shared record desk knows who writes what.',
      severity: 'error',
      from: { path: `${DONOR}(${STATIONS.join('|')})/`, pathNot: NOT_TEST },
      to: { path: `${DONOR}`, pathNot: [`${DONOR}$1/`, `${DONOR}shared/`, `${DONOR}photos/`] },
    },
    {
      name: 'shared-stands-below-stations',
      comment:
        'What all stations share knows none of them, but for the desk that hands records to them and the door of the pages.',
      severity: 'error',
      from: {
        path: `${DONOR}shared/`,
        pathNot: [NOT_TEST, `${DONOR}shared/(?:writeRecord|load\\.server)\\.ts$`],
      },
      to: { path: `${DONOR}(${STATIONS.join('|')})/` },
    },
    {
      name: 'context-at-the-doors',
      comment: 'Only what answers a browser reaches for the context of this server; all else is handed one.',
      severity: 'error',
      from: {
        path: '^src/',
        pathNot: [NOT_TEST, '/actions\\.ts$', '(?:/pages|/load|[rR]oute)\\.server\\.ts$'],
      },
      to: { path: '^src/db/appContext\\.ts$' },
    },
    {
      name: 'features-do-not-meet',
      severity: 'error',
      from: { path: '^src/features/([^/]+)/', pathNot: NOT_TEST },
      to: { path: '^src/features/', pathNot: '^src/features/$1/' },
    },
    {
      name: 'components-only-render',
      comment: 'What the browser loads never reaches the database.',
      severity: 'error',
      from: { path: '^src/features/.*\\.tsx$' },
      to: { path: ['^src/(db|server)/'] },
    },
    {
      name: 'components-call-actions',
      comment: 'Commands, views and services run on the server; a component takes their types, and calls actions.',
      severity: 'error',
      from: { path: '^src/features/.*\\.tsx$', pathNot: NOT_TEST },
      to: { path: ['^src/services/', SERVER_FILE], dependencyTypesNot: ['type-only'] },
    },
    only('pages-call-features', 'app', ['core', 'ui', 'features'], 'Pages call features and compose.', [
      ROUTES,
      '^src/app/globals\\.css$',
    ]),
    only(
      'demo-uses-use-cases',
      'demo',
      ['core', 'formats', 'db', 'server', 'services', 'features'],
      'The demo goes the way of the interface.',
    ),
    {
      name: 'demo-opens-but-does-not-query',
      severity: 'error',
      from: { path: inside('demo'), pathNot: NOT_TEST },
      to: { path: '^src/db/(repositories|schema)/' },
    },
    only('cli-knows-core', 'cli', ['core', 'formats'], 'The command line runs core on files.'),
    only('formats-know-core', 'formats', ['core'], 'Open file formats are read into core types.'),
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '\\.next/|e2e/screenshots' },
    tsConfig: { fileName: 'tsconfig.json' },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: { extensions: ['.ts', '.tsx', '.js', '.mjs', '.css', '.json'] },
  },
};
