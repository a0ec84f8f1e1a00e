import { useLogRoomWords as say } from '@mellow-probe/core/wording/screens/logs';
import type { Job } from '@mellow-probe/core/check/job/jobSchema';
import type { ChannelRole } from '@mellow-probe/core/intake/logs/channelRoles';
import type { LogChoices } from '@mellow-probe/core/intake/logs/logColumns';
import { plainCopy } from '@mellow-probe/core/base/records/plainData';
import * as Comlink from 'comlink';
import { computed, onBeforeUnmount, ref, shallowRef, watch } from 'vue';
import { newId, nowIso } from '../../browser/newId.ts';
import { putWholeLog, readRecording, type RecordingHead } from '../../data/storage/recordingStorage.ts';
import { toStorageError, type StorageFault } from '../../data/storage/storageError.ts';
import { type LogRoom, logRoom, LogStopped } from '../../workers/logClient.ts';
import type { Analysed, Beside, ChannelView, FileRead, LogShape } from '../../workers/logs.ts';
import { guessedRoles } from '@mellow-probe/core/intake/logs/settingOf';
import { besideText, headOfFile, isTooLarge, rangeWithin } from './labParts.ts';

/** What the laboratory is at. */
export type LabState =
  | { at: 'nothing' }
  | { at: 'reading' | 'analysing'; share: number }
  | { at: 'asked'; file: File; result: Extract<FileRead, { ok: false }> }
  | { at: 'ready' }
  | { at: 'failed'; why: string };

/** The log in the laboratory: read, looked at, analysed, all in a worker of its own that is ended with it. */
export function useLogRoom(job: () => Job | null) {
  let room: LogRoom | null = null;
  let asked = 0;
  const state = ref<LabState>({ at: 'nothing' });
  const head = shallowRef<RecordingHead | null>(null);
  const shape = shallowRef<LogShape | null>(null);
  const fileRead = shallowRef<Extract<FileRead, { ok: true }>['read'] | null>(null);
  const file = shallowRef<File | null>(null);
  const roles = ref<Record<string, ChannelRole>>({});
  const analysis = shallowRef<Analysed | null>(null);
  const views = shallowRef<ChannelView[]>([]);
  const range = ref<[number, number]>([0, 1]);
  const notKept = ref<StorageFault | 'too-large' | null>(null);
  const lost = ref(0);
  const width = ref(800);

  function fresh(): LogRoom {
    room?.leave();
    room = logRoom();
    [shape.value, analysis.value, views.value, fileRead.value, notKept.value, lost.value] = [
      null,
      null,
      [],
      null,
      null,
      0,
    ];
    return room;
  }

  function failed(error: unknown): void {
    if (error instanceof LogStopped) return;
    state.value = { at: 'failed', why: error instanceof Error ? error.message : String(error) };
  }

  /** Opens a file; what a person says of its columns stands. The log is kept in the browser, so that it is here the next time. */
  async function openFile(own: File, choices: LogChoices = {}, everyS: number | null = null): Promise<void> {
    const mine = ++asked;
    const at = fresh();
    [file.value, head.value] = [own, null];
    state.value = { at: 'reading', share: 0 };
    try {
      const told = Comlink.proxy((share: number) => {
        if (mine === asked && state.value.at === 'reading') state.value = { at: 'reading', share };
      });
      const result = await at.ask<FileRead>(async (r) => await r.open(own, plainCopy(choices), everyS, told));
      if (mine !== asked) return;
      if (!result.ok) {
        state.value = { at: 'asked', file: own, result };
        return;
      }
      fileRead.value = result.read;
      // Stored first: the findings of a long log take their time, and the page may be left meanwhile.
      const stored = keep(own, result.shape);
      await show(result.shape, mine);
      await stored;
    } catch (error) {
      if (mine === asked) failed(error);
    }
  }

  async function keep(own: File, of: LogShape): Promise<void> {
    if (isTooLarge(of)) {
      notKept.value = 'too-large';
      return;
    }
    try {
      const log = await room!.ask((r) => r.whole());
      const kept = headOfFile(own.name, of, newId(), nowIso());
      await putWholeLog(kept, log);
      head.value = kept;
    } catch (error) {
      notKept.value = toStorageError(error).fault;
    }
  }

  /** Opens a recording of this browser. */
  async function openRecording(id: string): Promise<void> {
    if (head.value?.id === id && shape.value) return;
    const mine = ++asked;
    const at = fresh();
    file.value = null;
    state.value = { at: 'reading', share: 0 };
    try {
      const read = await readRecording(id);
      if (mine !== asked) return;
      if (!read) {
        state.value = { at: 'failed', why: say.thisRecordingIsNotInThisBrowser };
        return;
      }
      head.value = read.head;
      lost.value = read.lost;
      await show(await at.ask((r) => r.take(read.log)), mine);
    } catch (error) {
      if (mine === asked) failed(error);
    }
  }

  async function show(own: LogShape, mine: number): Promise<void> {
    if (mine !== asked) return;
    shape.value = own;
    roles.value = guessedRoles(own.channels);
    range.value = [0, Math.max(own.lengthS, 0.1)];
    await look();
    await analyse();
  }

  async function look(): Promise<void> {
    const [from, to] = range.value;
    const next = await room?.ask((r) => r.view(from, to, Math.max(100, Math.round(width.value))));
    if (next && range.value[0] === from && range.value[1] === to) views.value = next;
  }

  /** Analyses anew: after a change of the channels' parts, or of the check. */
  async function analyse(): Promise<void> {
    const mine = asked;
    const at = room;
    if (!at || !shape.value) return;
    state.value = { at: 'analysing', share: 0 };
    try {
      const told = Comlink.proxy((share: number) => {
        if (mine === asked && state.value.at === 'analysing') state.value = { at: 'analysing', share };
      });
      const own = job();
      const result = await at.ask((r) => r.analyse(plainCopy(roles.value), own && plainCopy(own), told));
      if (mine !== asked || at !== room) return;
      analysis.value = result;
      state.value = { at: 'ready' };
    } catch (error) {
      if (mine === asked) failed(error);
    }
  }

  function setRole(channel: string, role: ChannelRole): void {
    roles.value = { ...roles.value, [channel]: role };
    void analyse();
  }

  /** Shows a range of time, within the log. */
  function showRange(fromS: number, toS: number): void {
    range.value = rangeWithin(shape.value?.lengthS ?? 1, fromS, toS);
    void look().catch(failed);
  }

  /** A second file laid over the log in hand. */
  async function beside(own: File, by: 'clock' | 'course'): Promise<string> {
    if (!room) return '';
    const mine = asked;
    const result = await room.ask<Beside>(async (r) => await r.beside(own, by));
    if (result?.ok) await show(result.shape, mine);
    return besideText(own.name, result);
  }

  /** Ends the work under way, in the middle. */
  function cancel(): void {
    asked++;
    room?.leave();
    room = null;
    [shape.value, head.value, state.value] = [null, null, { at: 'nothing' }];
  }

  watch(job, () => void analyse());
  onBeforeUnmount(() => {
    asked++;
    room?.leave();
  });
  return {
    state,
    head,
    shape,
    file,
    fileRead,
    roles,
    analysis,
    views,
    range,
    notKept,
    lost,
    width,
    busy: computed(() => state.value.at === 'reading' || state.value.at === 'analysing'),
    openFile,
    openRecording,
    setRole,
    showRange,
    beside,
    cancel,
    csv: (): Promise<string> => room?.ask((r) => r.csv()) ?? Promise.resolve(''),
    setWidth(px: number) {
      const before = width.value;
      width.value = px;
      if (Math.abs(before - px) > 40 && shape.value) void look().catch(failed);
    },
  };
}
