/**
 * Kills the browser in the middle of random work, 200 times (or as often as is said: `npm run torture -- 50`), and looks
 * each time whether all that was called saved is there. `RINCON_SEED` takes another course.
 */
import { spawnSync } from 'node:child_process';
import { ensureBuild, ensureChromium, ensurePackages } from './ensure.mjs';

ensurePackages();
ensureChromium();
if (!ensureBuild()) process.exit(1);
const kills = process.argv[2] ?? '200';
const { status } = spawnSync('node_modules/.bin/playwright', ['test', 'tests/torture.spec.ts'], {
  stdio: 'inherit',
  env: { ...process.env, RINCON_KILLS: kills },
});
process.exit(status ?? 1);
