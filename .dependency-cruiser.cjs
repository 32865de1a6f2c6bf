/** The wings of core and what each stands on. */
const wings = [
  { name: 'craft', below: [] },
  { name: 'records', below: ['craft'] },
  { name: 'plan', below: ['craft', 'records'] },
  { name: 'work', below: ['craft', 'records', 'plan'] },
  { name: 'words', below: ['craft', 'records', 'plan', 'work'] },
];

/** The dependency rule: web → core ← server, and nothing out of core. */
module.exports = {
  forbidden: [
    {
      name: 'core-imports-nobody',
      comment: 'The craft is computed without screen, server, Node or packages; only its records use a schema package.',
      severity: 'error',
      from: { path: '^core/src', pathNot: '(^core/src/records|\\.test\\.ts$)' },
      to: { pathNot: '^core/src' },
    },
    {
      name: 'records-use-schemas-only',
      severity: 'error',
      from: { path: '^core/src/records', pathNot: '\\.test\\.ts$' },
      to: { pathNot: '^(core/src|node_modules/zod)' },
    },
    {
      name: 'core-through-its-doors',
      comment: 'Others see the five doors of core, never its insides.',
      severity: 'error',
      from: { path: '^(web|server|demo|tools|bench)/' },
      to: { path: '^core/src', pathNot: '^core/src/(craft|plan|work|records|words)/index\\.ts$' },
    },
    {
      name: 'core-opens-no-door-of-its-own',
      comment: 'Inside core a file is imported where it stands; the doors are for others.',
      severity: 'error',
      from: { path: '^core/src' },
      to: { path: '^core/src/[^/]+/index\\.ts$' },
    },
    ...wings.map(({ name, below }) => ({
      name: `${name}-stands-on-${below.join('-and-') || 'nothing'}`,
      comment: 'words → work → plan → records → craft; nothing points back.',
      severity: 'error',
      from: { path: `^core/src/${name}/`, pathNot: '\\.test\\.ts$' },
      to: { path: '^core/src/', pathNot: `^core/src/(${[name, ...below].join('|')})/` },
    })),
    { name: 'web-knows-no-server', severity: 'error', from: { path: '^web/' }, to: { path: '^server/' } },
    { name: 'server-knows-no-web', severity: 'error', from: { path: '^server/' }, to: { path: '^web/' } },
    {
      name: 'views-apart',
      comment: 'Views share through parts, api and core, never through one another.',
      severity: 'error',
      from: { path: '^web/src/views/([^/]+)/' },
      to: { path: '^web/src/views/([^/]+)/', pathNot: '^web/src/views/$1/' },
    },
    {
      name: 'parts-below-views',
      severity: 'error',
      from: { path: '^web/src/(parts|api|worker)/' },
      to: { path: '^web/src/(views|app)/' },
    },
    {
      name: 'no-circles',
      severity: 'error',
      from: {},
      to: { circular: true },
    },
    {
      name: 'only-declared-packages',
      severity: 'error',
      from: { pathNot: '(\\.test\\.ts$|^server/test/|^tools/voices/)' },
      to: { dependencyTypes: ['npm-no-pkg', 'unknown'] },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.base.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['types', 'import', 'default'],
      extensions: ['.ts', '.tsx', '.js', '.mjs'],
    },
  },
};
