// The model's own narrow cases, judged with the unknowns narrow and as they ship: what the wider model costs where the narrow one is true.
// `npx tsx studies/ownCases.ts [cases, 500]`, part of `npm run accuracy`; writes its part of docs/accuracy.md.
import { STAGES } from '../cli/src/study/stages.ts';
import { catalogueCircuit } from '../core/src/catalogue/catalogueCircuit.ts';
import { CATALOGUE_CIRCUITS } from '../core/src/catalogue/circuits.ts';
import { posteriorOf } from '../core/src/inference/posterior.ts';
import type { Problem } from '../core/src/model/problem.ts';
import { simulateCase, withReadings } from '../core/src/simulation/simulateCase.ts';
import { groupProbabilities } from '../core/src/verdict/assessment.ts';
import { GENERIC_INSTRUMENTS, THERMOMETER_SIGMA_K } from '../core/src/kit/instruments.ts';
import { NARROW_INSTRUMENTS, NARROW_SPREAD, NARROW_THERMOMETER_K } from './narrow.ts';
import { table, writeSection } from './sections.ts';

const cases = Number(process.argv[2] ?? 500);
const known = CATALOGUE_CIRCUITS.filter((c) => c.layout === 'pull-up' && c.pullUpOhm !== null);
const loss = { narrow: STAGES.map(() => 0), shipped: STAGES.map(() => 0) };
const lossOf = (problem: Problem, group: string): number => {
  const given = groupProbabilities(posteriorOf(problem).faults).find((g) => g.group === group)!.probability;
  return -Math.log(Math.max(given, 1e-6)) / cases;
};
for (let seed = 0; seed < cases; seed++) {
  const circuit = { ...catalogueCircuit(known[seed % known.length].id), spread: NARROW_SPREAD };
  const simulated = simulateCase(70_000 + seed, circuit, {
    instruments: NARROW_INSTRUMENTS,
    thermometerK: NARROW_THERMOMETER_K,
  });
  const all = withReadings(
    simulated,
    STAGES.flatMap((s) => s.adds),
  );
  let taken = 0;
  STAGES.forEach((stage, s) => {
    taken += stage.adds.length;
    const problem = { ...all, readings: all.readings.slice(0, taken) };
    loss.narrow[s] += lossOf(problem, simulated.group);
    const { spread } = catalogueCircuit(known[seed % known.length].id);
    const { readC } = all.thermometers.steady!;
    const shipped: Problem = {
      ...problem,
      circuit: { ...circuit, spread },
      instruments: GENERIC_INSTRUMENTS,
      thermometers: { steady: { readC, sigmaK: THERMOMETER_SIGMA_K } },
    };
    loss.shipped[s] += lossOf(shipped, simulated.group);
  });
  if ((seed + 1) % 100 === 0) console.error(`own cases ${seed + 1} of ${cases}`);
}
const mean = (list: readonly number[]): number => list.reduce((a, b) => a + b, 0) / list.length;
writeSection(
  'own',
  `${cases} cases drawn with the unknowns narrow (reference and pull-up 1 %, input 1 MΩ, scale ends exact), log loss in nat:

${table(
  ['readings so far', 'unknowns narrow', 'as shipped'],
  [
    ...STAGES.map((stage, s) => [stage.name, loss.narrow[s].toFixed(3), loss.shipped[s].toFixed(3)]),
    ['all stages', mean(loss.narrow).toFixed(3), mean(loss.shipped).toFixed(3)],
  ],
)}`,
);
