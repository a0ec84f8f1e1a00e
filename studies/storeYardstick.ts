// Writes core/test/data/evidence.json: ln evidence by plain averaging over a million prior draws a fault, for the test that holds the engine to it.
// `npm run yardstick` (half an hour on one core) renews it whole, whenever the model, its priors or its noise change; `npm run yardstick -- --fault ID` (minutes)
// adds or renews one fault alone. `--draws N` takes another number of draws.
import { readFileSync, writeFileSync } from 'node:fs';
import { spawnSync } from 'node:child_process';
import path from 'node:path';
import { parseArgs } from 'node:util';
import { faultById } from '../core/src/circuit/faults/list.ts';
import { posteriorOf } from '../core/src/inference/posterior/posterior.ts';
import { seededCase } from './cases.ts';
import { yardstick } from './yardstick.ts';

/** Seed, number of readings, whether the pull-up is unknown. The second row are cases in which some reading looks like a blunder. */
const CASES: [number, number, boolean][] = [
  ...Array.from({ length: 24 }, (_, i): [number, number, boolean] => [2000 + i, 1 + (i % 10), i % 6 === 5]),
  ...([
    [1004, 7, true],
    [1006, 9, false],
    [1048, 3, false],
    [1054, 9, true],
    [1144, 3, true],
    [1244, 8, true],
    [1324, 4, true],
    [1339, 5, true],
  ] as [number, number, boolean][]),
];
const { values } = parseArgs({ options: { fault: { type: 'string' }, draws: { type: 'string', default: '1000000' } } });
const DRAWS = Number(values.draws);
const only = values.fault === undefined ? null : faultById(values.fault).id;
const FILE = path.resolve(import.meta.dirname, '../core/test/data/evidence.json');

interface Row {
  seed: number;
  readings: number;
  unknownPullUp: boolean;
  faults: { fault: string; logEvidence: number; error: number }[];
}
/** What is stored of the other faults, where one alone is renewed. */
const others = (seed: number): Row['faults'] =>
  only === null
    ? []
    : (JSON.parse(readFileSync(FILE, 'utf8')) as { cases: Row[] }).cases
        .find((row) => row.seed === seed)!
        .faults.filter(({ fault }) => fault !== only);

const rows = CASES.map(([seed, readings, unknownPullUp], i): Row => {
  const { problem } = seededCase(seed, readings, unknownPullUp);
  const likely = new Set(
    posteriorOf(problem)
      .faults.filter((f) => f.probability > 0.02)
      .map((f) => f.fault.id),
  );
  const faults = yardstick(problem, DRAWS, (f) => likely.has(f.id) && (only === null || f.id === only), seed)
    // What the yardstick itself does not know well says nothing.
    .filter((b) => b.relativeError < 0.08)
    .map((b) => ({
      fault: b.fault,
      logEvidence: Number(b.logEvidence.toFixed(4)),
      error: Number(b.relativeError.toFixed(4)),
    }));
  console.error(`${i + 1} of ${CASES.length}: ${faults.length} faults`);
  return { seed, readings, unknownPullUp, faults: [...others(seed), ...faults] };
});

writeFileSync(FILE, `${JSON.stringify({ draws: DRAWS, cases: rows }, null, 1)}\n`);
spawnSync('npx', ['--no-install', 'prettier', '--write', '--log-level', 'warn', FILE], { stdio: 'inherit' });
