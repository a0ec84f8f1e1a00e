<script setup lang="ts">
import { openFaultText } from '@mellow-probe/core/wording/issueText';
import { shallowRef } from 'vue';
import { rested } from '../../browser/rested.ts';
import ActButton from '../../components/base/ActButton.vue';
import type FilePickPart from '../../components/base/FilePick.vue';
import { useJobs } from '../../stores/jobs.ts';

/** Files of checks onto the ledger; tells a line for each of them. */
const emit = defineEmits<{ told: [lines: string] }>();
const jobs = useJobs();
/** The library's picker of files is no small part, and the first rows do not wait for it. */
const FilePick = shallowRef<typeof FilePickPart>();
void rested()
  .then(() => import('../../components/base/FilePick.vue'))
  .then(
    (part) => (FilePick.value = part.default),
    () => undefined,
  );

async function take(files: readonly File[]): Promise<void> {
  const lines: string[] = [];
  for (const file of files) {
    const result = await jobs.importFile(file);
    if (result.ok) lines.push(`${file.name}: added.`);
    else if (result.reason === 'not-kept') lines.push(`${file.name}: the browser’s storage does not take it.`);
    else lines.push(`${file.name}: not opened. ${openFaultText(result)}`);
  }
  emit('told', lines.join('\n'));
}
</script>

<template>
  <component
    :is="FilePick"
    v-if="FilePick"
    label="Import file…"
    about="Import check files"
    accept=".json,application/json"
    multiple
    @files="take"
  />
  <ActButton v-else disabled>Import file…</ActButton>
</template>
