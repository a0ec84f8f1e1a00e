<script setup lang="ts">
import { reportOf } from '@mellow-probe/core/report/reportOf';
import dayjs from 'dayjs';
import { computed, onMounted, ref, watch } from 'vue';
import { useRoute } from 'vue-router';
import PlotFigure from '../../components/LazyPlot.ts';
import TopBar from '../../components/TopBar.vue';
import { chartImage } from '../../composables/chartImage.ts';
import { inlinedSvg } from '../../composables/inlinedSvg.ts';
import { fileName, saveBlob } from '../../composables/saveFile.ts';
import { getPhoto } from '../../storage/photoStorage.ts';
import { useOpenJob } from '../../stores/openJob.ts';
import { usePreferences } from '../../stores/preferences.ts';
import { useVerdict } from '../../stores/verdict.ts';
import { useWorkOrder } from '../../stores/workOrder.ts';
import CircuitDrawing from '../bench/CircuitDrawing.vue';
import { curveFigures } from '../bench/curveFigure.ts';

/** The job on paper: what was complained of, measured, expected, decided, done and proved. */
const route = useRoute();
const bench = useOpenJob();
const verdict = useVerdict();
const work = useWorkOrder();
const preferences = usePreferences();
const paper = ref<'A4' | 'LETTER'>('A4');
const making = ref(false);
const fault = ref('');
const photos = ref<{ image: string; caption: string }[]>([]);
const sheet = ref<HTMLElement>();

onMounted(async () => {
  const id = String(route.params.id);
  if (bench.job?.id !== id) await bench.open(id);
  work.goStation('quick');
});
watch(
  () => bench.job?.photos.map((p) => `${p.id}${p.caption}`).join(),
  async () => {
    const list = await Promise.all(
      (bench.job?.photos ?? []).map(async (p) => ({
        image: p.image ?? (await getPhoto(p.id)) ?? '',
        caption: p.caption,
      })),
    );
    photos.value = list.filter((p) => p.image !== '');
  },
  { immediate: true },
);

const report = computed(() => {
  if (!bench.job) return null;
  return reportOf(bench.job, verdict.result?.assessment ?? null, verdict.result?.proofHealthy ?? null, {
    unit: preferences.temperatureUnit,
    when: (iso) => dayjs(iso).format('D MMM YYYY HH:mm'),
  });
});
const charts = computed(() => {
  if (!verdict.result) return [];
  const { resistance, voltage } = curveFigures(verdict.result.chart, preferences.temperatureUnit, false);
  return voltage ? [resistance, voltage] : [resistance];
});
const measured = computed(() => (bench.job?.readings ?? []).some((r) => r.value !== null));

async function makePdf(): Promise<void> {
  if (!report.value || !bench.job) return;
  [making.value, fault.value] = [true, ''];
  try {
    const { reportPdf } = await import('./reportPdf.ts');
    const svg = sheet.value?.querySelector<SVGSVGElement>('.drawing svg');
    const pictures = {
      drawing: svg ? inlinedSvg(svg) : null,
      charts: measured.value ? await Promise.all(charts.value.map((c) => chartImage(c, 450, 320))) : [],
      photos: photos.value,
    };
    saveBlob(fileName(bench.job.title, 'pdf'), await reportPdf(report.value, pictures, paper.value));
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
      <RouterLink v-if="bench.job" class="act quiet" :to="`/check/${bench.job.id}`">‹ Bench</RouterLink>
      <span class="tools">
        <select v-model="paper" aria-label="Paper">
          <option value="A4">A4</option>
          <option value="LETTER">Letter</option>
        </select>
        <button class="act" type="button" :disabled="!report || making" @click="makePdf">
          {{ making ? 'Making…' : 'PDF' }}
        </button>
        <button class="act main" type="button" :disabled="!report" @click="print">Print</button>
      </span>
    </TopBar>
    <p v-if="fault" class="fault no-print" role="alert">
      The PDF could not be made: {{ fault }}. Print works without it.
    </p>
    <main v-if="report && bench.job" ref="sheet" class="light paper" aria-label="Report">
      <h1>{{ report.title }}</h1>
      <p class="soft">{{ report.subtitle }}</p>
      <section v-for="s in report.sections" :key="s.id" :data-section="s.id">
        <h2>{{ s.title }}</h2>
        <p v-for="line in s.lines" :key="line">{{ line }}</p>
        <table v-if="s.table && s.table.rows.length > 0">
          <thead>
            <tr>
              <th v-for="h in s.table.head" :key="h" scope="col">{{ h }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="(row, i) in s.table.rows" :key="i">
              <td v-for="(cell, k) in row" :key="k">{{ cell }}</td>
            </tr>
          </tbody>
        </table>
        <CircuitDrawing v-if="s.id === 'circuit'" class="picture" />
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
    </main>
    <main v-else class="nothing">
      <p v-if="bench.state.kind === 'loading'" class="soft">Opening…</p>
      <template v-else
        ><h1>This check is not here</h1>
        <RouterLink class="act" to="/">All checks</RouterLink></template
      >
    </main>
  </div>
</template>

<style scoped>
.tools {
  display: flex;
  gap: 8px;
  margin-left: 8px;
}
.tools select {
  height: 44px;
  border: 1.5px solid var(--line-strong);
  border-radius: 9px;
  background: var(--field);
  padding: 0 8px;
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
h1 {
  font-size: 24px;
}
h2 {
  font-size: 15px;
  margin: 14px 0 3px;
}
table {
  width: 100%;
  border-collapse: collapse;
  font-size: 12.5px;
  margin: 4px 0;
}
th,
td {
  text-align: left;
  vertical-align: top;
  padding: 3px 8px 3px 0;
  border-top: 1px solid var(--line);
}
th {
  color: var(--soft);
  font-weight: 600;
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
.nothing {
  padding: 40px;
}
@media print {
  .no-print {
    display: none !important;
  }
  .paper {
    max-width: none;
    margin: 0;
    padding: 0;
    border: 0;
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
