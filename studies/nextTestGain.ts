// Is the proposed test the best one? What each test would tell for its cost, worked out anew by an independent sampler (`tempered.ts`: 4,096 draws a fault, its own
// evidences), against the test that the program proposes. The same draws say how much the verdict loses against ideal inference on the model's own cases. Writes
// its parts of docs/accuracy.md. `npx tsx studies/nextTestGain.ts [problems, 300] [problems for the loss, 400] [first seed, 70000]`
import { logLoss, scoreOf } from '../cli/src/study/stages.ts';
import { percent } from '../cli/src/study/studyText.ts';
import { outcomeTable, predictAll, unbiasedInformation } from '../core/src/advice/nextTest/information.ts';
import { mendedApart } from '../core/src/advice/nextTest/mendedApart.ts';
import { minutesOf, proposeTests, testsToPropose } from '../core/src/advice/nextTest/nextTest.ts';
import { logSumExp } from '../core/src/base/numeric/logSumExp.ts';
import { EVERYTHING_AT_HAND } from '../core/src/catalogue/kit/access.ts';
import { noiseOf } from '../core/src/inference/model/predictor.ts';
import type { Problem } from '../core/src/inference/model/problem.ts';
import { type FaultPosterior, type Posterior, posteriorOf } from '../core/src/inference/posterior/posterior.ts';
import { seededCase } from './cases.ts';
import { table, writeSection } from './sections.ts';
import { temperedDraws } from './tempered.ts';

const [problems, forLoss, first] = [300, 400, 70_000].map((usual, i) => Number(process.argv[2 + i] ?? usual));
const EFFORT = { runs: 2, particles: 200, moves: 3, draws: 10_000 };
const DRAWS = 4096;
/** Faults given less than this by the engine are left to it, unless one is the truth: they change nothing. */
const COUNTS = 2e-3;

/** What is believed by the independent sampler; faults that were left to the engine have no draws. */
function anew(problem: Problem, { faults }: Posterior, truth: string, seed: number): FaultPosterior[] {
  const found = faults.map((f, i) => {
    if (f.probability <= COUNTS && f.fault.id !== truth) return { ...f, draws: [] };
    const { logEvidence, possibilities } = temperedDraws(problem, f.fault, EFFORT, DRAWS, seed * 31 + i);
    const draws = possibilities.map((p) => ({ ...p, size: NaN, weight: 1 / DRAWS }));
    return { ...f, logEvidence, draws };
  });
  const logs = found.map((f) => f.logEvidence + Math.log(f.prior));
  const total = logSumExp(logs);
  return found.map((f, i) => ({ ...f, probability: Math.exp(logs[i] - total) }));
}

interface Compared {
  /** Gain per cost of the proposed test against the best one's; null where nothing is proposed. */
  ratio: number | null;
  /** What the proposed test tells, and the best one by gain per cost, bits. */
  proposedBits: number;
  bestBits: number;
}

/** −ln of what was given to the true group, nat, by the engine and by the independent sampler. */
interface Loss {
  engine: number;
  ideal: number;
}

function compared(seed: number, withTests: boolean): { loss: Loss; test: Compared | null } {
  const { problem, simulated } = seededCase(seed, 1 + (seed % 4));
  const posterior = posteriorOf(problem);
  const independent = anew(problem, posterior, simulated.fault, seed);
  const loss = {
    engine: logLoss([scoreOf(posterior.faults, simulated.group)]),
    ideal: logLoss([scoreOf(independent, simulated.group)]),
  };
  return { loss, test: withTests ? bestAndProposed(problem, posterior, independent) : null };
}

function bestAndProposed(problem: Problem, posterior: Posterior, independent: readonly FaultPosterior[]): Compared {
  const access = EVERYTHING_AT_HAND;
  const faults = mendedApart(independent.filter((f) => f.draws.length > 0 && f.probability > COUNTS));
  const told = testsToPropose(problem, posterior, access).map((test) => {
    const predictions = faults.map((f) => predictAll(posterior, test, f.draws));
    const outcomes = outcomeTable(faults, predictions, noiseOf(problem, test.measurement, test.conditions));
    const bits = unbiasedInformation(outcomes);
    const cost = minutesOf(test, problem, access) + (test.measurement.risky ? access.riskMinutes : 0);
    return { key: `${test.measurement.id} ${JSON.stringify(test.conditions)}`, bits, gain: bits / cost };
  });
  // What tells less than the program's least is no test to propose.
  const best = told.filter((t) => t.bits > 0.05).sort((a, b) => b.gain - a.gain)[0];
  const [proposal] = proposeTests(problem, posterior, access, 1);
  const own = proposal && told.find((t) => t.key === `${proposal.measurement} ${JSON.stringify(proposal.conditions)}`);
  return {
    ratio: own ? (best ? own.gain / best.gain : 1) : null,
    proposedBits: own?.bits ?? NaN,
    bestBits: best?.bits ?? 0,
  };
}

function write(list: readonly Compared[]): void {
  const proposed = list.filter((c) => c.ratio !== null);
  const ratios = proposed.map((c) => c.ratio!).sort((a, b) => a - b);
  const silent = list.filter((c) => c.ratio === null);
  const least = proposed.map((c) => c.proposedBits).sort((a, b) => a - b)[0];
  writeSection(
    'next-test',
    `${list.length} made-up problems of one to four readings (seeds from ${first}), any test at hand. Each test’s gain per cost is worked out anew with ${DRAWS} draws a fault of
an independent sampler (\`studies/nextTestGain.ts\`).

${table(
  ['', 'measured', 'bar'],
  [
    [
      'the proposed test within 10 % of the best one',
      `${percent(ratios.filter((r) => r >= 0.9).length / ratios.length)} (${ratios.filter((r) => r >= 0.9).length} of ${ratios.length})`,
      'all',
    ],
    [
      'the proposed test against the best one',
      `median ${ratios[ratios.length >> 1].toFixed(2)}, least ${ratios[0].toFixed(2)}`,
      '≥ 0.9',
    ],
    [
      'proposed although it tells less than 0.05 bit',
      `${proposed.filter((c) => c.proposedBits < 0.05).length} (least ${least.toFixed(3)} bit)`,
      'none',
    ],
    [
      'nothing proposed although a test tells more than 0.1 bit',
      `${silent.filter((c) => c.bestBits > 0.1).length} of ${silent.length}`,
      '',
    ],
  ],
)}`,
  );
}

const signed = (share: number): string => `${share < 0 ? '−' : ''}${percent(Math.abs(share))}`;

function writeLoss(list: readonly Loss[]): void {
  const mean = (of: (l: Loss) => number): number => list.reduce((sum, l) => sum + of(l), 0) / list.length;
  const [engine, ideal] = [mean((l) => l.engine), mean((l) => l.ideal)];
  const variance = mean((l) => (l.engine - l.ideal - (engine - ideal)) ** 2);
  const upper = engine - ideal + 1.645 * Math.sqrt(variance / list.length);
  writeSection(
    'own-ideal',
    `${list.length} cases of the model itself with one to four readings, judged by the engine and by the independent sampler (\`studies/nextTestGain.ts\`; every fault above ${COUNTS} and
the true one weighed anew). Log loss of the true group: engine ${engine.toFixed(3)} nat, ideal ${ideal.toFixed(3)} nat. Engine above ideal: ${signed((engine - ideal) / ideal)};
upper 95 % limit of the paired difference: ${signed(upper / ideal)} (bar: 5 %).`,
  );
}

const tests: Compared[] = [];
const losses: Loss[] = [];
for (let i = 0; i < forLoss; i++) {
  const { loss, test } = compared(first + i, i < problems);
  losses.push(loss);
  if (test) tests.push(test);
  if (test?.ratio && test.ratio < 0.9) console.error(`seed ${first + i}: ${JSON.stringify(test)}`);
  if ((i + 1) % 20 !== 0 && i + 1 !== forLoss) continue;
  if (test) write(tests);
  writeLoss(losses);
  console.error(`next test ${i + 1} of ${forLoss}`);
}
