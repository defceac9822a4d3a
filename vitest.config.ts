import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';
import { ZONE } from './tests/now';

process.env.TZ = ZONE;

export default defineConfig({
  resolve: { alias: { '@': fileURLToPath(new URL('./src', import.meta.url)) } },
  test: {
    setupFiles: ['tests/unit/clock.ts'],
    include: ['src/**/*.test.{ts,tsx}', 'tests/unit/**/*.test.ts'],
    // Whole places are drawn, on machines that may be busy with another suite.
    testTimeout: 240_000,
    // Left to itself it keeps one core free, which on two is half of them.
    maxWorkers: 2,
  },
});
