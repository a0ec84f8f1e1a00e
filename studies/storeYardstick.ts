// Writes core/test/data/evidence.json: ln evidence by plain averaging over a million prior draws a fault, for the test that holds the engine to it.
// `npm run yardstick` (some minutes on one core); to be run again whenever the model, its priors or its noise change.
import { mkdirSync, writeFileSync } from 'node:fs';
import path from 'node:path';
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
const DRAWS = Number(process.argv[2] ?? 1_000_000);

const rows = CASES.map(([seed, readings, unknownPullUp], i) => {
  const { problem } = seededCase(seed, readings, unknownPullUp);
  const likely = new Set(
    posteriorOf(problem)
      .faults.filter((f) => f.probability > 0.02)
      .map((f) => f.fault.id),
  );
  const faults = yardstick(problem, DRAWS, (f) => likely.has(f.id), seed)
    // What the yardstick itself does not know well says nothing.
    .filter((b) => b.relativeError < 0.08)
    .map((b) => ({
      fault: b.fault,
      logEvidence: Number(b.logEvidence.toFixed(4)),
      error: Number(b.relativeError.toFixed(4)),
    }));
  console.error(`${i + 1} of ${CASES.length}: ${faults.length} faults`);
  return { seed, readings, unknownPullUp, faults };
});

const file = path.resolve(import.meta.dirname, '../core/test/data/evidence.json');
mkdirSync(path.dirname(file), { recursive: true });
writeFileSync(file, `${JSON.stringify({ draws: DRAWS, cases: rows }, null, 1)}\n`);
