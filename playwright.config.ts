import { defineConfig } from '@playwright/test';
import { NOW, ZONE } from './tests/now';
import { CHROMIUM, CHROMIUM_ARGS } from './scripts/browser.mjs';

const start = (port: number) => `node node_modules/next/dist/bin/next start -H 127.0.0.1 -p ${port}`;

/** 4181 starts with an empty rack, 4182 with the demo laid out. */
export default defineConfig({
  testDir: 'tests',
  testMatch: '**/*.spec.ts',
  outputDir: '.rincon/browser',
  fullyParallel: true,
  workers: 2,
  retries: 0,
  // Patience, for machines that are busy: what is expected stays the same.
  timeout: 300_000,
  expect: { timeout: 30_000 },
  reporter: [['line'], ['json', { outputFile: '.rincon/browser.json' }]],
  use: {
    baseURL: 'http://127.0.0.1:4181',
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    timezoneId: ZONE,
    // Pages come from the server; what stands in for it while it is off is tested apart.
    serviceWorkers: 'block',
    launchOptions: { executablePath: CHROMIUM, args: CHROMIUM_ARGS },
  },
  webServer: [
    {
      command: start(4181),
      url: 'http://127.0.0.1:4181',
      env: { NEXT_TELEMETRY_DISABLED: '1', RINCON_NOW: NOW, TZ: ZONE },
    },
    {
      command: start(4182),
      url: 'http://127.0.0.1:4182',
      env: { NEXT_TELEMETRY_DISABLED: '1', RINCON_DEMO: '1', RINCON_NOW: NOW, TZ: ZONE },
    },
  ],
});
