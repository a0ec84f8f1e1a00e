<script setup lang="ts">
import { logsScreenWords as say } from '@mellow-probe/core/wording/screens/logs';
import { countText } from '@mellow-probe/core/wording/ledgerText';
import type { Job } from '@mellow-probe/core/check/job/jobSchema';
import { applyEvidence } from '@mellow-probe/core/check/job/logEvidence';
import type { LogChoices } from '@mellow-probe/core/intake/logs/logColumns';
import { clockText, logFaultText, logReadText } from '@mellow-probe/core/wording/logText';
import { NOT_TAKEN, storageFaultText } from '@mellow-probe/core/wording/storageText';
import { counted } from '@mellow-probe/core/base/units/writing';
import { computed, defineAsyncComponent, onMounted, ref, shallowRef, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import ActButton from '../../components/base/ActButton.vue';
import NoticeBar from '../../components/base/NoticeBar.vue';
import PickList from '../../components/base/PickList.vue';
import ProgressBar from '../../components/base/ProgressBar.vue';
import { openChecks } from '../../components/openChecks.ts';
import TopBar from '../../components/TopBar.vue';
import { newId, nowIso } from '../../browser/newId.ts';
import { rested } from '../../browser/rested.ts';
import { apart } from '../../browser/turns.ts';
import { listRecordings, type RecordingHead, removeRecording } from '../../data/storage/recordingStorage.ts';
import { useBench } from '../../session/bench.ts';
import { useJobs } from '../../data/stores/jobs/jobs.ts';
import LogColumns from './LogColumns.vue';
import LogList from './LogList.vue';
import { useLogRoom } from './useLogRoom.ts';

/** The log laboratory: recordings and files, the chart to the sample, what was found, and what of it goes on a check. */
// What a log brings is put up one part after the other: at one go it would hold the page up.
const LogView = defineAsyncComponent(() => apart(() => import('./LogView.vue')));
const LogMore = defineAsyncComponent(() => apart(() => import('./LogMore.vue')));
const FindingList = defineAsyncComponent(() => apart(() => import('./FindingList.vue')));
const route = useRoute();
const router = useRouter();
const jobs = useJobs();
const bench = useBench();
const job = shallowRef<Job | null>(null);
const lab = useLogRoom(() => job.value);
const kept = shallowRef<RecordingHead[]>([]);
const listFault = ref(false);
const put = ref(new Set<number>());
const told = ref('');
const checkId = ref(typeof route.query.check === 'string' ? route.query.check : '');

async function list(): Promise<void> {
  try {
    kept.value = await listRecordings();
    listFault.value = false;
  } catch {
    listFault.value = true;
  }
}
onMounted(() => {
  void list();
  void jobs.load();
  // The chart library takes its time to start: before a file is read, nobody waits for it.
  void rested().then(() => import('./LogChart.vue'));
});
watch(
  () => route.params.rec,
  (rec) => {
    if (typeof rec === 'string' && rec !== '') void lab.openRecording(rec);
  },
  { immediate: true },
);
// A file that was read stands under its own address from then on.
watch(lab.head, (head) => {
  if (!head) return;
  void list();
  if (route.params.rec !== head.id) void router.replace({ path: `/logs/${head.id}`, query: route.query });
});
watch(
  checkId,
  async (id) => {
    job.value = id === '' ? null : await jobs.read(id);
    put.value = new Set();
  },
  { immediate: true },
);
watch(lab.analysis, () => (put.value = new Set()));

const checks = computed(() => [{ value: '', label: say.noCheck }, ...openChecks(jobs.lines)]);
function open(files: readonly File[], choices: LogChoices = {}, everyS: number | null = null): void {
  told.value = '';
  if (files[0]) void lab.openFile(files[0], choices, everyS);
}
async function use(index: number): Promise<void> {
  const { evidence } = lab.analysis.value!;
  const note = say.log(lab.title.value);
  let taken = 0;
  try {
    await bench.changeJob(checkId.value, (own) => {
      taken = applyEvidence(own, evidence[index], note, nowIso(), newId);
    });
    put.value = new Set([...put.value, index]);
    told.value =
      taken === 0 ? say.alreadyThere : say.putOnCheck(countText(taken, 'thing', 'things'), job.value?.title ?? '');
  } catch {
    told.value = NOT_TAKEN;
  }
}
async function remove(id: string): Promise<void> {
  await removeRecording(id);
  await list();
  if (lab.head.value?.id === id) {
    lab.cancel();
    await router.replace({ path: '/logs', query: route.query });
  }
}
</script>

<template>
  <div class="logs">
    <TopBar
      back
      :folds="Boolean(checkId)"
      :actions="
        checkId
          ? [
              { name: say.liveValues, to: `/check/${checkId}/live` },
              { name: say.toTheBench, to: `/check/${checkId}` },
            ]
          : []
      "
      ><h1 class="title">{{ say.logLaboratory }}</h1></TopBar
    >
    <main>
      <LogList :kept="kept" :fault="listFault" :current="lab.head.value?.id ?? null" @open="open" @remove="remove" />
      <div class="lab">
        <section v-if="lab.busy.value" class="sheet busy" role="status">
          <span>{{ lab.state.value.at === 'reading' ? say.readingTheLog : say.analysing }}</span>
          <ProgressBar :share="'share' in lab.state.value ? lab.state.value.share : 0" :label="say.progress" />
          <ActButton v-if="lab.state.value.at === 'reading'" @click="lab.cancel()">{{ say.stop }}</ActButton>
        </section>
        <NoticeBar v-if="lab.state.value.at === 'failed'" kind="bad">{{ lab.state.value.why }}</NoticeBar>
        <section v-if="lab.state.value.at === 'asked'" class="sheet part">
          <NoticeBar>{{ lab.state.value.file.name }}: {{ logFaultText(lab.state.value.result) }}</NoticeBar>
          <LogColumns
            v-if="lab.state.value.result.columns.length > 0"
            :columns="lab.state.value.result.columns"
            asked
            @read="(...said) => open([lab.file.value!], ...said)"
          />
        </section>
        <template v-if="lab.shape.value">
          <section class="sheet part">
            <div class="head">
              <div class="what">
                <h2 class="log">{{ lab.title.value }}</h2>
                <span class="soft small"
                  >{{ say.rows(counted(lab.shape.value.rows), clockText(lab.shape.value.lengthS))
                  }}<template v-if="lab.fileRead.value">
                    ·
                    {{ logReadText(lab.fileRead.value) }}</template
                  ></span
                >
              </div>
              <PickList v-model="checkId" class="check" :label="say.forTheCheck" :options="checks" />
            </div>
            <NoticeBar v-if="lab.notKept.value === 'too-large'" kind="told">{{ say.tooLarge }}</NoticeBar>
            <NoticeBar v-else-if="lab.notKept.value" kind="odd">{{
              say.notKept(storageFaultText(lab.notKept.value))
            }}</NoticeBar>
            <NoticeBar v-if="lab.lost.value > 0">{{ say.piecesLost(lab.lost.value) }}</NoticeBar>
            <LogView :lab="lab" />
            <LogMore :lab="lab" @read="(...said) => open([lab.file.value!], ...said)" @told="told = $event" />
          </section>
          <section v-if="lab.analysis.value" class="sheet part" :aria-label="say.whatWasFound">
            <h2>{{ lab.analysis.value.findings.length === 0 ? say.nothingStandsOut : say.whatItTells }}</h2>
            <p v-if="!checkId" class="soft small">
              {{ say.needsCheck }}
            </p>
            <NoticeBar v-if="told" kind="told" status>{{ told }}</NoticeBar>
            <FindingList
              :findings="lab.analysis.value.findings"
              :evidence="lab.analysis.value.evidence"
              :shape="lab.shape.value"
              :to-check="checkId !== '' && job !== null"
              :put="put"
              @show="lab.showRange"
              @use="use"
            />
          </section>
        </template>
        <section v-else-if="lab.state.value.at === 'nothing'" class="sheet empty">
          <h2>{{ say.emptyTitle }}</h2>
          <p>
            {{ say.emptyHelp }}
          </p>
        </section>
      </div>
    </main>
  </div>
</template>

<style scoped>
.logs {
  height: 100%;
  display: grid;
  grid-template-rows: auto minmax(0, 1fr);
}
.title {
  font-size: 1.0625rem;
}
main {
  display: grid;
  grid-template-columns: 280px minmax(0, 1fr);
  gap: 8px;
  padding: 8px;
  min-height: 0;
}
.small {
  font-size: 0.8125rem;
  margin: 0;
}
.lab {
  display: flex;
  flex-direction: column;
  gap: 8px;
  min-width: 0;
  overflow-y: auto;
}
.lab > * {
  flex: none;
}
.part {
  display: flex;
  flex-direction: column;
  gap: 8px;
  padding: 12px 16px;
}
.busy {
  display: flex;
  align-items: center;
  gap: 12px;
  padding: 10px 16px;
}
.head {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: 8px 16px;
  align-items: end;
}
.what {
  min-width: 0;
  flex: 1 1 260px;
}
.log {
  font-size: 1.1875rem;
  overflow-wrap: anywhere;
}
h2 {
  font-size: 1.0625rem;
}
.check {
  flex: 0 1 260px;
}
.empty {
  padding: 28px;
}
@media (max-width: 56.25em) {
  .logs {
    height: auto;
  }
  main {
    grid-template-columns: minmax(0, 1fr);
  }
  .lab {
    overflow: visible;
  }
  .part {
    padding: 10px;
  }
}
</style>
