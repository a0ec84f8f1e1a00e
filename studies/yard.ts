// The yard: cases drawn wider than the model, judged with what a technician would enter. Part of `npm run accuracy`; writes its part of
// docs/accuracy.md. `npx tsx studies/yard.ts [cases a row, 500] [sound circuits, 2000] [pairs, 300]
// [part: yard, worlds, sound or pairs alone]`
import { judge, logLoss, type Score } from '../cli/src/study/stages.ts';
import { percent } from '../cli/src/study/studyText.ts';
import { mayBeTwo, saysTwo, twoFaultsOf } from '../core/src/advice/nextTest/twoFaults.ts';
import { posteriorOf } from '../core/src/inference/posterior/posterior.ts';
import { EVERYTHING_AT_HAND } from '../core/src/catalogue/kit/access.ts';
import type { Problem } from '../core/src/inference/model/problem.ts';
import { simulateCase, withReadings } from '../core/src/training/simulation/simulateCase.ts';
import { simulatePair } from '../core/src/training/simulation/simulatePair.ts';
import { soundCircuit } from '../core/src/training/simulation/soundCircuit.ts';
import { YARD_ROWS, yardCase, type YardRow } from '../core/src/training/simulation/yardCase.ts';
import { calibrationError } from './calibration.ts';
import { explain, groupProbabilities } from '../core/src/inference/verdict/assessment.ts';
import { testsAtRandom } from './cases.ts';
import { table, writeSection } from './sections.ts';

const [cases, sound, pairs] = [500, 2000, 300].map((n, i) => Number(process.argv[2 + i] ?? n));
const say = (text: string): void => console.error(text);
const STAGES = [9, 18] as const;

function judgeRow(row: YardRow, readings: number): Score[] {
  return Array.from({ length: cases }, (_, seed) => {
    const { problem, fault } = yardCase(seed, row, readings);
    return judge(problem, fault.group);
  });
}

const mean = (list: readonly Score[], of: (j: Score) => number): number =>
  list.reduce((sum, j) => sum + of(j), 0) / list.length;
const confidentlyWrong = (list: readonly Score[]): number => mean(list, (j) => Number(!j.right && j.leading > 0.9));

function yardPart(of: readonly YardRow[]): string {
  const pooled: Score[] = [];
  const rows = of.flatMap((row) =>
    STAGES.map((readings) => {
      const judged = judgeRow(row, readings);
      pooled.push(...judged);
      say(`${row}, ${readings} readings`);
      return [
        readings === STAGES[0] ? row : '',
        String(readings),
        percent(mean(judged, (j) => Number(j.right))),
        logLoss(judged).toFixed(3),
        percent(confidentlyWrong(judged)),
      ];
    }),
  );
  return `${cases} cases a row, each drawn as wide as the row says and judged with what a technician would enter (\`core/src/training/simulation/yardCase.ts\`): all
three layouts, every kind of curve of the catalogue, the last readings with the machine hot. Confidently wrong: more than 90 % on a group that is
not at fault.

${table(['what is wide', 'readings', 'right group', 'log loss (nat)', 'confidently wrong'], rows)}

Calibration error of the leading group over all of them, in ten bands: ${calibrationError(pooled.map((j) => ({ probability: j.leading, is: j.right }))).toFixed(3)}.`;
}

function soundPart(): string {
  const rows = [4, 9].map((count) => {
    let [condemned, surely] = [0, 0];
    for (let seed = 0; seed < sound; seed++) {
      const [first] = groupProbabilities(posteriorOf(soundCircuit(seed, count)).faults);
      if (first.group === 'healthy' || first.probability <= 0.5) continue;
      condemned++;
      if (first.probability > 0.9) surely++;
    }
    say(`sound circuits, ${count} readings`);
    return [String(count), percent(condemned / sound), percent(surely / sound)];
  });
  return `${sound} sound circuits, each figure anywhere within what nobody calls a fault: reference 0.96 … 1.06 of nominal, pull-up and sensor ± 5 %,
thermometer ± 3 K, meter ± 1.5 %, module input 0.5 MΩ … none.

${table(['usual readings', 'a fault group above 50 %', 'above 90 %'], rows)}`;
}

const PAIR_ROWS = [
  'both named, first in the list',
  'both among the named pairs',
  '“more than one” said',
  '“more than one” said, or two faults named as possible',
  'two claimed where there is one',
  'two claimed, or named as possible, where there is one',
] as const;

/** Share of each row among the pairs, and among as many single faults, after so many readings. */
function pairShares(readings: number): number[] {
  const weigh = (problem: Problem) => {
    const posterior = posteriorOf(problem);
    const assessment = explain(problem, posterior);
    return { assessment, two: twoFaultsOf(problem, posterior, assessment, EVERYTHING_AT_HAND) };
  };
  const counts = PAIR_ROWS.map(() => 0);
  const count = (...are: boolean[]): void => are.forEach((is, i) => (counts[i] += Number(is)));
  const key = (ids: string[]): string => [...ids].sort().join('+');
  for (let i = 0; i < pairs; i++) {
    const { problem, faults } = simulatePair(9000 + i, (p) => testsAtRandom(i, p, readings));
    const { assessment, two } = weigh(problem);
    const claimed = saysTwo(two);
    const truth = key(faults.map((f) => f.id));
    const found = (two?.pairs ?? []).map((p) => key([p.first.fault, p.second.fault]));
    const said = claimed || assessment.doubt.kind === 'nothing-fits';
    const single = simulateCase(20_000 + i);
    const other = weigh(withReadings(single, testsAtRandom(i, single.problem, readings))).two;
    count(
      claimed && found[0] === truth,
      claimed && found.includes(truth),
      said,
      said || mayBeTwo(two),
      saysTwo(other),
      saysTwo(other) || mayBeTwo(other),
    );
    if ((i + 1) % 20 === 0) say(`pairs ${i + 1} of ${pairs}`);
  }
  return counts.map((n) => n / pairs);
}

function pairPart(): string {
  const columns = STAGES.map(pairShares);
  return `${pairs} cases with two faults, each shifting a reading by 5 σ with the other present; and as many with one. Two faults are named as possible
from 10 % on.

${table(
  ['', ...STAGES.map((readings) => `${readings} readings`)],
  PAIR_ROWS.map((row, i) => [row, ...columns.map((shares) => percent(shares[i]))]),
)}`;
}

/** The rows of the first rounds, and the worlds that came after "all together". */
const FIRST = YARD_ROWS.indexOf('all together') + 1;
const PARTS: Readonly<Record<string, () => string>> = {
  yard: () => yardPart(YARD_ROWS.slice(0, FIRST)),
  worlds: () => yardPart(YARD_ROWS.slice(FIRST)),
  sound: soundPart,
  pairs: pairPart,
};
const only = process.argv[5];
for (const [name, part] of Object.entries(PARTS)) if (only === undefined || only === name) writeSection(name, part());
