<script setup lang="ts">
import { reportSheetWords as say } from '@mellow-probe/core/wording/screens/report';
import PickList from '../../components/base/PickList.vue';
import ActButton from '../../components/base/ActButton.vue';
import { palette } from '../../components/base/tokens.ts';
import { type Report, reportOf, type ReportPages } from '@mellow-probe/core/report/reportOf';
import type { ReportPictures } from '@mellow-probe/core/report/reportSection';
import { reportHtml } from '@mellow-probe/core/report/reportHtml';
import { reportName } from '@mellow-probe/core/report/reportName';
import { dayText, momentText } from '@mellow-probe/core/base/units/writing';
import { unreadablePhotosText } from '@mellow-probe/core/wording/noticeText';
import { computed, onBeforeUnmount, ref } from 'vue';
import TopBar from '../../components/TopBar.vue';
import { chartImage } from '../../browser/chartImage.ts';
import { inlinedSvg } from '../../browser/inlinedSvg.ts';
import { canShareFiles, shareFile } from '../../browser/shareFile.ts';
import { saveBlob, saveFile } from '../../browser/saveFile.ts';
import { useOwnWorkshop } from '../../session/ownWorkshop.ts';
import { useSession } from '../../session/jobSession.ts';
import { usePreferences } from '../../data/stores/preferences.ts';
import { curveFigures } from '../../components/curveFigure.ts';
import { drawingOf } from '../../components/drawing/drawingOf.ts';
import ReportPaper from './ReportPaper.vue';
import { useReportPhotos } from './useReportPhotos.ts';

/** The job on paper: what was complained of, measured, expected, decided, done and proved. */
const { job, verdict, judging } = useSession();
const preferences = usePreferences();
const paper = ref<'A4' | 'LETTER'>('A4');
const PAPERS = [
  { value: 'A4', label: 'A4' },
  { value: 'LETTER', label: say.letter },
] as const;
const pages = ref<ReportPages>('both');
const PAGES = [
  { value: 'both', label: say.bothPages },
  { value: 'customer', label: say.forTheCustomer },
  { value: 'technical', label: say.technical },
] as const;
const own = useOwnWorkshop();
const making = ref(false);
const fault = ref('');
const { photos, unreadable } = useReportPhotos(job);
const sheet = ref<{ drawn: () => SVGSVGElement | null }>();

onBeforeUnmount(judging.wantChart());

/** Only what was computed from the figures on this sheet goes on paper. */
const judged = computed(() => (verdict.state.kind === 'ready' ? verdict.state.now : null));
const waiting = computed(() => (judged.value ? !judged.value.complete : !verdict.fault));
const drawing = computed(() => drawingOf(job, verdict, preferences.temperatureUnit));

const report = computed(() =>
  reportOf(job, judged.value?.answer.result?.assessment ?? null, judged.value?.answer.result?.proofHealthy ?? null, {
    unit: preferences.temperatureUnit,
    two: judged.value?.two ?? null,
    where: judged.value?.advice?.where ?? null,
    when: momentText,
    day: dayText,
    workshop: own.workshop,
    pages: pages.value,
  }),
);
const charts = computed(() => {
  const lines = judged.value?.chart;
  if (!lines) return [];
  const { resistance, voltage } = curveFigures(lines, preferences.temperatureUnit, false);
  return [
    { figure: resistance, about: say.resistanceAgainstTemperature },
    ...(voltage ? [{ figure: voltage, about: say.voltageAgainstTemperature }] : []),
  ];
});
const measured = computed(() => job.readings.some((r) => r.value !== null));

async function picturesNow(): Promise<ReportPictures> {
  const svg = sheet.value?.drawn();
  const drawn = measured.value && pages.value !== 'customer' ? charts.value : [];
  return {
    drawing: svg ? inlinedSvg(svg) : null,
    charts: await Promise.all(
      drawn.map(async ({ figure, about }) => ({ image: await chartImage(figure, 450, 320), about })),
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
const sharing = canShareFiles();
/** The PDF as a file, or handed to another program of the device: mail, messages, a printer. */
const makePdf = (how: 'save' | 'share') =>
  make(async (now, pictures) => {
    const { reportPdf } = await import('./reportPdf.ts');
    const [name, pdf] = [`${reportName(job)}.pdf`, await reportPdf(now, pictures, paper.value)];
    if (how === 'share') await shareFile(name, pdf);
    else saveBlob(name, pdf);
  });
const makeHtml = () =>
  make((now, pictures) => {
    const { ink, soft, line, spruce } = palette(false);
    saveFile(
      `${reportName(job)}.html`,
      'text/html;charset=utf-8',
      reportHtml(now, pictures, { ink, soft, line, accent: spruce }),
    );
  });
const print = (): void => window.print();
</script>

<template>
  <div class="screen">
    <TopBar class="no-print" back folds>
      <ActButton kind="quiet" :to="`/check/${job.id}`">{{ say.bench }}</ActButton>
    </TopBar>
    <section class="tools no-print" :aria-label="say.fileLabel">
      <PickList v-model="pages" class="pages" :label="say.pages" hide-label :options="PAGES" />
      <PickList v-model="paper" class="paper-size" :label="say.paper" hide-label :options="PAPERS" />
      <ActButton v-if="sharing" icon="shareAlt" :disabled="waiting || making" @click="makePdf('share')">{{
        say.share
      }}</ActButton>
      <ActButton :disabled="waiting || making" @click="makePdf('save')">
        {{ making ? say.making : say.pdf }}
      </ActButton>
      <ActButton icon="export" :disabled="waiting || making" @click="makeHtml">{{ say.html }}</ActButton>
      <ActButton icon="printer" kind="main" :disabled="waiting" @click="print">{{ say.print }}</ActButton>
    </section>
    <p v-if="fault" class="fault no-print" role="alert">
      {{ say.fileFailed(fault) }}
    </p>
    <p v-if="unreadable > 0" class="fault no-print" role="status" data-test="unreadable">
      {{ unreadablePhotosText(unreadable) }}
    </p>
    <p v-if="verdict.fault" class="fault no-print" role="alert">
      {{ say.noVerdict(verdict.fault.message) }}
      <ActButton icon="reload" @click="judging.again()">{{ say.computeAgain }}</ActButton>
    </p>
    <ReportPaper
      ref="sheet"
      :report="report"
      :drawing="drawing"
      :charts="charts"
      :photos="photos"
      :logo="own.workshop.logo"
    />
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
.paper-size {
  width: 110px;
}
.pages {
  width: 170px;
}
@media print {
  .no-print.no-print {
    display: none;
  }
}
</style>
