<script setup lang="ts">
import { type Entry, entryOf } from '@mellow-probe/core/units/entry';
import type { FieldIssue } from '@mellow-probe/core/job/fieldIssue';
import { isUnknown } from '@mellow-probe/core/job/readFigure';
import { type FieldQuantity } from '@mellow-probe/core/units/quantity';
import { parseReading } from '@mellow-probe/core/units/parseReading';
import { computed } from 'vue';
import { usePreferences } from '../stores/preferences.ts';
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
  /** May it be OL? */
  overload?: boolean;
}>();
const preferences = usePreferences();
const put = (text: string): void => {
  entry.value = entryOf(text, props.quantity, preferences.temperatureUnit);
};
/** What cannot be read is said at once, also where nobody else judges the figure (shelf, kit). */
const unread = computed((): FieldIssue | undefined => {
  const { text, value } = entry.value;
  if (value !== null || isUnknown(text)) return undefined;
  const parsed = parseReading(text, props.quantity, {
    temperatureUnit: preferences.temperatureUnit,
    overload: props.overload,
  });
  return parsed.ok ? undefined : parsed;
});
</script>

<template>
  <FigureField
    :label="label"
    :quantity="quantity"
    :issue="issue ?? unread"
    :placeholder="placeholder"
    :hint="hint"
    :about="about"
    :text="entry.text"
    @type="put"
    @choose="put"
  />
</template>
