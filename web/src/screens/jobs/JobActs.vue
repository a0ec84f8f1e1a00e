<script setup lang="ts">
import { jobActsWords as say } from '@mellow-probe/core/wording/screens/jobs';
import type { JobLine } from '@mellow-probe/core/check/job/jobList';
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
      ['copy', say.copy, 'copy'],
      ['like', say.newLikeThis, 'plus'],
      ...(props.job.state === 'measuring' ? [] : [['again', say.newRecurrence, 'rollback'] as const]),
      ['export', say.export, 'export'],
      ['archive', props.job.archived ? say.unarchive : say.archive, 'inbox'],
      ['remove', say.delete, 'delete'],
    ] as const
  ).map(([what, name, icon]) => ({ name, icon, grave: what === 'remove', act: () => emit('act', what) })),
);
</script>

<template>
  <span class="acts">
    <ActButton icon="fileText" kind="quiet" :to="`/check/${job.id}/report`">{{ say.report }}</ActButton>
    <MenuButton :label="say.more" :name="say.moreFor(nameText(job))" :entries="entries" />
  </span>
</template>

<style scoped>
.acts {
  display: flex;
  justify-content: flex-end;
  white-space: nowrap;
}
</style>
