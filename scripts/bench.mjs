/** Speed where it was asked for. Figures depend on the machine: compare runs of one machine only. */
import { ensureBuild, ensureChromium, ensurePackages, run } from './ensure.mjs';

ensurePackages();
ensureChromium();
if (!ensureBuild()) process.exit(1);
const done = [
  run('node_modules/.bin/tsx', ['bench/assess.ts']),
  run('node_modules/.bin/tsx', ['bench/mixing.ts']),
  run('node_modules/.bin/tsx', ['bench/drag.ts']),
  run('node_modules/.bin/tsx', ['bench/climate.ts']),
  run('node_modules/.bin/tsx', ['bench/living.ts']),
  run('node_modules/.bin/tsx', ['bench/readings.ts']),
];
process.exitCode = done.every(Boolean) ? 0 : 1;
