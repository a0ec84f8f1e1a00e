// Everything that must hold: format, unused code, lint, types, unit tests, build, browser tests. Prints what each step took, and closes with the real counts
// of all runners added up.
import { existsSync, readFileSync, rmSync } from 'node:fs';
import { spawn } from 'node:child_process';
import path from 'node:path';
import { ensurePackages, ensurePrograms, ROOT, run } from './prepare.mjs';

ensurePackages();
ensurePrograms({
  '/usr/bin/chromium-headless-shell': 'chromium-headless-shell',
  ngspice: 'ngspice',
  '/usr/lib/python3/dist-packages/scipy': 'python3-scipy',
});

let [passed, failed] = [0, 0];
const results = path.join(ROOT, 'test-results');
rmSync(results, { recursive: true, force: true });

/** What each step took, in seconds. */
const took = [];
const clock = () => performance.now() / 1000;

/** Checks without counts of their own. The longest come first: they run two at a time, one a core. */
const CHECKS = [
  ['Types', 'typecheck'],
  ['Format', 'format:check'],
  ['Lint', 'lint'],
  ['Promises', 'lint:promises'],
  ['Unused code and packages', 'knip'],
];

/** Runs one check with its output held back until it ends, so that two at a time can be read. */
function check([name, script]) {
  const began = clock();
  return new Promise((resolve) => {
    const child = spawn('npm', ['run', '--silent', script], { cwd: ROOT, stdio: ['ignore', 'pipe', 'pipe'] });
    const said = [];
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (part) => said.push(part));
    child.on('error', (error) => said.push(Buffer.from(`${error.message}\n`)));
    child.on('close', (code) => {
      took.push([name, clock() - began]);
      console.log(`\n— ${name}`);
      process.stdout.write(Buffer.concat(said));
      if (code !== 0) {
        console.error(`${name} failed.`);
        failed++;
      }
      resolve();
    });
  });
}

async function checkAll(lanes) {
  const waiting = [...CHECKS];
  const lane = async () => {
    for (let next = waiting.shift(); next; next = waiting.shift()) await check(next);
  };
  await Promise.all(Array.from({ length: lanes }, lane));
}

/** Runs a step in front; returns its exit code. */
function step(name, command, args) {
  console.log(`\n— ${name}`);
  const began = clock();
  const code = run(command, args);
  took.push([name, clock() - began]);
  return code;
}

/** Adds the counts a runner wrote; a runner that failed without a failed test, or ran none, counts as one failure. */
function count(file, code, countsOf) {
  const counts = existsSync(file) ? countsOf(JSON.parse(readFileSync(file, 'utf8'))) : { passed: 0, failed: 0 };
  passed += counts.passed;
  failed += counts.failed;
  if (counts.failed === 0 && (code !== 0 || counts.passed === 0)) failed++;
}

await checkAll(2);

const unitFile = path.join(results, 'unit.json');
const unitCode = step('Unit tests', 'npx', [
  ...['--no-install', 'vitest', 'run', '--reporter=dot', '--reporter=json'],
  `--outputFile.json=${unitFile}`,
]);
count(unitFile, unitCode, (unit) => ({ passed: unit.numPassedTests, failed: unit.numFailedTests }));

if (step('Build', 'npm', ['run', '--silent', 'build:plain']) === 0) {
  const browserFile = path.join(results, 'results.json');
  const browserCode = step('Browser tests', 'npx', ['--no-install', 'playwright', 'test']);
  count(browserFile, browserCode, ({ stats }) => ({
    passed: stats.expected,
    failed: stats.unexpected + stats.flaky,
  }));
} else failed++;

console.log('\nStep                       minutes');
for (const [name, time] of took) {
  const seconds = Math.round(time);
  const minutes = `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
  console.log(`${name.padEnd(26)} ${minutes.padStart(7)}`);
}
console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 && passed > 0 ? 0 : 1);
