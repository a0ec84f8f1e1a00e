// Mutation testing, room by room: `npm run mutation -- session storage` (no names: all of them, hours). Prints the score of each room and leaves the
// survivors in reports/mutation/ROOM.txt. Not part of `npm test`.
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { ensurePackages, ROOT, run } from './prepare.mjs';
import { ROOMS } from './mutationRooms.mjs';

ensurePackages();
const chosen = process.argv.slice(2).length > 0 ? process.argv.slice(2) : Object.keys(ROOMS);
const out = path.join(ROOT, 'reports', 'mutation');
mkdirSync(out, { recursive: true });

const lines = [];
for (const room of chosen) {
  if (!ROOMS[room]) {
    console.error(`No room "${room}": ${Object.keys(ROOMS).join(', ')}.`);
    process.exit(1);
  }
  const mutants = ROOMS[room].flatMap((part, i) => mutantsOf(part, `${room}-${i}`));
  lines.push(scoreOf(room, mutants));
  console.log(lines[lines.length - 1]);
}
console.log(`\n${lines.join('\n')}`);

/** Runs one part and returns its mutants with their source. */
function mutantsOf({ mutate, tests }, name) {
  const report = path.join(out, `${name}.json`);
  const config = path.join(out, `${name}.config.json`);
  rmSync(report, { force: true });
  writeFileSync(
    config,
    JSON.stringify({
      testRunner: 'vitest',
      plugins: ['@stryker-mutator/vitest-runner'],
      vitest: { configFile: 'vitest.mutation.config.ts', related: false },
      mutate,
      coverageAnalysis: 'perTest',
      // What runs once while the files are loaded (tables, constants) cannot be switched on for one test alone.
      ignoreStatic: true,
      mutator: { excludedMutations: ['StringLiteral'] },
      concurrency: 2,
      timeoutMS: 4000,
      timeoutFactor: 3,
      tempDirName: '.stryker-tmp',
      ignorePatterns: ['test-results', 'reports', 'web/dist', 'docs'],
      reporters: ['json', 'dots'],
      jsonReporter: { fileName: report },
      allowEmpty: true,
    }),
  );
  const code = run('npx', ['--no-install', 'stryker', 'run', config], {
    env: { ...process.env, MUTATION_TESTS: tests.join(',') },
  });
  rmSync(config, { force: true });
  if (code !== 0 || !existsSync(report)) {
    console.error(`${name}: the mutation run failed.`);
    process.exit(code || 1);
  }
  const { files } = JSON.parse(readFileSync(report, 'utf8'));
  return Object.entries(files).flatMap(([file, f]) =>
    f.mutants.map((m) => ({ ...m, file, source: f.source.split('\n') })),
  );
}

/** Killed and timed out among those that some test could have seen or that none covers; ignored and static ones do not count. */
function scoreOf(room, mutants) {
  const of = (...states) => mutants.filter((m) => states.includes(m.status));
  const dead = of('Killed', 'Timeout', 'RuntimeError').length;
  const alive = of('Survived', 'NoCoverage');
  const text = alive.map(
    ({ file, location, mutatorName, replacement, status, source }) =>
      `${file}:${location.start.line} ${mutatorName} ${status}\n    ${source[location.start.line - 1].trim()}\n    → ${(replacement ?? '').replace(/\s+/g, ' ').slice(0, 120)}`,
  );
  writeFileSync(path.join(out, `${room}.txt`), `${text.join('\n')}\n`);
  const share = (100 * dead) / (dead + alive.length);
  return `${room}: ${share.toFixed(1)} % of ${dead + alive.length} mutants killed (${alive.length} alive: reports/mutation/${room}.txt)`;
}
