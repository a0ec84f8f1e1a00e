<script setup lang="ts">
import { computed } from 'vue';
import { useWorkOrder } from '../../stores/workOrder.ts';
import type { Mark } from './useDrawing.ts';

/** The measured values at their nodes, each beside what it should be. A click puts the reading on the card. */
const props = defineProps<{ marks: readonly Mark[] }>();
const work = useWorkOrder();

/** First mark of each place, and the step to the second. */
const SPOTS: Record<Mark['place'], { x: number; y: number; dx: number; dy: number }> = {
  display: { x: 102, y: 166, dx: 0, dy: 30 },
  signal: { x: 290, y: 82, dx: 150, dy: 0 },
  signalWire: { x: 300, y: 156, dx: 0, dy: 0 },
  across: { x: 290, y: 174, dx: 140, dy: 0 },
  return: { x: 290, y: 246, dx: 150, dy: 0 },
  returnWire: { x: 300, y: 220, dx: 0, dy: 0 },
  sensor: { x: 596, y: 36, dx: 0, dy: 40 },
};
const placed = computed(() => {
  const count = new Map<string, number>();
  return props.marks.map((m) => {
    const n = count.get(m.place) ?? 0;
    count.set(m.place, n + 1);
    const spot = SPOTS[m.place];
    const [first, ...rest] = m.beside.split(' ');
    return { ...m, x: spot.x + n * spot.dx, y: spot.y + n * spot.dy, word: first, range: rest.join(' '), oneLine: /Wire/.test(m.place) };
  });
});
</script>

<template>
  <g class="marks">
    <g v-for="m in placed" :key="m.measurement" :transform="`translate(${m.x},${m.y})`" @click="work.goTest(m.measurement)">
      <template v-if="m.place === 'display'">
        <text class="value"><tspan :class="['sign', { off: m.sign === '◆' }]">{{ m.sign }}</tspan> {{ m.value }}</text>
        <text y="13" class="small">{{ m.label }}</text>
      </template>
      <template v-else>
        <text class="label">{{ m.label }} <tspan class="value"><tspan :class="['sign', { off: m.sign === '◆' }]">{{ m.sign }}</tspan> {{ m.value }}</tspan></text>
        <text v-if="!m.oneLine" y="15" class="small">{{ m.word }} <tspan class="range">{{ m.range }}</tspan></text>
      </template>
    </g>
  </g>
</template>

<style scoped>
.marks > g {
  cursor: pointer;
}
text {
  font: 12.5px var(--sans);
  fill: var(--soft);
}
.value {
  font: 600 14px var(--mono);
  fill: var(--ink);
}
.small {
  font-size: 12px;
}
.range {
  font-family: var(--mono);
}
.sign {
  fill: var(--moss);
}
.sign.off {
  fill: var(--amber);
}
</style>
