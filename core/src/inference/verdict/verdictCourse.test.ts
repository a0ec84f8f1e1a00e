import { expect, test } from 'vitest';
import { checkJob } from '../../check/job/checkJob.ts';
import { newJob } from '../../check/job/newJob.ts';
import type { JobReading } from '../../check/job/readingSchema.ts';
import { assess } from './assessment.ts';
import { courseOf } from './verdictCourse.ts';

const reading = (id: string, measurement: string, value: number | 'OL'): JobReading => ({
  ...{ id, measurement, text: String(value), value, conditions: {}, state: 'steady', moment: 'steady' },
  ...{ note: '', takenAt: null, voided: null, history: [] },
});

test('the course begins before any reading, has a step a reading and ends with the verdict itself', () => {
  const job = newJob('a', '2026-01-02T03:04:05.000Z');
  job.moments[0].temperatureC = { text: '20', value: 20 };
  job.readings = [
    reading('a', 'open-voltage', 5.0),
    reading('b', 'sensor-ohms', 'OL'),
    reading('c', 'loaded-voltage', 5.0),
  ];
  const problem = checkJob(job).problem!;
  const course = courseOf(problem);
  expect(course.map((s) => s.after)).toEqual([null, 'a', 'b', 'c']);
  expect(course[3].groups).toEqual(assess(problem).groups);
  expect(course[0].groups).toEqual(assess({ ...problem, readings: [] }).groups);
  const sensor = course.map((s) => s.groups.find((g) => g.group === 'sensor')!.probability);
  expect(sensor[2]).toBeGreaterThan(sensor[1] + 0.3);
  for (const { groups } of course) expect(groups.reduce((sum, g) => sum + g.probability, 0)).toBeCloseTo(1, 9);
});

test('of many readings the last ones are told', () => {
  const job = newJob('a', '2026-01-02T03:04:05.000Z');
  job.readings = Array.from({ length: 14 }, (_, i) =>
    reading(`r${i}`, i % 2 ? 'open-voltage' : 'return-drop', i % 2 ? 5 : 0),
  );
  const course = courseOf(checkJob(job).problem!);
  expect(course).toHaveLength(12);
  expect([course[0].after, course[11].after]).toEqual(['r2', 'r13']);
});
