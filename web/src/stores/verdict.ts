import type { Job } from '@mellow-probe/core/job/jobSchema';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef, toRaw, watch } from 'vue';
import type { Advice, EngineAnswer } from '../workers/engineAnswer.ts';
import { latestOnly } from '../workers/engineClient.ts';
import { useOpenJob } from './openJob.ts';

/** The parts of a job that the engine looks at: photos and texts do not make it compute again. */
function forEngine(job: Job): Job {
  return JSON.parse(JSON.stringify({ ...toRaw(job), photos: [], note: '', title: '', machine: '' })) as Job;
}

/** What the engine says of the job on the bench, kept up to date as it is typed. */
export const useVerdict = defineStore('verdict', () => {
  const bench = useOpenJob();
  const answer = shallowRef<EngineAnswer | null>(null);
  const advice = shallowRef<Advice | null>(null);
  const fault = ref('');
  const pending = ref(false);
  const ask = latestOnly({
    verdict: (next) => {
      [answer.value, fault.value] = [next, ''];
    },
    advice: (next) => {
      [advice.value, pending.value] = [next, false];
    },
    fault: (message) => {
      [fault.value, pending.value] = [message, false];
    },
  });
  let lastId = '';
  let lastAsked = '';

  watch(
    () => bench.job,
    (job) => {
      if (!job) {
        [answer.value, advice.value, lastAsked] = [null, null, ''];
        return;
      }
      if (job.id !== lastId) [lastId, answer.value, advice.value, lastAsked] = [job.id, null, null, ''];
      const question = forEngine(job);
      const { updatedAt: _, ...content } = question;
      const text = JSON.stringify(content);
      if (text === lastAsked) return;
      lastAsked = text;
      pending.value = true;
      ask(question);
    },
    { deep: true, immediate: true },
  );

  /** Issues by path. */
  const issues = computed(() => new Map((answer.value?.issues ?? []).map(({ path, issue }) => [path, issue])));
  const result = computed(() => answer.value?.result ?? null);
  return { answer, result, advice, issues, fault, pending };
});
