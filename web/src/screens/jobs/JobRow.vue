<script setup lang="ts">
import type { Job } from '@mellow-probe/core/job/jobSchema';
import dayjs from 'dayjs';
import { computed } from 'vue';

/** One line of the ledger. */
const props = defineProps<{ job: Job }>();
defineEmits<{ copy: []; export: []; remove: [] }>();
const FIELDS = { engine: 'Engine', climate: 'Climate', boiler: 'Boiler' } as const;
const count = computed(() => props.job.readings.filter((r) => r.value !== null).length);
</script>

<template>
  <tr data-test="job">
    <td>
      <RouterLink class="open" :to="`/check/${job.id}`">{{ job.title || 'Untitled check' }}</RouterLink>
      <div class="soft">{{ FIELDS[job.field] }}<template v-if="job.note"> · {{ job.note }}</template></div>
    </td>
    <td class="soft">{{ job.circuit.name }}</td>
    <td class="mono">{{ count }}</td>
    <td class="mono when">{{ dayjs(job.updatedAt).format('YYYY-MM-DD HH:mm') }}</td>
    <td class="acts">
      <button class="act quiet" type="button" @click="$emit('copy')">Copy</button>
      <button class="act quiet" type="button" @click="$emit('export')">Export</button>
      <button class="act quiet" type="button" @click="$emit('remove')">Delete</button>
    </td>
  </tr>
</template>

<style scoped>
td {
  padding: 8px 14px;
  border-top: 1px solid var(--line);
  vertical-align: middle;
}
.open {
  display: inline-flex;
  align-items: center;
  min-height: 32px;
  font-weight: 600;
  font-size: 16px;
  color: var(--spruce);
}
.soft {
  font-size: 13px;
  max-width: 46ch;
}
.when {
  font-size: 13px;
  white-space: nowrap;
}
.acts {
  text-align: right;
  white-space: nowrap;
}
</style>
