import { simulateCase, withReadings } from '@mellow-probe/core/training/simulation/simulateCase';
import { isMeasurementId, measurementById } from '@mellow-probe/core/circuit/measurements/list';
import { type Command, parse, toJson, UsageError, wholeNumber } from '../command.ts';

const DEFAULT_TESTS = 'displayed,open-voltage,loaded-voltage,sensor-ohms';

export const simulateCommand: Command = {
  name: 'simulate',
  usage: 'simulate [--count N] [--seed N] [--tests ID,…]',
  summary: 'Seeded cases drawn from the fault model, as JSON: truth and readings.',
  run(args) {
    const options = { count: { type: 'string' }, seed: { type: 'string' }, tests: { type: 'string' } } as const;
    const { values } = parse({ args, options });
    const count = wholeNumber(values.count, 'count', 1, 1, 100_000);
    const seed = wholeNumber(values.seed, 'seed', 1, 0, 1e9);
    const ids = (values.tests ?? DEFAULT_TESTS).split(',').filter(Boolean);
    for (const id of ids) {
      if (!isMeasurementId(id)) throw new UsageError(`no test "${id}"`);
      if (measurementById(id).needs.length > 0)
        throw new UsageError(`test "${id}" needs conditions and cannot be simulated from here`);
    }
    const tests = ids.map((id) => ({ measurement: measurementById(id), conditions: {}, state: 'steady' as const }));
    const cases = Array.from({ length: count }, (_, i) => {
      const c = simulateCase(seed + i);
      const { readings, thermometers } = withReadings(c, tests);
      return {
        seed: c.seed,
        circuit: c.circuitName,
        fault: c.fault,
        group: c.group,
        size: Number.isNaN(c.size) ? null : c.size,
        thermometerC: thermometers.steady!.readC,
        readings: readings.map((r) => ({ measurement: r.measurement, value: r.value })),
      };
    });
    return toJson(cases);
  },
};
