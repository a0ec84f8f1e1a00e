// A made-up quarry with three drain pumps of one kind: on one of them years of checks, on all the same fault. Ohms are those of the curve at a temperature
// that lies off the true one by the sensor's drift.
import { curveModel } from '../../core/src/circuit/curves/curve.ts';
import { circuitCurve } from '../../core/src/check/job/circuitCurve.ts';
import type { Job } from '../../core/src/check/job/jobSchema.ts';
import { proofStepsFor } from '../../core/src/check/proof/proofPlan.ts';
import { begun, celsius, decide, followUp, read } from './told.ts';

const CIRCUIT = 'engine-coolant-2k8';

interface Visit {
  day: string;
  airC: number;
  /** Kelvin by which the sensor reads too low. */
  off: number;
  complaint: string;
}

function visit(id: string, pump: number, { day, airC, off, complaint }: Visit): Job {
  const job = begun(id, day, CIRCUIT, `Quarry pump ${pump} · coolant`, `Quarry, drain pump ${pump}`, complaint);
  job.tags = ['quarry'];
  job.moments[0].temperatureC = celsius(airC);
  const model = curveModel(circuitCurve(job.circuit.curve)!);
  const ohm = model.resistanceOhm(airC - off);
  const volts = (5 * ohm) / (ohm + job.circuit.pullUpOhm.value!);
  read(
    job,
    ['displayed', String(Math.round(airC - off))],
    ['open-voltage', '5.00'],
    ['sensor-ohms', `${(ohm / 1000).toFixed(2)}k`],
    ['loaded-voltage', volts.toFixed(2)],
  );
  return job;
}

/** Repaired, proved and closed on the same day. */
function close(job: Job, part: string, partNumber: string, done: string): void {
  const at = job.updatedAt.replace(':40:', ':20:');
  job.repair = { ...job.repair, part, partNumber, done, doneAt: at };
  job.proof.temperatureC = job.moments[0].temperatureC;
  // A new sensor reads right; one that was left in reads as before.
  const [before] = job.readings;
  const value = part === '' ? Number(before.value) : job.moments[0].temperatureC.value!;
  job.proof.readings = [{ measurement: 'displayed', text: String(value), value }];
  for (const { id } of proofStepsFor(job)) job.proof.steps[id] = { state: 'passed', note: '', at };
  job.closed = { at: job.updatedAt, how: 'proved', reason: '' };
}

export function quarry(): Job[] {
  const years: Visit[] = [
    { day: '2021-04-12', airC: 11, off: 0.3, complaint: 'Yearly look before the season.' },
    { day: '2022-04-08', airC: 9, off: 2, complaint: 'Yearly look before the season.' },
    { day: '2023-04-17', airC: 13, off: 3.6, complaint: 'Yearly look before the season.' },
    { day: '2024-04-11', airC: 10, off: 5.4, complaint: 'Gauge a little low, fan late.' },
    { day: '2025-04-15', airC: 12, off: 7, complaint: 'Gauge low, fan late, twice boiled over.' },
  ];
  const third = years.map((v) => visit(`quarry-3-${v.day.slice(0, 4)}`, 3, v));
  for (const job of third.slice(0, 3)) {
    decide(job, 'healthy', 'Within what the curve allows; look again next year.');
    close(job, '', '', 'Nothing changed.');
  }
  followUp(third[3], 'Check this sensor again: it is drifting', '2025-04-15');
  const others = [1, 2, 4].map((pump) => {
    const job = visit(`quarry-${pump}`, pump, { day: `2025-05-0${pump}`, airC: 14, off: 9, complaint: 'Gauge low.' });
    decide(job, 'sensor', 'Reads nine kelvin low, as on the others.');
    close(job, 'Coolant sensor', 'QP-2K8-L', 'Sensor changed, coolant topped up, thread sealed.');
    return job;
  });
  return [...third, ...others];
}
