// Ideal inference beside the engine on the cases of the yard (`yard.ts`): the same model, no shared way of integrating (`tempered.ts`). Writes its part of
// docs/accuracy.md. `npx tsx studies/ideal.ts [cases a row and stage, 50]` (hours; what was weighed lies in reports/ideal.jsonl, and is not weighed again).
import { appendFileSync, existsSync, mkdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { judge, logLoss, type Score, scoreOf } from '../cli/src/study/stages.ts';
import { percent } from '../cli/src/study/studyText.ts';
import { posteriorOf } from '../core/src/inference/posterior/posterior.ts';
import { logSumExp } from '../core/src/base/numeric/logSumExp.ts';
import { YARD_ROWS, yardCase, type YardRow } from '../core/src/training/simulation/yardCase.ts';
import { table, writeSection } from './sections.ts';
import { temperedEvidence } from './tempered.ts';

const cases = Number(process.argv[2] ?? 50);
const STAGES = [9, 18] as const;
/** Faults given more than this by the engine are weighed anew, and the true one always: what the engine overlooks shows where it is the truth. */
const WEIGHED = 1e-3;
const EFFORT = { runs: 2, particles: 300, moves: 3, draws: 12_000 };
const FILE = path.resolve(import.meta.dirname, '../reports/ideal.jsonl');

/** A case by ideal inference. */
interface Weighed {
  row: YardRow;
  readings: number;
  seed: number;
  ideal: Score;
  /** Greatest relative error of an evidence weighed anew, and how far the engine's lay from it in the middle of the faults weighed, nat. */
  error: number;
  off: number[];
}

function weigh(row: YardRow, readings: number, seed: number): Weighed {
  const { problem, fault } = yardCase(seed, row, readings);
  const { faults } = posteriorOf(problem);
  const anew = faults.filter((f) => f.probability > WEIGHED || f.fault.id === fault.id);
  const off: number[] = [];
  let error = 0;
  // Where nothing but the truth is left, there is nothing to weigh.
  if (anew.length === 1) return { row, readings, seed, ideal: scoreOf(faults, fault.group), error, off };
  const logs = faults.map((f, i) => {
    if (!anew.includes(f)) return f.logEvidence + Math.log(f.prior);
    const { logEvidence, relativeError } = temperedEvidence(problem, f.fault, EFFORT, seed * 31 + i);
    error = Math.max(error, relativeError);
    off.push(Number((f.logEvidence - logEvidence).toFixed(3)));
    return logEvidence + Math.log(f.prior);
  });
  const total = logSumExp(logs);
  const ideal = faults
    .map((f, i) => ({ ...f, probability: Math.exp(logs[i] - total) }))
    .sort((a, b) => b.probability - a.probability);
  return { row, readings, seed, ideal: scoreOf(ideal, fault.group), error, off };
}

mkdirSync(path.dirname(FILE), { recursive: true });
const before: Weighed[] = existsSync(FILE)
  ? readFileSync(FILE, 'utf8')
      .split('\n')
      .filter(Boolean)
      .map((line) => JSON.parse(line) as Weighed)
  : [];
const keyOf = (row: YardRow, readings: number, seed: number): string => `${row} ${readings} ${seed}`;
const known = new Map(before.map((w) => [keyOf(w.row, w.readings, w.seed), w]));
for (let seed = 0; seed < cases; seed++) {
  for (const row of YARD_ROWS)
    for (const readings of STAGES) {
      const key = keyOf(row, readings, seed);
      if (known.has(key)) continue;
      const weighed = weigh(row, readings, seed);
      known.set(key, weighed);
      appendFileSync(FILE, `${JSON.stringify(weighed)}\n`);
    }
  console.error(`${seed + 1} of ${cases}`);
}
const done = [...known.values()].filter(({ seed }) => seed < cases);

const mean = (list: readonly number[]): number => list.reduce((a, b) => a + b, 0) / list.length;
const right = (list: readonly Score[]): string => percent(mean(list.map((s) => Number(s.right))));
const wrong = (list: readonly Score[]): string => percent(mean(list.map((s) => Number(!s.right && s.leading > 0.9))));
const loss = (list: readonly Score[]): string => logLoss(list).toFixed(3);

const rows = YARD_ROWS.flatMap((row) =>
  STAGES.map((readings) => {
    const ideal = done.filter((w) => w.row === row && w.readings === readings).map((w) => w.ideal);
    // The engine as it is now, whatever it was when the rest was weighed.
    const engine = Array.from({ length: cases }, (_, seed) => {
      const { problem, fault } = yardCase(seed, row, readings);
      return judge(problem, fault.group);
    });
    return [
      readings === STAGES[0] ? row : '',
      String(readings),
      `${right(engine)}, ${right(ideal)}`,
      `${loss(engine)}, ${loss(ideal)}`,
      `${wrong(engine)}, ${wrong(ideal)}`,
    ];
  }),
);
const errors = done.filter((b) => b.off.length > 0);
writeSection(
  'ideal',
  `The first ${cases} cases of each row and stage, by the engine and by ideal inference on the same model (\`studies/tempered.ts\`: no fit, no cells, some
40 000 solutions of the circuit a fault; every fault above ${WEIGHED} and the true one weighed anew).

${table(['what is wide', 'readings', 'right group: engine, ideal', 'log loss (nat)', 'confidently wrong'], rows)}

${errors.length} cases had more than the truth to weigh; their relative error is ${percent(mean(errors.map((b) => b.error)))} for the worst fault of each, on the average.`,
);
