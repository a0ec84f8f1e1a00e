<script setup lang="ts">
import type { Suspect } from '@mellow-probe/core/diagnosis/assessment';
import { sizeText } from '@mellow-probe/core/wording/sizeText';
import { computed } from 'vue';

/** The drawing itself: module, wires, plug, sensor, grounds; the suspected part by stroke, sign and word. */
const props = defineProps<{
  layout: 'pull-up' | 'pull-down' | 'one-wire';
  suspect: Suspect | null;
  wires: readonly string[];
}>();

const part = computed(() => props.suspect?.part ?? 'none');
const size = computed(() => (props.suspect?.size ? sizeText(props.suspect.size).replace(/ \(.*/, '') : ''));
/** Where sign and words of the suspicion stand, in drawing units. */
const PLACES: Record<string, { x: number; y: number; textX: number; textY: number; anchor: 'start' | 'middle' | 'end' }> = {
  signal: { x: 336, y: 222, textX: 356, textY: 246, anchor: 'start' },
  return: { x: 336, y: 340, textX: 290, textY: 370, anchor: 'start' },
  plug: { x: 637, y: 281, textX: 637, textY: 380, anchor: 'middle' },
  sensor: { x: 682, y: 281, textX: 868, textY: 380, anchor: 'end' },
  place: { x: 682, y: 281, textX: 868, textY: 380, anchor: 'end' },
  reference: { x: 60, y: 112, textX: 86, textY: 222, anchor: 'start' },
  pullUp: { x: 60, y: 160, textX: 86, textY: 222, anchor: 'start' },
  module: { x: 150, y: 246, textX: 168, textY: 250, anchor: 'start' },
  ground: { x: 140, y: 372, textX: 164, textY: 378, anchor: 'start' },
};
const place = computed(() => PLACES[part.value] ?? null);
const mark = (name: string): string => (part.value === name ? 'suspect' : '');
const signalPart = computed(() => (props.layout === 'pull-down' ? 'return' : 'signal'));
const returnPart = computed(() => (props.layout === 'pull-down' ? 'signal' : 'return'));
</script>

<template>
  <svg viewBox="0 0 880 388" preserveAspectRatio="none" aria-hidden="true">
    <g class="lines">
      <rect x="14" y="14" width="236" height="350" rx="10" class="module" />
      <path :class="mark('reference')" d="M60 104V122" />
      <rect x="50" y="122" width="20" height="76" :class="['part', mark('pullUp')]" />
      <template v-if="layout === 'pull-down'">
        <path d="M60 104H36V222H250" :class="mark('reference')" />
        <path d="M60 198V340H250" />
      </template>
      <template v-else>
        <path d="M60 198V222H250" />
        <path v-if="layout === 'pull-up'" d="M110 340H250M110 340V352" :class="mark('ground')" />
      </template>
      <path d="M250 222H622" :class="mark(signalPart)" />
      <path v-if="layout !== 'one-wire'" d="M250 340H622" :class="mark(returnPart)" />
      <path d="M622 340H560V352" v-else :class="mark('return')" />
      <rect x="622" y="204" width="30" height="154" rx="6" :class="['part', mark('plug')]" />
      <path d="M652 222H682V244M682 318V340H652" />
      <rect x="670" y="244" width="24" height="74" :class="['part', mark('sensor'), mark('place')]" />
      <path d="M660 326L704 236M704 236h-12" :class="mark('sensor')" />
      <path v-if="layout !== 'one-wire'" d="M94 352h32M100 358h20M106 364h8" :class="mark('ground')" />
      <path v-else d="M544 352h32M550 358h20M556 364h8" :class="mark('return')" />
    </g>
    <g class="words">
      <text x="238" y="34" text-anchor="end" class="strong">Module</text>
      <text x="262" y="217">{{ wires[0] }}</text>
      <text x="262" y="335">{{ layout === 'one-wire' ? '' : wires[1] }}</text>
      <text x="637" y="200" text-anchor="middle">plug</text>
    </g>
    <g v-if="suspect && place" class="suspicion">
      <g :transform="`translate(${place.x},${place.y})`">
        <path d="M0-13L13 0 0 13-13 0Z" />
        <text x="0" y="5" text-anchor="middle" class="bang">!</text>
      </g>
      <text :x="place.textX" :y="place.textY" :text-anchor="place.anchor">
        suspect: {{ suspect.name }}{{ size && !size.startsWith('size') ? `, ${size}` : '' }}
      </text>
    </g>
  </svg>
</template>

<style scoped>
svg {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 388px;
}
.lines {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
}
.module {
  fill: var(--paper);
}
.part {
  fill: var(--sheet);
}
.lines .suspect {
  stroke: var(--amber);
  stroke-width: 4;
  stroke-dasharray: 9 6;
}
text {
  font: 13px var(--sans);
  fill: var(--soft);
}
.strong {
  font-weight: 600;
  fill: var(--ink);
}
.suspicion path {
  fill: var(--amber);
}
.suspicion text {
  font-weight: 600;
  fill: var(--amber-ink);
}
.suspicion .bang {
  fill: #fff;
  font-weight: 700;
}
@media (max-width: 700px) {
  svg {
    display: none;
  }
}
</style>
