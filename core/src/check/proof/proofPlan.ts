import { FIELDS, type MachineField } from '../../base/units/vocabulary.ts';
import { inside, type Interval } from '../../base/numeric/interval.ts';
import type { Job } from '../job/jobSchema.ts';

/** One step of proving a repair. Source: common practice, no source. */
export interface ProofStep {
  id: string;
  name: string;
  how: string;
  caution: string | null;
  fields: readonly MachineField[];
  /** Sensors that it is for, by the name of their circuit; absent: every sensor. */
  sensors?: RegExp;
  /** Is it for checks with trouble codes alone? */
  withCodes?: true;
}

const FANS = 'Engine running: hands, sleeves and leads clear of fans and belts.';

export const PROOF_STEPS: readonly ProofStep[] = [
  {
    id: 'codes-cleared',
    name: 'Codes cleared',
    how: 'Clear the codes, cycle the key or the supply.',
    caution: null,
    fields: FIELDS,
    withCodes: true,
  },
  {
    id: 'codes-read-again',
    name: 'Codes read again',
    how: 'Read the codes again at once: none of them may be back.',
    caution: null,
    fields: FIELDS,
  },
  {
    id: 'cold-plausible',
    name: 'Plausible cold',
    how: 'Cold machine: the shown value agrees with the thermometer and with the other sensors.',
    caution: null,
    fields: FIELDS,
  },
  {
    id: 'warm-plausible',
    name: 'Plausible warm',
    how: 'It rises smoothly and settles. Coolant settles where the thermostat holds it, about 85 … 95 °C on most engines.',
    caution: FANS,
    fields: ['engine'],
    sensors: /coolant|oil|water|exhaust|sender|unknown|not known|not listed/i,
  },
  {
    id: 'road-test',
    name: 'Test run and second scan',
    how: 'Run it under load for some minutes, then scan again. Some codes come back only then.',
    caution: null,
    fields: ['engine'],
  },
  {
    id: 'cooling-cycle',
    name: 'A whole cooling cycle',
    how: 'Compressor in, coil down to its temperature, out again; no ice, no code.',
    caution: 'Refrigerant circuits: qualified persons only.',
    fields: ['climate'],
  },
  {
    id: 'heating-cycle',
    name: 'A whole heating cycle',
    how: 'Heat up to the setting, burner off, and once more; the values follow the pipes.',
    caution: 'Covers on. Flue and gas parts are for licensed persons.',
    fields: ['boiler'],
  },
  {
    id: 'waited',
    name: 'Slow display has followed',
    how: 'Displays of outside air follow a new sensor only after half an hour of idling or a drive. Wait for that.',
    caution: null,
    fields: ['engine', 'climate'],
    sensors: /outdoor|outside|ambient/i,
  },
];

/** Tests whose healthy values prove a repair, in the order in which they are taken. */
export const PROOF_TESTS = ['displayed', 'loaded-voltage', 'return-drop', 'open-voltage', 'sensor-ohms'] as const;

/** What a check says of its machine and its sensor, as far as the steps depend on it. */
type Proved = Pick<Job, 'field'> & {
  circuit: Pick<Job['circuit'], 'name'>;
  complaint: Pick<Job['complaint'], 'codes'>;
};

/** The steps that fit this machine and this sensor. */
export function proofStepsFor({ field, circuit, complaint }: Proved): readonly ProofStep[] {
  return PROOF_STEPS.filter(
    (s) =>
      s.fields.includes(field) &&
      (s.sensors?.test(circuit.name) ?? true) &&
      (!s.withCodes || complaint.codes.length > 0),
  );
}

/** How far a job is proved. */
export interface ProofState {
  /** Ids of steps without a result; of steps that failed; of proof readings outside what is healthy. */
  missing: string[];
  failed: string[];
  outside: string[];
  /** Readings inside what is healthy. */
  inside: number;
  standInFitted: boolean;
  /** May the job be closed as proved? */
  proved: boolean;
}

/** Judges the proof of a job; `healthy`: what sound readings are at the temperature of the proof, by measurement. */
export function proofStateOf(job: Job, healthy: Readonly<Record<string, Interval>>): ProofState {
  const steps = proofStepsFor(job);
  const missing = steps.filter((s) => !job.proof.steps[s.id]).map((s) => s.id);
  const failed = steps.filter((s) => job.proof.steps[s.id]?.state === 'failed').map((s) => s.id);
  const judged = job.proof.readings.flatMap(({ measurement, value }) => {
    const range = healthy[measurement];
    if (value === null || !range) return [];
    return [{ measurement, fits: inside(range, value === 'OL' ? Infinity : value) === 'inside' }];
  });
  const outside = judged.filter((j) => !j.fits).map((j) => j.measurement);
  const standInFitted = job.repair.standIn !== null && job.repair.standIn.removedAt === null;
  const fits = judged.length - outside.length;
  const proved = missing.length === 0 && failed.length === 0 && outside.length === 0 && fits > 0 && !standInFitted;
  return { missing, failed, outside, inside: fits, standInFitted, proved };
}
