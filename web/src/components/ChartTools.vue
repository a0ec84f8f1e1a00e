<script setup lang="ts">
import { chartToolsWords as say } from '@mellow-probe/core/wording/screens/components';
import type { Data } from 'plotly.js-dist-min';
import { computed, ref } from 'vue';
import AskSheet from './base/AskSheet.vue';
import FactTable from './base/FactTable.vue';
import type { Column } from './base/factTable.ts';
import MenuButton from './base/MenuButton.vue';
import { type ChartRow, chartRows } from './chartRows.ts';

/** What can be done with a chart: its picture to take away, and its figures for those who read better than they see. */
const props = defineProps<{ label: string; data: readonly Data[] }>();
const emit = defineEmits<{ save: [format: 'png' | 'svg'] }>();
const open = ref(false);
const rows = computed(() => (open.value ? chartRows(props.data) : []));
const COLUMNS: readonly Column<ChartRow>[] = [
  { key: 'line', title: say.line, text: (r) => r.line },
  { key: 'x', title: say.across, mono: true, text: (r) => r.x },
  { key: 'y', title: say.up, mono: true, text: (r) => r.y },
];
const entries = [
  { name: say.figures, act: () => void (open.value = true) },
  { name: say.pictureAsPng, act: () => emit('save', 'png') },
  { name: say.pictureAsSvg, act: () => emit('save', 'svg') },
];
</script>

<template>
  <span class="tools">
    <MenuButton label="⋯" :name="say.menuOf(label)" :entries="entries" />
    <AskSheet v-model:open="open" :title="label" :width="560">
      <FactTable :label="label" :columns="COLUMNS" :rows="rows" :row-key="(_, i) => i" :page="50" />
    </AskSheet>
  </span>
</template>

<style scoped>
.tools {
  position: absolute;
  top: -8px;
  right: -6px;
}
.tools :deep(.ant-btn) {
  min-width: var(--press);
  padding: 0;
  font-weight: 600;
}
@media print {
  .tools {
    display: none;
  }
}
</style>
