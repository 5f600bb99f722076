/** The boundaries between folders. A crossing fails the build. */
module.exports = {
  forbidden: [
    {
      name: 'core-is-alone',
      severity: 'error',
      comment: 'The core computes; it knows no interface, server, browser or Node.',
      from: { path: '^core', pathNot: '\\.test\\.ts$' },
      to: { path: '^(server|web|cli|demo|tests|tools)/' },
    },
    {
      name: 'core-has-no-node-or-react',
      severity: 'error',
      from: { path: '^core', pathNot: '\\.test\\.ts$' },
      to: { path: '(^node:|node_modules/(react|react-dom|express|sharp|better-sqlite3|zustand)/)' },
    },
    {
      name: 'core-has-no-builtin',
      severity: 'error',
      from: { path: '^core', pathNot: '\\.test\\.ts$' },
      to: { dependencyTypes: ['core'] },
    },
    { name: 'web-without-server', severity: 'error', from: { path: '^web' }, to: { path: '^(server|cli)/' } },
    { name: 'server-without-web', severity: 'error', from: { path: '^server' }, to: { path: '^(web|cli)/' } },
    {
      name: 'widgets-apart',
      severity: 'error',
      comment: 'A kind of widget stands alone; what two share moves up a folder.',
      from: { path: '^core/widgets/([^/]+)/' },
      to: { path: '^core/widgets/([^/]+)/', pathNot: '^core/widgets/$1/' },
    },
    {
      name: 'items-apart',
      severity: 'error',
      from: { path: '^core/items/([^/]+)/' },
      to: { path: '^core/items/([^/]+)/', pathNot: '^core/items/$1/' },
    },
    {
      name: 'drawn-widgets-apart',
      severity: 'error',
      from: { path: '^web/render/widgets/([^/]+)/' },
      to: { path: '^web/render/widgets/([^/]+)/', pathNot: '^web/render/widgets/$1/' },
    },
    {
      name: 'no-circles',
      severity: 'error',
      from: {},
      to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsConfig: { fileName: 'tsconfig.json' },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: { extensions: ['.ts', '.tsx', '.js', '.json'] },
  },
};
