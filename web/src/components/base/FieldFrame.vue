<script setup lang="ts">
/** A label over a control; the label stays for screen readers where it is not shown. */
defineProps<{ label: string; for?: string; hideLabel?: boolean }>();
</script>

<template>
  <div class="frame">
    <label :for="$props.for" :class="{ 'visually-hidden': hideLabel }">{{ label }}</label>
    <slot />
  </div>
</template>

<style scoped>
.frame {
  position: relative;
  display: flex;
  flex-direction: column;
  gap: 2px;
  min-width: 0;
}
label {
  font-size: 0.8125rem;
  font-weight: 600;
}
</style>
