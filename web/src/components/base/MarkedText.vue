<script setup lang="ts">
import { unbroken } from '@mellow-probe/core/wording/unbroken';
import { computed } from 'vue';

/** A sentence of `wording/` with what stands out between pairs of `**`: one sentence to a translator, who puts the marked words where they belong. */
const props = defineProps<{
  text: string;
  /** Marked words are figures, in the figures' font; otherwise they are bold. */ figures?: boolean;
}>();
/** Plain and marked words in turn, a plain one first. */
const parts = computed(() => unbroken(props.text).split('**'));
</script>

<template>
  <template v-for="(part, i) in parts" :key="i"
    ><template v-if="i % 2 === 0">{{ part }}</template
    ><span v-else-if="figures" class="mono">{{ part }}</span
    ><b v-else>{{ part }}</b></template
  >
</template>
