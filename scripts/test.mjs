/** Everything that is checked, in one go; ends with a line `N passed, N failed`. */
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

/** One check that passes or fails as a whole. */
function check(name, work) {
  console.log(`\n— ${name}`);
  const started = Date.now();
  if (work()) passed += 1;
  else {
    failed += 1;
    failures.push(name);
  }
  console.log(`  ${name}: ${((Date.now() - started) / 1000).toFixed(0)} s`);
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

check('types', () => run(bin('next'), ['typegen']) && run(bin('tsc'), ['--noEmit', '-p', '.']));
check('lint', () => run(bin('eslint'), ['.', '--max-warnings', '0']));
check('layering', () => run(bin('depcruise'), ['src']));
check('dead code', () => run(bin('knip'), []));
check('formatting', () => run(bin('prettier'), ['--check', '--log-level', 'warn', '.']));
check('published schema', () => run(bin('tsx'), ['scripts/schema.ts', '--check']));
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

if (failures.length > 0) console.log(`\nFailed: ${failures.join('; ')}`);
console.log(`\n${passed} passed, ${failed} failed`);
process.exitCode = failed === 0 ? 0 : 1;
