import { expect, test } from 'vitest';
import type { PlannedTest } from '../../inference/model/healthyRanges.ts';
import type { Problem } from '../../inference/model/problem.ts';
import { measurementById } from '../../circuit/measurements/list.ts';
import { eventLog } from './eventLog.ts';
import { simulateCase, withReadings } from './simulateCase.ts';
import { simulatePair } from './simulatePair.ts';
import { soundCircuit } from './soundCircuit.ts';
import { YARD_ROWS, yardCase } from './yardCase.ts';

/**
 * Same seed, same case, in every version: the reports in `docs/` name cases by their seeds, and figures of two versions are compared on the same
 * ones. Where a generator is changed on purpose, `npx vitest run core/src/training/simulation -u` writes the list anew, and the reports want a new run.
 */
const SEEDS = [1, 2, 3, 4, 5, 6, 7, 8];
const TESTS: PlannedTest[] = ['displayed', 'open-voltage', 'loaded-voltage', 'sensor-ohms', 'displayed-unplugged'].map(
  (id) => ({ measurement: measurementById(id), conditions: {}, state: 'steady' }),
);

/** As short as a figure can be said and still be the same one; logarithms and powers may end otherwise on another machine. */
const short = (v: number): string => (Number.isFinite(v) ? String(Number(v.toPrecision(5))) : String(v));
/** What was drawn; what codes and findings weigh is the model's, and changes with it. */
const told = ({ circuit, thermometers, readings }: Problem): string =>
  [
    `${circuit.layout} ${short(circuit.curve.resistanceOhm(20))} Ω`,
    ...Object.entries(thermometers).map(
      ([moment, t]) => `${moment} ${short(t!.readC)} ± ${short(t!.halfWidthK ?? t!.sigmaK)}`,
    ),
    readings.map((r) => short(r.value)).join(' '),
  ].join(' | ');

test('same seed, same case: of the model, of the yard, sound ones, pairs and logs', async () => {
  const lines = [
    ...SEEDS.map((seed) => {
      const one = simulateCase(seed);
      return `model ${seed}: ${one.fault} ${short(one.size)} ${told(withReadings(one, TESTS))} ${one.blunders.join(' ')}`;
    }),
    ...YARD_ROWS.flatMap((row) =>
      SEEDS.map((seed) => {
        const { fault, problem } = yardCase(seed, row, 18);
        return `${row} ${seed}: ${fault.id} ${told(problem)}`;
      }),
    ),
    ...SEEDS.map((seed) => `sound ${seed}: ${told(soundCircuit(seed, 9))}`),
    ...SEEDS.slice(0, 3).map((seed) => {
      const { faults, problem } = simulatePair(seed, () => TESTS);
      return `pair ${seed}: ${faults.map((f) => f.id).join(' + ')} ${told(problem)}`;
    }),
    ...SEEDS.map((seed) => {
      const { quantity, values, planted } = eventLog(seed, 6);
      const sum = values.reduce((a, b) => a + b, 0);
      const events = planted.map((p) => `${p.kind} ${short(p.fromS)} … ${short(p.toS)}`);
      return `log ${seed}: ${values.length} ${quantity} ${short(sum)} ${events.join(', ')}`;
    }),
  ];
  await expect(`${lines.join('\n')}\n`).toMatchFileSnapshot('../../../test/data/drawnCases.txt');
});
