<script setup lang="ts">
import { whyDrawerWords as say } from '@mellow-probe/core/wording/screens/benchVerdict';
import ActButton from '../../components/base/ActButton.vue';
import SideSheet from '../../components/base/SideSheet.vue';
import TextField from '../../components/base/TextField.vue';
import FactTable from '../../components/base/FactTable.vue';
import { pooled } from '@mellow-probe/core/inference/model/priorFactor';
import { FAULTS } from '@mellow-probe/core/circuit/faults/list';
import type { CourseStep } from '@mellow-probe/core/inference/verdict/verdictCourse';
import type { WithoutReading } from '@mellow-probe/core/inference/verdict/withoutReading';
import { formatProbability } from '@mellow-probe/core/base/units/format';
import { readingNameById } from '@mellow-probe/core/wording/conditionsText';
import { withoutText } from '@mellow-probe/core/wording/withoutText';
import { significant } from '@mellow-probe/core/base/units/writing';
import { ownRatesText } from '@mellow-probe/core/wording/noticeText';
import type { Column } from '../../components/base/factTable.ts';
import { computed, ref, shallowRef, watch } from 'vue';
import PlotFigure from '../../components/LazyPlot.ts';
import { usePreferences } from '../../data/stores/preferences.ts';
import { courseFigure } from './courseFigure.ts';
import { useSession } from '../../session/jobSession.ts';
import { useBench } from '../../session/bench.ts';

/** The verdict in figures: every fault, its weight before and after, what moved it, how much hangs on each reading; weights can be changed. */
const open = defineModel<boolean>('open', { required: true });
const { job, verdict } = useSession();
const bench = useBench();
const hangs = ref<WithoutReading[]>([]);
const course = shallowRef<CourseStep[]>([]);
const preferences = usePreferences();
const courseChart = computed(() =>
  courseFigure(course.value, (id) => readingNameById(verdict.shown!.of.job, id), preferences.dark),
);
const assessment = computed(() => verdict.result?.assessment ?? null);
/** What is seen and told, as it weighs together. */
const together = computed(() => pooled((verdict.result?.factors ?? []).filter((f) => f.source !== 'by-hand')));
const rows = computed(() =>
  (assessment.value?.ranking ?? []).map((r) => ({
    ...r,
    moved: (verdict.result?.factors ?? [])
      .filter((f) => f.source !== 'by-hand' && Math.abs((f.ratios[r.fault] ?? 1) - 1) > 0.02)
      .map((f) => `${f.name} × ${significant(f.ratios[r.fault] ?? 1, 2)}`)
      .join('; '),
    together: significant(together.value[r.fault] ?? 1, 2),
    byHand: job.weightFactors[r.fault],
    plain: FAULTS.find((f) => f.id === r.fault)!.weight,
  })),
);

/** Asked for only while the drawer is open; an answer that is no longer of these figures is dropped. */
watch(
  [open, () => verdict.state],
  async ([isOpen, state]) => {
    [hangs.value, course.value] = [[], []];
    if (!isOpen || state.kind !== 'ready' || !state.now.complete) return;
    try {
      const found = await bench.line.withoutEach(state.now.of.job);
      if (verdict.state === state) hangs.value = found;
      const moved = await bench.line.course(state.now.of.job);
      if (verdict.state === state) course.value = moved;
    } catch {
      // The verdict itself says that the engine failed.
    }
  },
  { immediate: true },
);
const COLUMNS: readonly Column<(typeof rows.value)[number]>[] = [
  { key: 'fault', title: say.fault },
  { key: 'before', title: say.before, mono: true, text: (row) => formatProbability(row.prior) },
  { key: 'now', title: say.now, mono: true },
  { key: 'factor', title: say.yourFactor },
];
function weigh(fault: string, text: string): void {
  const value = Number(text.replace(',', '.'));
  const factors = { ...job.weightFactors };
  if (text.trim() === '' || value === 1) delete factors[fault];
  else if (value >= 0 && value <= 1000) factors[fault] = value;
  job.weightFactors = factors;
}
</script>

<template>
  <SideSheet v-model:open="open" :title="say.title" :width="640">
    <template v-if="assessment">
      <h3>{{ say.readingWeights }}</h3>
      <p v-if="hangs.length === 0" class="soft">
        {{ assessment.readings.length === 0 ? say.noReadingYet : say.computingWeights }}
      </p>
      <ul v-else>
        <li v-for="h in hangs" :key="h.id">
          {{ withoutText(h, assessment.groups[0].group, readingNameById(verdict.shown!.of.job, h.id)) }}
        </li>
      </ul>
      <template v-if="course.length > 1">
        <h3>{{ say.courseTitle }}</h3>
        <div class="course" data-test="course">
          <PlotFigure :figure="courseChart" :label="say.courseChart" />
        </div>
      </template>
      <h3>{{ say.everyFault }}</h3>
      <p class="soft">
        {{ say.findingsNote }}
      </p>
      <p v-if="job.experience" data-test="experience">
        {{ ownRatesText(job.experience) }}
        <ActButton @click="delete job.experience">{{ say.leaveThemOut }}</ActButton>
      </p>
      <FactTable :label="say.everyFault" :columns="COLUMNS" :rows="rows" :row-key="(r) => r.fault">
        <template #fault="{ row }">
          {{ row.name }}
          <div v-if="row.moved" class="soft">{{ say.together(row.moved, row.together) }}</div>
        </template>
        <template #now="{ row }">
          <b>{{ formatProbability(row.probability) }}</b>
        </template>
        <template #factor="{ row }">
          <TextField
            class="factor"
            mono
            :model-value="String(row.byHand ?? '')"
            placeholder="× 1"
            :label="say.yourFactorOn(row.name)"
            hide-label
            figure
            lazy
            @update:model-value="weigh(row.fault, $event)"
          />
        </template>
      </FactTable>
      <p class="soft">
        {{ say.beforeNote }}
      </p>
    </template>
    <p v-else class="soft">{{ say.incomplete }}</p>
  </SideSheet>
</template>

<style scoped>
h3 {
  font-size: 0.9375rem;
  margin: 12px 0 4px;
}
h3:first-child {
  margin-top: 0;
}
ul {
  margin: 0;
  padding-left: 18px;
}

.soft {
  font-size: 0.7812rem;
}
.course {
  display: flex;
  height: 270px;
}
.factor {
  width: 76px;
}
.mono {
  white-space: nowrap;
}
</style>
