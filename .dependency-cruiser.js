/** Directions between the layers and, inside core, between its folders. */
const CORE_ORDER = [
  'document',
  'numeric',
  'quantity',
  'ingredient',
  'formula',
  'composition',
  'vessel',
  'emulsion',
  'acidity',
  'palate',
  'safety',
  'reckoning',
  'balance',
  'trial',
  'pour',
  'sensory',
  'batch',
  'paper',
  'service',
  'interchange',
];

const coreRules = CORE_ORDER.map((folder, index) => ({
  name: `core-${folder}-imports-only-what-stands-before-it`,
  severity: 'error',
  from: { path: `^src/core/${folder}/`, pathNot: '\\.test\\.ts$' },
  to: { path: `^src/core/(${[...CORE_ORDER.slice(index + 1), 'none'].join('|')})/` },
}));

export default {
  forbidden: [
    ...coreRules,
    {
      name: 'no-cycles',
      severity: 'error',
      from: {},
      to: { circular: true },
    },
    {
      name: 'core-is-a-leaf',
      severity: 'error',
      from: { path: '^src/core/', pathNot: '\\.test\\.ts$' },
      to: { pathNot: '^(src/core/|node_modules/(bessel|numeric-quantity|papaparse|yalps)/)' },
    },
    {
      name: 'core-folders-are-listed',
      comment: 'A new folder takes its place in CORE_ORDER.',
      severity: 'error',
      from: {},
      to: { path: '^src/core/', pathNot: `^src/core/(${CORE_ORDER.join('|')})/` },
    },
    {
      name: 'contract-knows-core-only',
      severity: 'error',
      from: { path: '^src/contract/' },
      to: { path: '^src/(kitchen|words|server|web|cli)/' },
    },
    {
      name: 'words-know-findings-only',
      severity: 'error',
      from: { path: '^src/words/' },
      to: { path: '^src/(kitchen|server|web|cli)/' },
    },
    {
      name: 'kitchen-stands-on-core-contract-and-words',
      severity: 'error',
      from: { path: '^src/kitchen/' },
      to: { path: '^src/(server|web|cli)/' },
    },
    {
      name: 'kitchen-rooms-by-their-doors',
      severity: 'error',
      from: { path: '^src/kitchen/([^/]+)/', pathNot: '\\.test\\.ts$' },
      to: { path: '^src/kitchen/', pathNot: '^src/kitchen/($1/|[^/]+/index\\.ts$)' },
    },
    {
      name: 'cli-knows-core-and-contract',
      severity: 'error',
      from: { path: '^src/cli/' },
      to: { path: '^src/(server|web)/' },
    },
    {
      name: 'server-and-web-never-meet',
      severity: 'error',
      from: { path: '^src/server/' },
      to: { path: '^src/web/' },
    },
    {
      name: 'web-and-server-never-meet',
      severity: 'error',
      from: { path: '^src/web/' },
      to: { path: '^src/server/' },
    },
    // ui <- form <- sync and data <- parts <- features
    {
      name: 'ui-knows-no-domain',
      comment: 'Words of its own it may say; anything about a kitchen belongs into parts.',
      severity: 'error',
      from: { path: '^src/web/ui/', pathNot: '\\.test\\.tsx?$' },
      to: { path: '^src/', pathNot: '^src/(web/ui/|words/(screens/frame(?:Later)?|numbers)\\.ts$)' },
    },
    {
      name: 'form-stands-on-ui-and-contract',
      severity: 'error',
      from: { path: '^src/web/form/', pathNot: '\\.test\\.tsx?$' },
      to: { path: '^src/(web|kitchen|server|cli)/', pathNot: '^src/web/(ui|form)/' },
    },
    {
      name: 'data-and-sync-show-nothing',
      severity: 'error',
      from: { path: '^src/web/(data|sync)/' },
      to: { path: '^src/web/', pathNot: '^src/web/(data|sync|workers)/|^src/web/ui/saveFile\\.ts$' },
    },
    {
      name: 'parts-know-no-feature',
      severity: 'error',
      from: { path: '^src/web/parts/' },
      to: { path: '^src/web/(features|routes)' },
    },
    {
      name: 'features-are-islands',
      severity: 'error',
      from: { path: '^src/web/features/([^/]+)/' },
      to: { path: '^src/web/features/', pathNot: '^src/web/features/$1/' },
    },
    {
      name: 'radix-only-in-ui-and-rows',
      comment: 'Wrapped once, so that look and names stay ours.',
      severity: 'error',
      from: { path: '^src/web/', pathNot: '^src/web/(ui|features/compose)/' },
      to: { path: '^node_modules/radix-ui' },
    },
    {
      name: 'charts-in-one-place',
      severity: 'error',
      from: { path: '^src/web/', pathNot: '^src/web/parts/chart/' },
      to: { path: '^node_modules/(chart.js|react-chartjs-2)' },
    },
    {
      name: 'node-not-in-web',
      severity: 'error',
      from: { path: '^src/(web|core|contract|words|kitchen)/', pathNot: '\\.test\\.ts$' },
      to: { dependencyTypes: ['core'] },
    },
  ],
  options: {
    tsConfig: { fileName: 'tsconfig.json' },
    tsPreCompilationDeps: true,
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(\\.types|\\.json$)' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'default'],
      extensions: ['.ts', '.tsx', '.js', '.json'],
    },
  },
};
