/** Arrows point down only: e2e > web > device; web, device, server, demo, stand-ins > use-cases > contract > core. */
const below = {
  core: ['^(contract|use-cases|device|server|web|demo|stand-ins|e2e)/'],
  contract: ['^(use-cases|device|server|web|demo|stand-ins|e2e)/'],
  'use-cases': ['^(device|server|web|demo|stand-ins|e2e)/'],
  device: ['^(server|web|demo|stand-ins|e2e)/'],
  server: ['^(device|web|demo|stand-ins|e2e)/'],
  web: ['^(server|demo|stand-ins|e2e)/'],
  demo: ['^(server|web|stand-ins|e2e)/'],
  'stand-ins': ['^(core|server|web|demo|e2e)/'],
}

/** What a person opens by itself; each can be read alone. */
const FEATURES = 'after|before|horse|owner|pen|week|yard'

module.exports = {
  forbidden: [
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
    ...Object.entries(below).map(([part, above]) => ({
      name: `${part}-points-down`,
      severity: 'error',
      from: { path: `^${part}/` },
      to: { path: above },
    })),
    {
      name: 'core-through-the-index',
      comment: 'One folder of core sees another only through its index.',
      severity: 'error',
      from: { path: '^core/src/([^/]+)/' },
      to: { path: '^core/src/([^/]+)/', pathNot: ['^core/src/$1/', '/index\\.ts$'] },
    },
    {
      name: 'core-has-no-framework',
      comment:
        'Only the open formats and the solver use a package: CSV has more corners than it looks, and so have integers.',
      severity: 'error',
      from: { path: '^core/src/', pathNot: ['\\.test\\.ts$', '^core/src/formats/', '^core/src/solver/'] },
      to: { dependencyTypes: ['npm', 'npm-dev', 'core'] },
    },
    {
      name: 'features-stand-alone',
      comment: 'A feature imports no other feature; what several show lies in shared.',
      severity: 'error',
      from: { path: `^web/src/(${FEATURES})/` },
      to: { path: `^web/src/(${FEATURES})/`, pathNot: '^web/src/$1/' },
    },
    {
      name: 'shared-below-features',
      comment: 'Only the router and the store know the features.',
      severity: 'error',
      from: {
        path: '^web/src/(shared|circumstances|drawing|offline|threads|ui|app)/',
        pathNot: '^web/src/app/(router|store|thunk|gatekeeper)',
      },
      to: { path: `^web/src/(${FEATURES})/` },
    },
    {
      name: 'ui-knows-nothing-of-ours',
      severity: 'error',
      from: { path: '^web/src/ui/' },
      to: { path: '^(web/src/(?!ui/)|core|contract|device|use-cases)' },
    },
    {
      name: 'sql-only-in-data',
      severity: 'error',
      from: { path: '^server/src/', pathNot: ['^server/src/(data|auth)/', 'main\\.ts$', 'app\\.ts$'] },
      to: { path: 'node_modules/(pg|node-pg-migrate)/', dependencyTypesNot: ['type-only'] },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(^|/)dist/' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.base.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default'],
    },
  },
}
