import type { Job } from '../check/job/jobSchema.ts';

/** Signs that no system takes in the name of a file. */
const FORBIDDEN = /[\\/:*?"<>|\p{Cc}]+/gu;
const LONGEST = 100;

/**
 * What a report is called as a file, without its ending: the day of the check, the machine and the sensor. The title names both where there is one.
 *
 * @example '2026-03-12 Swimming bath boiler flow'
 */
export function reportName(job: Job): string {
  const times = job.readings.flatMap((r) => (r.takenAt && !r.voided ? [r.takenAt] : [])).sort();
  const day = (times[times.length - 1] ?? job.createdAt).slice(0, 10);
  const [sensor] = job.circuit.name.split(' · ');
  const what = job.title.trim() || [job.machine.trim(), sensor].filter(Boolean).join(' ');
  const plain = what
    .normalize('NFKC')
    .replace(/ · /g, ' ')
    .replace(FORBIDDEN, ' ')
    .replace(/\s+/g, ' ')
    .trim()
    .slice(0, LONGEST)
    // A name that ends in a dot is cut by some systems.
    .replace(/[. ]+$/, '');
  return `${day} ${plain}`.trim();
}
