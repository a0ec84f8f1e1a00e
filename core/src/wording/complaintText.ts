import { directionOf } from '../catalogue/parts/symptoms.ts';
import type { Job } from '../check/job/jobSchema.ts';
import { asFound } from '../check/job/moments.ts';
import { formatTemperature, type TemperatureUnit } from '../base/units/format.ts';

/** What the complaint says of the reading, checked against the displayed value where there is one. Null when it says nothing. */
export function complaintText(job: Job, unit: TemperatureUnit): { text: string; odd: boolean } | null {
  const found = Object.entries(job.complaint.causes).filter(([, state]) => state === 'found');
  const reads = directionOf(job.complaint.symptoms);
  if (found.length > 0)
    return {
      text: 'A cause that is not electrical was found. Fix that first, then see what is left of the complaint.',
      odd: true,
    };
  if (reads === null) return null;
  if (reads === 'both')
    return {
      text: 'The symptoms contradict each other: one says too cold, one too hot. Two complaints, or one of them has another cause.',
      odd: true,
    };
  const said = `The symptoms say: reads too ${reads}.`;
  const shown = job.readings.find((r) => r.measurement === 'displayed' && !r.voided)?.value;
  const air = asFound(job).temperatureC.value;
  if (typeof shown !== 'number' || air === null)
    return { text: `${said} Compare the displayed value with a thermometer.`, odd: false };
  const difference = shown - air;
  const figures = `${formatTemperature(shown, unit)} shown at ${formatTemperature(air, unit)}`;
  if (Math.abs(difference) < 4)
    return {
      text: `${said} ${figures}: no difference now. Intermittent, or a cause that is no electrical fault.`,
      odd: true,
    };
  const agrees = difference < 0 === (reads === 'cold');
  return {
    text: `${said} ${figures}: ${agrees ? 'agrees' : 'the opposite. Is it the right sensor and the right value?'}.`.replace(
      '?.',
      '?',
    ),
    odd: !agrees,
  };
}
