// Writes the first part of docs/accuracy.md: how often the verdict is right, measured. `npm run accuracy` (about an hour and a half on one core), or with
// smaller numbers: cases, cases of the orders, cases against the yardstick.
import { studyOrders } from '../cli/src/study/orders.ts';
import { studyStages, STAGES } from '../cli/src/study/stages.ts';
import { studyText } from '../cli/src/study/studyText.ts';
import { groupProbabilities } from '../core/src/inference/verdict/assessment.ts';
import { posteriorOf } from '../core/src/inference/posterior/posterior.ts';
import { simulateCase, withReadings } from '../core/src/training/simulation/simulateCase.ts';
import { faultById } from '../core/src/circuit/faults/list.ts';
import { compareEvidence, evidenceText } from './compareEvidence.ts';
import { writeSection } from './sections.ts';
import { yardstick } from './yardstick.ts';

const [cases, orders, subset, evidenceCases, evidenceDraws] = [2000, 200, 60, 60, 1_000_000].map((n, i) =>
  Number(process.argv[2 + i] ?? n),
);
const say = (text: string): void => console.error(text);

/** Right group by the engine and by the yardstick (10⁵ draws a fault) on the same readings. */
function againstYardstick(count: number): { engine: number; brute: number; same: number; logLoss: [number, number] } {
  const result = { engine: 0, brute: 0, same: 0, logLoss: [0, 0] as [number, number] };
  for (let i = 0; i < count; i++) {
    const simulated = simulateCase(50_000 + i);
    const problem = withReadings(
      simulated,
      STAGES.slice(0, 3).flatMap((s) => s.adds),
    );
    const mine = groupProbabilities(posteriorOf(problem).faults);
    const shares = new Map<string, number>();
    const brute = yardstick(problem, 100_000, undefined, i + 1);
    const top = Math.max(...brute.map((b) => Math.log(b.prior) + b.logEvidence));
    let total = 0;
    for (const b of brute) {
      const p = Math.exp(Math.log(b.prior) + b.logEvidence - top);
      total += p;
      const { group } = faultById(b.fault);
      shares.set(group, (shares.get(group) ?? 0) + p);
    }
    const [leader] = [...shares].sort((a, b) => b[1] - a[1])[0];
    result.engine += Number(mine[0].group === simulated.group);
    result.brute += Number(leader === simulated.group);
    result.same += Number(mine[0].group === leader);
    const truth = mine.find((g) => g.group === simulated.group)!.probability;
    result.logLoss[0] -= Math.log(Math.max(truth, 1e-6)) / count;
    result.logLoss[1] -= Math.log(Math.max((shares.get(simulated.group) ?? 0) / total, 1e-6)) / count;
    if ((i + 1) % 10 === 0) say(`yardstick ${i + 1} of ${count}`);
  }
  return result;
}

const stages = studyStages(cases, 1, (n) => say(`cases ${n} of ${cases}`));
const ordersRun = studyOrders(orders, 1, (n) => say(`order ${n} done`));
const beside = againstYardstick(subset);
const evidence = compareEvidence(evidenceCases, evidenceDraws, false, (n) => say(`evidence ${n} of ${evidenceCases}`));
const percent = (n: number): string => `${((100 * n) / subset).toFixed(1)} %`;
writeSection(
  'model',
  `${studyText(stages, ordersRun, { cases, orders, seed: 1 })}
## Against plain averaging

On ${subset} further cases after loaded volts and sensor ohms, the same readings are judged in another way too. It averages the likelihood over 10⁵ draws
of every fault's prior (the yardstick, \`studies/yardstick.ts\`):

| | right group | log loss (nat) |
|---|---|---|
| engine | ${percent(beside.engine)} | ${beside.logLoss[0].toFixed(3)} |
| yardstick | ${percent(beside.brute)} | ${beside.logLoss[1].toFixed(3)} |

Same leading group in ${percent(beside.same)}.

Evidence, fault by fault (\`npm run bench -- evidence\`):

${evidenceText(evidence)
  .map((line) => `- ${line}`)
  .join('\n')}
`,
);
