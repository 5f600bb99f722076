/** The folders of each part from the ground up: none imports from one that stands after it. */
const layers = {
  core: [
    'values',
    'text',
    'sources',
    'sound',
    'places',
    'colour',
    'menus',
    'arrange',
    'presence',
    'icons',
    'pointer',
    'backdrop',
    'look',
    'exchange',
    'kinds',
    'windows',
    'expressions',
    'items',
    'widgets',
    'desk',
    'timeline',
    'scene',
    'kits',
    'ready',
    'legibility',
    'applications',
    'bundle',
    'wire',
    'findings',
  ],
  web: ['api', 'ui', 'render', 'workers', 'session', 'stores', 'studio', 'live', 'shelf'],
};

/** One rule for each folder: nothing that it imports stands after it. A folder that the list lacks may import nothing. */
function noWayUp(part, folders) {
  return [
    ...folders.slice(0, -1).map((folder, index) => ({
      name: `${part}-no-way-up-from-${folder}`,
      severity: 'error',
      from: { path: `^${part}/${folder}/`, pathNot: '\\.test\\.tsx?$' },
      to: { path: `^${part}/(${folders.slice(index + 1).join('|')})/` },
    })),
    {
      name: `${part}-layers-are-all-listed`,
      severity: 'error',
      from: { path: `^${part}/`, pathNot: `^${part}/([^/]+$|(${folders.join('|')})/)|\\.test\\.tsx?$` },
      to: { path: '.' },
    },
  ];
}

/** The boundaries between folders. A crossing fails the build. */
module.exports = {
  forbidden: [
    ...Object.entries(layers).flatMap(([part, folders]) => noWayUp(part, folders)),
    {
      name: 'bench-beside-the-rest',
      severity: 'error',
      from: { pathNot: '^bench/' },
      to: { path: '^bench/' },
    },
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
      // Types too: what ties them ties those who read them.
      to: { circular: true, viaOnly: { dependencyTypesNot: ['dynamic-import'] } },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsConfig: { fileName: 'tsconfig.json' },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: { extensions: ['.ts', '.tsx', '.js', '.json'] },
  },
};
