<script setup lang="ts">
import { bytesText, KIND_NAMES } from '@mellow-probe/core/wording/safeText';
import { NEWEST_VERSION } from '@mellow-probe/core/job/migrations/list';
import { onMounted, ref } from 'vue';
import { askForNewVersion, newVersion, offline, takeNewVersion } from '../../browser/offline.ts';
import ActButton from '../../components/base/ActButton.vue';
import ProgressBar from '../../components/base/ProgressBar.vue';
import { itemOf, placesOf } from '../../storage/backup/items.ts';
import { type Kind, KIND_LIST } from '../../storage/backup/manifest.ts';
import { useWork } from './useWork.ts';

/** How much room is taken, by what, whether the browser promises to keep it, and which versions these are. */
const { share, fault, onProgress, run } = useWork();
const usage = ref<{ used: number; of: number } | null>(null);
const persisted = ref<boolean | null>(null);
const sizes = ref<{ kind: Kind; bytes: number }[]>([]);
const asked = ref(false);
const version = import.meta.env.VITE_VERSION as string | undefined;

const OFFLINE = {
  'not-here':
    'Not kept for use without the server: over plain HTTP from another device a browser does not do that, nor does it give camera, wake lock, serial ports or locks. docs/keeping.md says how the server speaks HTTPS.',
  fetching: 'Being fetched for use without the server …',
  ready: 'Works without the server: every part is kept on this device.',
  failed: 'Could not be kept for use without the server.',
} as const;
onMounted(async () => {
  void askForNewVersion();
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
  <section class="sheet stacked" aria-label="What is kept">
    <h2>What is kept here</h2>
    <p v-if="usage" data-test="usage">
      {{ bytesText(usage.used) }} in this browser, of {{ bytesText(usage.of) }} that it would give.
    </p>
    <p v-if="persisted">The browser promises not to throw it away when the disk is short.</p>
    <p v-else-if="persisted === false" class="row">
      The browser may throw it away when the disk is short<template v-if="asked"
        >: it was asked and did not promise</template
      >.
      <ActButton v-if="!asked" @click="ask">Ask it to keep everything</ActButton>
    </p>
    <p v-else class="soft">
      This browser does not say whether it keeps everything when the disk is short: keep backups.
    </p>
    <div class="row">
      <ActButton :disabled="share !== null" @click="measure">What takes the room</ActButton>
      <ProgressBar v-if="share !== null" :share="share" label="Measuring" />
    </div>
    <ul v-if="sizes.length > 0" data-test="sizes">
      <li v-for="s in sizes" :key="s.kind">{{ KIND_NAMES[s.kind] }}: {{ bytesText(s.bytes) }}</li>
    </ul>
    <p v-if="fault" role="status">{{ fault }}</p>
    <p data-test="offline">{{ OFFLINE[offline] }}</p>
    <p v-if="newVersion" class="row">
      A newer version lies ready.
      <ActButton kind="main" @click="takeNewVersion">Take it now</ActButton>
    </p>
    <p class="soft" data-test="versions">
      Program {{ version ?? 'of the workbench' }}, files of format {{ NEWEST_VERSION }}.
    </p>
  </section>
</template>

<style scoped>
ul {
  margin: 0;
  padding-left: 20px;
}
</style>
