<script setup lang="ts">
import { shareSheetWords as say } from '@mellow-probe/core/wording/screens/components';
import type { Job } from '@mellow-probe/core/check/job/jobSchema';
import { saveJob } from '@mellow-probe/core/check/job/openJob';
import { framesOf } from '@mellow-probe/core/check/sharing/frames';
import { computed, onBeforeUnmount, onMounted, ref } from 'vue';
import { packText } from '../browser/packedText.ts';
import { workshopBase } from '../browser/workshop.ts';
import ActButton from './base/ActButton.vue';
import AskSheet from './base/AskSheet.vue';
import QrCode from './QrCode.vue';

/** A check to another device, without a server between: as a link that holds it, or as pictures one after the other. Photos stay behind. */
const { job } = defineProps<{ job: Job }>();
const emit = defineEmits<{ close: [] }>();
const open = ref(true);
const text = ref('');
const frame = ref(0);
const copied = ref('');
/** Longest link that mail and messages leave whole. Common practice, no source. */
const LONGEST_LINK = 8000;
onMounted(async () => {
  const bare = { ...job, photos: job.photos.map((p) => ({ ...p, image: null })) };
  text.value = await packText(JSON.stringify(JSON.parse(saveJob(bare))));
});
const link = computed(() => `${window.location.origin}${workshopBase}take#${text.value}`);
const frames = computed(() => (text.value ? framesOf(text.value) : null));
/** Time for one picture: a camera takes some fifteen a second, and looks twice. */
const timer = setInterval(() => (frame.value = frames.value ? (frame.value + 1) % frames.value.length : 0), 450);
onBeforeUnmount(() => clearInterval(timer));
async function copy(): Promise<void> {
  try {
    await navigator.clipboard.writeText(link.value);
    copied.value = say.copied;
  } catch {
    copied.value = say.copyRefused;
  }
}
</script>

<template>
  <AskSheet v-model:open="open" :title="say.shareThisCheck" :width="480" @update:open="emit('close')">
    <div class="share">
      <p v-if="job.photos.length > 0" class="soft">{{ say.withoutPhotos }}</p>
      <template v-if="frames">
        <div class="code"><QrCode :text="frames[frame]" :label="say.pictureOf(frame + 1, frames.length)" /></div>
        <p class="soft" data-test="frame">
          {{ say.pictureHelp(frame + 1, frames.length) }}
        </p>
      </template>
      <p v-else-if="text" class="soft">{{ say.tooLargeForPictures }}</p>
      <div v-if="link.length <= LONGEST_LINK && text" class="row">
        <ActButton kind="main" @click="copy">{{ say.copyLink }}</ActButton>
        <span role="status" class="soft">{{ copied }}</span>
      </div>
      <p v-if="text && link.length <= LONGEST_LINK" class="soft">
        {{ say.linkHelp }}
      </p>
      <p v-else-if="text" class="soft">{{ say.tooLargeForLink }}</p>
    </div>
  </AskSheet>
</template>

<style scoped>
.share {
  display: flex;
  flex-direction: column;
  gap: 8px;
}
.code {
  align-self: center;
  width: min(100%, 400px);
}
p {
  margin: 0;
}
.row {
  display: flex;
  gap: 10px;
  align-items: center;
}
</style>
