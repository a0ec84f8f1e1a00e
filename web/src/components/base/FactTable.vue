<script setup lang="ts" generic="Row extends object">
import { unbroken } from '@mellow-probe/core/wording/unbroken';
import { factTableWords as say } from '@mellow-probe/core/wording/screens/base';
import Table, { type ColumnType, type TableProps } from 'ant-design-vue/es/table';
import { computed, onMounted, onUpdated, ref, shallowRef } from 'vue';
import type { Column } from './factTable.ts';

/** Rows of facts: a cell is drawn by the slot of its column's name, else it is the text that the column gives. */
const props = defineProps<{
  label: string;
  columns: readonly Column<Row>[];
  rows: readonly Row[];
  rowKey: (row: Row, index: number) => string | number;
  /** Rows on a page; all of them where it is not given. */
  page?: number;
  /** Attributes of a row, for tests and marks. */
  rowAttributes?: (row: Row, index: number) => Record<string, string>;
  rowClass?: (row: Row) => string;
  /** Where there are no heads to show: a list of facts with their names. */
  headless?: boolean;
  /** Rows can be chosen, each named by this to those who do not see it. */
  chooseName?: (row: Row) => string;
}>();
/** Keys of the chosen rows. */
const chosen = defineModel<readonly string[]>('chosen', { default: () => [] });
const selection = computed((): TableProps<Row>['rowSelection'] => {
  const { chooseName } = props;
  return chooseName
    ? {
        selectedRowKeys: [...chosen.value],
        onChange: (keys) => (chosen.value = keys.map(String)),
        getCheckboxProps: (row) => ({ 'aria-label': say.choose(chooseName(row)) }) as object,
        preserveSelectedRowKeys: true,
      }
    : undefined;
});
/** Sorted and cut into pages here: the library goes over every row it is given at each change, and there may be thousands. */
const UNSORTED: { key: string; order: 'ascend' | 'descend' | null } = { key: '', order: null };
const sorting = shallowRef(UNSORTED);
const sorted = computed(() => {
  const { key, order } = sorting.value;
  const ascending = order && props.columns.find((c) => c.key === key)?.order;
  if (!ascending) return props.rows;
  return [...props.rows].sort(order === 'ascend' ? ascending : (a, b) => ascending(b, a));
});
const turned = ref(1);
const current = computed(() =>
  Math.max(1, Math.min(turned.value, Math.ceil(props.rows.length / (props.page ?? Infinity)))),
);
const onPage = computed(() => {
  const { page } = props;
  return page ? sorted.value.slice((current.value - 1) * page, current.value * page) : sorted.value;
});
const onChange: TableProps<Row>['onChange'] = (pages, _, sorter) => {
  const { columnKey, order } = Array.isArray(sorter) ? sorter[0] : sorter;
  const next = order ? { key: String(columnKey), order } : UNSORTED;
  turned.value = next.key === sorting.value.key && next.order === sorting.value.order ? (pages.current ?? 1) : 1;
  sorting.value = next;
};
const columns = computed(() =>
  props.columns.map((c): ColumnType<Row> => ({
    key: c.key,
    title: c.title,
    sorter: c.order !== undefined,
    sortOrder: sorting.value.key === c.key ? sorting.value.order : null,
    showSorterTooltip: false,
    className:
      [c.mono && 'mono', c.soft && 'soft', c.wideOnly && 'wide-only', c.wideOnly === 'desk' && 'desk-only']
        .filter(Boolean)
        .join(' ') || undefined,
  })),
);
/** The library says "partly" of the box over all rows in a way that a native box must not: the box itself can show it. */
const root = ref<InstanceType<typeof Table>>();
function mend(): void {
  const element = root.value?.$el as HTMLElement | undefined;
  for (const box of element?.querySelectorAll<HTMLInputElement>('th input[type="checkbox"]') ?? []) {
    box.indeterminate = box.getAttribute('aria-checked') === 'mixed';
    box.removeAttribute('aria-checked');
  }
}
onMounted(mend);
onUpdated(mend);
const byKey = computed(() => new Map(props.columns.map((c) => [c.key, c])));
</script>

<template>
  <Table
    ref="root"
    :class="['facts', { headless }]"
    size="small"
    :columns="columns"
    :data-source="onPage as Row[]"
    :row-key="rowKey as never"
    :pagination="
      page ? { current, pageSize: page, total: rows.length, hideOnSinglePage: true, showSizeChanger: false } : false
    "
    :custom-row="rowAttributes as never"
    :row-class-name="rowClass"
    :row-selection="selection"
    :show-header="!headless"
    :aria-label="label"
    table-layout="auto"
    @change="onChange"
  >
    <template #headerCell="{ column }">
      <span :class="{ 'visually-hidden': byKey.get(String(column.key))?.quietTitle }">{{ column.title }}</span>
    </template>
    <template #bodyCell="{ column, record, index }">
      <slot :name="String(column.key)" :row="record as Row" :index="index">
        {{ unbroken(String(byKey.get(String(column.key))?.text?.(record as Row, index) ?? '')) }}
      </slot>
    </template>
  </Table>
</template>

<style scoped>
.facts :deep(.ant-table) {
  background: transparent;
}
.facts :deep(.ant-table.ant-table-small .ant-table-thead > tr > th) {
  background: transparent;
  padding: 4px 10px 4px 0;
  font-family: var(--sans);
  font-size: 0.75rem;
  font-weight: 600;
  color: var(--soft);
}
.facts :deep(.ant-table.ant-table-small .ant-table-thead > tr > th::before) {
  display: none;
}
/* The library's own arrows say nothing to those who do not see them: which way it is sorted stands in the head's aria-sort. */
.facts :deep(.ant-table-column-sorter) {
  display: none;
}
.facts :deep(.ant-table-column-has-sorters .ant-table-column-title)::after {
  content: ' ↕';
}
.facts :deep([aria-sort='ascending'] .ant-table-column-title)::after {
  content: ' ↑';
}
.facts :deep([aria-sort='descending'] .ant-table-column-title)::after {
  content: ' ↓';
}
.facts :deep(td.mono) {
  white-space: nowrap;
}
/* A fact beside its name may take two lines. */
.facts.headless :deep(td.mono) {
  white-space: normal;
}
.facts :deep(.ant-table.ant-table-small .ant-table-tbody > tr > td) {
  padding: 4px 10px 4px 0;
}
@media (max-width: 56.25em) {
  .facts :deep(.desk-only) {
    display: none;
  }
}
@media (max-width: 38.75em) {
  .facts :deep(.wide-only) {
    display: none;
  }
  .facts :deep(.ant-table.ant-table-small .ant-table-tbody > tr > td.mono) {
    padding-right: 6px;
    font-size: 0.8125rem;
  }
}
</style>
