import type { Channel, Heard } from '@mellow-probe/core/intake/instruments/heard';
import type { MeterFunction } from '@mellow-probe/core/intake/instruments/benchMeter';
import { type Sample, standStill, type StandStill } from '@mellow-probe/core/intake/instruments/standStill';
import type { Mark, MarkKind } from '@mellow-probe/core/intake/logs/log';
import { machineCase } from '@mellow-probe/core/training/simulation/machine/machineCase';
import { standInAddress, type StandInChoice } from '@mellow-probe/core/training/simulation/standIns/standInAddress';
import { defineStore } from 'pinia';
import { computed, ref, shallowReactive, shallowRef, triggerRef } from 'vue';
import { newId, nowIso } from '../../browser/newId.ts';
import { type InstrumentLine, instrumentLine } from '../../instruments/line.ts';
import { instrument, type InstrumentId, type Running } from '../../instruments/list.ts';
import { pageStandIns } from '../../instruments/pageStandIns.ts';
import { type Port, serialTransport } from '../../instruments/serialTransport.ts';
import { socketTransport } from '../../instruments/socketTransport.ts';
import type { Transport } from '../../instruments/transport.ts';
import { foldRecording, putChunk, putHead } from '../storage/recordingStorage.ts';
import { type StorageFault, toStorageError } from '../storage/storageError.ts';
import { type Recorder, recorder } from './recorder.ts';

/** So much of each channel is kept for its strip, s of the clock. */
const STRIP_S = 60;
/** A value that is older than this is none any more: s of the instruments' clock, and s of ours, whichever is longer. */
const FRESH = { ownS: 6, realS: 1.5 } as const;
/** The screens look at the channels so often, ms. */
const SHOW_MS = 200;

/** One line as the screens see it. */
export interface LineState {
  id: InstrumentId;
  name: string;
  state: 'opening' | 'open' | 'gone';
  /** What it calls itself. */
  named: string;
  faults: number;
  lastFault: Extract<Heard, { kind: 'fault' }> | null;
  why: string;
}

/** One channel as the screens see it. */
export interface LiveChannel {
  channel: Channel;
  instrument: InstrumentId;
  recent: Sample[];
  still: StandStill;
}

interface Open {
  line: InstrumentLine;
  driver: Running;
}

/** Instruments that are being read, what they show now, and the recording under way. It outlives the screens. */
export const useLive = defineStore('live', () => {
  const lines = ref<LineState[]>([]);
  const open = new Map<InstrumentId, Open>();
  const channels = shallowReactive(new Map<string, LiveChannel>());
  /** Counts on while anything is read: what is shown follows it, not each sample. */
  const beat = ref(0);
  const standIn = ref<(StandInChoice & { where: 'server' | 'page' }) | null>(null);
  const everyS = ref(0.25);
  const measures = ref<MeterFunction>('volts');
  const recording = shallowRef<Recorder | null>(null);
  const recordFault = ref<StorageFault | null>(null);
  const machineSays = ref('');
  let machine: Transport | null = null;
  let page: ReturnType<typeof pageStandIns> | null = null;
  let timer: ReturnType<typeof setInterval> | null = null;
  let [baseS, baseMs, speed] = [0, performance.now(), 1];

  /** The clock of all samples, s: of the machine, where it is simulated. It never runs back. */
  const clockS = (): number => baseS + ((performance.now() - baseMs) / 1000) * speed;
  const freshS = (): number => Math.max(FRESH.ownS, FRESH.realS * speed);
  function setSpeed(next: number): void {
    [baseS, baseMs, speed] = [clockS(), performance.now(), next];
  }

  function heardFrom(id: InstrumentId, heard: readonly Heard[]): void {
    const state = lines.value.find((l) => l.id === id);
    for (const h of heard) {
      if (h.kind === 'channel') {
        if (!channels.has(h.channel.id))
          channels.set(h.channel.id, {
            channel: h.channel,
            instrument: id,
            recent: [],
            still: { still: false, why: 'few', amount: 0 },
          });
      } else if (h.kind === 'sample') {
        const own = channels.get(h.channel);
        if (!own) continue;
        own.recent.push({ timeS: h.timeS, value: h.value });
        recording.value?.sample(own.channel, h.timeS, h.value);
      } else if (h.kind === 'named' && state) state.named = h.name;
      else if (h.kind === 'fault' && state) {
        state.faults++;
        state.lastFault = h;
        if (h.fault === 'gone') {
          [state.state, state.why] = ['gone', h.text];
          open.delete(id);
          forget(id);
        }
      }
    }
  }

  function show(): void {
    const now = clockS();
    for (const own of channels.values()) {
      const first = own.recent.findIndex((s) => s.timeS > now - STRIP_S);
      if (first > 0) own.recent.splice(0, first);
      // A value that is old is none: what stands is only what still comes.
      const fresh = own.recent.filter((s) => s.timeS > now - 2 * freshS());
      own.still = standStill(fresh, own.channel.quantity);
    }
    if (recording.value) triggerRef(recording);
    beat.value++;
  }

  /** Opens an instrument on a line. A second one of the same kind takes the place of the first. */
  async function connect(id: InstrumentId, transport: Transport): Promise<void> {
    disconnect(id);
    const driver = instrument(id).make(everyS.value);
    driver.use?.(measures.value);
    const state: LineState = {
      id,
      name: instrument(id).name,
      state: 'opening',
      named: '',
      faults: 0,
      lastFault: null,
      why: '',
    };
    lines.value.push(state);
    const own = lines.value[lines.value.length - 1];
    const line = instrumentLine(driver, transport, clockS, (heard) => heardFrom(id, heard));
    open.set(id, { line, driver });
    timer ??= setInterval(show, SHOW_MS);
    try {
      await line.open();
      own.state = 'open';
    } catch (error) {
      [own.state, own.why] = ['gone', error instanceof Error ? error.message : String(error)];
      open.delete(id);
      throw error;
    }
  }

  function forget(id: InstrumentId): void {
    for (const [key, own] of channels) if (own.instrument === id) channels.delete(key);
  }

  function disconnect(id: InstrumentId): void {
    open.get(id)?.line.close();
    open.delete(id);
    lines.value = lines.value.filter((l) => l.id !== id);
    forget(id);
    if (open.size === 0 && timer) {
      clearInterval(timer);
      timer = null;
    }
  }

  /** Puts a simulated machine behind these instruments: on the server, or in the page where the server does not answer. */
  async function useStandIn(choice: Omit<StandInChoice, 'bench'>, ids: readonly InstrumentId[]): Promise<void> {
    leaveStandIn();
    const own = { ...choice, bench: newId() };
    setSpeed(choice.speed);
    try {
      await startMachine(own, 'server', socketTransport(standInAddress('machine', own)), ids);
    } catch {
      await startInPage(own, ids);
    }
  }

  async function startInPage(choice: StandInChoice, ids: readonly InstrumentId[]): Promise<void> {
    page = pageStandIns(choice);
    await startMachine(choice, 'page', page.line('machine'), ids);
  }

  /** Rejects where the machine's own line cannot be opened; an instrument that cannot is told with its line. */
  async function startMachine(
    choice: StandInChoice,
    where: 'server' | 'page',
    line: Transport,
    ids: readonly InstrumentId[],
  ): Promise<void> {
    await line.open({ text: (text) => void (machineSays.value = text.trim()), gone: () => void toPage() });
    machine = line;
    standIn.value = { ...choice, where };
    act('key on');
    for (const id of ids)
      await connect(id, page?.line(id) ?? socketTransport(standInAddress(id, choice))).catch(() => undefined);
  }

  /** The server went away: the same machine goes on in the page, from its start. */
  async function toPage(): Promise<void> {
    const now = standIn.value;
    if (!now || now.where === 'page') return;
    const { where: _, ...choice } = now;
    await startInPage(
      choice,
      lines.value.map((l) => l.id),
    );
  }

  function leaveStandIn(): void {
    if (!standIn.value) return;
    for (const l of [...lines.value]) disconnect(l.id);
    machine?.close();
    [machine, page, standIn.value] = [null, null, null];
    setSpeed(1);
  }

  /** Does something to the simulated machine. */
  function act(line: string): void {
    machine?.send(`${line}\n`);
  }

  function measure(wanted: MeterFunction): void {
    measures.value = wanted;
    open.get('meter')?.driver.use?.(wanted);
  }

  /** Sets the decade box; null opens it. */
  function setBox(ohm: number | null): void {
    open.get('box')?.driver.put?.(ohm);
  }

  function startRecording(title: string, job: { id: string; title: string } | null): void {
    if (recording.value) return;
    recordFault.value = null;
    recording.value = recorder(
      {
        id: newId(),
        title,
        job,
        startedAt: nowIso(),
        endedAt: null,
        from: standIn.value ? 'stand-ins' : 'recorded',
        channels: [],
        marks: [],
        samples: 0,
        lengthS: 0,
      },
      clockS(),
      { putHead, putChunk },
      (error) => (recordFault.value = toStorageError(error).fault),
    );
  }

  /** Ends the recording and returns its id, or null where none ran. */
  async function stopRecording(): Promise<string | null> {
    const own = recording.value;
    if (!own) return null;
    recording.value = null;
    await own.stop(nowIso(), clockS());
    await foldRecording(own.head.id).catch(() => undefined);
    return own.head.id;
  }

  /** Begins or ends a mark in the recording. */
  function mark(kind: MarkKind, place = '', text = ''): Mark | null {
    const made = recording.value?.mark(kind, clockS(), place, text) ?? null;
    triggerRef(recording);
    return made;
  }

  return {
    lines,
    channels,
    beat,
    standIn,
    everyS,
    measures,
    machineSays,
    recording,
    recordFault,
    places: computed(() => (standIn.value ? machineCase(standIn.value.case).places : [])),
    reading: computed(() => lines.value.some((l) => l.state === 'open')),
    clockS,
    freshS,
    connect,
    connectSerial: (id: InstrumentId, port: Port) => connect(id, serialTransport(port, instrument(id).baudRate)),
    disconnect,
    useStandIn,
    leaveStandIn,
    act,
    measure,
    setBox,
    startRecording,
    stopRecording,
    mark,
  };
});
