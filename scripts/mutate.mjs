/** `npm run mutate -- FOLDER [file.ts,…] [--tests a.test.ts,…]`: mutation tests of a folder of src/core, or of some of its files. */
import { ensurePackages, runCode } from './ensure.mjs';

ensurePackages();
const [folder, ...rest] = process.argv.slice(2);
if (!folder) {
  console.error('Which folder of src/core? For example: npm run mutate -- care');
  process.exit(2);
}
const at = rest.indexOf('--tests');
const tests = at < 0 ? undefined : rest[at + 1];
const files = at === 0 ? undefined : rest[0];
process.env.MUTATE_FOLDER = folder;
if (files) process.env.MUTATE_FILES = files;
if (tests) process.env.MUTATE_TESTS = tests;
process.exitCode = runCode('node_modules/.bin/stryker', ['run']);
