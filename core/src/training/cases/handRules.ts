import type { FaultGroup } from '../../base/units/vocabulary.ts';
import type { PlannedTest } from '../../inference/model/healthyRanges.ts';
import type { Problem } from '../../inference/model/problem.ts';
import { measurementById } from '../../circuit/measurements/list.ts';

/** A rule of thumb of the trade: the readings it asks for and the group it then blames. Source: common practice, no source. */
export interface HandRule {
  id: string;
  name: string;
  tests(problem: Problem): PlannedTest[];
  judge(readings: readonly number[], problem: Problem): FaultGroup;
}

const plain = (id: string): PlannedTest => ({ measurement: measurementById(id), conditions: {}, state: 'steady' });
/** "5 V is there": within −4 … +6 % of the reference, as 4.8 … 5.3 V is taken for 5 V. */
const isReference = (v: number, { circuit }: Problem): boolean =>
  v > 0.96 * circuit.referenceV && v < 1.06 * circuit.referenceV;
const expectedOhm = ({ circuit, thermometers }: Problem): number =>
  circuit.curve.resistanceOhm(thermometers.steady!.readC);
const agrees = (a: number, b: number): boolean => a / b > 0.9 && a / b < 1.1;
/** A round resistor as the sensor would be at 25 °C. */
const substitute = ({ circuit }: Problem): number => Number(circuit.curve.resistanceOhm(25).toPrecision(2));

export const HAND_RULES: readonly HandRule[] = [
  { id: 'swap', name: 'Swap first: change the sensor', tests: () => [], judge: () => 'sensor' },
  {
    id: 'five-volts',
    name: '5 V present: sensor; absent: wiring',
    tests: () => [plain('open-voltage')],
    judge: ([open], p) => (isReference(open, p) ? 'sensor' : 'wiring'),
  },
  {
    id: 'five-volts-ground-ohms',
    name: '5 V, ground and ohms against the table',
    tests: () => [plain('open-voltage'), plain('supply-to-return'), plain('sensor-ohms')],
    judge: ([open, ground, ohms], p) => {
      if (!isReference(open, p)) return open < 0.04 * p.circuit.referenceV ? 'wiring' : 'reference';
      if (ground < 0.9 * p.circuit.supplyV) return 'wiring';
      return agrees(ohms, expectedOhm(p)) ? 'healthy' : 'sensor';
    },
  },
  {
    id: 'bypass',
    name: 'Bypass: follows the resistor: sensor; else: wiring',
    tests: (p) => [
      {
        measurement: measurementById('displayed-substituted'),
        conditions: { substituteOhm: substitute(p) },
        state: 'steady',
      },
    ],
    judge: ([shown], p) => (Math.abs(shown - p.circuit.curve.temperatureC(substitute(p))) <= 3 ? 'sensor' : 'wiring'),
  },
  {
    id: 'compare',
    name: 'Compare with new: differs: sensor; else: wiring',
    tests: () => [plain('sensor-ohms'), plain('known-good-ohms')],
    judge: ([old, good]) => (agrees(old, good) ? 'wiring' : 'sensor'),
  },
];
