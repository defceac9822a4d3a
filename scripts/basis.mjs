/** `npm run -s basis`: where the values of the catalogue come from, table by table. */
import { ensurePackages, runCode } from './ensure.mjs';

ensurePackages();
process.exitCode = runCode('node_modules/.bin/tsx', ['src/cli/basis.ts']);
