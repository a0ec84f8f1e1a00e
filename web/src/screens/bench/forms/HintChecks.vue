<script setup lang="ts">
import { HINTS, type HintId } from '@mellow-probe/core/circuit/harness/hints';
import { significant } from '@mellow-probe/core/base/units/writing';
import CheckBox from '../../../components/base/CheckBox.vue';

/** What is known of a place or a run of the loom, each with by how much it makes it likelier. */
defineProps<{ title: string }>();
const hints = defineModel<HintId[]>({ required: true });
function toggle(id: HintId, on: boolean): void {
  const rest = hints.value.filter((h) => h !== id);
  hints.value = on ? [...rest, id] : rest;
}
</script>

<template>
  <div role="group" :aria-label="title">
    <h3>{{ title }}</h3>
    <CheckBox
      v-for="h in HINTS"
      :key="h.id"
      :model-value="hints.includes(h.id)"
      @update:model-value="toggle(h.id, $event)"
      >{{ h.name }} <span class="soft">× {{ significant(h.series, 3) }}</span></CheckBox
    >
  </div>
</template>

<style scoped>
h3 {
  font-size: 0.9375rem;
}
</style>
