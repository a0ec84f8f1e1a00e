<script setup lang="ts">
import { dueOf } from '@mellow-probe/core/job/jobList';
import type { Job } from '@mellow-probe/core/job/jobSchema';
import { computed } from 'vue';

/** What a check is about: its title as the way to it, the complaint, and what must not be forgotten. */
const props = defineProps<{ job: Job; today: string; homeless: boolean }>();
const FIELDS = { engine: 'Engine', climate: 'Climate', boiler: 'Boiler' } as const;
const due = computed(() => dueOf(props.job, props.today));
const line = computed(() => props.job.complaint.text || props.job.note);
</script>

<template>
  <div>
    <RouterLink class="open" :to="`/check/${job.id}`">{{ job.title || 'Untitled check' }}</RouterLink>
    <div class="soft">
      {{ FIELDS[job.field] }}<template v-if="line"> · {{ line }}</template>
    </div>
    <div v-if="homeless" class="due">◆ not kept: only in this window</div>
    <div v-if="due.standIn" class="due">◆ temporary stand-in still fitted</div>
    <div v-if="due.open > 0" :class="due.due > 0 ? 'due' : 'soft'">
      {{ due.due > 0 ? '◆' : '○' }} {{ due.open }} follow-up{{ due.open > 1 ? 's' : '' }}, next {{ due.next }}
    </div>
  </div>
</template>

<style scoped>
.open {
  display: inline-flex;
  align-items: center;
  min-height: 32px;
  font-weight: 600;
  font-size: 16px;
  color: var(--spruce);
  text-decoration: none;
}
.soft {
  font-size: 13px;
  max-width: 46ch;
}
.due {
  font-size: 13px;
  font-weight: 600;
  color: var(--amber-ink);
}
@media (max-width: 700px) {
  .open {
    min-height: 48px;
    font-size: 17px;
  }
}
</style>
