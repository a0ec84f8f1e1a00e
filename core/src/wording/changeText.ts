import type { Job } from '../check/job/jobSchema.ts';
import { HOT } from '../check/job/moments.ts';
import { isMeasurementId, measurementById } from '../circuit/measurements/list.ts';
import { type Patch, TYPED } from '../base/records/changes.ts';
import { isRecord } from '../base/records/plainData.ts';

/** What each part of a job is called when a change of it is told. */
const PARTS: Record<string, string> = {
  title: 'title',
  machine: 'machine',
  customer: 'customer',
  orderNumber: 'order number',
  leftOut: 'tests left out',
  field: 'field',
  note: 'note',
  tags: 'tags',
  school: 'order of work',
  moments: 'thermometer',
  complaint: 'complaint',
  rightSensor: 'the right sensor',
  circuit: 'circuit',
  loom: 'harness',
  worth: 'prices',
  kit: 'kit',
  comparison: 'comparison',
  findings: 'findings',
  photos: 'photo',
  weightFactors: 'factor by hand',
  decision: 'decision',
  repair: 'repair',
  proof: 'verification',
  followUps: 'follow-up',
  closed: 'closing',
  archivedAt: 'archive',
};
/** Parts within parts that have a name of their own. */
const INNER: Record<string, string> = {
  'complaint/symptoms': 'symptoms',
  'complaint/codes': 'code',
  'complaint/replaced': 'replaced parts',
  'complaint/causes': 'other cause',
  'circuit/referenceV': 'reference',
  'circuit/pullUpOhm': 'pull-up',
  'circuit/curve': 'sensor curve',
  'circuit/layout': 'layout',
  'comparison/pairs': 'pair',
  'comparison/settling': 'timed reading',
  'proof/temperatureC': 'thermometer now',
  'proof/readings': 'verification reading',
  'proof/steps': 'verification step',
  'repair/standIn': 'temporary replacement',
};

/**
 * What a step changed, in a few words for "Undo: …": the part, and where it is one figure, what it was and became. `job` names the readings;
 * it may be of before or after the step.
 */
export function changeText(job: Job, patches: readonly Patch[]): string {
  const telling = patches.find((p) => p.at[p.at.length - 1] === TYPED) ?? patches[0];
  if (!telling) return 'nothing';
  const name = partName(job, telling);
  const [before, after] = [shown(telling, telling.before), shown(telling, telling.after)];
  if (before === null && after === null) return name;
  if (before === null || before === '') return after ? `${name} ${after}` : name;
  return after === null || after === '' ? `${name} ${before} removed` : `${name} ${before} → ${after}`;
}

function partName(job: Job, { at, before, after }: Patch): string {
  if (at[0] === 'moments' && at[1] === `#${HOT}`) return 'thermometer, hot';
  if (at[0] === 'readings') {
    const name = readingName(job, at[1]?.slice(1), [after, before]);
    if (at[2] === 'voided')
      return after === undefined || after === null ? `${name} included again` : `${name} excluded`;
    return at[2] === 'note' ? `note on ${name}` : name;
  }
  return INNER[at.slice(0, 2).join('/')] ?? PARTS[at[0]] ?? 'change';
}

/** The test of a reading that came, went or changed: it may be in the change itself, else it is looked up by its id. */
function readingName(job: Job, id: string | undefined, changed: readonly unknown[]): string {
  const thing = changed.find((x) => isRecord(x) && typeof x.measurement === 'string') as
    { measurement: string } | undefined;
  const measurement = thing?.measurement ?? job.readings.find((r) => r.id === id)?.measurement ?? '';
  return isMeasurementId(measurement) ? measurementById(measurement).name : 'reading';
}

/** A figure or a word as it was typed; null where it is more than that. */
function shown({ at }: Patch, value: unknown): string | null {
  if (at[at.length - 1] === TYPED && Array.isArray(value)) return short(String(value[0]));
  if (isRecord(value)) {
    const word = value.text ?? value.code ?? value.caption ?? value.name;
    return typeof word === 'string' ? short(word) : null;
  }
  return typeof value === 'string' && !/^\d{4}-\d\d-\d\dT/.test(value) ? short(value) : null;
}

function short(text: string): string {
  return text.length > 28 ? `${text.slice(0, 27)}…` : text;
}
