import { CATALOGUE_CURVES } from '../catalogue/curves.ts';
import { curveModel } from '../curves/curve.ts';
import type { CurveChoice } from './circuitSchema.ts';

/** Does the resistance of the chosen sensor fall ('ntc') or rise ('ptc') as it warms? Typed R25 and B are an NTC; points tell by their ends. */
export function curveSlope(choice: CurveChoice): 'ntc' | 'ptc' {
  if (choice.source === 'given') return curveModel(choice.curve).slope;
  if (choice.source === 'catalogue') {
    const entry = CATALOGUE_CURVES.find((c) => c.id === choice.id);
    return entry ? curveModel(entry.curve).slope : 'ntc';
  }
  if (choice.source === 'r25b') return 'ntc';
  const known = choice.points.filter((p) => p.temperatureC.value !== null && p.resistanceOhm.value !== null);
  known.sort((a, b) => a.temperatureC.value! - b.temperatureC.value!);
  const [first, last] = [known[0], known[known.length - 1]];
  return first && last && last.resistanceOhm.value! > first.resistanceOhm.value! ? 'ptc' : 'ntc';
}
