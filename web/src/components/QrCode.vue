<script setup lang="ts">
import { encode } from 'uqr';
import { computed } from 'vue';

/** A text as QR code (ISO/IEC 18004), dark on white in every light: else no camera reads it. */
const props = defineProps<{ text: string; label: string }>();
/** Quiet zone of four modules, as the standard asks. */
const QUIET = 4;
const code = computed(() => encode(props.text, { ecc: 'M', border: 0 }));
const path = computed(() =>
  code.value.data
    .flatMap((row, y) => row.flatMap((on, x) => (on ? [`M${x + QUIET} ${y + QUIET}h1v1h-1z`] : [])))
    .join(''),
);
</script>

<template>
  <svg
    class="qr"
    role="img"
    :aria-label="label"
    :viewBox="`0 0 ${code.size + 2 * QUIET} ${code.size + 2 * QUIET}`"
    shape-rendering="crispEdges"
  >
    <rect width="100%" height="100%" fill="#fff" />
    <path :d="path" fill="#000" />
  </svg>
</template>

<style scoped>
.qr {
  display: block;
  width: 100%;
  aspect-ratio: 1;
}
</style>
