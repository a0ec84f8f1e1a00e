// Everything that must hold: lint, types, unit tests, build, browser tests. Closes with the real counts of all runners added up.
import { existsSync, readFileSync, rmSync } from 'node:fs';
import path from 'node:path';
import { ensurePackages, ensurePrograms, ROOT, run } from './prepare.mjs';

ensurePackages();
ensurePrograms({
  '/usr/bin/chromium': 'chromium',
  ngspice: 'ngspice',
  '/usr/lib/python3/dist-packages/scipy': 'python3-scipy',
});

let [passed, failed] = [0, 0];

/** A step without counts of its own: a failure is one failure. */
function step(name, script) {
  console.log(`\n— ${name}`);
  if (run('npm', ['run', '--silent', script]) === 0) return true;
  console.error(`${name} failed.`);
  failed++;
  return false;
}

const results = path.join(ROOT, 'test-results');
rmSync(results, { recursive: true, force: true });

step('Format', 'format:check');
step('Unused code and packages', 'knip');
step('Lint', 'lint');
step('Types', 'typecheck');

console.log('\n— Unit tests');
const unitFile = path.join(results, 'unit.json');
const unitCode = run('npx', [
  '--no-install',
  'vitest',
  'run',
  '--reporter=dot',
  '--reporter=json',
  `--outputFile.json=${unitFile}`,
]);
if (existsSync(unitFile)) {
  const unit = JSON.parse(readFileSync(unitFile, 'utf8'));
  passed += unit.numPassedTests;
  failed += unit.numFailedTests;
  if (unitCode !== 0 && unit.numFailedTests === 0) failed++;
  if (unit.numPassedTests === 0) failed++;
} else failed++;

if (step('Build', 'build')) {
  console.log('\n— Browser tests');
  const browserFile = path.join(results, 'results.json');
  const browserCode = run('npx', ['--no-install', 'playwright', 'test']);
  if (existsSync(browserFile)) {
    const { stats } = JSON.parse(readFileSync(browserFile, 'utf8'));
    passed += stats.expected;
    failed += stats.unexpected + stats.flaky;
    if (browserCode !== 0 && stats.unexpected + stats.flaky === 0) failed++;
    if (stats.expected === 0) failed++;
  } else failed++;
}

console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 && passed > 0 ? 0 : 1);
