<script setup lang="ts">
import { backupPartWords as say } from '@mellow-probe/core/wording/screens/safe';
import { countText } from '@mellow-probe/core/wording/ledgerText';
import { bytesText, KIND_NAMES } from '@mellow-probe/core/wording/safeText';
import dayjs from 'dayjs';
import { computed, onMounted, ref, shallowRef } from 'vue';
import { saveBlob } from '../../browser/saveFile.ts';
import ActButton from '../../components/base/ActButton.vue';
import CheckBox from '../../components/base/CheckBox.vue';
import NoticeBar from '../../components/base/NoticeBar.vue';
import ProgressBar from '../../components/base/ProgressBar.vue';
import TextField from '../../components/base/TextField.vue';
import { chooseFolder, chosenFolder, fileIn, knowsFolders } from '../../data/backup/folder.ts';
import { keysOf } from '../../data/backup/items.ts';
import { type Kind, KIND_LIST } from '../../data/backup/manifest.ts';
import { canSeal } from '../../data/backup/sealed.ts';
import { noteBackup } from '../../data/storage/lastBackup.ts';
import { withKind } from './kinds.ts';
import { useWork } from './useWork.ts';

/** Everything out, as one file: to the downloads, or to a folder that was chosen once. */
const { share, fault, onProgress, run } = useWork();
const counts = ref<Partial<Record<Kind, number>>>({});
const chosen = ref<readonly Kind[]>(KIND_LIST);
const phrase = ref('');
const told = ref('');
const folder = shallowRef<FileSystemDirectoryHandle | null>(null);
let stop = new AbortController();
const SHORTEST = 8;
const tooShort = computed(() => phrase.value !== '' && phrase.value.length < SHORTEST);

onMounted(async () => {
  folder.value = await chosenFolder();
  for (const kind of KIND_LIST) counts.value[kind] = (await keysOf(kind).catch(() => [])).length;
});
const nameNow = (): string => `mellow-probe-${dayjs().format('YYYY-MM-DD-HHmm')}${phrase.value ? '.sealed' : '.zip'}`;

/** Writes to a sink, sealed where a passphrase was given; returns how many records. */
async function writeTo(sink: WritableStream<Uint8Array>): Promise<number> {
  const { writeBackup } = await import('../../data/backup/writeBackup.ts');
  stop = new AbortController();
  if (phrase.value === '') return (await writeBackup(sink, chosen.value, onProgress, stop.signal)).entries.length;
  const { sealing } = await import('../../data/backup/sealed.ts');
  const seal = await sealing(phrase.value);
  const [manifest] = await Promise.all([
    writeBackup(seal.writable, chosen.value, onProgress, stop.signal),
    seal.readable.pipeTo(sink),
  ]);
  return manifest.entries.length;
}
function done(count: number, where: string): void {
  told.value = say.written(countText(count, 'record', 'records'), where);
  if (chosen.value.includes('job')) noteBackup();
}
async function toFile(): Promise<void> {
  await run(async () => {
    const { intoBlob } = await import('../../data/backup/writeBackup.ts');
    const into = intoBlob();
    const count = await writeTo(into.sink);
    const [name, file] = [nameNow(), into.blob()];
    saveBlob(name, file);
    done(count, `${name}, ${bytesText(file.size)}`);
  });
}
async function toFolder(): Promise<void> {
  folder.value ??= await chooseFolder();
  const into = folder.value;
  if (!into) return;
  await run(async () => {
    const name = nameNow();
    // The browser puts the file in its place only when it is closed: a half one never stands there.
    const file = await fileIn(into, name);
    done(await writeTo(file), `${into.name}/${name}`);
  });
}
</script>

<template>
  <section class="sheet stacked" :aria-label="say.backup">
    <h2>{{ say.backup }}</h2>
    <p class="soft">
      {{ say.purpose }}
    </p>
    <div class="row" role="group" :aria-label="say.contents">
      <CheckBox
        v-for="kind in KIND_LIST"
        :key="kind"
        :model-value="chosen.includes(kind)"
        @update:model-value="chosen = withKind(chosen, kind, $event)"
        >{{ KIND_NAMES[kind] }} <span class="soft">{{ counts[kind] ?? '' }}</span></CheckBox
      >
    </div>
    <TextField
      v-if="canSeal()"
      v-model="phrase"
      class="phrase"
      :label="say.passphrase"
      :placeholder="say.none"
      :maxlength="200"
    />
    <p v-else class="soft">
      {{ say.noEncryption }}
    </p>
    <p v-if="tooShort" class="odd" role="status">{{ say.passphraseRule(SHORTEST) }}</p>
    <p v-else-if="phrase !== ''" class="soft">{{ say.passphraseWarning }}</p>
    <div class="row">
      <ActButton
        icon="save"
        kind="main"
        :disabled="share !== null || tooShort || chosen.length === 0"
        @click="toFile"
        >{{ say.writeTheBackup }}</ActButton
      >
      <ActButton
        v-if="knowsFolders()"
        :disabled="share !== null || tooShort || chosen.length === 0"
        @click="toFolder"
        >{{ folder ? say.toTheFolder(folder.name) : say.toAFolder }}</ActButton
      >
      <template v-if="share !== null">
        <ProgressBar :share="share" :label="say.backup" />
        <ActButton kind="quiet" @click="stop.abort()">{{ say.breakOff }}</ActButton>
      </template>
    </div>
    <NoticeBar v-if="fault" kind="bad" status>{{ fault }}</NoticeBar>
    <p v-if="told" role="status" data-test="written">{{ told }}</p>
  </section>
</template>

<style scoped>
.phrase {
  align-self: stretch;
  max-width: 420px;
}
.odd {
  color: var(--amber-ink);
  font-weight: 600;
}
</style>
