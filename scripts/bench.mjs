/** Speed where it was asked for. Figures depend on the machine: compare runs of one machine only. */
import { mkdirSync } from 'node:fs';
import { basename } from 'node:path';
import { ensureBuild, ensureChromium, ensurePackages, run } from './ensure.mjs';

ensurePackages();
ensureChromium();
if (!ensureBuild()) process.exit(1);

/** Bundled first, as the browser gets it: a transpiler on the fly slows what it names. */
const { buildSync } = await import('esbuild');
mkdirSync('.rincon', { recursive: true });
function bench(file) {
  const outfile = `.rincon/${basename(file, '.ts')}.mjs`;
  buildSync({
    entryPoints: [file],
    bundle: true,
    platform: 'node',
    format: 'esm',
    packages: 'external',
    alias: { '@': './src' },
    outfile,
    logLevel: 'error',
  });
  return run(process.execPath, [outfile]);
}
/** All of them, or those that are named. */
const named = process.argv.slice(2);
const ALL = ['assess', 'mixing', 'drag', 'climate', 'living', 'readings', 'rack'];
const done = ALL.filter((it) => named.length === 0 || named.includes(it)).map((it) =>
  bench(`bench/${it}.ts`),
);
process.exitCode = done.every(Boolean) ? 0 : 1;
