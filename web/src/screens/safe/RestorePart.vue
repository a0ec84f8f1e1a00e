<script setup lang="ts">
import { restorePartWords as say } from '@mellow-probe/core/wording/screens/safe';
import MarkedText from '../../components/base/MarkedText.vue';
import { BACKUP_FAULTS, bytesText, KIND_NAMES, STANDING_NAMES } from '@mellow-probe/core/wording/safeText';
import { countText } from '@mellow-probe/core/wording/ledgerText';
import { momentText } from '@mellow-probe/core/base/units/writing';
import { damagedRecordsText } from '@mellow-probe/core/wording/noticeText';
import { computed, ref, shallowRef } from 'vue';
import ActButton from '../../components/base/ActButton.vue';
import CheckBox from '../../components/base/CheckBox.vue';
import type { Column } from '../../components/base/factTable.ts';
import FactTable from '../../components/base/FactTable.vue';
import FilePick from '../../components/base/FilePick.vue';
import NoticeBar from '../../components/base/NoticeBar.vue';
import ProgressBar from '../../components/base/ProgressBar.vue';
import TextField from '../../components/base/TextField.vue';
import { type BackupEntry, type Kind, KIND_LIST } from '../../data/backup/manifest.ts';
import type { Backup } from '../../data/backup/readBackup.ts';
import type { Restored, Standing } from '../../data/backup/restore.ts';
import { useJobs } from '../../data/stores/jobs/jobs.ts';
import { useTraining } from '../../data/stores/training.ts';
import { withKind } from './kinds.ts';
import { type RestoreRow, restoreRows, STANDINGS } from './restoreRows.ts';
import { useWork } from './useWork.ts';

/** A backup back in: looked at first, then staged, then taken in. Nothing here is lost by it. */
const jobs = useJobs();
const training = useTraining();
const { share, fault, onProgress, run } = useWork();
const sealedFile = shallowRef<Blob | null>(null);
const phrase = ref('');
const why = ref('');
const backup = shallowRef<Backup | null>(null);
const found = shallowRef<ReadonlyMap<BackupEntry, Standing>>(new Map());
const damaged = shallowRef<readonly BackupEntry[]>([]);
const kinds = ref<readonly Kind[]>(KIND_LIST);
const restored = shallowRef<Restored | null>(null);
/** Records whose bytes are as the manifest says, and that are none of this program all the same. */
const refused = ref(0);

async function take([file]: readonly File[]): Promise<void> {
  await clear();
  const { isSealed } = await import('../../data/backup/sealed.ts');
  if (await isSealed(file)) sealedFile.value = file;
  else await look(file);
}
async function unseal(): Promise<void> {
  const file = sealedFile.value;
  if (!file) return;
  const { unsealed } = await import('../../data/backup/sealed.ts');
  const result = await run(() => unsealed(file, phrase.value));
  if (!result) return;
  why.value = '';
  if (result.ok) {
    sealedFile.value = null;
    await look(result.file);
  } else why.value = result.reason === 'damaged' ? say.damaged : say.wrongPassphrase;
}
async function look(file: Blob): Promise<void> {
  await run(async () => {
    const { damagedIn, openBackup } = await import('../../data/backup/readBackup.ts');
    const { standings } = await import('../../data/backup/restore.ts');
    const result = await openBackup(file);
    if (!result.ok) {
      why.value = BACKUP_FAULTS[result.reason];
      return;
    }
    damaged.value = await damagedIn(result.backup, onProgress);
    const gone = new Set(damaged.value);
    found.value = await standings(result.backup.manifest.entries.filter((e) => !gone.has(e)));
    backup.value = result.backup;
  });
}
async function clear(): Promise<void> {
  await backup.value?.close();
  [backup.value, sealedFile.value, restored.value] = [null, null, null];
  [why.value, phrase.value, found.value, damaged.value] = ['', '', new Map(), []];
}
const rows = computed(() => restoreRows(found.value));
const columns = computed((): readonly Column<RestoreRow>[] => [
  { key: 'kind', title: say.what },
  ...STANDINGS.map((s): Column<RestoreRow> => ({
    key: s,
    title: STANDING_NAMES[s],
    mono: true,
    // On a phone, where there is any.
    ...(rows.value.every((r) => r.counts[s] === 0) && { wideOnly: true as const }),
    text: (r) => r.counts[s] || '–',
  })),
  { key: 'size', title: say.size, mono: true, wideOnly: true, text: (r) => bytesText(r.bytes) },
]);
const chosen = computed(() =>
  [...found.value]
    .filter(([e, s]) => kinds.value.includes(e.kind) && s !== 'same' && s !== 'newer-here')
    .map(([e]) => e),
);
async function takeIn(): Promise<void> {
  const from = backup.value;
  if (!from) return;
  const result = await run(async () => {
    const { finishRestore, stageRestore } = await import('../../data/backup/restore.ts');
    const none = await stageRestore(from, chosen.value, (done, all) => onProgress(done, 2 * all));
    const taken = await finishRestore((done, all) => onProgress(all + done, 2 * all));
    return taken && { taken, none: none.length };
  });
  if (!result) return;
  await clear();
  [restored.value, refused.value] = [result.taken, result.none];
  await Promise.all([jobs.reload(), training.load()]);
}
const takenText = computed(() => {
  const r = restored.value;
  if (!r) return '';
  const list = STANDINGS.filter((s) => r[s] > 0).map((s) => `${r[s]} ${STANDING_NAMES[s]}`);
  const left = refused.value > 0 ? say.refused(refused.value) : '';
  return [list.length > 0 ? say.takenIn(list.join(', ')) : say.nothingRestored, left].filter(Boolean).join(' ');
});
</script>

<template>
  <section class="sheet stacked" :aria-label="say.bringBack">
    <h2>{{ say.bringBack }}</h2>
    <p class="soft">
      {{ say.purpose }}
    </p>
    <div class="row">
      <FilePick :label="say.openABackup" :about="say.aBackup" accept=".zip,.sealed,application/zip" @files="take" />
      <ProgressBar v-if="share !== null" :share="share" :label="say.readingTheBackup" />
    </div>
    <form v-if="sealedFile" class="row" @submit.prevent="unseal">
      <TextField v-model="phrase" :label="say.itsPassphrase" :maxlength="200" />
      <ActButton submit :disabled="phrase === '' || share !== null">{{ say.openIt }}</ActButton>
    </form>
    <NoticeBar v-if="why" kind="bad" status>{{ why }}</NoticeBar>
    <NoticeBar v-if="fault" kind="bad" status>{{ fault }}</NoticeBar>
    <template v-if="backup">
      <p>
        <MarkedText
          :text="
            say.writtenOn(
              momentText(backup.manifest.createdAt),
              countText(backup.manifest.entries.length, 'record', 'records'),
            )
          "
        />
      </p>
      <NoticeBar v-if="damaged.length > 0" kind="bad">{{ damagedRecordsText(damaged.map((d) => d.path)) }}</NoticeBar>
      <div class="wide">
        <FactTable :label="say.changesTitle" :columns="columns" :rows="rows" :row-key="(r) => r.kind">
          <template #kind="{ row }">
            <CheckBox
              :model-value="kinds.includes(row.kind)"
              @update:model-value="kinds = withKind(kinds, row.kind, $event)"
              >{{ KIND_NAMES[row.kind] }}</CheckBox
            >
          </template>
        </FactTable>
      </div>
      <div class="row">
        <ActButton kind="main" :disabled="share !== null || chosen.length === 0" @click="takeIn">{{
          say.takeIn(countText(chosen.length, 'record', 'records'))
        }}</ActButton>
        <ActButton kind="quiet" :disabled="share !== null" @click="clear">{{ say.leaveIt }}</ActButton>
        <span v-if="chosen.length === 0" class="soft">{{ say.nothingNew }}</span>
      </div>
    </template>
    <p v-if="takenText" role="status" data-test="taken">
      {{ takenText }} <RouterLink to="/">{{ say.checks }}</RouterLink>
    </p>
  </section>
</template>

<style scoped>
.wide {
  align-self: stretch;
  overflow-x: auto;
}
a {
  color: var(--spruce);
}
</style>
