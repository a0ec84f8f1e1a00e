<script setup lang="ts">
import { wireColours } from '@mellow-probe/core/circuit/harness/wireColours';
import { computed } from 'vue';

/** A wire as it looks: its colour, the second one as stripes; nothing where its words are no colours. */
const props = defineProps<{ colours: string }>();
const drawn = computed(() => {
  const [ground, stripe] = wireColours(props.colours);
  if (!ground) return null;
  return stripe ? `repeating-linear-gradient(115deg, ${ground} 0 7px, ${stripe} 7px 10px)` : ground;
});
</script>

<template>
  <span v-if="drawn" class="swatch" :style="{ background: drawn }" aria-hidden="true"></span>
</template>

<style scoped>
.swatch {
  display: inline-block;
  width: 26px;
  height: 8px;
  border: 1px solid var(--line-strong);
  border-radius: 3px;
  vertical-align: middle;
  /* Its colours are what it says. */
  forced-color-adjust: none;
}
</style>
