/** Everything that is checked, in one go; ends with a line `N passed, N failed`. */
import { spawn } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { relative } from 'node:path';
import { stripVTControlCharacters } from 'node:util';
import { ensureChromium, ensurePackages } from './ensure.mjs';

ensurePackages();
ensureChromium();
rmSync('.rincon', { recursive: true, force: true });
mkdirSync('.rincon', { recursive: true });

/** Where lint and formatting keep what they have seen: a second run looks at what has changed. */
const CACHE = 'node_modules/.cache/rincon';
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

/** A command that talks while it runs; true when it ended well. */
const loudly = (command, args) =>
  new Promise((done) => {
    const env = { ...process.env, NEXT_TELEMETRY_DISABLED: '1' };
    const child = spawn(command, args, { stdio: 'inherit', env });
    child.on('error', () => done(false));
    child.on('close', (code) => done(code === 0));
  });

/** A runner that counts its own tests; no report, or none run, is a failure. */
async function suite(name, work, read) {
  console.log(`\n— ${name}`);
  const started = Date.now();
  const ok = await work();
  console.log(`  ${name}: ${((Date.now() - started) / 1000).toFixed(0)} s`);
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
  ['lint', [bin('eslint'), ['.', '--max-warnings', '0', '--cache', '--cache-location', `${CACHE}/eslint`]]],
  ['layering', [bin('depcruise'), ['src']]],
  [
    'formatting',
    [
      bin('prettier'),
      ['--check', '--log-level', 'warn', '--cache', '--cache-location', `${CACHE}/prettier`, '.'],
    ],
  ],
  ['dead code', [bin('knip'), []]],
  ['published schema', [bin('tsx'), ['scripts/schema.ts', '--check']]],
  ['days of the demo', [bin('tsx'), ['scripts/demo-days.ts', '--check']]],
]);
// One core waits at the end of the unit tests, while the other still has the longest of them.
const building = { started: Date.now(), ended: 0 };
const built = quietly(process.execPath, ['scripts/build.mjs']).finally(() => (building.ended = Date.now()));
await suite(
  'unit tests',
  () =>
    loudly(bin('vitest'), [
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
const { ok: isBuilt, said } = await built;
console.log(`\n— build\n${isBuilt ? '' : said}`);
count('build', isBuilt, (building.ended - building.started) / 1000);
if (isBuilt) {
  await suite(
    'browser',
    () => loudly(bin('playwright'), ['test']),
    () => {
      const { stats } = json('.rincon/browser.json');
      return { passed: stats.expected + stats.flaky, failed: stats.unexpected };
    },
  );
}

/** The tests that take the longest, so that slowness is seen where it grows. */
function slowest(what, tests) {
  const all = tests.sort((a, b) => b.seconds - a.seconds).slice(0, 10);
  console.log(`\nThe ten slowest ${what}:`);
  for (const { seconds, name } of all) console.log(`  ${seconds.toFixed(1).padStart(6)} s  ${name}`);
}
const unitTests = () =>
  json('.rincon/unit.json').testResults.flatMap((file) =>
    file.assertionResults.map((it) => ({ seconds: (it.duration ?? 0) / 1000, name: it.fullName.trim() })),
  );
const specsIn = (suite) => [...(suite.specs ?? []), ...(suite.suites ?? []).flatMap(specsIn)];
const browserTests = () =>
  json('.rincon/browser.json')
    .suites.flatMap(specsIn)
    .flatMap((spec) =>
      spec.tests.map((it) => ({
        seconds: it.results.reduce((sum, own) => sum + own.duration, 0) / 1000,
        name: spec.title,
      })),
    );
for (const [what, tests] of [
  ['unit tests', unitTests],
  ['browser tests', browserTests],
]) {
  try {
    slowest(what, tests());
  } catch {
    // Without a report there is nothing to tell; the suite has said so.
  }
}

/** The tests that failed, each with the file it stands in and what it said first. */
function failedTests() {
  const unit = json('.rincon/unit.json').testResults.flatMap((file) => {
    const where = relative('.', file.name);
    if (file.status !== 'failed') return [];
    if (file.assertionResults.length === 0) return [[where, file.message]];
    return file.assertionResults
      .filter((it) => it.status === 'failed')
      .map((it) => [`${where}: ${it.fullName.trim()}`, it.failureMessages[0] ?? '']);
  });
  const browser = existsSync('.rincon/browser.json')
    ? json('.rincon/browser.json')
        .suites.flatMap(specsIn)
        .flatMap((spec) => (spec.ok ? [] : [spec]))
        .map((spec) => [
          `${spec.file}: ${spec.title}`,
          spec.tests[0]?.results.at(-1)?.error?.message ?? 'it did not run to its end',
        ])
    : [];
  return [...unit, ...browser];
}

if (failures.length > 0) {
  // Last of all, for whoever sees no more than the end.
  console.log(`\nFailed: ${failures.join('; ')}`);
  if (existsSync('.rincon/unit.json'))
    for (const [name, why] of failedTests())
      console.log(`  ${name}\n    ${stripVTControlCharacters(why).split('\n').slice(0, 6).join('\n    ')}`);
}
console.log(`\n${passed} passed, ${failed} failed`);
process.exitCode = failed === 0 ? 0 : 1;
