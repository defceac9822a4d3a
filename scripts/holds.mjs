/** `npm run -s holds [-- --animal ID --room dry|middle|humid --json]`: every kind in three rooms, proposed and judged; `--given`: forty boxes that are given; `--remedies`: every remedy taken over and judged; `--grid 20`: the search against brute force. */
import { mkdirSync } from 'node:fs';
import { ensurePackages, runCode } from './ensure.mjs';

ensurePackages();
const { buildSync } = await import('esbuild');
mkdirSync('.rincon', { recursive: true });
buildSync({
  entryPoints: ['src/cli/holds.ts'],
  bundle: true,
  platform: 'node',
  format: 'esm',
  packages: 'external',
  alias: { '@': './src' },
  outfile: '.rincon/holds.mjs',
  logLevel: 'error',
});
process.exitCode = runCode(process.execPath, ['.rincon/holds.mjs', ...process.argv.slice(2)]);
