<script setup lang="ts">
import { Slider } from 'ant-design-vue';

/** A figure that is moved to and fro to see what follows from it, with the figure itself beside it. */
const at = defineModel<number>({ required: true });
defineProps<{
  label: string;
  text: string;
  low: number;
  high: number;
  step: number;
  hideLabel?: boolean;
  disabled?: boolean;
}>();
</script>

<template>
  <div class="slide">
    <span class="word" :class="{ 'visually-hidden': hideLabel }">{{ label }}</span>
    <Slider
      :value="at"
      :min="low"
      :max="high"
      :step="step"
      :disabled="disabled"
      :aria-label="label"
      :aria-value-text-formatter="() => text"
      :tooltip-open="false"
      @update:value="at = $event as number"
    />
    <span class="mono">{{ text }}</span>
  </div>
</template>

<style scoped>
.slide {
  display: flex;
  flex-direction: column;
  min-width: 0;
}
.word {
  font-size: 13px;
  font-weight: 600;
}
</style>
