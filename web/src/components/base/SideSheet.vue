<script setup lang="ts">
import Drawer from 'ant-design-vue/es/drawer';
import { nextTick, ref, watch } from 'vue';
import { said } from './said.ts';
import { useEscape } from './useEscape.ts';

/** A sheet that comes in from the side over the bench; on a phone it is as wide as the screen. */
const open = defineModel<boolean>('open', { required: true });
const props = defineProps<{ title: string; width: number }>();
useEscape(open);

/**
 * The library's drawer is no dialog to those who do not see it, and leaves the focus where it was: said here, and the focus goes in and comes back.
 */
const inner = ref<HTMLElement>();
let before: HTMLElement | null = null;
watch(
  open,
  async (isOpen) => {
    if (!isOpen) {
      before?.focus();
      before = null;
      return;
    }
    before = document.activeElement instanceof HTMLElement ? document.activeElement : null;
    await nextTick();
    const sheet = inner.value?.closest<HTMLElement>('.ant-drawer-content');
    if (!sheet) return;
    said(sheet, { role: 'dialog', 'aria-modal': 'true', 'aria-label': props.title, tabindex: '-1' });
    sheet.focus({ preventScroll: true });
  },
  { immediate: true },
);
</script>

<template>
  <Drawer v-model:open="open" :keyboard="false" :title="title" :width="`min(${width}px, 100vw)`">
    <div ref="inner"><slot /></div>
  </Drawer>
</template>
