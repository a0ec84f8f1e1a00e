<script setup lang="ts">
import { computed } from 'vue';
import type { Mark } from './drawingOf.ts';

/** The measured values at their nodes, each beside what it should be. A click names the test. */
const props = defineProps<{ marks: readonly Mark[]; upright?: boolean }>();
const emit = defineEmits<{ mark: [measurement: string] }>();

/** First mark of each place, and the step to the second. */
const SPOTS: Record<Mark['place'], { x: number; y: number; dx: number; dy: number }> = {
  display: { x: 94, y: 147, dx: 0, dy: 29 },
  signal: { x: 226, y: 60, dx: 170, dy: 0 },
  signalWire: { x: 300, y: 137, dx: 0, dy: 0 },
  across: { x: 262, y: 157, dx: 150, dy: 0 },
  return: { x: 226, y: 217, dx: 130, dy: 0 },
  returnWire: { x: 300, y: 194, dx: 0, dy: 0 },
  sensor: { x: 590, y: 26, dx: 0, dy: 36 },
};
/** In the upright form each mark is a block of three lines. */
const UPRIGHT: typeof SPOTS = {
  ...SPOTS,
  signal: { x: 226, y: 20, dx: 150, dy: 0 },
  across: { x: 226, y: 142, dx: 0, dy: 0 },
  return: { x: 226, y: 218, dx: 150, dy: 0 },
  sensor: { x: 226, y: 270, dx: 150, dy: 0 },
};
const placed = computed(() => {
  const count = new Map<string, number>();
  return props.marks.map((m) => {
    const n = count.get(m.place) ?? 0;
    count.set(m.place, n + 1);
    const spot = (props.upright ? UPRIGHT : SPOTS)[m.place];
    const [first, ...rest] = m.beside.split(' ');
    return {
      ...m,
      x: spot.x + n * spot.dx,
      y: spot.y + n * spot.dy,
      word: first,
      range: rest.join(' '),
      oneLine: /Wire/.test(m.place),
    };
  });
});
</script>

<template>
  <g class="marks">
    <g
      v-for="m in placed"
      :key="m.measurement"
      :transform="`translate(${m.x},${m.y})`"
      @click="emit('mark', m.measurement)"
    >
      <template v-if="m.place === 'display'">
        <text class="value"
          ><tspan :class="['sign', { off: m.sign === '◆' }]">{{ m.sign }}</tspan> {{ m.value }}</text
        >
        <text y="13" class="small">{{ m.label }}</text>
      </template>
      <template v-else-if="upright && !m.oneLine">
        <text>{{ m.label }}</text>
        <text y="18" class="value"
          ><tspan :class="['sign', { off: m.sign === '◆' }]">{{ m.sign }}</tspan> {{ m.value }}</text
        >
        <text y="34" class="small range">{{ m.range }}</text>
      </template>
      <template v-else>
        <text class="label"
          >{{ m.label }}
          <tspan class="value"
            ><tspan :class="['sign', { off: m.sign === '◆' }]">{{ m.sign }}</tspan> {{ m.value }}</tspan
          ></text
        >
        <text v-if="!m.oneLine" y="15" class="small"
          >{{ m.word }} <tspan class="range">{{ m.range }}</tspan></text
        >
      </template>
    </g>
  </g>
</template>

<style scoped>
.marks > g {
  cursor: pointer;
}
text {
  font: 0.8438rem var(--sans);
  fill: var(--soft);
}
.value {
  font: 600 0.9375rem var(--mono);
  fill: var(--ink);
}
.small {
  font-size: 0.825rem;
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
