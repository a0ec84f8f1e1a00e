<script setup lang="ts">
import { jobProgressWords as say } from '@mellow-probe/core/wording/screens/benchVerdict';
import ActButton from '../../components/base/ActButton.vue';
import type { ProgressText } from '@mellow-probe/core/wording/progressText';
import { useSession } from '../../session/jobSession.ts';

/** After the repair: what is proved and what is still to do, with the way there. */
defineProps<{ progress: ProgressText }>();
const { job, work } = useSession();
</script>

<template>
  <section data-test="progress" :aria-label="say.label">
    <div class="small-head">{{ job.closed ? say.done : say.afterTheRepair }}</div>
    <h2>{{ progress.title }}</h2>
    <ul v-if="progress.proved.length > 0">
      <li v-for="line in progress.proved" :key="line"><span class="done" aria-hidden="true">●</span> {{ line }}</li>
    </ul>
    <ul v-if="progress.lacking.length > 0">
      <li v-for="line in progress.lacking" :key="line"><span class="open" aria-hidden="true">○</span> {{ line }}</li>
    </ul>
    <ActButton :kind="job.closed ? 'plain' : 'main'" @click="work.goStation('proof')">
      {{ job.closed ? say.seeTheProof : say.toTheProof }}
    </ActButton>
  </section>
</template>

<style scoped>
h2 {
  margin: 2px 0 6px;
  font-size: 1.3125rem;
  line-height: 1.2;
}
ul {
  margin: 0 0 8px;
  padding: 0;
  list-style: none;
}
.done {
  color: var(--moss);
}
.open {
  color: var(--amber-ink);
}
</style>
