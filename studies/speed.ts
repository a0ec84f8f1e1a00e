// Speed as ratios measured in this one run. Absolute times are for orientation only.
import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { SolvedCircuit } from '../core/src/circuit/network/solvedCircuit.ts';
import { nominalState } from '../core/src/circuit/network/sensorCircuit.ts';
import { assess } from '../core/src/inference/verdict/assessment.ts';
import { EVERYTHING_AT_HAND } from '../core/src/catalogue/kit/access.ts';
import { proposeTests } from '../core/src/advice/nextTest/nextTest.ts';
import { posteriorOf } from '../core/src/inference/posterior/posterior.ts';
import type { Problem } from '../core/src/inference/model/problem.ts';
import { catalogueCircuit } from '../core/src/catalogue/parts/catalogueCircuit.ts';
import { FAULTS } from '../core/src/circuit/faults/list.ts';
import { seededCase } from './cases.ts';
import { curveModel } from '../core/src/circuit/curves/curve.ts';
import { undecidedPairs } from '../core/src/advice/nextTest/separation.ts';
import { newJob } from '../core/src/check/job/newJob.ts';
import { outlookOf } from '../core/src/check/job/outlookOf.ts';
import { newStop } from '../core/src/circuit/harness/harnessSchema.ts';
import { cheapestFirst } from '../core/src/advice/plan/cheapestFirst.ts';
import { optionsOf } from '../core/src/advice/plan/planOf.ts';
import { pairsOf } from '../core/src/inference/posterior/pairs.ts';
import { narrowed } from './narrow.ts';
import { yardstick } from './yardstick.ts';

const median = (list: number[]): number => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)];
function timed(work: () => void): number {
  const start = performance.now();
  work();
  return performance.now() - start;
}

const problems = Array.from({ length: 40 }, (_, i) => seededCase(3000 + i, 15).problem);
for (const p of problems) posteriorOf(p);

const ranking = problems.map((p) => median([0, 1, 2].map(() => timed(() => posteriorOf(p)))));
console.log(
  `ranking, ${FAULTS.length} faults, 15 readings, ${problems.length} cases: median ${median(ranking).toFixed(1)} ms, slowest ${Math.max(...ranking).toFixed(0)} ms (bar: 40 ms median)`,
);

// The same problems with the unknowns switched narrow, with the curve not known, and with pairs weighed: what each costs, in this one run.
const medianOf = (list: readonly Problem[]): number =>
  median(list.map((p) => median([0, 1, 2].map(() => timed(() => posteriorOf(p))))));
const narrow = medianOf(problems.map(narrowed));
const curve = curveModel({ kind: 'unknown' });
const unknown = medianOf(problems.map((p) => ({ ...p, circuit: { ...p.circuit, curve } })));
const pairs = median(
  problems.slice(0, 20).map((p) => {
    const singles = posteriorOf(p);
    return timed(() => {
      const steps = pairsOf(p, singles);
      while (!steps.next().done);
    });
  }),
);
console.log(
  `against the ranking with narrow unknowns: wide ${(median(ranking) / narrow).toFixed(2)} (bar: 1.4), curve not known ${(unknown / narrow).toFixed(1)} (bar: 5), pairs ${(pairs / narrow).toFixed(1)} (bar: 12)`,
);

// The bars in processor time: what a busy machine adds does not count.
function cpu(work: () => void): number {
  const before = process.cpuUsage();
  work();
  const { user, system } = process.cpuUsage(before);
  return (user + system) / 1000;
}
const alike = problems.slice(0, 10).map((p) => ({
  ...p,
  readings: Array.from({ length: 200 }, (_, i) => ({ ...p.readings[i % p.readings.length], id: `r${i}` })),
}));
const middleCpu = (list: readonly Problem[]): string => median(list.map((p) => cpu(() => posteriorOf(p)))).toFixed(0);
const pairsCpu = problems.slice(0, 20).map((p) => {
  const singles = posteriorOf(p);
  return cpu(() => {
    const steps = pairsOf(p, singles);
    while (!steps.next().done);
  });
});
console.log(
  `processor time: 200 readings ${middleCpu(alike)} ms (bar: 500), curve not known ${middleCpu(problems.map((p) => ({ ...p, circuit: { ...p.circuit, curve } })))} ms (bar: 150), pairs ${median(pairsCpu).toFixed(0)} ms (bar: 400)`,
);

const draws = 20_000;
const brute = problems.slice(0, 3).map((p) => (timed(() => yardstick(p, draws)) * 1_000_000) / draws);
console.log(
  `yardstick, 10^6 draws a fault (timed on ${draws}, it grows in proportion): ${(median(brute) / median(ranking)).toFixed(0)} times the ranking (bar: 300)`,
);

const proposals = problems.slice(0, 20).map((p) => {
  const early: Problem = { ...p, readings: p.readings.slice(0, 2) };
  const posterior = posteriorOf(early);
  return timed(() => proposeTests(early, posterior, EVERYTHING_AT_HAND));
});
console.log(
  `next-test proposal after two readings: median ${median(proposals).toFixed(1)} ms, slowest ${Math.max(...proposals).toFixed(0)} ms (bar: 200 ms)`,
);
console.log(
  `whole verdict with explanation: median ${median(problems.map((p) => timed(() => assess(p)))).toFixed(1)} ms`,
);

console.log('growth with readings (repeated readings of one case):');
const base = problems[0];
for (const n of [5, 10, 25, 50, 100, 200]) {
  const readings = Array.from({ length: n }, (_, i) => ({ ...base.readings[i % base.readings.length], id: `r${i}` }));
  const time = median([0, 1, 2].map(() => timed(() => posteriorOf({ ...base, readings }))));
  console.log(
    `  ${String(n).padStart(4)} readings ${time.toFixed(1).padStart(8)} ms ${((1000 * time) / n).toFixed(0).padStart(7)} µs a reading`,
  );
}

if (globalThis.gc) {
  globalThis.gc();
  const before = process.memoryUsage().heapUsed;
  let peak = before;
  for (const p of problems.slice(0, 10)) {
    posteriorOf(p);
    peak = Math.max(peak, process.memoryUsage().heapUsed);
    globalThis.gc();
  }
  console.log(
    `heap of a ranking, before collection: at most ${((peak - before) / 1e6).toFixed(1)} MB above the start (bar: 50 MB)`,
  );
}

adviceOnHarness();
circuits();

/** What the worker works out after the verdict, on a loom of six connectors with two neighbours read; with and without the order by expected cost. */
function adviceOnHarness(): void {
  const [six, none] = [6, 0].map((connectors) =>
    Array.from({ length: 20 }, (_, i): Problem => {
      const { problem } = seededCase(5000 + i, 3);
      const circuit = { ...problem.circuit, connectors, shares: 'both' as const };
      const neighbour = (airC: number, value: number, id: string): Problem['readings'][number] => ({
        ...{ id, measurement: 'neighbour-displayed', value, conditions: { airC }, state: 'steady' },
      });
      return {
        ...problem,
        circuit,
        readings: [...problem.readings, neighbour(20, 21, 'n1'), neighbour(20, -40, 'n2')],
      };
    }).filter((p) => p.circuit.layout === 'pull-up'),
  );
  const job = newJob('speed', '2026-01-01T00:00:00.000Z');
  job.loom.stops = Array.from({ length: 6 }, (_, i) => newStop(`c${i}`, 'connector'));
  const work = (problem: Problem, byCost: boolean): number => {
    const posterior = posteriorOf(problem);
    return timed(() => {
      const { access, costs } = outlookOf(job, posterior);
      if (byCost)
        cheapestFirst(proposeTests(problem, posterior, access, Infinity), optionsOf(posterior, access, costs));
      else proposeTests(problem, posterior, access);
      undecidedPairs(problem, posterior, access);
    });
  };
  const told = (byCost: boolean): string => {
    const times = six.map((p) => work(p, byCost));
    return `median ${median(times).toFixed(0)} ms, slowest ${Math.max(...times).toFixed(0)}`;
  };
  console.log(
    `advice on a loom of 6 connectors with 2 neighbours: ${told(false)}; by expected cost ${told(true)} (bar: 600 ms)`,
  );
  console.log(`  its first verdict ${(medianOf(six) / medianOf(none)).toFixed(2)} times that without connectors`);
}

function circuits(): void {
  const circuit = catalogueCircuit('engine-coolant-2k');
  const state = nominalState(circuit, 20, 2490);
  const solved = new SolvedCircuit();
  const n = 1_000_000;
  let sum = 0;
  const solve = (count: number): void => {
    for (let i = 0; i < count; i++) {
      state.sensorFixedOhm = 500 + i / 100;
      sum += solved.set(state).volts('sensor', 'signal', 'chassis');
    }
  };
  solve(n / 10);
  const ours = n / timed(() => solve(n));
  const loops = 3000;
  const folder = mkdtempSync(path.join(tmpdir(), 'mellow-probe-bench-'));
  const deck = (count: number): string => {
    const file = path.join(folder, `loop${count}.cir`);
    writeFileSync(
      file,
      `* loop\n.options gmin=1e-18 reltol=1e-12 vntol=1e-15 abstol=1e-18\nv1 ref 0 dc 5\nr1 ref pin 2490\nr2 pin 0 ${state.inputOhm}\nr3 pin sig ${state.signalOhm}\nr4 sig ret 500\nr5 ret 0 ${state.returnOhm}\nr6 sig 0 1e7\n.control\nset numdgt=15\nlet i = 0\ndowhile i < ${count}\nlet r = 500 + i / 100\nalter r4 = r\nop\nlet i = i + 1\nend\nprint v(sig)\nquit\n.endc\n.end\n`,
    );
    return file;
  };
  const run = (count: number): { ms: number; out: string } => {
    const start = performance.now();
    const { stdout } = spawnSync('ngspice', ['-b', deck(count)], { encoding: 'utf8', maxBuffer: 1e9 });
    return { ms: performance.now() - start, out: stdout };
  };
  // The difference of two runs leaves start-up out.
  const [short, long] = [run(10), run(10 + loops)];
  rmSync(folder, { recursive: true });
  const theirs = loops / (long.ms - short.ms);
  const last = Number(/v\(sig\) = ([-+.\deE]+)/.exec(long.out)?.[1]);
  state.sensorFixedOhm = 500 + (9 + loops) / 100;
  const difference = Math.abs(solved.set(state).volts('sensor', 'signal', 'chassis') - last);
  console.log(
    `circuit solves: ${(ours / theirs).toFixed(0)} times the ngspice alter/op loop (bar: 200), difference ${difference.toExponential(1)} V (bar: 1e-8), check ${sum > 0}`,
  );
}
