<script setup lang="ts">
import { OTHER_CAUSES } from '@mellow-probe/core/catalogue/otherCauses';
import { SYMPTOMS } from '@mellow-probe/core/catalogue/symptoms';
import { complaintText } from '@mellow-probe/core/wording/complaintText';
import { computed } from 'vue';
import { useSession } from '../../../session/jobSession.ts';
import { usePreferences } from '../../../stores/preferences.ts';
import CodeList from './CodeList.vue';
import FormSheet from './FormSheet.vue';

/** What brought the technician here: machine, symptoms, codes, what was replaced, and causes that are no electrical fault. */
const { job } = useSession();
const preferences = usePreferences();
const complaint = computed(() => job.complaint);
const symptoms = computed(() => SYMPTOMS.filter((s) => s.field === job.field));
const causes = computed(() => OTHER_CAUSES.filter((c) => c.field === job.field));
const told = computed(() => complaintText(job, preferences.temperatureUnit));
const READS = { cold: 'reads too cold', hot: 'reads too hot', either: '' } as const;
const PARTS = [
  ['sensor', 'Sensor'],
  ['connector', 'Connector'],
  ['wiring', 'Wiring'],
  ['module', 'Module'],
] as const;

function toggle<T>(list: T[], item: T, on: boolean): T[] {
  return on ? [...list.filter((x) => x !== item), item] : list.filter((x) => x !== item);
}
function setCause(id: string, state: string): void {
  const next = { ...complaint.value.causes };
  if (state === '') delete next[id];
  else next[id] = state as 'ruled-out' | 'found';
  complaint.value.causes = next;
}
const checked = (event: Event): boolean => (event.target as HTMLInputElement).checked;
</script>

<template>
  <FormSheet
    title="Complaint"
    purpose="What is wrong, in the words of whoever runs the machine, and what the machine itself says."
  >
    <div class="two">
      <label class="line"
        >Machine <input v-model="job.machine" class="text" maxlength="400" placeholder="Which machine, where"
      /></label>
      <label class="line"
        >Field
        <select v-model="job.field">
          <option value="engine">Engine</option>
          <option value="climate">Climate system</option>
          <option value="boiler">Boiler</option>
        </select>
      </label>
    </div>
    <label class="line"
      >Complaint
      <textarea
        v-model="complaint.text"
        maxlength="20000"
        rows="2"
        placeholder="Since when, when cold or hot, what was done already"
      ></textarea>
    </label>
    <p v-if="told" :class="['told', { odd: told.odd }]" data-test="complaint-told">{{ told.text }}</p>
    <div role="group" aria-label="Symptoms">
      <h3>Symptoms</h3>
      <div class="two">
        <label v-for="s in symptoms" :key="s.id" class="check">
          <input
            type="checkbox"
            :checked="complaint.symptoms.includes(s.id)"
            @change="complaint.symptoms = toggle(complaint.symptoms, s.id, checked($event))"
          />
          <span
            >{{ s.name }} <span v-if="READS[s.reads]" class="soft">· {{ READS[s.reads] }}</span></span
          >
        </label>
      </div>
    </div>
    <CodeList />
    <div role="group" aria-label="Replaced already">
      <h3>Replaced already, and did not help</h3>
      <div class="row">
        <label v-for="[id, name] in PARTS" :key="id" class="check">
          <input
            type="checkbox"
            :checked="complaint.replaced.includes(id)"
            @change="complaint.replaced = toggle(complaint.replaced, id, checked($event))"
          />{{ name }}
        </label>
      </div>
    </div>
    <div>
      <h3>Causes that are no electrical fault</h3>
      <div v-for="c in causes" :key="c.id" class="cause">
        <div>
          <b>{{ c.name }}</b> <span class="soft">{{ c.check }}</span>
          <span v-if="c.caution" class="caution"> ▲ {{ c.caution }}</span>
        </div>
        <select
          :value="complaint.causes[c.id] ?? ''"
          :aria-label="c.name"
          @change="setCause(c.id, ($event.target as HTMLSelectElement).value)"
        >
          <option value="">not looked at</option>
          <option value="ruled-out">ruled out</option>
          <option value="found">found</option>
        </select>
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
