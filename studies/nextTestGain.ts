// Is the proposed test the best one? What each test would tell for its cost, worked out anew by an independent sampler (`tempered.ts`: 4,096 draws a fault, its own
// evidences), against the test that the program proposes. Writes its part of docs/accuracy.md.
// `npx tsx studies/nextTestGain.ts [problems, 300] [first seed, 70000]`
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

const [problems, first] = [300, 70_000].map((usual, i) => Number(process.argv[2 + i] ?? usual));
const EFFORT = { runs: 2, particles: 200, moves: 3, draws: 10_000 };
const DRAWS = 4096;
/** Faults given less than this by the engine are left to it: they change nothing. */
const COUNTS = 2e-3;

/** What is believed by the independent sampler. */
function anew(problem: Problem, { faults }: Posterior, seed: number): FaultPosterior[] {
  const found = faults
    .filter((f) => f.probability > COUNTS)
    .map((f, i) => {
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

function compared(seed: number): Compared {
  const { problem } = seededCase(seed, 1 + (seed % 4));
  const posterior = posteriorOf(problem);
  const access = EVERYTHING_AT_HAND;
  const faults = mendedApart(anew(problem, posterior, seed));
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

const list: Compared[] = [];
for (let seed = first; seed < first + problems; seed++) {
  const c = compared(seed);
  list.push(c);
  if (c.ratio !== null && c.ratio < 0.9) console.error(`seed ${seed}: ${JSON.stringify(c)}`);
  if (list.length % 50 === 0 || list.length === problems) {
    write(list);
    console.error(`next test ${list.length} of ${problems}`);
  }
}
