<script setup lang="ts">
import { logAskedWords as asked, logMoreWords as say } from '@mellow-probe/core/wording/screens/logs';
import type { LogChoices } from '@mellow-probe/core/intake/logs/logColumns';
import { TIME_NAMES } from '@mellow-probe/core/wording/logText';
import { computed } from 'vue';
import { fileName, saveFile } from '../../browser/saveFile.ts';
import ActButton from '../../components/base/ActButton.vue';
import FilePick from '../../components/base/FilePick.vue';
import FoldOut from '../../components/base/FoldOut.vue';
import NoticeBar from '../../components/base/NoticeBar.vue';
import LogColumns from './LogColumns.vue';
import type { useLogRoom } from './useLogRoom.ts';

/** What is asked for now and then: how the file was read, a second log laid over it, the log as CSV. */
const { lab } = defineProps<{ lab: ReturnType<typeof useLogRoom> }>();
const emit = defineEmits<{ read: [choices: LogChoices, everyS: number | null]; told: [text: string] }>();

/** Columns that wait for their unit, by name; empty where none does. */
const waiting = computed(() =>
  (lab.fileRead.value?.columns ?? [])
    .filter((c) => c.use === 'values' && c.unit === null)
    .map((c) => c.head)
    .join(', '),
);
/** What was understood of each column that is read. */
const readAs = computed(() =>
  (lab.fileRead.value?.columns ?? [])
    .filter((c) => c.use === 'values' || c.use === 'time')
    .map((c) => `${c.head || '?'} (${c.use === 'time' ? TIME_NAMES[c.time!] : c.unit})`)
    .join(' · '),
);
async function beside(files: readonly File[], by: 'clock' | 'course'): Promise<void> {
  if (files[0]) emit('told', await lab.beside(files[0], by));
}
async function save(): Promise<void> {
  saveFile(fileName(lab.title.value || 'log', 'csv'), 'text/csv', await lab.csv());
}
</script>

<template>
  <div>
    <template v-if="lab.fileRead.value">
      <template v-if="waiting">
        <NoticeBar>{{ asked.unitAsked(waiting) }}</NoticeBar>
        <LogColumns :columns="lab.fileRead.value.columns" asked @read="(...said) => emit('read', ...said)" />
      </template>
      <template v-else>
        <p class="soft small" data-test="read-as">{{ asked.readAs(readAs) }}</p>
        <FoldOut :title="say.readTitle">
          <LogColumns :columns="lab.fileRead.value.columns" :asked="false" @read="(...said) => emit('read', ...said)" />
        </FoldOut>
      </template>
    </template>
    <FoldOut :title="say.moreTitle">
      <div class="row">
        <FilePick
          :label="say.byItsClock"
          :about="say.besideByClock"
          accept=".csv,.txt,.tsv,.log,text/*"
          @files="beside($event, 'clock')"
        />
        <FilePick
          :label="say.byItsCourse"
          :about="say.besideByCourse"
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
