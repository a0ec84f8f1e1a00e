<script setup lang="ts">
import type { PlugView } from './drawingOf.ts';

/** The sensor's side of the plug: the sensor on it, pulled off, taken into a bath, or a bridge or resistor in its place. */
defineProps<{ plug: PlugView; shift: number; marked: boolean }>();
</script>

<template>
  <g>
    <g
      :transform="`translate(${shift},0)`"
      :class="['lines', { away: plug.kind === 'bridge' || plug.kind === 'resistor' }]"
    >
      <rect x="555" y="102" width="13" height="116" rx="4" class="part" />
      <path d="M568 120H640V139M640 181V200H568" />
      <rect x="630" y="139" width="20" height="42" :class="['part', { suspect: marked }]" />
      <path d="M622 188L658 132M658 132h-10" />
      <path
        v-if="plug.kind === 'aside'"
        d="M606 112V216Q606 224 614 224H668Q676 224 676 216V112M606 132q9-6 18 0t18 0 18 0 16 0"
        class="water"
      />
    </g>
    <g v-if="plug.kind === 'bridge'" class="lines bridge"><path d="M553 120H590V200H553" /></g>
    <g v-if="plug.kind === 'resistor'" class="lines bridge">
      <path d="M553 120H590V139M590 181V200H553" />
      <rect x="580" y="139" width="20" height="42" class="part" />
      <text x="596" y="222" text-anchor="middle">{{ plug.text }}</text>
    </g>
  </g>
</template>

<style scoped>
.lines {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
}
.part {
  fill: var(--sheet);
}
.away {
  opacity: 0.4;
}
.bridge {
  stroke: var(--plum);
  stroke-width: 3;
}
.water {
  stroke: var(--spruce);
  stroke-width: 1.5;
}
.suspect {
  stroke: var(--amber);
  stroke-width: 4;
  stroke-dasharray: 9 6;
}
text {
  font: 600 0.8125rem var(--mono);
  fill: var(--plum);
  stroke: none;
}
</style>
