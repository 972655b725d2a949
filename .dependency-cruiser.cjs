// The arrows of docs/architecture.md: app → ui, server; server → db, core; ui → core; core → nothing of ours.
const allow = (from, ...to) => ({
  name: `${from}-goes-only-to-${to.join('-') || 'nothing'}`,
  severity: 'error',
  from: { path: `^${from}/` },
  to: { path: '^(app|bin|core|db|e2e|server|ui|workers)/', pathNot: `^(${[from, ...to].join('|')})/` },
});

// The folders of core/, lowest first: each may use only those named earlier. docs/architecture.md says what they hold.
const FLOORS = [
  'air',
  'quantity',
  'piping',
  'stream',
  'purity',
  'pipe-flow',
  'desiccant',
  'equipment/shared',
  'equipment/supply',
  'equipment/cooling',
  'equipment/catching',
  'equipment/filtering',
  'equipment/drying',
  'equipment/serving',
  'equipment/measuring',
  'equipment',
  'plan',
  'network',
  'line',
  'fault',
  'day',
  'year',
  'advice',
  'drains',
  'log',
  'maintenance',
  'cost',
  'sizing',
  'fitting',
  'answers',
  'diagnosis',
  'diagnosis/finding',
  'practice',
  'planner',
  'command',
];
const onlyDown = FLOORS.map((floor, i) => ({
  name: `core-${floor}-uses-only-lower-folders`,
  severity: 'error',
  from: { path: `^core/${floor}/[^/]+$` },
  to: { path: '^core/', pathNot: `^core/(${FLOORS.slice(0, i + 1).join('|')})/[^/]+$` },
}));
const everyFolderHasAFloor = {
  name: 'every-folder-of-core-has-a-floor',
  severity: 'error',
  from: { path: '^core/', pathNot: `^core/(${FLOORS.join('|')})/[^/]+$` },
  to: {},
};

/** @type {import('dependency-cruiser').IConfiguration} */
module.exports = {
  forbidden: [
    allow('core'),
    ...onlyDown,
    everyFolderHasAFloor,
    {
      name: 'core-needs-only-small-libraries',
      severity: 'error',
      from: { path: '^core/(?!command/)' },
      to: { dependencyTypes: ['npm', 'npm-dev', 'core'], pathNot: 'node_modules/(zod|simple-statistics|pure-rand)/' },
    },
    allow('workers', 'core'),
    allow('db', 'core'),
    allow('server', 'core', 'db'),
    allow('ui', 'core', 'workers'),
    allow('app', 'ui', 'server', 'core'),
    {
      name: 'no-two-folders-use-each-other',
      severity: 'error',
      scope: 'folder',
      from: {},
      to: { circular: true },
    },
    { name: 'no-circular', severity: 'error', from: {}, to: { circular: true } },
    {
      name: 'only-the-catalogue-is-a-barrel',
      severity: 'error',
      from: {},
      to: { path: '^(app|core|db|server|ui)/.*index\\.tsx?$', pathNot: '^core/equipment/index\\.ts$' },
    },
  ],
  options: {
    parser: 'swc',
    doNotFollow: { path: 'node_modules' },
    // Tests may look anywhere.
    exclude: {
      path: '^(core/dist|\\.next|\\.next-test|\\.next-dev|node_modules)|\\.test\\.tsx?$|^(core|server)/test/',
    },
    tsConfig: { fileName: 'tsconfig.json' },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: { extensions: ['.ts', '.tsx', '.mjs', '.js'] },
  },
};
