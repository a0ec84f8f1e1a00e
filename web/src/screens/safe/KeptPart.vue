<script setup lang="ts">
import { keptPartWords as say } from '@mellow-probe/core/wording/screens/safe';
import { bytesText, KIND_NAMES } from '@mellow-probe/core/wording/safeText';
import { onMounted, ref } from 'vue';
import {
  areKept,
  askForNewVersion,
  goOffline,
  keep,
  newVersion,
  offline,
  takeNewVersion,
} from '../../browser/offline.ts';
import ActButton from '../../components/base/ActButton.vue';
import ProgressBar from '../../components/base/ProgressBar.vue';
import { itemOf, placesOf } from '../../data/backup/items.ts';
import { type Kind, KIND_LIST } from '../../data/backup/manifest.ts';
import { READER_FILES } from '../../workers/readerFiles.ts';
import { useWork } from './useWork.ts';

/** How much room is taken, by what, and whether the browser promises to keep it. */
const { share, fault, onProgress, run } = useWork();
const usage = ref<{ used: number; of: number } | null>(null);
const persisted = ref<boolean | null>(null);
const sizes = ref<{ kind: Kind; bytes: number }[]>([]);
const asked = ref(false);

const OFFLINE = {
  'not-here': say.offlineUnavailable,
  fetching: say.offlineLoading,
  ready: say.offlineReady,
  failed: say.offlineFailed,
  saving: say.offlineSaver,
} as const;
const READER = {
  kept: say.picturesOffline,
  away: say.picturesAfterFirstUse,
  fetching: say.fetchingTheReader,
  failed: say.readerFailed,
} as const;
/** The reader of tables in pictures, for use without the server. */
const reader = ref<'kept' | 'away' | 'fetching' | 'failed'>('away');
async function keepReader(): Promise<void> {
  reader.value = 'fetching';
  try {
    await keep(READER_FILES);
    reader.value = (await areKept(READER_FILES)) ? 'kept' : 'failed';
  } catch {
    reader.value = 'failed';
  }
}
onMounted(async () => {
  void askForNewVersion();
  if (await areKept(READER_FILES)) reader.value = 'kept';
  if (!('storage' in navigator)) return;
  const estimate = await navigator.storage.estimate().catch(() => null);
  if (estimate?.usage !== undefined && estimate.quota !== undefined)
    usage.value = { used: estimate.usage, of: estimate.quota };
  persisted.value = await navigator.storage.persisted().catch(() => null);
});
async function ask(): Promise<void> {
  asked.value = true;
  persisted.value = await navigator.storage.persist().catch(() => null);
}
async function measure(): Promise<void> {
  await run(async () => {
    const found = new Map<Kind, number>();
    const all = await placesOf(KIND_LIST);
    for (const [i, { kind, key }] of all.entries()) {
      onProgress(i, all.length);
      found.set(kind, (found.get(kind) ?? 0) + ((await itemOf(kind, key))?.data.length ?? 0));
    }
    sizes.value = [...found].map(([kind, bytes]) => ({ kind, bytes })).sort((a, b) => b.bytes - a.bytes);
  });
}
</script>

<template>
  <section class="sheet stacked" :aria-label="say.whatIsKept">
    <h2>{{ say.title }}</h2>
    <p v-if="usage" data-test="usage">
      {{ say.usage(bytesText(usage.used), bytesText(usage.of)) }}
    </p>
    <p v-if="persisted">{{ say.persistent }}</p>
    <p v-else-if="persisted === false" class="row">
      {{ asked ? say.persistRefused : say.notPersistent }}
      <ActButton v-if="!asked" @click="ask">{{ say.askToPersist }}</ActButton>
    </p>
    <p v-else class="soft">
      {{ say.persistUnknown }}
    </p>
    <div class="row">
      <ActButton :disabled="share !== null" @click="measure">{{ say.sizesTitle }}</ActButton>
      <ProgressBar v-if="share !== null" :share="share" :label="say.measuring" />
    </div>
    <ul v-if="sizes.length > 0" data-test="sizes">
      <li v-for="s in sizes" :key="s.kind">{{ KIND_NAMES[s.kind] }}: {{ bytesText(s.bytes) }}</li>
    </ul>
    <p v-if="fault" role="status">{{ fault }}</p>
    <p data-test="offline" class="row">
      {{ OFFLINE[offline] }}
      <ActButton v-if="offline === 'saving' || offline === 'failed'" @click="goOffline(true)">{{
        say.fetchItNow
      }}</ActButton>
    </p>
    <p v-if="offline === 'ready'" data-test="reader" class="row">
      {{ READER[reader] }}
      <ActButton v-if="reader === 'away' || reader === 'failed'" @click="keepReader">{{ say.fetchReader }}</ActButton>
    </p>
    <p v-if="newVersion" class="row">
      {{ say.updateReady }}
      <ActButton kind="main" @click="takeNewVersion">{{ say.takeItNow }}</ActButton>
    </p>
  </section>
</template>

<style scoped>
ul {
  margin: 0;
  padding-left: 20px;
}
</style>
