<script setup lang="ts">
import type { PlugView } from './useDrawing.ts';

/** The sensor's side of the plug: the sensor on it, pulled off, taken into a bath, or a bridge or resistor in its place. */
defineProps<{ plug: PlugView; shift: number; marked: boolean }>();
</script>

<template>
  <g>
    <g :transform="`translate(${shift},0)`" :class="['lines', { away: plug.kind === 'bridge' || plug.kind === 'resistor' }]">
      <rect x="555" y="118" width="13" height="128" rx="4" class="part" />
      <path d="M568 138H640V158M640 206V226H568" />
      <rect x="630" y="158" width="20" height="48" :class="['part', { suspect: marked }]" />
      <path d="M620 212L660 152M660 152h-10" :class="{ suspect: marked }" />
      <path v-if="plug.kind === 'aside'" d="M606 150V250Q606 258 614 258H668Q676 258 676 250V150M606 176q9-6 18 0t18 0 18 0 16 0" class="water" />
    </g>
    <g v-if="plug.kind === 'bridge'" class="lines bridge"><path d="M553 138H590V226H553" /></g>
    <g v-if="plug.kind === 'resistor'" class="lines bridge">
      <path d="M553 138H590V160M590 204V226H553" />
      <rect x="580" y="160" width="20" height="44" class="part" />
      <text x="606" y="252" text-anchor="middle">{{ plug.text }}</text>
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
  font: 600 13px var(--mono);
  fill: var(--plum);
  stroke: none;
}
</style>
