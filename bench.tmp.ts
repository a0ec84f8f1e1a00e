import { simulateCase, withReadings } from './core/src/diagnosis/simulate.ts';
import { measurementById } from './core/src/measurements/list.ts';
import { posteriorOf } from './core/src/diagnosis/posterior.ts';
import { Predictor } from './core/src/diagnosis/predictor.ts';
import { ConditionalFit } from './core/src/diagnosis/conditional.ts';
const ids = ['displayed','displayed-unplugged','displayed-bridged','open-voltage','open-voltage-return','supply-to-return','loaded-voltage','loaded-voltage-return','return-drop','neighbour-reference','sensor-ohms','panel-ohms','signal-wire-ohms','isolation-ground','isolation-return'];
const tests = ids.map((id) => ({ measurement: measurementById(id), conditions: {}, state: 'steady' as const }));
export const cases = Array.from({ length: 24 }, (_, s) => ({ c: simulateCase(s + 1) })).map(({ c }) => ({ c, p: withReadings(c, tests) }));
let n = 0, v = 0; const orig = Predictor.prototype.predict; Predictor.prototype.predict = function (...a) { n++; return orig.apply(this, a); };
const of = ConditionalFit.prototype.fit; ConditionalFit.prototype.fit = function (...a) { v++; return of.apply(this, a); };
for (const { p } of cases) posteriorOf(p);
for (const { c, p } of cases) { n = v = 0; const t = performance.now(); const r = posteriorOf(p); const dt = performance.now() - t; console.log(dt.toFixed(0).padStart(4), 'ms', n, v, c.fault.padEnd(18), r.faults.slice(0, 3).map((f) => `${f.fault.id} ${f.probability.toFixed(3)} (${f.draws.length} ${f.relativeError.toFixed(3)})`).join(', ')); }
