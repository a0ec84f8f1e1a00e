import { instrumentsOf } from '../../catalogue/kit/instrumentsOf.ts';
import { plainName } from '../register/placeKey.ts';
import { measurementById } from '../../circuit/measurements/list.ts';
import { toldSigmaK, toldTemperature } from '../../base/units/toldTemperature.ts';
import { thermometerTold } from '../../check/job/checkJob.ts';
import type { Job } from '../../check/job/jobSchema.ts';
import type { JobLine } from '../../check/job/jobList.ts';
import { kitAt, type Moment, momentOf } from '../../check/job/moments.ts';
import { readPair } from '../../check/job/readFigure.ts';
import type { LearnedPair } from './learnCurve.ts';

/** Accuracy of a meter's ohms, and of a divider whose pull-up is known, relative 1σ. Common practice, no source. */
const [OHMS_SIGMA, DIVIDER_SIGMA] = [0.006, 0.015];

/** What a line of the list of checks says of its sensor. */
type Named = Pick<JobLine, 'partNumber' | 'machine' | 'circuit'>;

/** Is this check of that part number, or of that machine? Compared without case and spaces; an empty wish takes every check. */
export function isOf({ partNumber, machine, circuit }: Named, wished: string): boolean {
  const words = plainName(wished);
  if (words === '') return true;
  return [partNumber, machine, circuit].some((text) => plainName(text).includes(words));
}

/**
 * Every pair of temperature and ohms, or volts plugged in where the pull-up is known, that checks hold of their sensors. Sensors that were judged bad are
 * left out, and so is what was excluded, read while wiggling, or has no temperature.
 */
export function pairsOfChecks(jobs: readonly Job[]): LearnedPair[] {
  return jobs.flatMap((job) => (job.decision?.group === 'sensor' ? [] : [...readingPairs(job), ...comparedPairs(job)]));
}

function readingPairs(job: Job): LearnedPair[] {
  const instruments = instrumentsOf(job.kit);
  return job.readings.flatMap((r): LearnedPair[] => {
    if (r.voided || typeof r.value !== 'number' || r.state === 'wiggling') return [];
    const ohm = ohmOf(job, r.measurement, r.value);
    if (ohm === null) return [];
    const own = r.conditions.bathC ?? r.conditions.airC;
    const moment = momentOf(job, r);
    const told = own ? toldAt(own.text, instruments.bathK) : besideOf(job, moment);
    if (!told) return [];
    const kind = own ? 'bath' : (moment.thermometer ?? job.kit.thermometer);
    return [{ id: `${job.id} ${r.id}`, check: job.id, thermometer: `${job.id} ${kind}`, ...told, ...ohm }];
  });
}

function comparedPairs(job: Job): LearnedPair[] {
  const { bathK } = instrumentsOf(job.kit);
  return job.comparison.pairs.flatMap((pair): LearnedPair[] => {
    const { bathC, ohm } = readPair(pair);
    if (pair.sensor !== 'this' || pair.phase === 'after' || typeof bathC !== 'number' || typeof ohm !== 'number')
      return [];
    if (!Number.isFinite(ohm) || ohm <= 0) return [];
    const told = toldAt(pair.temperatureC.text, bathK);
    if (!told) return [];
    const figure = { resistanceOhm: ohm, sigmaRelative: OHMS_SIGMA };
    return [{ id: `${job.id} ${pair.id}`, check: job.id, thermometer: `${job.id} bath`, ...told, ...figure }];
  });
}

type Figure = Pick<LearnedPair, 'resistanceOhm' | 'sigmaRelative'>;

/** The sensor's resistance from one reading; null where it tells none. */
function ohmOf({ circuit }: Job, measurement: string, value: number): Figure | null {
  const { onSensor, ofAnotherSensor } = measurementById(measurement);
  if (onSensor && !ofAnotherSensor) return value > 0 ? { resistanceOhm: value, sigmaRelative: OHMS_SIGMA } : null;
  const [pullUp, reference] = [circuit.pullUpOhm.value, circuit.referenceV.value];
  const known =
    circuit.pullUpSource !== 'usual' && circuit.layout === 'pull-up' && pullUp !== null && reference !== null;
  if (measurement !== 'loaded-voltage' || !known) return null;
  // Near an end of the divider a hundredth of a volt is many kelvin.
  if (value < 0.08 * reference || value > 0.92 * reference) return null;
  return { resistanceOhm: (pullUp * value) / (reference - value), sigmaRelative: DIVIDER_SIGMA };
}

type Told = Pick<LearnedPair, 'temperatureC' | 'sigmaK'>;

function toldAt(text: string, ownK: number): Told | null {
  const told = toldTemperature(text, 'C');
  return told.ok ? { temperatureC: told.told.middleC, sigmaK: toldSigmaK(told.told, ownK) } : null;
}

function besideOf(job: Job, moment: Moment): Told | null {
  const told = thermometerTold(moment.temperatureC, kitAt(job.kit, moment));
  // A range from which one knows next to nothing teaches nothing.
  return told && (told.halfWidthK ?? 0) <= 3
    ? { temperatureC: told.readC, sigmaK: Math.hypot(told.sigmaK, told.halfWidthK ?? 0) }
    : null;
}
