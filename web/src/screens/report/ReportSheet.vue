<script setup lang="ts">
import PaperLight from '../../components/base/PaperLight.vue';
import FactTable from '../../components/base/FactTable.vue';
import PickList from '../../components/base/PickList.vue';
import ActButton from '../../components/base/ActButton.vue';
import { reportOf } from '@mellow-probe/core/report/reportOf';
import dayjs from 'dayjs';
import { computed, onBeforeUnmount, ref, watch } from 'vue';
import PlotFigure from '../../components/LazyPlot.ts';
import TopBar from '../../components/TopBar.vue';
import { chartImage } from '../../browser/chartImage.ts';
import { inlinedSvg } from '../../browser/inlinedSvg.ts';
import { fileName, saveBlob } from '../../browser/saveFile.ts';
import { getPhoto } from '../../storage/photoStorage.ts';
import { useSession } from '../../session/jobSession.ts';
import { usePreferences } from '../../stores/preferences.ts';
import { curveFigures } from '../../components/curveFigure.ts';
import CircuitDrawing from '../../components/drawing/CircuitDrawing.vue';
import { drawingOf } from '../../components/drawing/drawingOf.ts';

/** The job on paper: what was complained of, measured, expected, decided, done and proved. */
const { job, verdict, judging } = useSession();
const preferences = usePreferences();
const paper = ref<'A4' | 'LETTER'>('A4');
const PAPERS = [
  { value: 'A4', label: 'A4' },
  { value: 'LETTER', label: 'Letter' },
] as const;
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
  }),
);
const charts = computed(() => {
  const lines = judged.value?.chart;
  if (!lines) return [];
  const { resistance, voltage } = curveFigures(lines, preferences.temperatureUnit, false);
  return voltage ? [resistance, voltage] : [resistance];
});
const measured = computed(() => job.readings.some((r) => r.value !== null));

async function makePdf(): Promise<void> {
  [making.value, fault.value] = [true, ''];
  try {
    const { reportPdf } = await import('./reportPdf.ts');
    const svg = sheet.value?.querySelector<SVGSVGElement>('.drawing svg');
    const pictures = {
      drawing: svg ? inlinedSvg(svg) : null,
      charts: measured.value ? await Promise.all(charts.value.map((c) => chartImage(c, 450, 320))) : [],
      photos: photos.value,
    };
    saveBlob(fileName(job.title, 'pdf'), await reportPdf(report.value, pictures, paper.value));
  } catch (error) {
    fault.value = error instanceof Error ? error.message : String(error);
  }
  making.value = false;
}
const print = (): void => window.print();
</script>

<template>
  <div class="screen">
    <TopBar class="no-print" back>
      <ActButton kind="quiet" :to="`/check/${job.id}`">‹ Bench</ActButton>
      <span class="tools">
        <PickList v-model="paper" class="paper-size" label="Paper" hide-label :options="PAPERS" />
        <ActButton :disabled="waiting || making" @click="makePdf">
          {{ making ? 'Making…' : 'PDF' }}
        </ActButton>
        <ActButton kind="main" :disabled="waiting" @click="print">Print</ActButton>
      </span>
    </TopBar>
    <p v-if="fault" class="fault no-print" role="alert">
      The PDF could not be made: {{ fault }}. Print works without it.
    </p>
    <p v-if="verdict.fault" class="fault no-print" role="alert">
      No verdict on these figures: {{ verdict.fault.message }}. The report goes without one.
      <ActButton @click="judging.again()">Compute again</ActButton>
    </p>
    <PaperLight
      ><main ref="sheet" class="light paper" aria-label="Report">
        <h1>{{ report.title }}</h1>
        <p class="soft">{{ report.subtitle }}</p>
        <section v-for="s in report.sections" :key="s.id" :data-section="s.id">
          <h2>{{ s.title }}</h2>
          <p v-for="line in s.lines" :key="line">{{ line }}</p>
          <FactTable
            v-if="s.table && s.table.rows.length > 0"
            :label="s.title"
            :columns="
              s.table.head.map((title, k) => ({ key: String(k), title, text: (row: readonly string[]) => row[k] }))
            "
            :rows="s.table.rows"
            :row-key="(_, i) => i"
          />
          <CircuitDrawing v-if="s.id === 'circuit'" class="picture" :drawing="drawing" />
          <div v-if="s.id === 'readings' && charts.length > 0" class="picture chart">
            <PlotFigure
              v-for="(c, i) in charts"
              :key="i"
              :figure="c"
              :label="i === 0 ? 'Resistance against temperature' : 'Voltage against temperature'"
            />
          </div>
        </section>
        <section v-if="photos.length > 0">
          <h2>Photos</h2>
          <div class="photos">
            <figure v-for="p in photos" :key="p.image">
              <img :src="p.image" :alt="p.caption" />
              <figcaption>{{ p.caption }}</figcaption>
            </figure>
          </div>
        </section>
        <section class="cautions">
          <h2>Cautions</h2>
          <ul>
            <li v-for="c in report.cautions" :key="c">{{ c }}</li>
          </ul>
        </section>
      </main></PaperLight
    >
  </div>
</template>

<style scoped>
.tools {
  display: flex;
  gap: 8px;
  margin-left: 8px;
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
  font-size: 15px;
  margin: 14px 0 3px;
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
