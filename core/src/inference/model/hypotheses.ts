import { otherCommonCurves } from '../../catalogue/parts/curves.ts';
import { nominalState, type SensorCircuit } from '../../circuit/network/sensorCircuit.ts';
import type { Branch, Fault, Setting } from '../../circuit/faults/fault.ts';
import { FAULTS } from '../../circuit/faults/list.ts';
import { measurementById } from '../../circuit/measurements/list.ts';
import type { Hypothesis } from './predictor.ts';
import { MACHINE_STATES, type MachineState } from '../../base/units/vocabulary.ts';
import type { Problem, ReadingInput } from './problem.ts';
import { stretchesOf } from './stretches.ts';

/** Share of a fault's weight that is intermittent, where readings in more than one machine state could tell. */
export const INTERMITTENT_SHARE = 0.2;
/** The same where the complaint itself comes and goes. Common practice, no source. */
const COMPLAINED_OF = 0.6;

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

/** Less than this on the display nobody would complain of, K. Common practice, no source. */
const NOTICED_K = 2;

/** What just shows on the display somewhere in the working range. */
function noticedBy({ curve, worksC, display }: SensorCircuit): Setting['noticed'] {
  const { low, high } = worksC ?? { low: display.minC, high: display.maxC };
  const within = (t: number): number => Math.min(curve.maxC - 1, Math.max(curve.minC + 1, t));
  const at = [low, (low + high) / 2, high].map((t) => {
    const ohm = curve.resistanceOhm(within(t));
    const perK = Math.abs(curve.resistanceOhm(within(t) + 0.5) - curve.resistanceOhm(within(t) - 0.5));
    return { ohm, shiftOhm: Math.max(1e-3, NOTICED_K * perK) };
  });
  return {
    wireOhm: Math.min(...at.map((a) => a.shiftOhm)),
    leakOhm: Math.max(...at.map((a) => (a.ohm * a.ohm) / a.shiftOhm)),
  };
}

/** What the faults may know of a circuit of which this was read. */
export function settingOfCircuit(
  circuit: SensorCircuit,
  readings: readonly Pick<ReadingInput, 'measurement' | 'conditions'>[] = [],
): Setting {
  const { layout, curve, shares } = circuit;
  return {
    layout,
    noticed: curve.alternatives === undefined ? noticedBy(circuit) : null,
    stretches: stretchesOf(circuit, readings),
    otherCurves: otherCommonCurves(curve),
    curveKnown: curve.alternatives === undefined,
    neighbours:
      shares === 'reference' || shares === 'both' || readings.some((r) => r.measurement === 'reference-alone'),
  };
}

/** All the time, or in one state of the machine only, with the share of each. */
function presenceOf({ readings, comesAndGoes = [] }: Problem): { onlyIn: MachineState | null; share: number }[] {
  const states = MACHINE_STATES.filter((s) => comesAndGoes.includes(s) || readings.some((r) => r.state === s));
  const alone = comesAndGoes.length > 0 ? comesAndGoes : states.length > 1 ? states : [];
  const share = comesAndGoes.length > 0 ? COMPLAINED_OF : INTERMITTENT_SHARE;
  return [
    { onlyIn: null, share: alone.length > 0 ? 1 - share : 1 },
    ...alone.map((onlyIn) => ({ onlyIn, share: share / alone.length })),
  ];
}

/**
 * Is the module's converter ratiometric? One answer where it is known. It matters only where a value is displayed and one of these branches parts the
 * reference from what the module takes it for; else one answer serves for both.
 */
export function converterKinds({ circuit, readings }: Problem, branches: readonly Branch[]): boolean[] {
  const { ratiometric } = circuit.display;
  if (ratiometric !== null) return [ratiometric];
  const displayed = readings.some((r) => measurementById(r.measurement).quantity === 'celsius');
  return displayed && branches.some((branch) => partsReference(circuit, branch)) ? [true, false] : [true];
}

function partsReference(circuit: SensorCircuit, branch: Branch): boolean {
  return [0, 0.5, 1].some((position) => {
    const state = nominalState(circuit, 20, circuit.pullUpOhm ?? 1000);
    branch.apply(state, position);
    return state.referenceV !== state.nominalReferenceV;
  });
}

/** Every definite way in which a fault can be present, shares summing to one. */
export function hypothesesOf(fault: Fault, setting: Setting, problem: Problem): Hypothesis[] {
  const presence = fault.id === 'healthy' ? [{ onlyIn: null, share: 1 }] : presenceOf(problem);
  const { curve } = problem.circuit;
  const curves = curve.alternatives ?? [{ share: 1, model: curve }];
  return fault.branches(setting).flatMap((branch) => {
    const kinds = converterKinds(problem, [branch]);
    return curves.flatMap(({ share: ofCurve, model }) =>
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
    );
  });
}
