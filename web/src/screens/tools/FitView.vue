<script setup lang="ts">
import { fitViewWords as say } from '@mellow-probe/core/wording/screens/shelfCurves';
import FoldOut from '../../components/base/FoldOut.vue';
import FactTable from '../../components/base/FactTable.vue';
import ActButton from '../../components/base/ActButton.vue';
import type { ChosenFit } from '@mellow-probe/core/circuit/curves/chooseFit';
import { type Curve, curveModel } from '@mellow-probe/core/circuit/curves/curve';
import type { PointsRead } from '@mellow-probe/core/intake/pointTable/readPoints';
import { formatOhm, formatTemperature, shownTemperature } from '@mellow-probe/core/base/units/format';
import { FORM_NAMES, missText } from '@mellow-probe/core/wording/fitText';
import { pointFaultText } from '@mellow-probe/core/wording/pointText';
import { fixed } from '@mellow-probe/core/base/units/writing';
import { computed } from 'vue';
import type { Column } from '../../components/base/factTable.ts';
import LazyPlot from '../../components/LazyPlot.ts';
import { usePreferences } from '../../data/stores/preferences.ts';
import { lineFigure } from './lineFigure.ts';

/** What came of the points: bad lines, the mistyped row, the form and what is left over, the chart. */
const props = defineProps<{ read: PointsRead; fit: ChosenFit | null; curve: Curve | null; isTable: boolean }>();
defineEmits<{ leaveOut: [line: number] }>();
const preferences = usePreferences();
const faults = computed(() =>
  props.isTable && !(props.read.rows.length === 0 && props.read.faults[0]?.reason === 'no-rows')
    ? props.read.faults
    : [],
);
const mistyped = computed(() =>
  (props.fit?.mistyped ?? []).map((m) => {
    const row = props.read.rows[m.row];
    return {
      line: row.line,
      text: say.outlier(
        row.line,
        formatOhm(row.resistanceOhm),
        formatTemperature(row.temperatureC, preferences.temperatureUnit, 1),
        formatOhm(m.meantOhm),
      ),
    };
  }),
);
const refusal = computed(() => {
  if (!props.fit || props.fit.ok) return '';
  if (props.fit.reason === 'too-few-points') return say.tooFewPoints;
  return props.fit.row === null ? say.reverses : say.reversesAt(props.read.rows[props.fit.row].line);
});
const words = computed(() => {
  if (!props.fit?.ok) return '';
  const { form } = props.fit;
  const tried = props.fit.tried
    .filter((t) => t.form !== form)
    .map((t) => `${FORM_NAMES[t.form]} ${missText(t)}`)
    .join('; ');
  const tolerance = props.fit.toleranceShare === null ? '' : say.tolerance(fixed(100 * props.fit.toleranceShare, 1));
  return [say.misses(FORM_NAMES[form], missText(props.fit)), tolerance, tried === '' ? '' : say.tried(tried)]
    .filter(Boolean)
    .join(' ');
});
const figure = computed(() => {
  if (!props.curve) return null;
  const model = curveModel(props.curve);
  const unit = preferences.temperatureUnit;
  const { rows } = props.read;
  const [low, high] =
    props.isTable && rows.length > 1
      ? [rows[0].temperatureC, rows[rows.length - 1].temperatureC]
      : [Math.max(-40, model.minC), Math.min(125, model.maxC)];
  const t = Array.from({ length: 100 }, (_, i) => low + ((high - low) * i) / 99);
  const shown = (x: number): number => shownTemperature(x, unit);
  return lineFigure(
    say.over(unit),
    [
      { name: say.curve, x: t.map(shown), y: t.map((x) => model.resistanceOhm(x)) },
      ...(props.isTable
        ? [
            {
              name: say.points,
              x: rows.map((r) => shown(r.temperatureC)),
              y: rows.map((r) => r.resistanceOhm),
              kind: 'points' as const,
            },
          ]
        : []),
    ],
    preferences.dark,
    true,
  );
});
const residuals = computed(() =>
  props.fit?.ok
    ? props.fit.residualsK.map((k, i) => ({
        k,
        sigma: props.fit!.ok ? props.fit!.fittedSigmaK[i] : 0,
        row: props.read.rows[i],
      }))
    : [],
);
const COLUMNS: readonly Column<(typeof residuals.value)[number]>[] = [
  {
    key: 't',
    title: say.temperature,
    mono: true,
    text: (r) => formatTemperature(r.row.temperatureC, preferences.temperatureUnit, 1),
  },
  { key: 'ohm', title: say.resistance, mono: true, text: (r) => formatOhm(r.row.resistanceOhm) },
  { key: 'k', title: say.leftOver, mono: true, text: (r) => `${fixed(r.k, 2)} K` },
  { key: 'sigma', title: say.curve, mono: true, text: (r) => (r.sigma > 0 ? say.curveK(fixed(r.sigma, 2)) : '') },
];
</script>

<template>
  <div class="view">
    <p v-for="f in faults" :key="`${f.line}${f.reason}`" class="told odd" data-test="point-fault">
      {{ say.line(f.line, pointFaultText(f)) }}
    </p>
    <p v-for="m in mistyped" :key="m.line" class="told odd" data-test="mistyped">
      {{ m.text }} <ActButton @click="$emit('leaveOut', m.line)">{{ say.leaveItOut }}</ActButton>
    </p>
    <p v-if="refusal" class="told odd" role="alert">{{ refusal }}</p>
    <p v-if="words" class="told" data-test="fit">{{ words }}</p>
    <div v-if="figure" class="chart"><LazyPlot :figure="figure" :label="say.curveChart" /></div>
    <FoldOut v-if="residuals.length > 0" :title="say.deviationChart">
      <FactTable
        :label="say.deviationChart"
        headless
        :columns="COLUMNS"
        :rows="residuals"
        :row-key="(r) => r.row.line"
      />
    </FoldOut>
    <p v-if="!figure && faults.length === 0 && !refusal" class="soft">
      {{ say.needsSecondPoint }}
    </p>
  </div>
</template>

<style scoped>
.view {
  display: flex;
  flex-direction: column;
  gap: 8px;
  min-width: 0;
}
.view .chart.chart {
  height: 240px;
}
</style>
