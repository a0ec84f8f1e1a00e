<script setup lang="ts">
import { pictureStageWords as say } from '@mellow-probe/core/wording/screens/shelfPicture';
import SlideBar from '../../../components/base/SlideBar.vue';
import type { Spot } from '@mellow-probe/core/intake/picture/straighten';
import { computed, onBeforeUnmount, onMounted, ref } from 'vue';
import type { ShownPicture } from '../../../session/keptPicture.ts';

/** A place on the picture that can be dragged, or moved with the arrow keys. */
export interface Handle extends Spot {
  id: string;
  label: string;
  kind: 'corner' | 'across' | 'up' | 'point';
}

/** A picture with handles on it; taps beside them are told. Places are pixels of the picture. */
const props = defineProps<{
  picture: ShownPicture;
  handles: readonly Handle[];
  /** Draws the handles of kind 'corner' as the outline of a page. */
  outline?: boolean;
  label: string;
}>();
const emit = defineEmits<{
  move: [id: string, x: number, y: number];
  drop: [id: string];
  tap: [x: number, y: number];
}>();
const svg = ref<SVGSVGElement>();
const zoom = ref(1);
const shownWidth = ref(600);
/** Pixels of the picture for one on the screen. */
const scale = computed(() => props.picture.width / Math.max(1, shownWidth.value));
const outlinePoints = computed(() =>
  props.handles
    .filter((h) => h.kind === 'corner')
    .map((h) => `${h.x},${h.y}`)
    .join(' '),
);
/** The points in the order of their temperatures, laid over the picture as a line: where it leaves the printed one shows at once. */
const line = computed(() =>
  props.handles
    .filter((h) => h.kind === 'point')
    .sort((a, b) => a.x - b.x)
    .map((h) => `${h.x},${h.y}`)
    .join(' '),
);
const watcher = new ResizeObserver(([entry]) => (shownWidth.value = entry.contentRect.width));
onMounted(() => watcher.observe(svg.value!));
onBeforeUnmount(() => watcher.disconnect());

const within = (v: number, most: number): number => Math.round(10 * Math.max(0, Math.min(most, v))) / 10;
function placeOf(event: PointerEvent | MouseEvent): Spot {
  const box = svg.value!.getBoundingClientRect();
  return {
    x: within(((event.clientX - box.left) / box.width) * props.picture.width, props.picture.width),
    y: within(((event.clientY - box.top) / box.height) * props.picture.height, props.picture.height),
  };
}
let held: { id: string; dx: number; dy: number } | null = null;
function grab(event: PointerEvent, handle: Handle): void {
  (event.currentTarget as Element).setPointerCapture(event.pointerId);
  const at = placeOf(event);
  held = { id: handle.id, dx: handle.x - at.x, dy: handle.y - at.y };
}
function drag(event: PointerEvent): void {
  if (!held) return;
  const at = placeOf(event);
  emit('move', held.id, within(at.x + held.dx, props.picture.width), within(at.y + held.dy, props.picture.height));
}
function letGo(): void {
  if (held) emit('drop', held.id);
  held = null;
}
const STEPS: Record<string, [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};
function nudge(event: KeyboardEvent, handle: Handle): void {
  const step = STEPS[event.key];
  if (!step) return;
  event.preventDefault();
  const by = event.shiftKey ? 10 : 1;
  emit(
    'move',
    handle.id,
    within(handle.x + by * step[0], props.picture.width),
    within(handle.y + by * step[1], props.picture.height),
  );
}
function tapped(event: MouseEvent): void {
  const { x, y } = placeOf(event);
  emit('tap', x, y);
}
</script>

<template>
  <div>
    <div class="window" tabindex="0" role="region" :aria-label="label">
      <div class="layer" :style="{ width: `calc(${100 * zoom}% - 44px)` }">
        <img :src="picture.url" alt="" />
        <svg ref="svg" :viewBox="`0 0 ${picture.width} ${picture.height}`" preserveAspectRatio="none" @click="tapped">
          <polygon v-if="outline" class="outline" :points="outlinePoints" :stroke-width="2 * scale" />
          <polyline v-if="line" class="line" :points="line" :stroke-width="1.5 * scale" data-test="followed" />
          <g
            v-for="h in handles"
            :key="h.id"
            class="handle"
            :class="h.kind"
            tabindex="0"
            role="button"
            :aria-label="say.handleLabel(h.label)"
            :transform="`translate(${h.x} ${h.y}) scale(${scale})`"
            @pointerdown.prevent="grab($event, h)"
            @pointermove="drag"
            @pointerup="letGo"
            @pointercancel="held = null"
            @click.stop
            @keydown="nudge($event, h)"
          >
            <circle class="hit" r="22" />
            <circle class="ring" :r="h.kind === 'point' ? 6 : 11" />
            <path d="M-16 0H16M0 -16V16" />
          </g>
        </svg>
      </div>
    </div>
    <SlideBar v-model="zoom" class="zoom" :label="say.zoom" :text="`${zoom} ×`" :low="1" :high="4" :step="0.25" />
  </div>
</template>

<style scoped>
.window {
  overflow: auto;
  max-height: 68vh;
  border: 1px solid var(--line);
  border-radius: 6px;
  background: var(--bar);
}
/* Room for a handle that sits on the edge of the picture. */
.layer {
  position: relative;
  margin: 22px;
}
.layer img {
  display: block;
  width: 100%;
}
.layer svg {
  position: absolute;
  inset: 0;
  overflow: visible;
  width: 100%;
  height: 100%;
}
.line {
  fill: none;
  stroke: var(--spruce);
  pointer-events: none;
}
.outline {
  fill: none;
  stroke: var(--spruce);
}
.handle {
  cursor: grab;
  touch-action: none;
  color: var(--spruce);
}
.handle.across {
  color: var(--clay);
}
.handle.up {
  color: var(--plum);
}
.handle.point {
  color: var(--amber-ink);
}
.hit {
  fill: transparent;
}
.ring {
  fill: none;
  stroke: currentColor;
  stroke-width: 2.5;
}
.handle path {
  stroke: currentColor;
  stroke-width: 1;
}
.handle:focus-visible .hit {
  fill: color-mix(in srgb, currentColor 25%, transparent);
}
</style>
