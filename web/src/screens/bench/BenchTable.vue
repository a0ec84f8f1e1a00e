<script setup lang="ts">
import { benchTableWords as say } from '@mellow-probe/core/wording/screens/bench';
import { computed, defineAsyncComponent, nextTick, onMounted, ref } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import TopBar from '../../components/TopBar.vue';
import { onKeyStroke } from '../../browser/onKeyStroke.ts';
import { breath } from '../../browser/turns.ts';
import { useNarrow } from '../../browser/useMedia.ts';
import { useWakeLock } from '../../browser/useWakeLock.ts';
import { fileName, saveFile } from '../../browser/saveFile.ts';
import { saveJob } from '@mellow-probe/core/check/job/openJob';
import { withPhotos } from '../../data/storage/photoStorage.ts';
import { useSession } from '../../session/jobSession.ts';
import { usePreferences } from '../../data/stores/preferences.ts';
import BenchTitle from './BenchTitle.vue';
import CardDrawing from './CardDrawing.vue';
import CurveCharts from './CurveCharts.vue';
import EarlierHere from './EarlierHere.vue';
import { formOf } from './forms/list.ts';
import { CircuitDetails, TestCard } from './laterParts.ts';
import QuickCard from './QuickCard.vue';
import QuickPhone from './QuickPhone.vue';
import ReadingMode from './ReadingMode.vue';
import SaveState from './SaveState.vue';
import { useExperience } from './useExperience.ts';
import VerdictPanel from './VerdictPanel.vue';
import UndoButtons from './UndoButtons.vue';
import WorkOrder from './WorkOrder.vue';

/** The bench itself: the order of work, the circuit with the card in hand, the verdict. */
const router = useRouter();
useWakeLock();
useExperience();
const { job, record, work } = useSession();
const preferences = usePreferences();
const narrow = useNarrow();
const details = ref(false);
/** The order of work, the figures and the verdict come in a task each: in between a phone answers. */
const come = ref<'order' | 'figures' | 'verdict'>('order');
onMounted(async () => {
  await breath();
  come.value = 'figures';
  await nextTick();
  await breath();
  come.value = 'verdict';
});
/** The sheet for two metres lies over everything: nothing behind it takes the focus. */
const reading = ref(false);
const middle = ref<HTMLElement>();
/** The walk round: asked for by who started his first check with it, or from the help; its library comes only then. */
const BenchTour = defineAsyncComponent(() => import('./BenchTour.vue'));
const ShareSheet = defineAsyncComponent(() => import('../../components/ShareSheet.vue'));
const sharing = ref(false);
const touring = ref(false);
const toured = ref(false);
function tour(): void {
  [toured.value, touring.value] = [true, true];
}
const route = useRoute();
onMounted(() => {
  if (route.query.tour === undefined) return;
  void router.replace({ path: route.path, query: {} });
  tour();
});

const form = computed(() => formOf(work.current));

async function focusCard(): Promise<void> {
  await nextTick();
  if (form.value) await form.value.fetch().then(nextTick);
  middle.value
    ?.querySelector<HTMLElement>('.large input, .quick .measured input, .form input, .form textarea')
    ?.focus();
}
function toProposed(): void {
  work.goProposed();
  void focusCard();
}
onKeyStroke('n', toProposed);
onKeyStroke('u', () => preferences.toggleUnit());
onKeyStroke('q', () => (work.goStation('quick'), void focusCard()));
onKeyStroke('d', () => (work.goStation('decision'), void focusCard()));
onKeyStroke('e', () => void focusCard());
onKeyStroke('j', () => work.step(1));
onKeyStroke('k', () => work.step(-1));
/** At two metres there is a test in hand: where none is, the proposed one. */
function readFar(): void {
  if (!work.test) work.goProposed();
  reading.value = true;
}
onKeyStroke('r', readFar);
onKeyStroke('p', () => void router.push(`/check/${job.id}/report`));

async function exportJson(): Promise<void> {
  saveFile(fileName(job.title, 'json'), 'application/json', saveJob(await withPhotos(record.now())));
}
async function exportCsv(): Promise<void> {
  const { readingsCsv } = await import('@mellow-probe/core/check/job/readingsCsv');
  saveFile(fileName(job.title, 'csv'), 'text/csv;charset=utf-8', readingsCsv(job));
}
const actions: InstanceType<typeof TopBar>['$props']['actions'] = [
  { name: say.readFar, icon: 'fullscreen', run: readFar },
  { name: say.live, icon: 'dashboard', to: `/check/${job.id}/live` },
  { name: say.report, icon: 'fileText', to: `/check/${job.id}/report` },
  { name: say.csv, icon: 'table', run: () => void exportCsv() },
  { name: say.share, icon: 'shareAlt', run: () => (sharing.value = true) },
  { name: say.export, icon: 'export', run: () => void exportJson() },
];
</script>

<template>
  <div class="bench">
    <TopBar back folds v-bind="{ inert: reading }" :actions="actions" :tour="tour">
      <BenchTitle />
      <UndoButtons />
      <SaveState @export="exportJson" />
    </TopBar>
    <EarlierHere v-bind="{ inert: reading }" />
    <main class="table">
      <WorkOrder guided v-bind="{ inert: reading }" />
      <div ref="middle" class="middle" :inert="reading" :class="{ whole: form }">
        <component :is="form" v-if="form" class="form" @details="details = true" />
        <template v-else-if="come !== 'order'">
          <QuickPhone v-if="narrow && !work.test" @details="details = true" />
          <CardDrawing v-else />
          <TestCard v-if="work.test" />
          <QuickCard v-else-if="!narrow" @details="details = true" />
          <CurveCharts />
        </template>
      </div>
      <VerdictPanel v-if="come === 'verdict'" v-bind="{ inert: reading }" @next="toProposed" />
      <CircuitDetails v-model:open="details" />
      <ShareSheet v-if="sharing" :job="job" @close="sharing = false" />
      <BenchTour v-if="toured" v-model:open="touring" />
      <ReadingMode v-if="reading" @close="((reading = false), void focusCard())" />
    </main>
  </div>
</template>

<style scoped src="./benchLayout.css"></style>
