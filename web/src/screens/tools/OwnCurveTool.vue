<script setup lang="ts">
import { NOT_TAKEN } from '@mellow-probe/core/wording/storageText';
import { ownCurveToolWords as say } from '@mellow-probe/core/wording/screens/shelfCurves';
import TextField from '../../components/base/TextField.vue';
import FilePick from '../../components/base/FilePick.vue';
import ChoiceRow from '../../components/base/ChoiceRow.vue';
import ActButton from '../../components/base/ActButton.vue';
import { chooseFit } from '@mellow-probe/core/circuit/curves/chooseFit';
import type { Curve } from '@mellow-probe/core/circuit/curves/curve';
import { openCurve, type OwnCurve } from '@mellow-probe/core/circuit/curves/ownCurve';
import type { ColumnChoices } from '@mellow-probe/core/intake/pointTable/columns';
import { readPoints } from '@mellow-probe/core/intake/pointTable/readPoints';
import { fixed } from '@mellow-probe/core/base/units/writing';
import { computed, defineAsyncComponent, ref, watch } from 'vue';
import { useRouter } from 'vue-router';
import EntryField from '../../components/EntryField.vue';
import UseOnJob from '../../components/UseOnJob.vue';
import { newId, nowIso } from '../../browser/newId.ts';
import { useDraft } from '../../session/draft.ts';
import { useCurves } from '../../session/curves.ts';
import { useKeptPicture } from '../../session/keptPicture.ts';
import FitView from './FitView.vue';
import { blankOwnCurve, curveOfConstants, ownCurveSchema, sharesLine, WAYS, withoutLine } from './ownCurveDraft.ts';
import TableReading from './TableReading.vue';
import TableSource from './TableSource.vue';
import { tooLongText } from './tableText.ts';

/** From a table in a manual to a curve: pasted or typed points, a CSV, R25 and B, or coefficients. */
const FromPicture = defineAsyncComponent(() => import('./picture/FromPicture.vue'));
const FromDiagram = defineAsyncComponent(() => import('./picture/FromDiagram.vue'));
const curves = useCurves();
const router = useRouter();
const { draft, fault } = useDraft('own', ownCurveSchema, blankOwnCurve);
/** The pictures the points are read from, one each way; they are large and loaded only where they are looked at. */
const pictures = {
  table: useKeptPicture('own-table', () => draft.value.way === 'picture' || draft.value.from === 'table'),
  diagram: useKeptPicture('own-diagram', () => draft.value.way === 'diagram' || draft.value.from === 'diagram'),
};
const isFromPicture = computed(() => ['picture', 'diagram'].includes(draft.value.way));
const shown = computed(() =>
  draft.value.way === 'table' && draft.value.from ? pictures[draft.value.from].picture.value : null,
);
function useText(text: string, from: 'table' | 'diagram'): void {
  draft.value = { ...draft.value, text, columns: {}, way: 'table', from };
}
const note = ref('');

const columns = computed({
  get: (): ColumnChoices => draft.value.columns ?? {},
  set: (said) => (draft.value = { ...draft.value, columns: said }),
});
const read = computed(() => readPoints(draft.value.text, columns.value));
/** What was said of one table is void for another: none of its lines is left, or all are gone. */
watch(
  () => draft.value.text,
  (next, before) => {
    if (Object.keys(columns.value).length > 0 && before !== '' && !sharesLine(before, next)) columns.value = {};
  },
);
const fit = computed(() =>
  draft.value.way !== 'table' || read.value.rows.length === 0
    ? null
    : chooseFit(read.value.rows, draft.value.form === 'best' ? undefined : draft.value.form),
);
/** What is asked of a table is answered before its curve is used. */
const curve = computed<Curve | null>(() => {
  if (isFromPicture.value) return null;
  if (draft.value.way !== 'table') return curveOfConstants(draft.value);
  return fit.value?.ok && !read.value.asked ? fit.value.curve : null;
});

function record(): OwnCurve {
  return {
    format: 'mellow-probe/curve',
    formatVersion: 1,
    id: newId(),
    name: draft.value.name.trim() || say.ownCurve,
    source: draft.value.source,
    note: '',
    createdAt: nowIso(),
    curve: curve.value!,
  };
}
async function keep(): Promise<void> {
  const own = record();
  if (await curves.keep(own, shown.value?.address ?? null)) {
    draft.value = { ...draft.value, text: '', columns: {}, name: '', source: '', from: undefined };
    await router.push('/shelf/curves');
  } else note.value = say.notSaved;
}
async function openFile(file: File): Promise<void> {
  if (file.size > 2_000_000) {
    note.value = say.tooLarge(file.name, fixed(file.size / 1e6, 0));
    return;
  }
  const text = await file.text();
  if (/^\s*\{/.test(text)) {
    const opened = openCurve(text);
    note.value = opened.ok
      ? (await curves.keep({ ...opened.curve, id: newId() }))
        ? say.saved(opened.curve.name)
        : NOT_TAKEN
      : say.notOpened(opened.reason.replaceAll('-', ' '), opened.detail);
    return;
  }
  const why = tooLongText(text);
  if (why !== null) note.value = say.leftAlone(file.name, why);
  else
    draft.value = {
      ...draft.value,
      text,
      columns: {},
      way: 'table',
      name: draft.value.name || file.name.replace(/\.\w+$/, ''),
    };
}

function leaveOut(line: number): void {
  draft.value.text = withoutLine(draft.value.text, line);
}
</script>

<template>
  <div class="row">
    <ChoiceRow v-model="draft.way" :label="say.wayLabel" :options="WAYS" />
    <FilePick
      v-if="!isFromPicture"
      :label="say.fromAFile"
      :about="say.curveFile"
      accept=".csv,.txt,.json,text/csv,application/json"
      @files="openFile($event[0])"
    />
  </div>
  <p v-if="note" class="told" role="status">{{ note }}</p>
  <p v-if="fault" class="told odd" role="alert">{{ say.draftNotSaved(fault) }}</p>
  <FromPicture v-if="draft.way === 'picture'" :kept="pictures.table" @use="useText($event, 'table')" />
  <FromDiagram v-else-if="draft.way === 'diagram'" :kept="pictures.diagram" @use="useText($event, 'diagram')" />
  <div v-else class="two">
    <div>
      <TableSource
        v-if="draft.way === 'table'"
        v-model:text="draft.text"
        v-model:form="draft.form"
        :picture="shown"
        @without-picture="draft.from = undefined"
        @refused="note = $event"
      />
      <div v-else-if="draft.way === 'r25b'" class="fields">
        <EntryField label="R25" quantity="ohms" v-model="draft.r25" />
        <EntryField label="B (K)" quantity="number" v-model="draft.beta" />
      </div>
      <div v-else class="fields">
        <EntryField
          v-for="k in ['a', 'b', 'c'] as const"
          :key="k"
          :label="k.toUpperCase()"
          quantity="number"
          v-model="draft[k]"
        />
        <p class="soft">{{ say.steinhartHart }}</p>
      </div>
      <p v-if="draft.way !== 'table' && !curve && draft.r25.text + draft.a.text !== ''" class="told odd">
        {{ say.noSensor }}
      </p>
    </div>
    <div class="outcome">
      <TableReading v-if="draft.way === 'table' && read.columns.length > 1" v-model="columns" :read="read" />
      <FitView
        v-if="!(draft.way === 'table' && read.asked)"
        :read="read"
        :fit="fit"
        :curve="curve"
        :is-table="draft.way === 'table'"
        @leave-out="leaveOut"
      />
    </div>
  </div>
  <div v-if="!isFromPicture" class="row">
    <TextField
      v-model="draft.name"
      class="name"
      :label="say.name"
      :maxlength="400"
      :placeholder="say.machinePartNumber"
    />
    <TextField v-model="draft.source" class="name" :label="say.source" :maxlength="400" :placeholder="say.manualPage" />
  </div>
  <div v-if="!isFromPicture" class="row">
    <ActButton icon="database" kind="main" :disabled="!curve" @click="keep">{{ say.saveCurve }}</ActButton>
    <UseOnJob
      :what="say.useOnCheck"
      :disabled="!curve"
      :change="(job) => (job.circuit.curve = { source: 'given', name: record().name, curve: curve! })"
    />
  </div>
</template>

<style scoped>
.outcome {
  display: flex;
  flex-direction: column;
  gap: 12px;
  min-width: 0;
}
.name {
  flex: 1 1 240px;
}
</style>
