<script setup lang="ts">
import Modal from 'ant-design-vue/es/modal';
import { useEscape } from './useEscape.ts';

/** A sheet in front of everything, closed by Escape. */
const open = defineModel<boolean>('open', { required: true });
defineProps<{ title: string; width: number }>();
useEscape(open);
</script>

<template>
  <Modal v-model:open="open" :title="title" :width="width" :footer="null" :keyboard="false"><slot /></Modal>
</template>
