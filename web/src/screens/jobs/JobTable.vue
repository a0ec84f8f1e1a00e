<script setup lang="ts">
import { unbroken } from '@mellow-probe/core/wording/unbroken';
import { jobTableWords as say } from '@mellow-probe/core/wording/screens/jobs';
import type { JobLine } from '@mellow-probe/core/check/job/jobList';
import FactTable from '../../components/base/FactTable.vue';
import type { Column } from '../../components/base/factTable.ts';
import JobActs from './JobActs.vue';
import { changedText, decidedText, type JobAct, JOBS_A_PAGE, nameText, stateText } from './jobFacts.ts';
import JobWhat from './JobWhat.vue';

/** The ledger at the desk: a line a check, sorted by its heads, in pages. */
defineProps<{ jobs: readonly JobLine[]; today: string; homeless: ReadonlyMap<string, unknown> }>();
defineEmits<{ act: [job: JobLine, what: JobAct] }>();
const chosen = defineModel<readonly string[]>('chosen', { required: true });
/** Figures within names count as figures. Made once: it compares thousands of names. */
const NAMES = new Intl.Collator(undefined, { numeric: true });
const by = (of: (job: JobLine) => string | number) => (a: JobLine, b: JobLine) => {
  const [x, y] = [of(a), of(b)];
  return typeof x === 'number' ? x - Number(y) : NAMES.compare(x, String(y));
};
const COLUMNS: readonly Column<JobLine>[] = [
  { key: 'what', title: say.machineAndSensor, order: by((j) => j.title) },
  { key: 'decided', title: say.decided, order: by((j) => decidedText(j)) },
  {
    key: 'circuit',
    title: say.circuit,
    soft: true,
    wideOnly: 'desk',
    text: (j) => j.circuit,
    order: by((j) => j.circuit),
  },
  {
    key: 'readings',
    title: say.readings,
    mono: true,
    text: (j) => j.readings,
    order: by((j) => j.readings),
  },
  { key: 'changed', title: say.changed, mono: true, text: (j) => changedText(j), order: by((j) => j.updatedAt) },
  { key: 'acts', title: say.actions, quietTitle: true },
];
</script>

<template>
  <FactTable
    v-model:chosen="chosen"
    class="sheet ledger"
    :label="say.checks"
    :columns="COLUMNS"
    :rows="jobs"
    :row-key="(j) => j.id"
    :page="JOBS_A_PAGE"
    :choose-name="(j) => nameText(j)"
    :row-attributes="() => ({ 'data-test': 'job' })"
  >
    <template #what="{ row }">
      <JobWhat :job="row" :today="today" :homeless="homeless.has(row.id)" />
      <div class="soft circuit">{{ unbroken(row.circuit) }}</div>
    </template>
    <template #decided="{ row }">
      <div>{{ decidedText(row) }}</div>
      <div class="soft state">{{ stateText(row) }}</div>
    </template>
    <template #acts="{ row }"><JobActs :job="row" @act="$emit('act', row, $event)" /></template>
  </FactTable>
</template>

<style scoped>
.ledger {
  padding: 4px 14px 8px;
}
.state {
  white-space: nowrap;
}
/* On a tablet held upright in place of its column. */
.circuit {
  display: none;
}
@media (max-width: 56.25em) {
  .circuit {
    display: block;
  }
}
.soft,
.ledger :deep(td.soft),
.ledger :deep(td.mono) {
  font-size: 0.8125rem;
}
.ledger :deep(th),
.ledger :deep(td.mono) {
  white-space: nowrap;
}
</style>
