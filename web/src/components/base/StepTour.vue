<script setup lang="ts">
import { Tour, type TourProps } from 'ant-design-vue';
import { computed, ref, watch } from 'vue';

/** A walk round a screen, a step a place: skipped at any time by its cross or Escape. A place that is not on the screen is told without a frame. */
const open = defineModel<boolean>('open', { required: true });
const props = defineProps<{ steps: readonly { at: string; title: string; words: string }[] }>();
const at = ref(0);
watch(open, (isOpen) => isOpen && (at.value = 0));
/** Large enough for a thumb. */
const style = { minHeight: 'var(--press)', paddingInline: '14px' };
const steps = computed((): TourProps['steps'] =>
  props.steps.map(({ at: place, title, words }, i) => ({
    title,
    description: words,
    target: () => document.querySelector<HTMLElement>(place) as HTMLElement,
    nextButtonProps: { children: () => (i === props.steps.length - 1 ? 'Begin' : 'Next'), style },
    prevButtonProps: { children: () => 'Back', style },
  })),
);
</script>

<template>
  <Tour v-model:current="at" :open="open" :steps="steps" @close="open = false" @finish="open = false" />
</template>
