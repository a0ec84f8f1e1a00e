import { expect, test } from 'vitest';
import type { Job } from '../check/job/jobSchema.ts';
import { newJob } from '../check/job/newJob.ts';
import { newReading } from '../check/job/newReading.ts';
import { reportName } from './reportName.ts';

const of = (change: Partial<Job>): string => reportName({ ...newJob('a', '2026-03-01T10:00:00.000Z'), ...change });
const taken = (takenAt: string, voided: Job['readings'][number]['voided'] = null) =>
  newReading(takenAt, 'displayed', { text: '20', value: 20, takenAt, voided });

test('day, machine and sensor, by the title where there is one', () => {
  expect(of({ title: 'Swimming bath · boiler flow' })).toBe('2026-03-01 Swimming bath boiler flow');
  expect(of({ machine: 'Tern' })).toBe('2026-03-01 Tern Engine coolant');
  expect(of({})).toBe('2026-03-01 Engine coolant');
});
test('the day of the last reading that counts', () => {
  const readings = [
    taken('2026-03-12T08:00:00.000Z'),
    taken('2026-03-11T08:00:00.000Z'),
    taken('2026-04-01T08:00:00.000Z', { reason: 'wrong pin', at: '2026-04-01T09:00:00.000Z' }),
  ];
  expect(of({ title: 'Winch', readings })).toBe('2026-03-12 Winch');
});
test('nothing that a system refuses in a name, and no name without end', () => {
  expect(of({ title: 'a/b\\c: "d" <e>|f?*\n' })).toBe('2026-03-01 a b c d e f');
  expect(of({ title: 'pump no. 3.' })).toBe('2026-03-01 pump no. 3');
  expect(of({ title: 'x'.repeat(300) })).toHaveLength(111);
});
