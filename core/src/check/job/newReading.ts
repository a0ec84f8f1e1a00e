import { usualMoment } from '../../inference/model/problem.ts';
import type { JobReading } from './readingSchema.ts';

/** A reading as it is before anything is typed into it: steady, under no conditions, never corrected. `change` is what differs from that. */
export function newReading(id: string, measurement: string, change: Partial<JobReading> = {}): JobReading {
  return {
    id,
    measurement,
    text: '',
    value: null,
    conditions: {},
    state: 'steady',
    moment: usualMoment(change.state ?? 'steady'),
    note: '',
    takenAt: null,
    voided: null,
    history: [],
    ...change,
  };
}
