<script setup lang="ts">
import SideSheet from '../../components/base/SideSheet.vue';
import PickList from '../../components/base/PickList.vue';
import ActButton from '../../components/base/ActButton.vue';
import { MOST } from '@mellow-probe/core/job/most';
import type { Entry } from '@mellow-probe/core/units/entry';
import { blank } from '@mellow-probe/core/units/entry';
import type { FieldQuantity } from '@mellow-probe/core/units/quantity';

import { computed } from 'vue';
import EntryField from '../../components/EntryField.vue';
import KitForm from '../../components/KitForm.vue';
import { useSession } from '../../session/jobSession.ts';

/** What is rarely changed of a circuit: layout, supply, display scale, table points. */
const open = defineModel<boolean>('open', { required: true });
const { job, verdict } = useSession();
const circuit = computed(() => job.circuit);
const bands = computed(() => (circuit.value.curve.source === 'band' ? circuit.value.curve.bands : null));
const SOURCES = [
  { value: 'usual', label: 'what is usual for such a circuit' },
  { value: 'typed', label: 'the maker’s data' },
  { value: 'board', label: 'read off the board' },
] as const;
const LAYOUTS = [
  { value: 'pull-up', label: 'Sensor to ground, pull-up in the module' },
  { value: 'pull-down', label: 'Sensor to the reference, pull-down in the module' },
  { value: 'one-wire', label: 'One wire, return through the body' },
] as const;
const COMPARED = [
  { value: 'null', label: 'not known' },
  { value: 'true', label: 'the reference that feeds the sensor' },
  { value: 'false', label: 'a reference of its own' },
];
const SHARED = [
  { value: 'unknown', label: 'not known' },
  { value: 'nothing', label: 'nothing' },
  { value: 'reference', label: 'the reference' },
  { value: 'return', label: 'the return' },
  { value: 'both', label: 'reference and return' },
] as const;
const points = computed(() => (circuit.value.curve.source === 'points' ? circuit.value.curve.points : null));

interface Line {
  label: string;
  path: string;
  quantity: FieldQuantity;
  get: () => Entry;
  set: (entry: Entry) => void;
  placeholder?: string;
}
const lines = computed<Line[]>(() => {
  const c = circuit.value;
  return [
    {
      label: 'Supply (battery)',
      path: 'circuit.supplyV',
      quantity: 'volts',
      get: () => c.supplyV,
      set: (e) => (c.supplyV = e),
    },
    {
      label: 'Second pull-up, when hot',
      path: 'circuit.hotPullUpOhm',
      quantity: 'ohms',
      get: () => c.hotPullUpOhm,
      set: (e) => (c.hotPullUpOhm = e),
      placeholder: 'none',
    },
    {
      label: 'Long cable, one way (m)',
      path: 'circuit.cableM',
      quantity: 'number',
      get: () => c.cableM,
      set: (e) => (c.cableM = e),
      placeholder: 'no',
    },
    {
      label: 'Its copper (mm²)',
      path: 'circuit.cableMm2',
      quantity: 'number',
      get: () => c.cableMm2,
      set: (e) => (c.cableMm2 = e),
      placeholder: '0.75',
    },
    {
      label: 'Display: coldest',
      path: 'circuit.display.minC',
      quantity: 'celsius',
      get: () => c.display.minC,
      set: (e) => (c.display.minC = e),
    },
    {
      label: 'Display: hottest',
      path: 'circuit.display.maxC',
      quantity: 'celsius',
      get: () => c.display.maxC,
      set: (e) => (c.display.maxC = e),
    },
    {
      label: 'Default shown at a fault',
      path: 'circuit.display.substituteC',
      quantity: 'celsius',
      get: () => c.display.substituteC,
      set: (e) => (c.display.substituteC = e),
      placeholder: 'none',
    },
  ];
});
const ratiometric = computed({
  get: () => String(circuit.value.display.ratiometric),
  set: (value: string) => (circuit.value.display.ratiometric = value === 'null' ? null : value === 'true'),
});
</script>

<template>
  <SideSheet v-model:open="open" title="Circuit and kit in detail" :width="560">
    <div class="form">
      <PickList v-model="circuit.layout" label="Layout" :options="LAYOUTS" />
      <PickList v-model="circuit.pullUpSource" label="The pull-up’s figure is" :options="SOURCES" />
      <template v-if="bands">
        <h3>Lines of the specification</h3>
        <div v-for="(b, i) in bands" :key="i" class="pair">
          <EntryField
            :label="`Temperature ${i + 1}`"
            quantity="told-celsius"
            v-model="b.temperatureC"
            :issue="verdict.issues.get(`circuit.curve.bands.${i}.temperatureC`)"
          />
          <EntryField
            :label="`Ohms ${i + 1}, from … to`"
            quantity="ohm-band"
            placeholder="2–3 k"
            v-model="b.resistanceOhm"
            :issue="verdict.issues.get(`circuit.curve.bands.${i}.resistanceOhm`)"
          />
        </div>
        <ActButton :disabled="bands.length >= 2" @click="bands.push({ temperatureC: blank(), resistanceOhm: blank() })">
          A second line
        </ActButton>
      </template>
      <template v-if="points">
        <h3>Points of the sensor's table</h3>
        <div v-for="(p, i) in points" :key="i" class="pair">
          <EntryField
            :label="`Temperature ${i + 1}`"
            quantity="celsius"
            v-model="p.temperatureC"
            :issue="verdict.issues.get(`circuit.curve.points.${i}.temperatureC`)"
          />
          <EntryField
            :label="`Resistance ${i + 1}`"
            quantity="ohms"
            v-model="p.resistanceOhm"
            :issue="verdict.issues.get(`circuit.curve.points.${i}.resistanceOhm`)"
          />
        </div>
        <p v-if="verdict.issues.get('circuit.curve')" class="needed">At least two points are needed.</p>
        <ActButton
          :disabled="points.length >= MOST.points"
          @click="points.push({ temperatureC: blank(), resistanceOhm: blank() })"
        >
          Another point
        </ActButton>
      </template>
      <h3>Supply and display</h3>
      <div class="grid">
        <EntryField
          v-for="l in lines"
          :key="l.path"
          :model-value="l.get()"
          :label="l.label"
          :quantity="l.quantity"
          :placeholder="l.placeholder ?? ''"
          :issue="l.placeholder && l.get().text === '' ? undefined : verdict.issues.get(l.path)"
          @update:model-value="l.set"
        />
      </div>
      <PickList v-model="ratiometric" label="The module compares the signal with" :options="COMPARED" />
      <PickList v-model="circuit.shares" label="Other sensors share with this one" :options="SHARED" />
      <h3>Kit used on this check</h3>
      <KitForm v-model="job.kit" />
    </div>
  </SideSheet>
</template>

<style scoped>
.form {
  display: flex;
  flex-direction: column;
  gap: 12px;
}
.grid,
.pair {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px 12px;
}

h3 {
  font-size: 15px;
}
.needed {
  color: var(--clay);
  font-weight: 600;
}
</style>
