<script setup lang="ts">
import Popover from 'ant-design-vue/es/popover';

/** A small sheet beside what is pressed. */
const open = defineModel<boolean>('open', { required: true });
defineProps<{ title: string }>();
</script>

<template>
  <Popover v-model:open="open" trigger="click" placement="bottom" :title="title">
    <slot />
    <template #content><slot name="content" /></template>
  </Popover>
</template>
