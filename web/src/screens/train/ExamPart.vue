<script setup lang="ts">
import { examPartWords as say } from '@mellow-probe/core/wording/screens/train';
import type { Difficulty } from '@mellow-probe/core/training/cases/caseNumber';
import {
  type ClassLine,
  classTable,
  EXAM_CASES,
  examCsv,
  examNumbers,
  examRows,
  type ExamRow,
  MOST_EXAM_CASES,
  readExam,
  readExamCsv,
} from '@mellow-probe/core/training/cases/exam';
import { fixed } from '@mellow-probe/core/base/units/writing';
import { computed, ref } from 'vue';
import { z } from 'zod';
import ActButton from '../../components/base/ActButton.vue';
import type { Column } from '../../components/base/factTable.ts';
import FactTable from '../../components/base/FactTable.vue';
import FilePick from '../../components/base/FilePick.vue';
import TextField from '../../components/base/TextField.vue';
import { fileName, saveFile } from '../../browser/saveFile.ts';
import { useDraft } from '../../session/draft.ts';
import { useTraining } from '../../data/stores/training.ts';
import DifficultyChoice from './DifficultyChoice.vue';
import RefusedBar from './RefusedBar.vue';
import { useBegin } from './useBegin.ts';

/** An exam: a set of case numbers, no help; a page to sign, a CSV for the instructor, and a class's CSVs as one table. */
const training = useTraining();
const { begin, refused } = useBegin();
const schema = z.strictObject({ learner: z.string().max(400), numbers: z.string().max(2000) });
const { draft } = useDraft('exam', schema, () => ({ learner: '', numbers: '' }));
const difficulty = ref<Difficulty>(2);
const exam = computed(() => readExam(draft.value.numbers));
const numbers = computed(() => exam.value.numbers.slice(0, MOST_EXAM_CASES));
function draw(): void {
  draft.value = {
    ...draft.value,
    numbers: examNumbers(Math.floor(Math.random() * 1e6), difficulty.value, EXAM_CASES).join('\n'),
  };
}
/** The first play of each case counts, as it came. */
const played = computed(() =>
  numbers.value.map((number) => ({
    number,
    play: training.plays.find((p) => p.number === number && p.partOf === 'exam') ?? null,
    ended: training.ended.find((e) => e.play.number === number && e.play.partOf === 'exam') ?? null,
  })),
);
const done = computed(() => played.value.flatMap((p) => (p.ended ? [p.ended] : [])));
const rows = computed(() => examRows(draft.value.learner.trim() || 'unnamed', done.value));
function csv(): void {
  saveFile(fileName(`exam ${draft.value.learner}`, 'csv'), 'text/csv;charset=utf-8', examCsv(rows.value));
}
const print = (): void => window.print();
const ROWS: readonly Column<ExamRow>[] = [
  { key: 'number', title: say.case, mono: true, text: (r) => r.number },
  { key: 'right', title: say.rightAtOnce, text: (r) => r.right || '–' },
  { key: 'minutes', title: say.min, mono: true, text: (r) => Math.round(r.minutes) },
  { key: 'ideal', title: say.ideal, mono: true, text: (r) => Math.round(r.idealMinutes) },
  { key: 'unneeded', title: say.inVain, mono: true, text: (r) => r.unneeded },
  { key: 'cautions', title: say.cautionsMissed, mono: true, text: (r) => r.cautionsMissed },
  { key: 'log', title: say.logScore, mono: true, text: (r) => r.logScore || '–' },
];
const handedIn = ref<ExamRow[]>([]);
const told = ref<string[]>([]);
async function take(files: readonly File[]): Promise<void> {
  told.value = [];
  for (const file of files) {
    const read = readExamCsv(await file.text());
    handedIn.value = [...handedIn.value, ...read.rows];
    for (const { line, what } of read.faults)
      told.value.push(what === 'columns' ? say.foreignFile(file.name) : say.badLine(file.name, line));
  }
}
const lines = computed(() => classTable(handedIn.value));
const CLASS: readonly Column<ClassLine>[] = [
  { key: 'learner', title: say.learner, text: (l) => l.learner, order: (a, b) => a.learner.localeCompare(b.learner) },
  { key: 'right', title: say.rightAtOnce, mono: true, text: (l) => say.of(l.right, l.cases) },
  { key: 'minutes', title: say.minAboveIdeal, mono: true, text: (l) => Math.round(l.overIdealMinutes) },
  {
    key: 'cost',
    title: say.costAboveIdeal,
    mono: true,
    text: (l) => Math.round(l.overIdealCost),
    order: (a, b) => a.overIdealCost - b.overIdealCost,
  },
  { key: 'unneeded', title: say.inVain, mono: true, text: (l) => l.unneeded },
  { key: 'cautions', title: say.cautionsMissed, mono: true, text: (l) => l.cautionsMissed },
  { key: 'log', title: say.logScore, mono: true, text: (l) => (l.logScore === null ? '–' : fixed(l.logScore, 2)) },
];
</script>

<template>
  <RefusedBar :shown="refused" />
  <section class="sheet part no-print" :aria-label="say.exam">
    <h2>{{ say.exam }}</h2>
    <p class="soft">
      {{ say.purpose }}
    </p>
    <div class="fields">
      <TextField v-model="draft.learner" :label="say.name" :maxlength="400" />
      <TextField v-model="draft.numbers" :label="say.numbersLabel" :rows="4" mono :maxlength="2000" />
      <div>
        <DifficultyChoice v-model="difficulty" />
        <ActButton @click="draw">{{ say.draw(EXAM_CASES) }}</ActButton>
      </div>
    </div>
    <p v-if="exam.wrong.length > 0" class="wrong" role="alert">{{ say.noCaseNumber(exam.wrong.join(', ')) }}</p>
    <div class="acts">
      <ActButton
        v-for="(p, i) in played"
        :key="p.number"
        :disabled="p.ended !== null"
        :kind="p.play && !p.ended ? 'main' : 'plain'"
        @click="begin(p.number, 'hidden', 'exam')"
        >{{ i + 1 }} · {{ p.ended ? say.done : p.play ? say.goOn : say.play }}</ActButton
      >
    </div>
  </section>
  <section v-if="done.length > 0" class="sheet part result" :aria-label="say.result" data-test="exam-result">
    <h2>{{ say.resultOf(draft.learner || say.unnamed) }}</h2>
    <p>
      {{ say.standing(done.filter((e) => e.result.right).length, done.length, numbers.length - done.length) }}
    </p>
    <FactTable :label="say.result" :columns="ROWS" :rows="rows" :row-key="(r) => r.number" />
    <p class="sign">{{ say.signed }} <span class="rule"></span> {{ say.date }} <span class="rule"></span></p>
    <div class="acts no-print">
      <ActButton icon="printer" @click="print">{{ say.printThePage }}</ActButton>
      <ActButton icon="table" @click="csv">{{ say.exportCsv }}</ActButton>
    </div>
  </section>
  <section class="sheet part no-print" :aria-label="say.aClass">
    <h2>{{ say.aClass }}</h2>
    <p class="soft">{{ say.classHelp }}</p>
    <FilePick :label="say.resultsAsCsv" accept=".csv,text/csv" multiple @files="take" />
    <ul v-if="told.length > 0" class="wrong" role="alert">
      <li v-for="t in told" :key="t">{{ t }}</li>
    </ul>
    <FactTable
      v-if="lines.length > 0"
      :label="say.theClass"
      :columns="CLASS"
      :rows="lines"
      :row-key="(l) => l.learner"
    />
  </section>
</template>

<style scoped>
.part {
  padding: 14px 18px;
}
h2 {
  font-size: 1.125rem;
  margin: 0 0 4px;
}
p {
  margin: 2px 0 8px;
}
.fields {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr) auto;
  gap: 12px;
  align-items: start;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin-top: 8px;
}
.wrong {
  color: var(--clay-ink, var(--clay));
}
.sign {
  margin-top: 26px;
}
.rule {
  display: inline-block;
  width: 200px;
  border-bottom: 1px solid var(--ink);
  margin-right: 24px;
}
@media (max-width: 56.25em) {
  .fields {
    grid-template-columns: minmax(0, 1fr);
  }
}
@media print {
  .no-print {
    display: none;
  }
}
</style>
