/** Import direction, as docs/architecture.md draws it. A folder of the core may import those before it in this list. */
const layers = [
  'units',
  'geometry',
  'cache',
  'house',
  'plan',
  'edits',
  'place',
  'typed',
  'electrical',
  'loads',
  'circuits',
  'control',
  'feed',
  'makeup',
  'feed-search',
  'route',
  'proof',
  'bench',
  'panel',
  'service',
  'nec',
  'proposals',
  'load-profile',
  'walk',
  'close-out',
  'formats',
];

const layerRules = layers.slice(0, -1).map((layer, index) => ({
  name: `core-${layer}-imports-no-later-layer`,
  severity: 'error',
  from: { path: `^core/src/${layer}/` },
  to: { path: `^core/src/(${layers.slice(index + 1).join('|')})/` },
}));

module.exports = {
  forbidden: [
    { name: 'no-cycles', severity: 'error', from: {}, to: { circular: true } },
    { name: 'resolvable', severity: 'error', from: {}, to: { couldNotResolve: true } },
    ...layerRules,
    {
      name: 'core-stands-alone',
      severity: 'error',
      from: { path: '^core/' },
      to: { path: '^(contract|cli|server|web|e2e)/' },
    },
    {
      name: 'contract-knows-only-core',
      severity: 'error',
      from: { path: '^contract/' },
      to: { path: '^(cli|server|web|e2e)/' },
    },
    { name: 'server-never-meets-web', severity: 'error', from: { path: '^server/' }, to: { path: '^(web|cli)/' } },
    { name: 'web-never-meets-server', severity: 'error', from: { path: '^web/' }, to: { path: '^(server|cli)/' } },
    {
      name: 'core-only-through-its-index',
      severity: 'error',
      from: { path: '^(contract|cli|server|web)/' },
      to: { path: '^core/src/', pathNot: '^core/src/index\\.ts$' },
    },
    {
      name: 'rules-never-import-rules',
      severity: 'error',
      from: { path: '^core/src/nec/rules/[^/]+\\.ts$', pathNot: 'index\\.ts$|\\.test\\.ts$' },
      to: { path: '^core/src/nec/rules/' },
    },
    {
      name: 'proposals-never-import-rules',
      severity: 'error',
      from: { path: '^core/src/proposals/' },
      to: { path: '^core/src/nec/rules/' },
    },
    {
      name: 'stages-stand-apart',
      severity: 'error',
      from: { path: '^web/src/stages/([^/]+)/' },
      to: { path: '^web/src/stages/', pathNot: '^web/src/stages/$1/' },
    },
    {
      name: 'routes-reach-no-database',
      severity: 'error',
      from: { path: '^server/src/http/' },
      to: { path: 'node_modules/(kysely|pg)/' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '\\.test\\.ts$' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.base.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['types', 'import', 'default'],
      extensions: ['.ts', '.vue', '.js', '.json'],
    },
  },
};
