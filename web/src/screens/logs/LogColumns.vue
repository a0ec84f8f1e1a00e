<script setup lang="ts">
import { logColumnsWords as say } from '@mellow-probe/core/wording/screens/logs';
import {
  LOG_COLUMN_USES,
  LOG_UNITS,
  type LogChoices,
  type LogColumn,
  type LogColumnUse,
  type LogUnit,
  TIME_KINDS,
  type TimeKind,
} from '@mellow-probe/core/intake/logs/logColumns';
import { TIME_NAMES } from '@mellow-probe/core/wording/logText';
import { blank, type Entry } from '@mellow-probe/core/base/units/entry';
import { computed, ref } from 'vue';
import ActButton from '../../components/base/ActButton.vue';
import PickList from '../../components/base/PickList.vue';
import EntryField from '../../components/EntryField.vue';

/** How the columns of a file were understood, each changeable; the file is read anew with what is said. */
const props = defineProps<{ columns: readonly LogColumn[]; asked: boolean }>();
const emit = defineEmits<{ read: [choices: LogChoices, everyS: number | null] }>();
const said = ref<Record<string, { use?: LogColumnUse; unit?: LogUnit; time?: TimeKind }>>({});
const USE_NAMES: Record<LogColumnUse, string> = {
  time: say.time,
  values: say.values,
  mark: say.marks,
  other: say.notRead,
};
const USES = LOG_COLUMN_USES.map((value) => ({ value, label: USE_NAMES[value] }));
const UNITS = LOG_UNITS.map((value) => ({ value, label: value }));
const TIMES = TIME_KINDS.map((value) => ({ value, label: TIME_NAMES[value] }));
const useOf = (k: number): LogColumnUse => said.value[k]?.use ?? props.columns[k].use;
/** Without a column of time: how often a row was written, s. */
const every = ref<Entry>(blank());
const timed = computed(() => props.columns.some((_, k) => useOf(k) === 'time'));
const everyS = computed(() => (timed.value || !((every.value.value ?? 0) > 0) ? null : every.value.value));
function choose(k: number, what: { use?: LogColumnUse; unit?: LogUnit; time?: TimeKind }): void {
  said.value = { ...said.value, [k]: { ...said.value[k], ...what } };
}
</script>

<template>
  <section class="columns" :aria-label="say.title" data-test="log-columns">
    <div v-for="(c, k) in columns" :key="k" class="column" :class="{ unread: useOf(k) === 'other' }">
      <span class="name">{{ c.head || say.column(k + 1) }}</span>
      <PickList
        :model-value="useOf(k)"
        :label="say.columnHolds(k + 1)"
        hide-label
        :options="USES"
        @update:model-value="choose(k, { use: $event })"
      />
      <PickList
        v-if="useOf(k) === 'values'"
        :model-value="said[k]?.unit ?? c.unit ?? undefined"
        :label="say.unitOfColumn(k + 1)"
        hide-label
        :prompt="say.unit"
        :asked="(said[k]?.unit ?? c.unit) === null"
        :options="UNITS"
        @update:model-value="choose(k, { unit: $event })"
      />
      <PickList
        v-else-if="useOf(k) === 'time'"
        :model-value="said[k]?.time ?? c.time ?? undefined"
        :label="say.timeUnitOf(k + 1)"
        hide-label
        :options="TIMES"
        @update:model-value="choose(k, { time: $event })"
      />
    </div>
    <div v-if="!timed" class="column">
      <span>{{ say.noTime }}</span>
      <EntryField v-model="every" :label="say.rowInterval" quantity="number" />
    </div>
    <ActButton
      :kind="asked ? 'main' : 'plain'"
      :disabled="!timed && everyS === null"
      @click="emit('read', said, everyS)"
      >{{ say.readItSo }}</ActButton
    >
  </section>
</template>

<style scoped>
.columns {
  display: flex;
  flex-direction: column;
  gap: 6px;
  align-items: stretch;
}
.column {
  display: grid;
  grid-template-columns: minmax(0, 2fr) minmax(0, 1fr) minmax(0, 1.4fr);
  gap: 8px;
  align-items: center;
}
.name {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.unread .name {
  color: var(--soft);
}
@media (max-width: 38.75em) {
  .column {
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  }
  .name {
    grid-column: 1 / -1;
  }
}
</style>
