<script setup lang="ts">
import Upload, { type UploadProps } from 'ant-design-vue/es/upload';
import { onMounted, onUpdated, ref } from 'vue';
import { said } from './said.ts';
import ActButton from './ActButton.vue';

/** Files of this device: picked by a button, or dropped on it. Nothing is sent anywhere. */
defineProps<{
  label: string;
  accept: string;
  multiple?: boolean;
  kind?: 'plain' | 'main';
  /** Said of the field itself, where the button's word is too short. */
  about?: string;
}>();
const emit = defineEmits<{ files: [files: File[]] }>();
let batch: File[] = [];
/** The library asks once for each file; they are handed on together, in the order in which they were picked. */
const take: UploadProps['beforeUpload'] = (file, all) => {
  batch.push(file);
  if (batch.length === all.length) {
    emit('files', batch);
    batch = [];
  }
  return false;
};
/** The library makes a button of what lies around the button: one of them is enough, and the inner one has the name. */
const root = ref<HTMLElement>();
function mend(): void {
  const outer = root.value?.querySelector('[role="button"]');
  said(outer, { role: null, tabindex: null });
}
onMounted(mend);
onUpdated(mend);
</script>

<template>
  <span ref="root" :data-files="about ?? label">
    <Upload :accept="accept" :multiple="multiple" :show-upload-list="false" :before-upload="take">
      <ActButton :kind="kind" icon="folderOpen">{{ label }}</ActButton>
    </Upload>
  </span>
</template>
