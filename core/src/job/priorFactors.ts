import { FINDINGS } from '../catalogue/findings.ts';
import { directionOf } from '../catalogue/symptoms.ts';
import { findingsOfCodes } from '../catalogue/troubleCodes.ts';
import type { SensorCircuit } from '../circuit/sensorCircuit.ts';
import { symptomFactors } from '../model/symptomFactors.ts';
import type { Job } from './jobSchema.ts';

/** One thing that moves the odds before any reading: what it is, and its factor on each fault. */
export interface PriorFactor {
  source: 'code' | 'finding' | 'symptom' | 'by-hand';
  name: string;
  ratios: Readonly<Record<string, number>>;
}

const REPLACED = {
  sensor: 'sensor-replaced',
  connector: 'wiring-repaired',
  wiring: 'wiring-repaired',
  module: 'module-replaced',
} as const;

/** All that a job's codes, symptoms, history and findings say, each counted once, for the user to see and for `checkJob` to multiply. */
export function priorFactors(job: Job, circuit: SensorCircuit | null): PriorFactor[] {
  const codes = findingsOfCodes(job.complaint.codes);
  const history = job.complaint.replaced.map((part) => REPLACED[part]);
  const ids = new Set<string>([...codes, ...history, ...job.findings]);
  const list: PriorFactor[] = FINDINGS.filter((f) => ids.has(f.id)).map((f) => ({
    source: codes.includes(f.id) ? 'code' : 'finding',
    name: f.name,
    ratios: f.ratios,
  }));
  const reads = directionOf(job.complaint.symptoms);
  if (circuit && (reads === 'cold' || reads === 'hot')) {
    const middle = Math.min(Math.max(20, circuit.curve.minC), circuit.curve.maxC);
    list.push({
      source: 'symptom',
      name: `Complaint: reads too ${reads}`,
      ratios: symptomFactors(circuit, reads, job.temperatureC.value ?? middle),
    });
  }
  if (Object.keys(job.weightFactors).length > 0)
    list.push({ source: 'by-hand', name: 'Changed by hand', ratios: job.weightFactors });
  return list;
}

/** The product of the factors, by fault. */
export function multiplied(factors: readonly PriorFactor[]): Record<string, number> {
  const product: Record<string, number> = {};
  for (const { ratios } of factors) {
    for (const [fault, ratio] of Object.entries(ratios)) product[fault] = (product[fault] ?? 1) * ratio;
  }
  return product;
}
