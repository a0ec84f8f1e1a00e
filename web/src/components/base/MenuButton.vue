<script setup lang="ts">
import ActIcon from './ActIcon.vue';
import type { IconName } from './iconSet.ts';
import { Button, Dropdown, Menu, type MenuProps } from 'ant-design-vue';
import { computed, h } from 'vue';

/** All that can be done, behind one button. */
const props = defineProps<{
  /** What the button says; read out as `name` where that is not enough. */
  label: string;
  name?: string;
  entries: readonly { name: string; act: () => void; grave?: boolean; icon?: IconName | undefined }[];
}>();
const menu = computed<MenuProps>(() => ({
  items: props.entries.map((e, key) => ({
    key,
    label: e.name,
    danger: e.grave,
    ...(e.icon && { icon: h(ActIcon, { name: e.icon }) }),
    style: { minHeight: 'var(--press)', display: 'flex', alignItems: 'center' },
  })),
  onClick: ({ key }) => props.entries[Number(key)].act(),
}));
</script>

<template>
  <Dropdown :trigger="['click']" placement="bottomRight" :get-popup-container="(trigger) => trigger.parentElement!">
    <Button type="text" :aria-label="name ?? label" aria-haspopup="menu">{{ label }}</Button>
    <template #overlay><Menu v-bind="menu" /></template>
  </Dropdown>
</template>
