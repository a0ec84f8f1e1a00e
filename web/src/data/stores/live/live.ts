import type { MeterFunction } from '@mellow-probe/core/intake/instruments/benchMeter';
import { machineCase } from '@mellow-probe/core/training/simulation/machine/machineCase';
import { defineStore } from 'pinia';
import { computed, ref, triggerRef } from 'vue';
import { instrument, type InstrumentId } from '../../../instruments/list.ts';
import { type Port, serialTransport } from '../../../instruments/serialTransport.ts';
import { instrumentLines } from './instrumentLines.ts';
import { liveChannels } from './liveChannels.ts';
import { liveClock } from './liveClock.ts';
import { liveRecording } from './liveRecording.ts';
import { simulatedMachine } from './simulatedMachine.ts';

/** Instruments that are being read, what they show now, and the recording under way. It outlives the screens. */
export const useLive = defineStore('live', () => {
  const everyS = ref(0.25);
  const measures = ref<MeterFunction>('volts');
  /** Counts on while anything is read: what is shown follows it, not each sample. */
  const beat = ref(0);
  const clock = liveClock();
  const { nowS, freshS } = clock;
  const { channels, add, take, look, forget } = liveChannels(clock);

  const { lines, connect, disconnect, driver } = instrumentLines({
    nowS,
    everyS,
    measures,
    heard(id, h) {
      if (h.kind === 'channel') return add(id, h.channel);
      const channel = take(h.channel, { timeS: h.timeS, value: h.value });
      if (channel) recording.value?.sample(channel, h.timeS, h.value);
    },
    left: forget,
    show() {
      look();
      if (recording.value) triggerRef(recording);
      beat.value++;
    },
  });
  const machine = simulatedMachine({ clock, lines, connect, disconnect });
  const recordingParts = liveRecording(nowS, () => (machine.standIn.value ? 'stand-ins' : 'recorded'));
  const { recording } = recordingParts;

  return {
    lines,
    channels,
    beat,
    everyS,
    measures,
    ...machine,
    ...recordingParts,
    places: computed(() => (machine.standIn.value ? machineCase(machine.standIn.value.case).places : [])),
    reading: computed(() => lines.value.some((l) => l.state === 'open')),
    clockS: nowS,
    freshS,
    connect,
    connectSerial: (id: InstrumentId, port: Port) => connect(id, serialTransport(port, instrument(id).baudRate)),
    disconnect,
    measure(wanted: MeterFunction) {
      measures.value = wanted;
      driver('meter')?.use?.(wanted);
    },
    /** Sets the decade box; null opens it. */
    setBox: (ohm: number | null) => driver('box')?.put?.(ohm),
  };
});
