import type { Job } from '../check/job/jobSchema.ts';
import { measurementById } from '../circuit/measurements/list.ts';
import { inside, type Interval } from '../base/numeric/interval.ts';
import { formatInterval, formatProbability, formatQuantity, type TemperatureUnit } from '../base/units/format.ts';
import type { FaultGroup } from '../base/units/vocabulary.ts';
import { countText } from '../wording/ledgerText.ts';
import type { Assessment } from '../inference/verdict/assessment.ts';
import type { PageOptions, ReportSection } from './reportSection.ts';

/** What each decision is called to somebody who has never held a meter. */
const WAS_WRONG: Readonly<Record<FaultGroup, string>> = {
  sensor: 'The temperature sensor itself gave wrong values.',
  wiring: 'The wiring between the temperature sensor and the control unit was at fault.',
  reference: 'The steady supply that the control unit gives its sensors was at fault.',
  module: 'The control unit that reads the sensor was at fault.',
  installation: 'The sensor was sound, but not where it should be or not touching what it measures.',
  healthy: 'Nothing in the sensor’s circuit was found at fault at the time of the check.',
};

/** Readings told to a customer at most: the ones that stand furthest out are enough. */
const TOLD = 3;

/**
 * The job for whoever pays for it, in plain words: what was wrong, how that is known, what was done, whether it is proved, what is still to
 * watch. Nothing is said that the job does not hold. Sections without content are left out.
 */
export function customerPage(
  job: Job,
  assessment: Assessment | null,
  proofHealthy: Readonly<Record<string, Interval>> | null,
  { unit, day }: Pick<PageOptions, 'unit' | 'day'>,
): ReportSection[] {
  const section = (id: string, title: string, lines: string[]): ReportSection => ({ id, title, lines });
  return [
    section('told', 'What you told us', job.complaint.text.trim() === '' ? [] : [job.complaint.text.trim()]),
    section('wrong', 'What was wrong', wrongLines(job)),
    section('known', 'How we know', assessment ? knownLines(job, assessment, unit) : []),
    section('done', 'What was done', doneLines(job, day)),
    section('proved', 'Is it proved?', proofLines(job, proofHealthy, day)),
    section('watch', 'To watch', watchLines(job, day)),
  ].filter((s) => s.lines.length > 0);
}

function wrongLines({ decision, repair }: Job): string[] {
  if (!decision) return ['The check is not finished: what is wrong has not been decided yet.'];
  const cause = repair.cause.trim();
  return [WAS_WRONG[decision.group], ...(cause === '' ? [] : [`The cause: ${cause}`])];
}

function knownLines(job: Job, assessment: Assessment, unit: TemperatureUnit): string[] {
  const count = assessment.readings.length;
  if (count === 0) return [];
  const odd = assessment.readings.flatMap((r, i) =>
    r.verdict === 'inside' ? [] : [{ ...r, value: assessment.values[i] }],
  );
  const lines = [
    `We took ${countText(count, 'measurement', 'measurements')}. ${
      odd.length === 0
        ? 'All were as in a sound circuit.'
        : `${odd.length === count ? 'All' : odd.length} of them showed something else than a sound circuit.`
    }`,
    ...odd.slice(0, TOLD).map(({ measurement, value, healthy }) => {
      const { title, quantity } = measurementById(measurement);
      const shown = value === Infinity ? 'no connection at all' : formatQuantity(value, quantity, unit);
      return `${title}: ${shown}. A sound circuit shows ${formatInterval(healthy, quantity, unit)}.`;
    }),
  ];
  const { decision } = job;
  if (decision && decision.group === decision.toolGroup)
    lines.push(
      `Weighed against every other fault that could show the same, this one has a chance of ${formatProbability(decision.toolProbability).replace('>', 'over ')}.`,
    );
  return lines;
}

function doneLines({ repair }: Job, day: (iso: string) => string): string[] {
  const part = [repair.part, repair.partNumber].map((t) => t.trim()).filter(Boolean);
  const { standIn } = repair;
  return [
    ...(repair.done.trim() === '' ? [] : [repair.done.trim()]),
    ...(part.length === 0 ? [] : [`Part: ${part.join(', ')}.`]),
    ...(repair.doneAt ? [`Done on ${day(repair.doneAt)}.`] : []),
    ...(standIn && !standIn.removedAt
      ? [
          `A temporary replacement is fitted (${standIn.what.trim() || 'not named'}). It is not a repair and has to come out again.`,
        ]
      : []),
  ];
}

function proofLines(
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
    judged.length === 0 ? [] : [`Measured again after the work: ${sound} of ${judged.length} as in a sound circuit.`];
  if (closed?.how === 'proved')
    return [...again, `Yes: the repair was proved by measuring and closed on ${day(closed.at)}.`];
  if (closed) return [...again, `Not proved. Closed on ${day(closed.at)} for this reason: ${closed.reason.trim()}`];
  return repair.doneAt ? [...again, 'Not yet: the proof after the work is still to be finished.'] : again;
}

function watchLines(job: Job, day: (iso: string) => string): string[] {
  return job.followUps
    .filter((f) => f.doneAt === null)
    .map((f) => `${f.text.trim() || 'Look at it again'}, by ${day(f.dueOn)}.`);
}
