/** `npm run -s assess -- FILE [--json]`: the core from the shell. */
import { ensurePackages, runCode } from './ensure.mjs';

ensurePackages();
process.exitCode = runCode('node_modules/.bin/tsx', ['src/cli/assess.ts', ...process.argv.slice(2)]);
