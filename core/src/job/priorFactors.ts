import { FINDINGS } from '../catalogue/findings.ts';
import { directionOf } from '../catalogue/symptoms.ts';
import { pointAtShared, sensorCodes, speaksOfAnother } from '../catalogue/troubleCodes.ts';
import type { SensorCircuit } from '../circuit/sensorCircuit.ts';
import { codeFactors } from '../model/codeFactors.ts';
import { symptomFactors } from '../model/symptomFactors.ts';
import type { CodeState } from '../units/vocabulary.ts';
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
    const temperatureC = job.temperatureC.value ?? middle;
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

/**
 * Odds that all that is seen and told can reach together, ln: what one careful measurement tells. Things seen and told are not independent
 * (corrosion, a high code and several codes speak of one drip), so they are not multiplied without end.
 */
const MOST_TOLD = Math.log(30);

/**
 * One factor for each fault out of all that is seen and told: the product, its span drawn together so that no fault falls below a thirtieth of
 * the one that is told most; then what was changed by hand, as it stands.
 */
export function pooled(factors: readonly PriorFactor[]): Record<string, number> {
  const told = multiplied(factors.filter((f) => f.source !== 'by-hand'));
  const most = Math.log(Math.max(1, ...Object.values(told)));
  // A fault that nothing names has factor 1.
  const drawn = (ratio: number): number => {
    const below = (Math.log(Math.max(ratio, 1e-300)) - most) / MOST_TOLD;
    return Math.exp(most - MOST_TOLD * (1 - Math.exp(below)));
  };
  const unnamed = drawn(1);
  const together = Object.fromEntries(Object.entries(told).map(([fault, ratio]) => [fault, drawn(ratio) / unnamed]));
  return multiplied([
    { source: 'finding', name: '', ratios: together },
    ...factors.filter((f) => f.source === 'by-hand'),
  ]);
}

/** The product of the factors, by fault. */
function multiplied(factors: readonly PriorFactor[]): Record<string, number> {
  const product: Record<string, number> = {};
  for (const { ratios } of factors) {
    for (const [fault, ratio] of Object.entries(ratios)) product[fault] = (product[fault] ?? 1) * ratio;
  }
  return product;
}
