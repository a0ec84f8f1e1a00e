import { FINDINGS } from '../../catalogue/parts/findings.ts';
import { directionOf } from '../../catalogue/parts/symptoms.ts';
import { pointAtShared, sensorCodes, speaksOfAnother } from '../../catalogue/parts/troubleCodes.ts';
import { FAULTS } from '../../circuit/faults/list.ts';
import type { SensorCircuit } from '../../circuit/network/sensorCircuit.ts';
import { codeFactors } from '../../inference/model/codeFactors.ts';
import type { PriorFactor } from '../../inference/model/priorFactor.ts';
import { symptomFactors } from '../../inference/model/symptomFactors.ts';
import type { CodeState } from '../../base/units/vocabulary.ts';
import type { Job } from './jobSchema.ts';
import { asFound } from './moments.ts';

const REPLACED = {
  sensor: 'sensor-replaced',
  connector: 'wiring-repaired',
  wiring: 'wiring-repaired',
  module: 'module-replaced',
} as const;

/** All that a job's codes, symptoms, history and findings say, each counted once, for the user to see and for `pooled` to take together. */
export function priorFactors(job: Job, circuit: SensorCircuit | null): PriorFactor[] {
  const { codes, symptoms, replaced } = job.complaint;
  const ids = new Set<string>([...replaced.map((part) => REPLACED[part]), ...job.findings]);
  if (pointAtShared(codes)) ids.add('several-codes');
  const list: PriorFactor[] = FINDINGS.filter((f) => ids.has(f.id)).map(({ name, ratios }) => ({
    source: 'finding',
    name,
    ratios,
  }));
  if (circuit) {
    const middle = Math.min(Math.max(20, circuit.curve.minC), circuit.curve.maxC);
    const temperatureC = asFound(job).temperatureC.value ?? middle;
    for (const known of sensorCodes(codes)) {
      if (speaksOfAnother(known, job.circuit.name)) continue;
      const ratios = codeFactors(circuit, known.says, known.state, temperatureC);
      list.push({ source: 'code', name: `Code ${known.code}, ${STATE_WORDS[known.state]}`, ratios });
    }
    const reads = directionOf(symptoms);
    if (reads === 'cold' || reads === 'hot')
      list.push({
        source: 'symptom',
        name: `Complaint: reads too ${reads}`,
        ratios: symptomFactors(circuit, reads, temperatureC),
      });
  }
  const own = job.experience;
  if (own)
    list.push({
      source: 'experience',
      name: `Your own ${own.checks} closed checks`,
      ratios: Object.fromEntries(FAULTS.map((f) => [f.id, own.factors[f.group] ?? 1])),
    });
  if (Object.keys(job.weightFactors).length > 0)
    list.push({ source: 'by-hand', name: 'Changed by hand', ratios: job.weightFactors });
  return list;
}

const STATE_WORDS: Readonly<Record<CodeState, string>> = {
  present: 'present',
  sporadic: 'sporadic',
  'came-back': 'came back',
  past: 'from the past',
};
