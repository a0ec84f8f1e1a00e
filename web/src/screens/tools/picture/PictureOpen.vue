<script setup lang="ts">
import { pictureOpenWords as say } from '@mellow-probe/core/wording/screens/shelfPicture';
import FilePick from '../../../components/base/FilePick.vue';

import { computed, onBeforeUnmount, onMounted, ref } from 'vue';
import type { useKeptPicture } from '../../../session/keptPicture.ts';

/** Where a picture comes in: from a file, from the camera, dropped, or pasted. */
const props = defineProps<{
  kept: ReturnType<typeof useKeptPicture>;
  subject: 'table' | 'diagram';
  /** What else is to be told of it. */
  note: string;
  /** What of the work on it is not kept, and why; null where all is. */
  lost: string | null;
}>();
const has = computed(() => props.kept.picture.value !== null);
const emit = defineEmits<{ open: [file: File] }>();

const over = ref(false);

function take(files: Iterable<File> | null | undefined): void {
  const all = [...(files ?? [])];
  const file = all.find((f) => f.type.startsWith('image/')) ?? all.at(0);
  if (file) emit('open', file);
}
function pasted(event: ClipboardEvent): void {
  if ([...(event.clipboardData?.files ?? [])].some((f) => f.type.startsWith('image/'))) {
    event.preventDefault();
    take(event.clipboardData?.files);
  }
}
onMounted(() => document.addEventListener('paste', pasted));
onBeforeUnmount(() => document.removeEventListener('paste', pasted));
</script>

<template>
  <div
    class="open"
    :class="{ over, has }"
    @dragover.prevent="over = true"
    @dragleave="over = false"
    @drop.prevent="((over = false), take($event.dataTransfer?.files))"
  >
    <FilePick
      :label="has ? say.anotherPicture : say.openOrTake[subject]"
      :kind="has ? 'plain' : 'main'"
      :about="say.pictureOf[subject]"
      accept="image/*"
      @files="take"
    />
    <span v-if="!has" class="soft">{{ say.dropHint }}</span>
  </div>
  <p v-if="kept.fault.value || note" class="told odd" role="alert">{{ kept.fault.value || note }}</p>
  <p v-if="lost" class="told odd" role="alert">{{ lost }}</p>
</template>

<style scoped>
.open {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
  align-items: center;
}
.open:not(.has) {
  flex-direction: column;
  justify-content: center;
  min-height: 180px;
  padding: 16px;
  border: 1px dashed var(--line-strong);
  border-radius: 8px;
  text-align: center;
}
.over {
  background: var(--spruce-soft);
}
</style>
