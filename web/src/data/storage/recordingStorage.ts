import { markSchema, type Log } from '@mellow-probe/core/intake/logs/log';
import { isRecord } from '@mellow-probe/core/base/records/plainData';
import { logOfSamples } from '@mellow-probe/core/intake/logs/logOfSamples';
import { z } from 'zod';
import { withStore } from './stores.ts';

/** What stands of a recording beside its samples. Small: written whole at every change. */
const headSchema = z.object({
  id: z.string(),
  title: z.string().max(400),
  /** The check it was taken for. */
  job: z.object({ id: z.string(), title: z.string() }).nullable(),
  startedAt: z.string(),
  /** Null while it runs, or where the window was lost in the middle of it. */
  endedAt: z.string().nullable(),
  /** 'recorded' with instruments or stand-ins, or read from a 'file'. */
  from: z.enum(['recorded', 'stand-ins', 'file']),
  channels: z.array(z.object({ id: z.string(), name: z.string(), quantity: z.enum(['volts', 'ohms', 'celsius']) })),
  marks: z.array(markSchema),
  samples: z.number(),
  lengthS: z.number(),
});
export type RecordingHead = z.infer<typeof headSchema>;

/** Samples of some moments: for each channel (by its place in the head) times and values. */
export interface SampleChunk {
  channel: number;
  t: Float64Array;
  v: Float64Array;
}

const headKey = (id: string): string => `head/${id}`;
const chunkKey = (id: string, n: number): string => `data/${id}/${String(n).padStart(8, '0')}`;
const wholeKey = (id: string): string => `whole/${id}`;

/** Is this what stands under such a key: a head, a part of the samples, or a whole log? */
export function isRecordingPart(key: string, value: unknown): boolean {
  if (key.startsWith('head/')) return headSchema.safeParse(value).success;
  if (key.startsWith('data/')) return Array.isArray(value) && value.every(isChunk);
  if (!key.startsWith('whole/') || !isRecord(value)) return false;
  const { timeS, channels } = value;
  return (
    timeS instanceof Float64Array &&
    Array.isArray(channels) &&
    channels.every((c: unknown) => isRecord(c) && c.values instanceof Float64Array && c.values.length === timeS.length)
  );
}

const isChunk = (value: unknown): boolean =>
  isRecord(value) &&
  typeof value.channel === 'number' &&
  value.t instanceof Float64Array &&
  value.v instanceof Float64Array &&
  value.t.length === value.v.length;

/** Rejects with a `StorageError`. */
export async function putHead(head: RecordingHead): Promise<void> {
  await withStore('recordings', (s) => s.setItem(headKey(head.id), head));
}

/** Rejects with a `StorageError`. A chunk is never written twice. */
export async function putChunk(id: string, n: number, chunks: readonly SampleChunk[]): Promise<void> {
  await withStore('recordings', (s) => s.setItem(chunkKey(id, n), chunks));
}

/** A log that came as a whole, from a file. The samples carry its head too: a page that is left between the two writes loses nothing. */
export async function putWholeLog(head: RecordingHead, log: Log): Promise<void> {
  const whole = { timeS: log.timeS, channels: log.channels, head };
  await withStore('recordings', (s) => s.setItem(wholeKey(head.id), whole));
  await putHead(head);
}

/** Writes the heads of whole logs that have none of their own yet. */
async function restoreHeads(keys: readonly string[]): Promise<string[]> {
  const there = new Set(keys);
  const restored: string[] = [];
  for (const key of keys) {
    if (!key.startsWith('whole/')) continue;
    const id = key.slice('whole/'.length);
    if (there.has(headKey(id))) continue;
    const whole = await withStore('recordings', (s) => s.getItem<{ head?: unknown }>(key));
    const head = headSchema.safeParse(whole?.head);
    if (!head.success) continue;
    await putHead(head.data);
    restored.push(headKey(id));
  }
  return restored;
}

/** All recordings, the newest first; a head that cannot be read is left out, its samples stay. Rejects with a `StorageError`. */
export async function listRecordings(): Promise<RecordingHead[]> {
  const all = await withStore('recordings', (s) => s.keys());
  const keys = [...all.filter((k) => k.startsWith('head/')), ...(await restoreHeads(all))];
  const heads = await Promise.all(keys.map((k) => withStore('recordings', (s) => s.getItem(k))));
  const known = heads.flatMap((h) => {
    const read = headSchema.safeParse(h);
    return read.success ? [read.data] : [];
  });
  return (await Promise.all(known.map(async (head) => (head.endedAt === null ? await counted(head, all) : head)))).sort(
    (a, b) => (a.startedAt < b.startedAt ? 1 : -1),
  );
}

/** A recording that was never ended, with what its chunks hold: its head stood behind them when the window was lost. */
async function counted(head: RecordingHead, keys: readonly string[]): Promise<RecordingHead> {
  let [samples, lengthS] = [0, 0];
  for (const key of keys.filter((k) => k.startsWith(`data/${head.id}/`))) {
    const chunks = await withStore('recordings', (s) => s.getItem<SampleChunk[]>(key));
    for (const { t } of Array.isArray(chunks) ? chunks : []) {
      if (!(t instanceof Float64Array) || t.length === 0) continue;
      samples += t.length;
      lengthS = Math.max(lengthS, t[t.length - 1]);
    }
  }
  return samples > 0 ? { ...head, samples, lengthS } : head;
}

async function readHead(id: string): Promise<RecordingHead | null> {
  const read = headSchema.safeParse(await withStore('recordings', (s) => s.getItem(headKey(id))));
  return read.success ? read.data : null;
}

/**
 * A recording as a log: every chunk that is there, in order. A chunk that cannot be read is left out and counted; what was written after the last head
 * was (a window lost in the middle) is there all the same.
 */
export async function readRecording(id: string): Promise<{ head: RecordingHead; log: Log; lost: number } | null> {
  const head = await readHead(id);
  if (!head) return null;
  const whole = await withStore('recordings', (s) => s.getItem<Pick<Log, 'timeS' | 'channels'>>(wholeKey(id)));
  if (whole) return { head, log: { timeS: whole.timeS, channels: whole.channels, marks: head.marks }, lost: 0 };
  const keys = await chunkKeys(id);
  const parts = head.channels.map(() => ({ t: [] as Float64Array[], v: [] as Float64Array[] }));
  let lost = 0;
  for (const key of keys) {
    const chunks = await withStore('recordings', (s) => s.getItem<SampleChunk[]>(key));
    if (!Array.isArray(chunks)) {
      lost++;
      continue;
    }
    for (const { channel, t, v } of chunks) {
      if (!parts[channel] || !(t instanceof Float64Array) || !(v instanceof Float64Array) || t.length !== v.length)
        lost++;
      else {
        parts[channel].t.push(t);
        parts[channel].v.push(v);
      }
    }
  }
  const series = head.channels.map((c, k) => ({ ...c, timeS: joined(parts[k].t), values: joined(parts[k].v) }));
  const log = logOfSamples(
    series.filter((s) => s.timeS.length > 0),
    head.marks,
  );
  return { head, log, lost };
}

async function chunkKeys(id: string): Promise<string[]> {
  const keys = await withStore('recordings', (s) => s.keys());
  return keys.filter((k) => k.startsWith(`data/${id}/`)).sort();
}

function joined(parts: readonly Float64Array[]): Float64Array {
  const out = new Float64Array(parts.reduce((n, p) => n + p.length, 0));
  let at = 0;
  for (const p of parts) {
    out.set(p, at);
    at += p.length;
  }
  return out;
}

/** Many small chunks made few, once a recording has ended: the large one is written before the small ones go, so that nothing is lost in between. */
export async function foldRecording(id: string): Promise<void> {
  const read = await readRecording(id);
  if (!read || read.lost > 0) return;
  const keys = await chunkKeys(id);
  await putWholeLog(read.head, read.log);
  for (const key of keys) await withStore('recordings', (s) => s.removeItem(key));
}

/** The head goes last: a removal that is cut off leaves a recording that is listed and can be removed again. */
export async function removeRecording(id: string): Promise<void> {
  for (const key of [wholeKey(id), ...(await chunkKeys(id)), headKey(id)])
    await withStore('recordings', (s) => s.removeItem(key));
}
