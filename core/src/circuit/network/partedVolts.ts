import { pointAt, shareBefore } from './chain.ts';
import type { CircuitState } from './sensorCircuit.ts';

/**
 * Volts of the signal wire at the module's side of connector `position`, which is parted, against chassis: only what lies on the module's side is
 * still in the circuit. A leak to the return there ends on a sound return.
 */
export function partedVolts(s: CircuitState, position: number): number {
  const point = pointAt(position);
  const highV = s.groundOffsetV + s.referenceV;
  const [sourceV, farV] = s.layout === 'pull-down' ? [s.groundOffsetV, highV] : [highV, s.groundOffsetV];
  const wire = s.signalOhm * shareBefore(point, s.connectors) + (s.signalFaultAt < point ? s.signalFaultOhm : 0);
  const leaks = s.leakAt < point ? 1 : 0;
  const [toGround, toReturn, toSupply] = [s.leakGroundS * leaks, s.leakReturnS * leaks, s.leakSupplyS * leaks];
  // The pin hangs on pull-up and input, the terminal on the pin by the wire and on leaks and meter.
  const [pull, input, along] = [1 / s.pullUpOhm, 1 / s.inputOhm, 1 / wire];
  const away = toGround + toReturn + toSupply + 1 / s.meterInputOhm;
  const driven = toReturn * (s.layout === 'one-wire' ? 0 : farV) + toSupply * s.supplyV;
  const pin =
    (pull * sourceV + input * s.groundOffsetV + (along * driven) / (along + away)) /
    (pull + input + (along * away) / (along + away));
  return (along * pin + driven) / (along + away);
}
