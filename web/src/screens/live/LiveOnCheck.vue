<script setup lang="ts">
import { liveOnCheckWords as say } from '@mellow-probe/core/wording/screens/live';
import { useSession } from '../../session/jobSession.ts';
import LiveDesk from './LiveDesk.vue';

/** Live values of the check on the bench. */
const { job } = useSession();
function cycle(text: string, id: string | null): void {
  job.note = [job.note, say.heatCycle(text)].filter(Boolean).join('\n');
  if (id && !job.findings.includes(id)) job.findings.push(id);
}
</script>

<template>
  <LiveDesk :job="job" @cycle="cycle" />
</template>
