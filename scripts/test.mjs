/** Everything that is checked, in one go; ends with a line `N passed, N failed`. */
import { spawn } from 'node:child_process';
import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import { ensureBuild, ensureChromium, ensurePackages, run } from './ensure.mjs';

ensurePackages();
ensureChromium();
rmSync('.rincon', { recursive: true, force: true });
mkdirSync('.rincon', { recursive: true });

const bin = (name) => `node_modules/.bin/${name}`;
let passed = 0;
let failed = 0;
const failures = [];

/** One check that passes or fails as a whole, given how it went. */
function count(name, ok, seconds) {
  if (ok) passed += 1;
  else {
    failed += 1;
    failures.push(name);
  }
  console.log(`  ${name}: ${seconds.toFixed(0)} s`);
}

/** A command with its output held back, so that two side by side do not talk across each other. */
const quietly = (command, args) =>
  new Promise((done) => {
    const child = spawn(command, args, { env: { ...process.env, NEXT_TELEMETRY_DISABLED: '1' } });
    let said = '';
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (piece) => (said += piece));
    child.on('error', (error) => done({ ok: false, said: String(error) }));
    child.on('close', (code) => done({ ok: code === 0, said }));
  });

/** Checks that do not wait for each other, two at a time. */
async function sideBySide(checks) {
  const waiting = [...checks];
  const one = async () => {
    for (let next = waiting.shift(); next; next = waiting.shift()) {
      const [name, ...commands] = next;
      const started = Date.now();
      let ok = true;
      let all = '';
      for (const [command, args] of commands) {
        if (!ok) break;
        const result = await quietly(command, args);
        ok = result.ok;
        all += result.said;
      }
      console.log(`\n— ${name}\n${ok ? '' : all}`);
      count(name, ok, (Date.now() - started) / 1000);
    }
  };
  await Promise.all([one(), one()]);
}

/** One check that passes or fails as a whole. */
function check(name, work) {
  console.log(`\n— ${name}`);
  const started = Date.now();
  const ok = work();
  count(name, ok, (Date.now() - started) / 1000);
}

/** A runner that counts its own tests; no report, or none run, is a failure. */
function suite(name, work, read) {
  console.log(`\n— ${name}`);
  const ok = work();
  try {
    const counts = read();
    passed += counts.passed;
    failed += counts.failed;
    if (counts.passed === 0 || (!ok && counts.failed === 0)) throw new Error('it did not run to its end');
    if (counts.failed > 0) failures.push(`${name} (${counts.failed})`);
  } catch (error) {
    failed += 1;
    failures.push(`${name}: ${error.message}`);
  }
}

const json = (path) => JSON.parse(readFileSync(path, 'utf8'));

await sideBySide([
  ['types', [bin('next'), ['typegen']], [bin('tsc'), ['--noEmit', '-p', '.']]],
  ['lint', [bin('eslint'), ['.', '--max-warnings', '0']]],
  ['layering', [bin('depcruise'), ['src']]],
  ['formatting', [bin('prettier'), ['--check', '--log-level', 'warn', '.']]],
  ['dead code', [bin('knip'), []]],
  ['published schema', [bin('tsx'), ['scripts/schema.ts', '--check']]],
]);
suite(
  'unit tests',
  () =>
    run(bin('vitest'), [
      'run',
      '--reporter=default',
      '--reporter=json',
      '--outputFile.json=.rincon/unit.json',
    ]),
  () => {
    const report = json('.rincon/unit.json');
    return {
      passed: report.numPassedTests,
      failed:
        report.numFailedTests +
        report.testResults.filter((it) => it.status === 'failed' && it.assertionResults.length === 0).length,
    };
  },
);
let built = false;
check('build', () => (built = ensureBuild()));
if (built) {
  suite(
    'browser',
    () => run(bin('playwright'), ['test']),
    () => {
      const { stats } = json('.rincon/browser.json');
      return { passed: stats.expected + stats.flaky, failed: stats.unexpected };
    },
  );
}

/** The unit tests that take the longest, so that slowness is seen where it grows. */
function slowest(count) {
  const all = json('.rincon/unit.json').testResults.flatMap((file) =>
    file.assertionResults.map((it) => ({ seconds: (it.duration ?? 0) / 1000, name: it.fullName.trim() })),
  );
  all.sort((a, b) => b.seconds - a.seconds);
  console.log(`\nThe ${count} slowest unit tests:`);
  for (const { seconds, name } of all.slice(0, count))
    console.log(`  ${seconds.toFixed(1).padStart(6)} s  ${name}`);
}
try {
  slowest(10);
} catch {
  // Without a report there is nothing to tell; the suite has said so.
}

if (failures.length > 0) console.log(`\nFailed: ${failures.join('; ')}`);
console.log(`\n${passed} passed, ${failed} failed`);
process.exitCode = failed === 0 ? 0 : 1;
