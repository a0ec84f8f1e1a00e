<script setup lang="ts">
import { readingsCsv } from '@mellow-probe/core/job/readingsCsv';
import { openFaultText } from '@mellow-probe/core/wording/issueText';
import { computed, nextTick, onMounted, ref, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import TopBar from '../../components/TopBar.vue';
import { onKeyStroke } from '../../composables/onKeyStroke.ts';
import { fileName, saveFile } from '../../composables/saveFile.ts';
import { exportJobFile } from '../../storage/jobFile.ts';
import { useOpenJob } from '../../stores/openJob.ts';
import { usePreferences } from '../../stores/preferences.ts';
import { useVerdict } from '../../stores/verdict.ts';
import { useWorkOrder } from '../../stores/workOrder.ts';
import CircuitDetails from './CircuitDetails.vue';
import CircuitDrawing from './CircuitDrawing.vue';
import CurveCharts from './CurveCharts.vue';
import { FORMS } from './forms/list.ts';
import QuickCard from './QuickCard.vue';
import ReadingMode from './ReadingMode.vue';
import SaveState from './SaveState.vue';
import TestCard from './TestCard.vue';
import VerdictPanel from './VerdictPanel.vue';
import WorkOrder from './WorkOrder.vue';

/** One job on the bench: the order of work, the circuit with the card in hand, the verdict. */
const route = useRoute();
const router = useRouter();
const bench = useOpenJob();
const verdict = useVerdict();
const work = useWorkOrder();
const preferences = usePreferences();
const details = ref(false);
const reading = ref(false);
const middle = ref<HTMLElement>();

onMounted(() => bench.open(String(route.params.id)));
watch(
  () => route.params.id,
  (id) => typeof id === 'string' && void bench.open(id),
);

const unreadable = computed(() => (bench.state.kind === 'unreadable' ? openFaultText(bench.state.fault) : ''));
const form = computed(() =>
  work.current?.kind === 'form' && work.current.id !== 'quick' ? FORMS[work.current.id] : null,
);

async function focusCard(): Promise<void> {
  await nextTick();
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
onKeyStroke('r', () => (reading.value = true));
onKeyStroke('p', () => bench.job && void router.push(`/check/${bench.job.id}/report`));

async function exportJson(): Promise<void> {
  if (bench.job) saveFile(fileName(bench.job.title, 'json'), 'application/json', await exportJobFile(bench.job));
}
function exportCsv(): void {
  if (bench.job) saveFile(fileName(bench.job.title, 'csv'), 'text/csv;charset=utf-8', readingsCsv(bench.job));
}
</script>

<template>
  <div class="bench">
    <TopBar back>
      <template v-if="bench.job">
        <input
          v-model="bench.job.title"
          class="title"
          placeholder="Machine and sensor"
          aria-label="Title of this check"
          maxlength="400"
        />
        <SaveState @export="exportJson" />
        <button class="act quiet" type="button" @click="exportCsv">CSV</button>
        <button class="act quiet" type="button" @click="exportJson">Export</button>
        <RouterLink class="act quiet" :to="`/check/${bench.job.id}/report`">Report</RouterLink>
      </template>
    </TopBar>
    <main v-if="bench.job" class="table">
      <WorkOrder />
      <div ref="middle" class="middle" :class="{ whole: form }">
        <component :is="form" v-if="form" class="form" @details="details = true" />
        <template v-else>
          <CircuitDrawing />
          <TestCard v-if="work.test" />
          <QuickCard v-else @details="details = true" />
          <CurveCharts :lines="verdict.result?.chart ?? null" />
        </template>
      </div>
      <VerdictPanel @next="toProposed" />
      <CircuitDetails v-model:open="details" />
      <ReadingMode v-if="reading" @close="reading = false" />
    </main>
    <main v-else class="nothing">
      <p v-if="bench.state.kind === 'loading'" class="soft">Opening…</p>
      <template v-else-if="bench.state.kind === 'missing'">
        <h1>This check is not here</h1>
        <p>It was deleted, or it lives in another browser.</p>
      </template>
      <template v-else>
        <h1>This check cannot be opened</h1>
        <p>{{ unreadable }} It is kept as it is.</p>
      </template>
      <RouterLink class="act" to="/">All checks</RouterLink>
    </main>
  </div>
</template>

<style scoped>
.bench {
  height: 100%;
  display: grid;
  grid-template-rows: 52px minmax(0, 1fr);
}
.title {
  flex: 1;
  min-width: 120px;
  height: 40px;
  border: 1px solid transparent;
  border-radius: 8px;
  background: transparent;
  font-size: 17px;
  font-weight: 600;
  padding: 0 8px;
}
.title:hover,
.title:focus {
  border-color: var(--line-strong);
  background: var(--field);
}
.table {
  display: grid;
  grid-template-columns: 204px minmax(0, 1fr) 350px;
  min-height: 0;
}
.middle {
  display: grid;
  grid-template-rows: 246px minmax(0, 1.8fr) minmax(0, 1fr);
  gap: 8px;
  padding: 8px 10px 8px 4px;
  min-width: 0;
  min-height: 0;
}
.middle.whole {
  grid-template-rows: minmax(0, 1fr);
}
.nothing {
  display: flex;
  flex-direction: column;
  gap: 12px;
  align-items: flex-start;
  padding: 40px;
}
@media (max-width: 1080px) {
  .bench {
    height: auto;
    min-height: 100%;
  }
  .table {
    display: flex;
    flex-direction: column;
    gap: 8px;
    padding: 8px 10px 96px;
  }
  .middle {
    display: flex;
    flex-direction: column;
    padding: 0;
  }
}
</style>
