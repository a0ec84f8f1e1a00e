import { describe, expect, test } from 'vitest';
import type { Part } from '../workers/engineAnswer.ts';
import {
  type Answered,
  latePart,
  nextVerdict,
  type Question,
  shownOf,
  type Verdict,
  type VerdictEvent,
} from './verdictState.ts';

const question = (revision: number): Question => ({ revision, job: {} as Question['job'], chart: false });
const verdict: Part = { kind: 'verdict', answer: { issues: [], result: null } };
const advice: Part = { kind: 'advice', advice: { proposals: [] } as never };
const part = (of: number, p: Part): VerdictEvent => ({ kind: 'part', of: question(of), part: p });
const FAULT = { why: 'threw', message: 'x' } as const;
const after = (...events: VerdictEvent[]): Verdict => events.reduce(nextVerdict, { kind: 'none' } as Verdict);
const asked: VerdictEvent = { kind: 'asked' };
const finished: VerdictEvent = { kind: 'finished' };
const failed: VerdictEvent = { kind: 'failed', fault: FAULT };
/** What a verdict shows, by revision; and which former one stands by. */
const told = (v: Verdict) => [
  v.kind,
  shownOf(v)?.of.revision ?? null,
  v.kind === 'none' ? null : (v.former?.of.revision ?? null),
];

describe('a verdict from question to answer', () => {
  test('asked it is computing; answered it is ready, and complete once the engine has ended', () => {
    expect(told(after())).toEqual(['none', null, null]);
    expect(told(after(asked))).toEqual(['computing', null, null]);
    const ready = after(asked, part(1, verdict));
    expect([told(ready), ready.kind === 'ready' && ready.now.complete]).toEqual([['ready', 1, null], false]);
    const done = nextVerdict(ready, finished);
    expect(done.kind === 'ready' && done.now.complete).toBe(true);
  });
  test('asked again, the former answer stands by until the new one is complete', () => {
    const again = after(asked, part(1, verdict), finished, asked);
    expect(told(again)).toEqual(['computing', 1, 1]);
    expect(told(nextVerdict(again, part(2, verdict)))).toEqual(['ready', 2, 1]);
    expect(told([part(2, verdict), finished].reduce(nextVerdict, again))).toEqual(['ready', 2, null]);
    // Asked a third time before any answer: the first is still the last one known.
    expect(told(nextVerdict(again, asked))).toEqual(['computing', 1, 1]);
  });
  test('later parts join the answer; without one, and while it is only working, nothing changes', () => {
    const ready = after(asked, part(1, verdict), part(1, advice));
    expect(ready.kind === 'ready' && ready.now.advice).toEqual({ proposals: [] });
    const computing = after(asked);
    expect(nextVerdict(computing, part(1, advice))).toBe(computing);
    expect(nextVerdict(ready, part(1, { kind: 'working' }))).toBe(ready);
    expect(nextVerdict(computing, finished)).toBe(computing);
  });
  test('a failure before any answer says why and keeps the former one; after it the answer counts as complete', () => {
    expect(after(asked, failed)).toEqual({ kind: 'failed', fault: FAULT, former: null });
    expect(told(after(asked, part(1, verdict), finished, asked, failed))).toEqual(['failed', 1, 1]);
    const late = after(asked, part(1, verdict), failed);
    expect([told(late), late.kind === 'ready' && late.now.complete]).toEqual([['ready', 1, null], true]);
  });
});

describe('parts that come late', () => {
  const read = (v: Verdict) => latePart(v, (a: Answered) => a.advice);
  test('the former advice stands in, told as earlier, until the answer has its own or is complete without', () => {
    const first = [asked, part(1, verdict), part(1, advice), finished];
    expect(read(after(...first))).toEqual({ value: { proposals: [] }, earlier: false });
    expect(read(after(...first, asked)).earlier).toBe(true);
    const second = [...first, asked, part(2, verdict)];
    expect(read(after(...second))).toEqual({ value: { proposals: [] }, earlier: true });
    expect(read(after(...second, finished))).toEqual({ value: null, earlier: false });
    expect(read(after(...second, part(2, advice)))).toEqual({ value: { proposals: [] }, earlier: false });
    expect(read(after(asked, part(1, verdict)))).toEqual({ value: null, earlier: false });
    expect(read(after())).toEqual({ value: null, earlier: true });
  });
});
