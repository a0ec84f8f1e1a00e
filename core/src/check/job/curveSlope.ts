import { catalogueCurve } from '../../catalogue/parts/curves.ts';
import { curveModel } from '../../circuit/curves/curve.ts';
import { circuitCurve } from './circuitCurve.ts';
import type { CurveChoice } from './circuitSchema.ts';

/** Does the resistance of the chosen sensor fall ('ntc') or rise ('ptc') as it warms? Points tell by their ends; what is not complete yet counts as an NTC, as most are. */
export function curveSlope(choice: CurveChoice): 'ntc' | 'ptc' {
  if (choice.source === 'given') return curveModel(choice.curve).slope;
  if (choice.source === 'catalogue') {
    const entry = catalogueCurve(choice.id);
    return entry ? curveModel(entry.curve).slope : 'ntc';
  }
  if (choice.source === 'typed') {
    const curve = circuitCurve(choice);
    return curve ? curveModel(curve).slope : 'ntc';
  }
  if (choice.source === 'band') return choice.slope;
  if (choice.source === 'unknown') return 'ntc';
  const known = choice.points.filter((p) => p.temperatureC.value !== null && p.resistanceOhm.value !== null);
  known.sort((a, b) => a.temperatureC.value! - b.temperatureC.value!);
  const [first, last] = [known[0], known[known.length - 1]];
  return first && last && last.resistanceOhm.value! > first.resistanceOhm.value! ? 'ptc' : 'ntc';
}
