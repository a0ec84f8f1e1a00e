import { logToCsv } from '@mellow-probe/core/intake/logs/logCsv';
import { MACHINE_CASES, machineCase } from '@mellow-probe/core/training/simulation/machine/machineCase';
import { driveBench, type Planned } from '@mellow-probe/core/training/simulation/standIns/driveBench';
import { standInBench, type StandInId } from '@mellow-probe/core/training/simulation/standIns/standInBench';
import { type Command, parse, UsageError, wholeNumber } from '../command.ts';

const READ: readonly StandInId[] = ['meter', 'adapter', 'thermometer'];
/** What is done to the machine, s: the key at once, the plug pulled for ten seconds, then the engine, and each place wiggled in turn. */
const PULLED = { fromS: 20, toS: 30 } as const;
const ENGINE_S = 40;
const WIGGLE = { fromS: 60, eachS: 25, everyS: 30 } as const;

export const recordCommand: Command = {
  name: 'record',
  usage: 'record CASE [--seed N] [--seconds N] [--every-ms N]',
  summary: 'Records a made-up machine with the stand-in instruments: CSV with marks. Without CASE: the list.',
  run(args) {
    const { values, positionals } = parse({
      args,
      allowPositionals: true,
      options: { seed: { type: 'string' }, seconds: { type: 'string' }, 'every-ms': { type: 'string' } },
    });
    if (positionals.length === 0) return MACHINE_CASES.map((c) => `${c.id.padEnd(18)} ${c.complaint}\n`).join('');
    if (positionals.length > 1 || !MACHINE_CASES.some((c) => c.id === positionals[0]))
      throw new UsageError(`no machine "${positionals.join(' ')}"; record without a name lists them`);
    const seconds = wholeNumber(values.seconds, 'seconds', 600, 10, 14_400);
    const bench = standInBench(positionals[0], wholeNumber(values.seed, 'seed', 1, 0, 1e9));
    const everyS = wholeNumber(values['every-ms'], 'every-ms', 250, 50, 5000) / 1000;
    return logToCsv(driveBench(bench, seconds, READ, everyS, planOf(positionals[0], seconds)));
  },
};

function planOf(id: string, seconds: number): Planned[] {
  const site = 'coolant';
  const plan: Planned[] = [
    { atS: 0, acts: [{ act: 'key', to: 'on' }] },
    {
      atS: PULLED.fromS,
      acts: [{ act: 'plug', site, to: 'open' }],
      mark: { kind: 'unplugged', ...PULLED, place: '', text: '' },
    },
    { atS: PULLED.toS, acts: [{ act: 'plug', site, to: 'sensor' }] },
    { atS: ENGINE_S, acts: [{ act: 'key', to: 'running' }] },
  ];
  const { places } = machineCase(id);
  for (let round = 0; round < 2; round++)
    places.forEach((place, k) => {
      const fromS = WIGGLE.fromS + (round * places.length + k) * WIGGLE.everyS;
      if (fromS + WIGGLE.eachS > seconds) return;
      const toS = fromS + WIGGLE.eachS;
      plan.push(
        { atS: fromS, acts: [{ act: 'wiggle', place }], mark: { kind: 'wiggling', fromS, toS, place, text: '' } },
        { atS: toS, acts: [{ act: 'wiggle', place: null }] },
      );
    });
  return plan;
}
