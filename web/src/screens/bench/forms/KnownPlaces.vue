<script setup lang="ts">
import { knownPlacesWords as say } from '@mellow-probe/core/wording/screens/benchForms';
import { plainName } from '@mellow-probe/core/history/register/placeKey';
import { placesOfLines } from '@mellow-probe/core/history/register/register';
import { placeLastText } from '@mellow-probe/core/wording/logbookText';
import { plainCopy } from '@mellow-probe/core/base/records/plainData';
import { computed } from 'vue';
import ActButton from '../../../components/base/ActButton.vue';
import { useSession } from '../../../session/jobSession.ts';
import { useJobs } from '../../../data/stores/jobs/jobs.ts';

/** A machine that was here before: its circuits, to be taken over as they were in their last check. Only before the first reading. */
const { job } = useSession();
const jobs = useJobs();
const places = computed(() => {
  const name = plainName(job.machine);
  if (name === '' || job.readings.some((r) => r.value !== null)) return [];
  return placesOfLines(jobs.lines.filter((l) => l.id !== job.id && plainName(l.machine) === name));
});
async function take(id: string): Promise<void> {
  const last = await jobs.read(id);
  if (!last) return;
  const { circuit, loom, worth, field, tags } = plainCopy(last);
  Object.assign(job, { circuit, loom, worth, field, tags });
}
</script>

<template>
  <div v-if="places.length > 0" class="known" role="group" :aria-label="say.title">
    <p v-for="p in places" :key="p.key">
      <ActButton @click="take(p.lines[0].id)">{{ say.takeOver(p.circuit || say.itsCircuit) }}</ActButton>
      <span class="soft">{{ placeLastText(p) }}</span>
    </p>
  </div>
</template>

<style scoped>
.known p {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 10px;
  align-items: center;
  margin: 0 0 4px;
  font-size: 0.8438rem;
}
</style>
