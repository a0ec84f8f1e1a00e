<script setup lang="ts">
import { curveChartsWords as say } from '@mellow-probe/core/wording/screens/bench';
import { computed, onBeforeUnmount } from 'vue';
import { curveFigures } from '../../components/curveFigure.ts';
import PlotFigure from '../../components/LazyPlot.ts';
import { useSession } from '../../session/jobSession.ts';
import { usePreferences } from '../../data/stores/preferences.ts';

/** Resistance and loaded voltage against temperature: the healthy band, what was measured, and the leading suspect. */
const { verdict, judging } = useSession();
const preferences = usePreferences();
onBeforeUnmount(judging.wantChart());
const figures = computed(() =>
  verdict.chart && !verdict.fault ? curveFigures(verdict.chart, preferences.temperatureUnit, preferences.dark) : null,
);
</script>

<template>
  <section class="sheet charts" :aria-label="say.charts">
    <template v-if="figures">
      <PlotFigure :figure="figures.resistance" :label="say.resistanceChart" />
      <PlotFigure v-if="figures.voltage" :figure="figures.voltage" :label="say.voltageChart" />
    </template>
    <p v-else-if="verdict.fault" class="soft">{{ say.needsVerdict }}</p>
    <p v-else-if="verdict.shown && !verdict.result" class="soft">{{ say.needsCircuit }}</p>
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
    height: 440px;
  }
}
</style>
