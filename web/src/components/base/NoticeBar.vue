<script setup lang="ts">
import Alert from 'ant-design-vue/es/alert';

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
/* What can be done stands beside the words, or under them where they would be squeezed. */
.notice {
  flex-wrap: wrap;
  row-gap: 6px;
  padding: 7px 12px;
}
.notice :deep(.ant-alert-content) {
  flex: 1 1 11em;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
</style>
