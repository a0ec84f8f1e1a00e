<script setup lang="ts">
import { unbroken } from '@mellow-probe/core/wording/unbroken';
import { jobCardsWords as say } from '@mellow-probe/core/wording/screens/jobs';
import { countText } from '@mellow-probe/core/wording/ledgerText';
import type { JobLine } from '@mellow-probe/core/check/job/jobList';
import { computed, ref, watch } from 'vue';
import ActButton from '../../components/base/ActButton.vue';
import CheckBox from '../../components/base/CheckBox.vue';
import JobActs from './JobActs.vue';
import { changedText, decidedText, type JobAct, JOBS_A_PAGE, nameText, stateText } from './jobFacts.ts';
import JobWhat from './JobWhat.vue';

/** The ledger on a phone: a card a check, as many as one asks for. */
const props = defineProps<{ jobs: readonly JobLine[]; today: string; homeless: ReadonlyMap<string, unknown> }>();
defineEmits<{ act: [job: JobLine, what: JobAct] }>();
const chosen = defineModel<readonly string[]>('chosen', { required: true });
const choose = (id: string, on: boolean): unknown =>
  (chosen.value = on ? [...chosen.value, id] : chosen.value.filter((c) => c !== id));
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
      <div class="soft">{{ unbroken(job.circuit) }}</div>
      <div class="foot soft mono">
        <span>{{ countText(job.readings, 'reading', 'readings') }}</span><span>{{ changedText(job) }}</span>
      </div>
      <div class="foot">
        <CheckBox
          :model-value="chosen.includes(job.id)"
          :aria-label="say.chooseCheck(nameText(job))"
          @update:model-value="choose(job.id, $event)"
          >{{ say.choose }}</CheckBox
        >
        <JobActs :job="job" @act="$emit('act', job, $event)" />
      </div>
    </article>
    <ActButton v-if="jobs.length > shown.length" @click="most += JOBS_A_PAGE">
      {{ say.more(jobs.length - shown.length) }}
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
  font-size: 0.8125rem;
}
</style>
