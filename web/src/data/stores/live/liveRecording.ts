import type { Mark, MarkKind } from '@mellow-probe/core/intake/logs/log';
import { ref, shallowRef, triggerRef } from 'vue';
import { newId, nowIso } from '../../../browser/newId.ts';
import { foldRecording, putChunk, putHead, type RecordingHead } from '../../storage/recordingStorage.ts';
import { type StorageFault, toStorageError } from '../../storage/storageError.ts';
import { type Recorder, recorder } from './recorder.ts';

/** The recording under way, if any. `nowS` is the clock of the samples. */
export function liveRecording(nowS: () => number, from: () => RecordingHead['from']) {
  const recording = shallowRef<Recorder | null>(null);
  const recordFault = ref<StorageFault | null>(null);

  function startRecording(title: string, job: { id: string; title: string } | null): void {
    if (recording.value) return;
    recordFault.value = null;
    const head: RecordingHead = {
      id: newId(),
      title,
      job,
      startedAt: nowIso(),
      endedAt: null,
      from: from(),
      channels: [],
      marks: [],
      samples: 0,
      lengthS: 0,
    };
    const failed = (error: unknown): void => void (recordFault.value = toStorageError(error).fault);
    recording.value = recorder(head, nowS(), { putHead, putChunk }, failed);
  }

  /** Ends the recording and returns its id, or null where none ran. */
  async function stopRecording(): Promise<string | null> {
    const own = recording.value;
    if (!own) return null;
    recording.value = null;
    await own.stop(nowIso(), nowS());
    await foldRecording(own.head.id).catch(() => undefined);
    return own.head.id;
  }

  /** Begins or ends a mark in the recording. */
  function mark(kind: MarkKind, place = '', text = ''): Mark | null {
    const made = recording.value?.mark(kind, nowS(), place, text) ?? null;
    triggerRef(recording);
    return made;
  }

  return { recording, recordFault, startRecording, stopRecording, mark };
}
