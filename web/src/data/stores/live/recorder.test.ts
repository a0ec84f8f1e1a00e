// @vitest-environment happy-dom
import 'fake-indexeddb/auto';
import { seededUniform } from '@mellow-probe/core/base/numeric/random';
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import {
  foldRecording,
  listRecordings,
  putChunk,
  putHead,
  readRecording,
  type RecordingHead,
  removeRecording,
  type SampleChunk,
} from '../../storage/recordingStorage.ts';
import { withStore } from '../../storage/stores.ts';
import { FLUSH_MS, recorder, type RecordingSink } from './recorder.ts';

const VOLTS = { id: 'meter volts', name: 'Meter, volts', quantity: 'volts' } as const;
const COOLANT = { id: 'adapter 05', name: 'Coolant', quantity: 'celsius' } as const;
const head = (id: string): RecordingHead => ({
  id,
  title: 'A recording',
  job: null,
  startedAt: `2026-11-26T10:00:0${id.length}Z`,
  endedAt: null,
  from: 'recorded',
  channels: [],
  marks: [],
  samples: 0,
  lengthS: 0,
});

describe('the recorder', () => {
  beforeEach(() => void vi.useFakeTimers());
  afterEach(() => void vi.useRealTimers());

  /** A store in memory that can be made to refuse. */
  function sink(): RecordingSink & { heads: RecordingHead[]; t: number[]; v: number[]; refuse: boolean } {
    const own = {
      heads: [] as RecordingHead[],
      t: [] as number[],
      v: [] as number[],
      refuse: false,
      putHead: (h: RecordingHead) =>
        own.refuse ? Promise.reject(new Error('full')) : Promise.resolve(void own.heads.push(h)),
      putChunk: (_: string, __: number, chunks: readonly SampleChunk[]) =>
        own.refuse
          ? Promise.reject(new Error('full'))
          : Promise.resolve(void chunks.forEach((c) => (own.t.push(...c.t), own.v.push(...c.v)))),
    };
    return own;
  }

  test('what is older than the flush is in the store; times run from the start', async () => {
    const s = sink();
    const r = recorder(head('a'), 100, s, () => undefined);
    for (let k = 0; k < 50; k++) {
      r.sample(VOLTS, 100 + k * 0.1, 3);
      await vi.advanceTimersByTimeAsync(100);
      expect(k * 0.1 - (s.t.at(-1) ?? 0)).toBeLessThanOrEqual((FLUSH_MS + 100) / 1000 + 1e-9);
    }
    expect(s.t[0]).toBeCloseTo(0, 9);
    expect(s.heads[0].channels).toEqual([]);
    expect(s.heads.at(-1)!.channels).toEqual([VOLTS]);
    await r.stop('2026-11-26T10:00:10Z', 105);
    expect(s.t).toHaveLength(50);
    expect(s.heads.at(-1)).toMatchObject({ endedAt: '2026-11-26T10:00:10Z', samples: 50 });
  });
  test('marks begin and end, and are kept at once', async () => {
    const s = sink();
    const r = recorder(head('a'), 0, s, () => undefined);
    await vi.advanceTimersByTimeAsync(1);
    r.mark('wiggling', 5, 'engine plug');
    await vi.advanceTimersByTimeAsync(1);
    expect(s.heads.at(-1)!.marks).toEqual([{ kind: 'wiggling', fromS: 5, toS: null, place: 'engine plug', text: '' }]);
    r.mark('wiggling', 9, 'engine plug');
    r.mark('wiggling', 10, 'other plug');
    r.mark('note', 11, '', 'fan');
    r.mark('note', 12, '', 'fan');
    await r.stop('2026-11-26T10:00:10Z', 20);
    expect(r.head.marks.map((m) => [m.kind, m.fromS, m.toS])).toEqual([
      ['wiggling', 5, 9],
      ['wiggling', 10, 20],
      ['note', 11, 11],
      ['note', 12, 12],
    ]);
  });
  test('marks of other kinds and places run side by side; each ends by itself, and begins anew', async () => {
    const r = recorder(head('a'), 0, sink(), () => undefined);
    r.mark('wiggling', 1, 'engine plug');
    r.mark('wiggling', 2, 'other plug');
    r.mark('unplugged', 3, 'other plug');
    r.mark('wiggling', 4, 'other plug');
    r.mark('wiggling', 5, 'other plug');
    r.mark('unplugged', 6, 'other plug');
    const spans = () => r.head.marks.map((m) => [m.kind, m.place, m.fromS, m.toS]);
    expect(spans()).toEqual([
      ['wiggling', 'engine plug', 1, null],
      ['wiggling', 'other plug', 2, 4],
      ['unplugged', 'other plug', 3, 6],
      ['wiggling', 'other plug', 5, null],
    ]);
    r.unmark(r.head.marks[0]);
    expect(spans()).toHaveLength(3);
    await r.stop('2026-11-26T10:00:10Z', 9);
    expect(spans().at(-1)).toEqual(['wiggling', 'other plug', 5, 9]);
    r.sample(VOLTS, 10, 1);
    expect(r.head).toMatchObject({ samples: 0, lengthS: 0 });
  });
  test('channels are written each with its own samples; one that came late is in the head before them', async () => {
    const written: [channel: number, n: number][] = [];
    const s = {
      ...sink(),
      putChunk: (_: string, __: number, chunks: readonly SampleChunk[]) => {
        for (const c of chunks) written.push([c.channel, c.t.length]);
        return Promise.resolve();
      },
    };
    const r = recorder(head('a'), 0, s, () => undefined);
    r.sample(VOLTS, 0.1, 1);
    r.sample(VOLTS, 0.2, 1);
    await vi.advanceTimersByTimeAsync(FLUSH_MS + 1);
    r.sample(COOLANT, 0.6, 20);
    await vi.advanceTimersByTimeAsync(FLUSH_MS + 1);
    expect(written).toEqual([
      [0, 2],
      [1, 1],
    ]);
    expect(r.head.lengthS).toBe(0.6);
    await r.stop('2026-11-26T10:00:10Z', 3);
  });
  test('what the store refuses is held and written later, in order', async () => {
    const s = sink();
    const failed: unknown[] = [];
    const r = recorder(head('a'), 0, s, (e) => void failed.push(e));
    await vi.advanceTimersByTimeAsync(1);
    s.refuse = true;
    for (let k = 0; k < 20; k++) {
      r.sample(VOLTS, k * 0.1, k);
      await vi.advanceTimersByTimeAsync(100);
    }
    expect(failed.length).toBeGreaterThan(2);
    s.refuse = false;
    r.sample(VOLTS, 2, 20);
    await r.stop('2026-11-26T10:00:10Z', 3);
    expect(s.t.map((t) => Math.round(t * 10))).toEqual(Array.from({ length: 21 }, (_, k) => k));
    expect(s.v).toEqual(Array.from({ length: 21 }, (_, k) => k));
  });
});

describe('recordings in the store', () => {
  const uniform = seededUniform(6);
  async function written(id: string, chunks: number): Promise<void> {
    await putHead({ ...head(id), channels: [VOLTS, COOLANT] });
    for (let n = 0; n < chunks; n++)
      await putChunk(id, n, [
        { channel: 0, t: Float64Array.of(n, n + 0.5), v: Float64Array.of(n, n + 0.5) },
        { channel: 1, t: Float64Array.of(n + 0.25), v: Float64Array.of(20 + n) },
      ]);
  }
  test('killed at any moment, what was written is a log', async () => {
    for (let k = 0; k < 12; k++) {
      const chunks = Math.floor(8 * uniform());
      const id = `kill${k}`;
      await written(id, chunks);
      const read = (await readRecording(id))!;
      expect(read.lost).toBe(0);
      expect(read.log.timeS).toHaveLength(3 * chunks);
      for (const c of read.log.channels) expect(c.values).toHaveLength(3 * chunks);
    }
  });
  test('a chunk that cannot be read is counted, and the rest is there', async () => {
    await written('torn', 4);
    await putChunk('torn', 2, 'nonsense' as never);
    const read = (await readRecording('torn'))!;
    expect(read.lost).toBe(1);
    expect(read.log.timeS).toHaveLength(9);
  });
  test('a whole log whose page was left before its head was written is listed, and can be read', async () => {
    await written('left', 3);
    await foldRecording('left');
    await withStore('recordings', (s) => s.removeItem('head/left'));
    expect((await listRecordings()).map((h) => h.id)).toContain('left');
    expect((await readRecording('left'))!.log.timeS).toHaveLength(9);
    await removeRecording('left');
    expect((await listRecordings()).map((h) => h.id)).not.toContain('left');
  });
  test('folded it is the same log; removed it is gone', async () => {
    await written('fold', 5);
    const before = (await readRecording('fold'))!;
    await foldRecording('fold');
    const after = (await readRecording('fold'))!;
    expect([...after.log.timeS]).toEqual([...before.log.timeS]);
    expect(after.log.channels.map((c) => [...c.values])).toEqual(before.log.channels.map((c) => [...c.values]));
    expect((await listRecordings()).map((h) => h.id)).toContain('fold');
    await removeRecording('fold');
    expect(await readRecording('fold')).toBeNull();
    expect((await listRecordings()).map((h) => h.id)).not.toContain('fold');
  });
});
