<script setup lang="ts">
import { workshop } from '../../browser/workshop.ts';
import ActButton from '../../components/base/ActButton.vue';

/** What stands where no check does: how one begins, or, where some are only filtered away, the way back to them. */
defineProps<{ filtered: boolean }>();
const emit = defineEmits<{ start: [query?: Record<string, string>]; all: [] }>();
</script>

<template>
  <section v-if="filtered" class="empty">
    <p>No check is like this. <ActButton @click="emit('all')">Show all</ActButton></p>
  </section>
  <section v-else class="empty sheet">
    <h1>Sensor, supply or wiring?</h1>
    <p>Four figures are enough for a verdict:</p>
    <ol>
      <li>the temperature beside the sensor, by another thermometer</li>
      <li>the sensor’s ohms, unplugged</li>
      <li>the volts at the plug, unplugged</li>
      <li>the volts at the plug, plugged in</li>
    </ol>
    <p>
      Type them in any order. After each one the verdict says what is suspect, how surely, and what to measure next.
    </p>
    <p class="soft">Checks are kept in this browser and nowhere else. Export them to keep a copy.</p>
    <div class="tools">
      <ActButton icon="plus" kind="main" @click="emit('start')">Start the first check</ActButton>
      <ActButton @click="emit('start', { tour: '' })">Start it with a tour of the bench</ActButton>
      <ActButton v-if="workshop === 'own'" href="/demo/">Look round the demo workshop first</ActButton>
    </div>
  </section>
</template>

<style scoped>
.empty {
  padding: 28px 32px;
  display: flex;
  flex-direction: column;
  gap: 10px;
  align-items: flex-start;
}
h1 {
  font-size: 26px;
}
ol {
  margin: 0;
  padding-left: 22px;
}
p {
  max-width: 62ch;
}
.tools {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
}
@media (max-width: 700px) {
  .empty {
    padding: 20px 16px;
  }
}
</style>
