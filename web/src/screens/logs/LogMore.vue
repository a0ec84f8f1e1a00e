<script setup lang="ts">
import { logMoreWords as say } from '@mellow-probe/core/wording/screens/logs';
import type { LogChoices } from '@mellow-probe/core/intake/logs/logColumns';
import { fileName, saveFile } from '../../browser/saveFile.ts';
import ActButton from '../../components/base/ActButton.vue';
import FilePick from '../../components/base/FilePick.vue';
import FoldOut from '../../components/base/FoldOut.vue';
import LogColumns from './LogColumns.vue';
import type { useLogRoom } from './useLogRoom.ts';

/** What is asked for now and then: how the file was read, a second log laid over it, the log as CSV. */
const { lab } = defineProps<{ lab: ReturnType<typeof useLogRoom> }>();
const emit = defineEmits<{ read: [choices: LogChoices]; told: [text: string] }>();

async function beside(files: readonly File[], by: 'clock' | 'course'): Promise<void> {
  if (files[0]) emit('told', await lab.beside(files[0], by));
}
async function save(): Promise<void> {
  saveFile(fileName(lab.head.value?.title ?? 'log', 'csv'), 'text/csv', await lab.csv());
}
</script>

<template>
  <div>
    <FoldOut v-if="lab.fileRead.value" :title="say.howTheFileWasRead">
      <LogColumns :columns="lab.fileRead.value.columns" :asked="false" @read="emit('read', $event)" />
    </FoldOut>
    <FoldOut :title="say.layASecondLogOverIt">
      <div class="row">
        <FilePick
          :label="say.byItsClock"
          :about="say.aSecondLogByItsClock"
          accept=".csv,.txt,.tsv,.log,text/*"
          @files="beside($event, 'clock')"
        />
        <FilePick
          :label="say.byItsCourse"
          :about="say.aSecondLogByItsCourse"
          accept=".csv,.txt,.tsv,.log,text/*"
          @files="beside($event, 'course')"
        />
        <ActButton icon="table" @click="save">{{ say.saveAsCsv }}</ActButton>
      </div>
    </FoldOut>
  </div>
</template>

<style scoped>
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
</style>
