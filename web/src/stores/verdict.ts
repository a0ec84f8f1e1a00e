import type { Job } from '@mellow-probe/core/job/jobSchema';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef, toRaw, watch } from 'vue';
import type { EngineAnswer } from '../workers/engineAnswer.ts';
import { latestOnly } from '../workers/engineClient.ts';
import { useOpenJob } from './openJob.ts';

/** What the engine says of the job on the bench, kept up to date as it is typed. */
export const useVerdict = defineStore('verdict', () => {
  const bench = useOpenJob();
  const answer = shallowRef<EngineAnswer | null>(null);
  const fault = ref('');
  const pending = ref(false);
  const ask = latestOnly(
    (next) => {
      [answer.value, pending.value, fault.value] = [next, false, ''];
    },
    (message) => {
      [fault.value, pending.value] = [message, false];
    },
  );
  let lastId = '';

  watch(
    () => bench.job,
    (job) => {
      if (!job) {
        answer.value = null;
        return;
      }
      if (job.id !== lastId) {
        lastId = job.id;
        answer.value = null;
      }
      pending.value = true;
      ask(JSON.parse(JSON.stringify(toRaw(job))) as Job);
    },
    { deep: true, immediate: true },
  );

  /** Issues by path. */
  const issues = computed(() => new Map((answer.value?.issues ?? []).map(({ path, issue }) => [path, issue])));
  const result = computed(() => answer.value?.result ?? null);
  return { answer, result, issues, fault, pending };
});
