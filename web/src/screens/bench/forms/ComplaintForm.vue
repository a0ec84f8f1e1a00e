<script setup lang="ts">
import { complaintFormWords as say } from '@mellow-probe/core/wording/screens/benchForms';
import CheckBox from '../../../components/base/CheckBox.vue';
import PickList from '../../../components/base/PickList.vue';
import TextField from '../../../components/base/TextField.vue';
import { OTHER_CAUSES } from '@mellow-probe/core/catalogue/parts/otherCauses';
import { SYMPTOMS } from '@mellow-probe/core/catalogue/parts/symptoms';
import { typedTags } from '@mellow-probe/core/check/job/jobList';
import { MOST } from '@mellow-probe/core/check/job/most';
import { complaintText } from '@mellow-probe/core/wording/complaintText';
import { computed } from 'vue';
import { useSession } from '../../../session/jobSession.ts';
import { usePreferences } from '../../../data/stores/preferences.ts';
import CodeList from './CodeList.vue';
import KnownPlaces from './KnownPlaces.vue';
import FormSheet from './FormSheet.vue';

/** What brought the technician here: machine, symptoms, codes, what was replaced, and causes that are no electrical fault. */
const { job } = useSession();
const preferences = usePreferences();
const complaint = computed(() => job.complaint);
const symptoms = computed(() => SYMPTOMS.filter((s) => s.field === job.field || s.field === null));
const causes = computed(() => OTHER_CAUSES.filter((c) => c.field === job.field));
const told = computed(() => complaintText(job, preferences.temperatureUnit));
const READS = { cold: say.readsTooCold, hot: say.readsTooHot, either: '' } as const;
const FIELD_OPTIONS = [
  { value: 'engine', label: say.engine },
  { value: 'climate', label: say.climateSystem },
  { value: 'boiler', label: say.boiler },
] as const;
const CAUSE_STATES = [
  { value: '', label: say.notLookedAt },
  { value: 'ruled-out', label: say.ruledOut },
  { value: 'found', label: say.found },
] as const;
const PARTS = [
  ['sensor', say.sensor],
  ['connector', say.connector],
  ['wiring', say.wiring],
  ['module', say.module],
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
  <FormSheet :title="say.complaint" :purpose="say.purpose">
    <div class="two">
      <TextField v-model="job.machine" :label="say.machine" :maxlength="400" :placeholder="say.whichMachineWhere" />
      <TextField v-model="job.customer" :label="say.customer" :maxlength="400" />
      <TextField v-model="job.orderNumber" :label="say.orderNumber" :maxlength="400" />
      <PickList v-model="job.field" :label="say.field" :options="FIELD_OPTIONS" />
      <TextField v-model="tags" lazy :label="say.tags" :maxlength="400" :placeholder="say.tagsHint" />
    </div>
    <KnownPlaces />
    <TextField
      v-model="complaint.text"
      :label="say.complaint"
      :maxlength="20000"
      :rows="2"
      :placeholder="say.historyHint"
    />
    <p v-if="told" :class="['told', { odd: told.odd }]" data-test="complaint-told">{{ told.text }}</p>
    <div role="group" :aria-label="say.symptoms">
      <h3>{{ say.symptoms }}</h3>
      <div class="two">
        <CheckBox
          v-for="s in symptoms"
          :key="s.id"
          :model-value="complaint.symptoms.includes(s.id)"
          @update:model-value="complaint.symptoms = toggle(complaint.symptoms, s.id, $event)"
        >
          <span
            >{{ s.name }}
            <!-- Complaints of any machine say it themselves. -->
            <span v-if="s.field !== null && READS[s.reads]" class="soft">· {{ READS[s.reads] }}</span></span
          >
        </CheckBox>
      </div>
    </div>
    <CodeList />
    <div role="group" :aria-label="say.replacedAlready">
      <h3>{{ say.replacedInVain }}</h3>
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
      <h3>{{ say.otherCauses }}</h3>
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
