import { expect, test } from 'vitest';
import { type JobLine } from '../check/job/jobList.ts';
import { jobLine } from '../check/job/jobLine.ts';
import { newJob } from '../check/job/newJob.ts';
import type { Due } from '../history/register/dues.ts';
import {
  dueCountText,
  dueText,
  failingPartText,
  lineOutcomeText,
  placeLastText,
  sharedFaultText,
} from './logbookText.ts';

const line = (more: Partial<JobLine> = {}): JobLine => ({ ...jobLine(newJob('a', '2025-06-01T08:00:00Z')), ...more });
const due = (kind: Due['kind'], on: string): Due => ({ kind, on, id: 'f', text: 'look', line: line() });

test('what a check came to', () => {
  expect(lineOutcomeText(line())).toBe('still open');
  expect(lineOutcomeText(line({ state: 'decided', group: 'reference' }))).toBe('reference supply, decided, not closed');
  expect(lineOutcomeText(line({ state: 'closed', group: 'sensor' }))).toBe('sensor, verified');
  expect(lineOutcomeText(line({ state: 'closed', unproved: true }))).toBe('not decided, closed without verifying');
  const place = { code: '', key: '', machine: 'A', circuit: 'x', field: 'engine' as const, lines: [line(), line()] };
  expect(placeLastText(place)).toBe('2 checks, last 2025-06-01: still open');
});
test('what is due, seen from a day', () => {
  expect(
    ['2025-06-10', '2025-06-11', '2025-06-12', '2025-06-13'].map((d) => dueText(due('follow-up', d), '2025-06-11')),
  ).toEqual(['1 day overdue', 'due today', 'due in 1 day', 'due in 2 days']);
  expect(dueText(due('stand-in', '2025-06-09'), '2025-06-11')).toBe('fitted for 2 days');
  expect(dueText(due('stand-in', '2025-06-11'), '2025-06-11')).toBe('fitted today');
  const all = [due('stand-in', '2025-06-09'), due('follow-up', '2025-06-11'), due('follow-up', '2025-06-12')];
  expect(dueCountText(all, '2025-06-11')).toBe('1 temporary replacement still fitted, 1 follow-up due');
  expect(dueCountText(all.slice(2), '2025-06-11')).toBe('');
});
test('faults and parts of several machines', () => {
  const fault = { group: 'sensor' as const, circuit: '', machines: ['A', 'B', 'C', 'D', 'E'], lines: [line(), line()] };
  expect(sharedFaultText(fault)).toMatch(
    /^Sensor in circuits without a name on 5 machines \(A, B, C, D …; 2 checks\)\./,
  );
  expect(sharedFaultText({ ...fault, circuit: 'Flow', machines: ['A', 'B', 'C'] })).toContain(
    'in Flow on 3 machines (A, B, C;',
  );
  expect(failingPartText({ partNumber: '7', fitted: 1, failedAgain: 1 })).toContain(
    'fitted 1 time, at fault again once.',
  );
  expect(failingPartText({ partNumber: '7', fitted: 4, failedAgain: 2 })).toContain(
    'fitted 4 times, at fault again 2 times.',
  );
});
