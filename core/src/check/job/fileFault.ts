import { measurementById } from '../../circuit/measurements/list.ts';
import { parseField } from '../../base/units/parseField.ts';
import type { FieldQuantity } from '../../base/units/quantity.ts';
import type { Job } from './jobSchema.ts';
import { AS_FOUND, HOT } from './moments.ts';

/** What no job of this program can hold, although each field of it is right by itself. */
export interface FileFault {
  path: (string | number)[];
  detail: string;
}

/**
 * Looks through a job that came as a file for what contradicts itself: two things of one id, a value that its text does not say, "closed as proved"
 * without a proof. Records of the browser's own store are not asked: what is kept must open. Null where it holds together.
 */
export function fileFault(job: Job): FileFault | null {
  return sameIds(job) ?? outsideMoments(job) ?? otherValue(job) ?? withoutProof(job);
}

function sameIds(job: Job): FileFault | null {
  const { complaint, rightSensor, comparison } = job;
  const lists: [string[], readonly { id: string }[]][] = [
    [['moments'], job.moments],
    [['readings'], job.readings],
    [['photos'], job.photos],
    [['followUps'], job.followUps],
    [['complaint', 'codes'], complaint.codes],
    [['rightSensor', 'plugs'], rightSensor.plugs],
    [['rightSensor', 'values'], rightSensor.values],
    [['rightSensor', 'trials'], rightSensor.trials],
    [['comparison', 'pairs'], comparison.pairs],
    [['comparison', 'settling'], comparison.settling],
  ];
  for (const [path, list] of lists) {
    const known = new Set<string>();
    for (const [i, { id }] of list.entries()) {
      if (known.has(id)) return { path: [...path, i, 'id'], detail: 'the same id twice' };
      known.add(id);
    }
  }
  return null;
}

/** The two moments that every check has come first, and every reading belongs to one that is there, hot ones to a hot one. */
function outsideMoments({ moments, readings }: Job): FileFault | null {
  const at = [AS_FOUND, HOT].findIndex((id, i) => moments[i].id !== id || moments[i].state !== id);
  if (at >= 0) return { path: ['moments', at, 'id'], detail: `this must be the moment “${[AS_FOUND, HOT][at]}”` };
  for (const [i, reading] of readings.entries()) {
    const own = moments.find((m) => m.id === reading.moment);
    if (!own) return { path: ['readings', i, 'moment'], detail: 'no such moment' };
    if ((reading.state === HOT) !== (own.state === HOT) && reading.state !== 'wiggling')
      return { path: ['readings', i, 'moment'], detail: 'hot readings belong to a hot moment, others do not' };
  }
  return null;
}

interface Typed {
  text: string;
  value: number | 'OL' | null;
}
type TypedAt = [path: FileFault['path'], entry: Typed, quantity: FieldQuantity];

function otherValue(job: Job): FileFault | null {
  const { circuit } = job;
  const ofReadings = (path: string[], list: readonly (Typed & { measurement: string })[]): TypedAt[] =>
    list.map((r, i) => [[...path, i], r, measurementById(r.measurement).quantity]);
  const typed: TypedAt[] = [
    ...job.moments.map((m, i): TypedAt => [['moments', i, 'temperatureC'], m.temperatureC, 'told-celsius']),
    [['proof', 'temperatureC'], job.proof.temperatureC, 'told-celsius'],
    [['circuit', 'referenceV'], circuit.referenceV, 'volts'],
    [['circuit', 'pullUpOhm'], circuit.pullUpOhm, 'ohms'],
    [['circuit', 'hotPullUpOhm'], circuit.hotPullUpOhm, 'ohms'],
    [['circuit', 'supplyV'], circuit.supplyV, 'volts'],
    ...ofReadings(['readings'], job.readings),
    ...ofReadings(['proof', 'readings'], job.proof.readings),
  ];
  const bad = typed.find(([, entry, quantity]) => !says(entry, quantity));
  return bad ? { path: [...bad[0], 'value'], detail: 'the value is not what its text says' } : null;
}

/** Could the text be read as the value, in °C or in °F? A text that is not understood (today) proves nothing. */
function says({ text, value }: Typed, quantity: FieldQuantity): boolean {
  if (value === null) return true;
  const read = (['C', 'F'] as const).flatMap((temperatureUnit) => {
    const parsed = parseField(text, quantity, { temperatureUnit, overload: true });
    return parsed.ok ? [parsed.value] : [];
  });
  if (read.length === 0) return value !== 'OL' ? Number.isFinite(value) : true;
  const meant = value === 'OL' ? Infinity : value;
  return read.some(
    (r) => r === meant || (Number.isFinite(r) && Math.abs(r - meant) <= 1e-6 * Math.max(1e-3, Math.abs(r))),
  );
}

function withoutProof({ closed, proof }: Job): FileFault | null {
  if (closed?.how !== 'proved' || proof.readings.length > 0 || Object.keys(proof.steps).length > 0) return null;
  return { path: ['closed'], detail: 'closed as proved, and without any proof' };
}
