<script setup lang="ts">
import type { Difficulty } from '@mellow-probe/core/training/caseNumber';
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
} from '@mellow-probe/core/training/exam';
import { fixed } from '@mellow-probe/core/units/writing';
import { computed, ref } from 'vue';
import { z } from 'zod';
import ActButton from '../../components/base/ActButton.vue';
import type { Column } from '../../components/base/factTable.ts';
import FactTable from '../../components/base/FactTable.vue';
import FilePick from '../../components/base/FilePick.vue';
import TextField from '../../components/base/TextField.vue';
import { fileName, saveFile } from '../../browser/saveFile.ts';
import { useDraft } from '../../session/draft.ts';
import { useTraining } from '../../stores/training.ts';
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
  { key: 'number', title: 'case', mono: true, text: (r) => r.number },
  { key: 'right', title: 'right at once', text: (r) => r.right || '–' },
  { key: 'minutes', title: 'min', mono: true, text: (r) => Math.round(r.minutes) },
  { key: 'ideal', title: 'ideal', mono: true, text: (r) => Math.round(r.idealMinutes) },
  { key: 'unneeded', title: 'in vain', mono: true, text: (r) => r.unneeded },
  { key: 'cautions', title: 'cautions missed', mono: true, text: (r) => r.cautionsMissed },
  { key: 'log', title: 'log score', mono: true, text: (r) => r.logScore || '–' },
];
const handedIn = ref<ExamRow[]>([]);
const told = ref<string[]>([]);
async function take(files: readonly File[]): Promise<void> {
  told.value = [];
  for (const file of files) {
    const read = readExamCsv(await file.text());
    handedIn.value = [...handedIn.value, ...read.rows];
    for (const { line, what } of read.faults)
      told.value.push(
        what === 'columns'
          ? `${file.name}: this is no result of an exam (columns are missing).`
          : `${file.name}, line ${line}: a figure or the case number cannot be read.`,
      );
  }
}
const lines = computed(() => classTable(handedIn.value));
const CLASS: readonly Column<ClassLine>[] = [
  { key: 'learner', title: 'learner', text: (l) => l.learner, order: (a, b) => a.learner.localeCompare(b.learner) },
  { key: 'right', title: 'right at once', mono: true, text: (l) => `${l.right} of ${l.cases}` },
  { key: 'minutes', title: 'min above ideal', mono: true, text: (l) => Math.round(l.overIdealMinutes) },
  {
    key: 'cost',
    title: 'cost above ideal',
    mono: true,
    text: (l) => Math.round(l.overIdealCost),
    order: (a, b) => a.overIdealCost - b.overIdealCost,
  },
  { key: 'unneeded', title: 'in vain', mono: true, text: (l) => l.unneeded },
  { key: 'cautions', title: 'cautions missed', mono: true, text: (l) => l.cautionsMissed },
  { key: 'log', title: 'log score', mono: true, text: (l) => (l.logScore === null ? '–' : fixed(l.logScore, 2)) },
];
</script>

<template>
  <RefusedBar :shown="refused" />
  <section class="sheet part no-print" aria-label="Exam">
    <h2>Exam</h2>
    <p class="soft">
      A set of case numbers: an instructor hands them out, or they are drawn here. The tool keeps silent, and of each
      case the first play counts.
    </p>
    <div class="fields">
      <TextField v-model="draft.learner" label="Name" :maxlength="400" />
      <TextField v-model="draft.numbers" label="Case numbers, one a line" :rows="4" mono :maxlength="2000" />
      <div>
        <DifficultyChoice v-model="difficulty" />
        <ActButton @click="draw">Draw {{ EXAM_CASES }}</ActButton>
      </div>
    </div>
    <p v-if="exam.wrong.length > 0" class="wrong" role="alert">No case number: {{ exam.wrong.join(', ') }}.</p>
    <div class="acts">
      <ActButton
        v-for="(p, i) in played"
        :key="p.number"
        :disabled="p.ended !== null"
        :kind="p.play && !p.ended ? 'main' : 'plain'"
        @click="begin(p.number, 'hidden', 'exam')"
        >{{ i + 1 }} · {{ p.ended ? 'done' : p.play ? 'go on' : 'play' }}</ActButton
      >
    </div>
  </section>
  <section v-if="done.length > 0" class="sheet part result" aria-label="Result" data-test="exam-result">
    <h2>Result: {{ draft.learner || 'unnamed' }}</h2>
    <p>
      {{ done.filter((e) => e.result.right).length }} of {{ done.length }} right at once,
      {{ numbers.length - done.length }} still to play.
    </p>
    <FactTable label="Result" :columns="ROWS" :rows="rows" :row-key="(r) => r.number" />
    <p class="sign">Signed: <span class="rule"></span> Date: <span class="rule"></span></p>
    <div class="acts no-print">
      <ActButton icon="printer" @click="print">Print the page</ActButton>
      <ActButton icon="table" @click="csv">CSV for the instructor</ActButton>
    </div>
  </section>
  <section class="sheet part no-print" aria-label="A class">
    <h2>A class</h2>
    <p class="soft">The CSVs of all learners put together into one table.</p>
    <FilePick label="Results as CSV" accept=".csv,text/csv" multiple @files="take" />
    <ul v-if="told.length > 0" class="wrong" role="alert">
      <li v-for="t in told" :key="t">{{ t }}</li>
    </ul>
    <FactTable v-if="lines.length > 0" label="The class" :columns="CLASS" :rows="lines" :row-key="(l) => l.learner" />
  </section>
</template>

<style scoped>
.part {
  padding: 14px 18px;
}
h2 {
  font-size: 18px;
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
@media (max-width: 900px) {
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
