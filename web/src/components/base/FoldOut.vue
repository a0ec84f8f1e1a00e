<script setup lang="ts">
import Collapse, { CollapsePanel } from 'ant-design-vue/es/collapse';
import { ref } from 'vue';

/** What is looked at now and then, folded away under a line that says what it is. */
defineProps<{ title: string }>();
const keys = ref<string[]>([]);
</script>

<template>
  <Collapse v-model:active-key="keys" ghost class="fold">
    <CollapsePanel key="a" :header="title" force-render><slot /></CollapsePanel>
  </Collapse>
</template>

<style scoped>
.fold :deep(.ant-collapse-header) {
  padding: 8px 0;
  min-height: var(--press);
  align-items: center;
}
.fold :deep(.ant-collapse-content-box) {
  padding: 0 0 6px;
}
</style>
