<script setup lang="ts">
import { machineCase } from '@mellow-probe/core/simulation/machine/machineCase';
import { parseReading } from '@mellow-probe/core/units/parseReading';
import { computed, ref } from 'vue';
import ActButton from '../../components/base/ActButton.vue';
import FoldOut from '../../components/base/FoldOut.vue';
import PickList from '../../components/base/PickList.vue';
import TextField from '../../components/base/TextField.vue';
import { useLive } from '../../stores/live.ts';

/** The made-up machine: its key, its plug, where the meter's leads stand. What is done here is not marked; the marks of a recording do it, too. */
const live = useLive();
const about = computed(() => machineCase(live.standIn!.case));
const key = ref<'off' | 'on' | 'running'>('on');
const leads = ref('signal');
const box = ref('1000');
const KEYS = [
  { value: 'off', label: 'Key off' },
  { value: 'on', label: 'Key on' },
  { value: 'running', label: 'Engine runs' },
] as const;
const LEADS = [
  { value: 'signal', label: 'signal pin to chassis' },
  { value: 'across', label: 'signal to return' },
  { value: 'return', label: 'return to chassis' },
  { value: 'sensor', label: 'on the sensor’s own pins' },
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
  <section class="machine sheet" aria-label="The made-up machine">
    <div class="head">
      <h2>{{ about.name }}</h2>
      <p class="soft">“{{ about.complaint }}”</p>
    </div>
    <div class="row" role="group" aria-label="Key">
      <ActButton
        v-for="k in KEYS"
        :key="k.value"
        :class="{ on: key === k.value }"
        :aria-pressed="key === k.value"
        @click="turn(k.value)"
        >{{ k.label }}</ActButton
      >
    </div>
    <PickList :model-value="leads" label="The meter’s leads" :options="LEADS" @update:model-value="lead" />
    <FoldOut title="Plug, decade box, heat">
      <div class="more">
        <div class="row" role="group" aria-label="In the plug">
          <ActButton @click="live.act('plug sensor')">Sensor in</ActButton>
          <ActButton @click="live.act('plug open')">Pull the plug</ActButton>
          <ActButton @click="live.act('plug bridge')">Bridge it</ActButton>
        </div>
        <div v-if="hasBox" class="box">
          <TextField v-model="box" label="Decade box, ohms" figure />
          <ActButton :disabled="boxOhm === null" @click="live.setBox(boxOhm)">Set</ActButton>
          <ActButton @click="live.setBox(null)">Open</ActButton>
        </div>
        <div class="row" role="group" aria-label="The sensor by itself">
          <ActButton @click="live.act('sensor-at 90')">Into hot water, 90 °C</ActButton>
          <ActButton @click="live.act('sensor-at 5')">Cold spray</ActButton>
          <ActButton @click="live.act('sensor-at place')">Back in its place</ActButton>
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
  font-size: 16px;
}
.head p {
  margin: 2px 0 0;
  font-size: 13.5px;
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
  font-size: 12.5px;
}
</style>
