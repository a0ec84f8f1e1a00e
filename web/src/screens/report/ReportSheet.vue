<script setup lang="ts">
import PaperLight from '../../components/base/PaperLight.vue';
import PickList from '../../components/base/PickList.vue';
import ActButton from '../../components/base/ActButton.vue';
import { palette } from '../../components/base/tokens.ts';
import { type Report, reportOf, type ReportPages } from '@mellow-probe/core/report/reportOf';
import { reportHtml } from '@mellow-probe/core/report/reportHtml';
import dayjs from 'dayjs';
import { computed, onBeforeUnmount, ref, watch } from 'vue';
import PlotFigure from '../../components/LazyPlot.ts';
import TopBar from '../../components/TopBar.vue';
import { chartImage } from '../../browser/chartImage.ts';
import { inlinedSvg } from '../../browser/inlinedSvg.ts';
import { fileName, saveBlob, saveFile } from '../../browser/saveFile.ts';
import { getPhoto } from '../../storage/photoStorage.ts';
import { useOwnWorkshop } from '../../session/ownWorkshop.ts';
import { useSession } from '../../session/jobSession.ts';
import { usePreferences } from '../../stores/preferences.ts';
import { curveFigures } from '../../components/curveFigure.ts';
import CircuitDrawing from '../../components/drawing/CircuitDrawing.vue';
import { drawingOf } from '../../components/drawing/drawingOf.ts';
import type { ReportPictures } from './reportPdf.ts';
import SectionPart from './SectionPart.vue';

/** The job on paper: what was complained of, measured, expected, decided, done and proved. */
const { job, verdict, judging } = useSession();
const preferences = usePreferences();
const paper = ref<'A4' | 'LETTER'>('A4');
const PAPERS = [
  { value: 'A4', label: 'A4' },
  { value: 'LETTER', label: 'Letter' },
] as const;
const pages = ref<ReportPages>('both');
const PAGES = [
  { value: 'both', label: 'both pages' },
  { value: 'customer', label: 'for the customer' },
  { value: 'technical', label: 'technical' },
] as const;
const own = useOwnWorkshop();
const making = ref(false);
const fault = ref('');
const photos = ref<{ image: string; caption: string }[]>([]);
const sheet = ref<HTMLElement>();

onBeforeUnmount(judging.wantChart());

/** Only what was computed from the figures on this sheet goes on paper. */
const judged = computed(() => (verdict.state.kind === 'ready' ? verdict.state.now : null));
const waiting = computed(() => (judged.value ? !judged.value.complete : !verdict.fault));
const drawing = computed(() => drawingOf(job, verdict, preferences.temperatureUnit));
watch(
  () => job.photos.map((p) => `${p.id}${p.caption}`).join(),
  async () => {
    const list = await Promise.all(
      job.photos.map(async (p) => ({
        image: p.image ?? (await getPhoto(job.id, p.id)) ?? '',
        caption: p.caption,
      })),
    );
    photos.value = list.filter((p) => p.image !== '');
  },
  { immediate: true },
);

const report = computed(() =>
  reportOf(job, judged.value?.answer.result?.assessment ?? null, judged.value?.answer.result?.proofHealthy ?? null, {
    unit: preferences.temperatureUnit,
    two: judged.value?.two ?? null,
    when: (iso) => dayjs(iso).format('D MMM YYYY HH:mm'),
    day: (iso) => dayjs(iso).format('D MMM YYYY'),
    workshop: own.workshop,
    pages: pages.value,
  }),
);
const charts = computed(() => {
  const lines = judged.value?.chart;
  if (!lines) return [];
  const { resistance, voltage } = curveFigures(lines, preferences.temperatureUnit, false);
  return voltage ? [resistance, voltage] : [resistance];
});
const measured = computed(() => job.readings.some((r) => r.value !== null));

/** What the charts show, for those who do not see them. */
const CHART_NAMES = ['Resistance against temperature', 'Voltage against temperature'] as const;

async function picturesNow(): Promise<ReportPictures> {
  const svg = sheet.value?.querySelector<SVGSVGElement>('.drawing svg');
  const drawn = measured.value && pages.value !== 'customer' ? charts.value : [];
  return {
    drawing: svg ? inlinedSvg(svg) : null,
    charts: await Promise.all(
      drawn.map(async (c, i) => ({ image: await chartImage(c, 450, 320), about: CHART_NAMES[i] })),
    ),
    photos: photos.value,
    logo: own.workshop.logo,
  };
}

async function make(how: (report: Report, pictures: ReportPictures) => void | Promise<void>): Promise<void> {
  [making.value, fault.value] = [true, ''];
  try {
    await how(report.value, await picturesNow());
  } catch (error) {
    fault.value = error instanceof Error ? error.message : String(error);
  }
  making.value = false;
}
const makePdf = () =>
  make(async (now, pictures) => {
    const { reportPdf } = await import('./reportPdf.ts');
    saveBlob(fileName(job.title, 'pdf'), await reportPdf(now, pictures, paper.value));
  });
const makeHtml = () =>
  make((now, pictures) => {
    const { ink, soft, line, spruce } = palette(false);
    saveFile(
      fileName(job.title, 'html'),
      'text/html;charset=utf-8',
      reportHtml(now, pictures, { ink, soft, line, accent: spruce }),
    );
  });
const print = (): void => window.print();
</script>

<template>
  <div class="screen">
    <TopBar class="no-print" back>
      <ActButton kind="quiet" :to="`/check/${job.id}`">‹ Bench</ActButton>
    </TopBar>
    <section class="tools no-print" aria-label="The report as a file">
      <PickList v-model="pages" class="pages" label="Pages" hide-label :options="PAGES" />
      <PickList v-model="paper" class="paper-size" label="Paper" hide-label :options="PAPERS" />
      <ActButton :disabled="waiting || making" @click="makePdf">
        {{ making ? 'Making…' : 'PDF' }}
      </ActButton>
      <ActButton :disabled="waiting || making" @click="makeHtml">HTML</ActButton>
      <ActButton kind="main" :disabled="waiting" @click="print">Print</ActButton>
    </section>
    <p v-if="fault" class="fault no-print" role="alert">
      The file could not be made: {{ fault }}. Print works without it.
    </p>
    <p v-if="verdict.fault" class="fault no-print" role="alert">
      No verdict on these figures: {{ verdict.fault.message }}. The report goes without one.
      <ActButton @click="judging.again()">Compute again</ActButton>
    </p>
    <PaperLight
      ><main ref="sheet" class="light paper" aria-label="Report">
        <div v-if="report.head.workshop || own.workshop.logo" class="head" data-test="report-head">
          <img v-if="own.workshop.logo" class="logo" :src="own.workshop.logo" alt="" />
          <div>
            <p class="workshop">{{ report.head.workshop }}</p>
            <p class="soft">{{ report.head.contact }}</p>
          </div>
        </div>
        <h1>{{ report.title }}</h1>
        <p class="soft">{{ report.subtitle }}</p>
        <template v-if="report.customer.length > 0">
          <h2>In plain words</h2>
          <SectionPart v-for="s in report.customer" :key="s.id" class="plain" :section="s" />
        </template>
        <h2 v-if="report.sections.length > 0" :class="{ 'next-page': report.customer.length > 0 }">
          The check in detail
        </h2>
        <SectionPart v-for="s in report.sections" :key="s.id" :section="s">
          <CircuitDrawing v-if="s.id === 'circuit'" class="picture" :drawing="drawing" />
          <div v-if="s.id === 'readings' && charts.length > 0" class="picture chart">
            <PlotFigure v-for="(c, i) in charts" :key="i" :figure="c" :label="CHART_NAMES[i]" />
          </div>
        </SectionPart>
        <section v-if="photos.length > 0">
          <h3>Photos</h3>
          <div class="photos">
            <figure v-for="p in photos" :key="p.image">
              <img :src="p.image" :alt="p.caption" />
              <figcaption>{{ p.caption }}</figcaption>
            </figure>
          </div>
        </section>
        <section class="cautions">
          <h3>Cautions</h3>
          <ul>
            <li v-for="c in report.cautions" :key="c">{{ c }}</li>
          </ul>
        </section>
        <section class="signatures">
          <p v-for="who in report.signatures" :key="who">{{ who }}</p>
        </section>
      </main></PaperLight
    >
  </div>
</template>

<style scoped>
.tools {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  max-width: 860px;
  margin: 12px auto 0;
  padding: 0 10px;
}
.fault {
  padding: 8px 16px;
  background: var(--clay-soft);
}
.paper {
  max-width: 860px;
  margin: 16px auto 40px;
  padding: 32px 40px;
  background: #fff;
  color: var(--ink);
  border: 1px solid var(--line);
  font-size: 13.5px;
}
.paper-size {
  width: 110px;
}
h1 {
  font-size: 24px;
}
h2 {
  font-size: 18px;
  margin: 22px 0 0;
  padding-top: 8px;
  border-top: 2px solid var(--spruce);
}
h3 {
  font-size: 15px;
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
  font-size: 15px;
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
  font-size: 12px;
}
.pages {
  width: 170px;
}
.paper :deep(.ant-table.ant-table-small .ant-table-thead > tr > th.ant-table-cell),
.paper :deep(.ant-table.ant-table-small .ant-table-tbody > tr > td.ant-table-cell) {
  padding: 3px 8px 3px 0;
  font-size: 12.5px;
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
  font-size: 12px;
  color: var(--soft);
}
@media print {
  .next-page {
    break-before: page;
  }
  .no-print.no-print {
    display: none;
  }
  .paper {
    max-width: none;
    margin: 0;
    padding: 0;
    border: 0;
  }
}
@media screen and (max-width: 620px) {
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
