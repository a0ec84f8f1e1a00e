import type { Job } from '../check/job/jobSchema.ts';
import { measurementById } from '../circuit/measurements/list.ts';
import { inside, type Interval } from '../base/numeric/interval.ts';
import { formatInterval, formatProbability, formatQuantity, type TemperatureUnit } from '../base/units/format.ts';
import type { FaultGroup } from '../base/units/vocabulary.ts';
import { countText } from '../wording/ledgerText.ts';
import type { Assessment } from '../inference/verdict/assessment.ts';
import type { PageOptions, ReportSection } from './reportSection.ts';

/** What was found, to somebody who has never held a meter. */
const FOUND: Readonly<Record<FaultGroup, string>> = {
  sensor: 'The temperature sensor was faulty. It gave wrong values.',
  wiring: 'The wiring between the temperature sensor and the control unit was at fault.',
  reference: 'The steady supply that the control unit gives its sensors was at fault.',
  module: 'The control unit that reads the sensor was at fault.',
  installation: 'The sensor is sound. It was not where it should be, or it did not touch what it measures.',
  healthy: 'We found nothing wrong in the circuit of this sensor on the day of the check.',
};

/** Readings told to a customer at most: the ones that are furthest out are enough. */
const TOLD = 3;

/**
 * The check as a letter to whoever pays for it: what was reported, what was found and how that is known, what was done, what was checked afterwards,
 * what to watch. Nothing is said that the check does not hold. Sections without content are left out.
 */
export function customerPage(
  job: Job,
  assessment: Assessment | null,
  proofHealthy: Readonly<Record<string, Interval>> | null,
  { unit, day, technician = '' }: Pick<PageOptions, 'unit' | 'day'> & { technician?: string },
): ReportSection[] {
  const section = (id: string, title: string, lines: string[]): ReportSection => ({ id, title, lines });
  return [
    section('letter', 'Your order', letterLines(job, technician, day)),
    section('told', 'What you reported', job.complaint.text.trim() === '' ? [] : [job.complaint.text.trim()]),
    section('wrong', 'What we found', foundLines(job)),
    section('known', 'How we know', assessment ? knownLines(job, assessment, unit) : []),
    section('done', 'What we did', doneLines(job, day)),
    section('proved', 'What we checked afterwards', checkedLines(job, proofHealthy, day)),
    section('watch', 'What to watch', watchLines(job, day)),
  ].filter((s) => s.lines.length > 0);
}

/** Who, what, when and by whom: as far as it is known. */
function letterLines(job: Job, technician: string, day: (iso: string) => string): string[] {
  const known: [string, string][] = [
    ['Customer', job.customer],
    ['Machine', job.machine],
    ['Order number', job.orderNumber],
    ['Date', day(job.closed?.at ?? job.repair.doneAt ?? job.decision?.decidedAt ?? job.createdAt)],
    ['Technician', technician],
  ];
  return known.filter(([, text]) => text.trim() !== '').map(([name, text]) => `${name}: ${text.trim()}`);
}

function foundLines({ decision, repair }: Job): string[] {
  if (!decision) return ['We have not finished the check. What is wrong is not decided yet.'];
  const cause = repair.cause.trim();
  return [FOUND[decision.group], ...(cause === '' ? [] : [`The cause: ${cause}`])];
}

function knownLines(job: Job, assessment: Assessment, unit: TemperatureUnit): string[] {
  const count = assessment.readings.length;
  if (count === 0) return [];
  const odd = assessment.readings.flatMap((r, i) =>
    r.verdict === 'inside' ? [] : [{ ...r, value: assessment.values[i] }],
  );
  const taken = countText(count, 'reading', 'readings');
  const lines = [
    odd.length === 0
      ? `We took ${taken}. All were as in a sound circuit.`
      : odd.length === count
        ? `We took ${taken}. None was as in a sound circuit.`
        : `We took ${taken}. ${odd.length} of them ${odd.length === 1 ? 'was' : 'were'} not as in a sound circuit.`,
    ...odd.slice(0, TOLD).map(({ measurement, value, healthy }) => {
      const { title, quantity } = measurementById(measurement);
      const shown = value === Infinity ? 'no connection at all' : formatQuantity(value, quantity, unit);
      return `${title}: ${shown}. A sound circuit shows ${formatInterval(healthy, quantity, unit)}.`;
    }),
  ];
  const { decision } = job;
  if (decision && decision.group === decision.toolGroup)
    lines.push(
      `We compared this with every other fault that could show the same. The chance of this one is ${formatProbability(decision.toolProbability).replace('>', 'over ')}.`,
    );
  return lines;
}

function doneLines({ repair }: Job, day: (iso: string) => string): string[] {
  const part = [repair.part, repair.partNumber].map((t) => t.trim()).filter(Boolean);
  const { standIn } = repair;
  return [
    ...(repair.done.trim() === '' ? [] : [repair.done.trim()]),
    ...(part.length === 0 ? [] : [`Part fitted: ${part.join(', ')}.`]),
    ...(repair.doneAt ? [`Repaired on ${day(repair.doneAt)}.`] : []),
    ...(standIn && !standIn.removedAt
      ? [
          `A temporary replacement is fitted (${standIn.what.trim() || 'not named'}). It is not a repair and must come out again.`,
        ]
      : []),
  ];
}

function checkedLines(
  { proof, closed, repair }: Job,
  healthy: Readonly<Record<string, Interval>> | null,
  day: (iso: string) => string,
): string[] {
  const judged = proof.readings.flatMap(({ measurement, value }) => {
    const range = healthy?.[measurement];
    return value === null || !range ? [] : [inside(range, value === 'OL' ? Infinity : value)];
  });
  const sound = judged.filter((j) => j === 'inside').length;
  const again =
    judged.length === 0
      ? []
      : [`We measured again after the repair. ${sound} of ${judged.length} readings were as in a sound circuit.`];
  if (closed?.how === 'proved') return [...again, `The repair is confirmed. We closed the order on ${day(closed.at)}.`];
  if (closed)
    return [
      ...again,
      `The repair is not confirmed. We closed the order on ${day(closed.at)} for this reason: ${closed.reason.trim()}`,
    ];
  return repair.doneAt ? [...again, 'We have not finished checking the repair yet.'] : again;
}

function watchLines(job: Job, day: (iso: string) => string): string[] {
  return job.followUps
    .filter((f) => f.doneAt === null)
    .map((f) => `${f.text.trim() || 'Have it checked again'}, by ${day(f.dueOn)}.`);
}
