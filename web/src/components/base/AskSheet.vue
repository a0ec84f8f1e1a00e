<script setup lang="ts">
import { Modal } from 'ant-design-vue';

/** A sheet in front of everything, closed by Escape. */
const open = defineModel<boolean>('open', { required: true });
defineProps<{ title: string; width: number }>();
</script>

<template>
  <Modal v-model:open="open" :title="title" :width="width" :footer="null"><slot /></Modal>
</template>
