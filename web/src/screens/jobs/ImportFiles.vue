<script setup lang="ts">
import { importFilesWords as say } from '@mellow-probe/core/wording/screens/jobs';
import { openFaultText } from '@mellow-probe/core/wording/issueText';
import { shallowRef } from 'vue';
import { apart } from '../../browser/turns.ts';
import { rested } from '../../browser/rested.ts';
import ActButton from '../../components/base/ActButton.vue';
import type FilePickPart from '../../components/base/FilePick.vue';
import { useJobs } from '../../data/stores/jobs.ts';

/** Files of checks onto the ledger; tells a line for each of them. */
const emit = defineEmits<{ told: [lines: string] }>();
const jobs = useJobs();
/** The library's picker of files is no small part, and the first rows do not wait for it. */
const FilePick = shallowRef<typeof FilePickPart>();
void rested()
  .then(() => apart(() => import('../../components/base/FilePick.vue')))
  .then(
    (part) => (FilePick.value = part.default),
    () => undefined,
  );

async function take(files: readonly File[]): Promise<void> {
  const lines: string[] = [];
  for (const file of files) {
    const result = await jobs.importFile(file);
    if (result.ok) lines.push(say.added(file.name));
    else if (result.reason === 'not-kept') lines.push(say.theBrowsersStorageDoesNotTakeIt(file.name));
    else lines.push(say.notOpened(file.name, openFaultText(result)));
  }
  emit('told', lines.join('\n'));
}
</script>

<template>
  <component
    :is="FilePick"
    v-if="FilePick"
    :label="say.importFile"
    :about="say.importCheckFiles"
    accept=".json,application/json"
    multiple
    @files="take"
  />
  <ActButton v-else disabled>{{ say.importFile }}</ActButton>
</template>
