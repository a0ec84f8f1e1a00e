<script setup lang="ts" generic="T extends string | number">
import Radio from 'ant-design-vue/es/radio';

/** Escape leaves the row, so that the keys of the screen work again. */
const onKeydown = (event: KeyboardEvent): void => {
  if (event.key === 'Escape') (event.target as HTMLElement).blur();
};
/** One of a few, all in sight. */
const chosen = defineModel<T | undefined>({ required: true });
defineProps<{ label: string; options: readonly { value: T; label: string }[] }>();
</script>

<template>
  <Radio.Group v-model:value="chosen" v-bind="{ role: 'radiogroup', onKeydown }" :aria-label="label" class="choice">
    <Radio v-for="o in options" :key="o.value" :value="o.value" class="one">{{ o.label }}</Radio>
  </Radio.Group>
</template>

<style scoped>
.choice {
  display: flex;
  flex-wrap: wrap;
  gap: 0 10px;
}
.one {
  display: inline-flex;
  align-items: center;
  min-height: var(--press);
}
</style>
