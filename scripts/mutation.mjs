// Mutation testing, room by room: `npm run mutation -- session storage` (no names: all of them, hours). Prints the score of each room and leaves the
// survivors in reports/mutation/ROOM.txt. `--sample 100` changes so many lines of each room only, drawn by a fixed seed (`--seed 7`: others): minutes, and a score good to
// some ten per cent. `npm run mutation -- hand` makes the changes of handMutants.mjs. Not part of `npm test`.
import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { ensurePackages, ROOT, run } from './prepare.mjs';
import { HAND_MUTANTS } from './handMutants.mjs';
import { ROOMS } from './mutationRooms.mjs';

ensurePackages();
// What is told: names of rooms, and options, which are taken out before the names are read.
const told = process.argv.slice(2);
const sample = taken('--sample');
const seed = taken('--seed') ?? 20261127;
if (told.includes('hand')) process.exit(handMutants() ? 0 : 1);
const chosen = told.length > 0 ? told : Object.keys(ROOMS);
const out = path.join(ROOT, 'reports', 'mutation');
mkdirSync(out, { recursive: true });

const lines = [];
for (const room of chosen) {
  if (!ROOMS[room]) {
    console.error(`No room "${room}": ${Object.keys(ROOMS).join(', ')}.`);
    process.exit(1);
  }
  const parts = sample === null ? ROOMS[room] : sampled(ROOMS[room], sample);
  const mutants = parts.flatMap((part, i) => mutantsOf(part, `${room}-${i}`));
  lines.push(scoreOf(room, mutants));
  console.log(lines[lines.length - 1]);
}
console.log(`\n${lines.join('\n')}`);

/** The number after an option, which is taken out of what was told; null where it is not there. */
function taken(option) {
  const at = told.indexOf(option);
  return at < 0 ? null : Number(told.splice(at, 2)[1]);
}

/** The same parts with stretches of five lines drawn by a fixed seed in place of whole files, so many lines in all. */
function sampled(parts, lines) {
  const STRETCH = 5;
  const all = parts.flatMap(({ mutate }, part) => {
    const leaves = mutate.filter((m) => m.startsWith('!')).flatMap((m) => filesOf(m.slice(1)));
    return mutate
      .filter((m) => !m.startsWith('!'))
      .flatMap(filesOf)
      .filter((file) => !leaves.includes(file))
      .flatMap((file) => {
        const count = readFileSync(file, 'utf8').split('\n').length;
        return Array.from({ length: Math.ceil(count / STRETCH) }, (_, i) => ({
          part,
          range: `${file}:${i * STRETCH + 1}-${(i + 1) * STRETCH}`,
        }));
      });
  });
  // A plain generator (Lehmer 1951): the same stretches on every run.
  let state = seed;
  const next = () => (state = (state * 48271) % 2147483647) / 2147483647;
  for (let i = all.length - 1; i > 0; i--) {
    const j = Math.floor(next() * (i + 1));
    [all[i], all[j]] = [all[j], all[i]];
  }
  const drawn = all.slice(0, Math.ceil(lines / STRETCH));
  return parts
    .map((part, i) => ({ ...part, mutate: drawn.filter((d) => d.part === i).map((d) => d.range) }))
    .filter(({ mutate }) => mutate.length > 0);
}

/** Files of one folder by a pattern: a name, or `*` and how it ends. */
function filesOf(pattern) {
  const { dir, base } = path.parse(pattern);
  if (!base.startsWith('*')) return [pattern];
  return readdirSync(dir)
    .filter((name) => name.endsWith(base.slice(1)))
    .sort()
    .map((name) => `${dir}/${name}`);
}

/** Runs one part and returns its mutants with their source. */
function mutantsOf({ mutate, tests }, name) {
  const report = path.join(out, `${name}.json`);
  const config = path.join(out, `${name}.config.json`);
  rmSync(report, { force: true });
  writeFileSync(
    config,
    JSON.stringify({
      testRunner: 'vitest',
      plugins: ['@stryker-mutator/vitest-runner', path.join(ROOT, 'scripts', 'mutationMacros.mjs')],
      ignorers: ['vue-macros'],
      vitest: { configFile: 'vitest.mutation.config.ts', related: false },
      mutate,
      coverageAnalysis: 'perTest',
      // What runs once while the files are loaded (tables, constants) cannot be switched on for one test alone.
      ignoreStatic: true,
      mutator: { excludedMutations: ['StringLiteral'] },
      concurrency: 2,
      timeoutMS: 4000,
      timeoutFactor: 3,
      // All tests of the screens at once take more than the usual five minutes on a slow machine.
      dryRunTimeoutMinutes: 30,
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
  const { files, testFiles } = JSON.parse(readFileSync(report, 'utf8'));
  // A test file that does not load is left out by the runner without a word: its mutants would count as alive.
  const missing = tests.flatMap(filesOf).filter((file) => !Object.keys(testFiles).includes(file));
  if (missing.length > 0) {
    console.error(`${name}: these test files did not load in the changed code: ${missing.join(', ')}.`);
    process.exit(1);
  }
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

/** Makes each change by hand, runs its tests, puts the file back. True where every change made a test fail. */
function handMutants() {
  const alive = HAND_MUTANTS.filter(({ what, file, from, to, tests }) => {
    const before = readFileSync(path.join(ROOT, file), 'utf8');
    if (before.split(from).length !== 2) throw new Error(`${what}: "${from}" does not stand once in ${file}`);
    try {
      writeFileSync(
        path.join(ROOT, file),
        before.replace(from, () => to),
      );
      const code = run('npx', ['--no-install', 'vitest', 'run', '--bail=1', ...tests], { stdio: 'ignore' });
      console.log(`${code === 0 ? 'ALIVE ' : 'killed'} ${what} (${file})`);
      return code === 0;
    } finally {
      writeFileSync(path.join(ROOT, file), before);
    }
  });
  console.log(`\n${HAND_MUTANTS.length - alive.length} of ${HAND_MUTANTS.length} killed`);
  return alive.length === 0;
}
