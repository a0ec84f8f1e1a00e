<script setup lang="ts">
import { progressPartWords as say } from '@mellow-probe/core/wording/screens/train';
import {
  calibrationOf,
  type Ended,
  meanLogScore,
  nextDifficulty,
  weakSpots,
} from '@mellow-probe/core/training/cases/progress';
import { openPlays, savePlays } from '@mellow-probe/core/training/cases/playsFile';
import { themeById } from '@mellow-probe/core/training/cases/themes';
import { SLIP_TEXT } from '@mellow-probe/core/wording/trainingText';
import { fixed } from '@mellow-probe/core/base/units/writing';
import { rightAtOnceText, beatenText } from '@mellow-probe/core/wording/noticeText';
import { computed, ref } from 'vue';
import ActButton from '../../components/base/ActButton.vue';
import type { Column } from '../../components/base/factTable.ts';
import FactTable from '../../components/base/FactTable.vue';
import FilePick from '../../components/base/FilePick.vue';
import ReliabilityChart from '../../components/ReliabilityChart.vue';
import { fileName, saveFile } from '../../browser/saveFile.ts';
import { useTraining } from '../../data/stores/training.ts';

/** How it goes: what goes wrong most, how well the odds were said, and every case that was played. */
const training = useTraining();
const ended = computed(() => training.ended);
const weak = computed(() => weakSpots(ended.value));
const bands = computed(() => calibrationOf(ended.value));
const log = computed(() => meanLogScore(ended.value));
const right = computed(() => ended.value.filter((e) => e.result.right).length);
const beaten = computed(() => ended.value.filter((e) => e.result.total <= e.result.idealTotal * 1.02).length);
const COLUMNS: readonly Column<Ended>[] = [
  { key: 'number', title: say.case, mono: true },
  { key: 'theme', title: say.theme, text: (e) => themeById(e.key.theme).name },
  {
    key: 'right',
    title: say.rightAtOnce,
    text: (e) => (e.result.right === null ? '–' : e.result.right ? say.yes : say.no),
  },
  { key: 'minutes', title: say.min, mono: true, text: (e) => Math.round(e.result.minutes) },
  {
    key: 'above',
    title: say.aboveTheIdeal,
    mono: true,
    text: (e) => Math.round(e.result.total - e.result.idealTotal),
    order: (a, b) => a.result.total - a.result.idealTotal - (b.result.total - b.result.idealTotal),
  },
];
const rows = computed(() => [...ended.value].reverse());
const level = computed(() => nextDifficulty(ended.value));
const told = ref('');
async function bring(files: readonly File[]): Promise<void> {
  for (const file of files) {
    const read = openPlays(await file.text());
    try {
      told.value = read.ok
        ? say.casesCameFrom(await training.take(read.plays), file.name)
        : `${file.name}: ${read.why}`;
    } catch {
      told.value = say.notSaved;
    }
  }
}
const exportPlays = (): void =>
  saveFile(fileName(say.trainingCases, 'json'), 'application/json', savePlays(training.plays));
</script>

<template>
  <section v-if="ended.length === 0" class="sheet part" :aria-label="say.progress">
    <h2>{{ say.nothingPlayedYet }}</h2>
    <p class="soft">{{ say.empty }}</p>
    <ActButton icon="read" kind="main" to="/train/course">{{ say.course }}</ActButton>
  </section>
  <template v-else>
    <section class="sheet two-columns" :aria-label="say.howItGoes">
      <div>
        <h2>{{ rightAtOnceText(right, ended.length) }}</h2>
        <p>
          {{ beatenText(beaten, level) }}
        </p>
        <h3>{{ say.slipsTitle }}</h3>
        <ul data-test="weak">
          <li v-for="w in weak.slice(0, 5)" :key="w.slip">{{ say.of(SLIP_TEXT[w.slip], w.did, w.could) }}</li>
          <li v-if="weak.length === 0" class="soft">{{ say.nothingYet }}</li>
        </ul>
      </div>
      <div>
        <h3>{{ say.estimatesTitle }}</h3>
        <template v-if="bands.length > 0">
          <ReliabilityChart :bands="bands" />
          <p v-if="log !== null" class="soft">
            {{ say.estimatesScore(fixed(log, 2), fixed(1.79, 2)) }}
          </p>
        </template>
        <p v-else class="soft">
          {{ say.estimatesEmpty }}
        </p>
      </div>
    </section>
    <section class="sheet part" :aria-label="say.casesPlayed">
      <h2>{{ say.casesPlayed }}</h2>
      <FactTable :label="say.casesPlayed" :columns="COLUMNS" :rows="rows" :row-key="(e) => e.play.id" :page="12">
        <template #number="{ row }"
          ><ActButton kind="quiet" :to="`/train/play/${row.play.id}`">{{ row.play.number }}</ActButton></template
        >
      </FactTable>
    </section>
  </template>
  <div class="out">
    <ActButton icon="export" v-if="training.plays.length > 0" @click="exportPlays">{{ say.exportAllCases }}</ActButton>
    <FilePick :label="say.bringCases" :about="say.importCases" accept=".json,application/json" @files="bring" />
    <span v-if="told" role="status" class="soft">{{ told }}</span>
  </div>
</template>

<style scoped>
.part {
  padding: 14px 18px;
}
h2 {
  font-size: 1.125rem;
  margin: 0 0 4px;
}
h3 {
  font-size: 0.9375rem;
  margin: 10px 0 4px;
}
ul {
  margin: 0;
  padding-left: 20px;
}
.out {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
}
</style>
