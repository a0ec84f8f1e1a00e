<script setup lang="ts">
import DatePicker from 'ant-design-vue/es/date-picker';
import dayjs, { type Dayjs } from 'dayjs';
import { computed } from 'vue';
import { reader } from '../../browser/writing.ts';
import FieldFrame from './FieldFrame.vue';

/** A day as `YYYY-MM-DD`, within a first and a last one. An emptied field keeps its day. */
const day = defineModel<string>({ required: true });
const props = defineProps<{ label: string; hideLabel?: boolean; first: string; last: string }>();
const value = computed(() => dayjs(day.value));
const outside = (d: Dayjs): boolean => d.isBefore(props.first, 'day') || d.isAfter(props.last, 'day');
function picked(next: Dayjs | string | null): void {
  const d = dayjs(next);
  if (next && d.isValid() && !outside(d)) day.value = d.format('YYYY-MM-DD');
}
</script>

<template>
  <FieldFrame :label="label" :hide-label="hideLabel">
    <DatePicker
      :value="value"
      :allow-clear="false"
      :disabled-date="outside"
      :aria-label="label"
      :format="reader.dayPattern"
      input-read-only
      @change="picked"
    />
  </FieldFrame>
</template>
