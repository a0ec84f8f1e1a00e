import type { Entry } from '../base/units/entry.ts';
import type { JobCircuit } from '../check/job/jobSchema.ts';
import { formatOhm, formatTemperature, type TemperatureUnit } from '../base/units/format.ts';
import { fixed } from '../base/units/writing.ts';

/** What is known of a circuit, in words for a drawing or a report. */
export interface CircuitFacts {
  reference: string;
  /** "pull-up 2.49 kΩ", "pull-down not known". */
  pullUp: string;
  temperature: string;
  /** Names of the two wires: what the first and the second carry in this layout. */
  wires: [string, string];
}

export function circuitFacts(circuit: JobCircuit, temperatureC: Entry, unit: TemperatureUnit): CircuitFacts {
  const { layout, referenceV, pullUpOhm } = circuit;
  const name = layout === 'pull-down' ? 'pull-down' : 'pull-up';
  return {
    reference: referenceV.value === null ? '? V' : `${fixed(referenceV.value, 2)} V`,
    pullUp: `${name} ${pullUpOhm.value === null ? 'not known' : formatOhm(pullUpOhm.value)}`,
    temperature:
      temperatureC.value === null
        ? ''
        : formatTemperature(temperatureC.value, unit, Number.isInteger(temperatureC.value) ? 0 : 1),
    wires:
      layout === 'pull-down' ? ['feed', 'signal'] : layout === 'one-wire' ? ['signal', 'body'] : ['signal', 'return'],
  };
}
