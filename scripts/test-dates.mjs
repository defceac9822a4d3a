/**
 * The suites that read a calendar, at twelve moments: weekdays, a month's end, 29 February, both changes of summer time,
 * New Year, and zones far west and east. `--unit` leaves the browser out.
 */
import { spawnSync } from 'node:child_process';
import { ensureBuild, ensureChromium, ensurePackages } from './ensure.mjs';

const MOMENTS = [
  ['2026-11-18T09:30:00Z', 'Europe/Berlin', 'a Wednesday'],
  ['2026-11-27T09:30:00Z', 'Europe/Berlin', 'a Friday'],
  ['2026-11-29T20:00:00Z', 'Europe/Berlin', 'a Sunday evening'],
  ['2026-04-30T21:30:00Z', 'Europe/Berlin', 'the end of a month, near midnight'],
  ['2028-02-29T11:00:00Z', 'Europe/Berlin', '29 February'],
  ['2027-03-28T00:30:00Z', 'Europe/Berlin', 'the night clocks go forward'],
  ['2026-10-25T00:30:00Z', 'Europe/Berlin', 'the night clocks go back'],
  ['2026-12-31T23:30:00Z', 'UTC', 'New Year’s Eve'],
  ['2027-01-01T08:00:00Z', 'UTC', 'New Year’s Day'],
  ['2026-07-15T06:00:00Z', 'Pacific/Honolulu', 'far west'],
  ['2026-07-15T11:00:00Z', 'Pacific/Kiritimati', 'far east'],
  ['2026-06-30T14:00:00Z', 'America/St_Johns', 'half an hour off'],
];
/** Suites that ask what day it is. */
const UNIT = [
  'src/core/care',
  'src/core/plan',
  'src/core/log',
  'src/core/records',
  'src/catalogue',
  'src/features/keep',
  'src/features/build',
  'src/devices',
  'src/files',
];
const BROWSER = ['tests/keep.spec.ts', 'tests/readings.spec.ts', 'tests/plan.spec.ts'];

ensurePackages();
const browser = !process.argv.includes('--unit');
if (browser) {
  ensureChromium();
  if (!ensureBuild()) process.exit(1);
}
let [passed, failed] = [0, 0];
for (const [now, zone, words] of MOMENTS) {
  const env = {
    ...process.env,
    RINCON_TEST_NOW: now,
    RINCON_TEST_ZONE: zone,
    TZ: zone,
    NEXT_TELEMETRY_DISABLED: '1',
  };
  const run = (command, args) =>
    spawnSync(`node_modules/.bin/${command}`, args, { stdio: 'inherit', env }).status === 0;
  for (const [what, ok] of [
    ['unit', run('vitest', ['run', '--reporter=dot', ...UNIT])],
    ...(browser ? [['browser', run('playwright', ['test', '--reporter=line', ...BROWSER])]] : []),
  ]) {
    console.log(`\n— ${what}, ${words} (${now}, ${zone}): ${ok ? 'passed' : 'failed'}`);
    if (ok) passed += 1;
    else failed += 1;
  }
}
console.log(`\n${passed} passed, ${failed} failed`);
process.exitCode = failed === 0 ? 0 : 1;
