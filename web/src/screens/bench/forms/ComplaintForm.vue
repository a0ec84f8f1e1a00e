<script setup lang="ts">
import CheckBox from '../../../components/base/CheckBox.vue';
import PickList from '../../../components/base/PickList.vue';
import TextField from '../../../components/base/TextField.vue';
import { OTHER_CAUSES } from '@mellow-probe/core/catalogue/otherCauses';
import { SYMPTOMS } from '@mellow-probe/core/catalogue/symptoms';
import { typedTags } from '@mellow-probe/core/job/jobList';
import { MOST } from '@mellow-probe/core/job/most';
import { complaintText } from '@mellow-probe/core/wording/complaintText';
import { computed } from 'vue';
import { useSession } from '../../../session/jobSession.ts';
import { usePreferences } from '../../../stores/preferences.ts';
import CodeList from './CodeList.vue';
import KnownPlaces from './KnownPlaces.vue';
import FormSheet from './FormSheet.vue';

/** What brought the technician here: machine, symptoms, codes, what was replaced, and causes that are no electrical fault. */
const { job } = useSession();
const preferences = usePreferences();
const complaint = computed(() => job.complaint);
const symptoms = computed(() => SYMPTOMS.filter((s) => s.field === job.field));
const causes = computed(() => OTHER_CAUSES.filter((c) => c.field === job.field));
const told = computed(() => complaintText(job, preferences.temperatureUnit));
const READS = { cold: 'reads too cold', hot: 'reads too hot', either: '' } as const;
const FIELD_OPTIONS = [
  { value: 'engine', label: 'Engine' },
  { value: 'climate', label: 'Climate system' },
  { value: 'boiler', label: 'Boiler' },
] as const;
const CAUSE_STATES = [
  { value: '', label: 'not looked at' },
  { value: 'ruled-out', label: 'ruled out' },
  { value: 'found', label: 'found' },
] as const;
const PARTS = [
  ['sensor', 'Sensor'],
  ['connector', 'Connector'],
  ['wiring', 'Wiring'],
  ['module', 'Module'],
] as const;

function toggle<T>(list: T[], item: T, on: boolean): T[] {
  return on ? [...list.filter((x) => x !== item), item] : list.filter((x) => x !== item);
}
const tags = computed({
  get: () => job.tags.join(', '),
  set: (text) => (job.tags = typedTags(text).slice(0, MOST.tags)),
});
function setCause(id: string, state: (typeof CAUSE_STATES)[number]['value']): void {
  const next = { ...complaint.value.causes };
  if (state === '') delete next[id];
  else next[id] = state;
  complaint.value.causes = next;
}
</script>

<template>
  <FormSheet
    title="Complaint"
    purpose="What is wrong, in the words of whoever runs the machine, and what the machine itself says."
  >
    <div class="two">
      <TextField v-model="job.machine" label="Machine" :maxlength="400" placeholder="Which machine, where" />
      <PickList v-model="job.field" label="Field" :options="FIELD_OPTIONS" />
      <TextField v-model="tags" lazy label="Tags" :maxlength="400" placeholder="apart by commas, to find it by" />
    </div>
    <KnownPlaces />
    <TextField
      v-model="complaint.text"
      label="Complaint"
      :maxlength="20000"
      :rows="2"
      placeholder="Since when, when cold or hot, what was done already"
    />
    <p v-if="told" :class="['told', { odd: told.odd }]" data-test="complaint-told">{{ told.text }}</p>
    <div role="group" aria-label="Symptoms">
      <h3>Symptoms</h3>
      <div class="two">
        <CheckBox
          v-for="s in symptoms"
          :key="s.id"
          :model-value="complaint.symptoms.includes(s.id)"
          @update:model-value="complaint.symptoms = toggle(complaint.symptoms, s.id, $event)"
        >
          <span
            >{{ s.name }} <span v-if="READS[s.reads]" class="soft">· {{ READS[s.reads] }}</span></span
          >
        </CheckBox>
      </div>
    </div>
    <CodeList />
    <div role="group" aria-label="Replaced already">
      <h3>Replaced already, and did not help</h3>
      <div class="row">
        <CheckBox
          v-for="[id, name] in PARTS"
          :key="id"
          :model-value="complaint.replaced.includes(id)"
          @update:model-value="complaint.replaced = toggle(complaint.replaced, id, $event)"
          >{{ name }}</CheckBox
        >
      </div>
    </div>
    <div>
      <h3>Causes that are no electrical fault</h3>
      <div v-for="c in causes" :key="c.id" class="cause">
        <div>
          <b>{{ c.name }}</b> <span class="soft">{{ c.check }}</span>
          <span v-if="c.caution" class="caution"> ▲ {{ c.caution }}</span>
        </div>
        <PickList
          :label="c.name"
          hide-label
          :options="CAUSE_STATES"
          :model-value="complaint.causes[c.id] ?? ''"
          @update:model-value="setCause(c.id, $event)"
        />
      </div>
    </div>
  </FormSheet>
</template>

<style scoped>
.cause {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 150px;
  gap: 12px;
  align-items: center;
  padding: 4px 0;
  border-top: 1px solid var(--line);
}
</style>
