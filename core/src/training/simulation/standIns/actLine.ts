import type { SiteId } from '../machine/machineCase.ts';
import { type MachineAct, METER_POINTS } from '../machine/machineInTime.ts';

/**
 * An act on the simulated machine as a line: "key off|on|running", "plug sensor|open|bridge|<ohm>", "leads signal|across|return|sensor",
 * "wiggle <place>|nothing", "sensor-at <°C>|place". Plug, leads and sensor are those of `site`.
 */
export function actFromLine(line: string, site: SiteId, places: readonly string[]): MachineAct | null {
  const [word, ...others] = line.trim().split(' ');
  const rest = others.join(' ');
  const figure = /^-?\d{1,7}(\.\d{1,3})?$/.test(rest) ? Number(rest) : NaN;
  switch (word) {
    case 'key': {
      const to = oneOf(['off', 'on', 'running'] as const, rest);
      return to && { act: 'key', to };
    }
    case 'plug': {
      const to = oneOf(['sensor', 'open', 'bridge'] as const, rest) ?? (figure > 0 ? figure : null);
      return to === null ? null : { act: 'plug', site, to };
    }
    case 'leads': {
      const to = oneOf(METER_POINTS, rest);
      return to && { act: 'leads', site, to };
    }
    case 'wiggle':
      if (rest === 'nothing') return { act: 'wiggle', place: null };
      return places.includes(rest) ? { act: 'wiggle', place: rest } : null;
    case 'sensor-at':
      if (rest === 'place') return { act: 'sensor-at', site, toC: null };
      return figure >= -40 && figure <= 150 ? { act: 'sensor-at', site, toC: figure } : null;
    default:
      return null;
  }
}

const oneOf = <T extends string>(words: readonly T[], said: string): T | null => words.find((w) => w === said) ?? null;
