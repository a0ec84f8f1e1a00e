<script setup lang="ts">
import { photoStripWords as say } from '@mellow-probe/core/wording/screens/benchForms';
import FilePick from '../../../components/base/FilePick.vue';
import TextField from '../../../components/base/TextField.vue';
import ActButton from '../../../components/base/ActButton.vue';
import { MOST } from '@mellow-probe/core/check/job/most';
import { storageFaultText } from '@mellow-probe/core/wording/storageText';
import { ref, watch } from 'vue';
import { newId, nowIso } from '../../../browser/newId.ts';
import { scaledJpeg } from '../../../browser/scaledJpeg.ts';
import { getPhoto, putPhoto } from '../../../data/storage/photoStorage.ts';
import { toStorageError } from '../../../data/storage/storageError.ts';
import { useSession } from '../../../session/jobSession.ts';

/** Photos of a job: scaled down, kept in the browser beside the job, part of its file and report. */
const { job } = useSession();
const images = ref<Record<string, string>>({});

const fault = ref('');

watch(
  () => job.photos.map((p) => p.id).join(),
  async () => {
    for (const p of job.photos)
      if (!images.value[p.id]) images.value[p.id] = p.image ?? (await getPhoto(job.id, p.id)) ?? '';
  },
  { immediate: true },
);

async function add(files: readonly File[]): Promise<void> {
  fault.value = '';
  for (const file of files) {
    if (job.photos.length >= MOST.photos) {
      fault.value = say.full(MOST.photos);
      break;
    }
    const image = await scaledJpeg(file);
    if (!image) {
      fault.value = say.unreadable(file.name);
      continue;
    }
    const id = newId();
    try {
      await putPhoto(job.id, id, image);
    } catch (error) {
      fault.value = say.notSaved(storageFaultText(toStorageError(error).fault));
      continue;
    }
    images.value[id] = image;
    job.photos.push({ id, caption: file.name.replace(/\.\w+$/, ''), takenAt: nowIso(), image: null });
  }
}
/** The picture itself stays until nothing could bring it back. */
function remove(id: string): void {
  job.photos = job.photos.filter((p) => p.id !== id);
}
</script>

<template>
  <div>
    <h3>{{ say.photos }}</h3>
    <div class="strip">
      <figure v-for="p in job.photos" :key="p.id" data-test="photo">
        <img v-if="images[p.id]" :src="images[p.id]" :alt="p.caption" />
        <div v-else class="gone soft">{{ say.elsewhere }}</div>
        <TextField v-model="p.caption" :label="say.caption" hide-label :maxlength="400" />
        <ActButton kind="quiet" @click="remove(p.id)">{{ say.remove }}</ActButton>
      </figure>
      <FilePick :label="say.addAPhoto" :about="say.addPhotos" accept="image/*" multiple @files="add" />
    </div>
    <p v-if="fault" class="told odd" role="alert">{{ fault }}</p>
  </div>
</template>

<style scoped>
.strip {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: flex-start;
}
figure {
  margin: 0;
  width: 170px;
}
img,
.gone {
  width: 170px;
  height: 120px;
  object-fit: cover;
  border: 1px solid var(--line);
  border-radius: 8px;
  display: grid;
  place-items: center;
}
</style>
