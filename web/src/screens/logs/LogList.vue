<script setup lang="ts">
import { logListWords as say } from '@mellow-probe/core/wording/screens/logs';
import { clockText } from '@mellow-probe/core/wording/logText';
import { momentText } from '@mellow-probe/core/base/units/writing';
import { ref } from 'vue';
import { useRoute } from 'vue-router';
import ActButton from '../../components/base/ActButton.vue';
import FilePick from '../../components/base/FilePick.vue';

import NoticeBar from '../../components/base/NoticeBar.vue';
import type { RecordingHead } from '../../data/storage/recordingStorage.ts';

/** The recordings and logs that are kept in this browser, and the way to a new one. */
defineProps<{ kept: readonly RecordingHead[]; fault: boolean; current: string | null }>();
const emit = defineEmits<{ open: [files: File[]]; remove: [id: string] }>();
const route = useRoute();
/** A recording is not made twice: what is deleted is asked for once more. */
const asked = ref<string | null>(null);
const FROM = { recorded: '', 'stand-ins': say.madeUp, file: say.fromAFile } as const;
const about = (h: RecordingHead): string =>
  [momentText(h.startedAt), clockText(h.lengthS), FROM[h.from], h.endedAt === null ? say.notEnded : '']
    .filter(Boolean)
    .join(' · ');
</script>

<template>
  <nav class="list sheet" :aria-label="say.logs">
    <FilePick
      :label="say.openFile"
      :about="say.aLogFile"
      accept=".csv,.txt,.tsv,.log,text/*"
      kind="main"
      @files="emit('open', $event)"
    />
    <p class="soft small">
      {{ say.formats }}
    </p>
    <NoticeBar v-if="fault" kind="bad">{{ say.storeSilent }}</NoticeBar>
    <ul>
      <li v-for="h in kept" :key="h.id" :class="{ on: h.id === current }">
        <RouterLink :to="{ path: `/logs/${h.id}`, query: route.query }">
          <b>{{ h.title }}</b>
          <span class="soft small">{{ about(h) }}</span>
        </RouterLink>
        <div v-if="asked === h.id" class="sure">
          <ActButton icon="delete" kind="grave" @click="emit('remove', h.id)">{{ say.deleteForGood }}</ActButton>
          <ActButton kind="quiet" @click="asked = null">{{ say.keepIt }}</ActButton>
        </div>
        <ActButton icon="delete" v-else kind="quiet" :aria-label="say.deleteRecording(h.title)" @click="asked = h.id">{{
          say.delete
        }}</ActButton>
      </li>
    </ul>
    <p v-if="kept.length === 0 && !fault" class="soft small">
      {{ say.noRecordingsYet }} <RouterLink to="/live">{{ say.recordLiveValues }}</RouterLink>
    </p>
  </nav>
</template>

<style scoped>
.list {
  display: flex;
  flex-direction: column;
  gap: 8px;
  padding: 12px;
  overflow-y: auto;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: flex;
  flex-direction: column;
  align-items: flex-start;
  padding: 2px 6px 6px;
  border-bottom: 1px solid var(--line);
}
li a {
  display: flex;
  flex-direction: column;
  justify-content: center;
  align-self: stretch;
  min-height: 48px;
  color: var(--ink);
  text-decoration: none;
  overflow-wrap: anywhere;
}
p a {
  color: var(--spruce);
}
.sure {
  display: flex;
  flex-wrap: wrap;
}
.on {
  background: var(--spruce-soft);
  border-radius: 8px;
}
.small {
  font-size: 0.8125rem;
  margin: 0;
}
@media (max-width: 56.25em) {
  .list {
    order: 1;
    overflow: visible;
  }
}
</style>
