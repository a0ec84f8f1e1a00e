import type { Job } from '@mellow-probe/core/check/job/jobSchema';
import type { TwoFaults } from '@mellow-probe/core/advice/nextTest/twoFaults';
import type { ChartLines } from '@mellow-probe/core/inference/verdict/chartLines';
import type { Advice, EngineAnswer, Part } from '../workers/engineAnswer.ts';
import type { EngineFault } from '../workers/engineClient.ts';

/** What was asked: the figures of one revision of the job. */
export interface Question {
  revision: number;
  /** The job as it was asked about: plain, without what the engine does not look at. */
  job: Job;
  /** Are charts wanted with it? */
  chart: boolean;
}

/** What is known of one question; advice and charts may come later than the verdict. */
export interface Answered {
  of: Question;
  answer: EngineAnswer;
  advice: Advice | null;
  chart: ChartLines | null;
  /** Whether two things are wrong at once; null while that was not weighed. */
  two: TwoFaults | null;
  complete: boolean;
}

/**
 * The verdict as it stands. Only `now` speaks of the figures on the screen; a former one is always told as of earlier figures, and there is no way
 * to hold one that is neither. While advice and charts of `now` are still being worked out, those of the former stand in for them, marked so.
 */
export type Verdict =
  | { kind: 'none' }
  | { kind: 'computing'; former: Answered | null }
  | { kind: 'ready'; now: Answered; former: Answered | null }
  | { kind: 'failed'; fault: EngineFault; former: Answered | null };

/** What happens to a verdict: another question, a part of the answer to the newest one, its end, its failure. */
export type VerdictEvent =
  | { kind: 'asked' }
  | { kind: 'part'; of: Question; part: Part }
  | { kind: 'finished' }
  | { kind: 'failed'; fault: EngineFault };

/** What can be shown of a verdict, whether it is of the figures on the screen or of former ones. */
export const shownOf = (v: Verdict): Answered | null =>
  v.kind === 'ready' ? v.now : v.kind === 'none' ? null : v.former;

/** The verdict after an event. Pure. */
export function nextVerdict(v: Verdict, event: VerdictEvent): Verdict {
  switch (event.kind) {
    case 'asked':
      return { kind: 'computing', former: shownOf(v) };
    case 'part':
      return withPart(v, event.of, event.part);
    case 'finished':
      return v.kind === 'ready' ? { kind: 'ready', now: { ...v.now, complete: true }, former: null } : v;
    case 'failed':
      // An answer of this very question that came before the failure stays: it is of these figures.
      return v.kind === 'ready'
        ? nextVerdict(v, { kind: 'finished' })
        : { kind: 'failed', fault: event.fault, former: shownOf(v) };
  }
}

function withPart(v: Verdict, of: Question, part: Part): Verdict {
  if (part.kind === 'working') return v;
  if (part.kind === 'verdict') {
    const now = { of, answer: part.answer, advice: null, chart: null, two: null, complete: false };
    return { kind: 'ready', now, former: v.kind === 'computing' ? v.former : null };
  }
  if (v.kind !== 'ready') return v;
  const { kind: _, ...more } = part;
  return { kind: 'ready', now: { ...v.now, ...more }, former: v.former };
}

/** A part that comes late: of the answer itself, or while it is not complete of the former one. */
export function latePart<T>(v: Verdict, part: (a: Answered) => T | null): { value: T | null; earlier: boolean } {
  const shown = shownOf(v);
  const own = shown && part(shown);
  if (own !== null || v.kind !== 'ready' || v.now.complete) return { value: own, earlier: v.kind !== 'ready' };
  const before = v.former && part(v.former);
  return { value: before, earlier: before !== null };
}
