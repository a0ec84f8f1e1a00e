<script setup lang="ts">
import Plotly from 'plotly.js-basic-dist-min';
import type { Data, Layout } from 'plotly.js-dist-min';
import { onBeforeUnmount, onMounted, ref, watch } from 'vue';

/** The chart of a log, in its own lazy chunk: a range of time is dragged over it, and asked for anew to the sample. */
const props = defineProps<{ figure: { data: Data[]; layout: Partial<Layout> }; label: string }>();
const emit = defineEmits<{
  range: [fromS: number, toS: number];
  whole: [];
  /** How many pixels there are to draw on. */
  width: [px: number];
}>();
const host = ref<HTMLElement>();
let observer: ResizeObserver | null = null;
let frame = 0;

function draw(): void {
  cancelAnimationFrame(frame);
  frame = requestAnimationFrame(() => {
    if (!host.value) return;
    void Plotly.react(
      host.value,
      props.figure.data,
      { ...props.figure.layout, autosize: true },
      { displayModeBar: false, responsive: false, scrollZoom: false },
    ).then((plot) => {
      host.value?.setAttribute('data-drawn', String(Number(host.value.dataset.drawn ?? '0') + 1));
      listen(plot);
    });
  });
}

let heard = false;
function listen(plot: Plotly.PlotlyHTMLElement): void {
  if (heard) return;
  heard = true;
  plot.on('plotly_relayout', (change) => {
    const [from, to] = [change['xaxis.range[0]'], change['xaxis.range[1]']].map(Number);
    if (Number.isFinite(from) && Number.isFinite(to) && to > from) emit('range', from, to);
    else if (change['xaxis.autorange']) emit('whole');
  });
}

onMounted(() => {
  observer = new ResizeObserver(([entry]) => {
    emit('width', entry.contentRect.width);
    draw();
  });
  observer.observe(host.value!);
});
watch(() => props.figure, draw);
onBeforeUnmount(() => {
  observer?.disconnect();
  cancelAnimationFrame(frame);
  if (host.value) Plotly.purge(host.value);
});
</script>

<template>
  <div ref="host" class="plot" role="img" :aria-label="label" data-test="log-chart"></div>
</template>

<style scoped>
.plot {
  flex: 1;
  min-width: 0;
  min-height: 0;
}
</style>
