<script setup lang="ts">
import { circuitDrawingWords as say } from '@mellow-probe/core/wording/screens/drawing';
import type { Probe } from '@mellow-probe/core/circuit/network/solvedCircuit';
import { computed } from 'vue';
import DrawingMarks from './DrawingMarks.vue';
import type { Drawing } from './drawingOf.ts';
import SensorEnd from './SensorEnd.vue';

/** A circuit: what is in the plug, where the leads stand, what was measured where, what is suspected. */
const props = defineProps<{
  drawing: Drawing;
  /** The form for a phone: short wires, larger words, the values above and below the circuit. */
  upright?: boolean;
}>();
const emit = defineEmits<{ mark: [measurement: string] }>();
const part = computed(() => props.drawing.suspect?.part ?? 'none');
const mark = (name: string): string => (part.value === name ? 'suspect' : '');
const mirrored = computed(() => props.drawing.layout === 'pull-down');
const upperPart = computed(() => (mirrored.value ? 'return' : 'signal'));
const lowerPart = computed(() => (mirrored.value ? 'signal' : 'return'));
/** In the mirrored layout the signal comes back on the lower wire. */
const [SIGNAL_Y, RETURN_Y] = [120, 200];
const signalY = computed(() => (mirrored.value ? RETURN_Y : SIGNAL_Y));
const returnY = computed(() => (mirrored.value ? SIGNAL_Y : RETURN_Y));

/** By how much the wires are shorter in the upright form: plug and sensor stand that much nearer to the module. */
const nearer = computed(() => (props.upright ? 200 : 0));
/** The upright form has room for values above and below; what is not used is cut off. */
const viewBox = computed(() => {
  if (!props.upright) return '0 0 760 263';
  const has = (place: string): boolean => props.drawing.marks.some((m) => m.place === place);
  const below = has('sensor') ? 314 : props.drawing.facts.temperature ? 276 : 256;
  return `0 0 520 ${below + (props.drawing.suspect ? 24 : 0)}`;
});
const suspectY = computed(() => {
  const [, top, , height] = viewBox.value.split(' ').map(Number);
  return props.upright ? top + height - 7 : 259;
});
const SIGNS: Record<string, { x: number; y: number }> = {
  plug: { x: 553, y: 160 },
  sensor: { x: 608, y: 160 },
  place: { x: 608, y: 160 },
  reference: { x: 40, y: 40 },
  pullUp: { x: 40, y: 73 },
  module: { x: 194, y: 144 },
  ground: { x: 40, y: 216 },
};
const sign = computed(() => {
  if (part.value === 'signal') return { x: 300, y: signalY.value };
  if (part.value === 'return') return { x: 300, y: returnY.value };
  const at = SIGNS[part.value];
  return at ? { x: at.x > 400 ? at.x - nearer.value : at.x, y: at.y } : null;
});

const sensorX = computed(() =>
  props.drawing.plug.kind === 'sensor' ? 0 : props.drawing.plug.kind === 'open' ? 46 : 70,
);
function placeOf(probe: Probe | 'element', colour: 'red' | 'black'): { x: number; y: number } {
  const at = spotOf(probe, colour);
  return at.x > 400 ? { x: at.x - nearer.value, y: at.y } : at;
}
function spotOf(probe: Probe | 'element', colour: 'red' | 'black'): { x: number; y: number } {
  switch (probe) {
    case 'signal':
      return { x: 540, y: signalY.value };
    case 'return':
      return props.drawing.layout === 'one-wire' ? { x: 486, y: 226 } : { x: 540, y: returnY.value };
    case 'modulePin':
      return { x: 224, y: signalY.value };
    case 'moduleGround':
      return { x: 224, y: returnY.value };
    case 'reference':
      return { x: 238, y: 40 };
    case 'supply':
      return { x: 404, y: 236 };
    case 'chassis':
      return { x: 486, y: 230 };
    case 'element':
      return { x: 596 + sensorX.value, y: colour === 'red' ? SIGNAL_Y : RETURN_Y };
  }
}
/** Where the wires' names begin: beside the probes at the module's plug. */
const wireX = computed(() => (props.drawing.moduleFree ? 240 : 226));
const leads = computed(() => {
  const { probes } = props.drawing;
  return probes && { red: placeOf(probes.red, 'red'), black: placeOf(probes.black, 'black') };
});
const uses = (probe: Probe): boolean => props.drawing.probes?.red === probe || props.drawing.probes?.black === probe;
</script>

<template>
  <section class="sheet drawing" :aria-label="say.label">
    <svg :viewBox="viewBox" :class="{ upright }" role="img" :aria-label="drawing.suspect?.text ?? say.circuitDrawing">
      <g class="lines">
        <rect x="10" y="8" width="206" height="234" rx="10" class="module" />
        <path d="M40 36V48" :class="mark('reference')" />
        <rect x="30" y="48" width="20" height="50" :class="['part', mark('pullUp')]" />
        <rect x="88" y="130" width="120" height="60" rx="6" :class="['screen', mark('module')]" />
        <template v-if="mirrored">
          <path d="M40 36H22V120H216" :class="mark('reference')" />
          <path d="M40 98V200H216" />
          <path d="M70 200V212" :class="mark('ground')" />
          <path d="M58 212h24M62 218h16M66 224h8" :class="mark('ground')" />
        </template>
        <template v-else>
          <path d="M40 98V120H216" />
          <path v-if="drawing.layout === 'pull-up'" d="M40 212V200H216" :class="mark('ground')" />
          <path v-if="drawing.layout === 'pull-up'" d="M28 212h24M32 218h16M36 224h8" :class="mark('ground')" />
        </template>
        <path :d="`M${drawing.moduleFree ? 236 : 216} 120H${540 - nearer}`" :class="mark(upperPart)" />
        <path
          v-if="drawing.layout !== 'one-wire'"
          :d="`M${drawing.moduleFree ? 236 : 216} 200H${540 - nearer}`"
          :class="mark(lowerPart)"
        />
        <path
          v-else
          :transform="`translate(${-nearer},0)`"
          d="M540 200H486V222M470 222h32M476 228h20M482 234h8"
          :class="mark('return')"
        />
        <rect :x="540 - nearer" y="102" width="13" height="116" rx="4" :class="['part', mark('plug')]" />
      </g>
      <g :transform="`translate(${-nearer},0)`">
        <SensorEnd :plug="drawing.plug" :shift="sensorX" :marked="part === 'sensor' || part === 'place'" />
      </g>
      <g class="words">
        <text x="206" y="28" text-anchor="end" class="strong">{{ say.module }}</text>
        <text x="58" y="42" class="figure">{{ drawing.facts.reference }}</text>
        <text x="58" y="78">{{ drawing.facts.pullUp }}</text>
        <text :x="wireX" y="114">{{ drawing.facts.wires[0] }}</text>
        <text v-if="drawing.layout !== 'one-wire'" :x="wireX" y="194">{{ drawing.facts.wires[1] }}</text>
        <text :x="548 - nearer" y="97" text-anchor="middle">{{ say.plug }}</text>
        <text v-if="drawing.moduleFree" x="226" y="164">{{ say.moduleUnplugged }}</text>
        <text
          v-if="drawing.facts.temperature"
          :x="upright ? 12 : 752"
          :y="upright ? 266 : 252"
          :text-anchor="upright ? 'start' : 'end'"
        >
          {{ say.thermometer }}
          <tspan class="figure">{{ drawing.facts.temperature }}</tspan>
        </text>
      </g>
      <g v-if="uses('chassis') && drawing.layout !== 'one-wire'" class="lines">
        <path :transform="`translate(${-nearer},0)`" d="M486 232v6M472 238h28M478 244h16M483 250h6" />
      </g>
      <text v-if="uses('chassis')" :x="506 - nearer" y="246">{{ say.batteryMinus }}</text>
      <text v-if="uses('supply')" :x="418 - nearer" y="240">{{ say.batteryPlus }}</text>
      <g v-if="uses('reference')" class="lines"><path d="M40 40H238" /></g>
      <text v-if="uses('reference')" x="250" y="44">{{ say.atTheNeighbour }}</text>
      <g v-if="drawing.returnBridged" class="lines bridge" :transform="`translate(${-nearer},0)`">
        <path d="M540 200C520 222 500 224 486 232v6M472 238h28M478 244h16" />
      </g>
      <DrawingMarks :marks="drawing.marks" :upright="upright" @mark="emit('mark', $event)" />
      <g v-if="leads" class="leads">
        <g :transform="`translate(${leads.red.x},${leads.red.y})`">
          <circle r="9" class="red" />
          <text x="-12" y="-10" text-anchor="end" class="strong">{{ say.red }}</text>
        </g>
        <g :transform="`translate(${leads.black.x},${leads.black.y})`">
          <path d="M0-10L10 0 0 10-10 0Z" class="black" />
          <text x="-13" y="16" text-anchor="end" class="strong">{{ say.black }}</text>
        </g>
      </g>
      <g v-if="drawing.suspect && sign" class="suspicion">
        <g :transform="`translate(${sign.x},${sign.y})`">
          <path d="M0-13L13 0 0 13-13 0Z" />
          <text y="5" text-anchor="middle" class="bang">!</text>
        </g>
        <text x="12" :y="suspectY">{{ drawing.suspect.text }}</text>
      </g>
    </svg>
  </section>
</template>

<style scoped>
.drawing {
  min-height: 0;
  padding: 2px 8px;
  display: flex;
}
svg {
  width: 100%;
  height: 100%;
}
.upright text {
  font-size: 1rem;
}
.upright .suspicion text {
  font-size: 1.0625rem;
}
/* Larger words would run over the wires: their ground is kept free. */
.upright .words text {
  paint-order: stroke;
  stroke: var(--sheet);
  stroke-width: 4px;
}
.lines {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
}
.module {
  fill: var(--paper);
}
.part,
.screen {
  fill: var(--sheet);
}
.screen {
  stroke-width: 1.5;
}
.bridge {
  stroke: var(--plum);
  stroke-width: 3;
}
.lines .suspect {
  stroke: var(--amber);
  stroke-width: 4;
  stroke-dasharray: 9 6;
}
text {
  font: 0.8438rem var(--sans);
  fill: var(--soft);
}
.strong {
  font-weight: 600;
  fill: var(--ink);
}
.figure {
  font-family: var(--mono);
  font-weight: 600;
  fill: var(--ink);
}
.red {
  fill: var(--clay);
}
.black {
  fill: var(--ink);
}
.leads text {
  font-size: 0.8125rem;
  paint-order: stroke;
  stroke: var(--sheet);
  stroke-width: 4px;
}
.suspicion path {
  fill: var(--amber);
}
.suspicion text {
  font-weight: 600;
  font-size: 0.875rem;
  fill: var(--amber-ink);
}
.suspicion .bang {
  fill: #fff;
  font-weight: 700;
}
</style>
