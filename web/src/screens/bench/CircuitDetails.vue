<script setup lang="ts">
import { circuitDetailsWords as say } from '@mellow-probe/core/wording/screens/bench';
import SideSheet from '../../components/base/SideSheet.vue';
import PickList from '../../components/base/PickList.vue';
import ActButton from '../../components/base/ActButton.vue';
import { MOST } from '@mellow-probe/core/check/job/most';
import type { Entry } from '@mellow-probe/core/base/units/entry';
import { blank } from '@mellow-probe/core/base/units/entry';
import type { FieldQuantity } from '@mellow-probe/core/base/units/quantity';

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
  { value: 'usual', label: say.sourceTypical },
  { value: 'typed', label: say.sourceMaker },
  { value: 'board', label: say.sourceBoard },
] as const;
const LAYOUTS = [
  { value: 'pull-up', label: say.layoutPullUp },
  { value: 'pull-down', label: say.layoutPullDown },
  { value: 'one-wire', label: say.layoutOneWire },
] as const;
const COMPARED = [
  { value: 'null', label: say.notKnown },
  { value: 'true', label: say.comparedWithSameReference },
  { value: 'false', label: say.comparedWithOwnReference },
];
const SHARED = [
  { value: 'unknown', label: say.notKnown },
  { value: 'nothing', label: say.nothing },
  { value: 'reference', label: say.theReference },
  { value: 'return', label: say.theReturn },
  { value: 'both', label: say.referenceAndReturn },
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
      label: say.supplyBattery,
      path: 'circuit.supplyV',
      quantity: 'volts',
      get: () => c.supplyV,
      set: (e) => (c.supplyV = e),
    },
    {
      label: say.hotPullUp,
      path: 'circuit.hotPullUpOhm',
      quantity: 'ohms',
      get: () => c.hotPullUpOhm,
      set: (e) => (c.hotPullUpOhm = e),
      placeholder: say.none,
    },
    {
      label: say.cableLength,
      path: 'circuit.cableM',
      quantity: 'number',
      get: () => c.cableM,
      set: (e) => (c.cableM = e),
      placeholder: say.no,
    },
    {
      label: say.itsCopperMm,
      path: 'circuit.cableMm2',
      quantity: 'number',
      get: () => c.cableMm2,
      set: (e) => (c.cableMm2 = e),
      placeholder: '0.75',
    },
    {
      label: say.displayColdest,
      path: 'circuit.display.minC',
      quantity: 'celsius',
      get: () => c.display.minC,
      set: (e) => (c.display.minC = e),
    },
    {
      label: say.displayHottest,
      path: 'circuit.display.maxC',
      quantity: 'celsius',
      get: () => c.display.maxC,
      set: (e) => (c.display.maxC = e),
    },
    {
      label: say.substituteValue,
      path: 'circuit.display.substituteC',
      quantity: 'celsius',
      get: () => c.display.substituteC,
      set: (e) => (c.display.substituteC = e),
      placeholder: say.none,
    },
  ];
});
const ratiometric = computed({
  get: () => String(circuit.value.display.ratiometric),
  set: (value: string) => (circuit.value.display.ratiometric = value === 'null' ? null : value === 'true'),
});
</script>

<template>
  <SideSheet v-model:open="open" :title="say.title" :width="560">
    <div class="form">
      <PickList v-model="circuit.layout" :label="say.layout" :options="LAYOUTS" />
      <PickList v-model="circuit.pullUpSource" :label="say.pullUpSource" :options="SOURCES" />
      <template v-if="bands">
        <h3>{{ say.bandLines }}</h3>
        <div v-for="(b, i) in bands" :key="i" class="pair">
          <EntryField
            :label="say.temperature(i + 1)"
            quantity="told-celsius"
            v-model="b.temperatureC"
            :issue="verdict.issues.get(`circuit.curve.bands.${i}.temperatureC`)"
          />
          <EntryField
            :label="say.ohmsFromTo(i + 1)"
            quantity="ohm-band"
            placeholder="2–3 k"
            v-model="b.resistanceOhm"
            :issue="verdict.issues.get(`circuit.curve.bands.${i}.resistanceOhm`)"
          />
        </div>
        <ActButton :disabled="bands.length >= 2" @click="bands.push({ temperatureC: blank(), resistanceOhm: blank() })">
          {{ say.aSecondLine }}
        </ActButton>
      </template>
      <template v-if="points">
        <h3>{{ say.tablePoints }}</h3>
        <div v-for="(p, i) in points" :key="i" class="pair">
          <EntryField
            :label="say.temperature(i + 1)"
            quantity="celsius"
            v-model="p.temperatureC"
            :issue="verdict.issues.get(`circuit.curve.points.${i}.temperatureC`)"
          />
          <EntryField
            :label="say.resistance(i + 1)"
            quantity="ohms"
            v-model="p.resistanceOhm"
            :issue="verdict.issues.get(`circuit.curve.points.${i}.resistanceOhm`)"
          />
        </div>
        <p v-if="verdict.issues.get('circuit.curve')" class="needed">{{ say.tooFewPoints }}</p>
        <ActButton
          :disabled="points.length >= MOST.points"
          @click="points.push({ temperatureC: blank(), resistanceOhm: blank() })"
        >
          {{ say.anotherPoint }}
        </ActButton>
      </template>
      <h3>{{ say.supplyAndDisplay }}</h3>
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
      <PickList v-model="ratiometric" :label="say.comparedWith" :options="COMPARED" />
      <PickList v-model="circuit.shares" :label="say.sharedWires" :options="SHARED" />
      <h3>{{ say.kitOfCheck }}</h3>
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
  font-size: 0.9375rem;
}
.needed {
  color: var(--clay);
  font-weight: 600;
}
</style>
