<script setup lang="ts">
import { reliabilityChartWords as say } from '@mellow-probe/core/wording/screens/components';
import type { ReliabilityBand } from '@mellow-probe/core/base/numeric/reliability';
import { computed } from 'vue';

/** How often it was so where so much was said: on the diagonal is what is sure as it says. */
const props = defineProps<{ bands: readonly ReliabilityBand[] }>();
const percent = (p: number): string => `${Math.round(100 * p)} %`;
const text = (b: ReliabilityBand): string => say.saidAndRight(percent(b.said), percent(b.right), b.count);
/** The curve's corner points on a square of 200. */
const points = computed(() => props.bands.map((b) => ({ ...b, x: 10 + 180 * b.said, y: 190 - 180 * b.right })));
</script>

<template>
  <svg viewBox="0 0 200 200" class="curve" role="img" :aria-label="bands.map(text).join('; ')">
    <rect x="10" y="10" width="180" height="180" class="frame" />
    <line x1="10" y1="190" x2="190" y2="10" class="ideal" />
    <polyline :points="points.map((p) => `${p.x},${p.y}`).join(' ')" class="line" />
    <circle v-for="p in points" :key="p.from" :cx="p.x" :cy="p.y" :r="3 + Math.min(4, p.count / 3)" class="point" />
  </svg>
  <ul>
    <li v-for="b in bands" :key="b.from">{{ text(b) }}</li>
  </ul>
</template>

<style scoped>
ul {
  margin: 0;
  padding-left: 20px;
}
.curve {
  width: 200px;
  height: 200px;
}
.frame {
  fill: none;
  stroke: var(--line-strong);
}
.ideal {
  stroke: var(--soft);
  stroke-dasharray: 4 4;
}
.line {
  fill: none;
  stroke: var(--spruce);
  stroke-width: 2;
}
.point {
  fill: var(--amber);
}
</style>
