// @vitest-environment happy-dom
import { truthText } from '@mellow-probe/core/wording/trainingText';
import type { Move } from '@mellow-probe/core/training/cases/play';
import { UNTOUCHED } from '@mellow-probe/core/training/cases/setUp';
import { setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import { browser, type BrowserWindow, emptyBrowser, openWindow, until } from '../../test/browserWindow.ts';
import type { EngineLine } from '../workers/engineClient.ts';
import type { Practice } from './practice.ts';

/** The worker's own work, in this thread. */
const worker = vi.hoisted(() => ({ fails: false }));
vi.mock('../workers/trainingClient.ts', async () => {
  const { trainingWork } = await import('../workers/training.ts');
  const ask = (work: (remote: unknown) => Promise<unknown>): Promise<unknown> =>
    worker.fails ? Promise.reject(new Error('broke off')) : work(trainingWork);
  return { trainingLines: () => ({ scene: { ask }, judge: { ask } }) };
});

const asked = vi.fn();
const ENGINE: EngineLine = {
  judge: () => Promise.resolve(void asked()),
  withoutEach: () => Promise.resolve([]),
  course: () => Promise.resolve([]),
  plan: () => Promise.resolve(null),
};
const NUMBER = '2-VTP2ME-K';
const measure = (measurement: string, change: Partial<typeof UNTOUCHED>): Move => ({
  ...{ kind: 'measure', id: measurement, measurement, conditions: {}, expects: null },
  setUp: { ...UNTOUCHED, ...change },
});

let w: BrowserWindow;
beforeEach(async () => {
  await emptyBrowser();
  worker.fails = false;
  asked.mockClear();
  w = await openWindow();
});
afterEach(() => vi.restoreAllMocks());

async function begin(mode: 'hidden' | 'shown' = 'hidden', number = NUMBER): Promise<string> {
  setActivePinia(w.pinia);
  return w.training.useTraining().begin(number, mode);
}
async function open(id: string, of = w): Promise<Practice> {
  const opened = await of.practice.openPractice(id, ENGINE);
  if (opened.kind !== 'open') throw new Error(JSON.stringify(opened));
  return opened.practice;
}

describe('a training case on the bench', () => {
  test('moves put readings on the bench and are kept; the next window goes on from them, set up as it was left', async () => {
    const id = await begin();
    const practice = await open(id);
    await practice.make(measure('open-voltage', { key: true, plug: 'out' }));
    await practice.make({ kind: 'look' });
    await practice.make({ kind: 'warm' });
    const { job } = practice.session;
    expect(job.readings.map((r) => [r.measurement, r.text])).toEqual([['open-voltage', '4.97 V']]);
    expect([job.findings, job.moments[1].temperatureC.value === null]).toEqual([['crash-damage'], false]);
    expect(practice.standing.value.state.minutes).toBe(19);
    await practice.close();
    const other = await openWindow();
    const again = await open(id, other);
    expect(again.record.value.moves).toHaveLength(3);
    expect(again.session.job.readings).toHaveLength(1);
    expect(again.setUp).toMatchObject({ key: true, plug: 'out' });
    await again.close();
  });
  test('hidden, the engine is not asked; shown, it is', async () => {
    const practice = await open(await begin());
    await practice.make(measure('displayed', { key: true }));
    expect(asked).not.toHaveBeenCalled();
    expect(practice.session.verdict.result).toBeNull();
    await practice.close();
    const shown = await open(await begin('shown'));
    await shown.make(measure('displayed', { key: true }));
    expect(asked).toHaveBeenCalled();
    await until(() => shown.tool.value !== null, 'the tool has said');
    expect(shown.tool.value!.groups[0].probability).toBeGreaterThan(0.2);
    await shown.close();
  });
  test('ended: the debrief comes, what it was worth is kept, and no further move counts', async () => {
    const id = await begin();
    const practice = await open(id);
    await practice.make({ kind: 'act', group: 'wiring', reason: '' });
    await until(() => practice.told.value !== null, 'the debrief');
    expect(truthText(practice.told.value!.truth)).toBe('Resistance in the return, 18 Ω.');
    await practice.make({ kind: 'look' });
    expect(practice.record.value.moves).toHaveLength(1);
    await practice.record.settled();
    const training = w.training.useTraining();
    await training.load();
    expect(training.ended.map((e) => [e.play.id, e.result.right, e.result.healed])).toEqual([[id, true, true]]);
    await practice.close();
  });
  test('what is begun is gone on with; what has ended begins anew; plays of a file come once', async () => {
    const id = await begin();
    expect(await begin()).toBe(id);
    expect(await begin('shown')).not.toBe(id);
    const training = w.training.useTraining();
    const all = [...training.plays];
    expect(await training.take(all)).toBe(0);
    expect(await training.take([{ ...all[0], id: 'from-elsewhere' }])).toBe(1);
    expect(training.plays).toHaveLength(all.length + 1);
  });
  test('not there, not to be read, no case number, a worker that breaks: each is said', async () => {
    expect(await w.practice.openPractice('nothing', ENGINE)).toEqual({ kind: 'missing' });
    const odd = await begin('hidden', '2-AAAAAA-A');
    expect(await w.practice.openPractice(odd, ENGINE)).toMatchObject({ kind: 'failed' });
    const id = await begin();
    const practice = await open(id);
    worker.fails = true;
    await practice.make({ kind: 'look' });
    expect(practice.failed.value).toBe('broke off');
    expect(practice.record.value.moves, 'what was done is not lost').toHaveLength(1);
    expect(await w.practice.openPractice(id, ENGINE)).toEqual({ kind: 'failed', why: 'broke off' });
    await practice.close();
    browser.opening = 'fails';
    const blocked = await openWindow();
    expect(await blocked.practice.openPractice(id, ENGINE)).toMatchObject({ kind: 'blocked', fault: 'blocked' });
  });
});
