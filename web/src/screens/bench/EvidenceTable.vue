<script setup lang="ts">
import { evidenceTableWords as say } from '@mellow-probe/core/wording/screens/benchVerdict';
import FactTable from '../../components/base/FactTable.vue';
import type { Job } from '@mellow-probe/core/check/job/jobSchema';
import type { Assessment } from '@mellow-probe/core/inference/verdict/assessment';
import { measurementById } from '@mellow-probe/core/circuit/measurements/list';
import { formatInterval, formatQuantity } from '@mellow-probe/core/base/units/format';
import { readingNameById } from '@mellow-probe/core/wording/conditionsText';
import { computed } from 'vue';
import type { Column } from '../../components/base/factTable.ts';
import IntervalStrip from '../../components/IntervalStrip.vue';
import { usePreferences } from '../../data/stores/preferences.ts';

/** Each reading as a tick over the interval that each leading suspect predicts for it. */
const props = defineProps<{ assessment: Assessment; /** The job that was judged. */ of: Job }>();
const preferences = usePreferences();

/** The two leading suspects; where there is only one worth naming, it stands beside a circuit with nothing wrong. */
const columns = computed(() => {
  const { suspects, readings } = props.assessment;
  const named = suspects.slice(0, 2).map((s) => ({ key: s.fault, name: s.name, predicts: s.predicts }));
  if (named.length < 2) named.push({ key: 'prior', name: say.healthyColumn, predicts: readings.map((r) => r.healthy) });
  return named;
});
const rows = computed(() =>
  props.assessment.readings.flatMap((view, i) => {
    const said = readingNameById(props.of, view.id);
    if (said === '') return [];
    const { quantity, name: title } = measurementById(view.measurement);
    // The test as it is titled, then which pair it was.
    const name = `${title}${said.slice(title.length).replace(' °', '\u00a0°')}`;
    // The value that was judged, not the one being typed: figure and intervals belong together.
    const value = props.assessment.values[i];
    const intervals = columns.value.map((c) => c.predicts[i]);
    return [
      {
        id: view.id,
        name,
        value,
        quantity,
        shown: formatQuantity(value, quantity, preferences.temperatureUnit),
        intervals,
        words: intervals.map((x) => formatInterval(x, quantity, preferences.temperatureUnit)),
        all: [...intervals, view.healthy],
        doubtful: view.blunder > 0.5,
      },
    ];
  }),
);
const heads = computed<readonly Column<(typeof rows.value)[number]>[]>(() => [
  { key: 'reading', title: say.reading, quietTitle: true, soft: true },
  ...columns.value.map((c) => ({ key: c.key, title: c.name })),
]);
</script>

<template>
  <div data-test="evidence">
    <div class="small-head">{{ say.title }}</div>
    <FactTable :label="say.tableName" :columns="heads" :rows="rows" :row-key="(r) => r.id">
      <template #reading="{ row }">
        {{ row.name }} <span class="mono shown">{{ row.shown }}</span>
        <span v-if="row.doubtful" class="doubt">{{ say.doubtful }}</span>
      </template>
      <template v-for="(c, k) in columns" :key="c.key" #[c.key]="{ row }">
        <IntervalStrip
          :interval="row.intervals[k]"
          :value="row.value"
          :all="row.all"
          :quantity="row.quantity"
          :words="row.words[k]"
        />
      </template>
    </FactTable>
  </div>
</template>

<style scoped>
:deep(.ant-table-tbody > tr > td) {
  font-size: 0.7812rem;
  line-height: 1.2;
}
.shown {
  display: block;
  color: var(--ink);
}
.doubt {
  color: var(--clay);
  font-weight: 600;
}
</style>
