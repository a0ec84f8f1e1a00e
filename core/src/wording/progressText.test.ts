import { describe, expect, test } from 'vitest';
import type { Job } from '../check/job/jobSchema.ts';
import { type ProofState, proofStepsFor } from '../check/proof/proofPlan.ts';
import { newJob } from '../check/job/newJob.ts';
import { lacksText, progressText } from './progressText.ts';

const PROVED: ProofState = { missing: [], failed: [], outside: [], inside: 2, standInFitted: false, proved: true };
/** The steps of a check of engine coolant without codes. */
const STEPS = proofStepsFor(newJob('p', '2026-01-01T00:00:00.000Z'));
const job = (change: object): Job =>
  ({
    field: 'engine',
    circuit: { name: 'Engine coolant' },
    complaint: { codes: [] },
    closed: null,
    repair: { doneAt: null, standIn: null },
    proof: { steps: {} },
    ...change,
  }) as unknown as Job;
const repaired = { repair: { doneAt: '2026-03-01T10:00:00Z', standIn: null } };

describe('where a job stands after its repair', () => {
  test('before the repair the verdict speaks', () => expect(progressText(job({}), PROVED)).toBeNull());
  test('what is proved and what is not', () => {
    const [first] = STEPS;
    const steps = { [first.id]: { state: 'passed' }, other: { state: 'failed' } };
    const state: ProofState = {
      missing: [STEPS[1].id],
      failed: [],
      outside: ['displayed'],
      inside: 1,
      standInFitted: true,
      proved: false,
    };
    expect(progressText(job({ ...repaired, proof: { steps } }), state)).toEqual({
      title: 'Repaired: verify it now',
      proved: ['1 value repeated, within range', first.name],
      lacking: [
        'outside the range: displayed value',
        `still to do: ${STEPS[1].name.toLowerCase()}`,
        'a temporary replacement is still fitted',
      ],
    });
  });
  test('proved, closed, and closed without verifying', () => {
    expect(progressText(job(repaired), PROVED)).toEqual({
      title: 'Verified: close the job',
      proved: ['2 values repeated, within range'],
      lacking: [],
    });
    expect(progressText(job({ closed: { how: 'proved' } }), PROVED)!.title).toBe('Closed as verified');
    expect(progressText(job({ closed: { how: 'unproved' } }), { ...PROVED, inside: 0 })).toEqual({
      title: 'Closed without verifying',
      proved: [],
      lacking: ['no value read again'],
    });
  });
  test('a step that failed is named', () => {
    const [first] = STEPS;
    expect(lacksText({ ...PROVED, failed: [first.id] })).toEqual([`failed: ${first.name.toLowerCase()}`]);
  });
});
