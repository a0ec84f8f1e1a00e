// The model's own narrow cases, judged with the unknowns narrow and as they ship: what the wider model costs where the narrow one is true.
// `npx tsx studies/ownCases.ts [cases, 500]`, part of `npm run accuracy`; writes its part of docs/accuracy.md.
import { atStages, judge, logLoss, type Score, STAGES } from '../cli/src/study/stages.ts';
import { catalogueCircuit } from '../core/src/catalogue/parts/catalogueCircuit.ts';
import { CATALOGUE_CIRCUITS } from '../core/src/catalogue/parts/circuits.ts';
import type { Problem } from '../core/src/inference/model/problem.ts';
import { simulateCase, withReadings } from '../core/src/training/simulation/simulateCase.ts';
import { GENERIC_INSTRUMENTS, THERMOMETER_SIGMA_K } from '../core/src/catalogue/kit/instruments.ts';
import { NARROW_INSTRUMENTS, NARROW_SPREAD, NARROW_THERMOMETER_K } from './narrow.ts';
import { table, writeSection } from './sections.ts';

const cases = Number(process.argv[2] ?? 500);
const known = CATALOGUE_CIRCUITS.filter((c) => c.layout === 'pull-up' && c.pullUpOhm !== null);
const narrow: Score[][] = STAGES.map(() => []);
const shipped: Score[][] = STAGES.map(() => []);
for (let seed = 0; seed < cases; seed++) {
  const wide = catalogueCircuit(known[seed % known.length].id);
  const simulated = simulateCase(
    70_000 + seed,
    { ...wide, spread: NARROW_SPREAD },
    { instruments: NARROW_INSTRUMENTS, thermometerK: NARROW_THERMOMETER_K },
  );
  const all = withReadings(
    simulated,
    STAGES.flatMap((s) => s.adds),
  );
  const { readC } = all.thermometers.steady!;
  atStages(all).forEach((problem, s) => {
    narrow[s].push(judge(problem, simulated.group));
    const asShipped: Problem = {
      ...problem,
      circuit: wide,
      instruments: GENERIC_INSTRUMENTS,
      thermometers: { steady: { readC, sigmaK: THERMOMETER_SIGMA_K } },
    };
    shipped[s].push(judge(asShipped, simulated.group));
  });
  if ((seed + 1) % 100 === 0) console.error(`own cases ${seed + 1} of ${cases}`);
}
writeSection(
  'own',
  `${cases} cases drawn with the unknowns narrow (reference and pull-up 1 %, input 1 MΩ, scale ends exact), log loss in nat:

${table(
  ['readings so far', 'unknowns narrow', 'as shipped'],
  [
    ...STAGES.map((stage, s) => [stage.name, logLoss(narrow[s]).toFixed(3), logLoss(shipped[s]).toFixed(3)]),
    ['all stages', logLoss(narrow.flat()).toFixed(3), logLoss(shipped.flat()).toFixed(3)],
  ],
)}`,
);
