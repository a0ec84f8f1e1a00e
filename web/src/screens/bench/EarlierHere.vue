<script setup lang="ts">
import { earlierHereWords as say } from '@mellow-probe/core/wording/screens/bench';
import { placeCode, placeKey } from '@mellow-probe/core/history/register/placeKey';
import { earlierAt } from '@mellow-probe/core/history/register/register';
import { lineOutcomeText } from '@mellow-probe/core/wording/logbookText';
import { dayText } from '@mellow-probe/core/base/units/writing';
import { earlierText } from '@mellow-probe/core/wording/noticeText';
import { computed, onMounted } from 'vue';
import ActButton from '../../components/base/ActButton.vue';
import { useSession } from '../../session/jobSession.ts';
import { useJobs } from '../../data/stores/jobs/jobs.ts';

/** What was found here before: the earlier checks of this machine and circuit, and the one whose repair did not last. */
const { job } = useSession();
const jobs = useJobs();
// Whoever came by way of a list has read them already.
onMounted(() => {
  if (!jobs.loaded) void jobs.load();
});
const earlier = computed(() =>
  earlierAt(jobs.lines, { id: job.id, createdAt: job.createdAt, machine: job.machine, circuit: job.circuit.name }),
);
const code = computed(() => placeCode(placeKey(job.machine, job.circuit.name)));
/** On the screen at once; the others stand in the logbook. */
const MOST = 2;
</script>

<template>
  <section v-if="earlier.length > 0" class="earlier" :aria-label="say.earlierChecksHere" data-test="earlier">
    <span class="head">{{ earlierText(earlier.length, Boolean(job.recurrenceOf)) }}</span>
    <RouterLink v-for="l in earlier.slice(0, MOST)" :key="l.id" :to="`/check/${l.id}`">
      <span class="mono">{{ dayText(l.createdAt) }}</span> {{ lineOutcomeText(l) }}
    </RouterLink>
    <ActButton kind="quiet" :to="`/logbook/place/${code}`">{{ say.itsYears }}</ActButton>
  </section>
</template>

<style scoped>
.earlier {
  grid-column: 1 / -1;
  display: flex;
  flex-wrap: wrap;
  gap: 0 14px;
  align-items: center;
  padding: 0 14px;
  font-size: 0.8438rem;
}
.head {
  font-weight: 600;
}
a {
  display: inline-flex;
  gap: 6px;
  align-items: center;
  min-height: 32px;
  color: var(--spruce);
}
.mono {
  font-family: var(--mono);
}
@media (max-width: 38.75em) {
  a {
    min-height: 48px;
  }
}
</style>
