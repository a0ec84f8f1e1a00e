// @vitest-environment happy-dom
import type { Job } from '@mellow-probe/core/check/job/jobSchema';
import { newJob } from '@mellow-probe/core/check/job/newJob';
import { useLogRoomWords as say } from '@mellow-probe/core/wording/screens/logs';
import { mount } from '@vue/test-utils';
import { readFileSync } from 'node:fs';
import { createPinia, setActivePinia } from 'pinia';
import { beforeEach, describe, expect, test, vi } from 'vitest';
import { defineComponent, h, nextTick, shallowRef } from 'vue';
import { browser, emptyBrowser } from '../../../test/browserWindow.ts';
import { SINE, worker } from '../../../test/logWorker.ts';
import { listRecordings } from '../../data/storage/recordingStorage.ts';

const { useLogRoom } = await import('./useLogRoom.ts');

const file = (text: string, name = 'a.csv'): File => new File([text], name, { type: 'text/csv' });

function mounted(job = shallowRef<Job | null>(null)) {
  let lab!: ReturnType<typeof useLogRoom>;
  const wrapper = mount(
    defineComponent({
      setup() {
        lab = useLogRoom(() => job.value);
        return () => h('i');
      },
    }),
  );
  return { lab, job, wrapper };
}
beforeEach(async () => {
  await emptyBrowser();
  setActivePinia(createPinia());
  Object.assign(worker, { rooms: 0, left: 0, held: null, fails: '' });
});

describe('a file', () => {
  test('is read, looked at, analysed and stored; the whole length is in sight', async () => {
    const { lab } = mounted();
    await lab.openFile(file(SINE(200), 'pump.csv'));
    expect(lab.state.value).toEqual({ at: 'ready' });
    expect(lab.shape.value).toMatchObject({
      rows: 200,
      lengthS: 99.5,
      channels: [{ quantity: 'celsius', values: 200 }],
    });
    expect(lab.range.value).toEqual([0, 99.5]);
    expect(lab.views.value.map((v) => v.id)).toEqual(lab.shape.value!.channels.map((c) => c.id));
    expect(lab.analysis.value).not.toBeNull();
    expect(lab.head.value).toMatchObject({ title: 'pump.csv', from: 'file', samples: 200, lengthS: 99.5 });
    expect((await listRecordings()).map((r) => r.id)).toEqual([lab.head.value!.id]);
    expect(lab.busy.value).toBe(false);
  });
  test('is stored before its findings are there: whoever leaves meanwhile has it', async () => {
    let go!: () => void;
    worker.held = new Promise((done) => (go = done));
    const { lab } = mounted();
    const opening = lab.openFile(file(SINE(100)));
    await vi.waitFor(async () => expect(await listRecordings()).toHaveLength(1));
    expect(lab.state.value.at).toBe('analysing');
    expect(lab.busy.value).toBe(true);
    go();
    await opening;
    expect(lab.state.value.at).toBe('ready');
  });
  test('whose units are not told is asked about, and read with the answer', async () => {
    const { lab } = mounted();
    const own = file(SINE(50, 'time;value'));
    await lab.openFile(own);
    expect(lab.state.value).toMatchObject({ at: 'asked', result: { ok: false } });
    expect(await listRecordings()).toEqual([]);
    await lab.openFile(own, [
      { use: 'time', time: 'seconds' },
      { use: 'values', unit: '°F' },
    ] as never);
    expect([lab.state.value.at, lab.shape.value!.channels[0].quantity]).toEqual(['ready', 'celsius']);
    // 70 °F is 21 °C.
    expect(lab.views.value[0].y[0]).toBeCloseTo(21.1, 0);
  });
  test('a store that is full or a log that is too large leaves it open, and says that it is not stored', async () => {
    browser.refuse = 'full';
    const full = mounted().lab;
    await full.openFile(file(SINE(50)));
    expect([full.state.value.at, full.notKept.value, full.head.value]).toEqual(['ready', 'full', null]);
    browser.refuse = null;
    const large = mounted().lab;
    await large.openFile(file(SINE(300_001)));
    expect([large.notKept.value, await listRecordings()]).toEqual(['too-large', []]);
  });
  test('a worker that fails is said with its reason; another file is read after it', async () => {
    const { lab } = mounted();
    worker.fails = 'out of memory';
    await lab.openFile(file(SINE(50)));
    expect(lab.state.value).toEqual({ at: 'failed', why: 'out of memory' });
    worker.fails = '';
    await lab.openFile(file(SINE(60)));
    expect([lab.state.value.at, lab.shape.value!.rows]).toEqual(['ready', 60]);
  });
});

describe('what is looked at', () => {
  test('a range stays within the log and is never next to nothing; the window draws anew when it changes', async () => {
    const { lab } = mounted();
    await lab.openFile(file(SINE(200)));
    lab.showRange(-10, 20);
    expect(lab.range.value).toEqual([0, 30]);
    lab.showRange(90, 130);
    expect(lab.range.value).toEqual([59.5, 99.5]);
    lab.showRange(50, 50);
    expect(lab.range.value[1] - lab.range.value[0]).toBeCloseTo(0.2, 9);
    await vi.waitFor(() => expect(lab.views.value[0].x.length).toBeLessThan(10));
    lab.showRange(0, 99.5);
    await vi.waitFor(() => expect(lab.views.value[0].x.length).toBe(200));
    const before = lab.views.value;
    lab.setWidth(820);
    await nextTick();
    expect(lab.views.value).toBe(before);
    lab.setWidth(200);
    await vi.waitFor(() => expect(lab.views.value).not.toBe(before));
  });
  test('another part for a channel, and another check, analyse anew', async () => {
    const { lab, job } = mounted();
    await lab.openFile(file(SINE(200)));
    const [id] = lab.shape.value!.channels.map((c) => c.id);
    const first = lab.analysis.value;
    lab.setRole(id, 'companion');
    expect(lab.roles.value[id]).toBe('companion');
    await vi.waitFor(() => expect([lab.state.value.at, lab.analysis.value !== first]).toEqual(['ready', true]));
    const second = lab.analysis.value;
    job.value = newJob('a', '2026-01-02T03:04:05.000Z');
    await vi.waitFor(() => expect([lab.state.value.at, lab.analysis.value !== second]).toEqual(['ready', true]));
  });
});

describe('another log', () => {
  test('the newest one that was asked for is shown, whichever is read first', async () => {
    let go!: () => void;
    worker.held = new Promise((done) => (go = done));
    const { lab } = mounted();
    const slow = lab.openFile(file(SINE(200), 'slow.csv'));
    await vi.waitFor(() => expect(lab.state.value.at).toBe('analysing'));
    worker.held = null;
    await lab.openFile(file(SINE(80), 'fast.csv'));
    const { rows } = lab.shape.value!;
    go();
    await slow;
    expect([rows, lab.shape.value!.rows, lab.state.value.at]).toEqual([80, 80, 'ready']);
    expect(worker.left).toBe(1);
  });
  test('a recording of this browser is opened by its id; one that is not here is said', async () => {
    const { lab } = mounted();
    await lab.openFile(file(SINE(120), 'kept.csv'));
    const { id } = lab.head.value!;
    const other = mounted().lab;
    await other.openRecording(id);
    expect([other.shape.value!.rows, other.head.value!.title, other.file.value]).toEqual([120, 'kept.csv', null]);
    const rooms = worker.rooms;
    await other.openRecording(id);
    expect(worker.rooms).toBe(rooms);
    await other.openRecording('nowhere');
    expect(other.state.value).toEqual({ at: 'failed', why: say.recordingMissing });
  });
  test('a second file laid beside it has its own channels; one that cannot be read says so and leaves the first', async () => {
    const { lab } = mounted();
    expect(await lab.beside(file('x'), 'clock')).toBe('');
    await lab.openFile(file(SINE(200)));
    const told = await lab.beside(file(SINE(100), 'second.csv'), 'clock');
    expect(told).toContain('second.csv');
    expect(lab.shape.value!.channels).toHaveLength(2);
    expect(await lab.beside(file('no log', 'bad.csv'), 'clock')).toBe(say.unreadable('bad.csv'));
    expect(lab.shape.value!.channels).toHaveLength(2);
  });
  test('cancelled it is gone; what comes late is not taken, and the room is left with the screen', async () => {
    let go!: () => void;
    worker.held = new Promise((done) => (go = done));
    const { lab, wrapper } = mounted();
    const opening = lab.openFile(file(readFileSync('examples/logs/loose-plug.csv', 'utf8')));
    await vi.waitFor(() => expect(lab.state.value.at).toBe('analysing'));
    lab.cancel();
    go();
    await opening;
    expect([lab.state.value, lab.shape.value, lab.analysis.value]).toEqual([{ at: 'nothing' }, null, null]);
    expect(await lab.csv()).toBe('');
    await lab.openFile(file(SINE(20)));
    expect(await lab.csv()).toContain('coolant');
    const { left } = worker;
    wrapper.unmount();
    expect(worker.left).toBe(left + 1);
  });
});
