import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';

process.env.TZ = 'Europe/Berlin';

/** The tests of one folder of the core, for mutation tests. */
export default defineConfig({
  resolve: { alias: { '@': fileURLToPath(new URL('./src', import.meta.url)) } },
  test: {
    include: (
      process.env.MUTATE_TESTS ?? `src/core/${process.env.MUTATE_FOLDER ?? 'care'}/**/*.test.ts`
    ).split(','),
    testTimeout: 240_000,
    isolate: false,
  },
});
