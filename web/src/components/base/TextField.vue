<script setup lang="ts">
import Input from 'ant-design-vue/es/input';
import { computed, ref, useId } from 'vue';
import FieldFrame from './FieldFrame.vue';

/** Words as a person types them: one line, or (with `rows`) several. What is typed is told key by key, unless it is lazy. */
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
  /** What is typed is told when the field is left or Enter pressed, not key by key. */
  lazy?: boolean;
}>();
const emit = defineEmits<{
  /** Enter is pressed in it. */ enter: [];
  paste: [event: ClipboardEvent];
}>();
defineOptions({ inheritAttrs: false });
const id = useId();
/** What is typed into a lazy field and not told yet. */
const draft = ref<string>();
const shown = computed({
  get: () => draft.value ?? text.value,
  set: (typed) => (props.lazy ? (draft.value = typed) : (text.value = typed)),
});
function leave(): void {
  if (draft.value !== undefined) text.value = draft.value;
  draft.value = undefined;
}
/** What the library hands on to the field, some of it without knowing it. */
const handed = computed((): Record<string, unknown> => ({
  class: { mono: props.mono },
  spellcheck: props.mono ? false : undefined,
  inputmode: props.figure ? 'decimal' : undefined,
  onPaste: (event: ClipboardEvent) => emit('paste', event),
  ...(props.rows
    ? { rows: props.rows }
    : { bordered: !props.bare, type: props.search ? 'search' : 'text', autocomplete: 'off' }),
}));
</script>

<template>
  <FieldFrame :for="id" :label="label" :hide-label="hideLabel" :class="$attrs.class">
    <component
      :is="rows ? Input.TextArea : Input"
      v-bind="{ ...$attrs, ...handed }"
      :id="id"
      v-model:value="shown"
      :placeholder="placeholder"
      :maxlength="maxlength"
      :data-unsent="unsent ? '' : undefined"
      @press-enter="(leave(), emit('enter'))"
      @blur="leave"
    />
  </FieldFrame>
</template>
