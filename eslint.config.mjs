import next from 'eslint-config-next/core-web-vitals';
import typescript from 'eslint-config-next/typescript';

/** What the core may not touch: a result must follow from its arguments alone. */
const IMPURE_GLOBALS = [
  'window',
  'document',
  'navigator',
  'location',
  'localStorage',
  'sessionStorage',
  'indexedDB',
  'fetch',
  'performance',
  'setTimeout',
  'setInterval',
  'requestAnimationFrame',
  'crypto',
  'process',
  'self',
  'globalThis',
].map((name) => ({ name, message: 'The core has no screen, no store, no clock and no chance: pass it in.' }));

/** A day cut out of a moment in UTC is another day for most of the world. */
const CUT_DAYS = {
  selector: "CallExpression[callee.property.name='slice'][callee.object.callee.property.name='toISOString']",
  message: 'A day is that of somebody’s clock: take it from core/time.',
};

const config = [
  {
    ignores: ['.next/**', '.rincon/**', 'node_modules/**', 'next-env.d.ts', 'public/**', 'tests/fixtures/**'],
  },
  ...next,
  ...typescript,
  {
    files: ['**/*.{ts,tsx}'],
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/no-non-null-assertion': 'error',
      '@typescript-eslint/consistent-type-imports': ['error', { fixStyle: 'inline-type-imports' }],
      'import/no-default-export': 'error',
      eqeqeq: 'error',
      'no-console': 'error',
    },
  },
  {
    files: ['src/app/**/*.tsx', 'src/app/manifest.ts', '*.config.{ts,mjs}', 'next.config.ts'],
    rules: { 'import/no-default-export': 'off' },
  },
  {
    files: ['**/*.test.{ts,tsx}', 'tests/**'],
    rules: { '@typescript-eslint/no-non-null-assertion': 'off' },
  },
  {
    // Numeric kernels over typed arrays: an index within their length always holds a number, and a default for each
    // would hide a wrong one.
    files: [
      'src/core/climate/{sparse,rosenbrock,equations,stores,guard,air,simulate,calibrate,schedule}.ts',
      'src/core/climate/engine/*.ts',
      'src/core/ground/hydraulics.ts',
      'src/core/light/{field,cavity,rays}.ts',
    ],
    rules: { '@typescript-eslint/no-non-null-assertion': 'off' },
  },
  { files: ['scripts/**', 'bench/**', 'src/cli/**', 'tests/**'], rules: { 'no-console': 'off' } },
  {
    files: ['src/**/*.{ts,tsx}'],
    ignores: ['**/*.test.{ts,tsx}', 'src/core/time/**'],
    rules: { 'no-restricted-syntax': ['error', CUT_DAYS] },
  },
  {
    files: ['src/core/**/*.{ts,tsx}'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-globals': ['error', ...IMPURE_GLOBALS],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'Pass a seeded source in.' },
        { object: 'Date', property: 'now', message: 'Pass the time in.' },
      ],
      'no-restricted-syntax': [
        'error',
        {
          selector:
            "NewExpression[callee.name='Date'][arguments.length=0], CallExpression[callee.name='Date']",
          message: 'Pass the time in.',
        },
        CUT_DAYS,
      ],
    },
  },
  { files: ['src/core/time/**'], rules: { 'no-restricted-syntax': 'off' } },
];

export default config;
