// No figure that is none, whatever is typed: every figure said of random problems. `npx tsx studies/finite.ts [problems, 20000] [first seed, 1]`,
// part of `npm run accuracy` (an hour and a half on one core).
import { nonFinite, randomProblem } from '../core/test/randomProblems.ts';
import { proposeTests } from '../core/src/advice/nextTest/nextTest.ts';
import { undecidedPairs } from '../core/src/advice/nextTest/separation.ts';
import { posteriorOf } from '../core/src/inference/posterior/posterior.ts';
import { EVERYTHING_AT_HAND } from '../core/src/catalogue/kit/access.ts';
import { chartLines } from '../core/src/inference/verdict/chartLines.ts';
import { explain } from '../core/src/inference/verdict/assessment.ts';

const mayBeOverload = (path: string): boolean => /values|healthy|predicts|interval|value/.test(path);

const [count, first] = [Number(process.argv[2] ?? 20_000), Number(process.argv[3] ?? 1)];
let bad = 0;
for (let seed = first; seed < first + count; seed++) {
  const problem = randomProblem(seed, seed % 10 !== 0);
  const posterior = posteriorOf(problem);
  const assessment = explain(problem, posterior);
  const said = {
    assessment,
    chart: chartLines(problem, assessment),
    proposals: proposeTests(problem, posterior, EVERYTHING_AT_HAND),
    undecided: undecidedPairs(problem, posterior, EVERYTHING_AT_HAND),
  };
  const found = nonFinite(said, mayBeOverload);
  const sum = assessment.ranking.reduce((s, r) => s + r.probability, 0);
  if (found.length > 0 || Math.abs(sum - 1) > 1e-9) {
    bad++;
    console.log(`problem ${seed}: ${found[0] ?? `probabilities sum to ${sum}`}`);
  }
  if (seed % 1000 === 0) console.error(`${seed - first + 1} of ${count}, ${bad} with a figure that is none`);
}
console.log(`${count} random problems: ${bad} with a figure that is none (bar: 0)`);
