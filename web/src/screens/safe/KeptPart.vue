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
  'not-here': say.notKeptForUseWithoutThe,
  fetching: say.beingFetchedForUseWithoutTheServer,
  ready: say.worksWithoutTheServerEveryPart,
  failed: say.couldNotBeKeptForUse,
  saving: say.notFetchedToSaveData,
} as const;
const READER = {
  kept: say.picturesAreReadOffline,
  away: say.picturesAreReadOfflineAfterFirstUse,
  fetching: say.fetchingTheReader,
  failed: say.theReaderDidNotCome,
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
    <h2>{{ say.whatIsKeptHere }}</h2>
    <p v-if="usage" data-test="usage">
      {{ say.inThisBrowserOfThatIt(bytesText(usage.used), bytesText(usage.of)) }}
    </p>
    <p v-if="persisted">{{ say.theBrowserPromisesNotToThrow }}</p>
    <p v-else-if="persisted === false" class="row">
      {{ asked ? say.theBrowserDidNotPromise : say.theBrowserMayThrowItAway }}
      <ActButton v-if="!asked" @click="ask">{{ say.askItToKeepEverything }}</ActButton>
    </p>
    <p v-else class="soft">
      {{ say.thisBrowserDoesNotSayWhether }}
    </p>
    <div class="row">
      <ActButton :disabled="share !== null" @click="measure">{{ say.whatTakesTheRoom }}</ActButton>
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
      <ActButton v-if="reader === 'away' || reader === 'failed'" @click="keepReader">{{
        say.makePicturesWorkOfflineToo
      }}</ActButton>
    </p>
    <p v-if="newVersion" class="row">
      {{ say.aNewerVersionLiesReady }}
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
