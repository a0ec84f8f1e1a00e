<script setup lang="ts">
import { importFilesWords as say } from '@mellow-probe/core/wording/screens/jobs';
import { openFaultText } from '@mellow-probe/core/wording/issueText';
import { defineAsyncComponent } from 'vue';
import { apart } from '../../browser/turns.ts';
import { useJobs } from '../../data/stores/jobs/jobs.ts';

/** Files of checks into the list; tells a line for each of them. */
const open = defineModel<boolean>('open', { required: true });
const emit = defineEmits<{ told: [lines: string] }>();
const jobs = useJobs();
/** Neither the sheet nor the library's picker of files is fetched before it is asked for. */
const AskSheet = defineAsyncComponent(() => apart(() => import('../../components/base/AskSheet.vue')));
const FilePick = defineAsyncComponent(() => apart(() => import('../../components/base/FilePick.vue')));

async function take(files: readonly File[]): Promise<void> {
  open.value = false;
  const lines: string[] = [];
  for (const file of files) {
    const result = await jobs.importFile(file);
    if (result.ok) lines.push(say.added(file.name));
    else if (result.reason === 'not-kept') lines.push(say.notSaved(file.name));
    else lines.push(say.notOpened(file.name, openFaultText(result)));
  }
  emit('told', lines.join('\n'));
}
</script>

<template>
  <AskSheet v-if="open" v-model:open="open" :title="say.importFiles" :width="420">
    <p>{{ say.chooseThem }}</p>
    <FilePick
      :label="say.importFile"
      :about="say.importCheckFiles"
      accept=".json,application/json"
      multiple
      @files="take"
    />
  </AskSheet>
</template>
