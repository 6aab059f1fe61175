/** Imports run one way; the table stands in docs/architecture.md. */
const inside = (...folders) => `^src/(${folders.join('|')})/`;
const NOT_TEST = '\\.test\\.tsx?$|/(?:testing|fixtures)/';

/** A folder may import only itself and the named ones. */
const only = (name, from, allowed, comment) => ({
  name,
  comment,
  severity: 'error',
  from: { path: inside(from), pathNot: NOT_TEST },
  to: { path: '^(src|e2e)/', pathNot: inside(from, ...allowed) },
});

module.exports = {
  forbidden: [
    only('core-stands-alone', 'core', [], 'Core is pure computation.'),
    {
      name: 'core-has-no-packages',
      severity: 'error',
      from: { path: inside('core'), pathNot: NOT_TEST },
      to: { dependencyTypes: ['npm', 'npm-dev', 'core'] },
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
    only('ui-knows-quantities', 'ui', ['core'], 'Shared parts know no domain word.'),
    {
      name: 'ui-knows-only-quantities',
      severity: 'error',
      from: { path: inside('ui') },
      to: { path: '^src/core/', pathNot: '^src/core/quantity/' },
    },
    only(
      'features-below-app',
      'features',
      ['core', 'formats', 'db', 'server', 'workers', 'ui'],
      'Features do not know pages.',
    ),
    {
      name: 'features-do-not-meet',
      severity: 'error',
      from: { path: '^src/features/([^/]+)/' },
      to: { path: '^src/features/', pathNot: '^src/features/$1/' },
    },
    {
      name: 'components-only-render',
      comment: 'What the browser loads never reaches the database.',
      severity: 'error',
      from: { path: '^src/features/.*\\.tsx$' },
      to: { path: inside('db', 'server') },
    },
    {
      name: 'pages-reach-the-database-through-features',
      severity: 'error',
      from: { path: inside('app') },
      to: { path: inside('db', 'server', 'cli', 'demo') },
    },
    only(
      'demo-uses-use-cases',
      'demo',
      ['core', 'formats', 'db', 'server', 'features'],
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
