// The arrows of docs/architecture.md: app → ui, server; server → db, core; ui → core; core → nothing of ours.
const allow = (from, ...to) => ({
  name: `${from}-goes-only-to-${to.join('-') || 'nothing'}`,
  severity: 'error',
  from: { path: `^${from}/`, pathNot: '\\.test\\.tsx?$' },
  to: { path: '^(app|bin|core|db|e2e|server|ui|workers)/', pathNot: `^(${[from, ...to].join('|')})/` },
});

/** @type {import('dependency-cruiser').IConfiguration} */
module.exports = {
  forbidden: [
    allow('core'),
    {
      name: 'core-needs-only-zod',
      severity: 'error',
      from: { path: '^core/', pathNot: '\\.test\\.ts$|^core/test/' },
      to: { dependencyTypes: ['npm', 'npm-dev', 'core'], pathNot: 'node_modules/zod/' },
    },
    allow('workers', 'core'),
    allow('db', 'core'),
    allow('server', 'core', 'db'),
    allow('ui', 'core', 'workers'),
    allow('app', 'ui', 'server', 'core'),
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
    exclude: { path: '^(\\.next|\\.next-test|\\.next-dev|node_modules)' },
    tsConfig: { fileName: 'tsconfig.json' },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: { extensions: ['.ts', '.tsx', '.mjs', '.js'] },
  },
};
