<script setup lang="ts">
import { whatStepWords as say } from '@mellow-probe/core/wording/screens/guide';
import { CATALOGUE_CIRCUITS, type CatalogueCircuit } from '@mellow-probe/core/catalogue/parts/circuits';
import { circuitFromCatalogue } from '@mellow-probe/core/check/job/newJob';
import { circuitLine } from '@mellow-probe/core/wording/catalogueFacts';
import { FIELDS, type MachineField } from '@mellow-probe/core/base/units/vocabulary';
import { computed, onMounted } from 'vue';
import ActButton from '../../components/base/ActButton.vue';
import ChoiceRow from '../../components/base/ChoiceRow.vue';
import TextField from '../../components/base/TextField.vue';
import { useJobs } from '../../data/stores/jobs/jobs.ts';
import { usePreferences } from '../../data/stores/preferences.ts';
import { useSession } from '../../session/jobSession.ts';
import KnownPlaces from '../bench/forms/KnownPlaces.vue';

/** What is checked: the machine, its kind, and which of its sensors. A tap on the sensor goes on. */
const emit = defineEmits<{ next: [] }>();
const { job } = useSession();
const jobs = useJobs();
const preferences = usePreferences();
onMounted(() => {
  if (!jobs.loaded) void jobs.load();
});
const FIELD_OPTIONS = FIELDS.map((value) => ({ value, label: say.fields[value] }));
/** How often each circuit was checked here lately. */
const RECENT = 50;
const used = computed(() => {
  const count = new Map<string, number>();
  for (const line of jobs.lines.slice(0, RECENT))
    if (line.id !== job.id) count.set(line.circuit, (count.get(line.circuit) ?? 0) + 1);
  return count;
});
/** Plain names with their figures apart; those that were used here first. */
const circuits = computed(() =>
  CATALOGUE_CIRCUITS.filter((c) => c.field === job.field && c.pullUpOhm !== null)
    .map((c) => {
      const [name, ...figures] = c.name.split(' · ');
      return { circuit: c, name, figures: figures.join(' · '), times: used.value.get(c.name) ?? 0 };
    })
    .sort((a, b) => b.times - a.times),
);
function ofField(field: MachineField | undefined): void {
  if (!field || field === job.field) return;
  const first = CATALOGUE_CIRCUITS.find((c) => c.field === field)!;
  job.field = field;
  job.circuit = circuitFromCatalogue(first);
}
function choose(circuit: CatalogueCircuit): void {
  job.circuit = circuitFromCatalogue(circuit);
  job.field = circuit.field;
  emit('next');
}
/** Nothing is known but the kind of machine: curve and pull-up are learned from the readings. */
function notListed(): void {
  const first = CATALOGUE_CIRCUITS.find((c) => c.field === job.field)!;
  job.circuit = {
    ...circuitFromCatalogue(first),
    name: say.notListed,
    pullUpOhm: { text: 'unknown', value: null },
    curve: { source: 'unknown' },
  };
  emit('next');
}
</script>

<template>
  <TextField v-model="job.machine" :label="say.machine" :placeholder="say.whichMachine" :maxlength="400" />
  <KnownPlaces />
  <ChoiceRow
    :model-value="job.field"
    :label="say.kindOfMachine"
    :options="FIELD_OPTIONS"
    @update:model-value="ofField"
  />
  <h3>{{ say.whichSensor }}</h3>
  <div class="tiles" role="group" :aria-label="say.whichSensor">
    <ActButton
      v-for="c in circuits"
      :key="c.circuit.id"
      class="tile"
      :aria-pressed="job.circuit.name === c.circuit.name"
      :title="circuitLine(c.circuit, preferences.temperatureUnit)"
      @click="choose(c.circuit)"
    >
      <span class="what"
        >{{ c.name }} <span v-if="c.times > 0" class="soft">{{ say.usedBefore }}</span></span
      >
      <span class="soft figures">{{ c.figures }}</span>
    </ActButton>
    <ActButton class="tile" :aria-pressed="job.circuit.name === say.notListed" @click="notListed">
      <span class="what">{{ say.notListed }}</span>
      <span class="soft figures">{{ say.notListedMeans }}</span>
    </ActButton>
  </div>
</template>

<style scoped>
h3 {
  font-size: 1.05rem;
}
.tiles {
  display: flex;
  flex-direction: column;
  gap: 8px;
}
.tile {
  display: flex;
  flex-direction: column;
  align-items: flex-start;
  gap: 0;
  height: auto;
  min-height: 54px;
  padding: 6px 14px;
  white-space: normal;
  text-align: left;
}
.tile[aria-pressed='true'] {
  border-color: var(--spruce);
  background: var(--spruce-soft);
}
.what {
  font-weight: 600;
}
.figures {
  font-size: 0.85rem;
}
</style>
