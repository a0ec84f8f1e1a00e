<script setup lang="ts">
import { guideWords as say } from '@mellow-probe/core/wording/screens/guide';
import { saveJob } from '@mellow-probe/core/check/job/openJob';
import { computed, ref, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { fileName, saveFile } from '../../browser/saveFile.ts';
import { useWakeLock } from '../../browser/useWakeLock.ts';
import ActButton from '../../components/base/ActButton.vue';
import SideSheet from '../../components/base/SideSheet.vue';
import TopBar from '../../components/TopBar.vue';
import { withPhotos } from '../../data/storage/photoStorage.ts';
import { usePreferences } from '../../data/stores/preferences.ts';
import { useSession } from '../../session/jobSession.ts';
import BenchTitle from '../bench/BenchTitle.vue';
import EarlierHere from '../bench/EarlierHere.vue';
import { FORMS } from '../bench/forms/list.ts';
import SaveState from '../bench/SaveState.vue';
import UndoButtons from '../bench/UndoButtons.vue';
import { useExperience } from '../bench/useExperience.ts';
import VerdictPanel from '../bench/VerdictPanel.vue';
import WorkList from '../bench/WorkList.vue';
import { ASKED, type GuideStep, isFinishing, stepBeside, stepNamed } from './guideSteps.ts';
import ResultStep from './ResultStep.vue';
import TemperatureStep from './TemperatureStep.vue';
import TestStep from './TestStep.vue';
import TroubleStep from './TroubleStep.vue';
import WhatStep from './WhatStep.vue';

/** A check as a sequence of questions: each answer is in the check at once, everything can be skipped, and the way back loses nothing. */
const { job, record, work } = useSession();
const [route, router] = [useRoute(), useRouter()];
const preferences = usePreferences();
useWakeLock();
useExperience();

const step = computed(() => stepNamed(route.query.step));
const form = computed(() => (isFinishing(step.value) ? FORMS[step.value] : null));
const all = ref(false);
const temperature = ref<InstanceType<typeof TemperatureStep>>();
const number = computed(() => ASKED.findIndex((s) => s === step.value) + 1);
// Each question begins at its top.
watch(
  () => route.fullPath,
  () => window.scrollTo(0, 0),
);

function go(to: GuideStep): void {
  void router.push({ path: route.path, query: { step: to } });
}
function back(): void {
  const before = String(window.history.state?.back ?? '');
  const previous = stepBeside(step.value, -1);
  if (before.startsWith(route.path)) router.back();
  else if (previous) go(previous);
}
/** On to the next question; after the last one, to the report. */
function next(): void {
  if (temperature.value?.leave() === false) return;
  const to = stepBeside(step.value, 1);
  if (to) go(to);
  else void router.push(`/check/${job.id}/report`);
}
function quick(): void {
  preferences.opens = 'quick';
  void router.push(`/check/${job.id}`);
}
/** A step of the whole order of work: it stands on the bench. */
function station(): void {
  all.value = false;
  void router.push(`/check/${job.id}`);
}
/** The test that the verdict proposes is the next question. */
function toTest(): void {
  work.goProposed();
  void router.push({ path: route.path, query: { step: 'test', test: work.test ?? undefined } });
}
async function exportJson(): Promise<void> {
  saveFile(fileName(job.title, 'json'), 'application/json', saveJob(await withPhotos(record.now())));
}
</script>

<template>
  <div class="guide">
    <TopBar
      back
      folds
      :actions="[
        { name: say.typeReadings, icon: 'table', run: quick },
        { name: say.allSteps, icon: 'unorderedList', run: () => (all = true) },
      ]"
    >
      <BenchTitle />
      <UndoButtons />
      <SaveState @export="exportJson" />
    </TopBar>
    <EarlierHere />
    <main>
      <div class="ask" :data-step="step">
        <div class="head">
          <span class="small-head">{{
            [number > 0 ? say.stepOf(number, ASKED.length) : '', step === 'test' ? say.questions.test : '']
              .filter(Boolean)
              .join(' · ')
          }}</span>
          <ActButton kind="quiet" class="all" @click="all = true">{{ say.allSteps }}</ActButton>
        </div>
        <h2 :class="{ 'visually-hidden': step === 'test' }">{{ say.questions[step] }}</h2>
        <WhatStep v-if="step === 'what'" @next="next" />
        <TroubleStep v-else-if="step === 'trouble'" />
        <TemperatureStep v-else-if="step === 'temperature'" ref="temperature" @next="next" />
        <TestStep v-else-if="step === 'test'" @result="go('result')" @back="back" />
        <ResultStep v-else-if="step === 'result'" @step="go" @test="toTest" @temperature="go('temperature')" />
        <component :is="form" v-else-if="form" class="form" />
        <div v-if="step !== 'test' && step !== 'result'" class="ways">
          <ActButton v-if="step !== 'what'" @click="back">‹ {{ say.back }}</ActButton>
          <ActButton kind="main" class="on" @click="next">{{ say.next }} ›</ActButton>
        </div>
        <ActButton v-if="step === 'what'" kind="quiet" data-test="quick" @click="quick">{{
          say.typeReadings
        }}</ActButton>
      </div>
      <VerdictPanel @next="toTest" />
    </main>
    <SideSheet v-model:open="all" :title="say.allSteps" :width="420">
      <WorkList v-if="all" @gone="station" />
    </SideSheet>
  </div>
</template>

<style scoped>
.guide {
  min-height: 100%;
  display: grid;
  grid-template-rows: auto auto minmax(0, 1fr);
  grid-template-columns: minmax(0, 1fr);
}
.guide > main {
  grid-row: 3;
  display: grid;
  grid-template-columns: minmax(0, 1fr) 350px;
}
.ask {
  width: 100%;
  max-width: 620px;
  margin: 0 auto;
  padding: 2px 16px 110px;
  display: flex;
  flex-direction: column;
  gap: 10px;
  min-width: 0;
}
.head {
  display: flex;
  justify-content: space-between;
  align-items: center;
}
h2 {
  font-size: 1.6rem;
  line-height: 1.2;
}
.ways {
  display: flex;
  gap: 10px;
}
.ways > * {
  min-height: 52px;
}
.on {
  flex: 1;
}
@media (max-width: 67.5em) {
  .guide > main {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
