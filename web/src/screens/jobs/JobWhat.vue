<script setup lang="ts">
import { jobWhatWords as say } from '@mellow-probe/core/wording/screens/jobs';
import { dueOf, type JobLine } from '@mellow-probe/core/check/job/jobList';
import { followUpsText, titleText } from '@mellow-probe/core/wording/ledgerText';
import { computed } from 'vue';
import TagMark from '../../components/base/TagMark.vue';

/** What a check is about: its title as the way to it, the complaint, and what must not be forgotten. */
const props = defineProps<{ job: JobLine; today: string; homeless: boolean }>();
const FIELDS = { engine: say.engine, climate: say.climate, boiler: say.boiler } as const;
const due = computed(() => dueOf(props.job, props.today));
</script>

<template>
  <div>
    <RouterLink class="open" :to="`/check/${job.id}`">{{ titleText(job.title) }}</RouterLink>
    <div class="soft">
      {{ FIELDS[job.field] }}<template v-if="job.about"> · {{ job.about }}</template>
      <TagMark v-for="tag in job.tags" :key="tag">{{ tag }}</TagMark>
    </div>
    <div v-if="homeless" class="due">{{ say.notSaved }}</div>
    <div v-if="job.standIn" class="due">{{ say.temporaryFitted }}</div>
    <div v-if="due.open > 0" :class="due.due > 0 ? 'due' : 'soft'">
      {{ due.due > 0 ? '◆' : '○' }} {{ followUpsText(due) }}
    </div>
  </div>
</template>

<style scoped>
.open {
  display: inline-flex;
  align-items: center;
  min-height: 32px;
  font-weight: 600;
  font-size: 1rem;
  color: var(--spruce);
  text-decoration: none;
}
.soft {
  font-size: 0.8125rem;
  max-width: 46ch;
}
.due {
  font-size: 0.8125rem;
  font-weight: 600;
  color: var(--amber-ink);
}
@media (max-width: 43.75em) {
  .open {
    min-height: 48px;
    font-size: 1.0625rem;
  }
}
</style>
