<script setup lang="ts">
import { Alert } from 'ant-design-vue';

/** Something that must be told at its place, with what can be done about it. */
defineProps<{ /** told: nothing is wrong. */ kind?: 'told' | 'odd' | 'bad'; status?: boolean }>();
const TYPES = { told: 'info', odd: 'warning', bad: 'error' } as const;
</script>

<template>
  <Alert :type="TYPES[kind ?? 'odd']" v-bind="status ? { role: 'status' } : {}" class="notice">
    <template #message><slot /></template>
    <template v-if="$slots.action" #action
      ><span class="acts"><slot name="action" /></span
    ></template>
  </Alert>
</template>

<style scoped>
.notice {
  padding: 7px 12px;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
</style>
