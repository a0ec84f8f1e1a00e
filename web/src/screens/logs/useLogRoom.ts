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
  const desk = emptyDesk();
  const { state, shape, roles, range, width } = desk;

  watch(job, () => void analyse(desk, job));
  onBeforeUnmount(() => {
    desk.asked++;
    desk.room?.leave();
  });
  const { room: _room, asked: _asked, ...refs } = desk;
  return {
    ...refs,
    /** Of the recording, or of the file that is not stored; empty where there is neither. */
    title: computed(() => desk.head.value?.title ?? desk.file.value?.name ?? ''),
    busy: computed(() => state.value.at === 'reading' || state.value.at === 'analysing'),
    openFile: (file: File, choices: LogChoices = {}, everyS: number | null = null) =>
      openFile(desk, job, file, choices, everyS),
    openRecording: (id: string) => openRecording(desk, job, id),
    setRole(channel: string, role: ChannelRole) {
      roles.value = { ...roles.value, [channel]: role };
      void analyse(desk, job);
    },
    /** Shows a range of time, within the log. */
    showRange(fromS: number, toS: number) {
      range.value = rangeWithin(shape.value?.lengthS ?? 1, fromS, toS);
      void look(desk).catch((error: unknown) => failed(desk, error));
    },
    /** Lays a second file over the log in hand. */
    async beside(own: File, by: 'clock' | 'course'): Promise<string> {
      if (!desk.room) return '';
      const mine = desk.asked;
      const result = await desk.room.ask<Beside>(async (r) => await r.beside(own, by));
      if (result?.ok) await show(desk, job, result.shape, mine);
      return besideText(own.name, result);
    },
    /** Ends the work under way, in the middle. */
    cancel() {
      desk.asked++;
      desk.room?.leave();
      desk.room = null;
      [desk.shape.value, desk.head.value, desk.state.value] = [null, null, { at: 'nothing' }];
    },
    csv: (): Promise<string> => desk.room?.ask((r) => r.csv()) ?? Promise.resolve(''),
    setWidth(px: number) {
      const before = width.value;
      width.value = px;
      if (Math.abs(before - px) > 40 && shape.value) void look(desk).catch((error: unknown) => failed(desk, error));
    },
  };
}

/** What the laboratory has before it; `asked` counts the openings, so that an answer to an earlier one is dropped. */
const emptyDesk = () => ({
  room: null as LogRoom | null,
  asked: 0,
  state: ref<LabState>({ at: 'nothing' }),
  head: shallowRef<RecordingHead | null>(null),
  shape: shallowRef<LogShape | null>(null),
  fileRead: shallowRef<Extract<FileRead, { ok: true }>['read'] | null>(null),
  file: shallowRef<File | null>(null),
  roles: ref<Record<string, ChannelRole>>({}),
  analysis: shallowRef<Analysed | null>(null),
  views: shallowRef<ChannelView[]>([]),
  range: ref<[number, number]>([0, 1]),
  notKept: ref<StorageFault | 'too-large' | null>(null),
  lost: ref(0),
  width: ref(800),
});
type Desk = ReturnType<typeof emptyDesk>;

/** A new worker on an empty desk. */
function freshRoom(desk: Desk): LogRoom {
  desk.room?.leave();
  desk.room = logRoom();
  const { shape, analysis, views, fileRead, notKept, lost } = desk;
  [shape.value, analysis.value, fileRead.value, notKept.value] = [null, null, null, null];
  [views.value, lost.value] = [[], 0];
  return desk.room;
}

function failed({ state }: Desk, error: unknown): void {
  if (error instanceof LogStopped) return;
  state.value = { at: 'failed', why: error instanceof Error ? error.message : String(error) };
}

/** Opens a file; what a person says of its columns stands. The log is stored in the browser, so that it is here the next time. */
async function openFile(
  desk: Desk,
  job: () => Job | null,
  own: File,
  choices: LogChoices,
  everyS: number | null,
): Promise<void> {
  const mine = ++desk.asked;
  const { state, file, head, fileRead } = desk;
  const at = freshRoom(desk);
  [file.value, head.value] = [own, null];
  state.value = { at: 'reading', share: 0 };
  try {
    const told = Comlink.proxy((share: number) => {
      if (mine === desk.asked && state.value.at === 'reading') state.value = { at: 'reading', share };
    });
    const result = await at.ask<FileRead>(async (r) => await r.open(own, plainCopy(choices), everyS, told));
    if (mine !== desk.asked) return;
    if (!result.ok) {
      state.value = { at: 'asked', file: own, result };
      return;
    }
    fileRead.value = result.read;
    // Stored first: the findings of a long log take their time, and the page may be left meanwhile.
    const stored = store(desk, own, result.shape);
    await show(desk, job, result.shape, mine);
    await stored;
  } catch (error) {
    if (mine === desk.asked) failed(desk, error);
  }
}

async function store({ room, head, notKept }: Desk, own: File, of: LogShape): Promise<void> {
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
async function openRecording(desk: Desk, job: () => Job | null, id: string): Promise<void> {
  const { state, head, shape, file, lost } = desk;
  if (head.value?.id === id && shape.value) return;
  const mine = ++desk.asked;
  const at = freshRoom(desk);
  file.value = null;
  state.value = { at: 'reading', share: 0 };
  try {
    const read = await readRecording(id);
    if (mine !== desk.asked) return;
    if (!read) {
      state.value = { at: 'failed', why: say.recordingMissing };
      return;
    }
    head.value = read.head;
    lost.value = read.lost;
    await show(desk, job, await at.ask((r) => r.take(read.log)), mine);
  } catch (error) {
    if (mine === desk.asked) failed(desk, error);
  }
}

async function show(desk: Desk, job: () => Job | null, own: LogShape, mine: number): Promise<void> {
  if (mine !== desk.asked) return;
  desk.shape.value = own;
  desk.roles.value = guessedRoles(own.channels);
  desk.range.value = [0, Math.max(own.lengthS, 0.1)];
  await look(desk);
  await analyse(desk, job);
}

/** Fetches what the chart shows of the range. */
async function look({ room, range, width, views }: Desk): Promise<void> {
  const [from, to] = range.value;
  const next = await room?.ask((r) => r.view(from, to, Math.max(100, Math.round(width.value))));
  if (next && range.value[0] === from && range.value[1] === to) views.value = next;
}

/** Analyses anew: after a change of the channels' parts, or of the check. */
async function analyse(desk: Desk, job: () => Job | null): Promise<void> {
  const { asked: mine, room: at, state, roles } = desk;
  if (!at || !desk.shape.value) return;
  state.value = { at: 'analysing', share: 0 };
  try {
    const told = Comlink.proxy((share: number) => {
      if (mine === desk.asked && state.value.at === 'analysing') state.value = { at: 'analysing', share };
    });
    const own = job();
    const result = await at.ask((r) => r.analyse(plainCopy(roles.value), own && plainCopy(own), told));
    if (mine !== desk.asked || at !== desk.room) return;
    desk.analysis.value = result;
    state.value = { at: 'ready' };
  } catch (error) {
    if (mine === desk.asked) failed(desk, error);
  }
}
