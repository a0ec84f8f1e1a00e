import type { Channel } from '@mellow-probe/core/intake/instruments/heard';
import type { Mark, MarkKind } from '@mellow-probe/core/intake/logs/log';
import { plainCopy } from '@mellow-probe/core/base/records/plainData';
import type { RecordingHead, SampleChunk } from '../../storage/recordingStorage.ts';

/** What is not written yet is at most so old, ms. */
export const FLUSH_MS = 400;

/** Where a recording goes; the tests hand in others. */
export interface RecordingSink {
  putHead(head: RecordingHead): Promise<void>;
  putChunk(id: string, n: number, chunks: readonly SampleChunk[]): Promise<void>;
}

/** A recording under way. Samples are kept as they come: what is older than half a second is in the store. */
export interface Recorder {
  readonly head: RecordingHead;
  sample(channel: Channel, timeS: number, value: number): void;
  /** Begins a mark, or ends the one of the same kind and place that stands; a note has no length. */
  mark(kind: MarkKind, timeS: number, place?: string, text?: string): Mark;
  /** Takes a mark back. */
  unmark(mark: Mark): void;
  stop(endedAt: string, timeS: number): Promise<void>;
}

/**
 * @param startS clock of the instruments at the start: samples are kept from 0
 * @param failed told when the store did not take something; it is tried again with the next
 */
export function recorder(
  head: RecordingHead,
  startS: number,
  sink: RecordingSink,
  failed: (error: unknown) => void,
): Recorder {
  const { add, headChanged, flush, writing } = chunkWriter(head, sink, failed);
  let stopped = false;
  const timer = setInterval(() => void flush(), FLUSH_MS);
  void flush();

  function channelOf({ id, name, quantity }: Channel): number {
    const known = head.channels.findIndex((c) => c.id === id);
    if (known >= 0) return known;
    head.channels.push({ id, name, quantity });
    headChanged();
    return head.channels.length - 1;
  }

  return {
    head,
    sample(channel, timeS, value) {
      if (stopped) return;
      const at = timeS - startS;
      add(channelOf(channel), at, value);
      head.samples++;
      head.lengthS = Math.max(head.lengthS, at);
    },
    mark(kind, timeS, place = '', text = '') {
      const mark = markIn(head, kind, timeS - startS, place, text);
      headChanged();
      void flush();
      return mark;
    },
    unmark(mark) {
      head.marks = head.marks.filter((m) => m !== mark);
      headChanged();
    },
    async stop(endedAt, timeS) {
      stopped = true;
      clearInterval(timer);
      await writing();
      for (const m of head.marks) m.toS ??= timeS - startS;
      head.endedAt = endedAt;
      headChanged();
      await flush();
    },
  };
}

/** Begins a mark, or ends the one of the same kind and place that is open; a note is never open. */
function markIn(head: RecordingHead, kind: MarkKind, at: number, place: string, text: string): Mark {
  const open = head.marks.find((m) => m.kind === kind && m.place === place && m.toS === null);
  if (open) {
    open.toS = at;
    return open;
  }
  const mark: Mark = { kind, fromS: at, toS: kind === 'note' ? at : null, place, text };
  head.marks.push(mark);
  return mark;
}

interface Samples {
  t: number[];
  v: number[];
}

/** Collects samples by channel and writes them in chunks, with the head before them where it has changed. */
function chunkWriter(head: RecordingHead, sink: RecordingSink, failed: (error: unknown) => void) {
  /** Samples that are not written yet, by the place of their channel. */
  let pending = new Map<number, Samples>();
  let n = 0;
  let isHeadNew = true;
  let writing: Promise<void> | null = null;

  async function write(): Promise<void> {
    const taken = pending;
    pending = new Map();
    const chunks = [...taken].map(([channel, { t, v }]) => ({
      channel,
      t: Float64Array.from(t),
      v: Float64Array.from(v),
    }));
    try {
      // The head first: a chunk of a channel that no head knows could not be read.
      if (isHeadNew) {
        isHeadNew = false;
        await sink.putHead(plainCopy(head));
      }
      if (chunks.length > 0) await sink.putChunk(head.id, n, chunks);
      n++;
    } catch (error) {
      isHeadNew = true;
      // Back to the front: the next chunk holds them, too.
      for (const [channel, { t, v }] of taken) {
        const now = pending.get(channel) ?? { t: [], v: [] };
        pending.set(channel, { t: [...t, ...now.t], v: [...v, ...now.v] });
      }
      failed(error);
    }
  }

  return {
    add(channel: number, t: number, v: number): void {
      const own = pending.get(channel) ?? { t: [], v: [] };
      pending.set(channel, own);
      own.t.push(t);
      own.v.push(v);
    },
    headChanged: () => void (isHeadNew = true),
    flush: (): Promise<void> => (writing ??= write().finally(() => (writing = null))),
    writing: (): Promise<void> | null => writing,
  };
}
