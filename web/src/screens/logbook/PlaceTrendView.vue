<script setup lang="ts">
import type { Job } from '@mellow-probe/core/job/jobSchema';
import { placesOf, trendOf } from '@mellow-probe/core/trend/placeTrend';
import { groupName } from '@mellow-probe/core/wording/groupName';
import { trendText } from '@mellow-probe/core/wording/trendText';
import { computed } from 'vue';
import LazyPlot from '../../components/LazyPlot.ts';
import { usePreferences } from '../../stores/preferences.ts';
import { trendFigure } from './trendFigure.ts';

/** How far the sensor of a place lay off its curve over the years, and whether it drifts. */
const props = defineProps<{ jobs: readonly Job[] }>();
const preferences = usePreferences();
const place = computed(() => placesOf(props.jobs).at(0) ?? null);
const trend = computed(() => place.value && trendOf(place.value));
const repairs = computed(() =>
  props.jobs.flatMap(({ repair, decision }) =>
    repair.doneAt && decision && !['sensor', 'healthy'].includes(decision.group)
      ? [{ at: repair.doneAt, what: `${groupName(decision.group).toLowerCase()} mended` }]
      : [],
  ),
);
const figure = computed(
  () => trend.value && trendFigure(trend.value, repairs.value, preferences.temperatureUnit, preferences.dark),
);
</script>

<template>
  <template v-if="trend && figure && trend.points.length > 0">
    <p data-test="trend">{{ trendText(trend, preferences.temperatureUnit) }}</p>
    <div class="chart" data-test="trend-chart">
      <LazyPlot :figure="figure" label="How far the sensor read off, over the years" />
    </div>
    <p class="soft small">
      ● this sensor by itself, or proved · ○ through wiring and module, not part of the drift · ✕ a former sensor. Bars:
      95 %.
    </p>
  </template>
  <p v-else class="soft">
    No figure here can be held to a curve: a trend needs a known curve, and the temperature beside the sensor.
  </p>
</template>

<style scoped>
.chart {
  height: 320px;
  display: flex;
}
.small {
  font-size: 13px;
}
@media (max-width: 620px) {
  .chart {
    height: 260px;
  }
}
</style>
