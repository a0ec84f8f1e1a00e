import { otherCommonCurves } from '../../catalogue/parts/curves.ts';
import type { SensorCircuit } from '../../circuit/network/sensorCircuit.ts';
import type { Fault, Setting } from '../../circuit/faults/fault.ts';
import { FAULTS } from '../../circuit/faults/list.ts';
import { measurementById } from '../../circuit/measurements/list.ts';
import type { Hypothesis } from './predictor.ts';
import { MACHINE_STATES } from '../../base/units/vocabulary.ts';
import type { Problem, ReadingInput } from './problem.ts';
import { stretchesOf } from './stretches.ts';

/** Share of a fault's weight that is intermittent, where readings in more than one machine state could tell. */
export const INTERMITTENT_SHARE = 0.2;

/** Those of these faults that can occur in this circuit, with their weights (factors applied) normalised to one. */
export function weightedFaults(
  problem: Problem,
  faults: readonly Fault[] = FAULTS,
): { fault: Fault; weight: number }[] {
  const possible = faults.filter(
    (f) => f.layouts.includes(problem.circuit.layout) && (problem.faults?.includes(f.id) ?? true),
  );
  const weights = possible.map((f) => f.weight * (problem.factors[f.id] ?? 1));
  const total = weights.reduce((a, b) => a + b, 0);
  return possible.map((fault, i) => ({ fault, weight: weights[i] / total }));
}

/** What the faults may know of a problem: the loom is parted, in mind, where readings on the way part it. */
export function settingOf({ circuit, readings }: Problem): Setting {
  return settingOfCircuit(circuit, readings);
}

/** What the faults may know of a circuit of which this was read. */
export function settingOfCircuit(
  circuit: SensorCircuit,
  readings: readonly Pick<ReadingInput, 'measurement' | 'conditions'>[] = [],
): Setting {
  const { layout, curve, shares } = circuit;
  return {
    layout,
    stretches: stretchesOf(circuit, readings),
    otherCurves: otherCommonCurves(curve),
    curveKnown: curve.alternatives === undefined,
    neighbours:
      shares === 'reference' || shares === 'both' || readings.some((r) => r.measurement === 'reference-alone'),
  };
}

/** Every definite way in which a fault can be present, shares summing to one. */
export function hypothesesOf(fault: Fault, setting: Setting, problem: Problem): Hypothesis[] {
  const { ratiometric } = problem.circuit.display;
  const displays = problem.readings.some((r) => measurementById(r.measurement).quantity === 'celsius');
  // Without a displayed value the kind of converter cannot matter: one hypothesis serves for both.
  const kinds = ratiometric !== null ? [ratiometric] : displays ? [true, false] : [true];
  const states = MACHINE_STATES.filter((s) => problem.readings.some((r) => r.state === s));
  const intermittent = states.length > 1 && fault.id !== 'healthy' ? states : [];
  const presence = [
    { onlyIn: null, share: intermittent.length > 0 ? 1 - INTERMITTENT_SHARE : 1 },
    ...intermittent.map((onlyIn) => ({ onlyIn, share: INTERMITTENT_SHARE / intermittent.length })),
  ];
  const { curve } = problem.circuit;
  const curves = curve.alternatives ?? [{ share: 1, model: curve }];
  return fault.branches(setting).flatMap((branch) =>
    curves.flatMap(({ share: ofCurve, model }) =>
      kinds.flatMap((kind) =>
        presence.map(({ onlyIn, share }) => ({
          fault,
          branch,
          curve: model,
          ratiometric: kind,
          onlyIn,
          logShare: Math.log((branch.share * ofCurve * share) / kinds.length),
        })),
      ),
    ),
  );
}
