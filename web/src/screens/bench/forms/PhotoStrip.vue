<script setup lang="ts">
import { ref, watch } from 'vue';
import { newId, nowIso } from '../../../composables/newId.ts';
import { scaledJpeg } from '../../../composables/scaledJpeg.ts';
import { getPhoto, putPhoto, removePhoto } from '../../../storage/photoStorage.ts';
import { useOpenJob } from '../../../stores/openJob.ts';

/** Photos of a job: scaled down, kept in the browser beside the job, part of its file and report. */
const bench = useOpenJob();
const images = ref<Record<string, string>>({});
const picker = ref<HTMLInputElement>();
const fault = ref('');
const MOST = 12;

watch(
  () => bench.job!.photos.map((p) => p.id).join(),
  async () => {
    for (const p of bench.job!.photos)
      if (!images.value[p.id]) images.value[p.id] = p.image ?? (await getPhoto(p.id)) ?? '';
  },
  { immediate: true },
);

async function add(files: FileList | null): Promise<void> {
  fault.value = '';
  for (const file of files ?? []) {
    if (bench.job!.photos.length >= MOST) {
      fault.value = `At most ${MOST} photos a job.`;
      break;
    }
    const image = await scaledJpeg(file);
    if (!image) {
      fault.value = `${file.name}: not a picture this browser can read.`;
      continue;
    }
    const id = newId();
    const kept = await putPhoto(id, image);
    if (kept !== 'kept') {
      fault.value =
        kept === 'full'
          ? 'The browser’s storage is full: this photo was not kept.'
          : 'The browser blocks its storage: this photo was not kept.';
      continue;
    }
    images.value[id] = image;
    bench.job!.photos.push({ id, caption: file.name.replace(/\.\w+$/, ''), takenAt: nowIso(), image: null });
  }
  if (picker.value) picker.value.value = '';
}
async function remove(id: string): Promise<void> {
  bench.job!.photos = bench.job!.photos.filter((p) => p.id !== id);
  await removePhoto(id);
}
</script>

<template>
  <div>
    <h3>Photos</h3>
    <div class="strip">
      <figure v-for="p in bench.job!.photos" :key="p.id" data-test="photo">
        <img v-if="images[p.id]" :src="images[p.id]" :alt="p.caption" />
        <div v-else class="gone soft">not in this browser</div>
        <input v-model="p.caption" class="text" aria-label="Caption" maxlength="400" />
        <button class="act quiet" type="button" @click="remove(p.id)">Remove</button>
      </figure>
      <button class="act" type="button" @click="picker?.click()">Add a photo…</button>
      <input
        ref="picker"
        class="visually-hidden"
        type="file"
        accept="image/*"
        multiple
        aria-label="Add photos"
        tabindex="-1"
        @change="add(($event.target as HTMLInputElement).files)"
      />
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
