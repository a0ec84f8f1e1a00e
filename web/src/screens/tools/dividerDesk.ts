import type { CurveModel } from '@mellow-probe/core/circuit/curves/curveModel';
import type { SensorCircuit } from '@mellow-probe/core/circuit/network/sensorCircuit';
import { YARD_SPREAD } from '@mellow-probe/core/circuit/network/spread';
import { wireOhm } from '@mellow-probe/core/circuit/network/wireOhm';
import {
  bestPullUp,
  deskCurve,
  NO_DESK_FAULTS,
  pullUpFromPair,
  sensitivityAt,
} from '@mellow-probe/core/tools/divider/divider';
import { jointOhm, leakOhm } from '@mellow-probe/core/tools/divider/deskSliders';
import { blank, entrySchema, figure as written } from '@mellow-probe/core/base/units/entry';
import { computed, type Ref } from 'vue';
import { z } from 'zod';
import type { useCurves } from '../../session/curves.ts';

/** What is typed and set on the divider's desk. Shares of the sliders run from 0 to 1. */
export const deskSchema = z.strictObject({
  curve: z.string(),
  layout: z.enum(['pull-up', 'pull-down']),
  referenceV: entrySchema,
  pullUpOhm: entrySchema,
  pairOhm: entrySchema,
  pairV: entrySchema,
  from: entrySchema,
  to: entrySchema,
  at: entrySchema,
  wireM: z.number().min(0).max(200),
  wireMm2: z.number().min(0.1).max(2.5),
  series: z.number().min(0).max(1),
  leakGround: z.number().min(0).max(1),
  leakAcross: z.number().min(0).max(1),
  meterOn: z.boolean(),
});
export type Desk = z.infer<typeof deskSchema>;

export const untouchedDesk = (): Desk => ({
  curve: 'ntc-2k8',
  layout: 'pull-up',
  referenceV: written(5),
  pullUpOhm: written(2490),
  pairOhm: blank(),
  pairV: blank(),
  from: { text: '-20 °C', value: -20 },
  to: { text: '120 °C', value: 120 },
  at: { text: '20 °C', value: 20 },
  wireM: 5,
  wireMm2: 0.75,
  series: 0,
  leakGround: 0,
  leakAcross: 0,
  meterOn: false,
});

/** The pull-up that a pair of ohms and volts gives, with the errors of a plain meter; null while the pair is not complete. */
function pullUpOfPair({ pairOhm, pairV, referenceV }: Desk): ReturnType<typeof pullUpFromPair> | null {
  if (!(pairOhm.value! > 0) || pairV.value === null || referenceV.value === null) return null;
  return pullUpFromPair(
    { value: pairOhm.value!, sigma: 0.008 * pairOhm.value! },
    { value: pairV.value, sigma: 0.005 * pairV.value + 0.003 },
    { value: referenceV.value, sigma: 0.01 * referenceV.value },
  );
}

/** The circuit of the desk; null while reference or pull-up are not known. */
function deskCircuit({ referenceV, layout }: Desk, pullUpOhm: number | null, curve: CurveModel): SensorCircuit | null {
  if (!(referenceV.value! > 0) || pullUpOhm === null) return null;
  const { minC, maxC } = curve;
  return {
    layout,
    referenceV: referenceV.value!,
    pullUpOhm,
    hotPullUpOhm: null,
    switchRatio: 0,
    curve,
    display: { minC: Math.max(-50, minC), maxC, resolutionC: 1, substituteC: null, ratiometric: true },
    supplyV: 12,
    spread: YARD_SPREAD,
    wireMinOhm: 0.05,
    wireMaxOhm: 1.5,
    connectors: 0,
  };
}

/** The divider as it is set: its circuit, how it behaves over the range of temperatures sound and as set, and at one temperature. */
export function useDividerDesk(draft: Readonly<Ref<Desk>>, curves: ReturnType<typeof useCurves>) {
  const learned = computed(() => pullUpOfPair(draft.value));
  const pullUp = computed(() => {
    const typed = draft.value.pullUpOhm.value;
    if (typed! > 0) return typed!;
    return learned.value?.ok ? learned.value.value : null;
  });
  const model = computed(() => curves.byId(draft.value.curve).model);
  const circuit = computed(() => deskCircuit(draft.value, pullUp.value, model.value));
  const faults = computed(() => ({
    wireOhm: wireOhm(draft.value.wireM, draft.value.wireMm2),
    seriesOhm: jointOhm(draft.value.series),
    leakGroundOhm: leakOhm(draft.value.leakGround),
    leakAcrossOhm: leakOhm(draft.value.leakAcross),
    meterOn: draft.value.meterOn,
  }));
  const range = computed(() => {
    const { minC, maxC } = model.value;
    const [low, high] = [Math.max(minC, draft.value.from.value ?? -20), Math.min(maxC, draft.value.to.value ?? 120)];
    return high > low ? { low, high } : { low: minC, high: maxC };
  });
  const temperatures = computed(() =>
    Array.from({ length: 71 }, (_, i) => range.value.low + ((range.value.high - range.value.low) * i) / 70),
  );
  const courseWith = (set: typeof NO_DESK_FAULTS, at: readonly number[]) =>
    circuit.value ? deskCurve(circuit.value, pullUp.value!, at, set) : [];
  return {
    learned,
    pullUp,
    circuit,
    faults,
    temperatures,
    healthy: computed(() => courseWith(NO_DESK_FAULTS, temperatures.value)),
    faulty: computed(() => courseWith(faults.value, temperatures.value)),
    /** At the one temperature that was asked for: sound, as set, and how much a kelvin and an ohm change. */
    at: computed(() => {
      const t = draft.value.at.value;
      if (!circuit.value || t === null) return null;
      const [[sound], [set]] = [courseWith(NO_DESK_FAULTS, [t]), courseWith(faults.value, [t])];
      return { sound, set, ...sensitivityAt(circuit.value, pullUp.value!, t) };
    }),
    best: computed(() => (circuit.value ? bestPullUp(circuit.value, range.value.low, range.value.high) : null)),
  };
}
