<script setup lang="ts">
import { Input } from 'ant-design-vue';
import { computed, useId } from 'vue';
import FieldFrame from './FieldFrame.vue';

/** Words as a person types them: one line, or (with `rows`) several. What is typed is emitted key by key. */
const text = defineModel<string>({ required: true });
const props = defineProps<{
  label: string;
  hideLabel?: boolean;
  rows?: number;
  placeholder?: string;
  maxlength?: number;
  search?: boolean;
  mono?: boolean;
  /** Without a frame: a title that can be typed over. */
  bare?: boolean;
  /** Text that is no part of the record yet: guarded against leaving the page. */
  unsent?: boolean;
  /** A figure: a phone shows digits first, and the spelling is nobody's business. */
  figure?: boolean;
}>();
const emit = defineEmits<{
  /** The field is left, or Enter pressed in it. */ leave: [];
  paste: [event: ClipboardEvent];
}>();
defineOptions({ inheritAttrs: false });
const id = useId();
const { TextArea } = Input;
/** What the library hands on to the field without knowing it. */
const handed = computed(() => ({
  class: { mono: props.mono },
  spellcheck: props.mono ? false : undefined,
  inputmode: props.figure ? 'decimal' : undefined,
  onPaste: (event: ClipboardEvent) => emit('paste', event),
}));
</script>

<template>
  <FieldFrame :for="id" :label="label" :hide-label="hideLabel" :class="$attrs.class">
    <TextArea
      v-if="rows"
      v-bind="{ ...$attrs, ...handed }"
      :id="id"
      v-model:value="text"
      :rows="rows"
      :placeholder="placeholder"
      :maxlength="maxlength"
      :data-unsent="unsent ? '' : undefined"
      @blur="emit('leave')"
    />
    <Input
      v-else
      v-bind="{ ...$attrs, ...handed }"
      :id="id"
      v-model:value="text"
      :bordered="!bare"
      :type="search ? 'search' : 'text'"
      :placeholder="placeholder"
      :maxlength="maxlength"
      :data-unsent="unsent ? '' : undefined"
      @press-enter="emit('leave')"
      @blur="emit('leave')"
      autocomplete="off"
    />
  </FieldFrame>
</template>
