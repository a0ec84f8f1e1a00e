<script setup lang="ts">
import { stepTourWords as say } from '@mellow-probe/core/wording/screens/base';
import Tour, { type TourProps } from 'ant-design-vue/es/tour';
import { computed, nextTick, onBeforeUnmount, onMounted, ref, watch } from 'vue';
import { said } from './said.ts';

/** A walk round a screen, a step a place: skipped at any time by its cross or Escape. A place that is not on the screen is told without a frame. */
const open = defineModel<boolean>('open', { required: true });
const props = defineProps<{ steps: readonly { at: string; title: string; words: string }[] }>();
const at = ref(0);
watch(open, (isOpen) => isOpen && (at.value = 0));
/** The library's walk is no dialog to those who do not see it, and its cross no button: said here, each time it is drawn. */
watch(
  [open, at],
  async () => {
    await nextTick();
    requestAnimationFrame(() => {
      const sheet = document.querySelector<HTMLElement>('.ant-tour');
      said(sheet, { role: 'dialog', 'aria-label': props.steps[at.value]?.title ?? '' });
      said(sheet?.querySelector('.ant-tour-close'), { role: 'button', 'aria-label': say.close, tabindex: '0' });
    });
  },
  { immediate: true },
);
function leave(event: KeyboardEvent): void {
  const onCross = event.target instanceof HTMLElement && event.target.closest('.ant-tour-close') !== null;
  if (open.value && (event.key === 'Escape' || (onCross && event.key === 'Enter'))) open.value = false;
}
onMounted(() => window.addEventListener('keydown', leave));
onBeforeUnmount(() => window.removeEventListener('keydown', leave));
/** Large enough for a thumb. */
const style = { minHeight: 'var(--press)', paddingInline: '14px' };
const steps = computed((): TourProps['steps'] =>
  props.steps.map(({ at: place, title, words }, i) => ({
    title,
    description: words,
    target: () => document.querySelector<HTMLElement>(place) as HTMLElement,
    nextButtonProps: { children: () => (i === props.steps.length - 1 ? say.begin : say.next), style },
    prevButtonProps: { children: () => say.back, style },
  })),
);
</script>

<template>
  <Tour v-model:current="at" :open="open" :steps="steps" @close="open = false" @finish="open = false" />
</template>

<style>
/* The library lays it at the end of the page, where nothing of ours is scoped: no wider than a phone. */
.ant-tour.ant-tour {
  max-width: calc(100vw - 16px);
}
</style>
