<script setup lang="ts">
import { Button, Upload, type UploadProps } from 'ant-design-vue';
import { computed, onMounted, onUpdated, ref } from 'vue';

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
/** The library makes a button of what lies around the button: one of them is enough, and the inner one has the name. */
const root = ref<HTMLElement>();
function mend(): void {
  const outer = root.value?.querySelector('[role="button"]');
  outer?.removeAttribute('role');
  outer?.removeAttribute('tabindex');
}
onMounted(mend);
onUpdated(mend);
const type = computed(() => (props.kind === 'main' ? 'primary' : 'default'));
</script>

<template>
  <span ref="root" :data-files="about ?? label">
    <Upload
      :accept="accept"
      :multiple="multiple"
      :show-upload-list="false"
      :before-upload="take"
      :open-file-dialog-on-click="!disabled"
    >
      <Button :type="type" :disabled="disabled"><slot />{{ label }}</Button>
    </Upload>
  </span>
</template>
