<script setup lang="ts">
import { unbroken } from '@mellow-probe/core/wording/unbroken';
import type { ReportSection } from '@mellow-probe/core/report/reportSection';
import FactTable from '../../components/base/FactTable.vue';

/** One part of a report on the page: its heading, lines and table, and in its slot what is drawn. */
defineProps<{ section: ReportSection }>();
</script>

<template>
  <section :data-section="section.id">
    <h3>{{ section.title }}</h3>
    <p v-for="line in section.lines" :key="line">{{ unbroken(line) }}</p>
    <FactTable
      v-if="section.table && section.table.rows.length > 0"
      :label="section.title"
      :columns="
        section.table.head.map((title, k) => ({ key: String(k), title, text: (row: readonly string[]) => row[k] }))
      "
      :rows="section.table.rows"
      :row-key="(_, i) => i"
    />
    <slot />
  </section>
</template>

<style scoped>
h3 {
  font-size: 0.9375rem;
  margin: 14px 0 3px;
}
section {
  break-inside: avoid-page;
}
</style>
