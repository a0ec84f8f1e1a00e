<script setup lang="ts">
import { useId } from 'vue';

/** A native list to pick one from: it works with gloves, keys and every screen reader. */
defineProps<{
  label: string;
  groups: readonly { label: string; options: readonly { value: string; label: string }[] }[];
  value?: string | undefined;
  /** First line while nothing is picked; with it the list goes back to that line after each pick. */
  prompt?: string;
  hideLabel?: boolean;
}>();
const emit = defineEmits<{ pick: [value: string] }>();
const id = useId();

function picked(event: Event): void {
  const list = event.target as HTMLSelectElement;
  if (list.value !== '') emit('pick', list.value);
}
</script>

<template>
  <div class="pick">
    <label :for="id" :class="{ 'visually-hidden': hideLabel }">{{ label }}</label>
    <select :id="id" :value="value ?? ''" @change="picked">
      <option v-if="prompt || value === undefined" value="" :disabled="!prompt">{{ prompt ?? '—' }}</option>
      <optgroup v-for="g in groups" :key="g.label" :label="g.label">
        <option v-for="o in g.options" :key="o.value" :value="o.value">{{ o.label }}</option>
      </optgroup>
    </select>
  </div>
</template>

<style scoped>
.pick {
  display: flex;
  flex-direction: column;
  min-width: 0;
}
label {
  font-size: 13px;
  font-weight: 600;
  margin-bottom: 2px;
}
select {
  width: 100%;
  height: 44px;
  padding: 0 8px;
  border: 1.5px solid var(--line-strong);
  border-radius: 9px;
  background: var(--field);
  text-overflow: ellipsis;
  cursor: pointer;
}
</style>
