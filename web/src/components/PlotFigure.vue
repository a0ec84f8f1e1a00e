<script setup lang="ts">
import Plotly from 'plotly.js-basic-dist-min';
import { computed, onBeforeUnmount, onMounted, ref, watch } from 'vue';
import type { Data, Layout } from 'plotly.js-dist-min';
import { blobOf } from '../browser/dataAddress.ts';
import { fileName, saveBlob } from '../browser/saveFile.ts';
import { palette } from './base/tokens.ts';
import ChartTools from './ChartTools.vue';
import { drawSoon } from './drawQueue.ts';

/**
 * A chart, in its own lazy chunk. Redrawn when its figure or its place changes, one chart at a time, so that no redraw blocks the page for long.
 * `overlay` is one more line that follows a slider at once: it is laid over the chart and needs axes with given ranges.
 */
const props = defineProps<{
  figure: { data: Data[]; layout: Partial<Layout> };
  label: string;
  overlay?: { x: readonly number[]; y: readonly number[]; colour: string } | undefined;
}>();
const host = ref<HTMLElement>();
const size = ref({ width: 0, height: 0 });
let observer: ResizeObserver | null = null;
let sight: IntersectionObserver | null = null;

/** A chart out of sight is drawn when it comes into sight. */
let seen = false;
function drawNow(): void {
  if (!host.value) return;
  void Plotly.react(
    host.value,
    props.figure.data,
    { ...props.figure.layout, autosize: true },
    { displayModeBar: false, responsive: false },
  );
}
function draw(): void {
  if (seen) drawSoon(host, drawNow);
}
/** Paper shows what no screen has shown yet. */
function beforePrint(): void {
  if (!seen) drawNow();
}

/** The overlay's line in pixels of the chart. */
const path = computed(() => {
  const { overlay, figure } = props;
  const { xaxis, yaxis, margin } = figure.layout;
  if (!overlay || !xaxis?.range || !yaxis?.range || !margin) return '';
  const [l, r, t, b] = [margin.l ?? 0, margin.r ?? 0, margin.t ?? 0, margin.b ?? 0];
  const [x0, x1] = xaxis.range.map(Number);
  const [y0, y1] = yaxis.range.map(Number);
  const [w, h] = [size.value.width - l - r, size.value.height - t - b];
  const points = overlay.x.map(
    (x, i) =>
      `${(l + ((x - x0) / (x1 - x0)) * w).toFixed(1)} ${(t + ((y1 - overlay.y[i]) / (y1 - y0)) * h).toFixed(1)}`,
  );
  return `M${points.join('L')}`;
});

onMounted(() => {
  observer = new ResizeObserver(([entry]) => {
    size.value = { width: entry.contentRect.width, height: entry.contentRect.height };
    if (seen) drawSoon(size, () => host.value && Plotly.Plots.resize(host.value));
  });
  sight = new IntersectionObserver(
    ([entry]) => {
      const comes = entry.isIntersecting && !seen;
      seen = entry.isIntersecting;
      if (comes) draw();
    },
    { rootMargin: '200px' },
  );
  sight.observe(host.value!);
  observer.observe(host.value!);
  window.addEventListener('beforeprint', beforePrint);
});
async function save(format: 'png' | 'svg'): Promise<void> {
  if (!host.value) return;
  const { width, height } = size.value;
  // A chart has no ground of its own: it gets the sheet of the light it was drawn for. Pixels are twice as fine, for paper.
  const ground = palette(props.figure.layout.font?.color === palette(true).ink).sheet;
  const address = await Plotly.toImage(
    { data: props.figure.data, layout: { ...props.figure.layout, paper_bgcolor: ground } },
    { format, width: Math.max(480, width), height: Math.max(320, height), scale: format === 'png' ? 2 : 1 },
  );
  // The strict policy lets nothing be fetched from a data address: its text is taken apart here.
  const blob =
    format === 'png'
      ? blobOf(address)
      : new Blob([decodeURIComponent(address.slice(address.indexOf(',') + 1))], { type: 'image/svg+xml' });
  saveBlob(fileName(props.label, format), blob);
}
watch(() => props.figure, draw);
onBeforeUnmount(() => {
  observer?.disconnect();
  sight?.disconnect();
  window.removeEventListener('beforeprint', beforePrint);
  if (host.value) Plotly.purge(host.value);
});
</script>

<template>
  <div class="frame">
    <div ref="host" class="plot" role="img" :aria-label="label"></div>
    <ChartTools :label="label" :data="figure.data" @save="save" />
    <svg v-if="overlay" class="overlay" aria-hidden="true">
      <path :d="path" :stroke="overlay.colour" data-test="overlay" />
    </svg>
  </div>
</template>

<style scoped>
.frame {
  position: relative;
  flex: 1;
  min-width: 0;
  min-height: 0;
  display: flex;
}
.plot {
  flex: 1;
  min-width: 0;
  min-height: 0;
}
.overlay {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
  pointer-events: none;
  overflow: hidden;
}
path {
  fill: none;
  stroke-width: 2;
  stroke-dasharray: 7 5;
}
</style>
