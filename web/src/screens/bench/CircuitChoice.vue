<script setup lang="ts">
import { CATALOGUE_CIRCUITS } from '@mellow-probe/core/catalogue/circuits';
import { CATALOGUE_CURVES } from '@mellow-probe/core/catalogue/curves';
import type { CurveChoice } from '@mellow-probe/core/job/jobSchema';
import { blank } from '@mellow-probe/core/units/entry';
import { circuitFromCatalogue } from '@mellow-probe/core/job/newJob';
import { computed } from 'vue';
import EntryField from '../../components/EntryField.vue';
import PickList from '../../components/PickList.vue';
import { useOpenJob } from '../../stores/openJob.ts';
import { useVerdict } from '../../stores/verdict.ts';

/** Which circuit this is and which curve its sensor has: from the catalogue, or typed. */
const emit = defineEmits<{ details: [] }>();
const bench = useOpenJob();
const verdict = useVerdict();
const circuit = computed(() => bench.job!.circuit);

const fields = { engine: 'Engines', climate: 'Climate systems', boiler: 'Boilers' } as const;
const circuits = Object.entries(fields).map(([field, label]) => ({
  label,
  options: CATALOGUE_CIRCUITS.filter((c) => c.field === field).map((c) => ({ value: c.id, label: c.name })),
}));
const chosenCircuit = computed(() => CATALOGUE_CIRCUITS.find((c) => c.name === circuit.value.name)?.id);

function chooseCircuit(id: string): void {
  const entry = CATALOGUE_CIRCUITS.find((c) => c.id === id);
  if (!entry || !bench.job) return;
  bench.job.circuit = circuitFromCatalogue(entry);
  bench.job.field = entry.field;
}

const curves = computed(() => [
  ...(circuit.value.curve.source === 'given'
    ? [{ label: 'From the file', options: [{ value: 'given', label: circuit.value.curve.name }] }]
    : []),
  {
    label: 'Typed',
    options: [
      { value: 'r25b', label: 'Type R25 and B' },
      { value: 'points', label: 'Type points of a table' },
    ],
  },
  { label: 'Catalogue', options: CATALOGUE_CURVES.map((c) => ({ value: c.id, label: c.name })) },
]);
const r25b = computed(() => (circuit.value.curve.source === 'r25b' ? circuit.value.curve : null));
const chosenCurve = computed(() => {
  const { curve } = circuit.value;
  return curve.source === 'catalogue' ? curve.id : curve.source;
});

function chooseCurve(id: string): void {
  if (id === 'given') return;
  const next: CurveChoice =
    id === 'r25b'
      ? { source: 'r25b', r25Ohm: blank(), betaK: blank() }
      : id === 'points'
        ? {
            source: 'points',
            points: Array.from({ length: 3 }, () => ({ temperatureC: blank(), resistanceOhm: blank() })),
          }
        : { source: 'catalogue', id };
  circuit.value.curve = next;
  if (id === 'points') emit('details');
}
</script>

<template>
  <div class="choice">
    <PickList class="wide" label="Circuit" :groups="circuits" :value="chosenCircuit" @pick="chooseCircuit" />
    <PickList
      :class="r25b ? 'short' : 'wide'"
      label="Sensor curve"
      :groups="curves"
      :value="chosenCurve"
      @pick="chooseCurve"
    />
    <template v-if="r25b">
      <EntryField
        class="narrow"
        label="R25"
        quantity="ohms"
        v-model="r25b.r25Ohm"
        :issue="verdict.issues.get('circuit.curve.r25Ohm')"
      />
      <EntryField
        class="narrow"
        label="B (K)"
        quantity="number"
        v-model="r25b.betaK"
        :issue="verdict.issues.get('circuit.curve.betaK')"
      />
    </template>
    <button class="act details" type="button" @click="$emit('details')">More…</button>
  </div>
</template>

<style scoped>
.choice {
  display: flex;
  gap: 8px;
  align-items: flex-start;
}
.wide {
  flex: 1 1 40%;
}
.short {
  flex: 1 1 22%;
}
.narrow {
  flex: 0 1 118px;
}
.details {
  margin-top: 20px;
  min-height: 42px;
  padding: 0 12px;
}
@media (max-width: 700px) {
  .choice {
    flex-wrap: wrap;
  }
}
</style>
