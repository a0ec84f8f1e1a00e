<script lang="ts">
import { type Component, shallowRef } from 'vue';
import { rested } from '../../browser/rested.ts';
import type { IconName } from './iconSet.ts';

/** The set, for all buttons of this window: fetched once the page rests. Without it, or until then, the words stand alone. */
const set = shallowRef<Readonly<Record<IconName, Component>>>();
void rested()
  .then(() => import('./iconSet.ts'))
  .then(({ ICONS }) => (set.value = ICONS))
  .catch(() => undefined);
</script>

<script setup lang="ts">
/** A sign beside a word, never read out: the word says it. Its room is there from the start, so that nothing moves when it comes. */
defineProps<{ name: IconName }>();
</script>

<template>
  <span class="icon" aria-hidden="true"><component :is="set[name]" v-if="set" /></span>
</template>

<style scoped>
.icon {
  display: inline-flex;
  align-items: center;
  width: 1em;
  height: 1em;
}
</style>
