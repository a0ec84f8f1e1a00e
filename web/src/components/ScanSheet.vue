<script setup lang="ts">
import { scanSheetWords as say } from '@mellow-probe/core/wording/screens/components';
import jsQR from 'jsqr';
import { onBeforeUnmount, onMounted, ref } from 'vue';
import ActButton from './base/ActButton.vue';
import AskSheet from './base/AskSheet.vue';
import TextField from './base/TextField.vue';

/** Reads QR codes with the camera, one after the other, until it is closed. Without a camera the code is typed. */
defineProps<{ title: string; /** How far a sequence has come. */ progress?: string }>();
const emit = defineEmits<{ found: [text: string]; close: [] }>();
const open = ref(true);
const video = ref<HTMLVideoElement>();
const typed = ref('');
const fault = ref('');
let stream: MediaStream | null = null;
let frame = 0;
let last = '';

async function start(): Promise<void> {
  // Over plain HTTP from another device a browser has no camera to give.
  if (!('mediaDevices' in navigator)) {
    fault.value = say.noCamera;
    return;
  }
  try {
    stream = await navigator.mediaDevices.getUserMedia({ video: { facingMode: 'environment' } });
    if (!video.value) return stop();
    video.value.srcObject = stream;
    await video.value.play();
    frame = requestAnimationFrame(look);
  } catch {
    fault.value = say.cameraRefused;
  }
}
const canvas = document.createElement('canvas');
function look(): void {
  frame = requestAnimationFrame(look);
  const { videoWidth: width, videoHeight: height } = video.value ?? { videoWidth: 0, videoHeight: 0 };
  if (!video.value || width === 0) return;
  [canvas.width, canvas.height] = [width, height];
  const pen = canvas.getContext('2d', { willReadFrequently: true });
  if (!pen) return;
  pen.drawImage(video.value, 0, 0);
  const code = jsQR(pen.getImageData(0, 0, width, height).data, width, height);
  if (!code || code.data === '' || code.data === last) return;
  last = code.data;
  emit('found', code.data);
}
function stop(): void {
  cancelAnimationFrame(frame);
  for (const track of stream?.getTracks() ?? []) track.stop();
  stream = null;
}
onMounted(start);
onBeforeUnmount(stop);
</script>

<template>
  <AskSheet v-model:open="open" :title="title" :width="460" @update:open="$emit('close')">
    <div class="scan">
      <p v-if="fault" role="status" class="soft">{{ fault }}</p>
      <video v-show="!fault" ref="video" muted playsinline :aria-label="say.cameraLabel"></video>
      <p v-if="progress" role="status">{{ progress }}</p>
      <form class="row" @submit.prevent="typed.trim() && $emit('found', typed)">
        <TextField v-model="typed" :label="say.codeTyped" mono />
        <ActButton submit>{{ say.takeIt }}</ActButton>
      </form>
    </div>
  </AskSheet>
</template>

<style scoped>
.scan {
  display: flex;
  flex-direction: column;
  gap: 10px;
}
video {
  width: 100%;
  aspect-ratio: 4 / 3;
  object-fit: cover;
  background: var(--line-strong);
  border-radius: 9px;
}
.row {
  display: flex;
  gap: 8px;
  align-items: end;
}
.row > :first-child {
  flex: 1;
}
</style>
