<script setup lang="ts">
import { sweepToolWords as say } from '@mellow-probe/core/wording/screens/tools';
import ActButton from '../../components/base/ActButton.vue';
import { curveModel } from '@mellow-probe/core/circuit/curves/curve';
import { moduleSweep } from '@mellow-probe/core/tools/identify/moduleSweep';
import { blank, entrySchema } from '@mellow-probe/core/base/units/entry';
import { formatTemperature, shownTemperature } from '@mellow-probe/core/base/units/format';
import { computed } from 'vue';
import { z } from 'zod';
import EntryField from '../../components/EntryField.vue';
import LazyPlot from '../../components/LazyPlot.ts';
import UseOnJob from '../../components/UseOnJob.vue';
import { figure as written } from '@mellow-probe/core/base/units/entry';
import type { Job } from '@mellow-probe/core/check/job/jobSchema';
import { newId } from '../../browser/newId.ts';
import { useDraft } from '../../session/draft.ts';
import { useCurves } from '../../session/curves.ts';
import { usePreferences } from '../../data/stores/preferences.ts';
import CurvePick from './CurvePick.vue';
import { lineFigure } from './lineFigure.ts';
import { sweepLines } from './sweepLines.ts';

/** Known resistors in, displayed values out: the module's own curve, its ends, its pull-up, and whether the sensor is the one it expects. */
const curves = useCurves();
const preferences = usePreferences();
const blankRow = () => ({ id: newId(), ohm: blank(), shownC: blank(), volts: blank() });
const schema = z.strictObject({
  rows: z.array(z.strictObject({ id: z.string(), ohm: entrySchema, shownC: entrySchema, volts: entrySchema })).max(60),
  referenceV: entrySchema,
  sensor: z.string(),
});
const { draft } = useDraft('sweep', schema, () => ({
  rows: Array.from({ length: 5 }, blankRow),
  referenceV: written(5),
  sensor: 'ntc-2k8',
}));
const rows = computed(() =>
  draft.value.rows.flatMap((r) =>
    r.ohm.value! > 0 && r.shownC.value !== null
      ? [{ ohm: r.ohm.value!, shownC: r.shownC.value, volts: r.volts.value }]
      : [],
  ),
);
const sensor = computed(() => curves.byId(draft.value.sensor));
const view = computed(() =>
  rows.value.length === 0
    ? null
    : moduleSweep(rows.value, draft.value.referenceV.value ?? 5, curves.all, sensor.value.model),
);
const unit = computed(() => preferences.temperatureUnit);
const temperature = (c: number): string => formatTemperature(c, unit.value);
const lines = computed(() =>
  view.value ? sweepLines(view.value, rows.value.length, sensor.value.name, temperature) : [],
);
const chart = computed(() => {
  if (!view.value?.fit) return null;
  const model = curveModel(view.value.fit.curve);
  const shown = rows.value.map((r) => r.shownC).filter((c) => c !== view.value!.minC && c !== view.value!.maxC);
  const [low, high] = [Math.min(...shown), Math.max(...shown)];
  const t = Array.from({ length: 80 }, (_, i) => low + ((high - low) * i) / 79);
  const x = t.map((c) => shownTemperature(c, unit.value));
  return lineFigure(
    say.overModuleDashed(unit.value, sensor.value.name),
    [
      { name: say.module, x, y: t.map((c) => model.resistanceOhm(c)) },
      { name: sensor.value.name, x, y: t.map((c) => sensor.value.model.resistanceOhm(c)), kind: 'dashed' },
      {
        name: 'rows',
        x: rows.value.map((r) => shownTemperature(r.shownC, unit.value)),
        y: rows.value.map((r) => r.ohm),
        kind: 'points',
      },
    ],
    preferences.dark,
    true,
  );
});
function apply(job: Job): void {
  const v = view.value!;
  if (v.fit) job.circuit.curve = { source: 'given', name: say.curveName, curve: v.fit.curve };
  if (v.pullUp) job.circuit.pullUpOhm = written(Math.round(v.pullUp.value));
  if (v.minC !== null) job.circuit.display.minC = { text: `${v.minC} °C`, value: v.minC };
  if (v.maxC !== null) job.circuit.display.maxC = { text: `${v.maxC} °C`, value: v.maxC };
}
</script>

<template>
  <p class="caution">
    {{ say.caution }}
  </p>
  <div class="two">
    <div>
      <div v-for="(r, i) in draft.rows" :key="r.id" class="sweep" data-test="sweep-row">
        <EntryField
          :label="i === 0 ? say.resistor : ''"
          :about="say.resistorOf(i + 1)"
          quantity="ohms"
          v-model="r.ohm"
        />
        <EntryField
          :label="i === 0 ? say.displayed : ''"
          :about="say.displayedOf(i + 1)"
          quantity="celsius"
          v-model="r.shownC"
        />
        <EntryField
          :label="i === 0 ? say.voltsIfRead : ''"
          :about="say.volts(i + 1)"
          quantity="volts"
          v-model="r.volts"
        />
      </div>
      <div class="row">
        <ActButton :disabled="draft.rows.length >= 60" @click="draft.rows.push(blankRow())">
          {{ say.anotherRow }}
        </ActButton>
        <EntryField class="ref" :label="say.reference" quantity="volts" v-model="draft.referenceV" />
      </div>
    </div>
    <div>
      <CurvePick v-model="draft.sensor" :label="say.theSensorFitted" />
      <p v-for="l in lines" :key="l.text" :class="['told', { odd: l.odd }]" data-test="sweep-told">{{ l.text }}</p>
      <div v-if="chart" class="chart"><LazyPlot :figure="chart" :label="say.chartLabel" /></div>
    </div>
  </div>
  <UseOnJob :what="say.useOnCheck" :disabled="!view?.fit" :change="apply" />
</template>

<style scoped>
.sweep {
  display: grid;
  grid-template-columns: 1fr 1fr 1fr;
  gap: 10px;
}
.told {
  margin-top: 6px;
}
.ref {
  width: 130px;
}
.two .chart.chart {
  height: 220px;
  margin-top: 8px;
}
</style>
