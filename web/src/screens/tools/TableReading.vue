<script setup lang="ts">
import { tableReadingWords as say } from '@mellow-probe/core/wording/screens/shelfCurves';
import type { PickOption } from '../../components/base/pickOption.ts';
import PickList from '../../components/base/PickList.vue';
import { COLUMN_UNITS } from '@mellow-probe/core/intake/pointTable/cellFigure';
import { COLUMN_ROLES } from '@mellow-probe/core/intake/pointTable/headings';
import type { ColumnAspect, ColumnChoices, TableColumn } from '@mellow-probe/core/intake/pointTable/columns';
import type { PointsRead } from '@mellow-probe/core/intake/pointTable/readPoints';
import { formatOhm, formatTemperature } from '@mellow-probe/core/base/units/format';
import { askedText, MARK_NAMES, middlesText, ROLE_NAMES } from '@mellow-probe/core/wording/tableText';
import { computed } from 'vue';
import { usePreferences } from '../../data/stores/preferences.ts';

/** How a pasted table was understood: each column with its meaning, unit and decimal mark, all changeable, and the first rows as read. */
const props = defineProps<{ read: PointsRead }>();
const choices = defineModel<ColumnChoices>({ required: true });
const preferences = usePreferences();
const FIRST = 3;

/** One thing that can be said of a column. */
interface List {
  aspect: ColumnAspect;
  label: string;
  prompt: string;
  options: readonly PickOption<string>[];
}
const UNITS = { temperature: COLUMN_UNITS.slice(0, 3), ohms: COLUMN_UNITS.slice(3, 6) };
const unitsOf = ({ role }: TableColumn): PickOption<string>[] =>
  (role === 'temperature' ? UNITS.temperature : UNITS.ohms).map((value) => ({ value, label: value }));
const ROLES = COLUMN_ROLES.map((value) => ({ value, label: ROLE_NAMES[value] }));
const MARKS = Object.entries(MARK_NAMES).map(([value, label]) => ({ value, label }));
function rowText({ temperatureC, resistanceOhm, minOhm, maxOhm }: PointsRead['rows'][number]): string {
  const at = formatTemperature(temperatureC, preferences.temperatureUnit, 1);
  const ohms = formatOhm(resistanceOhm);
  if (minOhm === null && maxOhm === null) return say.row(at, ohms);
  return say.rowAllowed(at, ohms, minOhm === null ? '' : formatOhm(minOhm), maxOhm === null ? '' : formatOhm(maxOhm));
}
const questions = computed(() => askedText(props.read.columns));
const middles = computed(() => middlesText(props.read.middles));
const first = computed(() =>
  [...props.read.rows]
    .sort((a, b) => a.line - b.line)
    .slice(0, FIRST)
    .map((row) => ({
      line: row.line,
      text: rowText(row),
    })),
);
function choose(column: number, aspect: ColumnAspect, value: string): void {
  choices.value = { ...choices.value, [column]: { ...choices.value[column], [aspect]: value } };
}

/** What can be said of a column: of one that is not read, only that it is. */
function listsOf(column: TableColumn, n: number): List[] {
  const role: List = { aspect: 'role', label: say.columnHolds(n), prompt: say.which, options: ROLES };
  if (column.role === 'other') return [role];
  return [
    role,
    { aspect: 'unit', label: say.unitOfColumn(n), prompt: say.unit, options: unitsOf(column) },
    { aspect: 'decimal', label: say.decimalMarkOf(n), prompt: say.mark, options: MARKS },
  ];
}
</script>

<template>
  <section class="reading" :aria-label="say.title" data-test="table-reading">
    <p v-for="q in questions" :key="q" class="told odd" role="alert">{{ q }}</p>
    <div class="columns">
      <fieldset
        v-for="(column, k) in read.columns"
        :key="k"
        class="column"
        :class="{ unread: column.role === 'other' }"
      >
        <legend>
          {{ say.column(k + 1) }}<template v-if="column.head"> · {{ column.head }}</template>
        </legend>
        <PickList
          v-for="list in listsOf(column, k + 1)"
          :key="list.aspect"
          :model-value="column.asked[list.aspect] === undefined ? column[list.aspect] : undefined"
          :label="list.label"
          hide-label
          :asked="column.asked[list.aspect] !== undefined"
          :prompt="list.prompt"
          :options="list.options"
          @update:model-value="choose(k, list.aspect, $event)"
        />
      </fieldset>
    </div>
    <p v-if="middles" class="soft" data-test="table-middles">{{ middles }}</p>
    <p v-if="first.length > 0" class="soft mono rows">
      <span v-for="row in first" :key="row.line">{{ say.line(row.line, row.text) }}</span>
      <span v-if="read.rows.length > first.length">{{ say.rowsInAll(read.rows.length) }}</span>
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
.column legend {
  max-width: 100%;
  padding: 0;
  overflow: hidden;
  color: var(--soft);
  font-size: 0.8125rem;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.unread {
  opacity: 0.75;
}
.rows {
  display: flex;
  flex-direction: column;
  margin: 0;
  font-size: 0.875rem;
}
</style>
