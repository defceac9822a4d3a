/** `npm run -s rack -- 200`: a generated rack of so many enclosures as a backup file, to be read in. */
import { mkdirSync } from 'node:fs';
import { ensurePackages, runCode } from './ensure.mjs';

ensurePackages();
const { buildSync } = await import('esbuild');
mkdirSync('.rincon', { recursive: true });
buildSync({
  entryPoints: ['src/cli/rack.ts'],
  bundle: true,
  platform: 'node',
  format: 'esm',
  packages: 'external',
  alias: { '@': './src' },
  outfile: '.rincon/rack.mjs',
  logLevel: 'error',
});
process.exitCode = runCode(process.execPath, ['.rincon/rack.mjs', ...process.argv.slice(2)]);
