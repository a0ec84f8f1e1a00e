<script setup lang="ts">
import { paperWords as say } from '@mellow-probe/core/wording/screens/report';
import { ref } from 'vue';
import type { Report } from '@mellow-probe/core/report/reportOf';
import PaperLight from '../../components/base/PaperLight.vue';
import type { Figure } from '../../components/curveFigure.ts';
import CircuitDrawing from '../../components/drawing/CircuitDrawing.vue';
import type { Drawing } from '../../components/drawing/drawingOf.ts';
import PlotFigure from '../../components/LazyPlot.ts';
import SectionPart from './SectionPart.vue';

/** The report as it lies on paper: head, pages, photos, cautions, lines to be signed on. */
defineProps<{
  report: Report;
  drawing: Drawing;
  /** Each with what it shows, for those who do not see it. */
  charts: readonly { figure: Figure; about: string }[];
  photos: readonly { image: string; caption: string }[];
  logo: string | null;
}>();
const paper = ref<HTMLElement>();
/** The circuit as it is drawn on the sheet; null where there is none. */
defineExpose({ drawn: () => paper.value?.querySelector<SVGSVGElement>('.drawing svg') ?? null });
</script>

<template>
  <PaperLight>
    <main ref="paper" class="light paper" :aria-label="say.report">
      <div v-if="report.head.workshop || logo" class="head" data-test="report-head">
        <img v-if="logo" class="logo" :src="logo" alt="" />
        <div>
          <p class="workshop">{{ report.head.workshop }}</p>
          <p class="soft">{{ report.head.contact }}</p>
        </div>
      </div>
      <h1>{{ report.title }}</h1>
      <p class="soft">{{ report.subtitle }}</p>
      <template v-if="report.customer.length > 0">
        <h2>{{ say.inPlainWords }}</h2>
        <SectionPart v-for="s in report.customer" :key="s.id" class="plain" :section="s" />
      </template>
      <h2 v-if="report.sections.length > 0" :class="{ 'next-page': report.customer.length > 0 }">
        {{ say.detailTitle }}
      </h2>
      <SectionPart v-for="s in report.sections" :key="s.id" :section="s">
        <CircuitDrawing v-if="s.id === 'circuit'" class="picture" :drawing="drawing" />
        <div v-if="s.id === 'readings' && charts.length > 0" class="picture chart">
          <PlotFigure v-for="(c, i) in charts" :key="i" :figure="c.figure" :label="c.about" />
        </div>
      </SectionPart>
      <section v-if="photos.length > 0">
        <h3>{{ say.photos }}</h3>
        <div class="photos">
          <figure v-for="p in photos" :key="p.image">
            <img :src="p.image" :alt="p.caption" />
            <figcaption>{{ p.caption }}</figcaption>
          </figure>
        </div>
      </section>
      <section class="cautions">
        <h3>{{ say.cautions }}</h3>
        <ul>
          <li v-for="c in report.cautions" :key="c">{{ c }}</li>
        </ul>
      </section>
      <section class="signatures">
        <p v-for="who in report.signatures" :key="who">{{ who }}</p>
      </section>
    </main>
  </PaperLight>
</template>

<style scoped>
.paper {
  max-width: 860px;
  margin: 16px auto 40px;
  padding: 32px 40px;
  background: #fff;
  color: var(--ink);
  border: 1px solid var(--line);
  font-size: 0.8438rem;
}
h1 {
  font-size: 1.5rem;
}
h2 {
  font-size: 1.125rem;
  margin: 22px 0 0;
  padding-top: 8px;
  border-top: 2px solid var(--spruce);
}
h3 {
  font-size: 0.9375rem;
  margin: 14px 0 3px;
}
.head {
  display: flex;
  gap: 14px;
  align-items: center;
  margin-bottom: 10px;
}
.logo {
  max-height: 56px;
  max-width: 180px;
}
.workshop {
  font-weight: 600;
}
.plain {
  font-size: 0.9375rem;
}
.signatures {
  display: flex;
  gap: 40px;
  margin-top: 56px;
}
.signatures p {
  flex: 1;
  border-top: 1px solid var(--ink);
  padding-top: 4px;
  font-size: 0.75rem;
}
.paper :deep(.ant-table.ant-table-small .ant-table-thead > tr > th.ant-table-cell),
.paper :deep(.ant-table.ant-table-small .ant-table-tbody > tr > td.ant-table-cell) {
  padding: 3px 8px 3px 0;
  font-size: 0.7812rem;
  vertical-align: top;
  overflow-wrap: anywhere;
}
section {
  break-inside: avoid-page;
}
.picture {
  border: 0;
  height: 270px;
  margin: 6px 0;
}
.chart {
  display: flex;
  height: 230px;
}
.photos {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px;
}
figure {
  margin: 0;
  break-inside: avoid;
}
img {
  max-width: 100%;
  max-height: 260px;
}
.cautions {
  font-size: 0.75rem;
  color: var(--soft);
}
@media print {
  .next-page {
    break-before: page;
  }
  .paper {
    max-width: none;
    margin: 0;
    padding: 0;
    border: 0;
  }
}
@media screen and (max-width: 38.75em) {
  .paper {
    padding: 16px 14px;
  }
}
</style>
<style>
@page {
  margin: 14mm;
}
@media print {
  html,
  body,
  #app {
    height: auto;
    background: #fff;
  }
}
</style>
