<script setup lang="ts">
import { troubleStepWords as say } from '@mellow-probe/core/wording/screens/guide';
import { directionOf, SYMPTOMS } from '@mellow-probe/core/catalogue/parts/symptoms';
import { computed } from 'vue';
import ActButton from '../../components/base/ActButton.vue';
import { useSession } from '../../session/jobSession.ts';
import CodeList from '../bench/forms/CodeList.vue';

/** What is wrong, in the words of whoever complained: one tap each, and codes as they were read. */
const { job } = useSession();
const symptoms = computed(() =>
  SYMPTOMS.filter((s) => s.field === null || s.field === job.field).sort(
    (a, b) => Number(a.field !== null) - Number(b.field !== null),
  ),
);
const chosen = (id: string): boolean => job.complaint.symptoms.includes(id);
function toggle(id: string): void {
  const { symptoms: list } = job.complaint;
  job.complaint.symptoms = chosen(id) ? list.filter((s) => s !== id) : [...list, id];
}
</script>

<template>
  <p class="soft">{{ say.howTo }}</p>
  <div class="chips" role="group" :aria-label="say.symptoms">
    <ActButton v-for="s in symptoms" :key="s.id" class="chip" :aria-pressed="chosen(s.id)" @click="toggle(s.id)">
      <span aria-hidden="true">{{ chosen(s.id) ? '✓' : '' }}</span> {{ s.name }}
    </ActButton>
  </div>
  <p v-if="directionOf(job.complaint.symptoms) === 'both'" class="odd">{{ say.readsBoth }}</p>
  <CodeList />
</template>

<style scoped>
.chips {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.chip {
  height: auto;
  min-height: 46px;
  white-space: normal;
}
.chip[aria-pressed='true'] {
  border-color: var(--spruce);
  background: var(--spruce-soft);
  font-weight: 600;
}
.odd {
  color: var(--amber-ink);
}
</style>
