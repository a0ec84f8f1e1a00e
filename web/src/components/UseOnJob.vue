<script setup lang="ts">
import { NOT_TAKEN } from '@mellow-probe/core/wording/storageText';
import { useOnJobWords as say } from '@mellow-probe/core/wording/screens/components';
import PickList from './base/PickList.vue';
import ActButton from './base/ActButton.vue';
import type { Job } from '@mellow-probe/core/check/job/jobSchema';
import { computed, onMounted, ref } from 'vue';
import { useRouter } from 'vue-router';
import { useBench } from '../session/bench.ts';
import { useKit } from '../session/kit.ts';
import { useJobs } from '../data/stores/jobs/jobs.ts';
import { openChecks } from './openChecks.ts';

/** Puts a result of the shelf into a job in one step and goes there. */
const props = defineProps<{ what: string; change: (job: Job) => void; disabled?: boolean }>();
const jobs = useJobs();
const bench = useBench();
const kit = useKit();
const router = useRouter();
const chosen = ref('new');
const fault = ref(false);
onMounted(() => void jobs.load());
const checks = computed(() => [{ value: 'new', label: say.aNewCheck }, ...openChecks(jobs.lines)]);

async function use(): Promise<void> {
  try {
    const fresh = chosen.value === 'new' ? await jobs.create(await kit.forNewJob()) : null;
    fault.value = fresh !== null && jobs.fault !== null;
    if (fault.value) return;
    const id = fresh?.id ?? chosen.value;
    await bench.changeJob(id, props.change);
    await router.push(`/check/${id}`);
  } catch {
    fault.value = true;
  }
}
</script>

<template>
  <div class="use">
    <PickList v-model="chosen" class="which" :label="say.whichCheck" hide-label :options="checks" />
    <ActButton kind="main" :disabled="disabled" @click="use">{{ what }}</ActButton>
    <span v-if="fault" role="alert" class="fault">{{ NOT_TAKEN }}</span>
  </div>
</template>

<style scoped>
.use {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
  /* Beside other acts the list and its button stay on one line. */
  min-width: min(100%, 440px);
}
.which {
  flex: 0 1 240px;
  min-width: 150px;
}
.fault {
  color: var(--clay);
}
</style>
