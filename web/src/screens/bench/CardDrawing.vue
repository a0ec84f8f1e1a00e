<script setup lang="ts">
import { measurementById } from '@mellow-probe/core/circuit/measurements/list';
import { computed } from 'vue';
import CircuitDrawing from '../../components/drawing/CircuitDrawing.vue';
import { drawingOf } from '../../components/drawing/drawingOf.ts';
import { useNarrow } from '../../browser/useMedia.ts';
import { useSession } from '../../session/jobSession.ts';
import { usePreferences } from '../../data/stores/preferences.ts';

/** The circuit of this job as the card demands it. A click on a figure puts its reading on the card. */
const { job, verdict, work } = useSession();
const preferences = usePreferences();
const narrow = useNarrow();
const drawing = computed(() => {
  const reading = job.readings.find((r) => r.id === work.readingId);
  const resistor = (reading?.conditions.substituteOhm ?? work.draft.substituteOhm)?.value ?? null;
  return drawingOf(job, verdict, preferences.temperatureUnit, work.test ? measurementById(work.test) : null, resistor);
});
</script>

<template>
  <CircuitDrawing :drawing="drawing" :upright="narrow" @mark="work.goTest($event)" />
</template>
