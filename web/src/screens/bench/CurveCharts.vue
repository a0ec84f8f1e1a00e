<script setup lang="ts">
import { curveChartsWords as say } from '@mellow-probe/core/wording/screens/bench';
import { computed, watch } from 'vue';
import { useNarrow } from '../../browser/useMedia.ts';
import ActButton from '../../components/base/ActButton.vue';
import { curveFigures } from '../../components/curveFigure.ts';
import PlotFigure from '../../components/LazyPlot.ts';
import { useSession } from '../../session/jobSession.ts';
import { usePreferences } from '../../data/stores/preferences.ts';

/**
 * Resistance and loaded voltage against temperature: the healthy band, what was measured, and the leading suspect. On a phone they are folded away
 * until the technician opens them: starting the chart library would hold up the figures above them.
 */
const { verdict, judging } = useSession();
const preferences = usePreferences();
const narrow = useNarrow();
const unfolded = computed(() => !narrow.value || preferences.phoneCharts);
watch(unfolded, (on, _, onCleanup) => on && onCleanup(judging.wantChart()), { immediate: true });
const figures = computed(() =>
  verdict.chart && !verdict.fault ? curveFigures(verdict.chart, preferences.temperatureUnit, preferences.dark) : null,
);
</script>

<template>
  <section class="sheet charts" :class="{ folded: !unfolded }" :aria-label="say.charts">
    <ActButton
      v-if="narrow"
      kind="quiet"
      class="fold"
      :aria-expanded="unfolded"
      @click="preferences.phoneCharts = !preferences.phoneCharts"
      >{{ unfolded ? say.hideCharts : say.showCharts }}</ActButton
    >
    <template v-if="unfolded && figures">
      <PlotFigure :figure="figures.resistance" :label="say.resistanceChart" />
      <PlotFigure v-if="figures.voltage" :figure="figures.voltage" :label="say.voltageChart" />
    </template>
    <p v-else-if="unfolded && verdict.fault" class="soft">{{ say.needsVerdict }}</p>
    <p v-else-if="unfolded && verdict.shown && !verdict.result" class="soft">{{ say.needsCircuit }}</p>
  </section>
</template>

<style scoped>
.charts {
  min-height: 0;
  min-width: 0;
  overflow: hidden;
  padding: 2px 8px 0;
  display: flex;
}
.charts p {
  margin: auto;
}
@media (max-width: 67.5em) {
  .charts {
    height: 240px;
  }
}
/* One under the other on a phone: beside each other their menus would cover their titles. */
@media (max-width: 38.75em) {
  .charts {
    flex-direction: column;
    height: 490px;
  }
  .charts.folded {
    height: auto;
  }
  .fold {
    align-self: flex-start;
  }
}
</style>
