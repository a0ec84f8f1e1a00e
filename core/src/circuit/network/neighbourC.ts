import { JOIN, NEIGHBOURS } from './chain.ts';
import { type CircuitState, realC, realOhm } from './sensorCircuit.ts';

/**
 * What a sound neighbour of the same kind displays, °C, where it is at `temperatureC` and shares what the state says; `sensorOhm` is our own sensor's resistance, Ω. Pull-up layout. Through what the
 * returns share run the currents of all: V = U·R·ΣG / (1 + R·ΣG).
 */
export function neighbourC(s: CircuitState, sensorOhm: number, temperatureC: number): number {
  const referenceV = s.sharesReference ? s.referenceV : s.nominalReferenceV;
  const pullUp = s.nominalPullUpOhm;
  const ohm = realOhm(s.moduleCurve, s, temperatureC);
  const all = NEIGHBOURS / (pullUp + ohm) + 1 / (s.pullUpOhm + s.signalOhm + s.signalFaultOhm + sensorOhm);
  const shared = s.sharesReturn && s.returnFaultAt < JOIN ? s.returnFaultOhm : 0;
  // As a share of the reference: how far the shared return is lifted, and the pin above it.
  const lift = (shared * all) / (1 + shared * all);
  const pin = lift + ((1 - lift) * ohm) / (pullUp + ohm);
  const ratio = s.ratiometric ? pin : (pin * referenceV) / s.nominalReferenceV;
  const believed = ratio >= 1 ? Infinity : (pullUp * Math.max(0, ratio)) / (1 - ratio);
  const shown = realC(s.moduleCurve, s, believed);
  return Math.min(s.display.maxC, Math.max(s.display.minC, shown));
}
