import { spawnSync } from 'node:child_process';
import { copyFileSync, existsSync, mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { createHash } from 'node:crypto';
import { CHROMIUM, HEADLESS } from './browser.mjs';

/** Runs a command with its output shown; its exit code, 1 when it could not be started. */
export function runCode(command, args, env = {}) {
  const result = spawnSync(command, args, {
    stdio: 'inherit',
    env: { ...process.env, NEXT_TELEMETRY_DISABLED: '1', ...env },
  });
  return result.status ?? 1;
}

/** As `runCode`; true when it ended well. */
export const run = (command, args, env) => runCode(command, args, env) === 0;

/**
 * Installs the packages of the lock file, when they are not those already here. Not by `npm ci`: it refuses a lock
 * file that leaves out other systems' builds of a package, which a registry need not serve.
 */
export function ensurePackages() {
  const wanted = createHash('sha256').update(readFileSync('package-lock.json')).digest('hex');
  const mark = 'node_modules/.rincon-lock';
  if (existsSync(mark) && readFileSync(mark, 'utf8') === wanted) return;
  console.log('Installing packages…');
  if (!run('npm', ['install', '--no-save', '--no-audit', '--no-fund', '--loglevel=error'])) process.exit(1);
  writeFileSync(mark, wanted);
}

/** Installs Debian's Chromium without windows, when there is none; where it cannot be had, the whole one will do. */
export function ensureChromium() {
  if (existsSync(process.env.CHROMIUM ?? HEADLESS)) return;
  console.log('Installing Chromium…');
  const env = { DEBIAN_FRONTEND: 'noninteractive' };
  const install = (name) => run('apt-get', ['install', '-y', name], env);
  run('apt-get', ['update'], env);
  if (install('chromium-headless-shell') || existsSync(CHROMIUM)) return;
  if (!install('chromium')) {
    console.error(`Chromium could not be installed. Install it by hand, or name one in CHROMIUM.`);
    process.exit(1);
  }
}

/** Puts the solver's WebAssembly where the browser can fetch it; its version follows the package. */
function placeSolver() {
  mkdirSync('public/solver', { recursive: true });
  copyFileSync('node_modules/highs/build/highs.wasm', 'public/solver/highs.wasm');
}

/** Builds, unless the build that stands is newer than everything it is made from. */
export function ensureBuild() {
  placeSolver();
  const files = [
    'package.json',
    'package-lock.json',
    'next.config.ts',
    'tsconfig.json',
    ...filesIn('src'),
    ...filesIn('public'),
    'scripts/worker.mjs',
  ];
  const hash = createHash('sha256');
  // The service worker is made from the build, not the build from it.
  for (const file of files)
    if (existsSync(file) && file !== 'public/sw.js') hash.update(file).update(readFileSync(file));
  const wanted = hash.digest('hex');
  const mark = '.next/rincon-built';
  if (existsSync(mark) && readFileSync(mark, 'utf8') === wanted) return true;
  if (!run(process.execPath, ['node_modules/next/dist/bin/next', 'build'])) return false;
  if (!run(process.execPath, ['scripts/worker.mjs'])) return false;
  writeFileSync(mark, wanted);
  return true;
}

/** Every file below a folder, in a fixed order. */
function filesIn(folder) {
  return readdirSync(folder, { recursive: true, withFileTypes: true })
    .filter((it) => it.isFile())
    .map((it) => join(it.parentPath, it.name))
    .sort();
}

/** Bundles a command of `src/cli` and runs it with the arguments given; its exit code. Worker threads run the same file. */
export async function runCli(name) {
  ensurePackages();
  const { buildSync } = await import('esbuild');
  mkdirSync('.rincon', { recursive: true });
  const outfile = `.rincon/${name}.mjs`;
  buildSync({
    entryPoints: [`src/cli/${name}.ts`],
    bundle: true,
    platform: 'node',
    format: 'esm',
    packages: 'external',
    alias: { '@': './src' },
    outfile,
    logLevel: 'error',
  });
  return runCode(process.execPath, [outfile, ...process.argv.slice(2)]);
}
