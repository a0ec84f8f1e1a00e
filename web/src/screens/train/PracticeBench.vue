<script setup lang="ts">
import { practiceBenchWords as say } from '@mellow-probe/core/wording/screens/trainPlay';
import { measurementById } from '@mellow-probe/core/circuit/measurements/list';
import { computed } from 'vue';
import CircuitDrawing from '../../components/drawing/CircuitDrawing.vue';
import { drawingOf } from '../../components/drawing/drawingOf.ts';
import TopBar from '../../components/TopBar.vue';
import { useNarrow, useUpright } from '../../browser/useMedia.ts';
import { onKeyStroke } from '../../browser/onKeyStroke.ts';
import { usePractice } from '../../session/practice.ts';
import { usePreferences } from '../../data/stores/preferences.ts';
import { formOf } from '../bench/forms/list.ts';
import { TestCard } from '../bench/laterParts.ts';
import WorkOrder from '../bench/WorkOrder.vue';
import CaseHead from './CaseHead.vue';
import PracticePanel from './PracticePanel.vue';
import ProbeEntry from './ProbeEntry.vue';

/** A training case on the bench: the same order of work, drawing and cards as for a customer's machine, with a probe where the field is. */
const { session, record, setUp } = usePractice();
const { work } = session;
const preferences = usePreferences();
const [narrow, upright] = [useNarrow(), useUpright()];
const PLUG = { in: 'sensor', out: 'open', bridged: 'bridge' } as const;
/** As everything stands, not as the test asks for it. */
const drawing = computed(() => {
  const test = work.test ? measurementById(work.test) : null;
  const asked = drawingOf(session.job, session.verdict, preferences.temperatureUnit, test);
  if (asked.plug.kind === 'aside') return asked;
  const plug = setUp.plug === 'resistor' ? { kind: 'resistor' as const, text: 'Ω' } : { kind: PLUG[setUp.plug] };
  return { ...asked, plug };
});
const form = computed(() => formOf(work.current));
if (!work.test) work.goStation('live');
onKeyStroke('u', () => preferences.toggleUnit());
onKeyStroke('j', () => work.step(1));
onKeyStroke('k', () => work.step(-1));
</script>

<template>
  <div class="bench">
    <TopBar back folds :actions="[{ name: say.training, to: '/train' }]">
      <h1 class="number">{{ say.case(record.value.number) }}</h1>
    </TopBar>
    <main class="table">
      <CaseHead v-if="upright" />
      <WorkOrder />
      <div class="middle" :class="{ whole: form, practice: true }">
        <component :is="form" v-if="form" class="form" />
        <template v-else>
          <CircuitDrawing :drawing="drawing" :upright="narrow" @mark="work.goTest($event)" />
          <TestCard v-if="work.test"><ProbeEntry /></TestCard>
        </template>
      </div>
      <PracticePanel />
    </main>
  </div>
</template>

<style scoped src="../bench/benchLayout.css"></style>
<style scoped>
.number {
  font-size: 1.0625rem;
  flex: 1;
  white-space: nowrap;
}
.middle.practice:not(.whole) {
  grid-template-rows: 240px minmax(0, 1fr);
}
</style>
