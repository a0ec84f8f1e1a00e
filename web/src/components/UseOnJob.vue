<script setup lang="ts">
import type { Job } from '@mellow-probe/core/job/jobSchema';
import { computed, onMounted, ref } from 'vue';
import { useRouter } from 'vue-router';
import { useBench } from '../session/bench.ts';
import { useKit } from '../session/kit.ts';
import { useJobs } from '../stores/jobs.ts';

/** Puts a result of the shelf into a job in one step and goes there. */
const props = defineProps<{ what: string; change: (job: Job) => void; disabled?: boolean }>();
const jobs = useJobs();
const bench = useBench();
const kit = useKit();
const router = useRouter();
const chosen = ref('new');
const fault = ref(false);
onMounted(() => void jobs.load());
const open = computed(() => jobs.jobs.filter((j) => !j.closed && !j.archivedAt));

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
    <select v-model="chosen" aria-label="Which check">
      <option value="new">a new check</option>
      <option v-for="j in open" :key="j.id" :value="j.id">{{ j.title || 'untitled check' }}</option>
    </select>
    <button class="act main" type="button" :disabled="disabled" @click="use">{{ what }}</button>
    <span v-if="fault" role="alert" class="fault">The browser’s storage does not take it.</span>
  </div>
</template>

<style scoped>
.use {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
}
select {
  height: 44px;
  max-width: 240px;
  border: 1.5px solid var(--line-strong);
  border-radius: 9px;
  background: var(--field);
  padding: 0 8px;
}
.fault {
  color: var(--clay);
}
</style>
