<script setup lang="ts">
import { machinePanelWords as say } from '@mellow-probe/core/wording/screens/live';
import { machineCase } from '@mellow-probe/core/training/simulation/machine/machineCase';
import { parseReading } from '@mellow-probe/core/base/units/parseReading';
import { computed, ref } from 'vue';
import ActButton from '../../components/base/ActButton.vue';
import FoldOut from '../../components/base/FoldOut.vue';
import PickList from '../../components/base/PickList.vue';
import TextField from '../../components/base/TextField.vue';
import { useLive } from '../../data/stores/live/live.ts';

/** The made-up machine: its key, its plug, where the meter's leads stand. What is done here is not marked; the marks of a recording do it, too. */
const live = useLive();
const about = computed(() => machineCase(live.standIn!.case));
const key = ref<'off' | 'on' | 'running'>('on');
const leads = ref('signal');
const box = ref('1000');
const KEYS = [
  { value: 'off', label: say.keyOff },
  { value: 'on', label: say.keyOn },
  { value: 'running', label: say.engineRuns },
] as const;
const LEADS = [
  { value: 'signal', label: say.leadsSignal },
  { value: 'across', label: say.signalToReturn },
  { value: 'return', label: say.returnToChassis },
  { value: 'sensor', label: say.leadsSensor },
];
function turn(to: 'off' | 'on' | 'running'): void {
  key.value = to;
  live.act(`key ${to}`);
}
function lead(to: string): void {
  leads.value = to;
  live.act(`leads ${to}`);
}
const boxOhm = computed(() => {
  const read = parseReading(box.value, 'ohms');
  return read.ok && Number.isFinite(read.value) && read.value >= 1 && read.value <= 9_999_999
    ? Math.round(read.value)
    : null;
});
const hasBox = computed(() => live.lines.some((l) => l.id === 'box'));
</script>

<template>
  <section class="machine sheet" :aria-label="say.title">
    <div class="head">
      <h2>{{ about.name }}</h2>
      <p class="soft">“{{ about.complaint }}”</p>
    </div>
    <div class="row" role="group" :aria-label="say.key">
      <ActButton
        v-for="k in KEYS"
        :key="k.value"
        :class="{ on: key === k.value }"
        :aria-pressed="key === k.value"
        @click="turn(k.value)"
        >{{ k.label }}</ActButton
      >
    </div>
    <PickList :model-value="leads" :label="say.theMetersLeads" :options="LEADS" @update:model-value="lead" />
    <FoldOut :title="say.actsTitle">
      <div class="more">
        <div class="row" role="group" :aria-label="say.inThePlug">
          <ActButton @click="live.act('plug sensor')">{{ say.sensorIn }}</ActButton>
          <ActButton @click="live.act('plug open')">{{ say.pullThePlug }}</ActButton>
          <ActButton @click="live.act('plug bridge')">{{ say.bridgeIt }}</ActButton>
        </div>
        <div v-if="hasBox" class="box">
          <TextField v-model="box" :label="say.decadeBoxOhms" figure />
          <ActButton :disabled="boxOhm === null" @click="live.setBox(boxOhm)">{{ say.set }}</ActButton>
          <ActButton @click="live.setBox(null)">{{ say.open }}</ActButton>
        </div>
        <div class="row" role="group" :aria-label="say.sensorAlone">
          <ActButton @click="live.act('sensor-at 90')">{{ say.hotWater }}</ActButton>
          <ActButton @click="live.act('sensor-at 5')">{{ say.coldSpray }}</ActButton>
          <ActButton @click="live.act('sensor-at place')">{{ say.putBack }}</ActButton>
        </div>
      </div>
    </FoldOut>
    <p class="says mono soft" role="status" data-test="machine-says">{{ live.machineSays }}</p>
  </section>
</template>

<style scoped>
.machine {
  display: flex;
  flex-direction: column;
  gap: 8px;
  padding: 12px 14px;
}
h2 {
  font-size: 1rem;
}
.head p {
  margin: 2px 0 0;
  font-size: 0.8438rem;
}
.row,
.box {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  align-items: end;
}
.row .on.act {
  background: var(--spruce-soft);
  border-color: var(--spruce);
}
.box > :first-child {
  flex: 1 1 120px;
}
.more {
  display: flex;
  flex-direction: column;
  gap: 10px;
}
.says {
  margin: 0;
  min-height: 1.3em;
  font-size: 0.7812rem;
}
</style>
