<script setup lang="ts">
import Plotly from 'plotly.js-cartesian-dist-min';
import { onBeforeUnmount, onMounted, ref, watch } from 'vue';
import type { Data, Layout } from 'plotly.js-dist-min';

/** A chart, in its own lazy chunk. Redrawn when its figure or its place changes. */
const props = defineProps<{ figure: { data: Data[]; layout: Partial<Layout> }; label: string }>();
const host = ref<HTMLElement>();
let observer: ResizeObserver | null = null;

async function draw(): Promise<void> {
  if (!host.value) return;
  await Plotly.react(host.value, props.figure.data, { ...props.figure.layout, autosize: true }, { displayModeBar: false, responsive: false });
}

onMounted(() => {
  void draw();
  observer = new ResizeObserver(() => host.value && Plotly.Plots.resize(host.value));
  observer.observe(host.value!);
});
watch(() => props.figure, draw);
onBeforeUnmount(() => {
  observer?.disconnect();
  if (host.value) Plotly.purge(host.value);
});
</script>

<template>
  <div ref="host" class="plot" role="img" :aria-label="label"></div>
</template>

<style scoped>
.plot {
  flex: 1;
  min-width: 0;
  min-height: 0;
}
</style>
