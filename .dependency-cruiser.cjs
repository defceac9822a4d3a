/** Who may import whom: app → features → ui, store, files, workers → catalogue → core. */
const below = (name, from, mayReach, comment) => ({
  name,
  severity: 'error',
  comment,
  from: { path: `^src/${from}`, pathNot: '\\.test\\.tsx?$' },
  to: { path: '^src/', pathNot: [`^src/(${[from, ...mayReach].join('|')})(/|$)`] },
});

/** Floors of the core, the lowest first: a folder may reach those of lower floors, and none beside or above it; types too. */
const CORE = [
  ['fields', 'light', 'physics', 'random', 'records', 'units'],
  ['time'],
  ['catalogue', 'log'],
  ['document'],
  ['brief', 'enclosure', 'pieces'],
  ['ground'],
  ['climate', 'mixing', 'scape'],
  ['care', 'fitting', 'living'],
  ['edits'],
  ['finding', 'propose'],
  ['findings', 'verdict'],
  ['assess.ts', 'readings', 'whatIf'],
  ['calibration', 'compare', 'diagnosis', 'plan'],
  ['ahead', 'buying', 'search'],
  ['shelf'],
];
const coreFloors = CORE.flatMap((floor, index) =>
  floor.map((folder) => {
    const reach = [folder, ...CORE.slice(0, index).flat()].map((it) => it.replace('.', '\\.'));
    return {
      name: 'core-floors',
      severity: 'error',
      comment: `core/${folder} may reach lower floors of the core only.`,
      from: { path: `^src/core/${folder.replace('.', '\\.')}(/|$)`, pathNot: '\\.test\\.ts$|/testing' },
      to: { path: '^src/core/', pathNot: [`^src/core/(${reach.join('|')})(/|$)`] },
    };
  }),
);

module.exports = {
  forbidden: [
    ...coreFloors,
    {
      name: 'core-floors-known',
      severity: 'error',
      comment: 'A new folder of the core is put on its floor above.',
      from: {
        path: '^src/core/',
        pathNot: [`^src/core/(${CORE.flat().join('|')})(/|$)`, '\\.test\\.ts$|/testing', '^src/core/breach'],
      },
      to: {},
    },
    {
      name: 'no-cycles',
      severity: 'error',
      comment: 'Two modules that need each other are one module, or hide a third.',
      from: {},
      to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } },
    },
    below('core-knows-only-core', 'core', [], 'The core computes; it knows nothing of ours but itself.'),
    {
      name: 'core-is-pure',
      severity: 'error',
      comment: 'No React, no storage, no interface, no machine in the core, at any distance.',
      from: { path: '^src/core', pathNot: '\\.test\\.tsx?$' },
      to: {
        reachable: true,
        path: '(^|/)node_modules/(react|react-dom|next|@mui|@emotion|dexie|dexie-react-hooks|notistack|echarts)(/|$)|^(node:)?(fs|path|os|http|https|net|child_process|crypto|worker_threads|timers|process)(/|$)',
      },
    },
    below('catalogue-below', 'catalogue', ['core'], 'The catalogue is data over the core.'),
    below(
      'files-below',
      'files',
      ['catalogue', 'core'],
      'Files: text in, typed data or a located error out.',
    ),
    below('store-below', 'store', ['catalogue', 'core'], 'The store keeps; it does not draw.'),
    below(
      'ui-knows-no-feature',
      'ui',
      ['catalogue', 'core'],
      'The parts of the interface know no feature and no store.',
    ),
    below(
      'workers-below',
      'workers',
      ['files', 'store', 'catalogue', 'core'],
      'Workers are thin shells over the core, what reads files, and what keeps them.',
    ),
    below(
      'devices-below',
      'devices',
      ['server', 'files', 'catalogue', 'core'],
      'Simulated devices run on the server and know no screen.',
    ),
    below('server-below', 'server', [], 'What the server holds for a while knows nothing of what is in it.'),
    below('cli-below', 'cli', ['files', 'catalogue', 'core'], 'The shell uses the same core, no screen.'),
    below(
      'features-below',
      'features',
      ['ui', 'store', 'files', 'workers', 'catalogue', 'core'],
      'Features sit under the routes.',
    ),
    {
      name: 'features-are-strangers',
      severity: 'error',
      comment: 'One feature never reaches into another.',
      from: { path: '^src/features/([^/]+)/' },
      // Tests of features share the store they are opened over.
      to: { path: '^src/features/([^/]+)/', pathNot: ['^src/features/$1/', '^src/features/testing/'] },
    },
    {
      name: 'nothing-imports-app',
      severity: 'error',
      from: { pathNot: '^src/app' },
      to: { path: '^src/app' },
    },
    { name: 'resolves', severity: 'error', from: {}, to: { couldNotResolve: true } },
  ],
  options: {
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    doNotFollow: { path: 'node_modules' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default', 'types'],
    },
  },
};
