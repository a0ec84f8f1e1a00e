<script setup lang="ts" generic="T extends string | number">
import Select, { type SelectProps } from 'ant-design-vue/es/select';
import { type ComponentPublicInstance, computed, useId } from 'vue';
import { useTouch } from '../../browser/useMedia.ts';
import FieldFrame from './FieldFrame.vue';
import type { PickOption } from './pickOption.ts';
import { useSoundCombobox } from './useSoundCombobox.ts';

/** One of many, from a list that opens: searched by typing where it is long. */
const props = defineProps<{
  label: string;
  hideLabel?: boolean;
  options?: readonly PickOption<T>[];
  groups?: readonly { label: string; options: readonly PickOption<T>[] }[];
  modelValue?: T | undefined;
  /** Shown while nothing is picked. */
  prompt?: string;
  disabled?: boolean;
  asked?: boolean;
}>();
const emit = defineEmits<{ 'update:modelValue': [value: T] }>();
defineOptions({ inheritAttrs: false });
const id = useId();
const touch = useTouch();
const { box, open } = useSoundCombobox(id, () => props.label);
const count = computed(
  () => (props.options ?? []).length + (props.groups ?? []).reduce((n, g) => n + g.options.length, 0),
);
/** On a phone the keyboard would cover the list: only a list of several screens is searched there. */
const searched = computed(() => count.value > (touch.value ? 30 : 10));
const entries = computed(() => [...(props.options ?? []), ...(props.groups ?? [])] as SelectProps['options']);
const found: SelectProps['filterOption'] = (typed, option) => {
  // A group is asked, too: it stays as long as one of its own is found.
  if (option?.options) return false;
  const { label, about = '' } = option as unknown as PickOption<T>;
  const text = `${label} ${about}`.toLowerCase();
  return typed
    .toLowerCase()
    .split(/\s+/)
    .every((word) => text.includes(word));
};
</script>

<template>
  <FieldFrame :for="id" :label="label" :hide-label="hideLabel" :class="$attrs.class">
    <Select
      :id="id"
      :ref="(list) => (box = list as ComponentPublicInstance)"
      v-bind="{ ...$attrs, class: ['list', { asked }] }"
      :open="open"
      @dropdown-visible-change="open = $event"
      :value="modelValue as SelectProps['value']"
      :options="entries"
      :placeholder="prompt ?? '—'"
      :show-search="searched"
      :filter-option="found"
      :disabled="disabled"
      :virtual="false"
      :dropdown-match-select-width="240"
      @change="emit('update:modelValue', $event as T)"
    >
      <template #option="o">
        <span class="name">{{ o.label }}</span>
        <span v-if="o.about" class="about">{{ o.about }}</span>
      </template>
    </Select>
  </FieldFrame>
</template>

<style scoped>
.list {
  width: 100%;
  min-width: 0;
}
.asked {
  outline: 2px solid var(--amber);
  border-radius: var(--corner-control);
}
.name {
  display: block;
  white-space: normal;
}
.about {
  display: block;
  font-size: 0.7812rem;
  color: var(--soft);
  white-space: normal;
}
</style>
