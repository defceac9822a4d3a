/** Mutation tests of one folder of the core: `npm run mutate -- care`. Scores are kept in docs/testing.md. */
const folder = process.env.MUTATE_FOLDER ?? 'care';
const only = process.env.MUTATE_FILES;

const options = {
  packageManager: 'npm',
  testRunner: 'vitest',
  plugins: ['@stryker-mutator/vitest-runner'],
  vitest: { configFile: 'vitest.mutate.config.ts', related: false },
  mutate: [
    ...(only ? only.split(',').map((it) => `src/core/${folder}/${it}`) : [`src/core/${folder}/**/*.ts`]),
    '!src/**/*.test.ts',
    '!src/**/testing.ts',
    '!src/**/index.ts',
  ],
  // Words of a sentence are read by people, not by tests.
  mutator: { excludedMutations: ['StringLiteral'] },
  ignorePatterns: ['.next', '.rincon', 'docs', 'public', 'reports', 'tests', 'bench', 'data'],
  coverageAnalysis: 'perTest',
  ignoreStatic: true,
  concurrency: 2,
  timeoutMS: 20_000,
  reporters: ['clear-text', 'json'],
  clearTextReporter: { allowColor: false, logTests: false, reportTests: false, reportScoreTable: true },
  jsonReporter: { fileName: `.rincon/mutation-${folder}.json` },
  tempDirName: '.rincon/stryker',
  disableTypeChecks: false,
};

export default options;
