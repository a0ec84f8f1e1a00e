<script setup lang="ts">
import type { Entry } from '@mellow-probe/core/job/entrySchema';
import type { FieldIssue } from '@mellow-probe/core/job/fieldIssue';
import type { FieldQuantity } from '@mellow-probe/core/units/parseReading';
import { useReadings } from '../composables/useReadings.ts';
import FigureField from './FigureField.vue';

/** A figure field bound to an entry: the text as typed, and what it was read as. */
const entry = defineModel<Entry>({ required: true });
const props = defineProps<{
  label: string;
  quantity: FieldQuantity;
  issue?: FieldIssue | undefined;
  placeholder?: string;
  hint?: string;
  about?: string;
}>();
const { entryOf } = useReadings();
const put = (text: string): void => {
  entry.value = entryOf(text, props.quantity);
};
</script>

<template>
  <FigureField v-bind="props" :text="entry.text" @type="put" @choose="put" />
</template>
