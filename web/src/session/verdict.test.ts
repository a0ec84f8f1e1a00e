// @vitest-environment happy-dom
import { newJob } from '@mellow-probe/core/job/newJob';
import type { Job } from '@mellow-probe/core/job/jobSchema';
import { seededUniform } from '@mellow-probe/core/numeric/random';
import { same } from '@mellow-probe/core/records/plainData';
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import { fakeDoor } from '../../test/fakeDoor.ts';
import type { EngineAnswer, Part } from '../workers/engineAnswer.ts';
import { EngineError, type EngineLine } from '../workers/engineClient.ts';
import { persistedRecord } from './record.ts';
import { followVerdict } from './verdict.ts';

const NOW = '2026-01-02T03:04:05.000Z';
const settle = async (): Promise<void> => {
  for (let i = 0; i < 40; i++) await Promise.resolve();
};

/** An engine whose parts come when the test says. What it answers names the figures it was asked about. */
function fakeEngine() {
  interface Asked {
    job: Job;
    chart: boolean;
    tell: (part: Part) => boolean;
    done: () => void;
    fail: (error: unknown) => void;
  }
  const asked: Asked[] = [];
  const line: EngineLine = {
    judge: (job, chart, tell) => new Promise((done, fail) => asked.push({ job, chart, tell, done, fail })),
    withoutEach: () => Promise.resolve([]),
  };
  const verdict = (job: Job): Part => ({
    kind: 'verdict',
    answer: { issues: [], result: { of: job } as unknown as EngineAnswer['result'] },
  });
  const advice = (job: Job): Part => ({ kind: 'advice', advice: { proposals: [], undecided: [], of: job } as never });
  return { line, asked, verdict, advice };
}

let n = 0;
async function opened(engine = fakeEngine()) {
  const { door, control } = fakeDoor<Job>(`jobs/v${++n}`, newJob('a', NOW));
  const record = persistedRecord<Job>({ door, initial: control.stored!.value, stored: control.stored });
  await record.loaded;
  const judging = followVerdict(record, engine.line);
  await settle();
  return { ...engine, record, control, judging, view: judging.view };
}
const ofView = (view: { result: unknown }): Job | undefined => (view.result as { of: Job } | null)?.of;

beforeEach(() => localStorage.clear());
afterEach(() => vi.useRealTimers());

describe('the verdict', () => {
  test('is asked for at once, ready with the first part, complete with the last', async () => {
    const { asked, view, verdict, advice } = await opened();
    expect(view.state).toEqual({ kind: 'computing', former: null });
    expect(asked).toHaveLength(1);
    expect(asked[0].tell(verdict(asked[0].job))).toBe(true);
    expect(view).toMatchObject({ earlier: false, adviceEarlier: false });
    expect(view.state.kind === 'ready' && view.state.now.complete).toBe(false);
    asked[0].tell(advice(asked[0].job));
    asked[0].done();
    await settle();
    expect(view.state.kind === 'ready' && view.state.now.complete).toBe(true);
    expect(view.advice).not.toBeNull();
  });
  test('is of earlier figures from the very moment another figure is typed, and is said so', async () => {
    const { asked, record, view, verdict } = await opened();
    asked[0].tell(verdict(asked[0].job));
    asked[0].done();
    await settle();
    record.value.temperatureC = { text: '12', value: 12 };
    expect(view.state.kind).toBe('computing');
    expect(view.earlier).toBe(true);
    await settle();
    expect(view.earlier).toBe(true);
    expect(ofView(view)!.temperatureC.text).toBe('');
    asked[1].tell(verdict(asked[1].job));
    expect(view.earlier).toBe(false);
    expect(ofView(view)!.temperatureC.text).toBe('12');
  });
  test('texts and photos do not make it compute again; a text leaves it current', async () => {
    const { asked, record, view, verdict } = await opened();
    asked[0].tell(verdict(asked[0].job));
    asked[0].done();
    await settle();
    record.value.title = 'Tern';
    record.value.note = 'wet';
    record.value.machine = 'M';
    await settle();
    expect(asked).toHaveLength(1);
    expect(view.state.kind).toBe('ready');
    record.value.findings.push('moisture');
    await settle();
    expect(asked).toHaveLength(2);
  });
  test('only the newest question is asked while one is being worked on; its late answer is not wanted', async () => {
    const { asked, record, view, verdict, advice } = await opened();
    for (const t of ['1', '12', '12.5']) {
      record.value.temperatureC = { text: t, value: Number(t) };
      await settle();
    }
    expect(asked).toHaveLength(1);
    expect(asked[0].tell(verdict(asked[0].job))).toBe(false);
    expect(view.state.kind).toBe('computing');
    asked[0].done();
    await settle();
    expect(asked).toHaveLength(2);
    expect(asked[1].job.temperatureC.text).toBe('12.5');
    asked[1].tell(verdict(asked[1].job));
    expect(asked[0].tell(advice(asked[0].job))).toBe(false);
    expect(view.advice).toBeNull();
  });
  test('advice of earlier figures stands in until the new one is there, marked so', async () => {
    const { asked, record, view, verdict, advice } = await opened();
    asked[0].tell(verdict(asked[0].job));
    asked[0].tell(advice(asked[0].job));
    asked[0].done();
    await settle();
    expect([view.advice === null, view.adviceEarlier]).toEqual([false, false]);
    record.value.temperatureC = { text: '12', value: 12 };
    await settle();
    expect([view.advice === null, view.adviceEarlier]).toEqual([false, true]);
    asked[1].tell(verdict(asked[1].job));
    expect([view.advice === null, view.adviceEarlier]).toEqual([false, true]);
    asked[1].tell(advice(asked[1].job));
    expect([view.advice === null, view.adviceEarlier]).toEqual([false, false]);
    record.value.temperatureC = { text: '13', value: 13 };
    await settle();
    asked[1].done();
    await settle();
    asked[2].tell(verdict(asked[2].job));
    asked[2].done();
    await settle();
    // The engine ended without advice: the former one is gone.
    expect(view.advice).toBeNull();
  });
  test('a failure is said with its reason, the former verdict is marked at once; asked again it may answer', async () => {
    const { asked, record, view, verdict, judging } = await opened();
    asked[0].tell(verdict(asked[0].job));
    asked[0].done();
    await settle();
    record.value.temperatureC = { text: '12', value: 12 };
    await settle();
    asked[1].fail(new EngineError({ why: 'silent', message: 'no answer within 20 s' }));
    await settle();
    expect(view.state).toMatchObject({ kind: 'failed', fault: { why: 'silent' } });
    expect([view.earlier, view.fault?.message]).toEqual([true, 'no answer within 20 s']);
    expect(ofView(view)!.temperatureC.text).toBe('');
    judging.again();
    await settle();
    expect(view.fault).toBeNull();
    asked[2].tell(verdict(asked[2].job));
    expect(view.state.kind).toBe('ready');
  });
  test('whatever is thrown is a failure; before any verdict nothing is shown; fields are not judged by earlier figures', async () => {
    const { asked, view } = await opened();
    asked[0].fail('odd');
    await settle();
    expect(view).toMatchObject({ fault: { why: 'threw', message: 'odd' }, shown: null, earlier: false, result: null });
  });
  test('issues are told by field, and not those of earlier figures where the engine failed', async () => {
    const { asked, record, view } = await opened();
    asked[0].tell({
      kind: 'verdict',
      answer: { issues: [{ path: 'temperatureC', issue: { ok: false, reason: 'empty' } }], result: null },
    });
    asked[0].done();
    await settle();
    expect(view.issues.get('temperatureC')).toEqual({ ok: false, reason: 'empty' });
    record.value.temperatureC = { text: '1', value: 1 };
    await settle();
    asked[1].fail(new Error('x'));
    await settle();
    expect(view.issues.size).toBe(0);
  });
  test('a failure after the verdict of these very figures came leaves that verdict', async () => {
    const { asked, view, verdict } = await opened();
    asked[0].tell(verdict(asked[0].job));
    asked[0].fail(new Error('advice broke'));
    await settle();
    expect(view.state.kind === 'ready' && view.state.now.complete).toBe(true);
  });
  test('computing is told after 300 ms, not before, and no longer than it lasts', async () => {
    vi.useFakeTimers();
    const { asked, view, verdict } = await opened();
    vi.advanceTimersByTime(299);
    expect(view.slow).toBe(false);
    vi.advanceTimersByTime(1);
    expect(view.slow).toBe(true);
    asked[0].tell(verdict(asked[0].job));
    expect(view.slow).toBe(false);
  });
  test('charts are worked out only while they are shown', async () => {
    const { asked, record, view, verdict, judging } = await opened();
    expect(asked[0].chart).toBe(false);
    asked[0].tell(verdict(asked[0].job));
    asked[0].done();
    await settle();
    const stop = judging.wantChart();
    await settle();
    expect(asked[1].chart).toBe(true);
    asked[1].tell(verdict(asked[1].job));
    asked[1].tell({ kind: 'chart', chart: { voltage: null } as never });
    expect(view.chart).toEqual({ voltage: null });
    asked[1].done();
    const stopToo = judging.wantChart();
    await settle();
    expect(asked).toHaveLength(2);
    stop();
    stopToo();
    record.value.temperatureC = { text: '1', value: 1 };
    await settle();
    expect(asked[2].chart).toBe(false);
  });
  test('closed, it asks and takes nothing any more', async () => {
    const { asked, record, view, verdict, judging } = await opened();
    judging.close();
    expect(asked[0].tell(verdict(asked[0].job))).toBe(false);
    asked[0].done();
    record.value.temperatureC = { text: '1', value: 1 };
    await settle();
    expect(asked).toHaveLength(1);
    expect(view.result).toBeNull();
  });
});

/** The parts of a job that the engine looks at, as the session asks. */
const figures = (job: Job): object => ({ t: job.temperatureC, r: job.readings, f: job.findings, c: job.circuit });

describe('property: no verdict for figures that are not on the screen', () => {
  test('1000 random interleavings of typing, late answers, failures, changes from elsewhere and closing', async () => {
    for (let seed = 1; seed <= 1000; seed++) {
      const uniform = seededUniform(seed * 31 + 5);
      const pick = (k: number): number => Math.floor(uniform() * k);
      const { asked, record, control, judging, view, verdict, advice } = await opened();
      let wrong = 0;
      const look = (): void => {
        const { state } = view;
        if (
          state.kind === 'ready' &&
          !same(figures(ofView(view)!), figures(JSON.parse(JSON.stringify(record.value)) as Job))
        )
          wrong++;
        if (state.kind === 'ready' && view.earlier) wrong++;
        if (state.kind !== 'ready' && view.shown && !view.earlier) wrong++;
        // What the shown answer says it is of is what the engine was asked.
        if (view.shown && !same(figures(view.shown.of.job), figures(ofView(view)!))) wrong++;
      };
      for (let step = 0; step < 14; step++) {
        const open = asked[pick(asked.length)];
        switch (pick(9)) {
          case 0:
          case 1:
            record.value.temperatureC = { text: String(step), value: step };
            break;
          case 2:
            record.value.findings = [`f${pick(3)}`];
            look();
            record.value.temperatureC = { text: `${step}.5`, value: step + 0.5 };
            break;
          case 3:
            open.tell(verdict(open.job));
            break;
          case 4:
            open.tell(advice(open.job));
            break;
          case 5:
            open.done();
            break;
          case 6:
            open.fail(new EngineError({ why: 'stopped', message: 'x' }));
            break;
          case 7:
            control.elsewhere((j) => ({
              ...j,
              hotTemperatureC: { text: String(step), value: step },
              findings: [`e${pick(3)}`],
            }));
            break;
          case 8:
            record.value.title = `t${step}`;
            break;
        }
        look();
        if (pick(2)) await settle();
        look();
      }
      judging.close();
      look();
      record.dispose();
      expect(wrong, `seed ${seed}`).toBe(0);
    }
  });
});
