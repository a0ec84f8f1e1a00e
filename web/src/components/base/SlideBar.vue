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
      v-bind="{ ariaLabelForHandle: label, ariaValueTextFormatterForHandle: () => text }"
      :tooltip-open="false"
      @update:value="at = $event as number"
    />
    <span class="mono">{{ text }}</span>
  </div>
</template>

<style scoped>
.slide {
  position: relative;
  display: grid;
  grid-template-columns: 140px minmax(60px, 1fr) 130px;
  gap: 8px;
  align-items: center;
  min-height: 36px;
  font-size: 14px;
}
.word.visually-hidden + * {
  grid-column: 1 / 3;
}
</style>
