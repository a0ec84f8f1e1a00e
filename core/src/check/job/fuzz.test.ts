import fc from 'fast-check';
import { expect, test } from 'vitest';
import { openFaultText } from '../../wording/issueText.ts';
import { checkJob } from './checkJob.ts';
import type { Job } from './jobSchema.ts';
import { newJob } from './newJob.ts';
import { newReading } from './newReading.ts';
import { openJob, saveJob } from './openJob.ts';

const NOW = '2026-01-02T03:04:05.000Z';
const JOB: Job = {
  ...newJob('one', NOW),
  readings: [newReading('r1', 'open-voltage', { text: '5', value: 5, takenAt: NOW })],
};

test('never throws, whatever the file holds', () => {
  const text = saveJob(JOB);
  fc.assert(
    fc.property(fc.oneof(fc.string({ unit: 'binary' }), fc.json(), mutations(text)), (input) => {
      const opened = openJob(input);
      if (opened.ok) expect(() => checkJob(opened.job)).not.toThrow();
      else expect(openFaultText(opened)).toBeTruthy();
    }),
    { numRuns: 500, seed: 5 },
  );
});

test('a file nested without end, of too many parts, or of an older form that it has not, is refused with words', () => {
  const deep = (levels: number): string => '['.repeat(levels) + ']'.repeat(levels);
  const text = saveJob(JOB);
  for (const levels of [30, 1000, 100_000]) {
    const opened = openJob(text.replace('"note": ""', `"note": ${deep(levels)}`));
    expect(opened).toEqual({ ok: false, reason: 'too-deep' });
  }
  expect(openFaultText({ reason: 'too-deep' })).toContain('nested');
  for (let version = 1; version < JOB.formatVersion; version++)
    for (const wrong of [{}, { circuit: null }, { readings: 'x' }, { circuit: { curve: 7 }, complaint: [] }]) {
      const opened = openJob(JSON.stringify({ format: 'mellow-probe/job', formatVersion: version, ...wrong }));
      expect(opened).toMatchObject({ ok: false, reason: 'bad-field' });
    }
});

/** A good file with a piece cut out, doubled or replaced. */
function mutations(text: string): fc.Arbitrary<string> {
  return fc
    .tuple(fc.nat(text.length), fc.nat(40), fc.constantFrom('', 'null', '{}', '-1', '"x"', '1e400'))
    .map(([at, length, put]) => text.slice(0, at) + put + text.slice(at + length));
}
