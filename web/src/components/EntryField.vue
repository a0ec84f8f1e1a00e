<script setup lang="ts">
import { entryFieldWords as say } from '@mellow-probe/core/wording/screens/components';
import { type Entry, entryOf } from '@mellow-probe/core/base/units/entry';
import type { FieldIssue } from '@mellow-probe/core/check/job/fieldIssue';
import { isUnknown } from '@mellow-probe/core/check/job/readFigure';
import { type FieldQuantity } from '@mellow-probe/core/base/units/quantity';
import { parseField } from '@mellow-probe/core/base/units/parseField';
import { toldText } from '@mellow-probe/core/wording/toldText';
import { computed } from 'vue';
import { usePreferences } from '../data/stores/preferences.ts';
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
  /** A figure that was probably meant. */
  meant?: string;
  /** May it be OL? */
  overload?: boolean;
  /** The one field of a screen, with keys on the page. */
  large?: boolean;
  pad?: boolean;
}>();
/** The field is left. */
const emit = defineEmits<{ settle: []; enter: [] }>();
const preferences = usePreferences();
const put = (text: string): void => {
  entry.value = entryOf(text, props.quantity, preferences.temperatureUnit);
};
/** What cannot be read is said at once, also where nobody else judges the figure (shelf, kit). */
const unread = computed((): FieldIssue | undefined => {
  const { text, value } = entry.value;
  if (value !== null || isUnknown(text)) return undefined;
  const parsed = parseField(text, props.quantity, {
    temperatureUnit: preferences.temperatureUnit,
    overload: props.overload,
  });
  return parsed.ok ? undefined : parsed;
});
/** What lies around a figure that is told as a range, a bound or a band. */
const readAs = computed(() => toldText(entry.value, props.quantity, preferences.temperatureUnit));
</script>

<template>
  <FigureField
    :label="label"
    :quantity="quantity"
    :issue="issue ?? unread"
    :placeholder="placeholder"
    :hint="readAs === '' ? hint : say.takenAs(readAs)"
    :meant="meant"
    :about="about"
    :text="entry.text"
    @type="put"
    :large="large"
    :pad="pad"
    @choose="put"
    @enter="emit('enter')"
    @settle="emit('settle')"
  />
</template>
