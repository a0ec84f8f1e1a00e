import { benchMeter } from '../../../intake/instruments/benchMeter.ts';
import { busLog } from '../../../intake/instruments/busLog.ts';
import type { Channel, Driver } from '../../../intake/instruments/heard.ts';
import { thermometerLine } from '../../../intake/instruments/thermometerLine.ts';
import { vehicleAdapter } from '../../../intake/instruments/vehicleAdapter.ts';
import type { Log, Mark } from '../../../intake/logs/log.ts';
import { logOfSamples } from '../../../intake/logs/logOfSamples.ts';
import type { MachineAct } from '../machine/machineInTime.ts';
import { type StandInBench, type StandInId } from './standInBench.ts';

/** Something done at a time, s: an act on the machine, or a mark of it, or both. */
export interface Planned {
  atS: number;
  acts?: readonly MachineAct[];
  mark?: Mark;
}

/** How often the lines are looked at while they are driven, s. */
const LOOK_S = 0.025;

/**
 * Records from stand-ins with the drivers that real instruments have, in the machine's own time: no clock is waited for.
 *
 * @param instruments which ones are read
 * @param everyS how often meter and adapter are asked
 */
export function driveBench(
  bench: StandInBench,
  seconds: number,
  instruments: readonly StandInId[],
  everyS: number,
  plan: readonly Planned[] = [],
): Log {
  const drivers: Partial<Record<StandInId, Driver>> = {
    meter: benchMeter(everyS),
    adapter: vehicleAdapter(everyS),
    bus: busLog(),
    thermometer: thermometerLine(),
  };
  const lines = instruments.flatMap((id) => {
    const driver = drivers[id];
    return driver ? [{ driver, device: bench.devices[id] }] : [];
  });
  const series = new Map<string, Channel & { timeS: number[]; values: number[] }>();
  const todo = [...plan].sort((a, b) => a.atS - b.atS);
  for (let step = 0; step * LOOK_S <= seconds; step++) {
    const now = step * LOOK_S;
    bench.machine.advanceTo(now);
    while (todo.length > 0 && todo[0].atS <= now) for (const act of todo.shift()!.acts ?? []) bench.machine.do(act);
    for (const { driver, device } of lines) {
      const { send, heard } = driver.step(now);
      if (send !== '') device.receive(send, now);
      for (const h of [...heard, ...driver.hear(device.take(now), now)]) {
        if (h.kind === 'channel' && !series.has(h.channel.id))
          series.set(h.channel.id, { ...h.channel, timeS: [], values: [] });
        if (h.kind !== 'sample') continue;
        series.get(h.channel)?.timeS.push(h.timeS);
        series.get(h.channel)?.values.push(h.value);
      }
    }
  }
  return logOfSamples(
    [...series.values()],
    plan.flatMap((p) => p.mark ?? []),
  );
}
