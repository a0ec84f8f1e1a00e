<script setup lang="ts">
import Slider from 'ant-design-vue/es/slider';

/** A figure that is moved to and fro to see what follows from it, with the figure itself beside it. */
const at = defineModel<number>({ required: true });
defineProps<{
  label: string;
  text: string;
  low: number;
  high: number;
  step: number;
}>();
</script>

<template>
  <div class="slide">
    <span class="word">{{ label }}</span>
    <Slider
      :value="at"
      :min="low"
      :max="high"
      :step="step"
      v-bind="{ ariaLabelForHandle: label, ariaValueTextFormatterForHandle: () => text }"
      :tooltip-open="false"
      @update:value="at = $event as number"
    />
    <span class="mono">{{ text }}</span>
  </div>
</template>

<style scoped>
.slide {
  display: grid;
  grid-template-columns: 140px minmax(60px, 1fr) 130px;
  gap: 8px;
  align-items: center;
  min-height: 36px;
  font-size: 0.875rem;
}
</style>
