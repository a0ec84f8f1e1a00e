<script setup lang="ts">
import { placeTrendViewWords as say } from '@mellow-probe/core/wording/screens/logbook';
import type { Job } from '@mellow-probe/core/check/job/jobSchema';
import { placesOf, trendOf } from '@mellow-probe/core/history/trend/placeTrend';
import { groupName } from '@mellow-probe/core/wording/groupName';
import { trendText } from '@mellow-probe/core/wording/trendText';
import { computed } from 'vue';
import LazyPlot from '../../components/LazyPlot.ts';
import { usePreferences } from '../../data/stores/preferences.ts';
import { trendFigure } from './trendFigure.ts';

/** How far the sensor of a place lay off its curve over the years, and whether it drifts. */
const props = defineProps<{ jobs: readonly Job[] }>();
const preferences = usePreferences();
const place = computed(() => placesOf(props.jobs).at(0) ?? null);
const trend = computed(() => place.value && trendOf(place.value));
const repairs = computed(() =>
  props.jobs.flatMap(({ repair, decision }) =>
    repair.doneAt && decision && !['sensor', 'healthy'].includes(decision.group)
      ? [{ at: repair.doneAt, what: say.mended(groupName(decision.group).toLowerCase()) }]
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
      <LazyPlot :figure="figure" :label="say.title" />
    </div>
    <p class="soft small">
      {{ say.legend }}
    </p>
  </template>
  <p v-else class="soft">
    {{ say.empty }}
  </p>
</template>

<style scoped>
.chart {
  height: 320px;
  display: flex;
}
.small {
  font-size: 0.8125rem;
}
@media (max-width: 38.75em) {
  .chart {
    height: 260px;
  }
}
</style>
