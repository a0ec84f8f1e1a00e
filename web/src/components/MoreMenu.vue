<script setup lang="ts">
import { Dropdown, Menu, type MenuProps } from 'ant-design-vue';
import { computed } from 'vue';

/** All that can be done, behind one button: the form of a bar on a phone. */
const props = defineProps<{ entries: readonly { name: string; act: () => void }[] }>();
const menu = computed<MenuProps>(() => ({
  items: props.entries.map((e, key) => ({ key, label: e.name, style: { minHeight: '48px' } })),
  onClick: ({ key }) => props.entries[Number(key)].act(),
}));
</script>

<template>
  <Dropdown :trigger="['click']" placement="bottomRight" :get-popup-container="(trigger) => trigger.parentElement!">
    <button class="act quiet more" type="button" aria-label="More" aria-haspopup="menu">⋯</button>
    <template #overlay><Menu v-bind="menu" /></template>
  </Dropdown>
</template>

<style scoped>
.more {
  min-width: 48px;
  margin-left: auto;
  font-size: 22px;
}
</style>
