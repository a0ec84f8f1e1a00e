import type { SiteId } from '../machine/machineCase.ts';
import { type MachineAct, METER_POINTS } from '../machine/machineInTime.ts';

/**
 * An act on the simulated machine as a line: "key off|on|running", "plug sensor|open|bridge|<ohm>", "leads signal|across|return|sensor",
 * "wiggle <place>|nothing", "sensor-at <°C>|place". Plug, leads and sensor are those of `site`.
 */
export function actFromLine(line: string, site: SiteId, places: readonly string[]): MachineAct | null {
  const [word, ...others] = line.trim().split(' ');
  const rest = others.join(' ');
  const figure = /^-?\d{1,7}(\.\d{1,3})?$/.test(rest) ? Number(rest) : null;
  switch (word) {
    case 'key':
      return rest === 'off' || rest === 'on' || rest === 'running' ? { act: 'key', to: rest } : null;
    case 'plug':
      return rest === 'sensor' || rest === 'open' || rest === 'bridge'
        ? { act: 'plug', site, to: rest }
        : figure !== null && figure > 0
          ? { act: 'plug', site, to: figure }
          : null;
    case 'leads': {
      const to = METER_POINTS.find((p) => p === rest);
      return to ? { act: 'leads', site, to } : null;
    }
    case 'wiggle':
      if (rest === 'nothing') return { act: 'wiggle', place: null };
      return places.includes(rest) ? { act: 'wiggle', place: rest } : null;
    case 'sensor-at':
      if (rest === 'place') return { act: 'sensor-at', site, toC: null };
      return figure !== null && figure >= -40 && figure <= 150 ? { act: 'sensor-at', site, toC: figure } : null;
    default:
      return null;
  }
}
