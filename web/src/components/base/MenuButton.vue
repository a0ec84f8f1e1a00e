<script setup lang="ts">
import ActIcon from './ActIcon.vue';
import type { IconName } from './iconSet.ts';
import Button from 'ant-design-vue/es/button';
import Dropdown from 'ant-design-vue/es/dropdown';
import Menu, { type MenuProps } from 'ant-design-vue/es/menu';
import { computed, h, nextTick, ref } from 'vue';

/** All that can be done, behind one button. */
const props = defineProps<{
  /** What the button says; read out as `name` where that is not enough. */
  label: string;
  name?: string;
  entries: readonly { name: string; act: () => void; grave?: boolean; icon?: IconName | undefined }[];
}>();
/** The library's menu costs more than a row of a list: it is made with the first press. */
const asked = ref(false);
const open = ref(false);
const menu = computed<MenuProps>(() => ({
  items: props.entries.map((e, key) => ({
    key,
    label: e.name,
    danger: e.grave,
    ...(e.icon && { icon: h(ActIcon, { name: e.icon }) }),
    style: { minHeight: 'var(--press)', display: 'flex', alignItems: 'center' },
  })),
  onClick: ({ key }) => {
    open.value = false;
    props.entries[Number(key)].act();
  },
}));
const button = ref<InstanceType<typeof Button>>();
async function ask(): Promise<void> {
  asked.value = true;
  await nextTick();
  (button.value?.$el as HTMLElement).focus();
  open.value = true;
}
</script>

<template>
  <Button v-if="!asked" type="text" :aria-label="name ?? label" aria-haspopup="menu" @click="ask">{{ label }}</Button>
  <Dropdown
    v-else
    v-model:open="open"
    :trigger="['click']"
    placement="bottomRight"
    :get-popup-container="(trigger) => trigger.parentElement!"
  >
    <Button ref="button" type="text" :aria-label="name ?? label" aria-haspopup="menu">{{ label }}</Button>
    <template #overlay><Menu v-bind="menu" /></template>
  </Dropdown>
</template>
