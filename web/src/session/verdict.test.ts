// @vitest-environment happy-dom
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import { judgedJob, ofView, settle } from '../../test/judgedJob.ts';
import { EngineError } from '../workers/engineClient.ts';

beforeEach(() => localStorage.clear());
afterEach(() => vi.useRealTimers());

describe('the verdict', () => {
  test('is asked for at once, ready with the first part, complete with the last', async () => {
    const { asked, view, verdict, advice } = await judgedJob();
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
    const { asked, record, view, verdict } = await judgedJob();
    asked[0].tell(verdict(asked[0].job));
    asked[0].done();
    await settle();
    record.value.moments[0].temperatureC = { text: '12', value: 12 };
    expect(view.state.kind).toBe('computing');
    expect(view.earlier).toBe(true);
    await settle();
    expect(view.earlier).toBe(true);
    expect(ofView(view)!.moments[0].temperatureC.text).toBe('');
    asked[1].tell(verdict(asked[1].job));
    expect(view.earlier).toBe(false);
    expect(ofView(view)!.moments[0].temperatureC.text).toBe('12');
  });
  test('texts and photos do not make it compute again; a text leaves it current', async () => {
    const { asked, record, view, verdict } = await judgedJob();
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
    const { asked, record, view, verdict, advice } = await judgedJob();
    for (const t of ['1', '12', '12.5']) {
      record.value.moments[0].temperatureC = { text: t, value: Number(t) };
      await settle();
    }
    expect(asked).toHaveLength(1);
    expect(asked[0].tell(verdict(asked[0].job))).toBe(false);
    expect(view.state.kind).toBe('computing');
    asked[0].done();
    await settle();
    expect(asked).toHaveLength(2);
    expect(asked[1].job.moments[0].temperatureC.text).toBe('12.5');
    asked[1].tell(verdict(asked[1].job));
    expect(asked[0].tell(advice(asked[0].job))).toBe(false);
    expect(view.advice).toBeNull();
  });
  test('advice of earlier figures stands in until the new one is there, marked so', async () => {
    const { asked, record, view, verdict, advice } = await judgedJob();
    asked[0].tell(verdict(asked[0].job));
    asked[0].tell(advice(asked[0].job));
    asked[0].done();
    await settle();
    expect([view.advice === null, view.adviceEarlier]).toEqual([false, false]);
    record.value.moments[0].temperatureC = { text: '12', value: 12 };
    await settle();
    expect([view.advice === null, view.adviceEarlier]).toEqual([false, true]);
    asked[1].tell(verdict(asked[1].job));
    expect([view.advice === null, view.adviceEarlier]).toEqual([false, true]);
    asked[1].tell(advice(asked[1].job));
    expect([view.advice === null, view.adviceEarlier]).toEqual([false, false]);
    record.value.moments[0].temperatureC = { text: '13', value: 13 };
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
    const { asked, record, view, verdict, judging } = await judgedJob();
    asked[0].tell(verdict(asked[0].job));
    asked[0].done();
    await settle();
    record.value.moments[0].temperatureC = { text: '12', value: 12 };
    await settle();
    asked[1].fail(new EngineError({ why: 'silent', message: 'no answer within 20 s' }));
    await settle();
    expect(view.state).toMatchObject({ kind: 'failed', fault: { why: 'silent' } });
    expect([view.earlier, view.fault?.message]).toEqual([true, 'no answer within 20 s']);
    expect(ofView(view)!.moments[0].temperatureC.text).toBe('');
    judging.again();
    await settle();
    expect(view.fault).toBeNull();
    asked[2].tell(verdict(asked[2].job));
    expect(view.state.kind).toBe('ready');
  });
  test('the failure of a question that is no longer asked is nobody’s; so is one after closing', async () => {
    const { asked, record, view, judging } = await judgedJob();
    record.value.moments[0].temperatureC = { text: '12', value: 12 };
    await settle();
    asked[0].fail(new Error('of before'));
    await settle();
    expect(view.state.kind).toBe('computing');
    expect(asked).toHaveLength(2);
    judging.close();
    asked[1].fail(new Error('after'));
    await settle();
    expect(view.fault).toBeNull();
  });
  test('whatever is thrown is a failure; before any verdict nothing is shown; fields are not judged by earlier figures', async () => {
    const { asked, view } = await judgedJob();
    asked[0].fail('odd');
    await settle();
    expect(view).toMatchObject({ fault: { why: 'threw', message: 'odd' }, shown: null, earlier: false, result: null });
  });
  test('issues are told by field, and not those of earlier figures where the engine failed', async () => {
    const { asked, record, view } = await judgedJob();
    asked[0].tell({
      kind: 'verdict',
      answer: {
        issues: [{ path: 'moments.steady.temperatureC', issue: { ok: false, reason: 'empty' } }],
        result: null,
      },
    });
    asked[0].done();
    await settle();
    expect(view.issues.get('moments.steady.temperatureC')).toEqual({ ok: false, reason: 'empty' });
    record.value.moments[0].temperatureC = { text: '1', value: 1 };
    await settle();
    asked[1].fail(new Error('x'));
    await settle();
    expect(view.issues.size).toBe(0);
  });
  test('a failure after the verdict of these very figures came leaves that verdict', async () => {
    const { asked, view, verdict } = await judgedJob();
    asked[0].tell(verdict(asked[0].job));
    asked[0].fail(new Error('advice broke'));
    await settle();
    expect(view.state.kind === 'ready' && view.state.now.complete).toBe(true);
  });
  test('computing is told after 300 ms, not before, and no longer than it lasts', async () => {
    vi.useFakeTimers();
    const { asked, view, verdict } = await judgedJob();
    vi.advanceTimersByTime(299);
    expect(view.slow).toBe(false);
    vi.advanceTimersByTime(1);
    expect(view.slow).toBe(true);
    asked[0].tell(verdict(asked[0].job));
    expect(view.slow).toBe(false);
  });
  test('charts are worked out only while they are shown', async () => {
    const { asked, record, view, verdict, judging } = await judgedJob();
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
    record.value.moments[0].temperatureC = { text: '1', value: 1 };
    await settle();
    expect(asked[2].chart).toBe(false);
  });
  test('a chart that comes on the screen while the verdict is being computed is asked for as well', async () => {
    const { asked, view, verdict, judging } = await judgedJob();
    judging.wantChart();
    await settle();
    expect(asked[0].tell(verdict(asked[0].job))).toBe(false);
    asked[0].done();
    await settle();
    expect(asked[1].chart).toBe(true);
    asked[1].tell(verdict(asked[1].job));
    asked[1].tell({ kind: 'chart', chart: { voltage: null } as never });
    expect(view.chart).not.toBeNull();
  });
  test('closed, it asks and takes nothing any more', async () => {
    const { asked, record, view, verdict, judging } = await judgedJob();
    judging.close();
    expect(asked[0].tell(verdict(asked[0].job))).toBe(false);
    asked[0].done();
    record.value.moments[0].temperatureC = { text: '1', value: 1 };
    await settle();
    expect(asked).toHaveLength(1);
    expect(view.result).toBeNull();
  });
});
