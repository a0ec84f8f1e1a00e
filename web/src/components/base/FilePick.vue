<script setup lang="ts">
import { Button, Upload, type UploadProps } from 'ant-design-vue';
import { computed } from 'vue';

/** Files of this device: picked by a button, or dropped on it. Nothing is sent anywhere. */
const props = defineProps<{
  label: string;
  accept: string;
  multiple?: boolean;
  kind?: 'plain' | 'main';
  disabled?: boolean;
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
const type = computed(() => (props.kind === 'main' ? 'primary' : 'default'));
</script>

<template>
  <Upload
    :accept="accept"
    :multiple="multiple"
    :show-upload-list="false"
    :before-upload="take"
    :open-file-dialog-on-click="!disabled"
    :data-files="about ?? label"
  >
    <Button :type="type" :disabled="disabled"><slot />{{ label }}</Button>
  </Upload>
</template>
