import type { SensorCircuit } from '../src/circuit/network/sensorCircuit.ts';
import { YARD_SPREAD } from '../src/circuit/network/spread.ts';
import { beta } from '../src/circuit/curves/beta.ts';
import { GENERIC_INSTRUMENTS } from '../src/catalogue/kit/instruments.ts';
import { type Problem, type ReadingInput } from '../src/inference/model/problem.ts';

/** A 5 V circuit with a 2.49 kΩ pull-up and a 2 kΩ (25 °C), B 3600 sensor. */
export function coolantCircuit(change: Partial<SensorCircuit> = {}): SensorCircuit {
  return {
    layout: 'pull-up',
    referenceV: 5,
    pullUpOhm: 2490,
    hotPullUpOhm: null,
    switchRatio: 0,
    curve: beta.model({ kind: 'beta', r25Ohm: 2000, betaK: 3600 }),
    display: { minC: -40, maxC: 150, resolutionC: 1, substituteC: null, ratiometric: null },
    supplyV: 12.6,
    wireMinOhm: 0.05,
    wireMaxOhm: 1.5,
    connectors: 0,
    spread: YARD_SPREAD,
    ...change,
  };
}

/** A problem at 12 °C with readings given as [measurement, value, conditions?, state?]. */
export function problemWith(
  readings: readonly (readonly [string, number, ReadingInput['conditions']?, ReadingInput['state']?])[],
  change: Partial<Problem> = {},
): Problem {
  return {
    circuit: coolantCircuit(),
    thermometers: { steady: { readC: 12, sigmaK: 1 } },
    readings: readings.map(([measurement, value, conditions = {}, state = 'steady'], i) => ({
      id: `r${i}`,
      measurement,
      value,
      conditions,
      state,
    })),
    instruments: GENERIC_INSTRUMENTS,
    factors: {},
    ...change,
  };
}
