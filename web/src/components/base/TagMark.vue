<script setup lang="ts">
import Tag from 'ant-design-vue/es/tag';
</script>

<template>
  <Tag class="tag"><slot /></Tag>
</template>

<style scoped>
.tag {
  margin: 0 4px 0 0;
  font-size: 0.75rem;
  color: var(--ink);
  background: var(--spruce-soft);
  border-color: transparent;
}
</style>
