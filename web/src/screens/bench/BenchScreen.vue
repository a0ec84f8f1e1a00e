<script setup lang="ts">
import { readingsCsv } from '@mellow-probe/core/job/readingsCsv';
import { saveJob } from '@mellow-probe/core/job/openJob';
import { figure } from '@mellow-probe/core/job/newJob';
import { openFaultText } from '@mellow-probe/core/wording/issueText';
import { computed, nextTick, onMounted, ref, watch } from 'vue';
import { useRoute } from 'vue-router';
import TopBar from '../../components/TopBar.vue';
import { onKeyStroke } from '../../composables/onKeyStroke.ts';
import { fileName, saveFile } from '../../composables/saveFile.ts';
import { useReadings } from '../../composables/useReadings.ts';
import { useOpenJob } from '../../stores/openJob.ts';
import { usePreferences } from '../../stores/preferences.ts';
import { useVerdict } from '../../stores/verdict.ts';
import CircuitDetails from './CircuitDetails.vue';
import CircuitDrawing from './CircuitDrawing.vue';
import CurveCharts from './CurveCharts.vue';
import MoreReadings from './MoreReadings.vue';
import SaveState from './SaveState.vue';
import VerdictPanel from './VerdictPanel.vue';

/** One check on the bench: drawing with its figures, charts, verdict. */
const route = useRoute();
const bench = useOpenJob();
const verdict = useVerdict();
const details = ref(false);

onMounted(() => bench.open(String(route.params.id)));
watch(
  () => route.params.id,
  (id) => typeof id === 'string' && void bench.open(id),
);

const unreadable = computed(() => (bench.state.kind === 'unreadable' ? openFaultText(bench.state.fault) : ''));

const preferences = usePreferences();
const readings = useReadings();
const screen = ref<HTMLElement>();

/** Puts the cursor into the field of the proposed test, making the field where it has no place in the drawing. */
async function toProposed(): Promise<void> {
  const proposal = verdict.result?.proposals[0];
  if (!proposal || !bench.job) return;
  const find = (): HTMLInputElement | null =>
    screen.value?.querySelector(`[data-measurement="${proposal.measurement}"] input`) ?? null;
  if (!find()) {
    const { substituteOhm, bathC, wire, position } = proposal.conditions;
    readings.add(proposal.measurement, '', {
      ...(substituteOhm === undefined ? {} : { substituteOhm: figure(substituteOhm) }),
      ...(bathC === undefined ? {} : { bathC: { text: `${bathC} °C`, value: bathC } }),
      ...(wire && position ? { wire, position } : {}),
    });
    await nextTick();
  }
  find()?.focus();
}
onKeyStroke('n', () => void toProposed());
onKeyStroke('u', () => preferences.toggleUnit());
onKeyStroke('a', () => screen.value?.querySelector<HTMLSelectElement>('.add select')?.focus());

function exportJson(): void {
  if (bench.job) saveFile(fileName(bench.job.title, 'json'), 'application/json', saveJob(bench.job));
}
function exportCsv(): void {
  if (bench.job) saveFile(fileName(bench.job.title, 'csv'), 'text/csv;charset=utf-8', readingsCsv(bench.job));
}
</script>

<template>
  <div ref="screen" class="bench">
    <TopBar back>
      <template v-if="bench.job">
        <input v-model="bench.job.title" class="title" placeholder="Machine and sensor" aria-label="Title of this check" maxlength="400" />
        <SaveState @export="exportJson" />
        <button class="act quiet" type="button" @click="exportCsv">CSV</button>
        <button class="act quiet" type="button" @click="exportJson">Export</button>
      </template>
    </TopBar>
    <main v-if="bench.job" class="table">
      <div class="left">
        <CircuitDrawing @details="details = true" />
        <MoreReadings />
        <CurveCharts :lines="verdict.result?.chart ?? null" />
      </div>
      <VerdictPanel @next="toProposed" />
      <CircuitDetails v-model:open="details" />
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
  grid-template-rows: 52px 1fr;
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
  grid-template-columns: minmax(0, 1fr) 372px;
  min-height: 0;
}
.left {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  grid-template-rows: auto auto minmax(190px, 1fr);
  gap: 8px;
  padding: 10px 14px;
  min-width: 0;
  min-height: 0;
  overflow-y: auto;
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
    padding: 10px 14px;
  }
  .left {
    display: contents;
  }
  .verdict {
    order: 1;
    border: 1px solid var(--line);
    border-radius: 12px;
  }
  .charts {
    order: 2;
    height: 260px;
    flex: none;
  }
}
</style>
