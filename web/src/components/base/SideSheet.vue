<script setup lang="ts">
import { Drawer } from 'ant-design-vue';

/** A sheet that comes in from the side over the bench; on a phone it is as wide as the screen. */
const open = defineModel<boolean>('open', { required: true });
defineProps<{ title: string; width: number }>();
</script>

<template>
  <Drawer v-model:open="open" :title="title" :width="`min(${width}px, 100vw)`"><slot /></Drawer>
</template>
