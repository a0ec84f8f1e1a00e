import type { Job } from '@mellow-probe/core/check/job/jobSchema';
import { same } from '@mellow-probe/core/base/records/plainData';
import type { TwoFaults } from '@mellow-probe/core/advice/nextTest/twoFaults';
import type { ChartLines } from '@mellow-probe/core/inference/verdict/chartLines';
import { computed, reactive, type Ref, ref, shallowRef } from 'vue';
import type { Advice, EngineAnswer, Part } from '../workers/engineAnswer.ts';
import { type EngineFault, type EngineLine, toEngineError } from '../workers/engineClient.ts';
import type { PersistedRecord } from './record/recordContract.ts';
import {
  type Answered,
  latePart,
  nextVerdict,
  type Question,
  shownOf,
  type Verdict,
  type VerdictEvent,
} from './verdictState.ts';

/** The verdict of a record, for screens: `state` whole, and what they mostly want of it. */
export interface VerdictView {
  readonly state: Verdict;
  /** What can be shown: of the figures on the screen, or (`earlier`) of former ones. */
  readonly shown: Answered | null;
  readonly earlier: boolean;
  readonly fault: EngineFault | null;
  /** Computing for longer than a person takes for at once. */
  readonly slow: boolean;
  readonly result: EngineAnswer['result'];
  readonly advice: Advice | null;
  /** Is the advice of earlier figures? */
  readonly adviceEarlier: boolean;
  readonly chart: ChartLines | null;
  /** Pairs of faults, weighed on the figures of `shown`. */
  readonly two: TwoFaults | null;
  /** What is wrong with single fields, by path; none where the engine failed on the figures on the screen. */
  readonly issues: ReadonlyMap<string, EngineAnswer['issues'][number]['issue']>;
}

export interface VerdictLine {
  readonly view: VerdictView;
  /** Asks again after a failure. */
  again(): void;
  /** Charts are being shown from now on; returns how to say that they no longer are. */
  wantChart(): () => void;
  /** No more questions, and no answer is taken any more. */
  close(): void;
}

/** Longer than this is told as computing, ms. */
const SLOW_MS = 300;

/** The parts of a job that the engine looks at: photos, texts and times do not make it compute again. */
function forEngine(job: Job): Job {
  return { ...job, photos: [], note: '', title: '', machine: '', updatedAt: job.createdAt };
}

/**
 * Follows a job with a verdict. Only the newest question is answered: while one is being worked on, later ones replace each other, and an answer
 * to a question that is no longer the newest is dropped.
 */
export function followVerdict(record: PersistedRecord<Job>, line: EngineLine): VerdictLine {
  const held = shallowRef<Verdict>({ kind: 'none' });
  const slow = ref(false);
  let charts = 0;
  let slowTimer: ReturnType<typeof setTimeout> | undefined;

  const questions = newestQuestion(line, (event) => {
    held.value = nextVerdict(held.value, event);
    clearTimeout(slowTimer);
    slow.value = false;
    if (held.value.kind === 'computing') slowTimer = setTimeout(() => (slow.value = true), SLOW_MS);
  });
  const ask = (job: Job, revision: number): void => questions.ask({ revision, job: forEngine(job), chart: charts > 0 });
  const again = (): void => ask(record.now(), questions.newest()?.revision ?? 0);

  const stop = record.changes.listen(({ revision, after }) => {
    const asked = questions.newest();
    if (!asked || !same(forEngine(after), asked.job)) ask(after, revision);
  });
  ask(record.now(), 0);

  return {
    view: verdictView(record, held, slow),
    again,
    wantChart() {
      charts++;
      if (questions.newest()?.chart === false) again();
      return () => void charts--;
    },
    close() {
      questions.close();
      clearTimeout(slowTimer);
      stop();
    },
  };
}

/** Asks the engine one question at a time, always the newest; what becomes of it is told to `happen`. */
function newestQuestion(line: EngineLine, happen: (event: VerdictEvent) => void) {
  let newest: Question | null = null;
  let waiting: Question | null = null;
  let working = false;

  async function work(): Promise<void> {
    working = true;
    while (waiting) {
      const mine = waiting;
      waiting = null;
      try {
        await line.judge(mine.job, mine.chart, (part) => take(mine, part));
        if (mine === newest) happen({ kind: 'finished' });
      } catch (error) {
        if (mine === newest) happen({ kind: 'failed', fault: toEngineError(error).fault });
      }
    }
    working = false;
  }

  /** Takes a part of an answer; false where nobody wants it any more. */
  function take(of: Question, part: Part): boolean {
    if (of !== newest) return false;
    if (part.kind !== 'working') happen({ kind: 'part', of, part });
    return true;
  }

  return {
    newest: () => newest,
    ask(question: Question): void {
      newest = waiting = question;
      happen({ kind: 'asked' });
      if (!working) void work();
    },
    /** No answer is taken any more. */
    close(): void {
      newest = waiting = null;
    },
  };
}

function verdictView(record: PersistedRecord<Job>, held: Ref<Verdict>, slow: Ref<boolean>): VerdictView {
  /** What was written into the job in this very event is not yet a change, but it is on the screen. */
  const state = computed<Verdict>(() =>
    record.dirty.value && held.value.kind === 'ready' ? { kind: 'computing', former: held.value.now } : held.value,
  );
  const shown = computed(() => shownOf(state.value));
  const advice = computed(() => latePart(state.value, (a) => a.advice));
  const failed = computed(() => (state.value.kind === 'failed' ? state.value.fault : null));
  return reactive({
    state,
    shown,
    earlier: computed(() => state.value.kind !== 'ready' && shown.value !== null),
    fault: failed,
    slow,
    result: computed(() => shown.value?.answer.result ?? null),
    advice: computed(() => advice.value.value),
    adviceEarlier: computed(() => advice.value.earlier),
    chart: computed(() => latePart(state.value, (a) => a.chart).value),
    two: computed(() => shown.value?.two ?? null),
    issues: computed(() => {
      const issues = failed.value ? [] : (shown.value?.answer.issues ?? []);
      return new Map(issues.map(({ path, issue }) => [path, issue]));
    }),
  });
}
