<script setup lang="ts">
import { COLUMN_UNITS } from '@mellow-probe/core/pointTable/cellFigure';
import { COLUMN_ROLES } from '@mellow-probe/core/pointTable/headings';
import type { ColumnAspect, ColumnChoices, TableColumn } from '@mellow-probe/core/pointTable/columns';
import type { PointsRead } from '@mellow-probe/core/pointTable/readPoints';
import { formatOhm, formatTemperature } from '@mellow-probe/core/units/format';
import { askedText, MARK_NAMES, ROLE_NAMES } from '@mellow-probe/core/wording/tableText';
import { computed } from 'vue';
import { usePreferences } from '../../stores/preferences.ts';

/** How a pasted table was understood: each column with its meaning, unit and decimal mark, all changeable, and the first rows as read. */
const props = defineProps<{ read: PointsRead }>();
const choices = defineModel<ColumnChoices>({ required: true });
const preferences = usePreferences();
const FIRST = 3;

const UNITS = { temperature: COLUMN_UNITS.slice(0, 3), ohms: COLUMN_UNITS.slice(3, 6) };
const unitsOf = ({ role }: TableColumn): readonly string[] => (role === 'temperature' ? UNITS.temperature : UNITS.ohms);
const questions = computed(() => askedText(props.read.columns));
const first = computed(() =>
  [...props.read.rows]
    .sort((a, b) => a.line - b.line)
    .slice(0, FIRST)
    .map((row) => ({
      line: row.line,
      text: `${formatTemperature(row.temperatureC, preferences.temperatureUnit, 1)}: ${formatOhm(row.resistanceOhm)}${
        row.minOhm === null && row.maxOhm === null
          ? ''
          : `, allowed ${row.minOhm === null ? '' : formatOhm(row.minOhm)} … ${row.maxOhm === null ? '' : formatOhm(row.maxOhm)}`
      }`,
    })),
);
function choose(column: number, aspect: ColumnAspect, value: string): void {
  choices.value = { ...choices.value, [column]: { ...choices.value[column], [aspect]: value } };
}
/** A question is answered by choosing what is shown already, too. */
const picked = (event: Event): string => (event.target as HTMLSelectElement).value;
const open = (column: TableColumn, aspect: ColumnAspect): boolean => column.asked[aspect] !== undefined;
</script>

<template>
  <section class="reading" aria-label="How the table was read" data-test="table-reading">
    <p v-for="q in questions" :key="q" class="told odd" role="alert">{{ q }}</p>
    <div class="columns">
      <fieldset
        v-for="(column, k) in read.columns"
        :key="k"
        class="column"
        :class="{ unread: column.role === 'other' }"
      >
        <legend>
          Column {{ k + 1 }}<template v-if="column.head"> · {{ column.head }}</template>
        </legend>
        <select
          :value="open(column, 'role') ? '' : column.role"
          :aria-label="`Column ${k + 1} holds`"
          :class="{ asked: open(column, 'role') }"
          @change="choose(k, 'role', picked($event))"
        >
          <option v-if="open(column, 'role')" value="" disabled>which?</option>
          <option v-for="role in COLUMN_ROLES" :key="role" :value="role">{{ ROLE_NAMES[role] }}</option>
        </select>
        <template v-if="column.role !== 'other'">
          <select
            :value="open(column, 'unit') ? '' : column.unit"
            :aria-label="`Unit of column ${k + 1}`"
            :class="{ asked: open(column, 'unit') }"
            @change="choose(k, 'unit', picked($event))"
          >
            <option v-if="open(column, 'unit')" value="" disabled>unit?</option>
            <option v-for="unit in unitsOf(column)" :key="unit" :value="unit">{{ unit }}</option>
          </select>
          <select
            :value="open(column, 'decimal') ? '' : column.decimal"
            :aria-label="`Decimal mark of column ${k + 1}`"
            :class="{ asked: open(column, 'decimal') }"
            @change="choose(k, 'decimal', picked($event))"
          >
            <option v-if="open(column, 'decimal')" value="" disabled>mark?</option>
            <option v-for="(name, mark) in MARK_NAMES" :key="mark" :value="mark">{{ name }}</option>
          </select>
        </template>
      </fieldset>
    </div>
    <p v-if="first.length > 0" class="soft mono rows">
      <span v-for="row in first" :key="row.line">line {{ row.line }} · {{ row.text }}</span>
      <span v-if="read.rows.length > first.length">… {{ read.rows.length }} rows in all</span>
    </p>
  </section>
</template>

<style scoped>
.reading {
  display: flex;
  flex-direction: column;
  gap: 6px;
  min-width: 0;
}
.columns {
  display: flex;
  flex-direction: column;
  gap: 4px;
}
.column {
  display: grid;
  grid-template-columns: 3fr 2fr 3fr;
  gap: 4px 6px;
  min-width: 0;
  margin: 0;
  padding: 0;
  border: 0;
}
.column select {
  min-width: 0;
}
.column legend {
  max-width: 100%;
  padding: 0;
  overflow: hidden;
  color: var(--soft);
  font-size: 13px;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.unread {
  opacity: 0.75;
}
.asked {
  border-color: var(--amber);
}
.rows {
  display: flex;
  flex-direction: column;
  margin: 0;
  font-size: 14px;
}
</style>
