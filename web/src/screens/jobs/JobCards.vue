<script setup lang="ts">
import type { Job } from '@mellow-probe/core/job/jobSchema';
import { computed, ref, watch } from 'vue';
import ActButton from '../../components/base/ActButton.vue';
import JobActs from './JobActs.vue';
import { changedText, decidedText, type JobAct, JOBS_A_PAGE, readingCount, stateText } from './jobFacts.ts';
import JobWhat from './JobWhat.vue';

/** The ledger on a phone: a card a check, as many as one asks for. */
const props = defineProps<{ jobs: readonly Job[]; today: string; homeless: ReadonlyMap<string, Job> }>();
defineEmits<{ act: [job: Job, what: JobAct] }>();
const most = ref(JOBS_A_PAGE);
const shown = computed(() => props.jobs.slice(0, most.value));
watch(
  () => props.jobs,
  () => (most.value = JOBS_A_PAGE),
);
</script>

<template>
  <div class="cards">
    <article v-for="job in shown" :key="job.id" class="sheet card" data-test="job">
      <div class="head">
        <JobWhat :job="job" :today="today" :homeless="homeless.has(job.id)" />
        <div class="decided">
          <div>{{ decidedText(job) }}</div>
          <div class="soft">{{ stateText(job) }}</div>
        </div>
      </div>
      <div class="soft">{{ job.circuit.name }}</div>
      <div class="foot soft mono">
        <span>{{ readingCount(job) }} readings</span><span>{{ changedText(job) }}</span>
      </div>
      <JobActs :job="job" @act="$emit('act', job, $event)" />
    </article>
    <ActButton v-if="jobs.length > shown.length" @click="most += JOBS_A_PAGE">
      {{ jobs.length - shown.length }} more
    </ActButton>
  </div>
</template>

<style scoped>
.cards {
  display: flex;
  flex-direction: column;
  gap: 10px;
}
.card {
  display: flex;
  flex-direction: column;
  gap: 2px;
  padding: 10px 14px;
}
.head,
.foot {
  display: flex;
  justify-content: space-between;
  gap: 12px;
}
.decided {
  flex: none;
  padding-top: 10px;
  text-align: right;
}
.soft {
  font-size: 13px;
}
</style>
