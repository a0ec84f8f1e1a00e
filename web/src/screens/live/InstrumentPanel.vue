<script setup lang="ts">
import { instrumentPanelWords as say } from '@mellow-probe/core/wording/screens/live';
import { MACHINE_CASES } from '@mellow-probe/core/training/simulation/machine/machineCase';
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
import { useLive } from '../../data/stores/live/live.ts';

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
  { value: 1, label: say.asLife },
  { value: 10, label: say.tenTimes },
  { value: 60, label: say.sixtyTimes },
];
const RATES = [
  { value: 5, label: say.every5S },
  { value: 1, label: say.onceASecond },
  { value: 0.25, label: say.fourASecond },
  { value: 0.1, label: say.tenASecond },
  { value: 0.05, label: say.twentyASecond },
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
  <section class="panel sheet" :aria-label="say.instruments">
    <h2>{{ say.instruments }}</h2>
    <ul v-if="live.lines.length > 0" class="lines">
      <li v-for="l in live.lines" :key="l.id" :data-line="l.id">
        <div class="top">
          <b>{{ l.name }}</b>
          <span class="state" :class="l.state">{{
            l.state === 'open' ? say.connected : l.state === 'opening' ? say.opening : say.notConnected(l.why)
          }}</span>
          <ActButton kind="quiet" :aria-label="say.closeLine(l.name)" @click="live.disconnect(l.id)">{{
            say.close
          }}</ActButton>
        </div>
        <p v-if="l.lastFault" class="odd" data-test="line-fault">
          {{ lineFaultsText(l.faults, lineFaultText(l.lastFault.fault, l.lastFault.text)) }}
        </p>
      </li>
    </ul>
    <p v-if="live.standIn" class="made-up" data-test="stand-in">
      {{
        say.madeUpMachine(
          MACHINE_CASES.find((c) => c.id === live.standIn!.case)!.name,
          live.standIn.where === 'server' ? say.onTheServer : say.inPage,
          live.standIn.speed > 1 ? say.speedNote(live.standIn.speed) : '',
        )
      }}
      <ActButton kind="quiet" @click="live.leaveStandIn()">{{ say.putItAway }}</ActButton>
    </p>
    <PickList v-model="live.everyS" :label="say.readingRate" :options="RATES" />
    <ChoiceRow
      v-if="live.lines.some((l) => l.id === 'meter')"
      :model-value="live.measures"
      :label="say.theMeterMeasures"
      :options="[
        { value: 'volts', label: say.volts },
        { value: 'ohms', label: say.ohms },
      ]"
      @update:model-value="$event && live.measure($event)"
    />
    <FoldOut v-if="!live.standIn" :title="say.simulatedTitle">
      <div class="fold">
        <PickList v-model="chosenCase" :label="say.machine" :options="cases" />
        <div class="pair">
          <TextField v-model="seed" :label="say.seedLabel" figure />
          <PickList v-model="speed" :label="say.itsTimeRuns" :options="SPEEDS" />
        </div>
        <div class="wants" role="group" :aria-label="say.instrumentsAroundIt">
          <CheckBox
            v-for="i in INSTRUMENTS"
            :key="i.id"
            :model-value="wanted.includes(i.id)"
            @update:model-value="want(i.id, $event)"
            >{{ i.name }}</CheckBox
          >
        </div>
        <p v-if="seedNumber === null" class="odd" role="alert">{{ say.seedFault }}</p>
        <ActButton kind="main" :disabled="busy || seedNumber === null" @click="standIns">{{
          say.startTheMachine
        }}</ActButton>
      </div>
    </FoldOut>
    <FoldOut :title="say.serialTitle">
      <div v-if="serial" class="fold">
        <ActButton v-for="i in INSTRUMENTS" :key="i.id" @click="connect(i.id)">{{ i.name }} · {{ i.about }}</ActButton>
        <p v-if="fault" class="odd" role="alert">{{ fault }}</p>
      </div>
      <p v-else class="soft">
        {{ say.noSerialPorts }}
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
  font-size: 1rem;
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
  font-size: 0.8125rem;
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
  font-size: 0.8125rem;
  color: var(--amber-ink);
  overflow-wrap: anywhere;
}
.made-up {
  margin: 0;
  padding: 6px 10px;
  border: 1px dashed var(--amber);
  border-radius: 8px;
  font-size: 0.8438rem;
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
