// The training bench: how often the ideal is right at once, what it costs; the same of each school; whether cases are fair and can be told. `npx tsx
// studies/training.ts [cases] [cases a school]`.
import { posteriorOf } from '@mellow-probe/core/inference/posterior/posterior';
import { weightedFaults } from '@mellow-probe/core/inference/model/hypotheses';
import { DIFFICULTIES } from '@mellow-probe/core/training/cases/caseNumber';
import { problemAfter, replay } from '@mellow-probe/core/training/cases/play';
import { playBy, POLICIES, policyName, wasRight } from '@mellow-probe/core/training/cases/policies';
import { tellable } from '@mellow-probe/core/training/cases/score';
import { THEME_IDS } from '@mellow-probe/core/training/cases/themes';
import { guiltyGroups, trainingCase, type TrainingCase } from '@mellow-probe/core/training/cases/trainingCase';
import { FIELDS } from '@mellow-probe/core/base/units/vocabulary';
import { groupProbabilities } from '@mellow-probe/core/inference/verdict/assessment';

const [cases, ofSchool] = [Number(process.argv[2] ?? 500), Number(process.argv[3] ?? 90)];
/** Cases nobody has looked at: seeds of their own. */
const FIRST = 700_000;
const caseOf = (i: number): TrainingCase =>
  trainingCase({
    theme: THEME_IDS[i % THEME_IDS.length],
    field: FIELDS[Math.floor(i / THEME_IDS.length) % FIELDS.length],
    difficulty: DIFFICULTIES[Math.floor(i / (THEME_IDS.length * FIELDS.length)) % DIFFICULTIES.length],
    seed: FIRST + i,
  });

const byTheme = new Map<string, { cases: number; right: number; told: number; minutes: number }>();
let [right, told, rightOfTold, healed, fair] = [0, 0, 0, 0, 0];
for (let i = 0; i < cases; i++) {
  const made = caseOf(i);
  const played = playBy(made, 'ideal');
  const is = Number(wasRight(made, played));
  const can = Number(tellable(played));
  // Fair: what is told does not speak against the truth by more than a factor of ten.
  const problem = problemAfter(made, replay(made, []));
  const guilty = guiltyGroups(made);
  const plain = weightedFaults({ ...problem, factors: {} });
  const before = plain.filter((w) => guilty.includes(w.fault.group)).reduce((s, w) => s + w.weight, 0);
  const groups = groupProbabilities(posteriorOf(problem).faults).filter((g) => guilty.includes(g.group));
  fair += Number(groups.reduce((s, g) => s + g.probability, 0) > before / 10);
  [right, told, rightOfTold, healed] = [
    right + is,
    told + can,
    rightOfTold + is * can,
    healed + Number(played.state.ended === 'healed'),
  ];
  const line = byTheme.get(made.key.theme) ?? { cases: 0, right: 0, told: 0, minutes: 0 };
  byTheme.set(made.key.theme, {
    cases: line.cases + 1,
    right: line.right + is,
    told: line.told + can,
    minutes: line.minutes + played.state.minutes,
  });
  if ((i + 1) % 50 === 0) console.error(`${i + 1} of ${cases}`);
}
console.log(
  `ideal on ${cases} cases: right at once ${(right / cases).toFixed(3)}; can be told ${told}, of them right ${(rightOfTold / told).toFixed(3)}; healed in the end ${healed}; fair ${fair}`,
);
for (const [theme, { cases: n, right: r, told: t, minutes }] of byTheme)
  console.log(`  ${theme}: right ${r} of ${n}, told ${t}, ${(minutes / n).toFixed(0)} min`);

for (const policy of POLICIES) {
  let [minutes, total, own, above, sure] = [0, 0, 0, 0, 0];
  for (let i = 0; i < ofSchool; i++) {
    const made = caseOf(i);
    const ideal = playBy(made, 'ideal');
    const played = policy === 'ideal' ? ideal : playBy(made, policy);
    minutes += played.state.minutes;
    total += played.state.total;
    above += played.state.total - ideal.state.total;
    own += Number(wasRight(made, played));
    sure += Number(played.sure);
  }
  const mean = (sum: number): string => (sum / ofSchool).toFixed(1);
  console.log(
    `${policyName(policy)}: right at once ${(own / ofSchool).toFixed(2)}, ${mean(minutes)} min, cost ${mean(total)}, ${mean(above)} above the ideal, sure ${sure} of ${ofSchool}`,
  );
}
