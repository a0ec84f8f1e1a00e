<script setup lang="ts">
import type { JobLine } from '@mellow-probe/core/job/jobList';
import { computed } from 'vue';
import { type JobAct, nameText } from './jobFacts.ts';
import ActButton from '../../components/base/ActButton.vue';
import MenuButton from '../../components/base/MenuButton.vue';

/** What can be done with a check from the ledger. */
const props = defineProps<{ job: JobLine }>();
const emit = defineEmits<{ act: [what: JobAct] }>();
const entries = computed(() =>
  (
    [
      ['copy', 'Copy', 'copy'],
      ['like', 'New check like this', 'plus'],
      ...(props.job.state === 'measuring' ? [] : [['again', 'It came back: new check', 'rollback'] as const]),
      ['export', 'Export', 'export'],
      ['archive', props.job.archived ? 'Take out of the archive' : 'Archive', 'inbox'],
      ['remove', 'Delete', 'delete'],
    ] as const
  ).map(([what, name, icon]) => ({ name, icon, grave: what === 'remove', act: () => emit('act', what) })),
);
</script>

<template>
  <span class="acts">
    <ActButton icon="fileText" kind="quiet" :to="`/check/${job.id}/report`">Report</ActButton>
    <MenuButton label="More ▾" :name="`More for ${nameText(job)}`" :entries="entries" />
  </span>
</template>

<style scoped>
.acts {
  display: flex;
  justify-content: flex-end;
  white-space: nowrap;
}
</style>
