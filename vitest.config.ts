import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';
import { ZONE } from './tests/now';

process.env.TZ = ZONE;

export default defineConfig({
  resolve: { alias: { '@': fileURLToPath(new URL('./src', import.meta.url)) } },
  test: {
    setupFiles: ['tests/unit/clock.ts'],
    // Whole places are drawn, on machines that may be busy with another suite.
    testTimeout: 240_000,
    // Left to itself it keeps one core free, which on two is half of them.
    maxWorkers: 2,
    projects: [
      {
        extends: true,
        test: {
          // What computes holds nothing between two files: loaded once for each worker, not once for each file.
          name: 'core',
          include: ['src/{core,catalogue,files,cli}/**/*.test.ts'],
          isolate: false,
        },
      },
      {
        extends: true,
        test: {
          name: 'interface',
          include: [
            'src/{app,devices,features,server,store,ui,workers}/**/*.test.{ts,tsx}',
            'tests/unit/**/*.test.ts',
            'tests/builds/**/*.test.ts',
          ],
        },
      },
    ],
  },
});
