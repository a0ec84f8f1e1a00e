<script setup lang="ts">
import Progress from 'ant-design-vue/es/progress';

/** How far a long piece of work has come; `share` 0 … 1. */
defineProps<{ share: number; label: string }>();
</script>

<template>
  <Progress :percent="Math.round(100 * share)" :aria-label="label" :show-info="false" class="progress" />
</template>

<style scoped>
.progress {
  flex: 1 1 120px;
  max-width: 240px;
  margin: 0;
}
</style>
