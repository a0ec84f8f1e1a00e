<script setup lang="ts">
import { MACHINE_CASES } from '@mellow-probe/core/simulation/machine/machineCase';
import { lineFaultText } from '@mellow-probe/core/wording/liveText';
import { lineFaultsText } from '@mellow-probe/core/wording/noticeText';
import { computed, ref } from 'vue';
import ActButton from '../../components/base/ActButton.vue';
import CheckBox from '../../components/base/CheckBox.vue';
import ChoiceRow from '../../components/base/ChoiceRow.vue';
import FoldOut from '../../components/base/FoldOut.vue';
import PickList from '../../components/base/PickList.vue';
import TextField from '../../components/base/TextField.vue';
import { INSTRUMENTS, type InstrumentId } from '../../instruments/list.ts';
import { askPort, hasSerial } from '../../instruments/serialTransport.ts';
import { useLive } from '../../stores/live.ts';

/** Which instruments are read, over which line, and what their lines say. */
const live = useLive();
const serial = hasSerial();
const chosenCase = ref(MACHINE_CASES[0].id);
const seed = ref('1');
const speed = ref(1);
const wanted = ref<InstrumentId[]>(['meter', 'adapter', 'thermometer']);
const fault = ref('');
const busy = ref(false);
const cases = MACHINE_CASES.map((c) => ({ value: c.id, label: c.name, about: c.complaint }));
const SPEEDS = [
  { value: 1, label: 'as life' },
  { value: 10, label: '10 times' },
  { value: 60, label: '60 times' },
];
const RATES = [
  { value: 5, label: 'every 5 s' },
  { value: 1, label: 'once a second' },
  { value: 0.25, label: '4 a second' },
  { value: 0.1, label: '10 a second' },
  { value: 0.05, label: '20 a second' },
];
const seedNumber = computed(() => (/^\d{1,9}$/.test(seed.value.trim()) ? Number(seed.value) : null));

async function standIns(): Promise<void> {
  if (seedNumber.value === null) return;
  busy.value = true;
  const order = INSTRUMENTS.map((i) => i.id).filter((id) => wanted.value.includes(id));
  await live.useStandIn({ case: chosenCase.value, seed: seedNumber.value, speed: speed.value }, order);
  busy.value = false;
}
async function connect(id: InstrumentId): Promise<void> {
  fault.value = '';
  try {
    await live.connectSerial(id, await askPort());
  } catch (error) {
    fault.value = error instanceof Error ? error.message : String(error);
  }
}
function want(id: InstrumentId, on: boolean): void {
  wanted.value = on ? [...wanted.value, id] : wanted.value.filter((w) => w !== id);
}
</script>

<template>
  <section class="panel sheet" aria-label="Instruments">
    <h2>Instruments</h2>
    <ul v-if="live.lines.length > 0" class="lines">
      <li v-for="l in live.lines" :key="l.id" :data-line="l.id">
        <div class="top">
          <b>{{ l.name }}</b>
          <span class="state" :class="l.state">{{
            l.state === 'open' ? 'connected' : l.state === 'opening' ? 'opening…' : `not connected: ${l.why}`
          }}</span>
          <ActButton kind="quiet" :aria-label="`Close ${l.name}`" @click="live.disconnect(l.id)">Close</ActButton>
        </div>
        <p v-if="l.lastFault" class="odd" data-test="line-fault">
          {{ lineFaultsText(l.faults, lineFaultText(l.lastFault.fault, l.lastFault.text)) }}
        </p>
      </li>
    </ul>
    <p v-if="live.standIn" class="made-up" data-test="stand-in">
      Made-up machine “{{ MACHINE_CASES.find((c) => c.id === live.standIn!.case)!.name }}”,
      {{ live.standIn.where === 'server' ? 'on the server' : 'in this page, without the server'
      }}{{ live.standIn.speed > 1 ? `, ${live.standIn.speed} times as fast as life` : '' }}.
      <ActButton kind="quiet" @click="live.leaveStandIn()">Put it away</ActButton>
    </p>
    <PickList v-model="live.everyS" label="How often they are asked" :options="RATES" />
    <ChoiceRow
      v-if="live.lines.some((l) => l.id === 'meter')"
      :model-value="live.measures"
      label="The meter measures"
      :options="[
        { value: 'volts', label: 'volts' },
        { value: 'ohms', label: 'ohms' },
      ]"
      @update:model-value="$event && live.measure($event)"
    />
    <FoldOut v-if="!live.standIn" title="A made-up machine, to try and to learn">
      <div class="fold">
        <PickList v-model="chosenCase" label="Machine" :options="cases" />
        <div class="pair">
          <TextField v-model="seed" label="Number (same number, same machine)" figure />
          <PickList v-model="speed" label="Its time runs" :options="SPEEDS" />
        </div>
        <div class="wants" role="group" aria-label="Instruments around it">
          <CheckBox
            v-for="i in INSTRUMENTS"
            :key="i.id"
            :model-value="wanted.includes(i.id)"
            @update:model-value="want(i.id, $event)"
            >{{ i.name }}</CheckBox
          >
        </div>
        <p v-if="seedNumber === null" class="odd" role="alert">The number is a whole one, up to nine digits.</p>
        <ActButton kind="main" :disabled="busy || seedNumber === null" @click="standIns">Start the machine</ActButton>
      </div>
    </FoldOut>
    <FoldOut title="Instruments on a serial port">
      <div v-if="serial" class="fold">
        <ActButton v-for="i in INSTRUMENTS" :key="i.id" @click="connect(i.id)">{{ i.name }} · {{ i.about }}</ActButton>
        <p v-if="fault" class="odd" role="alert">{{ fault }}</p>
      </div>
      <p v-else class="soft">
        This browser opens no serial ports here. A browser that does needs this device itself or HTTPS.
      </p>
    </FoldOut>
  </section>
</template>

<style scoped>
.panel {
  display: flex;
  flex-direction: column;
  gap: 8px;
  padding: 12px 14px;
}
h2 {
  font-size: 16px;
}
.lines {
  list-style: none;
  margin: 0;
  padding: 0;
}
.lines li {
  border-bottom: 1px solid var(--line);
  padding: 2px 0;
}
.top {
  display: flex;
  align-items: center;
  flex-wrap: wrap;
  gap: 4px 10px;
}
.top .quiet {
  margin-left: auto;
}
.state {
  font-size: 13px;
  color: var(--soft);
}
.open {
  color: var(--moss);
}
.gone {
  color: var(--clay);
}
.odd {
  margin: 0 0 4px;
  font-size: 13px;
  color: var(--amber-ink);
  overflow-wrap: anywhere;
}
.made-up {
  margin: 0;
  padding: 6px 10px;
  border: 1px dashed var(--amber);
  border-radius: 8px;
  font-size: 13.5px;
  color: var(--amber-ink);
}
.fold {
  display: flex;
  flex-direction: column;
  gap: 8px;
  align-items: stretch;
}
.pair {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 8px;
  align-items: end;
}
.wants {
  display: flex;
  flex-wrap: wrap;
  gap: 0 12px;
}
</style>
