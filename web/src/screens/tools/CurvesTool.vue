<script setup lang="ts">
import { curvesToolWords as say } from '@mellow-probe/core/wording/screens/shelfCurves';
import FoldOut from '../../components/base/FoldOut.vue';
import FactTable from '../../components/base/FactTable.vue';
import ActButton from '../../components/base/ActButton.vue';
import { betaBetween } from '@mellow-probe/core/catalogue/parts/curves';
import { curveCsv, curveTable } from '@mellow-probe/core/circuit/curves/curveTable';
import { entrySchema } from '@mellow-probe/core/base/units/entry';
import { formatOhm, formatTemperature, shownTemperature } from '@mellow-probe/core/base/units/format';
import { fixed } from '@mellow-probe/core/base/units/writing';
import { computed, ref, watch } from 'vue';
import { z } from 'zod';
import type { Column } from '../../components/base/factTable.ts';
import EntryField from '../../components/EntryField.vue';
import LazyPlot from '../../components/LazyPlot.ts';
import UseOnJob from '../../components/UseOnJob.vue';
import { nowIso } from '../../browser/newId.ts';
import { fileName, saveFile } from '../../browser/saveFile.ts';
import { useDraft } from '../../session/draft.ts';
import { useCurves } from '../../session/curves.ts';
import { usePreferences } from '../../data/stores/preferences.ts';
import CurvePick from './CurvePick.vue';
import { lineFigure } from './lineFigure.ts';

/** A curve of the shelf: chart with its tolerance, table at any step, pocket card, files. */
const curves = useCurves();
const preferences = usePreferences();
const schema = z.strictObject({ curve: z.string(), from: entrySchema, to: entrySchema, step: entrySchema });
const { draft } = useDraft('curves', schema, () => ({
  curve: 'ntc-2k8',
  from: { text: '-40 °C', value: -40 },
  to: { text: '120 °C', value: 120 },
  step: { text: '10', value: 10 },
}));
const curve = computed(() => curves.byId(draft.value.curve));
/** The step is in the unit shown: 5 °F are no 5 K. */
const stepK = computed(() => (draft.value.step.value ?? 10) / (preferences.temperatureUnit === 'F' ? 1.8 : 1));
const lines = computed(() => {
  const { from, to } = draft.value;
  return curveTable(curve.value.model, from.value ?? -40, to.value ?? 120, stepK.value).slice(0, 400);
});
const columns = computed((): readonly Column<(typeof lines.value)[number]>[] => {
  const unit = preferences.temperatureUnit;
  const digits = (c: number): number => (Number.isInteger(shownTemperature(c, unit)) ? 0 : 1);
  return [
    {
      key: 't',
      title: `°${unit}`,
      mono: true,
      text: (l) => formatTemperature(l.temperatureC, unit, digits(l.temperatureC)),
    },
    { key: 'nominal', title: say.nominal, mono: true, text: (l) => formatOhm(l.resistanceOhm) },
    {
      key: 'band',
      title: say.lowHigh,
      mono: true,
      soft: true,
      text: (l) => `${formatOhm(l.lowOhm)} … ${formatOhm(l.highOhm)}`,
    },
  ];
});
const smooth = computed(() => {
  const { minC, maxC } = curve.value.model;
  const [low, high] = [Math.max(minC, draft.value.from.value ?? -40), Math.min(maxC, draft.value.to.value ?? 120)];
  return curveTable(curve.value.model, low, high, Math.max((high - low) / 120, 1e-3));
});
const figure = computed(() => {
  const x = smooth.value.map((l) => shownTemperature(l.temperatureC, preferences.temperatureUnit));
  return lineFigure(
    say.overWithTolerance(preferences.temperatureUnit),
    [
      { name: say.low, x, y: smooth.value.map((l) => l.lowOhm), kind: 'band-low' },
      { name: say.high, x, y: smooth.value.map((l) => l.highOhm), kind: 'band-high' },
      { name: curve.value.name, x, y: smooth.value.map((l) => l.resistanceOhm) },
    ],
    preferences.dark,
    true,
  );
});
const facts = computed(() => {
  const { minC, maxC, toleranceLog } = curve.value.model;
  const unit = preferences.temperatureUnit;
  return `${formatTemperature(minC, unit)} … ${formatTemperature(maxC, unit)} · ± ${fixed(100 * Math.sqrt(3) * toleranceLog, 1)} % · ${curve.value.source}`;
});
/** Makers tell B for two pairs of temperatures and do not always say which: both stand here, or someone buys the wrong part. */
const namedBy = computed(() => {
  const { model } = curve.value;
  if (model.slope !== 'ntc') return '';
  const b = (low: number, high: number): string =>
    low >= model.minC && high <= model.maxC ? `${fixed(betaBetween(model, low, high), 0)} K` : say.outsideItsRange;
  return `R25 ${formatOhm(model.resistanceOhm(25))} · B25/85 ${b(25, 85)} · B0/50 ${b(0, 50)}`;
});
/** The picture of a curve that was read from one. */
const picture = ref<string | null>(null);
watch(
  curve,
  async ({ id, own }) => {
    picture.value = null;
    const found = own ? await curves.pictureOf(id) : null;
    if (curve.value.id === id) picture.value = found;
  },
  { immediate: true },
);
function exportCurve(): void {
  const { id, name, source } = curve.value;
  const file = {
    format: 'mellow-probe/curve',
    formatVersion: 1,
    id,
    name,
    source,
    note: '',
    createdAt: nowIso(),
    curve: curve.value.curve,
    ...(picture.value ? { picture: picture.value } : {}),
  };
  saveFile(fileName(name, 'json'), 'application/json', `${JSON.stringify(file, null, 2)}\n`);
}
</script>

<template>
  <div class="row">
    <CurvePick v-model="draft.curve" class="pick-curve" />
    <EntryField
      v-for="[key, label] in [
        ['from', say.from],
        ['to', say.to],
      ] as const"
      :key="key"
      class="short"
      :label="label"
      quantity="celsius"
      v-model="draft[key]"
    />
    <EntryField class="short" :label="say.step(preferences.temperatureUnit)" quantity="number" v-model="draft.step" />
  </div>
  <p class="soft" data-test="curve-facts">{{ facts }}</p>
  <p v-if="namedBy" class="soft mono" data-test="curve-names">{{ namedBy }}</p>
  <div class="two">
    <div class="chart"><LazyPlot :figure="figure" :label="say.chartTitle(curve.name)" /></div>
    <div class="scroll" tabindex="0" role="region" :aria-label="say.tableLabel">
      <FactTable
        data-test="curve-table"
        :label="say.tableLabel"
        :columns="columns"
        :rows="lines"
        :row-key="(l) => l.temperatureC"
      />
    </div>
  </div>
  <FoldOut v-if="picture" :title="say.sourcePicture">
    <img class="picture" :src="picture" :alt="say.pictureAlt(curve.name)" />
  </FoldOut>
  <div class="row">
    <ActButton icon="idcard" :to="{ path: '/shelf/card', query: { curve: curve.id } }">{{ say.pocketCard }}</ActButton>
    <ActButton @click="saveFile(fileName(curve.name, 'csv'), 'text/csv;charset=utf-8', curveCsv(lines))">
      {{ say.csv }}
    </ActButton>
    <ActButton icon="export" @click="exportCurve">{{ say.json }}</ActButton>
    <ActButton icon="delete" v-if="curve.own" kind="quiet" @click="curves.remove(curve.id)">{{
      say.deleteThisCurve
    }}</ActButton>
    <UseOnJob
      :what="say.useOnCheck"
      :change="(job) => (job.circuit.curve = { source: 'given', name: curve.name, curve: curve.curve })"
    />
  </div>
  <p v-if="curves.removed" class="told">
    {{ say.deleted(curves.removed.name) }}
    <ActButton icon="undo" @click="curves.undoRemove()">{{ say.undo }}</ActButton>
  </p>
</template>

<style scoped>
.pick-curve {
  flex: 1 1 260px;
  align-self: flex-start;
}
.picture {
  max-width: 100%;
}
.short {
  flex: 0 1 120px;
}
.scroll {
  overflow-y: auto;
  max-height: 420px;
}
</style>
