<script setup lang="ts">
import { BENCH_TOUR } from '@mellow-probe/core/wording/tourText';
import StepTour from '../../components/base/StepTour.vue';

/** The bench, shown once round to a newcomer. */
const open = defineModel<boolean>('open', { required: true });
/** Where on the screen each step of the walk lies. */
const PLACES = {
  order: '[aria-label="Order of work"], .order',
  figures: '.quick, [data-card]',
  verdict: 'aside[aria-label="Verdict"]',
  drawing: '.drawing',
  kept: '[data-test="save-state"]',
} as const;
const steps = BENCH_TOUR.map(({ place, title, words }) => ({ at: PLACES[place], title, words }));
</script>

<template>
  <StepTour v-model:open="open" :steps="steps" />
</template>
