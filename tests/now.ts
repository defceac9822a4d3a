/**
 * The moment the tests live in. They begin there and their clocks run on; no test hangs on the day it is run. Another
 * moment or zone is set by `npm run test:dates`.
 */
export const NOW = process.env.RINCON_TEST_NOW ?? '2026-11-18T09:30:00Z';
export const ZONE = process.env.RINCON_TEST_ZONE ?? 'Europe/Berlin';
