import fc from 'fast-check';
import { expect, test } from 'vitest';
import { openFaultText } from '../wording/issueText.ts';
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

/** A good file with a piece cut out, doubled or replaced. */
function mutations(text: string): fc.Arbitrary<string> {
  return fc
    .tuple(fc.nat(text.length), fc.nat(40), fc.constantFrom('', 'null', '{}', '-1', '"x"', '1e400'))
    .map(([at, length, put]) => text.slice(0, at) + put + text.slice(at + length));
}
