import type { StandInChoice } from '@mellow-probe/core/training/simulation/standIns/standInAddress';
import { standInBench, type StandInId } from '@mellow-probe/core/training/simulation/standIns/standInBench';
import type { LineEvents, Transport } from './transport.ts';

/** How often the instruments look whether they have something to print, ms. */
const LOOK_MS = 25;
/** A window that was in the background does not make up for more than this, s of the clock. */
const MOST_LAG_S = 2;

/** The stand-ins inside the page itself: the same machine and instruments as on the server, without it. */
export function pageStandIns(choice: StandInChoice): { line(device: StandInId): Transport } {
  const { machine, devices } = standInBench(choice.case, choice.seed);
  const open = new Map<StandInId, LineEvents>();
  let timer: ReturnType<typeof setInterval> | null = null;
  let [timeS, lastMs] = [0, 0];

  function look(): void {
    const now = performance.now();
    timeS += Math.min(MOST_LAG_S, (now - lastMs) / 1000) * choice.speed;
    lastMs = now;
    machine.advanceTo(timeS);
    for (const [device, events] of open) {
      const text = devices[device].take(timeS);
      if (text !== '') events.text(text);
    }
  }

  return {
    line: (device) => ({
      open(events) {
        open.set(device, events);
        if (!timer) {
          lastMs = performance.now();
          timer = setInterval(look, LOOK_MS);
        }
        return Promise.resolve();
      },
      send: (text) => devices[device].receive(text, timeS),
      close() {
        open.delete(device);
        if (open.size > 0 || !timer) return;
        clearInterval(timer);
        timer = null;
      },
    }),
  };
}
